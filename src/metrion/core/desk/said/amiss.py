"""What is wrong with figures that are no reading of a tool, and what could be said instead."""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Sequence
from contextlib import suppress
from fractions import Fraction
from math import ceil, floor

from metrion.core.desk.said.spelling import minutes, plainly, spelled, spelled_angles, split_range
from metrion.core.desk.typed import Offer, typed_number
from metrion.core.errors import (
    MetrionError,
    NoSuchLine,
    NotAMark,
    NotAnAngle,
    NotEstimable,
    NotExact,
)
from metrion.core.exact.bounds import check_length
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Fact, Figure, Name, either, fact
from metrion.core.formula.units import unit_ratio
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.drawing import engraved_unit, fine_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import spoken_mark, spoken_unit, spoken_worth
from metrion.core.scales import Indication, Line, VernierScale
from metrion.core.scales.base import Undecided

_STROKE = re.compile(r"([0-9]{1,9})/([0-9]{1,9})")
_BACK = re.compile(r"-([0-9]{1,4})")

Amiss = tuple[Fact, tuple[Offer, ...]]


def main_amiss(instrument: Instrument, said: str, estimating: Sequence[str] | None = None) -> Amiss:
    """Why a main figure is no mark, with the marks beside it.

    Args:
        estimating: names of conventions that read between marks, where the one in force does not.
    """
    try:
        check_length(said.strip())
    except MetrionError as error:
        return error.says, ()
    if instrument.traits.circular:
        return _angle_amiss(instrument, said)
    number = spelled(plainly(said, length=True))
    if number is None:
        return _no_number(said), ()
    value = number.value * _per(instrument, number.unit or engraved_unit(instrument))
    says = _no_mark(instrument, value)
    if estimating is not None and not instrument.scale.has_fine_scale:
        says = fact("fault-and-hint", what=says, hint=_who_estimates(estimating))
    return says, tuple(_marks(instrument, _around(instrument, value)))


def _who_estimates(conventions: Sequence[str]) -> Fact:
    """By which convention a place between marks could be read."""
    names = [Name(one) for one in conventions]
    if not names:
        return fact("no-convention-estimates")
    return fact("convention-that-estimates", names=either(names))


def _no_number(said: str) -> Fact:
    try:
        typed_number(said)
    except MetrionError as error:
        return error.says
    return NotExact(said.strip()).says


def _angle_amiss(instrument: Instrument, said: str) -> Amiss:
    text = plainly(said, length=False)
    angles = list(spelled_angles(text, mark=True))
    if not angles:
        return NotAnAngle(said.strip()).says, ()
    near = [mark for angle in angles for mark in _around(instrument, angle.value)]
    offers = tuple(_marks(instrument, near))
    if len(angles) > 1 or angles[0].by_decimals:
        return fact("degrees-with-point-neither", typed=Figure(text)), offers
    return _no_mark(instrument, angles[0].value), offers


def _no_mark(instrument: Instrument, value: Fraction) -> Fact:
    division = instrument.scale.main_division
    if instrument.traits.circular:
        apart = f"{to_text(division)}′"
    else:
        apart = spoken_mark(instrument, division, with_unit=True)
    return NotAMark(spoken_mark(instrument, value), instrument.name, apart).says


def _around(instrument: Instrument, value: Fraction) -> list[Fraction]:
    """The last mark passed and the next one."""
    division = instrument.scale.main_division
    return [floor(value / division) * division, ceil(value / division) * division]


def _marks(instrument: Instrument, marks: Iterable[Fraction]) -> Iterator[Offer]:
    for mark in dict.fromkeys(marks):
        shown = Figure(spoken_mark(instrument, mark, with_unit=True))
        yield Offer(main_typed(instrument, mark), fact("offer-mark", mark=shown))


def main_typed(instrument: Instrument, main: Fraction) -> str:
    """What is typed for a main reading at the bench."""
    if instrument.traits.circular:
        return instrument.main_text(main)
    return spoken_mark(instrument, main)


def line_typed(instrument: Instrument, line: Line, fine_as: FineAs | None) -> str:
    """What is typed for a line at the bench."""
    if fine_as is FineAs.NUMERAL:
        return fine_numerals(instrument).text(line)
    if fine_as is FineAs.WORTH:
        worth = _worth(instrument, line)
        if instrument.traits.circular:
            return to_text(worth)
        if spoken_unit(instrument) != instrument.unit:
            return spoken_mark(instrument, worth)
        return instrument.value_text(worth)
    return to_text(Fraction(line))


