"""One reading drawn: the scales of the instrument as they stood, for paper, in black and white.

Lines are told apart by their lengths and weights, not by a hue alone.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction
from html import escape
from itertools import chain
from math import ceil, cos, floor, pi, sin
from typing import NamedTuple, assert_never

from metrion.core.exact.numbers import to_text
from metrion.core.instruments.appearance import Growth, Side
from metrion.core.instruments.drawing import fine_numerals, line_places, main_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, PlainScale, ScrewScale, VernierScale
from metrion.voice import Numbers

WIDTH, HEIGHT = 640, 132
_EDGE, _DATUM, _THIMBLE = 66.0, 74.0, 300.0
_MAIN, _FINE, _QUIET = "#24419A", "#8A4B00", "#444444"
_ENGRAVED = Numbers()
"""What is engraved on a tool has its point, whoever reads it."""
_FONT = 'font-family="sans-serif" font-size="12" text-anchor="middle"'


def drawn_scales(instrument: Instrument, indication: Indication) -> str:
    """The scales as they stand, as SVG, to be read: nothing on it says how."""
    return _svg(instrument.name, _scales(instrument, indication))


def drawn_reading(instrument: Instrument, indication: Indication) -> str:
    """A reading as SVG: the scales, and over them what makes it."""
    read = instrument.with_unit(instrument.reading(indication))
    pieces = chain(_scales(instrument, indication), _told(instrument, indication))
    return _svg(f"{instrument.name} at {read}", pieces)


def _svg(title: str, pieces: Iterator[str]) -> str:
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH} {HEIGHT}" '
        f'width="{WIDTH}" height="{HEIGHT}" role="img"><title>{escape(title)}</title>'
        f"{''.join(pieces)}</svg>"
    )


def _scales(instrument: Instrument, indication: Indication) -> Iterator[str]:
    scale = instrument.scale
    match scale:
        case ScrewScale():
            return _screw(instrument, scale, indication)
        case VernierScale():
            return _vernier(instrument, scale, indication)
        case PlainScale():
            return _plain(instrument, indication)
        case _:
            assert_never(scale)


def _told(instrument: Instrument, indication: Indication) -> Iterator[str]:
    """What makes the reading: the mark that has been passed, and the line that meets."""
    scale = instrument.scale
    match scale:
        case ScrewScale():
            return _screw_told(instrument, scale, indication)
        case VernierScale():
            return _vernier_told(instrument, scale, indication)
        case PlainScale():
            return iter((_line(WIDTH / 2, _EDGE - 30, _EDGE + 26, _MAIN, 3),))
        case _:
            assert_never(scale)


def _line(x: float, y1: float, y2: float, stroke: str, width: float = 1) -> str:
    return (
        f'<line x1="{x:.2f}" x2="{x:.2f}" y1="{y1:.1f}" y2="{y2:.1f}" '
        f'stroke="{stroke}" stroke-width="{width}"/>'
    )


def _text(x: float, y: float, text: str, fill: str) -> str:
    return f'<text x="{x:.2f}" y="{y:.1f}" fill="{fill}" {_FONT}>{escape(text)}</text>'


def _plate(x: float, y: float, width: float, height: float, fill: str) -> str:
    return (
        f'<rect x="{x:.2f}" y="{y:.1f}" width="{width:.2f}" height="{height:.1f}" '
        f'fill="{fill}" stroke="#888888"/>'
    )


@dataclass(frozen=True)
class _Frame:
    """Where the drawing begins on the main scale, and how large a unit is drawn."""

    low: Fraction
    per_unit: float

    def x(self, position: Fraction) -> float:
        """Where a position lies in it."""
        return float(position - self.low) * self.per_unit


def _framed(instrument: Instrument, scale: VernierScale, indication: Indication) -> _Frame:
    """Framed on the fine scale."""
    division = scale.main_division
    longest = max(line_places(instrument))
    low = instrument.reading(indication) - 2 * division
    return _Frame(low, WIDTH / float(longest + 4 * division))


def _vernier(instrument: Instrument, scale: VernierScale, indication: Indication) -> Iterator[str]:
    """Main scale above, fine scale below."""
    read, places = instrument.reading(indication), line_places(instrument)
    frame = _framed(instrument, scale, indication)
    yield from _beam(instrument, frame)
    yield _plate(frame.x(read) - 8, _EDGE, float(max(places)) * frame.per_unit + 16, 50, "#F7F2EA")
    printed = fine_numerals(instrument).printed(scale.last_line)
    for line, place in enumerate(places):
        numbered = line in printed
        yield _line(frame.x(read + place), _EDGE, _EDGE + (22 if numbered else 14), "black")
        if numbered:
            yield _text(frame.x(read + place), _EDGE + 36, printed[line], _FINE)


def _vernier_told(
    instrument: Instrument, scale: VernierScale, indication: Indication
) -> Iterator[str]:
    read, places = instrument.reading(indication), line_places(instrument)
    frame = _framed(instrument, scale, indication)
    yield _line(frame.x(indication.main), _EDGE - 30, _EDGE, _MAIN, 3)
    yield _line(frame.x(read), _EDGE, _EDGE + 26, _MAIN, 3)
    for line in _seen(indication):
        meets = frame.x(read + places[line])
        yield _line(meets, _EDGE - 18, _EDGE + 26, _FINE, 3)
        yield f'<circle cx="{meets:.2f}" cy="{_EDGE}" r="6" fill="none" stroke="{_FINE}"/>'


def _seen(indication: Indication) -> tuple[int, ...]:
    """The lines that were seen to meet; none where one was estimated between two."""
    if alike := indication.undecided:
        return alike.first, alike.last
    return (indication.line,) if isinstance(indication.line, int) else ()


def _beam(instrument: Instrument, frame: _Frame) -> Iterator[str]:
    """A main scale from a position on."""
    division = instrument.scale.main_division
    yield _plate(0, 12, WIDTH, _EDGE - 12, "#F1F4F4")
    numerals = main_numerals(instrument)
    last = floor((frame.low + Fraction(WIDTH) / Fraction(frame.per_unit)) / division)
    for mark in range(ceil(frame.low / division), last + 1):
        x = frame.x(mark * division)
        numbered = mark % numerals.every == 0
        yield _line(x, _EDGE - (24 if numbered else 14), _EDGE, "black")
        if numbered:
            number = to_text(mark // numerals.every * numerals.step)
            yield _text(x, 34, _ENGRAVED.figure(number), _MAIN)


def _plain(instrument: Instrument, indication: Indication) -> Iterator[str]:
    """A scale around the place where it is read."""
    shown = 12 * instrument.scale.main_division
    low = instrument.reading(indication) - shown / 2
    yield from _beam(instrument, _Frame(low, WIDTH / float(shown)))


def _screw(instrument: Instrument, scale: ScrewScale, indication: Indication) -> Iterator[str]:
    """Sleeve with its datum line to the left, the thimble's edge rolled out to the right."""
    yield _plate(40, 34, _THIMBLE - 40, 76, "#F1F4F4")
    yield f'<line x1="40" x2="{_THIMBLE + 40}" y1="{_DATUM}" y2="{_DATUM}" stroke="black"/>'
    numerals = main_numerals(instrument)
    for one in _sleeve(instrument, scale, indication):
        yield _line(one.x, _DATUM, _DATUM + one.side * 18, "black")
        if one.mark % numerals.every == 0:
            number = _ENGRAVED.number(one.mark // numerals.every * numerals.step)
            yield _text(one.x, _DATUM - 24 if one.side < 0 else _DATUM + 32, number, _MAIN)
    yield _plate(_THIMBLE, 14, 90, 112, "#F7F2EA")
    printed = fine_numerals(instrument).printed(scale.last_line)
    for line, y in _thimble(instrument, scale, indication):
        yield _across(y, 34 if line in printed else 18, "black", 1)
        if line in printed:
            yield _text(_THIMBLE + 56, y + 4, printed[line], _FINE)


def _screw_told(instrument: Instrument, scale: ScrewScale, indication: Indication) -> Iterator[str]:
    last = scale.last_mark(indication)
    for one in _sleeve(instrument, scale, indication):
        if one.mark * scale.main_division == last:
            yield _line(one.x, _DATUM, _DATUM + one.side * 18, _MAIN, 3)
    for line, y in _thimble(instrument, scale, indication):
        if line == indication.line:
            yield _across(y, 34, _FINE, 3)
    read = _ENGRAVED.figure(instrument.with_unit(instrument.reading(indication)))
    yield _text(_THIMBLE + 200, _DATUM + 4, f"reads {read}", _QUIET)


def _across(y: float, length: float, stroke: str, width: float) -> str:
    return (
        f'<line x1="{_THIMBLE}" x2="{_THIMBLE + length}" y1="{y:.2f}" y2="{y:.2f}" '
        f'stroke="{stroke}" stroke-width="{width}"/>'
    )


class _Passed(NamedTuple):
    """A sleeve mark that has been passed: which, where, and on which side of the datum line."""

    mark: int
    x: float
    side: int


def _sleeve(instrument: Instrument, scale: ScrewScale, indication: Indication) -> Iterator[_Passed]:
    """The marks that have been passed; numbered ones on one side, the others where they lie."""
    read, division = instrument.reading(indication), scale.main_division
    per_unit = 200 / float(6 * division)
    every = main_numerals(instrument).every
    halves_above = instrument.appearance.half_marks is Side.ABOVE
    lowest = floor(instrument.range[0] / division) if instrument.range else 0
    first = max(min(lowest, 0), ceil((read - 7 * division) / division))
    for mark in range(first, floor(read / division) + 1):
        x = _THIMBLE - float(read - mark * division) * per_unit
        yield _Passed(mark, x, -1 if (mark % every == 0) is not halves_above else 1)


def _thimble(
    instrument: Instrument, scale: ScrewScale, indication: Indication
) -> Iterator[tuple[int, float]]:
    """The lines around the datum line, each at its height; towards the edges they crowd."""
    lines, at = scale.fine_divisions, float(indication.line)
    up = 1 if instrument.appearance.thimble_numerals is Growth.UP else -1
    for line in range(lines):
        angle = ((line - at + lines / 2) % lines - lines / 2) * 2 * pi / lines
        if cos(angle) >= 0.3:
            yield line, _DATUM - up * 54 * sin(angle)
