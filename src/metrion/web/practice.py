"""``/api/practice``: exercises to read, what slipped in an answer, and what was right."""

from __future__ import annotations

from itertools import islice

from metrion.core.desk.marks import main_typed
from metrion.core.facts import Name
from metrion.core.practice.diagnosis import diagnose
from metrion.core.practice.exercise import Exercise
from metrion.core.practice.seen import seen
from metrion.core.scales import Indication
from metrion.formats.exercise import exercises_of, instrument_record
from metrion.store.records import Kept
from metrion.voice.exercises import answer_words, looks_in_words, task_words
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
from metrion.web.speaking import refuse, say, speaker

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
    return ExerciseView(
        id=found.id,
        question=found.question,
        task=task_words(found, speaker()),
        unit="" if found.angular else tool.unit,
        instrument=instrument_view(tool, kept),
        looks=[
            ReadView(label, float(tool.reading(look)), list(map(say, seen(tool, look))))
            for label, look in looks_in_words(found, speaker())
        ],
    )


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
    return ShownView(
        answer_words(found, found.answer, speaker()),
        [_met(found, look) for _, look in looks_in_words(found, speaker())],
    )


def _met(found: Exercise, look: Indication) -> AnswerView:
    tool = found.instrument
    typed = IndicationView(
        main=main_typed(tool, look.main),
        fine=str(look.line),
        second_turn=look.second_turn,
        seq=0,
    )
    return answer_view(tool, typed)
