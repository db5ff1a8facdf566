"""Exercises and answers, a line of JSON each."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction
from itertools import islice
from typing import assert_never

from metrion.core.declared import Sign
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Name, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Json, Record
from metrion.core.practice.diagnosis import Diagnosis
from metrion.core.practice.exercise import IN_FILES, Exercise, Question, questions_of
from metrion.core.practice.made import WantedExercise, exercises
from metrion.core.practice.traps import Difficulty, is_of
from metrion.core.quantity.observations import Arc
from metrion.core.scales import Indication, PlainScale, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.formats.chance import chance_of
from metrion.formats.faults import Fault, Faults, Refused, refusal
from metrion.formats.logbook.fields import Fields, read_alone
from metrion.formats.logbook.indications import indication_record, parse_indication
from metrion.formats.logbook.instruments import parse_instrument
from metrion.formats.logbook.known import Known, Sketch

_HALF = 2
_MOST_LOOKS = 100


def exercises_of(
    seed: int, kind: str | None = None, question: str | None = None
) -> Iterator[Exercise]:
    """Exercises without end, the same for the same arguments on every machine.

    Args:
        seed: what they are made from.
        kind: of tool; any without it.
        question: that is asked; any without it.
    """
    wanted = WantedExercise(Kind(kind) if kind else None, Question(question) if question else None)
    return exercises(seed, chance_of(seed, kind, question), wanted)


_MOST_TRIED = 600
"""So many exercises are looked through for one that is as hard as was asked for."""


@dataclass(frozen=True)
class Which:
    """An exercise of the page.

    Attributes:
        seed, at: the one at a place among those of a seed.
        kind, question: of which it is; empty for any.
        level: how hard it is to be.
        slip: which slip is to be possible in it; empty for any.
    """

    seed: int
    at: int
    kind: str = ""
    question: str = ""
    level: Difficulty = Difficulty.ANY
    slip: str = ""

    def __str__(self) -> str:
        return f"{self.seed}-{self.at} {self.kind} {self.question} {self.level} {self.slip}"


def exercise_at(which: Which) -> Exercise | None:
    """The exercise at a place; None where a question is not asked of a kind of tool.

    Where none is as hard as was asked for, or gives room to the slip, it is any.
    """
    kind, question = which.kind or None, which.question or None
    some = exercises_of(which.seed, kind, question)
    if which.level is Difficulty.ANY and not which.slip:
        return next(islice(some, which.at - 1, None), None)
    fitting = (one for one in islice(some, _MOST_TRIED) if is_of(one, which.level, which.slip))
    found = next(islice(fitting, which.at - 1, None), None)
    return found or next(exercises_of(which.seed, kind, question), None)


def exercise_record(exercise: Exercise) -> Record:
    """An exercise as a file holds it."""
    tool, zero = exercise.instrument, exercise.zero_check
    found: Record = {
        "format": "metrion-exercise",
        "version": 1,
        "id": exercise.id,
        "instrument": instrument_record(tool),
        "zero_check": indication_record(tool, zero) if zero else None,
        "looks": [indication_record(tool, look) for look in exercise.looks],
        "question": str(exercise.question),
        "unit": tool.unit,
        "answer": exercise.answer,
        "tolerance": to_text(exercise.tolerance),
    }
    if exercise.question is Question.SWEEP:
        found["arc"] = str(exercise.arc)
        if exercise.divide_by != 1:
            found["divide_by"] = exercise.divide_by
    return found


def instrument_record(tool: Instrument) -> Record:
    """A tool as a logbook holds it: what is counted on it."""
    scale = tool.scale
    found: Record = {
        "id": tool.id,
        "name": tool.name,
        "kind": str(tool.kind),
        "unit": tool.unit,
        "main_division": to_text(scale.main_division),
        "fine_divisions": scale.fine_divisions,
    }
    match scale:
        case ScrewScale():
            found["pitch"] = to_text(scale.pitch)
        case VernierScale():
            found |= {"span": scale.span, "numbering": str(scale.numbering)}
        case PlainScale():
            pass
        case _:
            assert_never(scale)
    if tool.range:
        found["range"] = [to_text(end) for end in tool.range]
    return found


def parse_exercise(record: Json) -> Exercise:
    """Read an exercise, whoever wrote it.

    Raises:
        Refused: with everything that is wrong with it.
    """
    return read_alone(record, "practice-no-exercise", _parsed)


def _parsed(fields: Fields) -> Exercise | None:
    told = fields.object("instrument")
    tool = parse_instrument(told, Known()) if told else None
    question = fields.choice("question", Question, required=True)
    answer = fields.text("answer", required=True)
    tolerance = fields.exact("tolerance", Sign.NOT_NEGATIVE)
    arc = fields.choice("arc", Arc)
    divide_by = fields.count("divide_by", _HALF)
    if tool is None or question is None or answer is None:
        return None
    if tool.kind not in IN_FILES or question not in questions_of(tool.kind):
        fields.fault("question", "practice-not-asked", question=Name(question))
        return None
    looks = [_look(look, tool) for look in fields.objects("looks")]
    check = fields.object("zero_check") if "zero_check" in fields else None
    exercise = Exercise(
        fields.text("id") or "", tool, question, tuple(look for look in looks if look),
        _look(check, tool) if check else None,
        arc or Arc.SHORTER, divide_by or 1, answer, tolerance or Fraction(0),
    )  # fmt: skip
    if not fields.faults:
        _check_whole(exercise, fields)
    return exercise


_LOOKS = {Question.LEAST_COUNT: (0, 1), Question.ZERO_ERROR: (0, 0), Question.SWEEP: (2, 2)}


def _check_whole(exercise: Exercise, fields: Fields) -> None:
    """What a question needs is there, and its answer is one."""
    fewest, most = _LOOKS.get(exercise.question, (1, _MOST_LOOKS))
    if not fewest <= len(exercise.looks) <= most:
        fields.fault(
            "looks",
            "practice-other-looks",
            count=len(exercise.looks),
            question=Name(exercise.question),
        )
    if exercise.question is Question.ZERO_ERROR and exercise.zero_check is None:
        what = fact("an-object")
        fields.fault("zero_check", "field-missing", field=Name("zero_check"), what=what)

    def answer() -> None:
        _ = exercise.value

    fields.checked("answer", answer)


def _look(fields: Fields, tool: Instrument) -> Indication | None:
    return parse_indication(fields, tool, Sketch(tool.kind, tool.unit), estimates=False)


def parse_answer(record: Json) -> tuple[Exercise, str]:
    """Read an exercise with the answer that was given.

    Raises:
        Refused: with everything that is wrong with it.
    """
    if not isinstance(record, dict):
        raise refusal("practice-no-exercise")
    faults = Faults()
    given = Fields(record, "", faults).text("given", required=False)
    try:
        exercise = parse_exercise(record.get("exercise"))
    except Refused as refused:
        inside = [Fault(f"/exercise{fault.pointer}", fault.says) for fault in refused.faults]
        raise Refused([*inside, *faults]) from None
    if faults:
        raise Refused(faults)
    return exercise, given or ""


def diagnosis_record(exercise: Exercise, found: Diagnosis, words: str) -> Record:
    """What is said of an answer, as a line of JSON holds it."""
    return {
        "id": exercise.id,
        "verdict": str(found.verdict),
        "slips": list(found.slips),
        "words": words,
    }
