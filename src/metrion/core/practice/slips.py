"""The slips that learners make: each the rule by which the true situation gives a wrong answer.

A *lapse* is made at one of the looks, any; an *idea* at every one. A rule yields every way in which
it can be carried out, none where it changes nothing or cannot be.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from enum import Enum, auto
from fractions import Fraction
from math import floor

from metrion.core.exact.numbers import Number
from metrion.core.practice.exercise import Question
from metrion.core.practice.work import Averaged, Departure, Work, Zero, count_of, start_of
from metrion.core.scales import Indication, ScrewScale, VernierScale

_USUAL, _SELDOM, _OFTEN = 4, 2, 8
_DEGREE = 60


class SlipStep(Enum):
    """The step of the work at which a slip is made; two at once are made at different ones."""

    MAIN = auto()
    FINE = auto()
    LEAST_COUNT = auto()
    ZERO = auto()
    ARC = auto()
    HALF = auto()
    MEAN = auto()
    SIGN = auto()
    WRITING = auto()


@dataclass(frozen=True)
class Slip:
    """A slip by its code.

    Attributes:
        code: its name.
        step: where it is made.
        ways: every way to make it.
        weight: how likely it is, beside the others.
    """

    code: str
    step: SlipStep
    ways: Callable[[Work], Iterator[Departure]]
    weight: int = _USUAL


def _looks(work: Work) -> Iterator[tuple[int, Indication]]:
    return enumerate(work.exercise.read)


def _asks_for_negative_zero(work: Work) -> bool:
    return work.exercise.question is Question.ZERO_ERROR and work.negative_zero


def _another_mark(work: Work, step: int) -> Iterator[Departure]:
    """The neighbouring mark, then the rule of the scale; none where that reads the same."""
    tool = work.exercise.instrument
    for index, look in _looks(work):
        other = replace(look, main=look.main + step * tool.scale.main_division)
        start = start_of(tool, other)
        if start != start_of(tool, look):
            yield Departure(starts={index: start})


def next_mark(work: Work) -> Iterator[Departure]:
    """The main reading is one mark too high."""
    if not _asks_for_negative_zero(work):
        yield from _another_mark(work, 1)


def mark_before(work: Work) -> Iterator[Departure]:
    """The main reading is one mark too low."""
    if work.exercise.question is not Question.SWEEP:
        yield from _another_mark(work, -1)


def half_division_missed(work: Work) -> Iterator[Departure]:
    """One main division too little at one position of a sweep."""
    if work.exercise.question is Question.SWEEP:
        yield from _another_mark(work, -1)


def mark_at_the_line(work: Work) -> Iterator[Departure]:
    """The mark that the coinciding line meets is taken as main reading."""
    scale = work.exercise.instrument.scale
    if isinstance(scale, VernierScale):
        met = {index: scale.meets(look) for index, look in _looks(work)}
        if any(met[index] != look.main for index, look in _looks(work)):
            yield Departure(starts=met)


def main_left_out(work: Work) -> Iterator[Departure]:
    """The fine part alone."""
    if work.looks and not _asks_for_negative_zero(work):
        yield Departure(starts={index: Fraction(0) for index, _ in _looks(work)})


def _with_line(work: Work, look: Indication, line: int) -> Fraction:
    return count_of(work.exercise.instrument, replace(look, line=line))


def _another_line(work: Work, step: int) -> Iterator[Departure]:
    scale = work.exercise.instrument.scale
    last = scale.last_line if isinstance(scale, ScrewScale) else scale.fine_divisions - 1
    for index, look in _looks(work):
        line = int(look.line) + step
        if 0 <= line <= last:
            yield Departure(counts={index: _with_line(work, look, line)})


def line_above(work: Work) -> Iterator[Departure]:
    """The fine line after the one that meets."""
    yield from _another_line(work, 1)


def line_below(work: Work) -> Iterator[Departure]:
    """The fine line before the one that meets."""
    yield from _another_line(work, -1)


_NUMBERED_BY_TENS = (20, 50)


def numeral_as_line(work: Work) -> Iterator[Departure]:
    """The numeral that is printed at the line is taken as its number."""
    tool = work.exercise.instrument
    n = tool.scale.fine_divisions
    if not tool.traits.slides or n not in _NUMBERED_BY_TENS:
        return
    printed = {
        index: _with_line(work, look, 10 * int(look.line) // n)
        for index, look in _looks(work)
        if 0 < look.line < n and 10 * int(look.line) % n == 0
    }
    if printed:
        yield Departure(counts=printed)


def line_as_decimals(work: Work) -> Iterator[Departure]:
    """The number of the line is written behind the point of the main reading."""
    if work.exercise.angular:
        return
    whole = [(i, look) for i, look in _looks(work) if look.main >= 0 and look.main.denominator == 1]
    if whole:
        # A second turn is not part of the main reading that stands before the point.
        turned = {index: work.looks[index][0] - look.main for index, look in whole}
        decimals = {index: Fraction(f"0.{int(look.line)}") - turned[index] for index, look in whole}
        yield Departure(worths=decimals)


def fine_left_out(work: Work) -> Iterator[Departure]:
    """The main part alone."""
    if any(count for _, count in work.looks):
        yield Departure(counts={index: Fraction(0) for index, _ in _looks(work)})


def counted_backwards(work: Work) -> Iterator[Departure]:
    """n - k for line k."""
    if _asks_for_negative_zero(work):
        return
    n = work.exercise.instrument.scale.fine_divisions
    turned = {
        index: _with_line(work, look, n - int(look.line))
        for index, look in _looks(work)
        if look.line
    }
    if turned:
        yield Departure(counts=turned)


def _least_counts(work: Work, least: Fraction) -> Iterator[Departure]:
    """A wrong least count at every look and at the zero, which may then be counted back."""
    yield Departure(least_count=least)
    if work.negative_zero:
        yield Departure(least_count=least, counted_back=True)


def division_as_least_count(work: Work) -> Iterator[Departure]:
    """A tenth of the main division, whatever the number of lines."""
    tool = work.exercise.instrument
    tenth = tool.scale.main_division / 10
    if not tool.traits.turns and tenth != tool.least_count:
        yield from _least_counts(work, tenth)


def least_count_tenfold(work: Work) -> Iterator[Departure]:
    """The least count ten times too large."""
    yield from _least_counts(work, work.exercise.instrument.least_count * 10)


def least_count_tenth(work: Work) -> Iterator[Departure]:
    """The least count ten times too small."""
    yield from _least_counts(work, work.exercise.instrument.least_count / 10)


def _turns(work: Work, step: int) -> Iterator[Departure]:
    scale = work.exercise.instrument.scale
    if isinstance(scale, ScrewScale) and scale.two_turns:
        for index, look in _looks(work):
            if look.second_turn is (step < 0):
                yield Departure(starts={index: scale.turn_start(look) + step * scale.pitch})


def turn_missed(work: Work) -> Iterator[Departure]:
    """The second turn past the mark is not seen."""
    yield from _turns(work, -1)


def turn_added(work: Work) -> Iterator[Departure]:
    """A second turn is seen where there is none."""
    yield from _turns(work, 1)


def _zeros(work: Work, way: Zero, *, asked: bool = False) -> Iterator[Departure]:
    enters = work.exercise.question in (Question.CORRECTED, Question.MEAN)
    if work.zero and (enters or (asked and work.exercise.question is Question.ZERO_ERROR)):
        yield Departure(zero=way)


def zero_left_out(work: Work) -> Iterator[Departure]:
    """The zero error is not corrected."""
    yield from _zeros(work, Zero.LEFT_OUT)


def zero_added(work: Work) -> Iterator[Departure]:
    """The zero error is corrected with the wrong sign."""
    yield from _zeros(work, Zero.ADDED)


def zero_wrapped(work: Work) -> Iterator[Departure]:
    """A negative zero error is taken as positive: k least counts."""
    if work.negative_zero:
        yield from _zeros(work, Zero.WRAPPED, asked=True)


def zero_counted_from_end(work: Work) -> Iterator[Departure]:
    """A negative zero error is taken as minus k least counts instead of minus (n - k)."""
    if work.negative_zero:
        yield from _zeros(work, Zero.FROM_END, asked=True)


def _units(work: Work, factor: Fraction) -> Iterator[Departure]:
    asked = work.exercise.question is not Question.LEAST_COUNT
    if asked and work.exercise.instrument.unit in ("mm", "cm"):
        yield Departure(last=lambda value: value * factor)


def unit_tenfold(work: Work) -> Iterator[Departure]:
    """Millimetres for centimetres."""
    yield from _units(work, Fraction(10))


def unit_tenth(work: Work) -> Iterator[Departure]:
    """Centimetres for millimetres."""
    yield from _units(work, Fraction(1, 10))


def _minutes_behind_the_point(value: Number) -> Number:
    degrees = floor(value / _DEGREE)
    minutes = value - degrees * _DEGREE
    return (degrees + minutes / 100) * _DEGREE


def minutes_as_decimals(work: Work) -> Iterator[Departure]:
    """57.12 for 57°12′."""
    if work.exercise.angular and work.exercise.question is not Question.LEAST_COUNT:
        yield Departure(last=_minutes_behind_the_point)


def other_arc(work: Work) -> Iterator[Departure]:
    """360° less the sweep."""
    if work.exercise.question is Question.SWEEP:
        yield Departure(other_arc=True)


def not_halved(work: Work) -> Iterator[Departure]:
    """The sweep for its half."""
    if work.exercise.question is Question.SWEEP and work.exercise.divide_by != 1:
        yield Departure(not_halved=True)


def _of_a_mean(work: Work, *ways: Averaged) -> Iterator[Departure]:
    if work.exercise.question is Question.MEAN:
        yield from (Departure(averaged=way) for way in ways)


def one_left_out(work: Work) -> Iterator[Departure]:
    """One look is forgotten."""
    if work.exercise.question is Question.MEAN and len(work.looks) > 1:
        yield from (Departure(forgotten=index) for index in range(len(work.looks)))


def sum_for_mean(work: Work) -> Iterator[Departure]:
    """The sum is not divided."""
    yield from _of_a_mean(work, Averaged.SUMMED, Averaged.SUMMED_ONE_ZERO)


def divided_by_one_less(work: Work) -> Iterator[Departure]:
    """The sum is divided by one look too few."""
    if len(work.looks) > 1:
        yield from _of_a_mean(work, Averaged.BY_ONE_LESS, Averaged.BY_ONE_LESS_ONE_ZERO)


def sign(work: Work) -> Iterator[Departure]:
    """The right size with the wrong sign."""
    if work.exercise.question is Question.ZERO_ERROR:
        yield Departure(last=lambda value: -value)


SLIPS = (
    Slip("next-mark", SlipStep.MAIN, next_mark, _OFTEN),
    Slip("mark-before", SlipStep.MAIN, mark_before),
    Slip("mark-at-the-line", SlipStep.MAIN, mark_at_the_line),
    Slip("line-above", SlipStep.FINE, line_above),
    Slip("line-below", SlipStep.FINE, line_below),
    Slip("numeral-as-line", SlipStep.FINE, numeral_as_line),
    Slip("line-as-decimals", SlipStep.FINE, line_as_decimals, _OFTEN),
    Slip("fine-left-out", SlipStep.FINE, fine_left_out, _OFTEN),
    Slip("main-left-out", SlipStep.MAIN, main_left_out, _SELDOM),
    Slip("division-as-least-count", SlipStep.LEAST_COUNT, division_as_least_count, _OFTEN),
    Slip("least-count-tenfold", SlipStep.LEAST_COUNT, least_count_tenfold),
    Slip("least-count-tenth", SlipStep.LEAST_COUNT, least_count_tenth),
    Slip("turn-missed", SlipStep.MAIN, turn_missed, _OFTEN),
    Slip("turn-added", SlipStep.MAIN, turn_added),
    Slip("counted-backwards", SlipStep.FINE, counted_backwards, _OFTEN),
    Slip("zero-left-out", SlipStep.ZERO, zero_left_out, _OFTEN),
    Slip("zero-added", SlipStep.ZERO, zero_added, _OFTEN),
    Slip("zero-wrapped", SlipStep.ZERO, zero_wrapped, _OFTEN),
    Slip("zero-counted-from-end", SlipStep.ZERO, zero_counted_from_end),
    Slip("unit-tenfold", SlipStep.WRITING, unit_tenfold),
    Slip("unit-tenth", SlipStep.WRITING, unit_tenth),
    Slip("minutes-as-decimals", SlipStep.WRITING, minutes_as_decimals, _OFTEN),
    Slip("half-division-missed", SlipStep.MAIN, half_division_missed, _OFTEN),
    Slip("other-arc", SlipStep.ARC, other_arc, _OFTEN),
    Slip("not-halved", SlipStep.HALF, not_halved, _OFTEN),
    Slip("one-left-out", SlipStep.MEAN, one_left_out),
    Slip("sum-for-mean", SlipStep.MEAN, sum_for_mean),
    Slip("divided-by-one-less", SlipStep.MEAN, divided_by_one_less),
    Slip("sign", SlipStep.SIGN, sign),
)
"""Every slip that files name, in the order in which equally likely ones are told."""
