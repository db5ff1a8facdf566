"""What an uncertainty is worked out from: the keys of its steps, its components, and the model.

The rules that put them together are in `metrion.core.working.uncertainty`.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction

from metrion.core.conventions.convention import Convention
from metrion.core.formula.expression import Expression
from metrion.core.scales.base import Indication

READINGS, ZERO_ERRORS, ZERO_ERROR = "readings", "zero_errors", "zero_error"
AVERAGE, MEAN = "average", "mean"
COUNT = "number_of_readings"
LIMIT, SPREAD = "limit", "spread"
STANDARD, FREEDOM, COVERAGE = "standard_uncertainty", "degrees_of_freedom", "coverage_factor"
UNCERTAINTY, ROUNDED = "uncertainty", "rounded"


class Source(StrEnum):
    """Where a component of an uncertainty comes from."""

    READING = "reading"
    SCATTER = "scatter"
    ZERO = "zero"
    ZERO_SCATTER = "zero_scatter"
    MAKER = "maker"
    TYPED = "typed"


@dataclass(frozen=True)
class Component:
    """One independent component, as it enters the result.

    Attributes:
        key: the key of its step.
        source: where it comes from.
        freedom: its degrees of freedom as a formula; None for infinitely many.
        of: the inputs it belongs to, in a derived quantity.
    """

    key: str
    source: Source
    freedom: Expression | None = None
    of: tuple[str, ...] = ()

    @property
    def of_a_zero(self) -> bool:
        """Whether it comes with the zero correction."""
        return self.source in (Source.ZERO, Source.ZERO_SCATTER)


@dataclass(frozen=True)
class Uncertainty:
    """A combined uncertainty.

    Attributes:
        size: as the convention states it, before rounding.
        degrees_of_freedom: effective ones, cut to a whole number; None if infinite or not used.
        coverage_factor: what the standard uncertainty was multiplied by; None in family limit.
    """

    size: Fraction
    degrees_of_freedom: int | None = None
    coverage_factor: Fraction | None = None


Looks = tuple[tuple[tuple[int, ...], int], ...]
"""How many lines seem to meet in each look of a reading, and how many readings are like that."""


def looks_of(readings: Iterable[Sequence[Indication]]) -> Looks:
    """Those of some readings; empty where each look meets a line of its own."""
    found = Counter(tuple(sorted(one.lines for one in looks)) for looks in readings)
    if all(lines == 1 for looks in found for lines in looks):
        return ()
    return tuple(sorted(found.items()))


@dataclass(frozen=True)
class Model:
    """What has to be known of a quantity, besides its values, to work its uncertainty out.

    Attributes:
        convention: by which it is worked out.
        maker_limit: of the instrument.
        indications: that make one value: 1 for single readings, 2 for pairs, 4 through two windows.
        several: whether more than one reading counts.
        zero_indications: how many looks at the zero correct it.
        divisors: what its mean is divided by: items, halves; none that are 1.
        middle: the key of the mean of what was read.
        looks: of how many lines each look of a reading seems to meet, and how many such readings
            there are; empty where each look meets a line of its own.
        zero_looks: the same of the looks at the zero.
    """

    convention: Convention
    maximum_permissible_error: Fraction
    indications: int
    several: bool
    zero_indications: int
    divisors: tuple[int, ...] = ()
    middle: str = MEAN
    looks: Looks = ()
    zero_looks: Looks = ()
