"""What to know about a scale before reading it: its pattern explained, and line after line."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction
from math import gcd
from typing import assert_never

from metrion.core.facts import Fact, Figure, Name, coded, fact
from metrion.core.formula.units import parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, Numbering, Pattern, PlainScale, ScrewScale, VernierScale
from metrion.core.traits import Kind

_MOST_STEPS = 100

_INCH = Fraction(127, 5)


def _pairs(least_counts: str, marks: str, unit: Fraction = Fraction(1)) -> set[_Usual]:
    """Every least count with every distance of marks, in millimetres."""
    return {
        (Fraction(least) * unit, Fraction(mark) * unit)
        for least in least_counts.split()
        for mark in marks.split()
    }


_Usual = tuple[Fraction, Fraction]


def _usual(kind: Kind) -> set[_Usual]:
    """Least counts that tools usually have, with the marks (or turns) they go with, in mm."""
    match kind:
        case Kind.VERNIER:
            inches = _pairs("0.001 1/128", "0.025 0.05 1/16", _INCH)
            return _pairs("0.1 0.05 0.02", "1 0.5") | inches
        case Kind.SCREW:
            inches = _pairs("0.001 0.0001", "0.025", _INCH)
            return _pairs("0.01 0.002 0.001", "1 0.5") | inches
        case Kind.ANGULAR | Kind.PLAIN:
            return set()
        case _:
            assert_never(kind)


@dataclass(frozen=True)
class Note:
    """A remark about a scale.

    Attributes:
        says: what there is to know.
        warning: whether it makes the scale hard or impossible to read.
        indication: where to put the slide to see it; None for anywhere.
    """

    says: Fact
    warning: bool = False
    indication: Indication | None = None


@dataclass(frozen=True)
class SlideStep:
    """One step of the slow-motion slide, in the unit of the instrument.

    Attributes:
        position: where the fine zero (or the edge of the thimble) stands.
        lines: the fine lines that meet then.
        says: the gap written out.
    """

    position: Fraction
    lines: tuple[int, ...]
    says: Fact


def notes(instrument: Instrument) -> list[Note]:
    """Everything to know about the pattern of an instrument's scale."""
    return [*_pattern_notes(instrument), *_tenfold(instrument)]


def _pattern_notes(instrument: Instrument) -> Iterator[Note]:
    scale = instrument.scale
    match scale:
        case ScrewScale():
            return _screw_notes(instrument, scale)
        case VernierScale():
            return _vernier_notes(instrument, scale)
        case PlainScale():
            return iter(())
        case _:
            assert_never(scale)


def _tenfold(instrument: Instrument) -> Iterator[Note]:
    """A least count, and marks, that are ten times off what such tools usually have."""
    scale, usual = instrument.scale, _usual(instrument.kind)
    unit = Fraction(parse_unit(instrument.unit).factor)
    own = instrument.least_count * unit, scale.mark * unit
    for off, factor in (("tenfold", Fraction(10)), ("tenth", Fraction(1, 10))):
        if (own[0] / factor, own[1] / factor) in usual and own not in usual:
            least = Figure(instrument.with_unit(instrument.least_count))
            known = Figure(instrument.with_unit(instrument.least_count / factor))
            yield Note(coded("note", off, least=least, usual=known), warning=True)


def _vernier_notes(instrument: Instrument, scale: VernierScale) -> Iterator[Note]:
    n, m = scale.fine_divisions, scale.span
    if scale.pattern is Pattern.USELESS:
        yield Note(fact("note-useless", lines=n, marks=m), warning=True)
        return
    if scale.pattern is Pattern.DIRECT and scale.main_divisions_compared > 1:
        yield Note(fact("note-extended"))
    if scale.numbering is Numbering.AGAINST and scale.pattern is Pattern.DIRECT:
        yield Note(fact("note-against"))
    adds = {"first": _fraction(scale, 1), "second": _fraction(scale, 2)}
    if scale.pattern is Pattern.RETROGRADE:
        yield Note(fact("note-backwards", **adds))
    if scale.pattern is Pattern.REPEATING:
        yield _repeating(instrument, scale)
    if scale.pattern is Pattern.SCRAMBLED:
        yield Note(
            fact("note-scrambled", **adds), warning=True, indication=Indication(Fraction(0), 1)
        )
    if scale.by_difference != scale.by_division:
        says = fact(
            "note-routes-disagree",
            by_difference=Figure(instrument.with_unit(scale.by_difference)),
            by_division=Figure(instrument.with_unit(scale.by_division)),
            truly=Figure(instrument.with_unit(scale.least_count)),
        )
        yield Note(says, warning=True)


def _repeating(instrument: Instrument, scale: VernierScale) -> Note:
    many = gcd(scale.fine_divisions, scale.span)
    first, second = scale.lines_that_meet(Indication(Fraction(0), 1))[:2]
    says = fact(
        "note-repeating",
        many=many,
        first=first,
        second=second,
        positions=scale.fine_divisions // many,
        truly=Figure(instrument.with_unit(scale.least_count)),
        by_division=Figure(instrument.with_unit(scale.by_division)),
    )
    return Note(says, warning=True, indication=Indication(Fraction(0), first))


def _fraction(scale: VernierScale, line: int) -> Figure:
    return Figure(f"{scale.parts(line)}/{scale.fine_divisions}")


def _screw_notes(instrument: Instrument, scale: ScrewScale) -> Iterator[Note]:
    pitch = Figure(instrument.with_unit(scale.pitch))
    if scale.two_turns:
        yield Note(fact("note-two-turns", travel=pitch))
    elif scale.finer_sleeve:
        yield Note(fact("note-finer-sleeve", travel=pitch))
    else:
        yield Note(fact("note-one-turn"))


def slide(instrument: Instrument) -> list[SlideStep]:
    """Line after line coming into coincidence, from closed to one main division (or turn)."""
    scale = instrument.scale
    if isinstance(scale, VernierScale) and scale.pattern is Pattern.USELESS:
        return []
    steps = min(int(scale.mark / scale.least_count), _MOST_STEPS)
    return [_step(instrument, count) for count in range(steps + 1)]


def _step(instrument: Instrument, count: int) -> SlideStep:
    scale = instrument.scale
    position = count * scale.least_count
    indication = scale.nearest(position)
    lines = [int(indication.line)]
    if isinstance(scale, VernierScale):
        lines = scale.lines_that_meet(indication)
    says = fact(
        "slide-at-the-datum-line" if isinstance(scale, ScrewScale) else "slide-meets",
        how_many=len(lines),
        which=tuple(Name(str(line)) for line in lines[:3]),
        count=count,
        least=scale.least_count,
        gap=Figure(instrument.with_unit(position)),
    )
    return SlideStep(position, tuple(lines), says)
