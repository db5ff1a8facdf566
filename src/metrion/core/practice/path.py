"""What to practise next: a rule that orders, with *now* and the chance passed in."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from metrion.core.practice.made import Chance
from metrion.core.practice.mastery import MASTERED, OPEN, Attempt, SkillStanding, standings
from metrion.core.practice.skills import ASKED, FIRST_CHECK, Skill
from metrion.core.practice.traps import Difficulty

_RECENT = 12
"""So many attempts back, slips are practised again."""
_AGAIN = 2
"""One exercise in so many goes back to a slip that was made lately, while there is one."""
_TRICKY = 0.7
"""From so much on, a skill is practised where it is mean."""


@dataclass(frozen=True)
class Next:
    """What is to come.

    Attributes:
        skill: that it shows.
        level: how hard it is to be.
        slip: which slip is to be possible in it; empty for any.
    """

    skill: Skill
    level: Difficulty
    slip: str = ""


def first_check(done: int) -> Next | None:
    """The next of the six pictures that find where to begin; None after the last."""
    return Next(FIRST_CHECK[done], Difficulty.PLAIN) if done < len(FIRST_CHECK) else None


def is_open(skill: Skill, now: Mapping[Skill, float]) -> bool:
    """Whether all that has to be known before a skill is."""
    return all(now[one] >= OPEN for one in ASKED[skill].after)


def next_exercise(attempts: Sequence[Attempt], now: float, chance: Chance) -> Next:
    """What helps most now.

    The first open skill that is not mastered; once all are, the one that has faded most. Every
    other time, while slips were made lately, the skill and the slip that were made most often.
    """
    standing = standings(attempts)
    known = {skill: one.now(now) for skill, one in standing.items()}
    made = _made_lately(attempts)
    if made and chance(_AGAIN) == 0:
        (skill, slip), _ = made.most_common(1)[0]
        return Next(skill, _level(known[skill]), slip)
    skill = _in_order(known, standing)
    slips = [slip for one, slip in made if one is skill]
    return Next(skill, _level(known[skill]), slips[chance(len(slips))] if slips else "")


def _in_order(known: Mapping[Skill, float], standing: Mapping[Skill, SkillStanding]) -> Skill:
    to_learn = [skill for skill in Skill if known[skill] < MASTERED and is_open(skill, known)]
    if to_learn:
        return to_learn[0]
    return min(Skill, key=lambda skill: (known[skill], standing[skill].at or 0.0))


def _level(known: float) -> Difficulty:
    return (
        Difficulty.MEAN
        if known >= _TRICKY
        else Difficulty.ANY
        if known >= OPEN
        else Difficulty.PLAIN
    )


def _made_lately(attempts: Sequence[Attempt]) -> Counter[tuple[Skill, str]]:
    """The likeliest slip of each late wrong answer, unless it was mended since."""
    made: Counter[tuple[Skill, str]] = Counter()
    for attempt in attempts[-_RECENT:]:
        if attempt.right:
            mended = [one for one in made if one[0] is attempt.skill]
            for one in mended:
                made[one] -= 1
            made += Counter()
        elif attempt.slips:
            made[attempt.skill, attempt.slips[0].split("+")[0]] += 1
    return made
