"""What an eye sees near the coincidence, in words and in order: the scales for those who hear them.

What is read is not said: marks are counted from a numeral, and of a few lines it is told on which
side of a mark they stand.
"""

from __future__ import annotations

from collections.abc import Iterator
from fractions import Fraction
from math import floor
from typing import assert_never

from metrion.core.exact.numbers import to_text
from metrion.core.facts import Fact, Figure, Name, coded, fact
from metrion.core.instruments.appearance import Growth
from metrion.core.instruments.drawing import main_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, PlainScale, ScrewScale, VernierScale

_TOLD = 5
"""Lines of which it is told how they stand."""
_NEAR = {0: "at", 1: "hair", 2: "little"}


def seen(instrument: Instrument, look: Indication) -> Iterator[Fact]:
    """The mark that the fine zero or the edge has passed, then the lines around the coincidence."""
    scale = instrument.scale
    match scale:
        case ScrewScale():
            yield _passed(instrument, scale.last_mark(look), "edge")
            yield from _at_the_datum(instrument, scale, int(look.line))
        case PlainScale():
            yield _passed(instrument, look.main, "end")
        case VernierScale():
            yield _passed(instrument, look.main, "zero")
            yield from _at_the_marks(instrument.reading(look), scale, int(look.line))
        case _:
            assert_never(scale)


def _passed(instrument: Instrument, mark: Fraction, what: str) -> Fact:
    numerals = main_numerals(instrument)
    at = int(mark / instrument.scale.main_division)
    if at < 0:
        return coded(f"seen-{what}", "before", marks=-at)
    numeral, marks = divmod(at, numerals.every)
    return coded(
        f"seen-{what}", "past", numeral=Figure(to_text(numeral * numerals.step)), marks=marks
    )


def _around(line: int, last: int) -> range:
    """A few lines; the one that meets is not always in the middle of them."""
    first = min(max(line - 1 - line % 3, 0), max(last - _TOLD + 1, 0))
    return range(first, min(first + _TOLD, last + 1))


def _at_the_marks(read: Fraction, scale: VernierScale, met: int) -> Iterator[Fact]:
    for line in _around(met, scale.fine_divisions):
        place = read + scale.line_position(line)
        off = place - floor(place / scale.mark + Fraction(1, 2)) * scale.mark
        near = _NEAR.get(round(abs(off) / scale.least_count), "clearly")
        side = "right" if off > 0 else "left"
        yield fact("seen-line", line=Name(str(line)), near=near, side=side)


def _at_the_datum(instrument: Instrument, scale: ScrewScale, met: int) -> Iterator[Fact]:
    up = instrument.appearance.thimble_numerals is Growth.UP
    for line in _around(met, scale.last_line):
        near = _NEAR.get(abs(line - met), "clearly")
        side = "above" if (line > met) is up else "below"
        yield fact("seen-thimble-line", line=Name(str(line)), near=near, side=side)
