"""``/api/practice``: exercises to read, what slipped in an answer, and what was right."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import islice

from metrion.core.desk.marks import main_typed
from metrion.core.exact.angles import degrees_and_minutes
from metrion.core.exact.numbers import finite_decimals
from metrion.core.facts import Name
from metrion.core.practice.diagnosis import diagnose
from metrion.core.practice.exercise import Exercise, Question
from metrion.core.scales import Indication
from metrion.formats.exercise import exercises_of, instrument_record
from metrion.store.records import Kept
from metrion.web.bodies import Blueprint
from metrion.web.present import answer_view, instrument_view
from metrion.web.schemas import (
    AnswerView,
    AttemptView,
    DiagnosisView,
    ExerciseView,
    IndicationView,
    ReadView,
    ShownView,
    WhichView,
    schema_of,
)
from metrion.web.speaking import refuse, say, shown, speaker

blueprint = Blueprint("practice", __name__, url_prefix="/api/practice")


def _found(which: WhichView) -> Exercise:
    some = exercises_of(which.seed, which.kind or None, which.question or None)
    found = next(islice(some, which.at - 1, None), None)
    if found is None:
        refuse(422, "practice-not-asked", question=Name(which.question))
    return found


@blueprint.post("/exercise")
@blueprint.arguments(schema_of(WhichView))
@blueprint.response(200, schema_of(ExerciseView))
def exercise(which: WhichView) -> ExerciseView:
    """What is seen and asked. 422 where a question is not asked of a kind of tool."""
    found = _found(which)
    tool = found.instrument
    kept = Kept(tool.id, instrument_record(tool), 0, 0)
    text = speaker().text
    return ExerciseView(
        id=found.id,
        question=found.question,
        task=text(_task_code(found), arc=str(found.arc)),
        unit="" if found.angular else tool.unit,
        instrument=instrument_view(tool, kept),
        looks=[
            ReadView(label, float(tool.reading(look)), zero=look is found.zero_check)
            for label, look in _looks(found)
        ],
    )


def _task_code(found: Exercise) -> str:
    halved = found.question is Question.SWEEP and found.divide_by != 1
    return f"practice-asks-{found.question}{'-halved' if halved else ''}"


def _looks(found: Exercise) -> Iterator[tuple[str, Indication]]:
    """Each look with what it is, the zero first."""
    text = speaker().text
    if found.zero_check:
        yield text("practice-at-the-zero"), found.zero_check
    for at, look in enumerate(found.looks, start=1):
        code = "practice-position" if found.question is Question.SWEEP else "practice-look"
        several = len(found.looks) > 1
        yield text(code if several else "practice-one-look", at=at), look


@blueprint.post("/answer")
@blueprint.arguments(schema_of(AttemptView))
@blueprint.response(200, schema_of(DiagnosisView))
def answer(attempt: AttemptView) -> DiagnosisView:
    """Whether an answer is right, and else which slip gives exactly it."""
    found = diagnose(_found(attempt), attempt.given)
    return DiagnosisView(found.verdict, list(found.slips), [say(fact) for fact in found.says])


@blueprint.post("/shown")
@blueprint.arguments(schema_of(WhichView))
@blueprint.response(200, schema_of(ShownView))
def shown_answer(which: WhichView) -> ShownView:
    """What is right, and which marks and lines make it."""
    found = _found(which)
    return ShownView(_answer_words(found), [_met(found, look) for _, look in _looks(found)])


def _answer_words(found: Exercise) -> str:
    if not found.angular:
        return f"{shown(found.answer)} {found.instrument.unit}"
    return shown(degrees_and_minutes(found.value, finite_decimals(found.value) or 0))


def _met(found: Exercise, look: Indication) -> AnswerView:
    tool = found.instrument
    typed = IndicationView(
        main=main_typed(tool, look.main),
        fine=str(look.line),
        second_turn=look.second_turn,
        seq=0,
    )
    return answer_view(tool, typed)
