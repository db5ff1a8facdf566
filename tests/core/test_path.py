"""Skills, how likely they are there, what comes next, and what makes a picture hard."""

from __future__ import annotations

from collections import Counter
from itertools import islice
from random import Random

import pytest

from metrion.core.practice.exercise import questions_of
from metrion.core.practice.made import Chance
from metrion.core.practice.mastery import (
    KNOWN_AT_FIRST,
    MASTERED,
    OPEN,
    Attempt,
    SkillStanding,
    course,
    standings,
)
from metrion.core.practice.path import first_check, is_open, next_exercise
from metrion.core.practice.skills import ASKED, FIRST_CHECK, Skill, before, skill_of
from metrion.core.practice.traps import Difficulty, Trap, is_of, traps
from metrion.core.traits import Kind
from metrion.formats.exercise import Which, exercise_at, exercises_of

DAY = 86_400.0
READING = Skill.VERNIER_READING


def tries(text: str, skill: Skill = READING, begun: float = 0.0) -> list[Attempt]:
    """Attempts a minute apart: ``+`` for right, ``-`` for wrong."""
    return [Attempt(skill, begun + 60 * at, sign == "+") for at, sign in enumerate(text)]


def known(text: str) -> float:
    return standings(tries(text))[READING].known


def test_one_right_answer_after_the_published_rule() -> None:
    # P(L|right) = L(1-s) / (L(1-s) + (1-L)g), then learned by it: equations 1 and 2 of the source.
    shown = 0.15 * 0.9 / (0.15 * 0.9 + 0.85 * 0.05)
    assert known("+") == pytest.approx(shown + (1 - shown) * 0.2)


def test_one_wrong_answer_after_the_published_rule() -> None:
    # P(L|wrong) = Ls / (Ls + (1-L)(1-g)): a slip of who knows, or no luck of who does not.
    shown = 0.15 * 0.1 / (0.15 * 0.1 + 0.85 * 0.95)
    assert known("-") == pytest.approx(shown + (1 - shown) * 0.2)


@pytest.mark.parametrize(
    ("less", "more"), [("", "+"), ("-", ""), ("+", "++"), ("+-", "++"), ("--+", "+++"), ("-", "+")]
)
def test_right_answers_raise_it_and_wrong_ones_lower_it(less: str, more: str) -> None:
    # A wrong first answer teaches a little, so what it lowers is seen beside a right one.
    if less == "-" and more == "":
        assert known("+-") < known("+")
    else:
        assert known(less) < known(more)


def test_two_or_three_right_answers_master_a_skill_and_slips_do_not_lose_it() -> None:
    assert known("++") >= MASTERED
    assert known("+-") < MASTERED
    assert known("+++-") > OPEN


def test_what_is_not_practised_fades_more_slowly_the_more_it_was() -> None:
    once, often = standings(tries("+"))[READING], standings(tries("++++"))[READING]
    month = 30 * DAY
    assert KNOWN_AT_FIRST < once.now(month) < once.known
    lost = [(one.known - one.now(month)) / one.known for one in (once, often)]
    assert lost[1] < lost[0] / 4
    assert SkillStanding().now(month) == KNOWN_AT_FIRST


def test_a_right_answer_shows_what_it_needs() -> None:
    found = standings(tries("++", Skill.VERNIER_CORRECTED))
    assert found[READING].known > OPEN
    assert found[READING].attempts == 0
    assert found[Skill.SWEEP].known == KNOWN_AT_FIRST


def test_skills_stand_in_an_order_in_which_they_can_be_learned() -> None:
    order = list(Skill)
    for skill, asked in ASKED.items():
        assert all(order.index(one) < order.index(skill) for one in asked.after)
        assert asked.question in questions_of(asked.kind)
    assert before(Skill.SWEEP) >= {Skill.CIRCLE_READING, Skill.MARKS}


def test_the_first_check_is_six_pictures_and_then_the_path_begins() -> None:
    asked = [first_check(done) for done in range(7)]
    assert [one.skill for one in asked if one] == list(FIRST_CHECK)
    assert asked[6] is None


