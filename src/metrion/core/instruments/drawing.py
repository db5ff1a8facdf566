"""Where the lines of an instrument lie and how they are numbered: told once, drawn by the page."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, VernierScale
from metrion.core.scales.numerals import Numerals, usual_numerals

_MM_PER = {"mm": Fraction(1), "cm": Fraction(10)}
_MOST_MARKS_PER_NUMERAL = 100


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


def fine_numerals(instrument: Instrument) -> Numerals:
    """The numerals of its fine scale."""
    usual = usual_numerals(instrument.scale.fine_divisions, tenths=instrument.traits.slides)
    every = instrument.appearance.numbered_every
    return Numerals(every, usual.at(every)) if every else usual


def main_numerals(instrument: Instrument) -> MainNumerals:
    """The numerals of its main scale: at every centimetre, tenth of an inch, degree."""
    division = instrument.scale.main_division
    if instrument.traits.circular:
        return _numerals_at(Fraction(60), division, Fraction(1), "°")
    if instrument.unit == "in":
        return _numerals_at(Fraction(1, 10), division, Fraction(1, 10), "in")
    unit, engraved = _MM_PER[instrument.unit], instrument.appearance.numerals or instrument.unit
    printed = _MM_PER[engraved]
    distance = Fraction(1 if instrument.traits.turns else 10) / unit
    return _numerals_at(distance, division, distance * unit / printed, str(engraved))


def _numerals_at(distance: Fraction, division: Fraction, step: Fraction, unit: str) -> MainNumerals:
    """Numerals at the first marks that fall on whole distances; at every tenth mark if none do."""
    every = (distance / division).denominator * distance / division
    if every > _MOST_MARKS_PER_NUMERAL:
        every = Fraction(10)
    return MainNumerals(every.numerator, step * every * division / distance, unit)


def engraved_unit(instrument: Instrument) -> str:
    """The unit that the numerals of its main scale stand for; that of a display is its own."""
    bare = instrument.traits.circular or instrument.appearance.display
    return instrument.unit if bare else main_numerals(instrument).unit


def line_places(instrument: Instrument) -> list[Fraction]:
    """How far each fine line of a vernier lies from the fine zero, along the main scale."""
    scale = instrument.scale
    if not isinstance(scale, VernierScale):
        return []
    return [scale.line_position(line) for line in range(scale.fine_divisions + 1)]


def line_worths(instrument: Instrument) -> list[Fraction]:
    """What each whole fine line adds to the main reading."""
    scale = instrument.scale
    start = Indication(Fraction(0), 0)
    return [
        scale.reading(Indication(start.main, line)) - scale.reading(start)
        for line in range(scale.last_line + 1)
    ]
