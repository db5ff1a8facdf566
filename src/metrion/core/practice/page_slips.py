"""Slips that are named on the page only, after those that files name."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from fractions import Fraction
from math import floor

from metrion.core.exact.figures import round_half_away
from metrion.core.exact.numbers import Number
from metrion.core.practice.exercise import Question, least_decimals
from metrion.core.practice.slips import Slip, SlipStep
from metrion.core.practice.work import Departure, Work
from metrion.core.scales import ScrewScale, VernierScale

_INCH = Fraction("25.4")
_TOLD_DECIMALS = 2
"""From so many decimals on an answer tells which unit it was read in."""


def half_mark_counted(work: Work) -> Iterator[Departure]:
    """A half mark that only stands between those that count is taken as one."""
    scale = work.exercise.instrument.scale
    if isinstance(scale, ScrewScale) and scale.finer_sleeve:
        for index, look in enumerate(work.exercise.read):
            last = scale.last_mark(look)
            if last != scale.turn_start(look):
                yield Departure(starts={index: last})


def division_over_lines(work: Work) -> Iterator[Departure]:
    """s/n for p/n: the sleeve's division instead of the pitch."""
    scale = work.exercise.instrument.scale
    if isinstance(scale, ScrewScale) and scale.main_division != scale.pitch:
        yield Departure(least_count=scale.main_division / scale.fine_divisions)


def fine_division(work: Work) -> Iterator[Departure]:
    """The length of a fine division as least count, or what one main division is more or less."""
    scale = work.exercise.instrument.scale
    if isinstance(scale, VernierScale):
        length = scale.span * scale.main_division / scale.fine_divisions
        for least in {length, abs(scale.main_division - length)} - {scale.least_count, Fraction(0)}:
            yield Departure(least_count=least)


def mark_of_the_line_alone(work: Work) -> Iterator[Departure]:
    """The mark that the line meets, and nothing besides."""
    scale = work.exercise.instrument.scale
    if isinstance(scale, VernierScale) and work.exercise.question is not Question.LEAST_COUNT:
        met = {index: scale.meets(look) for index, look in enumerate(work.exercise.read)}
        yield Departure(starts=met, counts=dict.fromkeys(met, Fraction(0)))


def _behind_the_point(value: Fraction) -> Fraction:
    degrees = floor(value / 60)
    return degrees + (value - degrees * 60) / 100


def carried_at_a_hundred(work: Work) -> Iterator[Departure]:
    """Minutes carried at a hundred: 57.12 - 18.40 = 38.72, taken for 38°72′."""
    if work.exercise.question is not Question.SWEEP:
        return
    tool, (first, second) = work.exercise.instrument, work.exercise.looks
    a, b = (_behind_the_point(tool.reading(look)) for look in (first, second))
    off = abs(b - a)
    degrees = floor(off)
    for value in (off * 60, degrees * 60 + (off - degrees) * 100):
        yield Departure(last=_always(value / work.exercise.divide_by))


def _always(value: Number) -> Callable[[Number], Number]:
    return lambda _: value


def halved_needlessly(work: Work) -> Iterator[Departure]:
    """Half of a sweep of which the whole was asked for."""
    if work.exercise.question is Question.SWEEP and work.exercise.divide_by == 1:
        yield Departure(last=lambda value: value / 2)


def added_for_difference(work: Work) -> Iterator[Departure]:
    """The two positions added."""
    if work.exercise.question is Question.SWEEP:
        tool = work.exercise.instrument
        whole = sum((tool.reading(look) for look in work.exercise.looks), Fraction(0))
        yield Departure(last=_always(whole / work.exercise.divide_by))


def inch_for_millimetre(work: Work) -> Iterator[Departure]:
    """Inches for millimetres, or the reverse."""
    unit, written = work.exercise.instrument.unit, work.written
    if work.exercise.angular or written is None:
        return
    if unit == "in":
        yield Departure(last=lambda value: round_half_away(Fraction(value) * _INCH, -written))
    elif unit == "mm" and written >= _TOLD_DECIMALS:
        yield Departure(last=lambda value: round_half_away(Fraction(value) / _INCH, -written))


def _shortened(work: Work) -> int | None:
    """The decimals of an answer that has fewer than it should."""
    lengths = not work.exercise.angular and work.exercise.question is not Question.LEAST_COUNT
    fewer = work.written is not None and work.written < least_decimals(work.exercise.instrument)
    return work.written if lengths and fewer else None


def rounded_too_soon(work: Work) -> Iterator[Departure]:
    """Rounded to fewer decimals than the least count has."""
    if (decimals := _shortened(work)) is not None:
        yield Departure(last=lambda value: round_half_away(Fraction(value), -decimals))


def cut_off(work: Work) -> Iterator[Departure]:
    """Cut off after fewer decimals than the least count has."""
    if (decimals := _shortened(work)) is not None:
        yield Departure(last=lambda value: Fraction(int(value * 10**decimals), 10**decimals))


FURTHER = (
    Slip("half-mark-counted", SlipStep.MAIN, half_mark_counted),
    Slip("division-over-lines", SlipStep.LEAST_COUNT, division_over_lines),
    Slip("fine-division", SlipStep.LEAST_COUNT, fine_division),
    Slip("mark-of-the-line-alone", SlipStep.MAIN, mark_of_the_line_alone),
    Slip("carried-at-a-hundred", SlipStep.WRITING, carried_at_a_hundred),
    Slip("halved-needlessly", SlipStep.HALF, halved_needlessly),
    Slip("added-for-difference", SlipStep.ARC, added_for_difference),
    Slip("inch-for-millimetre", SlipStep.WRITING, inch_for_millimetre),
    Slip("rounded-too-soon", SlipStep.WRITING, rounded_too_soon),
    Slip("cut-off", SlipStep.WRITING, cut_off),
)
"""In the order in which they are told."""
