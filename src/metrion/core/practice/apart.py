"""The one question that tells several slips apart: what was written down on the way."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.facts import Fact, Figure, coded, fact
from metrion.core.practice.slips import Slip
from metrion.core.practice.work import Departure, Work

Made = tuple[Slip, Departure]
"""A slip, and the way in which it gives the answer."""


@dataclass(frozen=True)
class SlipChoice:
    """What may have been written down, and which slip that shows.

    Attributes:
        says: what it is.
        slip: its code, the likeliest one where several would.
    """

    says: Fact
    slip: str


@dataclass(frozen=True)
class Apart:
    """A question with its choices."""

    asks: Fact
    choices: tuple[SlipChoice, ...]


def tell_apart(work: Work, made: Sequence[Made]) -> Apart | None:
    """The question to which slips have the most different answers; None where none tells them."""
    best: Apart | None = None
    for code, written in _WRITTEN.items():
        choices: dict[str, SlipChoice] = {}
        for slip, way in made:
            text = written(work, way)
            choices.setdefault(
                text, SlipChoice(fact("practice-wrote", what=Figure(text)), slip.code)
            )
        if len(choices) > (len(best.choices) if best else 1):
            best = Apart(coded("practice-which", code), tuple(choices.values()))
    return best


def _look_of(way: Departure) -> int:
    """The look at which it was made; the first where it was made at none or at all."""
    return min({*way.starts, *way.counts, *way.worths}, default=0)


def _main(work: Work, way: Departure) -> str:
    if not work.looks:
        return ""
    at = _look_of(way)
    return work.exercise.instrument.mark_text(Fraction(way.starts.get(at, work.looks[at][0])))


def _fine(work: Work, way: Departure) -> str:
    if not work.looks:
        return ""
    at, tool = _look_of(way), work.exercise.instrument
    worth = way.counts.get(at, work.looks[at][1]) * (way.least_count or tool.least_count)
    return tool.with_unit(Fraction(way.worths.get(at, worth)))


def _least_count(work: Work, way: Departure) -> str:
    tool = work.exercise.instrument
    return tool.with_unit(Fraction(way.least_count or tool.least_count))


def _zero(work: Work, way: Departure) -> str:
    if work.zero is None:
        return ""
    tool = work.exercise.instrument
    taken = work.zero_taken(way, Fraction(way.least_count or tool.least_count))
    return tool.with_unit(Fraction(taken))


_WRITTEN: dict[str, Callable[[Work, Departure], str]] = {
    "main": _main,
    "fine": _fine,
    "least-count": _least_count,
    "zero": _zero,
}
"""What is written down on the way, in its order."""
