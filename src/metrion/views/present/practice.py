"""Practice as the API shows it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import replace

from metrion.core.desk.said.amiss import main_typed
from metrion.core.desk.said.meanings import key_of
from metrion.core.facts import coded, fact
from metrion.core.practice.apart import Apart
from metrion.core.practice.diagnosis import Diagnosis
from metrion.core.practice.exercise import Exercise
from metrion.core.practice.mastery import MASTERED, Attempt, SkillStanding, course
from metrion.core.practice.path import is_open
from metrion.core.practice.seen import seen
from metrion.core.practice.skills import ASKED, Skill
from metrion.core.practice.slips import SlipStep
from metrion.core.scales import Indication
from metrion.formats.exercise import instrument_record
from metrion.store.records import EntryVersion
from metrion.views.locale import say, speaker
from metrion.views.present.answers import answer_view
from metrion.views.present.instruments import instrument_view
from metrion.views.schemas.desk import AnswerView, IndicationView
from metrion.views.schemas.practice import (
    ApartView,
    ChoiceView,
    DiagnosisView,
    ExerciseView,
    ReadView,
    ShownView,
    SkillView,
    TraceView,
)
from metrion.voice.exercises import looks_in_words, right_answer, task_words


def exercise_view(found: Exercise) -> ExerciseView:
    """What is seen and asked."""
    tool = found.instrument
    return ExerciseView(
        id=found.id,
        question=found.question,
        task=task_words(found, speaker()),
        unit="" if found.angular else tool.unit,
        instrument=instrument_view(tool, EntryVersion(tool.id, instrument_record(tool), 0, 0)),
        looks=[
            ReadView(label, float(tool.reading(look)), list(map(say, seen(tool, look))))
            for label, look in looks_in_words(found, speaker())
        ],
    )


def shown_view(found: Exercise) -> ShownView:
    """What is right, and which marks and lines make it."""
    return ShownView(right_answer(found, speaker()), _met_in(found))


def _met_in(found: Exercise) -> list[AnswerView]:
    return [_met(found, look) for _, look in looks_in_words(found, speaker())]


def _met(found: Exercise, look: Indication) -> AnswerView:
    tool = found.instrument
    typed = IndicationView(
        main=main_typed(tool, look.main),
        fine="" if found.is_plain else str(look.line),
        second_turn=look.second_turn,
        meant=key_of(look),
        seq=0,
    )
    return answer_view(tool, typed)


def diagnosis_view(exercise: Exercise, found: Diagnosis) -> DiagnosisView:
    """What is said of an answer; of the drawing only the step that slipped is shown."""
    sentences = [say(fact) for fact in found.says]
    return DiagnosisView(
        found.verdict, list(found.slips), sentences, _apart_view(found.apart),
        _of_the_step(exercise, found.step),
    )  # fmt: skip


def _apart_view(apart: Apart | None) -> ApartView | None:
    if apart is None:
        return None
    choices = [
        ChoiceView(say(one.says), one.slip, say(coded("slip", one.slip))) for one in apart.choices
    ]
    return ApartView(say(apart.asks), choices)


def _of_the_step(exercise: Exercise, step: SlipStep | None) -> list[AnswerView]:
    """The mark that was passed, the line that meets, or the zero: what slipped, and no more."""
    if step is SlipStep.MAIN:
        return [
            replace(view, fine=replace(view.fine, seen=[]), meets=None)
            for view in _met_in(exercise)
        ]
    if step is SlipStep.FINE:
        return [replace(view, bounds=None) for view in _met_in(exercise)]
    if step is SlipStep.ZERO and exercise.zero_check:
        return _met_in(exercise)[:1]
    return []


def skill_views(
    standing: Mapping[Skill, SkillStanding], attempts: Sequence[Attempt], now: float
) -> list[SkillView]:
    """Every skill, in the order of the work."""
    known = {skill: one.now(now) for skill, one in standing.items()}
    return [
        SkillView(
            key=skill,
            name=say(fact("practice-skill", skill=skill)),
            kind=ASKED[skill].kind,
            question=ASKED[skill].question,
            known=known[skill],
            open=is_open(skill, known),
            mastered=known[skill] >= MASTERED,
            attempts=standing[skill].attempts,
            right=standing[skill].right,
            course=[TraceView(*point) for point in course(attempts, skill)],
        )
        for skill in Skill
    ]
