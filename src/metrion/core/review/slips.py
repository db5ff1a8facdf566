"""One reading that does not belong: by one mark, by a unit, or otherwise."""

from __future__ import annotations

from collections.abc import Iterator
from fractions import Fraction

from scipy.special import stdtrit

from metrion.core.facts import Figure, fact
from metrion.core.json import Record
from metrion.core.review.flags import Flag, Level, Series
from metrion.core.scales import ScrewScale

_GRUBBS_LEVEL = 0.01
_SLIP_LEAST_COUNTS = 3
_SLIP_MARKS = Fraction(2, 5)
_UNIT_FACTOR = 10
_ONE_PART_IN = 10
"""How near to ten times, or a tenth: within a tenth of that."""


def slips_and_outlier(series: Series) -> Iterator[Flag]:
    """``main-mark-slip``, ``unit-slip``, and ``outlier`` where neither explains it."""
    others = Others(series.values)
    explained = set()
    if series.single and len(series.values) >= 3:
        for rank, index in enumerate(series.counting):
            for flag in (_mark_slip(series, others, rank), _unit_slip(series, others, rank)):
                if flag:
                    explained.add(index)
                    yield flag
    yield from _outlier(series, others, explained)


class Others:
    """For each value, the median and the extremes of all the others, from one sorting."""

    def __init__(self, values: list[int]) -> None:
        self.values = values
        order = sorted(range(len(values)), key=values.__getitem__)
        self.ordered = [values[i] for i in order]
        self.rank = dict(zip(order, range(len(values)), strict=True))

    def _without(self, own: int, place: int) -> int:
        return self.ordered[place if place < own else place + 1]

    def twice_median(self, i: int) -> int:
        """Twice the median of the others (a whole number where the median may be half)."""
        own, count = self.rank[i], len(self.values) - 1
        return self._without(own, (count - 1) // 2) + self._without(own, count // 2)

    def range(self, i: int) -> int:
        """The range of the others."""
        own, count = self.rank[i], len(self.values) - 1
        return self._without(own, count - 1) - self._without(own, 0)


def off_by_a_mark(series: Series, others: Others, i: int) -> int:
    """Whether a value would join the others one mark lower (1) or higher (-1); else 0."""
    mark, spread = series.mark, others.range(i)
    if 2 * spread > mark:
        return 0
    twice_off = 2 * others.values[i] - others.twice_median(i)
    near = 2 * max(_SLIP_LEAST_COUNTS * series.least_count, spread)
    missed = abs(abs(twice_off) - 2 * mark)
    most = _SLIP_MARKS
    if missed > near or missed * most.denominator > 2 * most.numerator * mark:
        return 0
    return 1 if twice_off > 0 else -1


def _mark_slip(series: Series, others: Others, i: int) -> Flag | None:
    scale = series.measurement.instrument.scale
    off = off_by_a_mark(series, others, i) if scale.has_fine_scale else 0
    if not off:
        return None
    index, above = series.counting[i], off > 0
    indication = series.observation(index).indications[0]
    rejoined = series.measurement.instrument.scale.one_mark_on(indication, -1 if above else 1)
    text = series.measurement.instrument.main_text
    suggestion: Record = {"main": text(rejoined.main)}
    if indication.second_turn != rejoined.second_turn:
        suggestion["second_turn"] = rejoined.second_turn
    mark = Figure(text(indication.main if above else rejoined.main))
    question = fact("passed-really" if above else "passed-not", mark=mark)
    if isinstance(scale, ScrewScale):
        question = fact("turns-miscounted")
    side = "above" if above else "below"
    says = fact("main-mark-slip", at=index + 1, side=side, question=question)
    return Flag("main-mark-slip", Level.WARNING, says, index, suggestion)


def _unit_slip(series: Series, others: Others, i: int) -> Flag | None:
    twice_median, twice = others.twice_median(i), 2 * others.values[i]
    if twice_median == 0:
        return None
    index = series.counting[i]
    for one, expected, size in (
        (twice, twice_median * _UNIT_FACTOR, "tenfold"),
        (twice * _UNIT_FACTOR, twice_median, "tenth"),
    ):
        if _ONE_PART_IN * abs(one - expected) <= abs(expected):
            says = fact("unit-slip", at=index + 1, size=size)
            return Flag("unit-slip", Level.WARNING, says, index)
    return None


def _outlier(series: Series, others: Others, explained: set[int]) -> Iterator[Flag]:
    """Grubbs' two-sided test; F. E. Grubbs, Technometrics 11 (1969), 1."""
    values = series.values
    n = len(values)
    if n < 4:
        return
    total = sum(values)
    squares = sum((n * value - total) ** 2 for value in values)
    farthest = max(range(n), key=lambda i: abs(n * values[i] - total))
    index = series.counting[farthest]
    off = abs(Fraction(others.twice_median(farthest), 2) - values[farthest])
    if squares == 0 or index in explained or off <= _SLIP_LEAST_COUNTS * series.least_count:
        return
    # G² = (x - mean)²/s², with s² = squares/(n²·(n-1)) and (x - mean)² = deviation/n².
    grubbs_squared = Fraction((n * values[farthest] - total) ** 2 * (n - 1), squares)
    if grubbs_squared > _grubbs_critical_squared(n):
        says = fact("outlier", at=index + 1, off=series.figure(off * series.quantum))
        yield Flag("outlier", Level.WARNING, says, index)


def _grubbs_critical_squared(n: int) -> float:
    t_squared = float(stdtrit(n - 2, _GRUBBS_LEVEL / (2 * n))) ** 2
    return (n - 1) ** 2 / n * t_squared / (n - 2 + t_squared)


CHECKS = (slips_and_outlier,)
