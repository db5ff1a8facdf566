"""A plan to be seen: for each tool, per cent against size, both by decades."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.exact.axis import decade_marks
from metrion.core.exact.figures import first_place
from metrion.core.planning.plan import (
    USUAL_READINGS,
    Plan,
    PlanVerdict,
    Wish,
    expected_uncertainty,
    in_its_unit,
)

_FEWEST, _MOST = 2, 6
"""Decades of a side."""
_STEPS = 12
"""Steps of a stack that can be told apart."""


@dataclass(frozen=True)
class Point:
    """A size, in the unit of the wish, and the uncertainty in per cent of it."""

    size: Fraction
    percent: Fraction


@dataclass(frozen=True)
class Course:
    """One tool in the chart.

    Attributes:
        plan: what it would give.
        line: from the smallest thing it takes within the frame to the largest; empty where none.
        path: from one thing read `USUAL_READINGS` times to what is enough: a stack as steps to the
            right, more readings as one step down; empty where the thing does not fit.
    """

    plan: Plan
    line: tuple[Point, ...]
    path: tuple[Point, ...]


@dataclass(frozen=True)
class PlanChart:
    """Per cent against size, both logarithmic.

    Attributes:
        sizes: the marks along the sizes, the ends of the frame first and last.
        percents: the marks along the per cents, the same.
        courses: a line for every plan, in its order.
    """

    sizes: Sequence[Fraction]
    percents: Sequence[Fraction]
    courses: Sequence[Course]


def plan_chart(wish: Wish, plans: Iterable[Plan]) -> PlanChart:
    """What a wish asks for, and what each tool would give there and elsewhere."""
    found = [(plan, *_taken(wish, plan)) for plan in plans]
    paths = [_path(wish, plan, one) for plan, one, *_ in found]
    reached = [point for path in paths for point in path]
    sizes = _frame(wish.size, [*(high for *_, high in found if high), *(p.size for p in reached)])
    percents = _frame(wish.percent, [point.percent for point in reached])
    courses = [
        Course(plan, _line(one, max(low, sizes[0]), min(high or sizes[-1], sizes[-1])), path)
        for (plan, one, low, high), path in zip(found, paths, strict=True)
    ]
    return PlanChart(sizes, percents, courses)


def _taken(wish: Wish, plan: Plan) -> tuple[Fraction, Fraction, Fraction | None]:
    """A tool's uncertainty, the smallest and the largest it takes; in the unit of the wish."""
    worth = in_its_unit(wish, plan.instrument)
    scatter = wish.scatter * worth
    one = expected_uncertainty(plan.instrument, wish.convention, scatter, USUAL_READINGS) / worth
    low, high = plan.instrument.range or (Fraction(0), None)
    return one, max(low, Fraction(0)) / worth, None if high is None else high / worth


def _line(one: Fraction, low: Fraction, high: Fraction) -> tuple[Point, ...]:
    return tuple(Point(size, 100 * one / size) for size in (low, high)) if low < high else ()


def _path(wish: Wish, plan: Plan, one: Fraction) -> tuple[Point, ...]:
    if plan.verdict is PlanVerdict.DOES_NOT_FIT:
        return ()
    here = Point(wish.size, 100 * one / wish.size)
    if plan.verdict is PlanVerdict.READINGS:
        worth = in_its_unit(wish, plan.instrument)
        scatter = wish.scatter * worth
        best = expected_uncertainty(plan.instrument, wish.convention, scatter, plan.readings)
        return here, Point(wish.size, 100 * best / worth / wish.size)
    counts = list(range(1, plan.items + 1))
    if len(counts) > _STEPS:
        counts = [1, plan.items]
    return tuple(Point(here.size * count, here.percent / count) for count in counts)


def _frame(wanted: Fraction, reached: Iterable[Fraction]) -> list[Fraction]:
    """Marks that hold what is wanted, a little room around it, and as much else as can be seen."""
    low = first_place(wanted / 2)
    high = max(low + _FEWEST, first_place(2 * wanted) + 1)
    for value in reached:
        place = first_place(value)
        low = min(low, max(place, high - _MOST))
        high = max(high, min(place + 1, low + _MOST))
    return decade_marks(low, high)
