"""Exercises, answers as people type them, and the slip that gives exactly an answer."""

from collections import Counter
from dataclasses import replace
from fractions import Fraction

import pytest

from metrion.core.exact.angles import angle_text
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Name
from metrion.core.instruments.instrument import Instrument
from metrion.core.practice.diagnosis import AnswerVerdict, diagnose
from metrion.core.practice.exercise import IN_FILES, Exercise, Question, answer_text, questions_of
from metrion.core.practice.given import understood
from metrion.core.practice.made import TOOLS
from metrion.core.practice.seen import seen
from metrion.core.practice.slips import SLIPS
from metrion.core.practice.work import Work, right
from metrion.core.quantity.observations import Arc
from metrion.core.scales import Indication, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.formats.exercise import exercises_of
from metrion.voice import plainly

CALIPER = Instrument("c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
HALF = Fraction(1, 2)
TURNS = Instrument("t", "Screw", Kind.SCREW, "mm", ScrewScale(HALF, 50, Fraction(1)))
MARKS = Instrument("h", "Screw", Kind.SCREW, "mm", ScrewScale(Fraction(1), 100, HALF))
CIRCLE = Instrument("o", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(30), 30, 29))
FINE_CIRCLE = Instrument("f", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(20), 40, 39))


def look(main: str, line: int, *, second_turn: bool = False) -> Indication:
    return Indication(Fraction(main), line, second_turn)


def asked(tool: Instrument, question: Question, *looks: Indication, **more: object) -> Exercise:
    bare = Exercise("1", tool, question, looks, **more)  # type: ignore[arg-type]
    answer, tolerance = answer_text(bare, right(bare))
    return replace(bare, answer=answer, tolerance=tolerance)


PAST = look("-1", 17)
CORRECTED = asked(CALIPER, Question.CORRECTED, look("6", 4), zero_check=PAST)
ZERO = asked(CALIPER, Question.ZERO_ERROR, zero_check=PAST)
SECOND = asked(TURNS, Question.READING, look("6", 38, second_turn=True))
FIRST = asked(TURNS, Question.READING, look("6", 38))
HALF_MARK = asked(MARKS, Question.READING, look("6.5", 62))
SWEEP = asked(
    CIRCLE, Question.SWEEP, look("20460", 12), look("1110", 0), divide_by=2, arc=Arc.SHORTER
)
MEAN = asked(CALIPER, Question.MEAN, look("6", 4), look("6", 4), look("6", 8), zero_check=PAST)
LEAST = asked(FINE_CIRCLE, Question.LEAST_COUNT)
ANGLE = asked(CIRCLE, Question.READING, look("3420", 12))


@pytest.mark.parametrize(
    ("exercise", "answer", "tolerance"),
    [
        (CORRECTED, "6.35", "0"), (ZERO, "-0.15", "0"), (SECOND, "6.88", "0"),
        (HALF_MARK, "6.62", "0"), (SWEEP, "18:39:00", "0"), (MEAN, "6.417", "0.005"),
        (LEAST, "0:00:30", "0"), (ANGLE, "57:12", "0"),
    ],
)  # fmt: skip
def test_the_answer_has_the_decimals_that_are_expected(
    exercise: Exercise, answer: str, tolerance: str
) -> None:
    assert (exercise.answer, to_text(exercise.tolerance)) == (answer, tolerance)


