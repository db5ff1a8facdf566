"""Slips that the page names besides, and the question that tells slips apart."""

from __future__ import annotations

from fractions import Fraction

import pytest

from metrion.core.instruments.instrument import Instrument
from metrion.core.practice.diagnosis import AnswerVerdict, Diagnosis, diagnose
from metrion.core.practice.exercise import Exercise, Question, answer_text
from metrion.core.practice.made import PLAIN_TOOLS, TOOLS
from metrion.core.practice.page_slips import FURTHER
from metrion.core.practice.work import right
from metrion.core.quantity.observations import Arc
from metrion.core.scales import Indication
from metrion.core.traits import Kind

TOOL = {tool.id: tool for tool in (*TOOLS, *PLAIN_TOOLS)}


def asked(
    tool: str, question: Question, *looks: tuple[str, int], zero: tuple[str, int] | None = None,
    divide_by: int = 1,
) -> Exercise:  # fmt: skip
    made = Exercise(
        "1-1", TOOL[tool], question, tuple(_look(*look) for look in looks),
        _look(*zero) if zero else None, Arc.SHORTER, divide_by,
    )  # fmt: skip
    answer, tolerance = answer_text(made, right(made))
    return Exercise(*list(vars(made).values())[:-2], answer, tolerance)


def _look(main: str, line: int) -> Indication:
    return Indication(Fraction(main), line)


def said(exercise: Exercise, given: str) -> Diagnosis:
    return diagnose(exercise, given, FURTHER)


@pytest.mark.parametrize(
    ("exercise", "given", "slip"),
    [
        (asked("s100h", Question.READING, ("6.5", 70)), "7.20", "half-mark-counted"),
        (asked("s50t", Question.LEAST_COUNT, ("6", 3)), "0.02", "division-over-lines"),
        (asked("v20", Question.LEAST_COUNT, ("6", 3)), "0.95", "fine-division"),
        (asked("v20w", Question.LEAST_COUNT, ("6", 3)), "0.95", "fine-division"),
        (asked("v10", Question.READING, ("6", 3)), "9", "mark-of-the-line-alone"),
        (asked("c30", Question.SWEEP, ("1110", 10), ("3420", 12)), "38.72", "carried-at-a-hundred"),
        (asked("c30", Question.SWEEP, ("600", 0), ("1800", 0)), "10:00", "halved-needlessly"),
        (asked("c30", Question.SWEEP, ("600", 0), ("1800", 0)), "40:00", "added-for-difference"),
        (asked("v20", Question.READING, ("25", 8)), "1.00", "inch-for-millimetre"),
        (asked("v25i", Question.READING, ("1", 0)), "25.40", "inch-for-millimetre"),
        (asked("v20", Question.READING, ("6", 7)), "6.4", "rounded-too-soon"),
        (asked("v20", Question.READING, ("6", 7)), "6.3", "cut-off"),
        (asked("p1", Question.READING, ("47", 0)), "48", "next-mark"),
        (asked("p1", Question.READING, ("47", 0)), "4.7", "unit-tenth"),
    ],
    ids=lambda value: value if isinstance(value, str) else "",
)
def test_it_is_named(exercise: Exercise, given: str, slip: str) -> None:
    found = said(exercise, given)
    assert found.verdict is AnswerVerdict.WRONG
    assert slip in found.slips


@pytest.mark.parametrize("tool", [*TOOLS, *PLAIN_TOOLS], ids=lambda tool: tool.id)
def test_the_right_answer_is_right_with_them_too(tool: Instrument) -> None:
    looks = [("600", 0), ("1200", 0)] if tool.kind is Kind.ANGULAR else [("2", 0)]
    question = Question.SWEEP if tool.kind is Kind.ANGULAR else Question.READING
    exercise = asked(tool.id, question, *looks)
    assert said(exercise, exercise.answer).verdict is AnswerVerdict.RIGHT


def test_files_name_those_of_the_contract_only() -> None:
    exercise = asked("v50", Question.READING, ("6", 17))
    assert diagnose(exercise, "6.3").slips == ()
    assert said(exercise, "6.3").slips == ("rounded-too-soon", "cut-off")
    # Where one of files gives it too, that comes first.
    both = said(asked("v10", Question.READING, ("6", 0)), "7")
    assert both.slips[0] == "next-mark"


def test_what_was_written_down_tells_slips_apart() -> None:
    # A line too high at the reading and a zero left out by one least count come to the same.
    exercise = asked("v20", Question.CORRECTED, ("6", 7), zero=("0", 1))
    found = said(exercise, "6.35")
    assert set(found.slips) >= {"line-above", "zero-left-out"}
    assert found.apart is not None
    assert found.apart.asks.code in ("practice-which-fine", "practice-which-zero")
    chosen = {one.slip for one in found.apart.choices}
    assert {"line-above", "zero-left-out"} <= chosen
    texts = [str(one.says.about["what"]) for one in found.apart.choices]
    assert len(set(texts)) == len(texts)


def test_of_slips_that_nothing_tells_apart_several_are_offered() -> None:
    # Cut off and rounded down come to the same, and nothing on the way differs.
    found = said(asked("v50", Question.READING, ("6", 17)), "6.3")
    assert found.apart is None
    codes = [one.code for one in found.says]
    assert codes == ["practice-one-of", "slip-rounded-too-soon", "slip-cut-off"]


def test_one_slip_alone_needs_no_question() -> None:
    found = said(asked("v20", Question.READING, ("6", 7)), "7.35")
    assert (found.slips[0], found.apart) == ("next-mark", None)


def test_where_there_is_no_fine_scale_none_is_spoken_of() -> None:
    found = said(asked("p1", Question.READING, ("47", 0)), "1.5")
    assert found.says[-1].code == "practice-no-slip-plain"


@pytest.mark.parametrize(
    ("given", "code"), [("13.85", "practice-off-main"), ("6.88", "practice-off-fine")]
)
def test_without_a_slip_it_is_said_how_far_off_and_where(given: str, code: str) -> None:
    found = said(asked("v20", Question.READING, ("6", 15)), given)
    assert found.slips == ()
    assert [one.code for one in found.says] == [code, "practice-no-slip"]
