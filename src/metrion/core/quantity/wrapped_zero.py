"""Zero checks that read nearer to a full mark than to nothing, and what they likely are."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.facts import Fact, Figure, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, ScrewScale


@dataclass(frozen=True)
class WrappedZero:
    """An indication of the zero that reads nearer to a full mark (or turn) than to nothing.

    Closed faces seldom miss by so much. It is likelier that the zero had run past and its lines
    were counted on from the mark before, or that the mark below was noted for a zero still to come.

    Attributes:
        error: reading less reference, as it was looked at.
        indication: the indication as it would be one mark (screw: one turn) nearer to nothing.
        mended: the error which that indication has.
        reference: size of the setting piece; 0 for closed faces.
    """

    error: Fraction
    indication: Indication
    mended: Fraction
    reference: Fraction = Fraction(0)


def wrapped_zero(
    instrument: Instrument, indication: Indication, reference: Fraction
) -> WrappedZero | None:
    """What an indication of the zero is likely mistaken for; None where it is near nothing.

    That is where the error is over half a mark (screw: half a pitch) and at most one and a half.
    """
    if instrument.traits.circular or not instrument.traits.fine_scale:
        return None
    error, mark = instrument.reading(indication) - reference, instrument.scale.mark
    if not mark < 2 * abs(error) <= 3 * mark:
        return None
    step = -1 if error > 0 else 1
    nearer = instrument.scale.one_mark_on(indication, step)
    return WrappedZero(error, nearer, error + step * mark, reference)


def opposite_zero(instrument: Instrument, error: Fraction, reference: Fraction) -> WrappedZero:
    """What a look at the zero is where its line was counted back from the mark, not on from it."""
    seen = instrument.scale.nearest(reference - error)
    return WrappedZero(error, seen, -error, reference)


def nearer_to_a_mark(instrument: Instrument) -> Fact:
    """What is odd about a wrapped zero."""
    return fact("nearer-to-a-turn" if _screw(instrument) else "nearer-to-a-mark")


def likelier(instrument: Instrument, wrapped: WrappedZero) -> Fact:
    """How the faces would look then, and what the zero error would be."""
    side = _side(instrument, wrapped.mended, wrapped.reference)
    return fact("likelier", side=side, error=Figure(instrument.with_unit(wrapped.mended)))


def sides(instrument: Instrument, wrapped: WrappedZero) -> tuple[Fact, Fact]:
    """The two that a wrapped zero can be, the likelier one first, each with its error."""
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
