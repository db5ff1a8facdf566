"""The zero desk: what closed faces show, said in words, by both rules of counting."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.facts import Fact, Figure, fact
from metrion.core.instruments import Instrument
from metrion.core.numbers import to_text
from metrion.core.scales import Look, ScrewScale, VernierScale
from metrion.core.zero import WrappedZero, wrapped_zero

_LARGE = 5


@dataclass(frozen=True)
class ZeroFinding:
    """What a look at the zero comes to, in the unit of the instrument.

    Attributes:
        error: reading less reference.
        words: what that does to every reading.
        ways: how the reading is counted; for a negative one, by both rules.
        advice: what to do if it is large; empty if it is not.
        wrapped: what it is likely mistaken for, if it is nearer to a full mark than to nothing.
    """

    error: Fraction
    words: str
    ways: tuple[str, ...]
    advice: str
    wrapped: WrappedZero | None = None


def zero_finding(instrument: Instrument, look: Look, reference: Fraction) -> ZeroFinding:
    """Judge a look at closed faces, or at a setting piece of known size.

    Args:
        reference: size of the setting piece; 0 for closed faces.
    """
    read = instrument.reading(look)
    error = read - reference
    wrapped = wrapped_zero(instrument, look, reference)
    return ZeroFinding(
        error,
        _words(instrument, error),
        tuple(_ways(instrument, look, read, reference)),
        # A tool is called faulty only after the count has been questioned.
        "" if wrapped else _advice(instrument, error),
        wrapped,
    )


def nearer_to_a_mark(instrument: Instrument) -> Fact:
    """What is odd about a wrapped zero."""
    return fact("nearer-to-a-turn" if _screw(instrument) else "nearer-to-a-mark")


def likelier(instrument: Instrument, wrapped: WrappedZero) -> Fact:
    """How the faces would look then, and what the zero error would be."""
    side = _side(instrument, wrapped.mended, wrapped.reference)
    return fact("likelier", side=side, error=Figure(instrument.with_unit(wrapped.mended)))


def sides(instrument: Instrument, wrapped: WrappedZero) -> tuple[Fact, Fact]:
    """The two looks that a wrapped zero can be, the likelier one first, each with its error."""
    likely, kept = (
        fact(
            "side-with-error",
            side=_side(instrument, error, wrapped.reference),
            error=Figure(instrument.with_unit(error)),
        )
        for error in (wrapped.mended, wrapped.error)
    )
    return likely, kept


def _side(instrument: Instrument, error: Fraction, reference: Fraction) -> Fact:
    """On which side the zero stands with that error."""
    where = {-1: "below", 0: "at", 1: "above"}[_sign(error)]
    if _screw(instrument):
        return fact("thimble-zero-stood", where=where)
    if reference:
        return fact("fine-zero-stood-at-piece", where=where, piece=reference)
    return fact("fine-zero-stood", where=where)


def _screw(instrument: Instrument) -> bool:
    return isinstance(instrument.scale, ScrewScale)


def _sign(error: Fraction) -> int:
    return (error > 0) - (error < 0)


def look_below_zero(instrument: Instrument) -> Look:
    """The look whose fine zero stands at the mark (or turn) just below zero."""
    scale = instrument.scale
    if isinstance(scale, ScrewScale):
        return scale.look_at(-scale.pitch, 0)
    return Look(-scale.main_division, 0)


def _words(instrument: Instrument, error: Fraction) -> str:
    if error == 0:
        return "The zero error is 0: nothing to correct."
    much = "too much" if error > 0 else "too little"
    sign = "" if error > 0 else "+"
    return (
        f"Zero error {instrument.with_unit(error)}: it reads {much}. "
        f"Correction {sign}{instrument.with_unit(-error)}, minus the error."
    )


def _ways(instrument: Instrument, look: Look, read: Fraction, reference: Fraction) -> list[str]:
    scale, least = instrument.scale, to_text(instrument.least_count)
    line = to_text(Fraction(look.line))
    ordered = not isinstance(scale, VernierScale) or scale.estimable()
    ways = []
    start = scale.turn_start(look) if isinstance(scale, ScrewScale) else look.main
    if ordered:
        mark = "mark below zero" if start < 0 else "mark passed"
        ways.append(
            f"{mark} and line: {to_text(start)} + {line} × {least} = {instrument.with_unit(read)}"
        )
    turn = scale.pitch if isinstance(scale, ScrewScale) else scale.main_division
    if ordered and reference == 0 and start == -turn:
        back = scale.fine_divisions - Fraction(look.line)
        ways.append(
            f"counted back from the end: −({scale.fine_divisions} − {line}) × {least} = "
            f"−{to_text(back)} × {least} = {instrument.with_unit(read)}"
        )
    if reference:
        ways.append(
            f"reading less reference: {instrument.with_unit(read)} − {to_text(reference)} = "
            f"{instrument.with_unit(read - reference)}"
        )
    return ways


def _advice(instrument: Instrument, error: Fraction) -> str:
    if abs(error) <= _LARGE * instrument.least_count:
        return ""
    return (
        f"That is more than {_LARGE} least counts. Wipe the faces and look again; if it stays, "
        "have someone competent adjust the tool, and meanwhile correct."
    )
