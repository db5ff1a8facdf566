"""How likely it is that a learner has a skill, after what they answered.

Bayesian knowledge tracing: A. T. Corbett and J. R. Anderson, *Knowledge tracing: modeling the
acquisition of procedural knowledge*, User Modeling and User-Adapted Interaction 4 (1995) 253. What
is not practised fades by half towards what was known at first in a span of its own: B. Settles and
B. Meeder, *A trainable spaced repetition model for language learning*, ACL 2016.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from math import exp2

from metrion.core.practice.diagnosis import AnswerVerdict
from metrion.core.practice.skills import Skill, before

KNOWN_AT_FIRST = 0.15
LEARNED_BY_ONE = 0.2
"""How likely a skill is learned by an exercise, whatever the answer."""
SLIPS = 0.1
"""How often somebody who has the skill answers wrong."""
GUESSES = 0.05
"""How often somebody who has it not answers right: answers are typed, not picked."""
MASTERED = 0.9
OPEN = 0.6
"""From so much on, what comes after a skill is open."""
HALF_DAYS = 14.0
"""In so many days without practice half of it fades, the first time; twice as many each time."""
SECONDS_A_DAY = 86_400.0


@dataclass(frozen=True)
class Attempt:
    """The first answer to an exercise, or that it was shown.

    Attributes:
        skill: that it shows.
        at: when, in seconds of any clock.
        right: whether the answer was, the first time.
        slips: the codes that gave it.
    """

    skill: Skill
    at: float
    right: bool
    slips: tuple[str, ...] = ()


@dataclass(frozen=True)
class SkillStanding:
    """Where a learner stands with a skill.

    Attributes:
        known: how likely it is that they have it, from 0 to 1.
        at: when that was, None before the first attempt.
        attempts, right: how many there were, and how many of them right.
    """

    known: float = KNOWN_AT_FIRST
    at: float | None = None
    attempts: int = 0
    right: int = 0

    def now(self, now: float) -> float:
        """What is left of it by now."""
        if self.at is None:
            return self.known
        half = HALF_DAYS * 2 ** min(self.right, 6)
        days = max(now - self.at, 0.0) / SECONDS_A_DAY
        left = exp2(-days / half)
        return KNOWN_AT_FIRST + (self.known - KNOWN_AT_FIRST) * left

    def after(self, attempt: Attempt) -> SkillStanding:
        """What an attempt shows of it, and what it teaches."""
        known = self.now(attempt.at)
        hit = known * (1 - SLIPS if attempt.right else SLIPS)
        miss = (1 - known) * (GUESSES if attempt.right else 1 - GUESSES)
        shown = hit / (hit + miss)
        learned = shown + (1 - shown) * LEARNED_BY_ONE
        return SkillStanding(learned, attempt.at, self.attempts + 1, self.right + attempt.right)

    def implied(self, attempt: Attempt) -> SkillStanding:
        """What a right answer that needs this skill besides shows of it."""
        if not attempt.right or self.attempts:
            return self
        likelier = self.after(attempt)
        return SkillStanding(likelier.known, attempt.at, 0, 0)


def standings(attempts: Iterable[Attempt]) -> dict[Skill, SkillStanding]:
    """Where a learner stands after all they did, in the order in which they did it."""
    found = dict.fromkeys(Skill, SkillStanding())
    for attempt in attempts:
        found[attempt.skill] = found[attempt.skill].after(attempt)
        for skill in before(attempt.skill):
            found[skill] = found[skill].implied(attempt)
    return found


def course(attempts: Iterable[Attempt], skill: Skill) -> list[tuple[float, float]]:
    """When a skill was practised, and how likely it was there from then on."""
    standing, points = SkillStanding(), []
    for attempt in attempts:
        if attempt.skill is skill:
            standing = standing.after(attempt)
            points.append((attempt.at, standing.known))
    return points


def is_right(verdict: AnswerVerdict) -> bool:
    """Whether an answer counts as right for a skill; other decimals than expected do."""
    return verdict in (AnswerVerdict.RIGHT, AnswerVerdict.ROUNDED)
