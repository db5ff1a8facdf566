"""What a second look is, and the series it looks at."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from enum import StrEnum
from fractions import Fraction
from functools import cached_property

from metrion.core.exact.angles import FULL_CIRCLE, HALF_CIRCLE
from metrion.core.exact.numbers import over_one_denominator
from metrion.core.exact.statistics import median
from metrion.core.facts import Fact, Figure
from metrion.core.json import Json
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation, Sort
from metrion.core.quantity.zero import Phase


class Level(StrEnum):
    """How much it matters."""

    INFO = "info"
    WARNING = "warning"


class Settlement(StrEnum):
    """How a second look was answered."""

    ZERO_EXACT = "zero-exact"
    ZERO_TAKEN_OVER = "zero-taken-over"
    PLACES_APART = "places-apart"
    SET_ASIDE = "set-aside"
    STANDS = "stands"


@dataclass(frozen=True)
class SettlingChoice:
    """What a student may choose for a whole measurement, and what settles a flag by that.

    Attributes:
        field: of the measurement; true once it is chosen.
        settlement: how that answers the flag.
        label: of the button that chooses it; None where it is offered with the zero.
    """

    field: str
    settlement: Settlement
    label: Fact | None = None


@dataclass(frozen=True)
class Flag:
    """Something that deserves a second look.

    Attributes:
        code: which kind.
        level: how much it matters.
        says: what was seen.
        observation: index of the observation it is about; None if it is about all.
        suggestion: fields of the observation (or the zero check), as a logbook holds them, that
            would settle it.
        zero_check: id of the zero check it is about; empty if it is about none.
        phase: of the looks at the zero it is about; None if it is about none.
        choice: which choice about the whole measurement settles it; None if none does.
    """

    code: str
    level: Level
    says: Fact
    observation: int | None = None
    suggestion: Mapping[str, Json] = field(default_factory=dict)
    zero_check: str = ""
    phase: Phase | None = None
    choice: SettlingChoice | None = None


@dataclass(frozen=True)
class Series:
    """A measurement as a review sees it.

    Values are compared as whole numbers of ``quantum``, sorted once, so that a long series costs
    n log n.
    """

    measurement: Measurement

    @property
    def single(self) -> bool:
        """Whether observations are single indications."""
        return self.measurement.sort is Sort.SINGLE

    @cached_property
    def counting(self) -> list[int]:
        """The indices of the observations that count."""
        return [i for i, o in enumerate(self.measurement.observations) if o.counts]

    @cached_property
    def _quanta(self) -> tuple[tuple[int, ...], int]:
        """The observed values, the least count and the mark over one denominator."""
        scale = self.measurement.instrument.scale
        return over_one_denominator([*self.measurement.observed, scale.least_count, scale.mark])

    @property
    def quantum(self) -> Fraction:
        """A length (or angle) of which everything compared here is a whole number."""
        return Fraction(1, self._quanta[1])

    @cached_property
    def values(self) -> list[int]:
        """The observed values that count, in quanta, in the order of the observations."""
        return [self._quanta[0][i] for i in self.counting]

    @property
    def least_count(self) -> int:
        """The least count in quanta."""
        return self._quanta[0][-2]

    @property
    def mark(self) -> int:
        """One mark (screw: one pitch) in quanta."""
        return self._quanta[0][-1]

    @cached_property
    def middles(self) -> list[Fraction]:
        """For each indication, the middle of where it stands in the observations that count."""
        read = self.measurement.instrument.reading
        places = zip(*(self.observation(i).indications for i in self.counting), strict=True)
        found = []
        for indications in places:
            # From the first one, so that a circle's zero between them does not matter.
            first = read(indications[0])
            found.append(
                first + median(sorted(self.shorter(read(one) - first) for one in indications))
            )
        return found

    def shorter(self, difference: Fraction) -> Fraction:
        """A difference of positions, on a circle the shorter way round."""
        if self.measurement.instrument.traits.circular:
            return (difference + HALF_CIRCLE) % FULL_CIRCLE - HALF_CIRCLE
        return difference

    def figure(self, value: Fraction) -> Figure:
        """A value with its unit."""
        return Figure(self.measurement.instrument.with_unit(value))

    def observation(self, index: int) -> Observation:
        """The observation with this index."""
        return self.measurement.observations[index]
