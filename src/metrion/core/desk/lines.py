"""Fine readings as they are typed: the number of the line, the printed numeral, or its worth."""

from __future__ import annotations

import re
from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass
from fractions import Fraction
from math import ceil, floor

from metrion.core.desk.typed import (
    Offer,
    Unclear,
    has_unit,
    typed_length,
    typed_minutes,
    typed_number,
)
from metrion.core.errors import MetrionError, NoSuchLine, NotEstimable
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Fact, Figure, Name, fact
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.drawing import fine_numerals
from metrion.core.instruments.instrument import Instrument, Kind
from metrion.core.scales import Indication, Line, VernierScale
from metrion.core.scales.base import Undecided

_SEVERAL = re.compile(r"([0-9]{1,9}) *(?:-|–|\.\.) *([0-9]{1,9})")
_STROKE = re.compile(r"([0-9]{1,9})/([0-9]{1,9})")
_LAST_DECIMALS = "decimals"


@dataclass(frozen=True)
class TypedLine:
    """A fine reading that was typed.

    Attributes:
        line: it, or the lines that seem to meet.
        says: what it was taken for, where that is not what stands there.
    """

    line: Line | Undecided
    says: Fact | None = None


def typed_line(
    instrument: Instrument, text: str, fine_as: FineAs | None, *, estimates: bool
) -> TypedLine:
    """The fine line, or lines, that figures stand for.

    A whole number is a line, unless the tool says otherwise; what is no line is taken for a
    numeral, a worth or its last decimals, if it fits just one of them.

    Args:
        fine_as: what the tool says that they stand for; None if it does not say.
        estimates: whether the place between two lines may be estimated.

    Raises:
        NotExact: if it is no number.
        NotUndecided: for lines that cannot be taken for each other.
        NoSuchLine, NotEstimable: if the scale has no such line.
        Unclear: if it fits no line, or two.
    """
    if several := _SEVERAL.fullmatch(text.strip()):
        return TypedLine(_several(instrument, int(several[1]), int(several[2])))
    preferred = fine_as or FineAs.LINE
    worth = _worth_typed(instrument, text)
    if worth is not None:
        line = _of_worth(instrument, worth)
        if line is None or not _is_line(instrument, line):
            raise _no_line(instrument, text, line, preferred)
        return TypedLine(line.numerator, fact("typed-as-worth"))
    number = typed_number(text)
    own = _meant(instrument, number, preferred)
    if own is not None and _is_line(instrument, own):
        return TypedLine(own.numerator)
    others = dict(_others(instrument, number, preferred))
    if own is not None and estimates and _between(instrument, own):
        if fine_as or not others:
            return TypedLine(own)
        raise Unclear(_two_ways(text), _ways(instrument, text, {preferred: own, **others}))
    if len(others) == 1:
        [(way, line)] = others.items()
        return TypedLine(line.numerator, fact(f"typed-as-{way}"))
    if others:
        raise Unclear(_two_ways(text), _ways(instrument, text, others))
    if preferred is not FineAs.LINE:
        raise _no_line(instrument, text, own, preferred)
    if number.denominator == 1:
        instrument.check_line(number.numerator, estimates=False)
    # A figure below 1 that is no line was hardly meant as one.
    near = number if number > 1 else _of_worth(instrument, number)
    raise _no_line(instrument, text, near, preferred, _estimated(instrument, number))


def line_typed(instrument: Instrument, line: Line, fine_as: FineAs | None) -> str:
    """What is typed for a line at the bench."""
    if fine_as is FineAs.NUMERAL:
        return fine_numerals(instrument).text(line)
    if fine_as is FineAs.WORTH:
        worth = _worth(instrument, line)
        return to_text(worth) if instrument.kind is Kind.ANGULAR else instrument.value_text(worth)
    return to_text(Fraction(line))


def counted_back(instrument: Instrument, main: Fraction, lines: int, turn: bool) -> Indication:
    """Lines that were counted back from a mark, or from the zero that ``main`` lies below."""
    scale = instrument.scale
    if lines == 0:
        return Indication(main, 0, turn)
    line = scale.fine_divisions - lines
    if not (lines < scale.fine_divisions and scale.estimable() and scale.has_line(line)):
        raise NoSuchLine(f"-{lines}", instrument.name, str(scale.last_line))
    there = Indication(main, line, turn)
    return (
        there if instrument.reading(Indication(main, 0, turn)) < 0 else scale.one_mark_on(there, -1)
    )


def _several(instrument: Instrument, first: int, last: int) -> int | Undecided:
    if first == last:
        instrument.check_line(first, estimates=False)
        return first
    alike = Undecided(first, last)
    instrument.check_undecided(alike)
    return alike


def _worth_typed(instrument: Instrument, text: str) -> Fraction | None:
    """What was typed with its unit, or as minutes; None where it is a figure alone."""
    if instrument.kind is Kind.ANGULAR:
        return typed_minutes(text)
    return typed_length(instrument, text, "").value if has_unit(text) else None


