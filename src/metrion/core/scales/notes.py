"""What to know about a scale before reading it: its pattern explained, and line after line."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction
from math import gcd

from metrion.core.facts import Fact, Figure, Name, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, Numbering, Pattern, ScrewScale, VernierScale

_MOST_STEPS = 100


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
    if isinstance(instrument.scale, ScrewScale):
        return list(_screw_notes(instrument, instrument.scale))
    if isinstance(instrument.scale, VernierScale):
        return list(_vernier_notes(instrument, instrument.scale))
    return []


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