@pytest.mark.parametrize(
    ("exercise", "given", "verdict"),
    [
        (CORRECTED, " +6,35 mm", AnswerVerdict.RIGHT), (CORRECTED, "0.635 cm", AnswerVerdict.RIGHT),
        (CORRECTED, "6.350", AnswerVerdict.ROUNDED),
        (CORRECTED, "6.35 kg", AnswerVerdict.UNREADABLE),
        (CORRECTED, "", AnswerVerdict.UNREADABLE), (CORRECTED, "six", AnswerVerdict.UNREADABLE),
        (ZERO, "−0.15", AnswerVerdict.RIGHT), (ZERO, "- 0.15", AnswerVerdict.RIGHT),
        (ANGLE, "57 12", AnswerVerdict.RIGHT), (ANGLE, "+ 57 : 12", AnswerVerdict.RIGHT),
        (MEAN, "6.42", AnswerVerdict.ROUNDED),
        (MEAN, "6.415", AnswerVerdict.RIGHT), (MEAN, "6.4", AnswerVerdict.WRONG),
        (ANGLE, "57°12′", AnswerVerdict.RIGHT), (ANGLE, "57° 12'", AnswerVerdict.RIGHT),
        (ANGLE, "57.2", AnswerVerdict.ROUNDED), (ANGLE, "57:12:00", AnswerVerdict.ROUNDED),
        (ANGLE, "57:72", AnswerVerdict.UNREADABLE), (ANGLE, "57°12.0′", AnswerVerdict.ROUNDED),
        (SWEEP, "18:39:00", AnswerVerdict.RIGHT), (SWEEP, "18:39", AnswerVerdict.ROUNDED),
        (LEAST, "0:00:30", AnswerVerdict.RIGHT), (LEAST, "0.5", AnswerVerdict.ROUNDED),
        (LEAST, "30″", AnswerVerdict.RIGHT), (LEAST, "0°0′30″", AnswerVerdict.RIGHT),
    ],
)  # fmt: skip
def test_answers_are_understood_as_people_type_them(
    exercise: Exercise, given: str, verdict: AnswerVerdict
) -> None:
    found = diagnose(exercise, given)
    assert found.verdict is verdict
    assert all(plainly().say(fact) for fact in found.says)


@pytest.mark.parametrize(
    ("exercise", "given", "code"),
    [
        (CORRECTED, "7.35", "next-mark"), (CORRECTED, "5.35", "mark-before"),
        (CORRECTED, "14.35", "mark-at-the-line"), (CORRECTED, "6.40", "line-above"),
        (CORRECTED, "6.3", "line-below"), (CORRECTED, "6.25", "numeral-as-line"),
        (CORRECTED, "6.55", "line-as-decimals"), (CORRECTED, "6.15", "fine-left-out"),
        (CORRECTED, "0.35", "main-left-out"), (CORRECTED, "5.70", "division-as-least-count"),
        (CORRECTED, "6.7", "division-as-least-count"), (CORRECTED, "9.5", "least-count-tenfold"),
        (CORRECTED, "6.95", "counted-backwards"), (CORRECTED, "6.20", "zero-left-out"),
        (CORRECTED, "6.05", "zero-added"), (CORRECTED, "5.35", "zero-wrapped"),
        (CORRECTED, "7.05", "zero-counted-from-end"), (CORRECTED, "63.5", "unit-tenfold"),
        (CORRECTED, "0.635", "unit-tenth"), (ZERO, "0.85", "zero-wrapped"),
        (ZERO, "-0.85", "zero-counted-from-end"), (ZERO, "0.15", "sign"),
        (ZERO, "-1.5", "least-count-tenfold"), (SECOND, "6.38", "turn-missed"),
        (FIRST, "6.88", "turn-added"), (SECOND, "7.88", "next-mark"),
        (HALF_MARK, "7.62", "next-mark"), (SWEEP, "18:24", "half-division-missed"),
        (SWEEP, "18:54", "next-mark"), (SWEEP, "161:21", "other-arc"),
        (SWEEP, "37:18", "not-halved"),
        (SWEEP, "18.39", "minutes-as-decimals"), (ANGLE, "57.12", "minutes-as-decimals"),
        (MEAN, "6.35", "one-left-out"), (MEAN, "19.25", "sum-for-mean"),
        (MEAN, "18.95", "sum-for-mean"), (MEAN, "9.625", "divided-by-one-less"),
        (MEAN, "9.55", "divided-by-one-less"), (LEAST, "2", "division-as-least-count"),
        (LEAST, "5", "least-count-tenfold"), (LEAST, "0:00:03", "least-count-tenth"),
    ],
)  # fmt: skip
def test_a_slip_that_gives_the_answer_is_named(exercise: Exercise, given: str, code: str) -> None:
    found = diagnose(exercise, given)
    assert found.verdict is AnswerVerdict.WRONG
    assert code in found.slips
    assert all(plainly().say(fact) for fact in found.says)


def test_the_likeliest_comes_first_and_in_the_order_of_the_table_where_they_are_alike() -> None:
    assert diagnose(CORRECTED, "5.35").slips == ("zero-wrapped", "mark-before")
    assert diagnose(replace(CORRECTED, question=Question.READING, answer="6.20"), "6.00").slips == (
        "fine-left-out",
    )


