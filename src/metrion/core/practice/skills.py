"""What a learner can be able to do, in the order of the work, and what shows it."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from metrion.core.practice.exercise import Exercise, Question
from metrion.core.traits import Kind


class Skill(StrEnum):
    """The skills, in the order in which they are learned."""

    MARKS = "marks"
    VERNIER_LEAST_COUNT = "vernier-least-count"
    VERNIER_READING = "vernier-reading"
    VERNIER_ZERO = "vernier-zero"
    VERNIER_CORRECTED = "vernier-corrected"
    SCREW_LEAST_COUNT = "screw-least-count"
    SCREW_READING = "screw-reading"
    SCREW_ZERO = "screw-zero"
    SCREW_CORRECTED = "screw-corrected"
    MEAN = "mean"
    CIRCLE_LEAST_COUNT = "circle-least-count"
    CIRCLE_READING = "circle-reading"
    SWEEP = "sweep"


@dataclass(frozen=True)
class SkillQuestion:
    """What shows a skill, and what has to be known before it.

    Attributes:
        kind: of tool; None where any of them will do.
        question: that is asked.
        after: the skills that open it.
    """

    kind: Kind
    question: Question
    after: tuple[Skill, ...] = ()


S = Skill
ASKED: dict[Skill, SkillQuestion] = {
    S.MARKS: SkillQuestion(Kind.PLAIN, Question.READING),
    S.VERNIER_LEAST_COUNT: SkillQuestion(Kind.VERNIER, Question.LEAST_COUNT, (S.MARKS,)),
    S.VERNIER_READING: SkillQuestion(Kind.VERNIER, Question.READING, (S.VERNIER_LEAST_COUNT,)),
    S.VERNIER_ZERO: SkillQuestion(Kind.VERNIER, Question.ZERO_ERROR, (S.VERNIER_READING,)),
    S.VERNIER_CORRECTED: SkillQuestion(Kind.VERNIER, Question.CORRECTED, (S.VERNIER_ZERO,)),
    S.SCREW_LEAST_COUNT: SkillQuestion(Kind.SCREW, Question.LEAST_COUNT, (S.VERNIER_LEAST_COUNT,)),
    S.SCREW_READING: SkillQuestion(Kind.SCREW, Question.READING, (S.SCREW_LEAST_COUNT,)),
    S.SCREW_ZERO: SkillQuestion(Kind.SCREW, Question.ZERO_ERROR, (S.SCREW_READING,)),
    S.SCREW_CORRECTED: SkillQuestion(
        Kind.SCREW, Question.CORRECTED, (S.SCREW_ZERO, S.VERNIER_CORRECTED)
    ),
    S.MEAN: SkillQuestion(Kind.VERNIER, Question.MEAN, (S.VERNIER_CORRECTED,)),
    S.CIRCLE_LEAST_COUNT: SkillQuestion(
        Kind.ANGULAR, Question.LEAST_COUNT, (S.VERNIER_LEAST_COUNT,)
    ),
    S.CIRCLE_READING: SkillQuestion(
        Kind.ANGULAR, Question.READING, (S.CIRCLE_LEAST_COUNT, S.VERNIER_READING)
    ),
    S.SWEEP: SkillQuestion(Kind.ANGULAR, Question.SWEEP, (S.CIRCLE_READING,)),
}  # fmt: skip
"""How each is asked for."""

FIRST_CHECK = (
    S.MARKS, S.VERNIER_LEAST_COUNT, S.VERNIER_READING, S.VERNIER_CORRECTED, S.SCREW_READING,
    S.CIRCLE_READING,
)  # fmt: skip
"""Six pictures that find where to begin."""


def skill_of(exercise: Exercise) -> Skill | None:
    """The skill that an exercise shows."""
    kind, question = exercise.instrument.kind, exercise.question
    if question is Question.MEAN:
        return S.MEAN
    found = (skill for skill, one in ASKED.items() if (one.kind, one.question) == (kind, question))
    return next(found, None)


def before(skill: Skill) -> frozenset[Skill]:
    """Everything that has to be known before a skill."""
    found = frozenset(ASKED[skill].after)
    return found.union(*map(before, found))
