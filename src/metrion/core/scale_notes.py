"""What to know about a scale before reading it: its pattern explained, and line after line."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction
from math import gcd

from metrion.core.instruments import Instrument
from metrion.core.numbers import to_text
from metrion.core.scales import Look, Numbering, Pattern, ScrewScale, VernierScale

_MOST_STEPS = 100


@dataclass(frozen=True)
class Note:
    """A remark about a scale.

    Attributes:
        text: what there is to know.
        warning: whether it makes the scale hard or impossible to read.
        look: where to put the slide to see it; None for anywhere.
    """

    text: str
    warning: bool = False
    look: Look | None = None


@dataclass(frozen=True)
class SlideStep:
    """One step of the slow-motion slide, in the unit of the instrument.

    Attributes:
        position: where the fine zero (or the edge of the thimble) stands.
        lines: the fine lines that meet then.
        words: the gap written out.
    """

    position: Fraction
    lines: tuple[int, ...]
    words: str


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
        yield Note(
            f"{n} fine divisions over {m} marks: every line meets a mark at once, wherever the "
            "slide stands. It tells nothing. Count again; one mark fewer is usual.",
            warning=True,
        )
        return
    if scale.pattern is Pattern.DIRECT and scale.main_divisions_compared > 1:
        yield Note(
            "An extended scale: its lines lie nearly two main divisions apart, which is easier to "
            "read. The lines are in order all the same."
        )
    if scale.numbering is Numbering.AGAINST and scale.pattern is Pattern.DIRECT:
        yield Note("Numbered against the main scale, its lines are read in order.")
    if scale.pattern is Pattern.RETROGRADE:
        yield Note(
            f"The lines run backwards: line 1 adds {_fraction(scale, 1)} of a main division, "
            f"line 2 {_fraction(scale, 2)}. Numbered the other way they would be in order."
        )
    if scale.pattern is Pattern.REPEATING:
        many = gcd(n, m)
        first, second = scale.lines_that_meet(Look(Fraction(0), 1))[:2]
        yield Note(
            f"{many} lines meet at once, lines {first} and {second} for instance. Only "
            f"{n // many} positions can be told apart, so the least count is "
            f"{instrument.with_unit(scale.least_count)} and not "
            f"{instrument.with_unit(scale.by_division)}.",
            warning=True,
            look=Look(Fraction(0), first),
        )
    if scale.pattern is Pattern.SCRAMBLED:
        yield Note(
            f"The lines are not in order: line 1 adds {_fraction(scale, 1)} of a main division, "
            f"line 2 {_fraction(scale, 2)}. Read what each line is worth, do not count.",
            warning=True,
            look=Look(Fraction(0), 1),
        )
    if scale.by_difference != scale.by_division:
        yield Note(
            f"The two textbook routes disagree: {instrument.with_unit(scale.by_difference)} by "
            f"difference, {instrument.with_unit(scale.by_division)} by division. What the lines "
            f"can really tell apart is {instrument.with_unit(scale.least_count)}.",
            warning=True,
        )


def _fraction(scale: VernierScale, line: int) -> str:
    return f"{scale.parts(line)}/{scale.fine_divisions}"


def _screw_notes(instrument: Instrument, scale: ScrewScale) -> Iterator[Note]:
    pitch = instrument.with_unit(scale.pitch)
    if scale.two_turns:
        yield Note(
            f"The sleeve has a mark at every second turn only. Say whether the thimble is in the "
            f"second turn past the mark; that adds {pitch}.",
        )
    elif scale.finer_sleeve:
        yield Note(
            f"The sleeve has several marks to one turn. Only those {pitch} apart count; the "
            "others are a check on the thimble."
        )
    else:
        yield Note(
            "One turn is one mark. If the thimble’s zero has not come round to the datum line, "
            "the next mark has not been passed, though it may show."
        )


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
    look = scale.nearest(position)
    lines = [int(look.line)]
    if isinstance(scale, VernierScale):
        lines = scale.lines_that_meet(look)
    which = " and ".join(map(str, lines[:3]))
    gap = f"{count} × {to_text(scale.least_count)} = {instrument.with_unit(position)}"
    noun, verb = ("lines", "meet") if len(lines) > 1 else ("line", "meets")
    place = "at the datum line" if isinstance(scale, ScrewScale) else verb
    return SlideStep(position, tuple(lines), f"{noun} {which} {place}: the gap is {gap}")
