"""One reading drawn: the scales of the instrument as they stood, for paper, in black and white.

Lines are told apart by their lengths and weights, not by a hue alone.
"""

from __future__ import annotations

from collections.abc import Iterator
from fractions import Fraction
from html import escape
from math import ceil, cos, floor, pi, sin

from metrion.core.exact.numbers import to_text
from metrion.core.instruments.appearance import Growth, Side
from metrion.core.instruments.drawing import fine_numerals, line_places, main_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, PlainScale, ScrewScale, VernierScale
from metrion.voice import Numbers

WIDTH, HEIGHT = 640, 132
_EDGE, _DATUM = 66.0, 74.0
_MAIN, _FINE, _QUIET = "#24419A", "#8A4B00", "#444444"
_ENGRAVED = Numbers()
"""What is engraved on a tool has its point, whoever reads it."""
_FONT = 'font-family="sans-serif" font-size="12" text-anchor="middle"'


def drawn_reading(instrument: Instrument, indication: Indication) -> str:
    """A reading as SVG, what meets marked on it."""
    read = instrument.with_unit(instrument.reading(indication))
    return _drawn(instrument, indication, f"{instrument.name} at {read}", told=True)


def drawn_scales(instrument: Instrument, indication: Indication) -> str:
    """The scales as they stand, as SVG, to be read: nothing on it says how."""
    return _drawn(instrument, indication, instrument.name, told=False)


def _drawn(instrument: Instrument, indication: Indication, named: str, *, told: bool) -> str:
    scale = instrument.scale
    pieces: Iterator[str] = iter(())
    if isinstance(scale, ScrewScale):
        pieces = _screw(instrument, scale, indication, told=told)
    elif isinstance(scale, VernierScale):
        pieces = _vernier(instrument, scale, indication, told=told)
    elif isinstance(scale, PlainScale):
        pieces = _plain(instrument, scale, indication)
    title = escape(named)
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {WIDTH} {HEIGHT}" '
        f'width="{WIDTH}" height="{HEIGHT}" role="img"><title>{title}</title>'
        f"{''.join(pieces)}</svg>"
    )


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


def _vernier(
    instrument: Instrument, scale: VernierScale, indication: Indication, *, told: bool
) -> Iterator[str]:
    """Main scale above, fine scale below, framed on the fine scale."""
    read, division = instrument.reading(indication), scale.main_division
    places = line_places(instrument)
    longest = max(places)
    low = read - 2 * division
    per_unit = WIDTH / float(longest + 4 * division)

    def x(position: Fraction) -> float:
        return float(position - low) * per_unit

    yield from _beam(instrument, low, per_unit)
    yield _plate(x(read) - 8, _EDGE, float(longest) * per_unit + 16, 50, "#F7F2EA")
    printed = fine_numerals(instrument).printed(scale.last_line)
    for line, place in enumerate(places):
        numbered = line in printed
        yield _line(x(read + place), _EDGE, _EDGE + (22 if numbered else 14), "black")
        if numbered:
            yield _text(x(read + place), _EDGE + 36, printed[line], _FINE)
    if not told:
        return
    yield _line(x(indication.main), _EDGE - 30, _EDGE, _MAIN, 3)
    yield _line(x(read), _EDGE, _EDGE + 26, _MAIN, 3)
    for line in _seen(indication):
        meets = x(read + places[line])
        yield _line(meets, _EDGE - 18, _EDGE + 26, _FINE, 3)
        yield f'<circle cx="{meets:.2f}" cy="{_EDGE}" r="6" fill="none" stroke="{_FINE}"/>'


def _seen(indication: Indication) -> tuple[int, ...]:
    """The lines that were seen to meet; none where one was estimated between two."""
    if alike := indication.undecided:
        return alike.first, alike.last
    return (indication.line,) if isinstance(indication.line, int) else ()


