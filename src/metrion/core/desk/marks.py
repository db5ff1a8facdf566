"""Main readings as they are typed: with the unit they are engraved in, degrees with a point."""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator
from contextlib import suppress
from dataclasses import dataclass
from fractions import Fraction
from math import ceil, floor

from metrion.core.desk.typed import Offer, Unclear, has_unit, plainly_typed, typed_length
from metrion.core.errors import NotAMark, OutOfBounds
from metrion.core.exact.angles import parse_angle
from metrion.core.exact.bounds import check_length, check_number
from metrion.core.facts import Fact, Figure, fact
from metrion.core.instruments.drawing import engraved_text, engraved_unit
from metrion.core.instruments.instrument import Instrument, Kind
from metrion.core.scales.base import is_multiple

_ANGLE = re.compile(r"(-?[0-9]+) *[°: ] *([0-9]{1,2}) *[′']?")
_LENGTHS = ("mm", "cm", "in")
_WITH_POINT = re.compile(r"(-?)([0-9]+)\.([0-9]{1,6})°?")


@dataclass(frozen=True)
class TypedMark:
    """A main reading that was typed.

    Attributes:
        value: in the unit of the instrument.
        says: what it was taken for, where that is not what stands there.
    """

    value: Fraction
    says: Fact | None = None


def typed_main(
    instrument: Instrument, text: str, *, engraved: bool = False, estimates: bool = False
) -> TypedMark:
    """A main reading.

    Args:
        engraved: whether a figure without a unit has the one that the scale is engraved in; else
            it has that of the instrument.
        estimates: whether one may read between the marks, where there is no fine scale.

    Raises:
        NotExact, NotAnAngle: if it is no number or angle.
        Unclear: if the scale has no such mark, or it could be one of two.
    """
    if instrument.kind is Kind.ANGULAR:
        return _typed_angle(instrument, text)
    usual = engraved_unit(instrument) if engraved else instrument.unit
    typed = typed_length(instrument, text, usual)
    _check(instrument, typed.value, estimates=estimates)
    if typed.unit == instrument.unit:
        return TypedMark(typed.value)
    as_typed = plainly_typed(text) if typed.named else f"{plainly_typed(text)} {typed.unit}"
    read = Figure(f"{instrument.mark_text(typed.value)} {instrument.unit}")
    return TypedMark(typed.value, fact("typed-mark", typed=Figure(as_typed), value=read))


def in_another_unit(instrument: Instrument, text: str) -> Iterator[Offer]:
    """What a main reading beyond the range would be in a unit in which the scale has it.

    Who reads 52 mm on a beam of 15 cm is asked; nothing is taken for what was not typed.
    """
    if instrument.kind is Kind.ANGULAR or has_unit(text):
        return
    for unit in _LENGTHS:
        other = f"{plainly_typed(text)} {unit}"
        # A unit in which it would be larger than any number may be is not what was meant.
        with suppress(OutOfBounds):
            value = typed_length(instrument, other, "").value
            if instrument.can_reach(value) and is_multiple(value, instrument.scale.main_division):
                yield Offer(other, fact("offer-mark", mark=Figure(other)))


def main_typed(instrument: Instrument, main: Fraction) -> str:
    """What is typed for a main reading at the bench."""
    if instrument.kind is Kind.ANGULAR:
        return instrument.main_text(main)
    return engraved_text(instrument, main)


def _typed_angle(instrument: Instrument, text: str) -> TypedMark:
    check_length(text)
    plain = plainly_typed(text)
    if match := _WITH_POINT.fullmatch(plain):
        return _with_point(instrument, plain, *match.groups())
    angle = _ANGLE.fullmatch(plain)
    main = parse_angle(f"{angle[1]}:{angle[2]:0>2}" if angle else f"{plain.removesuffix('°')}:00")
    check_number(plain, main)
    _check(instrument, main)
    return TypedMark(main)


def _with_point(
    instrument: Instrument, text: str, sign: str, degrees: str, digits: str
) -> TypedMark:
    """Minutes behind the point, or decimals of a degree: whichever is a mark."""
    as_minutes = len(digits) <= 2 and int(digits) < 60
    found = [Fraction(60 * int(degrees) + int(digits))] if as_minutes else []
    found.append(Fraction(f"{degrees}.{digits}") * 60)
    meanings = [-one if sign else one for one in dict.fromkeys(found)]
    for one in meanings:
        check_number(text, one)
    marks = [one for one in meanings if is_multiple(one, instrument.scale.main_division)]
    if len(marks) == 1:
        read = Figure(instrument.mark_text(marks[0]))
        return TypedMark(marks[0], fact("typed-angle", typed=Figure(text), value=read))
    near = marks or [each for one in meanings for each in _around(instrument, one)]
    code = "degrees-with-point-both" if marks else "degrees-with-point-neither"
    raise Unclear(fact(code, typed=Figure(text)), _offers(instrument, near))


def _check(instrument: Instrument, main: Fraction, *, estimates: bool = False) -> None:
    try:
        instrument.check_main(main, estimates=estimates)
    except NotAMark as error:
        marks = _around(instrument, main)
        raise Unclear(error.says, _offers(instrument, marks)) from None


def _around(instrument: Instrument, main: Fraction) -> list[Fraction]:
    """The last mark passed and the next one."""
    division = instrument.scale.main_division
    return [floor(main / division) * division, ceil(main / division) * division]


def _offers(instrument: Instrument, marks: Iterable[Fraction]) -> list[Offer]:
    unit = "" if instrument.kind is Kind.ANGULAR else f" {engraved_unit(instrument)}"
    return [
        Offer(
            main_typed(instrument, mark),
            fact("offer-mark", mark=Figure(f"{engraved_text(instrument, mark)}{unit}")),
        )
        for mark in dict.fromkeys(marks)
    ]
