"""The parts of an uncertainty, and how each school puts them together."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum
from fractions import Fraction
from math import floor

from scipy.special import ndtri, stdtrit

from metrion.core.conventions import Combine, Convention, Coverage, Family, Spread
from metrion.core.instruments import Instrument
from metrion.core.numbers import square_root
from metrion.core.statistics import half_range, mean_deviation, variance_of_mean
from metrion.core.zero import ZeroCheck, zero_errors

_NONE = Fraction(0)


class Source(StrEnum):
    """Where a part of an uncertainty comes from."""

    READING = "reading"
    SCATTER = "scatter"
    ZERO = "zero"
    ZERO_SCATTER = "zero-scatter"
    MAKER = "maker"
    TYPED = "typed"


@dataclass(frozen=True)
class Part:
    """One independent part.

    Attributes:
        source: where it comes from.
        square: its square, exact even where its size is a root.
        degrees_of_freedom: of a scatter; None for infinite.
        of: the input it belongs to, in a derived quantity.
    """

    source: Source
    square: Fraction
    degrees_of_freedom: int | None = None
    of: str = ""

    @property
    def size(self) -> Fraction:
        """The part itself, not negative."""
        return square_root(self.square)

    def scaled(self, factor: Fraction) -> Part:
        """The part as it enters a result that changes ``factor`` times as fast."""
        return replace(self, square=self.square * factor**2)


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


def look_limit(instrument: Instrument, convention: Convention) -> Fraction:
    """The limit of one look: so many least counts as the convention says."""
    return convention.reading_limit * instrument.least_count


def scatter(values: Sequence[Fraction], spread: Spread) -> Part:
    """The scatter part of a limit school; 0 for a single value."""
    if len(values) < 2 or spread is Spread.NONE:
        return Part(Source.SCATTER, _NONE)
    if spread is Spread.STANDARD_ERROR:
        return Part(Source.SCATTER, variance_of_mean(values))
    measure = half_range if spread is Spread.HALF_RANGE else mean_deviation
    return Part(Source.SCATTER, measure(values) ** 2)


def reading_parts(
    instrument: Instrument, convention: Convention, values: Sequence[Fraction], looks: int
) -> list[Part]:
    """The parts of the mean of ``values`` that belong to its own readings, in its unit.

    Reading limit, scatter and maker's limit; where the school takes the larger of limit and
    scatter, or their sum, the two are one part.

    Args:
        values: the observed values that count, at least one.
        looks: looks that make one value: 1 for single readings, 2 for pairs, 4 through two windows.
    """
    h = look_limit(instrument, convention)
    if convention.family is Family.STANDARD:
        # The mean of two sweeps halves the variance of one: h²·2/3/2 with two windows.
        shares = {1: Fraction(1, 3), 2: Fraction(2, 3), 4: Fraction(1, 3)}[looks]
        freedom = len(values) - 1 or None
        return [
            Part(Source.READING, h**2 * shares),
            Part(Source.SCATTER, variance_of_mean(values), freedom),
            Part(Source.MAKER, instrument.maker_limit**2 / 3),
        ]
    parts = _joined(*limit_and_scatter(instrument, convention, values, looks), convention.combine)
    return [*parts, Part(Source.MAKER, instrument.maker_limit**2)]


def limit_and_scatter(
    instrument: Instrument, convention: Convention, values: Sequence[Fraction], looks: int
) -> tuple[Part, Part]:
    """In the limit schools, the limit of the looks and the scatter before they are joined."""
    # Through two windows the limit stays that of one sweep.
    limit = look_limit(instrument, convention) * min(looks, 2)
    return Part(Source.READING, limit**2), scatter(values, convention.spread)


def _joined(limit: Part, spread: Part, combine: Combine) -> list[Part]:
    if combine is Combine.QUADRATURE:
        return [limit, spread]
    if combine is Combine.LARGER:
        return [max(limit, spread, key=lambda part: part.square)]
    return [Part(Source.READING, (limit.size + spread.size) ** 2)]


def zero_parts(
    instrument: Instrument, convention: Convention, checks: Sequence[ZeroCheck]
) -> list[Part]:
    """The parts that come with the zero correction; none without a zero look."""
    if not convention.zero_look or not checks:
        return []
    h = look_limit(instrument, convention)
    errors = zero_errors(instrument, checks)
    if convention.family is Family.LIMIT:
        return [Part(Source.ZERO, max(h, half_range(errors)) ** 2)]
    return [
        Part(Source.ZERO, h**2 / 3),
        Part(Source.ZERO_SCATTER, variance_of_mean(errors), len(errors) - 1 or None),
    ]


def combine_parts(parts: Iterable[Part], convention: Convention) -> Uncertainty:
    """Put independent parts together as the convention says.

    Family limit adds them, or takes the root of the sum of squares (``quadrature``); family
    standard takes that root (JCGM 100:2008, 5.1.2) and multiplies it for coverage (6.2.1).
    """
    parts = list(parts)
    squares = sum((part.square for part in parts), _NONE)
    if convention.family is Family.LIMIT:
        if convention.combine is Combine.QUADRATURE:
            return Uncertainty(square_root(squares))
        return Uncertainty(sum((part.size for part in parts), _NONE))
    freedom = effective_degrees_of_freedom(parts)
    factor = coverage_factor(convention.coverage, freedom)
    return Uncertainty(square_root(squares) * factor, freedom, factor)


def effective_degrees_of_freedom(parts: Iterable[Part]) -> int | None:
    """By Welch and Satterthwaite, cut down to a whole number; JCGM 100:2008, G.4.1.

    None stands for infinitely many.
    """
    parts = list(parts)
    spread = sum(
        (part.square**2 / part.degrees_of_freedom for part in parts if part.degrees_of_freedom),
        _NONE,
    )
    if spread == 0:
        return None
    return floor(sum((part.square for part in parts), _NONE) ** 2 / spread)


def coverage_factor(coverage: Coverage, degrees_of_freedom: int | None) -> Fraction:
    """The number itself, or the two-sided Student factor; normal for infinite freedom.

    Source: JCGM 100:2008, 6.3 and G.3.
    """
    if not coverage.percentage:
        return coverage.number
    tail = float((1 - coverage.number / 100) / 2)
    if degrees_of_freedom is None:
        return Fraction(-float(ndtri(tail)))
    return Fraction(-float(stdtrit(degrees_of_freedom, tail)))
