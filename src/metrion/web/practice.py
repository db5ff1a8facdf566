"""``/api/practice``: exercises to read, what slipped in an answer, what was right, and the path."""

from __future__ import annotations

from datetime import UTC, datetime
from itertools import islice
from secrets import randbelow

from metrion.core.facts import Name, fact
from metrion.core.practice.diagnosis import AnswerVerdict, diagnose
from metrion.core.practice.exercise import Exercise
from metrion.core.practice.mastery import is_right, standings
from metrion.core.practice.page_slips import FURTHER
from metrion.core.practice.path import Next, first_check, next_exercise
from metrion.core.practice.skills import ASKED, FIRST_CHECK, skill_of
from metrion.formats.exercise import Which, exercise_at, exercises_of
from metrion.store.attempts import (
    SHOWN,
    Answered,
    all_attempts,
    forget_attempts,
    keep_first,
    seconds_since,
)
from metrion.views.locale import say
from metrion.views.present.practice import diagnosis_view, exercise_view, shown_view, skill_views
from metrion.views.schemas.practice import (
    AttemptView,
    DiagnosisView,
    ExerciseView,
    FilledView,
    MarkedView,
    PathView,
    ShownView,
    WhichView,
)
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook
from metrion.web.problems import refuse

blueprint = Blueprint("practice", __name__, url_prefix="/api/practice")

_SEEDS = 10**9
_MINUTE = 60


def _which(told: WhichView) -> Which:
    return Which(told.seed, told.at, told.kind, told.question, told.level, told.slip)


def _found(told: WhichView) -> Exercise:
    found = exercise_at(_which(told))
    if found is None:
        refuse(422, "practice-not-asked", question=Name(told.question))
    return found


@blueprint.post("/exercise")
@blueprint.arguments(schema_of(WhichView))
@blueprint.response(200, schema_of(ExerciseView))
def exercise(which: WhichView) -> ExerciseView:
    """What is seen and asked. 422 where a question is not asked of a kind of tool."""
    return exercise_view(_found(which))


@blueprint.post("/answer")
@blueprint.arguments(schema_of(AttemptView))
@blueprint.response(200, schema_of(DiagnosisView))
def answer(attempt: AttemptView) -> DiagnosisView:
    """Whether an answer is right, and else which slip gives exactly it. The first one is kept."""
    exercise = _found(attempt)
    found = diagnose(exercise, attempt.given, FURTHER)
    if found.verdict is not AnswerVerdict.UNREADABLE:
        _keep(attempt, exercise, attempt.given, found.verdict, found.slips, attempt.seconds)
    return diagnosis_view(exercise, found)


def _keep(
    told: WhichView,
    exercise: Exercise,
    given: str,
    verdict: str,
    slips: tuple[str, ...],
    seconds: float,
) -> None:
    if skill := skill_of(exercise):
        answered = Answered(str(_which(told)), skill, given, str(verdict), slips, seconds)
        with notebook().store.writing() as session:
            keep_first(session, answered)


@blueprint.post("/shown")
@blueprint.arguments(schema_of(AttemptView))
@blueprint.response(200, schema_of(ShownView))
def shown_answer(told: AttemptView) -> ShownView:
    """What is right, and which marks and lines make it. Asked for unanswered, that is kept too."""
    found = _found(told)
    _keep(told, found, "", SHOWN, (), told.seconds)
    return shown_view(found)


@blueprint.post("/sheet")
@blueprint.arguments(schema_of(FilledView))
@blueprint.response(200, schema_of(MarkedView))
def sheet(filled: FilledView) -> MarkedView:
    """What is said of the answers on a printed sheet."""
    exercises = islice(exercises_of(filled.seed), len(filled.given))
    numbered = enumerate(zip(exercises, filled.given, strict=True), start=1)
    told = [
        (number, one, diagnose(one, given, FURTHER))
        for number, (one, given) in numbered
        if given.strip()
    ]
    return MarkedView(
        [number for number, _, _ in told],
        [diagnosis_view(one, found) for _, one, found in told],
        sum(is_right(found.verdict) for _, _, found in told),
    )


@blueprint.get("/path")
@blueprint.response(200, schema_of(PathView))
def path() -> PathView:
    """Where a learner stands, and what comes next."""
    now = datetime.now(UTC)
    with notebook().store.reading() as session:
        attempts = all_attempts(session)
        today = now.astimezone().replace(hour=0, minute=0, second=0, microsecond=0)
        seconds = seconds_since(session, today)
    coming = first_check(len(attempts)) or next_exercise(attempts, now.timestamp(), randbelow)
    return PathView(
        skills=skill_views(standings(attempts), attempts, now.timestamp()),
        checked=min(len(attempts), len(FIRST_CHECK)),
        check=len(FIRST_CHECK),
        next=_asked(coming),
        because=_because(coming),
        minutes=round(seconds / _MINUTE),
    )


def _asked(coming: Next) -> WhichView:
    asked = ASKED[coming.skill]
    seed = randbelow(_SEEDS)
    return WhichView(seed, 1, asked.kind, asked.question, coming.level, coming.slip)


def _because(coming: Next) -> str:
    """Why it comes: a slip that was made lately, or nothing that needs saying."""
    return say(fact("practice-again")) if coming.slip else ""


@blueprint.delete("/path")
@blueprint.response(204)
def forget() -> None:
    """Forget all that was answered."""
    with notebook().store.writing() as session:
        forget_attempts(session)
