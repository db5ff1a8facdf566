"""The last mark passed: what a fine reading near either end of its division says about it.

A zero line that stands close to a mark is easily read on the wrong side of it; the fine reading
tells which side it stands on. On a screw the next mark shows before it has been passed, and a mark
just passed may still be hidden, so that a reading can be one turn off either way.
"""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.codes import MessageCode
from metrion.core.facts import Fact, Figure, coded, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import spoken_mark
from metrion.core.scales import Indication, ScrewScale

_NEAR = Fraction(1, 10)
"""How near to a mark, in main divisions, the eye can take the wrong side."""

_NEAR_TURN = Fraction(1, 5)
"""How near to a sleeve mark, in turns, the edge of a thimble can show or hide it."""


@dataclass(frozen=True)
class Turn:
    """One of the two turns that show the same thimble line.

    Attributes:
        indication: what would be written down for it.
        read: what that reads, in the unit of the instrument.
        says: how the sleeve looks then.
    """

    indication: Indication
    read: Fraction
    says: Fact


def near_mark(instrument: Instrument, indication: Indication) -> Fact | None:
    """What it means that the zero stands near a mark; None where it does not."""
    scale = instrument.scale
    if isinstance(scale, ScrewScale):
        return _near_datum(instrument, scale, indication)
    past = (instrument.reading(indication) - indication.main) / scale.main_division
    below, here, above = (
        Figure(spoken_mark(instrument, indication.main + step * scale.main_division))
        for step in (-1, 0, 1)
    )
    if 0 < past <= _NEAR:
        return fact("just-past-a-mark", here=here, above=above)
    if past >= 1 - _NEAR:
        return fact("just-short-of-a-mark", here=here, above=above, below=below)
    return None


def _near_datum(instrument: Instrument, scale: ScrewScale, indication: Indication) -> Fact | None:
    """What the edge of the thimble does to a sleeve mark that is within a fifth of a turn of it."""
    read, near = instrument.reading(indication), _NEAR_TURN * scale.pitch
    past = read % scale.main_division
    to_come = scale.main_division - past
    if not past or min(past, to_come) > near:
        return None
    mark = read - past if past <= to_come else read + to_come
    # Half marks lie where the thimble shows another line than its zero.
    which = "edge" if mark % scale.pitch else "thimble-zero"
    at = Figure(spoken_mark(instrument, mark))
    side = "just-past" if past <= to_come else "to-come"
    return coded(which, side, line=Fraction(indication.line), mark=at)


def turns(instrument: Instrument, indication: Indication) -> tuple[Turn, ...]:
    """The turn that was read and the one it is confused with, the lower first.

    In the first half of a turn a mark may have been missed, so the other turn is the next one; in
    the second half the next mark may have been counted too early, so it is the one before.

    Returns:
        Two turns one pitch apart on a screw, none on other kinds.
    """
    scale = instrument.scale
    if not instrument.traits.turns or not isinstance(scale, ScrewScale):
        return ()
    start = scale.turn_start(indication)
    late = 2 * indication.line >= scale.fine_divisions
    lower = start - scale.pitch if late else start
    return tuple(
        _turn(instrument, scale, scale.indication_at(turn_start, indication.line))
        for turn_start in (lower, lower + scale.pitch)
    )


def _turn(instrument: Instrument, scale: ScrewScale, indication: Indication) -> Turn:
    mark = Figure(spoken_mark(instrument, scale.last_mark(indication)))
    code: MessageCode = "turn-second" if indication.second_turn else "turn"
    return Turn(indication, instrument.reading(indication), fact(code, mark=mark))
