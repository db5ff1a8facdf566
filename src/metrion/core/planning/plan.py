"""Which tool, how many readings or how large a stack it takes for a wanted percentage."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from math import ceil

from metrion.core.conventions.convention import Convention
from metrion.core.exact.figures import to_figures
from metrion.core.facts import Amount, Fact, Figure, fact
from metrion.core.formula.units import parse_unit, unit_ratio
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.working.model import COUNT, SPREAD, UNCERTAINTY, Model
from metrion.core.working.steps import Working
from metrion.core.working.uncertainty import add_uncertainty

USUAL_READINGS = 5
"""Readings that a plan begins with."""
MOST_READINGS = 100
MOST_ITEMS = 200


class PlanVerdict(StrEnum):
    """How well a tool serves, the best first."""

    ENOUGH = "enough"
    READINGS = "more readings"
    STACK = "a stack"
    NOT_ENOUGH = "not enough"
    DOES_NOT_FIT = "does not fit"


@dataclass(frozen=True)
class Wish:
    """What is to be measured, and how well.

    Attributes:
        size: about how large it is, in ``unit``, positive.
        unit: ``mm``, ``cm`` or ``in``.
        percent: the uncertainty that is wanted, in per cent of the size.
        convention: the convention that states it.
        scatter: by how much readings are expected to differ from their mean (as a standard
            deviation), in ``unit``; 0 where only the scale limits.
    """

    size: Fraction
    unit: str
    percent: Fraction
    convention: Convention
    scatter: Fraction = Fraction(0)


@dataclass(frozen=True)
class Plan:
    """What one tool would give.

    Attributes:
        instrument: the tool.
        verdict: how well it serves.
        uncertainty: of one thing read `USUAL_READINGS` times, in the instrument's unit; None where
            it does not fit.
        percent: that in per cent of the size.
        readings: how many readings it takes.
        items: how many alike it takes in one stack.
        reasons: why.
    """

    instrument: Instrument
    verdict: PlanVerdict
    uncertainty: Fraction | None = None
    percent: Fraction | None = None
    readings: int = USUAL_READINGS
    items: int = 1
    reasons: tuple[Fact, ...] = ()


def plans(wish: Wish, instruments: Iterable[Instrument]) -> list[Plan]:
    """A plan for every tool for lengths, those that serve best with the least trouble first."""
    order = list(PlanVerdict)
    found = [_plan(wish, tool) for tool in instruments if tool.traits.stacks]
    return sorted(
        found,
        key=lambda plan: (
            order.index(plan.verdict), plan.items, plan.readings, -_length(plan.instrument),
        ),
    )  # fmt: skip


def _length(instrument: Instrument) -> Fraction:
    """Its least count in millimetres: what is coarser is quicker to read."""
    return instrument.least_count * Fraction(parse_unit(instrument.unit).factor)


def in_its_unit(wish: Wish, instrument: Instrument) -> Fraction:
    """What the unit of a wish is worth in the unit of a tool."""
    return unit_ratio(wish.unit, instrument.unit)


def _plan(wish: Wish, instrument: Instrument) -> Plan:
    worth = in_its_unit(wish, instrument)
    size, scatter = wish.size * worth, wish.scatter * worth
    if misfit := _misfit(instrument, size):
        return Plan(instrument, PlanVerdict.DOES_NOT_FIT, reasons=(misfit,))
    wanted = wish.percent * size / 100
    one = expected_uncertainty(instrument, wish.convention, scatter, USUAL_READINGS)
    percent = 100 * one / size
    known = fact(
        "plan-one-thing",
        count=USUAL_READINGS,
        size=Amount(one, instrument.unit),
        percent=Amount(percent, "%"),
    )
    if one <= wanted:
        return Plan(
            instrument, PlanVerdict.ENOUGH, one, percent, reasons=(known, fact("plan-enough"))
        )
    readings, averaging = _readings(wish.convention, instrument, scatter, wanted)
    if readings:
        return Plan(
            instrument, PlanVerdict.READINGS, one, percent, readings, reasons=(known, averaging)
        )  # fmt: skip
    items, stacking = _stack(instrument, size, one, wanted)
    verdict = PlanVerdict.STACK if items else PlanVerdict.NOT_ENOUGH
    reasons = (known, averaging, stacking)
    return Plan(instrument, verdict, one, percent, items=items or 1, reasons=reasons)


def _misfit(instrument: Instrument, size: Fraction) -> Fact | None:
    if instrument.range is None:
        return None
    lowest, highest = instrument.range
    if lowest <= size <= highest:
        return None
    return fact(
        "plan-misfit",
        size=_about(instrument, size),
        side="larger" if size > highest else "smaller",
        low=lowest,
        high=Figure(instrument.with_unit(highest)),
    )


def expected_uncertainty(
    instrument: Instrument, convention: Convention, scatter: Fraction, readings: int
) -> Fraction:
    """What a convention would state for so many single readings and one look at the zero."""
    working = Working(instrument.unit)
    working.add(LEAST_COUNT.word, instrument.scale.least_count_by_division())
    expected = {SPREAD: scatter, COUNT: Fraction(readings)}
    model = Model(convention, instrument.maximum_permissible_error, 1, readings > 1, 1)
    add_uncertainty(working, model, expected)
    return working.number(UNCERTAINTY)


def _readings(
    convention: Convention, instrument: Instrument, scatter: Fraction, wanted: Fraction
) -> tuple[int, Fact]:
    """The fewest readings that are enough, or 0 and why there are none."""
    best = expected_uncertainty(instrument, convention, scatter, MOST_READINGS)
    if best > wanted:
        now = expected_uncertainty(instrument, convention, scatter, USUAL_READINGS)
        if best > now * Fraction(19, 20):
            return 0, fact("plan-tool-decides")
        left = Amount(best, instrument.unit)
        return 0, fact("plan-even-so-many", count=MOST_READINGS, size=left)
    low, high = USUAL_READINGS, MOST_READINGS
    while high - low > 1:
        middle = (low + high) // 2
        enough = expected_uncertainty(instrument, convention, scatter, middle) <= wanted
        low, high = (low, middle) if enough else (middle, high)
    return high, fact("plan-averages-out", count=high)


def _stack(
    instrument: Instrument, size: Fraction, one: Fraction, wanted: Fraction
) -> tuple[int, Fact]:
    """The smallest stack that is enough, or 0 and why there is none."""
    items = ceil(one / wanted)
    together = items * size
    # A count may be beyond what a message can tell one from many by.
    count = Figure(str(items))
    if instrument.range and together > instrument.range[1]:
        most = Figure(instrument.with_unit(instrument.range[1]))
        about = _about(instrument, together)
        return 0, fact("plan-stack-too-large", count=count, about=about, most=most)
    if items > MOST_ITEMS:
        return 0, fact("plan-stack-too-many", count=count)
    each = Amount(one / items, instrument.unit)
    return items, fact("plan-stack", count=count, about=_about(instrument, together), each=each)


def _about(instrument: Instrument, size: Fraction) -> Figure:
    """A size that is only roughly known, to three figures."""
    return Figure(f"{to_figures(size, 3)} {instrument.unit}")
