"""Where the lines of an instrument lie and how they are numbered: told once, drawn by the page."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from typing import TypeVar

from metrion.core.instruments import Instrument, Kind
from metrion.core.scales import Look, VernierScale
from metrion.core.scales.numerals import Numerals, usual_numerals
from metrion.core.typed import FineAs

_MM_PER = {"mm": Fraction(1), "cm": Fraction(10)}
_MOST_MARKS_PER_NUMERAL = 100


class PrintedUnit(StrEnum):
    """Which unit the numerals of a metric main scale stand for."""

    MM = "mm"
    CM = "cm"


class Side(StrEnum):
    """On which side of a line or scale something lies."""

    ABOVE = "above"
    BELOW = "below"


class Growth(StrEnum):
    """Which way the numerals of a thimble grow, seen with the frame to the left."""

    UP = "up"
    DOWN = "down"


@dataclass(frozen=True)
class Appearance:
    """What an instrument looks like beyond what its readings need.

    Attributes:
        numerals: the unit its main numerals stand for.
        fine_as: what the student types for the fine reading.
        fine_side: whether the fine scale lies below or above the main scale.
        half_marks: whether the half marks of a sleeve lie below or above the datum line.
        thimble_numerals: which way the numerals of the thimble grow.
        numbered_every: fine lines from one numeral to the next; None for the usual.
        second_edge: whether the other edge of the beam shows inches.
    """

    numerals: PrintedUnit = PrintedUnit.MM
    fine_as: FineAs = FineAs.LINE
    fine_side: Side = Side.BELOW
    half_marks: Side = Side.BELOW
    thimble_numerals: Growth = Growth.UP
    numbered_every: int | None = None
    second_edge: bool = False


_Word = TypeVar("_Word", bound=StrEnum)


def appearance_of(record: Mapping[str, object]) -> Appearance:
    """The appearance that the optional fields of an instrument ask for; what fits none is usual."""
    usual = Appearance()
    every = record.get("numbered_every")
    return Appearance(
        _word(record, "numerals", usual.numerals),
        _word(record, "fine_as", usual.fine_as),
        _word(record, "fine_side", usual.fine_side),
        _word(record, "half_marks", usual.half_marks),
        _word(record, "thimble_numerals", usual.thimble_numerals),
        every if type(every) is int and every > 0 else None,
        record.get("second_edge") is True,
    )


def _word(record: Mapping[str, object], name: str, usual: _Word) -> _Word:
    words = {str(word): word for word in type(usual)}
    return words.get(str(record.get(name)), usual)


@dataclass(frozen=True)
class MainNumerals:
    """The numerals of the main scale.

    Attributes:
        every: marks from one numeral to the next.
        step: what a numeral grows by.
        unit: what they stand for.
    """

    every: int
    step: Fraction
    unit: str


def fine_numerals(instrument: Instrument, appearance: Appearance | None = None) -> Numerals:
    """The numerals of its fine scale."""
    usual = usual_numerals(instrument.scale.fine_divisions, tenths=instrument.kind is Kind.VERNIER)
    every = appearance.numbered_every if appearance else None
    return Numerals(every, usual.at(every)) if every else usual


def main_numerals(instrument: Instrument, appearance: Appearance) -> MainNumerals:
    """The numerals of its main scale: at every centimetre, tenth of an inch, degree."""
    division = instrument.scale.main_division
    if instrument.kind is Kind.ANGULAR:
        return _numerals_at(Fraction(60), division, Fraction(1), "°")
    if instrument.unit == "in":
        return _numerals_at(Fraction(1, 10), division, Fraction(1, 10), "in")
    unit = _MM_PER[instrument.unit]
    printed = _MM_PER[appearance.numerals]
    distance = Fraction(1 if instrument.kind is Kind.SCREW else 10) / unit
    return _numerals_at(distance, division, distance * unit / printed, str(appearance.numerals))


def _numerals_at(distance: Fraction, division: Fraction, step: Fraction, unit: str) -> MainNumerals:
    """Numerals at the first marks that fall on whole distances; at every tenth mark if none do."""
    every = (distance / division).denominator * distance / division
    if every > _MOST_MARKS_PER_NUMERAL:
        every = Fraction(10)
    return MainNumerals(every.numerator, step * every * division / distance, unit)


def line_places(instrument: Instrument) -> list[Fraction]:
    """How far each fine line of a vernier lies from the fine zero, along the main scale."""
    scale = instrument.scale
    if not isinstance(scale, VernierScale):
        return []
    return [scale.line_position(line) for line in range(scale.fine_divisions + 1)]


def line_worths(instrument: Instrument) -> list[Fraction]:
    """What each whole fine line adds to the main reading."""
    scale = instrument.scale
    start = Look(Fraction(0), 0)
    return [
        scale.reading(Look(start.main, line)) - scale.reading(start)
        for line in range(scale.last_line + 1)
    ]
