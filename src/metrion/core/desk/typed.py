"""What is typed at the bench, where a comma is as good as a point and a few keys are enough."""

from __future__ import annotations

import re
from contextlib import suppress
from fractions import Fraction

from metrion.core.errors import DecimalDegrees, MetrionError, NoSuchLine, NotExact, OutOfBounds
from metrion.core.exact.angles import parse_angle
from metrion.core.exact.bounds import check_length, check_number
from metrion.core.exact.numbers import parse_exact, to_text
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.instrument import Instrument, Kind
from metrion.core.scales import Indication, Line, VernierScale
from metrion.core.scales.numerals import Numerals

_GLYPHS = {"½": "1/2", "¼": "1/4", "¾": "3/4"}
_MIXED = re.compile(r"(-?)(?:([0-9]+) +)?([0-9]+/[0-9]+)|(-?)([0-9]*) *([½¼¾])")
_OPEN = re.compile(r"(-?)(?:\.([0-9]+)|([0-9]+)\.)")
_SEVERAL = re.compile(r"([0-9]{1,9}) *(?:-|–|\.\.) *([0-9]{1,9})")
_DECIMAL_DEGREES = re.compile(r"(-?[0-9]+)[.,]([0-9]{1,2})[°′']?")
_ANGLE = re.compile(r"(-?[0-9]+) *[°: ] *([0-9]{1,2}) *[′']?")


class NoMiddleLine(MetrionError):
    """Several lines that seem to meet, without a line in their middle."""

    def __init__(self, first: int, last: int) -> None:
        below = (first + last) // 2
        super().__init__("no-middle-line", first=first, last=last, below=below, above=below + 1)


class Backwards(MetrionError):
    """Several lines that seem to meet, the later one named first."""

    def __init__(self, first: int, last: int) -> None:
        super().__init__("lines-backwards", first=first, last=last)


def typed_number(text: str) -> Fraction:
    """A number as people type it: ``6,5``, ``.5``, ``1½``, ``1 1/2``, ``−0.5``.

    Raises:
        NotExact: for anything else.
        OutOfBounds: for one that is too long, too large or too small.
    """
    check_length(text)
    value = _number(text)
    check_number(text, value)
    return value


def _number(text: str) -> Fraction:
    plain = text.strip().replace(",", ".").replace("−", "-")
    if match := _MIXED.fullmatch(plain):
        sign, whole, part = match.groups()[:3] if match[3] else match.groups()[3:]
        size = parse_exact(whole or "0") + parse_exact(_GLYPHS.get(part, part))
        return -size if sign else size
    if match := _OPEN.fullmatch(plain):
        sign, decimals, whole = match.groups()
        return parse_exact(f"{sign}{whole or 0}.{decimals or 0}")
    return parse_exact(plain)


def typed_exact(text: str) -> str:
    """A value that was typed as a logbook holds it; what is none stays what it is.

    >>> typed_exact("0,50"), typed_exact("−½"), typed_exact("31°30′")
    ('0.50', '-0.5', '31:30')
    """
    plain = text.strip().replace(",", ".").replace("−", "-")
    if "°" in plain and (angle := _ANGLE.fullmatch(plain)):
        return f"{angle[1]}:{angle[2]:0>2}"
    try:
        parse_exact(plain)
    except NotExact:
        with suppress(NotExact, OutOfBounds):
            return to_text(typed_number(plain))
    return plain


def typed_main(instrument: Instrument, text: str, *, estimates: bool = False) -> Fraction:
    """A main reading.

    Args:
        estimates: whether one may read between the marks, where there is no fine scale.

    Raises:
        NotExact, NotAnAngle: if it is no number or angle.
        NotAMark: if the scale has no such mark.
    """
    if instrument.kind is Kind.ANGULAR:
        plain = text.strip().replace("−", "-")
        if decimal := _DECIMAL_DEGREES.fullmatch(plain):
            raise DecimalDegrees(plain, *decimal.groups())
        match = _ANGLE.fullmatch(plain)
        check_length(plain)
        main = parse_angle(f"{match[1]}:{match[2]}" if match else f"{text.strip()}:00")
        check_number(plain, main)
    else:
        main = typed_number(text)
    instrument.check_main(main, estimates=estimates)
    return main


def typed_line(
    instrument: Instrument, text: str, fine_as: FineAs, numerals: Numerals, *, estimates: bool
) -> Line:
    """The fine line that a figure stands for; ``12-14`` is the middle of lines that seem to meet.

    Raises:
        NotExact: if it is no number.
        NoSuchLine, NotEstimable: if the scale has no such line.
        NoMiddleLine, Backwards: for several lines without a middle line.
    """
    several = _SEVERAL.fullmatch(text.strip())
    if several and fine_as is FineAs.LINE:
        return _middle(instrument, int(several[1]), int(several[2]))
    number = typed_number(text)
    if fine_as is FineAs.NUMERAL:
        number = numerals.line(number)
    elif fine_as is FineAs.WORTH:
        number = _line_worth(instrument, number)
    line: Line = number.numerator if number.denominator == 1 else number
    instrument.check_line(line, estimates=estimates)
    return line


def _middle(instrument: Instrument, first: int, last: int) -> int:
    if first > last:
        raise Backwards(first, last)
    for line in (first, last):
        instrument.check_line(line, estimates=False)
    if (first + last) % 2:
        raise NoMiddleLine(first, last)
    return (first + last) // 2


def _line_worth(instrument: Instrument, worth: Fraction) -> Fraction:
    """The first line that adds this length; a line outside the scale where none does."""
    scale = instrument.scale
    if isinstance(scale, VernierScale) and not scale.estimable():
        for line in range(scale.fine_divisions):
            if scale.reading(Indication(Fraction(0), line)) == worth:
                return Fraction(line)
        raise NoSuchLine(to_text(worth), instrument.name, str(scale.last_line), worth=True)
    return worth / scale.least_count
