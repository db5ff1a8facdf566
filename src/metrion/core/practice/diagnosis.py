"""Which slip gives exactly the answer that was given."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from itertools import combinations

from metrion.core.codes import MessageCode
from metrion.core.exact.angles import FULL_CIRCLE
from metrion.core.exact.figures import round_half_away
from metrion.core.exact.numbers import Number
from metrion.core.facts import Fact, Figure, coded, fact
from metrion.core.practice.apart import Apart, Made, tell_apart
from metrion.core.practice.exercise import Exercise, Question, least_decimals
from metrion.core.practice.given import Given, understood
from metrion.core.practice.slips import SLIPS, Slip, SlipStep
from metrion.core.practice.work import Departure, Work

MOST_PAIRS = 8
_MOST_OFFERED = 3


class AnswerVerdict(StrEnum):
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
        step: at which the likeliest was made.
        apart: the question that tells several apart.
    """

    verdict: AnswerVerdict
    slips: tuple[str, ...] = ()
    says: tuple[Fact, ...] = ()
    step: SlipStep | None = None
    apart: Apart | None = None


def diagnose(exercise: Exercise, text: str, further: Sequence[Slip] = ()) -> Diagnosis:
    """Judge an answer, and name the slips that give exactly it.

    Args:
        further: slips that are named besides those of files, after them.
    """
    given = understood(exercise, text)
    if given is None:
        return Diagnosis(AnswerVerdict.UNREADABLE, says=(fact("practice-unreadable"),))
    if _is_right(exercise, given):
        verdict = AnswerVerdict.RIGHT if _as_expected(exercise, given) else AnswerVerdict.ROUNDED
        return Diagnosis(verdict, says=(coded("practice", verdict),))
    search = _Search(exercise, given)
    if alone := search.alone(further):
        codes = tuple(slip.code for slip, _ in alone)
        apart = tell_apart(search.work, alone) if further else None
        says = _offered(codes if further and apart is None else codes[:1])
        return Diagnosis(AnswerVerdict.WRONG, codes, says, alone[0][0].step, apart)
    codes = search.in_pairs()
    says = tuple(coded("slip", code) for pair in codes[:1] for code in pair.split("+"))
    return Diagnosis(AnswerVerdict.WRONG, codes, says or _off(exercise, given))


def _is_right(exercise: Exercise, given: Given) -> bool:
    return abs(given.value - exercise.value) <= exercise.tolerance


def _as_expected(exercise: Exercise, given: Given) -> bool:
    if given.decimals is None:
        return given.form == exercise.answer
    return given.decimals == len(exercise.answer.partition(".")[2])


class _Search:
    """Which slips give an answer."""

    def __init__(self, exercise: Exercise, given: Given) -> None:
        self.work = Work(exercise, written=given.decimals)
        self.answer = _Answer(exercise, given)
        fit = [slip for slip in SLIPS if slip.code in _OF_PLAIN or not exercise.is_plain]
        self.ways = [(slip, list(slip.ways(self.work))) for slip in fit]

    def alone(self, further: Sequence[Slip]) -> list[Made]:
        """Those that give it by themselves, the likeliest first, each in the way that does."""
        found = [*self._giving(self.ways)]
        found.sort(key=lambda made: -made[0].weight)
        beyond = ((slip, list(slip.ways(self.work))) for slip in further)
        return [*found, *self._giving(beyond)]

    def _giving(self, ways: Iterable[tuple[Slip, list[Departure]]]) -> Iterator[Made]:
        for slip, some in ways:
            for way in some:
                if self.answer.is_that(self.work.outcome(way)):
                    yield slip, way
                    break

    def in_pairs(self) -> tuple[str, ...]:
        """Two that give it together, the likeliest first."""
        pairs = _Pairs(self.work, self.answer)
        rough = [
            (slip, [(way, way.roughly()) for way in found]) for slip, found in self.ways if found
        ]
        two = [
            (first, second)
            for (first, some), (second, others) in combinations(rough, 2)
            if first.step is not second.step and pairs.give(some, others)
        ]
        two.sort(key=lambda pair: -pair[0].weight * pair[1].weight)
        return tuple(f"{first.code}+{second.code}" for first, second in two[:MOST_PAIRS])


_OF_PLAIN = frozenset({"next-mark", "mark-before", "unit-tenfold", "unit-tenth"})
"""The slips that can be made where there is no fine scale."""


def _offered(codes: Sequence[str]) -> tuple[Fact, ...]:
    """The slip that gives an answer; of several that no question tells apart, the likeliest."""
    found = tuple(coded("slip", code) for code in codes[:_MOST_OFFERED])
    return found if len(found) == 1 else (fact("practice-one-of"), *found)


def _off(exercise: Exercise, given: Given) -> tuple[Fact, ...]:
    """Of an answer that no slip gives: how far off it is, and in which part."""
    code: MessageCode = "practice-no-slip-plain" if exercise.is_plain else "practice-no-slip"
    if exercise.question is Question.LEAST_COUNT:
        code = "practice-no-slip-least-count"
    return (*_part(exercise, given), fact(code))


def _part(exercise: Exercise, given: Given) -> Iterator[Fact]:
    tool, off = exercise.instrument, given.value - exercise.value
    if exercise.question is Question.LEAST_COUNT:
        return
    marks = round(off / tool.scale.mark)
    if marks and abs(off - marks * tool.scale.mark) <= 2 * tool.least_count:
        yield fact("practice-off-main", count=abs(marks))
    elif abs(off) < tool.scale.mark:
        yield fact("practice-off-fine", off=Figure(tool.with_unit(abs(off))))


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
