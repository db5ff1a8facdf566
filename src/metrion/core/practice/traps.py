"""What makes a picture hard to read."""

from __future__ import annotations

from collections.abc import Iterator
from enum import StrEnum

from metrion.core.practice.exercise import Exercise
from metrion.core.practice.slips import SLIPS, Slip
from metrion.core.practice.work import Work, right
from metrion.core.scales import Indication, ScrewScale, VernierScale


class Trap(StrEnum):
    """The things that take learners in."""

    NEAR_A_MARK = "near-a-mark"
    HALF_SHOWING = "half-showing"
    ZERO_BELOW = "zero-below"
    LAST_LINE = "last-line"
    CLOSE_LINES = "close-lines"


class Difficulty(StrEnum):
    """How hard a picture is to be."""

    ANY = ""
    PLAIN = "plain"
    MEAN = "mean"


_CLOSE = 50
"""From so many lines on, neighbours are hard to tell apart."""


def traps(exercise: Exercise) -> frozenset[Trap]:
    """The traps in a picture."""
    found = {trap for look in exercise.read for trap in _of_look(exercise, look)}
    zero = exercise.zero_check
    if zero and exercise.instrument.reading(zero) < 0:
        found.add(Trap.ZERO_BELOW)
    return frozenset(found)


def _of_look(exercise: Exercise, look: Indication) -> Iterator[Trap]:
    scale = exercise.instrument.scale
    past = exercise.instrument.reading(look) % scale.mark / scale.least_count
    steps = scale.mark / scale.least_count
    if past <= 1 or past >= steps - 1:
        yield Trap.NEAR_A_MARK
    if isinstance(scale, ScrewScale):
        if scale.two_turns and look.second_turn is False and past >= steps * 3 / 4:
            yield Trap.HALF_SHOWING
        if scale.finer_sleeve and scale.last_mark(look) != scale.turn_start(look):
            yield Trap.HALF_SHOWING
    if isinstance(scale, VernierScale):
        if look.line in (0, scale.fine_divisions) and steps > 1:
            yield Trap.LAST_LINE
        if scale.fine_divisions >= _CLOSE:
            yield Trap.CLOSE_LINES


def is_of(exercise: Exercise, level: Difficulty, slip: str) -> bool:
    """Whether a picture is as hard as is asked for, and a slip is possible in it."""
    if level is not Difficulty.ANY and bool(traps(exercise)) is (level is Difficulty.PLAIN):
        return False
    return not slip or slip not in _BY_CODE or _possible(exercise, _BY_CODE[slip])


_BY_CODE = {slip.code: slip for slip in SLIPS}


def _possible(exercise: Exercise, slip: Slip) -> bool:
    work = Work(exercise)
    answer = right(exercise)
    return any(work.outcome(way) != answer for way in slip.ways(work))
