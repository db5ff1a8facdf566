"""The key of an exercise: the answers that the usual slips would give."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.facts import Fact, coded
from metrion.core.practice.exercise import Exercise, answer_text
from metrion.core.practice.slips import SLIPS
from metrion.core.practice.work import Work


@dataclass(frozen=True)
class WrongAnswer:
    """An answer that a slip gives.

    Attributes:
        answer: as it would be written.
        says: what slipped.
    """

    answer: str
    says: Fact


def wrong_answers(exercise: Exercise, most: int) -> list[WrongAnswer]:
    """The answers of the likeliest slips, each once, the likeliest first; at most so many."""
    work = Work(exercise)
    found: dict[str, WrongAnswer] = {}
    for slip in sorted(SLIPS, key=lambda slip: -slip.weight):
        for way in slip.ways(work):
            value = Fraction(work.outcome(way))
            if abs(value - exercise.value) <= exercise.tolerance:
                continue
            try:
                text, _ = answer_text(exercise, value)
            except ValueError:
                # No whole seconds: nobody would write it so.
                continue
            found.setdefault(text, WrongAnswer(text, coded("slip", slip.code)))
            break
    return list(found.values())[:most]