def _is_line(instrument: Instrument, line: Fraction) -> bool:
    return line.denominator == 1 and instrument.scale.has_line(line.numerator)


def _between(instrument: Instrument, line: Fraction) -> bool:
    """Whether a place is one between two lines of a scale that is read in order."""
    scale = instrument.scale
    return line.denominator > 1 and scale.estimable() and scale.has_line(line)


def _meant(instrument: Instrument, number: Fraction, way: FineAs | str) -> Fraction | None:
    """The line that a number stands for one way or another; None where there is none."""
    if way is FineAs.LINE:
        return number
    if way is FineAs.NUMERAL:
        return fine_numerals(instrument).line(number)
    if way is FineAs.WORTH:
        return _of_worth(instrument, number)
    if instrument.kind is Kind.ANGULAR or number.denominator > 1 or not instrument.decimals:
        return None
    return _of_worth(instrument, number / 10**instrument.decimals)


def _others(
    instrument: Instrument, number: Fraction, preferred: FineAs
) -> Iterator[tuple[FineAs | str, Fraction]]:
    """The whole lines that a number stands for in other ways than the preferred one, each once."""
    seen = set()
    for way in (FineAs.LINE, FineAs.NUMERAL, FineAs.WORTH, _LAST_DECIMALS):
        line = None if way == preferred else _meant(instrument, number, way)
        if line is not None and line not in seen and _is_line(instrument, line):
            seen.add(line)
            yield way, line


def _of_worth(instrument: Instrument, worth: Fraction) -> Fraction | None:
    """The first line that adds this length."""
    scale = instrument.scale
    if isinstance(scale, VernierScale) and not scale.estimable():
        lines = range(scale.fine_divisions)
        return next((Fraction(one) for one in lines if _worth(instrument, one) == worth), None)
    return worth / scale.least_count


def _worth(instrument: Instrument, line: Line) -> Fraction:
    return instrument.scale.reading(Indication(Fraction(0), line))


def _no_line(
    instrument: Instrument, text: str, near: Fraction | None, way: FineAs, says: Fact | None = None
) -> Unclear:
    """What is no line in any way, with the lines that it may have been.

    Args:
        near: a place between those lines.
        way: how they are typed.
        says: what is wrong, if it is not that nothing fits.
    """
    fits_none = fact(
        "fits-no-line",
        typed=Figure(text.strip()),
        tool=Name(instrument.name),
        last=instrument.scale.last_line,
    )
    alike = list(_lines_with_a_stroke(instrument, text))
    return Unclear(says or fits_none, alike or _beside(instrument, near, way))


def _estimated(instrument: Instrument, number: Fraction) -> Fact | None:
    """That a place between lines is not estimated, where a figure can mean nothing else."""
    numbered = fine_numerals(instrument).line(number) == number
    if not (numbered and number > 1 and instrument.scale.has_line(number)):
        return None
    try:
        instrument.check_line(number, estimates=False)
    except NotEstimable as error:
        return error.says
    return None


def _beside(instrument: Instrument, near: Fraction | None, way: FineAs) -> Iterator[Offer]:
    """The lines on both sides of a place between them."""
    if near is None or not instrument.scale.estimable():
        return
    for line in sorted({floor(near), ceil(near)}):
        if instrument.scale.has_line(line):
            yield Offer(line_typed(instrument, line, way), _told(instrument, line))


def _lines_with_a_stroke(instrument: Instrument, text: str) -> Iterator[Offer]:
    """Lines that cannot be told apart, where ``15/16`` was typed for them."""
    if (stroke := _STROKE.fullmatch(text.strip())) and int(stroke[2]) == int(stroke[1]) + 1:
        first, last = int(stroke[1]), int(stroke[2])
        with suppress(MetrionError):
            _several(instrument, first, last)
            yield Offer(f"{first}-{last}", fact("offer-lines", first=first, last=last))


def _two_ways(text: str) -> Fact:
    return fact("fits-two-lines", typed=Figure(text.strip()))


def _ways(instrument: Instrument, text: str, ways: dict[FineAs | str, Fraction]) -> Iterator[Offer]:
    """The same figures, each way with the line that they then mean."""
    for way, line in ways.items():
        if isinstance(way, FineAs):
            yield Offer(text, _told(instrument, line), way)
        else:
            yield Offer(
                line_typed(instrument, line.numerator, FineAs.LINE), _told(instrument, line)
            )


def _told(instrument: Instrument, line: Line) -> Fact:
    worth = Figure(instrument.with_unit(_worth(instrument, line)))
    numeral = Figure(fine_numerals(instrument).text(line))
    return fact("offer-line", line=Figure(to_text(Fraction(line))), numeral=numeral, worth=worth)
