"""Which slip gives exactly the answer that was given."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from itertools import combinations

from metrion.core.exact.angles import FULL_CIRCLE
from metrion.core.exact.numbers import Number
from metrion.core.exact.rounding import round_half_away
from metrion.core.facts import Fact, fact
from metrion.core.practice.exercise import Exercise, Question, least_decimals
from metrion.core.practice.given import Given, understood
from metrion.core.practice.slips import SLIPS
from metrion.core.practice.work import Departure, Work

MOST_PAIRS = 8


class Verdict(StrEnum):
    """What an answer is."""

    RIGHT = "right"
    ROUNDED = "rounded"
    WRONG = "wrong"
    UNREADABLE = "unreadable"


@dataclass(frozen=True)
class Diagnosis:
    """What is said of an answer.

    Attributes:
        verdict: what it is.
        slips: the codes that give exactly this answer, the likeliest first; pairs as ``a+b``.
        says: the same for people.
    """

    verdict: Verdict
    slips: tuple[str, ...] = ()
    says: tuple[Fact, ...] = ()


def diagnose(exercise: Exercise, text: str) -> Diagnosis:
    """Judge an answer, and name the slips that give exactly it."""
    given = understood(exercise, text)
    if given is None:
        return Diagnosis(Verdict.UNREADABLE, says=(fact("practice-unreadable"),))
    if _is_right(exercise, given):
        verdict = Verdict.RIGHT if _as_expected(exercise, given) else Verdict.ROUNDED
        return Diagnosis(verdict, says=(fact(f"practice-{verdict}"),))
    codes = _named(exercise, given)
    says = tuple(fact(f"slip-{code}") for pair in codes[:1] for code in pair.split("+"))
    return Diagnosis(Verdict.WRONG, codes, says or (fact("practice-no-slip"),))


def _is_right(exercise: Exercise, given: Given) -> bool:
    return abs(given.value - exercise.value) <= exercise.tolerance


def _as_expected(exercise: Exercise, given: Given) -> bool:
    if given.decimals is None:
        return given.form == exercise.answer
    return given.decimals == len(exercise.answer.partition(".")[2])


def _named(exercise: Exercise, given: Given) -> tuple[str, ...]:
    work = Work(exercise)
    ways = [(slip, list(slip.ways(work))) for slip in SLIPS]
    answer = _Answer(exercise, given)
    alone = [
        slip for slip, found in ways if any(answer.is_that(work.outcome(way)) for way in found)
    ]
    if alone:
        return tuple(slip.code for slip in sorted(alone, key=lambda slip: -slip.weight))
    pairs = _Pairs(work, answer)
    rough = [(slip, [(way, way.roughly()) for way in found]) for slip, found in ways if found]
    two = [
        (first, second)
        for (first, some), (second, others) in combinations(rough, 2)
        if first.step is not second.step and pairs.give(some, others)
    ]
    two.sort(key=lambda pair: -pair[0].weight * pair[1].weight)
    return tuple(f"{first.code}+{second.code}" for first, second in two[:MOST_PAIRS])


_Way = tuple[Departure, Departure]


class _Pairs:
    """Whether two slips at once give an answer: roughly first, which is quick, then exactly."""

    def __init__(self, work: Work, answer: _Answer) -> None:
        self.exact = work
        self.rough = Work(work.exercise, float)
        self.answer = answer

    def give(self, some: list[_Way], others: list[_Way]) -> bool:
        """Whether any way of one with any way of the other does."""
        outcome, may_be = self.rough.outcome, self.answer.may_be
        return any(
            may_be(outcome(roughly.joined(other_roughly)))
            and self.answer.is_that(self.exact.outcome(way.joined(other)))
            for way, roughly in some
            for other, other_roughly in others
        )


class _Answer:
    """An answer that was given, to be compared with what a way of working gives."""

    def __init__(self, exercise: Exercise, given: Given) -> None:
        self.given = given.value
        self.around = exercise.angular and exercise.question is Question.READING
        # A mean is rounded as far as it was given, but not coarser than the tool reads.
        mean = exercise.question is Question.MEAN
        least = least_decimals(exercise.instrument)
        self.decimals = max(given.decimals or 0, least) if mean else None
        self.roughly = float(given.value)
        self.near = 1e-6 + (0 if self.decimals is None else 10.0**-self.decimals)

    def may_be(self, found: Number) -> bool:
        """Whether it is near."""
        return self.around or abs(found - self.roughly) < self.near

    def is_that(self, found: Number) -> bool:
        """Whether it is exactly that."""
        found = Fraction(found)
        if self.decimals is not None:
            found = round_half_away(found, -self.decimals)
        if self.around:
            return (found - self.given) % FULL_CIRCLE == 0
        return found == self.given