def test_a_half_mark_that_does_not_count_is_no_slip() -> None:
    assert diagnose(HALF_MARK, "6.12").slips == ()
    assert diagnose(HALF_MARK, "5.62").slips == ()


def test_two_slips_at_different_steps_are_named_where_none_alone_gives_the_answer() -> None:
    found = diagnose(CORRECTED, "7.20")
    assert found.slips[0] == "next-mark+zero-left-out"
    assert len(found.slips) <= 8
    assert len(found.says) == 2


def test_an_answer_that_no_slip_gives_gets_no_name() -> None:
    assert diagnose(CORRECTED, "4.711").slips == ()
    assert "no usual slip" in plainly().say(diagnose(CORRECTED, "4.711").says[0])


def test_none_of_two_hundred_is_like_another_and_everything_occurs() -> None:
    some = [next_of for next_of, _ in zip(exercises_of(3), range(200), strict=False)]
    assert len({exercise.situation for exercise in some}) == 200
    assert {exercise.instrument.id for exercise in some} == {tool.id for tool in TOOLS}
    asked_of = Counter((exercise.instrument.kind, exercise.question) for exercise in some)
    assert set(asked_of) == {(kind, one) for kind in IN_FILES for one in questions_of(kind)}
    assert [exercise.id for exercise in some[:2]] == ["3-1", "3-2"]


def test_what_can_be_asked_of_one_tool_only_waits_for_others() -> None:
    some = zip(exercises_of(1, "vernier", "zero-error"), range(300), strict=False)
    situations = [exercise.situation for exercise, _ in some]
    assert all(len(set(situations[at : at + 200])) == 200 for at in (0, 50, 100))


def written(exercise: Exercise, value: Fraction) -> str | None:
    """An answer as an independent program would write it; None where it takes endless decimals."""
    if not exercise.angular:
        return to_text(value)
    return angle_text(value) if (value * 60).denominator == 1 else None


@pytest.mark.parametrize("seed", range(2))
def test_every_way_of_every_slip_is_named_on_every_exercise(seed: int) -> None:
    seen = Counter[str]()
    for exercise, _ in zip(exercises_of(seed), range(120), strict=False):
        assert diagnose(exercise, exercise.answer).verdict is AnswerVerdict.RIGHT
        for slip in SLIPS:
            for way in slip.ways(Work(exercise)):
                given = written(exercise, Fraction(Work(exercise).outcome(way)))
                if given is None or diagnose(exercise, given).verdict is not AnswerVerdict.WRONG:
                    continue
                assert slip.code in diagnose(exercise, given).slips, (exercise, given)
                seen[slip.code] += 1
    assert set(seen) >= {slip.code for slip in SLIPS} - {"least-count-tenth"}


def test_what_an_eye_sees_is_told_in_order_and_what_it_reads_is_not() -> None:
    def told(tool: Instrument, at: Indication) -> list[str]:
        return [plainly().say(one) for one in seen(tool, at)]

    assert told(CALIPER, look("16", 4)) == [
        "The zero line has passed mark 6 after the numeral 10, and not the next.",
        "Line 2 stands a little right of a mark.", "Line 3 stands a hair right of a mark.",
        "Line 4 is one with a mark.", "Line 5 stands a hair left of a mark.",
        "Line 6 stands a little left of a mark.",
    ]  # fmt: skip
    assert told(CALIPER, PAST)[0] == "The zero line stands before the 0, past mark 1 below it."
    assert told(MARKS, look("6.5", 62))[:2] == [
        "The edge of the thimble has passed mark 1 after the numeral 6, and not the next.",
        "Line 59 stands below the datum line.",
    ]


@pytest.mark.parametrize("kind", ["vernier", "screw", "angular"])
def test_the_line_that_meets_is_among_those_that_are_told(kind: str) -> None:
    for exercise, _ in zip(exercises_of(9, kind, "reading"), range(100), strict=False):
        (at,) = exercise.looks
        _, *lines = (one.about for one in seen(exercise.instrument, at))
        met = [one["line"] for one in lines if one["near"] == "at"]
        assert Name(str(at.line)) in met
        assert len(lines) == 5


def test_a_length_in_other_units_moves_its_decimals() -> None:
    given = understood(CORRECTED, "0.00635 m")
    assert given is not None
    assert (given.value, given.decimals) == (Fraction("6.35"), 2)