def chance_of(seed: int) -> Chance:
    chance = Random(seed)
    return lambda below: int(chance.random() * below)


def path_of(answers: str, seed: int = 1) -> list[Skill]:
    """The skills that are practised by somebody who answers so, over and over."""
    chance, attempts, went = chance_of(seed), [], []
    for at, sign in enumerate(answers):
        coming = next_exercise(attempts, 60.0 * at, chance)
        went.append(coming.skill)
        slips = () if sign == "+" else ("next-mark",)
        attempts.append(Attempt(coming.skill, 60.0 * at, sign == "+", slips))
    return went


def test_who_is_always_right_goes_through_all_skills_in_their_order() -> None:
    went = list(dict.fromkeys(path_of("+" * 60)))
    assert went[: len(Skill)] == sorted(went[: len(Skill)], key=list(Skill).index)
    assert went[0] is Skill.MARKS
    assert set(went) == set(Skill)


def test_who_slips_stays_and_meets_the_slip_again() -> None:
    attempts = [*tries("++", Skill.MARKS), Attempt(Skill.MARKS, 300, False, ("next-mark",))]
    coming = [next_exercise(attempts, 400, lambda below, at=at: at % below) for at in range(4)]
    assert [one.slip for one in coming][::2] == ["next-mark", "next-mark"]
    assert {one.skill for one in coming[::2]} == {Skill.MARKS}
    mended = [*attempts, Attempt(Skill.MARKS, 500, True)]
    assert next_exercise(mended, 600, lambda below: 0).slip == ""


def test_nothing_is_practised_before_what_it_needs() -> None:
    for seed in range(20):
        chance, attempts = chance_of(seed), []
        for at in range(40):
            now = 60.0 * at
            coming = next_exercise(attempts, now, chance)
            likely = {skill: one.now(now) for skill, one in standings(attempts).items()}
            mended = any(one.skill is coming.skill for one in attempts)
            assert mended or is_open(coming.skill, likely)
            right = chance(10) < 6
            attempts.append(Attempt(coming.skill, now, right, () if right else ("line-above",)))


def test_the_course_of_a_skill_is_what_its_attempts_made_of_it() -> None:
    attempts = [*tries("+-"), *tries("+", Skill.SWEEP)]
    points = course(attempts, READING)
    assert [at for at, _ in points] == [0, 60]
    assert points[1][1] < points[0][1]


def test_every_trap_occurs_and_plain_pictures_have_none() -> None:
    made = list(islice(exercises_of(3), 600))
    found = Counter(trap for one in made for trap in traps(one))
    assert set(found) == set(Trap)
    plain = [one for one in made if is_of(one, Difficulty.PLAIN, "")]
    mean = [one for one in made if is_of(one, Difficulty.MEAN, "")]
    assert len(plain) + len(mean) == len(made)
    assert min(len(plain), len(mean)) > 100
    assert not any(map(traps, plain))
    assert all(is_of(one, Difficulty.ANY, "") for one in made)


def test_a_picture_gives_room_to_the_slip_that_is_to_be_met() -> None:
    turned = exercise_at(Which(5, 1, "screw", "reading", Difficulty.ANY, "turn-missed"))
    assert turned is not None
    assert any(look.second_turn for look in turned.looks)
    # Where it cannot be made at all, any picture will do.
    none = exercise_at(Which(5, 1, "vernier", "reading", Difficulty.PLAIN, "other-arc"))
    assert none is not None
    assert none.instrument.kind is Kind.VERNIER


@pytest.mark.parametrize("kind", Kind)
def test_every_exercise_of_the_page_shows_a_skill(kind: Kind) -> None:
    for exercise in islice(exercises_of(2, kind), 100):
        skill = skill_of(exercise)
        assert skill is not None
        assert ASKED[skill].question is exercise.question


def test_no_two_plain_scales_in_two_hundred_are_alike() -> None:
    made = list(islice(exercises_of(1, "plain"), 200))
    assert len({one.situation for one in made}) == 200
