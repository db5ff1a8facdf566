"""Practice: exercises to be drawn, and what is said of an answer."""

from __future__ import annotations

from typing import Annotated

from marshmallow import validate

from metrion.core.practice.diagnosis import Verdict
from metrion.core.practice.exercise import QUESTIONS, Question
from metrion.web.schemas.desk import AnswerView
from metrion.web.schemas.instruments import InstrumentView
from metrion.web.schemas.view import view

FARTHEST = 2_000
_Seed = Annotated[int, validate.Range(0, 10**9)]
_At = Annotated[int, validate.Range(1, FARTHEST)]


@view
class WhichView:
    """An exercise: the one at a place among those of a seed, of a kind and a question or of any."""

    seed: _Seed
    at: _At
    kind: Annotated[str, validate.OneOf(["", *map(str, QUESTIONS)])] = ""
    question: Annotated[str, validate.OneOf(["", *map(str, Question)])] = ""


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
    """An answer to an exercise, as typed."""

    given: Annotated[str, validate.Length(max=100)] = ""


@view
class DiagnosisView:
    """What is said of an answer."""

    verdict: Verdict
    slips: list[str]
    sentences: list[str]


@view
class ShownView:
    """The right answer, and what meets at each look."""

    answer: str
    looks: list[AnswerView]
