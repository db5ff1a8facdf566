"""Practice: exercises to be drawn, what is said of an answer, and the path."""

from __future__ import annotations

from typing import Annotated

from marshmallow import validate

from metrion.core.practice.diagnosis import AnswerVerdict
from metrion.core.practice.exercise import Question
from metrion.core.practice.skills import Skill
from metrion.core.practice.traps import Difficulty
from metrion.core.traits import Kind
from metrion.views.schemas.desk import AnswerView
from metrion.views.schemas.instruments import InstrumentView
from metrion.views.schemas.view import view

FARTHEST = 2_000
MOST_GIVEN = 100
_Seed = Annotated[int, validate.Range(0, 10**9)]
_At = Annotated[int, validate.Range(1, FARTHEST)]
_Given = Annotated[str, validate.Length(max=100)]


@view
class WhichView:
    """An exercise: the one at a place among those of a seed, of a kind and a question or of any."""

    seed: _Seed
    at: _At
    kind: Annotated[str, validate.OneOf(["", *map(str, Kind)])] = ""
    question: Annotated[str, validate.OneOf(["", *map(str, Question)])] = ""
    level: Difficulty = Difficulty.ANY
    slip: Annotated[str, validate.Length(max=40)] = ""


@view
class ReadView:
    """One look of an exercise: what it is, where the fine zero stands, and what an eye sees."""

    label: str
    position: float
    seen: list[str]


@view
class ExerciseView:
    """What is seen and asked; the answer is not in it."""

    id: str
    question: Question
    task: str
    unit: str
    instrument: InstrumentView
    looks: list[ReadView]


@view
class AttemptView(WhichView):
    """An answer to an exercise, as typed, and how long it took."""

    given: _Given = ""
    seconds: Annotated[float, validate.Range(0, 3_600)] = 0.0


@view
class ChoiceView:
    """What may have been written down on the way, and what that shows."""

    text: str
    slip: str
    sentence: str


@view
class ApartView:
    """The question that tells several slips apart."""

    asks: str
    choices: list[ChoiceView]


@view
class DiagnosisView:
    """What is said of an answer, and what of the drawing shows the step that slipped."""

    verdict: AnswerVerdict
    slips: list[str]
    sentences: list[str]
    apart: ApartView | None
    looks: Annotated[list[AnswerView], "What is shown of each look; none where nothing is."]


@view
class ShownView:
    """The right answer, and what meets at each look."""

    answer: str
    looks: list[AnswerView]


@view
class TraceView:
    """How likely a skill was there after each attempt."""

    at: float
    known: float


@view
class SkillView:
    """A skill: how likely it is there now, and how that came about."""

    key: Skill
    name: str
    kind: str
    question: Question
    known: float
    open: bool
    mastered: bool
    attempts: int
    right: int
    course: list[TraceView]


@view
class PathView:
    """Where a learner stands, and what comes next."""

    skills: list[SkillView]
    checked: Annotated[int, "How many of the first six pictures are done."]
    check: Annotated[int, "How many there are."]
    next: WhichView
    because: str
    minutes: Annotated[int, "Practised today."]


@view
class FilledView:
    """The answers that were written on a printed sheet, in order; empty ones are left out."""

    seed: _Seed
    given: Annotated[list[str], validate.Length(1, MOST_GIVEN)]


@view
class MarkedView:
    """What is said of the answers on a sheet: of which, by number, what, and how many are right."""

    numbers: list[int]
    marks: list[DiagnosisView]
    right: int