def fine_amiss(
    instrument: Instrument, said: str, fine_as: FineAs | None, *, estimates: bool
) -> Amiss:
    """Why a fine figure is no line beside its mark, with the lines near it."""
    try:
        check_length(said)
    except MetrionError as error:
        return error.says, ()
    text = plainly(said, length=not instrument.traits.circular)
    if back := _BACK.fullmatch(text):
        last = str(instrument.scale.last_line)
        return NoSuchLine(f"-{back[1]}", instrument.name, last).says, ()
    for first, last in split_range(text):
        if first.isdecimal() and last.isdecimal():
            return _several_amiss(instrument, int(first), int(last)), ()
    number = spelled(text)
    typed = minutes(text) if instrument.traits.circular else None
    if number is None and typed is None:
        return _no_number(said), tuple(_lines_with_a_stroke(instrument, text))
    says = fact(
        "fits-no-line",
        typed=Figure(said.strip()),
        tool=Name(instrument.name),
        last=instrument.scale.last_line,
    )
    if number is None or number.unit:
        length = typed or (number.value * _per(instrument, number.unit) if number else None)
        return says, tuple(_beside(instrument, _of_worth(instrument, length), fine_as))
    if number.is_digits and fine_as in (None, FineAs.LINE):
        with suppress(MetrionError):
            instrument.check_line(number.value.numerator, estimates=False)
            return says, ()
        return NoSuchLine(text, instrument.name, str(instrument.scale.last_line)).says, ()
    offers = tuple(_lines_with_a_stroke(instrument, text))
    near = _near(instrument, number.value, fine_as)
    return (
        _estimated(instrument, number.value, estimates=estimates) or says,
        offers or tuple(_beside(instrument, near, fine_as)),
    )


def _several_amiss(instrument: Instrument, first: int, last: int) -> Fact:
    try:
        instrument.check_undecided(Undecided(first, last))
    except MetrionError as error:
        return error.says
    return NoSuchLine(f"{first}-{last}", instrument.name, str(instrument.scale.last_line)).says


def _near(instrument: Instrument, number: Fraction, fine_as: FineAs | None) -> Fraction | None:
    """The place on the fine scale that a figure comes nearest to."""
    if fine_as is FineAs.NUMERAL:
        return fine_numerals(instrument).line(number)
    # A figure below 1 that is no line was hardly meant as one.
    return _of_worth(instrument, number) if fine_as is FineAs.WORTH or number < 1 else number


def _of_worth(instrument: Instrument, worth: Fraction | None) -> Fraction | None:
    """Between which lines a length lies; None where they are in no order."""
    scale = instrument.scale
    if worth is None or (isinstance(scale, VernierScale) and not scale.estimable()):
        return None
    return worth / scale.least_count


def _per(instrument: Instrument, unit: str) -> Fraction:
    return unit_ratio(unit, instrument.unit)


def _worth(instrument: Instrument, line: Line) -> Fraction:
    return instrument.scale.reading(Indication(Fraction(0), line))


def _estimated(instrument: Instrument, number: Fraction, *, estimates: bool) -> Fact | None:
    """That a place between lines is not estimated, where a figure can mean nothing else."""
    numbered = fine_numerals(instrument).line(number) == number
    if not (numbered and number > 1 and instrument.scale.has_line(number)):
        return None
    try:
        instrument.check_line(number, estimates=estimates)
    except NotEstimable as error:
        return error.says
    return None


def _beside(
    instrument: Instrument, near: Fraction | None, fine_as: FineAs | None
) -> Iterator[Offer]:
    """The lines on both sides of a place between them."""
    if near is None or not instrument.scale.estimable():
        return
    for line in sorted({floor(near), ceil(near)}):
        if instrument.scale.has_line(line):
            worth = Figure(spoken_worth(instrument, _worth(instrument, line)))
            numeral = Figure(fine_numerals(instrument).text(line))
            told = fact("offer-line", line=Figure(str(line)), numeral=numeral, worth=worth)
            yield Offer(line_typed(instrument, line, fine_as), told)


def _lines_with_a_stroke(instrument: Instrument, text: str) -> Iterator[Offer]:
    """Lines that cannot be told apart, where ``15/16`` was typed for them."""
    if (stroke := _STROKE.fullmatch(text)) and int(stroke[2]) == int(stroke[1]) + 1:
        first, last = int(stroke[1]), int(stroke[2])
        with suppress(MetrionError):
            instrument.check_undecided(Undecided(first, last))
            yield Offer(f"{first}-{last}", fact("offer-lines", first=first, last=last))