def _beam(instrument: Instrument, low: Fraction, per_unit: float) -> Iterator[str]:
    """A main scale from a position on."""
    division = instrument.scale.main_division
    yield _plate(0, 12, WIDTH, _EDGE - 12, "#F1F4F4")
    numerals = main_numerals(instrument)
    last = floor((low + Fraction(WIDTH) / Fraction(per_unit)) / division)
    for mark in range(ceil(low / division), last + 1):
        x = float(mark * division - low) * per_unit
        numbered = mark % numerals.every == 0
        yield _line(x, _EDGE - (24 if numbered else 14), _EDGE, "black")
        if numbered:
            number = to_text(mark // numerals.every * numerals.step)
            yield _text(x, 34, _ENGRAVED.figure(number), _MAIN)


def _plain(instrument: Instrument, scale: PlainScale, indication: Indication) -> Iterator[str]:
    """A scale with the place where it is read."""
    shown = 12 * scale.main_division
    low = instrument.reading(indication) - shown / 2
    yield from _beam(instrument, low, WIDTH / float(shown))
    yield _line(WIDTH / 2, _EDGE - 30, _EDGE + 26, _MAIN, 3)


def _screw(
    instrument: Instrument, scale: ScrewScale, indication: Indication, *, told: bool
) -> Iterator[str]:
    """Sleeve with its datum line to the left, the thimble's edge rolled out to the right."""
    edge = 300.0
    yield _plate(40, 34, edge - 40, 76, "#F1F4F4")
    yield f'<line x1="40" x2="{edge + 40}" y1="{_DATUM}" y2="{_DATUM}" stroke="black"/>'
    yield from _sleeve(instrument, scale, indication, edge, told=told)
    yield _plate(edge, 14, 90, 112, "#F7F2EA")
    yield from _thimble(instrument, scale, indication, edge, told=told)
    if not told:
        return
    read = _ENGRAVED.figure(instrument.with_unit(instrument.reading(indication)))
    yield _text(edge + 200, _DATUM + 4, f"reads {read}", _QUIET)


def _sleeve(
    instrument: Instrument, scale: ScrewScale, indication: Indication, edge: float, *, told: bool
) -> Iterator[str]:
    """The marks that have been passed; numbered ones on one side, the others where they lie."""
    read, division = instrument.reading(indication), scale.main_division
    per_unit = 200 / float(6 * division)
    numerals = main_numerals(instrument)
    halves_above = instrument.appearance.half_marks is Side.ABOVE
    lowest = floor(instrument.range[0] / division) if instrument.range else 0
    first = max(min(lowest, 0), ceil((read - 7 * division) / division))
    for mark in range(first, floor(read / division) + 1):
        x = edge - float(read - mark * division) * per_unit
        numbered = mark % numerals.every == 0
        side = -1 if numbered is not halves_above else 1
        passed = told and mark * division == scale.last_mark(indication)
        stroke, width = (_MAIN, 3) if passed else ("black", 1)
        yield _line(x, _DATUM, _DATUM + side * 18, stroke, width)
        if numbered:
            number = _ENGRAVED.number(mark // numerals.every * numerals.step)
            yield _text(x, _DATUM - 24 if side < 0 else _DATUM + 32, number, _MAIN)


def _thimble(
    instrument: Instrument, scale: ScrewScale, indication: Indication, edge: float, *, told: bool
) -> Iterator[str]:
    """The lines around the datum line; they crowd towards the edges of the drum."""
    lines, at = scale.fine_divisions, float(indication.line)
    up = 1 if instrument.appearance.thimble_numerals is Growth.UP else -1
    numerals = fine_numerals(instrument).printed(scale.last_line)
    for line in range(lines):
        angle = ((line - at + lines / 2) % lines - lines / 2) * 2 * pi / lines
        if cos(angle) < 0.3:
            continue
        y = _DATUM - up * 54 * sin(angle)
        here, numbered = told and line == indication.line, line in numerals
        stroke, width = (_FINE, 3) if here else ("black", 1)
        length = 34 if numbered or here else 18
        yield (
            f'<line x1="{edge}" x2="{edge + length}" y1="{y:.2f}" y2="{y:.2f}" '
            f'stroke="{stroke}" stroke-width="{width}"/>'
        )
        if numbered:
            yield _text(edge + 56, y + 4, numerals[line], _FINE)
