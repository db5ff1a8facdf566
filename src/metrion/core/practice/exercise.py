"""An exercise: what is seen on the scales, what is asked, and what is right."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from typing import assert_never

from metrion.core.exact.angles import angle_text, parse_angle
from metrion.core.exact.figures import round_half_away
from metrion.core.exact.numbers import finite_decimals, fixed, parse_exact
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.observations import Arc
from metrion.core.scales import Indication
from metrion.core.traits import Kind, kinds


class Question(StrEnum):
    """What is asked."""

    LEAST_COUNT = "least-count"
    ZERO_ERROR = "zero-error"
    READING = "reading"
    CORRECTED = "corrected"
    SWEEP = "sweep"
    MEAN = "mean"


OF_LENGTHS = (
    Question.LEAST_COUNT, Question.ZERO_ERROR, Question.READING, Question.CORRECTED, Question.MEAN,
)  # fmt: skip
OF_CIRCLES = (Question.LEAST_COUNT, Question.READING, Question.SWEEP)


def questions_of(kind: Kind) -> tuple[Question, ...]:
    """What can be asked of a kind of tool."""
    match kind:
        case Kind.VERNIER | Kind.SCREW:
            return OF_LENGTHS
        case Kind.ANGULAR:
            return OF_CIRCLES
        case Kind.PLAIN:
            return (Question.READING,)
        case _:
            assert_never(kind)


IN_FILES = kinds(lambda one: one.fine_scale)
"""The kinds that the commands and their files know; the page asks of plain scales too."""


@dataclass(frozen=True)
class Exercise:
    """A situation and a question.

    Attributes:
        id: its name among its like.
        instrument: what is read.
        question: what is asked.
        looks: what is seen on it; none for a zero error, two positions for a sweep.
        zero_check: what is seen with the faces closed; None where that does not enter.
        arc: which way round a sweep goes.
        divide_by: 2 where half of the sweep is asked for.
        answer: the right one, with the decimals that are expected.
        tolerance: how far a right one may be from it.
    """

    id: str
    instrument: Instrument
    question: Question
    looks: tuple[Indication, ...] = ()
    zero_check: Indication | None = None
    arc: Arc = Arc.SHORTER
    divide_by: int = 1
    answer: str = ""
    tolerance: Fraction = Fraction(0)

    @property
    def angular(self) -> bool:
        """Whether its answer is an angle."""
        return self.instrument.traits.circular

    @property
    def is_plain(self) -> bool:
        """Whether there is no fine scale to be read."""
        return not self.instrument.traits.fine_scale

    @property
    def value(self) -> Fraction:
        """The right answer, in the unit of the instrument."""
        return parse_angle(self.answer) if self.angular else parse_exact(self.answer)

    @property
    def situation(self) -> tuple[object, ...]:
        """What makes it the same as another one."""
        seen = self.looks, self.zero_check, self.arc, self.divide_by
        return (self.instrument.id, self.question, *seen)

    @property
    def read(self) -> Sequence[Indication]:
        """The looks that are read for the answer: the zero itself where that is asked for."""
        if self.question is Question.ZERO_ERROR and self.zero_check:
            return (self.zero_check,)
        return self.looks


def least_decimals(instrument: Instrument) -> int:
    """The decimals of its least count."""
    return finite_decimals(instrument.least_count) or 0


def answer_text(exercise: Exercise, value: Fraction) -> tuple[str, Fraction]:
    """The answer as it is expected, and its tolerance.

    Lengths have the decimals of the least count, a mean one more; angles have seconds where the
    least count, or half of it, is no whole minute.
    """
    least = exercise.instrument.least_count
    if exercise.angular:
        text = angle_text(value)
        seconds = (least / exercise.divide_by).denominator != 1
        return (f"{text}:00" if seconds and text.count(":") == 1 else text), Fraction(0)
    decimals = least_decimals(exercise.instrument)
    if exercise.question is not Question.MEAN:
        return fixed(value, max(decimals, finite_decimals(value) or 0)), Fraction(0)
    rounded = round_half_away(value, -decimals - 1)
    return fixed(rounded, decimals + 1), Fraction(1, 2) / 10**decimals
