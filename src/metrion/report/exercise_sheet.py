"""Exercises on paper: a sheet for a learner, and the key for whoever marks it."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from metrion.core.codes import MessageCode
from metrion.core.practice.exercise import Exercise
from metrion.core.practice.key import wrong_answers
from metrion.report.blocks import (
    Block,
    Cell,
    PictureBlock,
    Report,
    ReportColumn,
    Row,
    Section,
    Table,
    words,
)
from metrion.report.drawing import drawn_scales
from metrion.voice import Speaker
from metrion.voice.exercises import answer_words, looks_in_words, task_words

_MOST_WRONG = 6
_MOST_ON_A_PAGE = 4
_LINE = "_" * 24


def exercise_sheet(seed: int, exercises: Sequence[Exercise], speaker: Speaker) -> Report:
    """The sheet of a learner: pictures, questions and lines for the answers."""
    facts = ((speaker.text("report-names"), _LINE), (speaker.text("report-date"), _LINE))
    sections = tuple(
        Section(f"{at}", tuple(_asked(exercise, speaker)), level=3, whole=_fits_a_page(exercise))
        for at, exercise in enumerate(exercises, start=1)
    )
    return Report(_title("practice-sheet", seed, speaker), facts, sections, speaker.language)


def _fits_a_page(exercise: Exercise) -> bool:
    return len(exercise.looks) <= _MOST_ON_A_PAGE


def _title(code: MessageCode, seed: int, speaker: Speaker) -> str:
    return speaker.text(code, seed=str(seed))


def _asked(exercise: Exercise, speaker: Speaker) -> Iterator[Block]:
    tool = exercise.instrument
    for label, look in looks_in_words(exercise, speaker):
        yield PictureBlock(drawn_scales(tool, look), label)
    unit = "" if exercise.angular else f" {tool.unit}"
    yield words(f"{task_words(exercise, speaker)}  {_LINE}{unit}")


def answer_key(seed: int, exercises: Sequence[Exercise], speaker: Speaker) -> Report:
    """The answers of a sheet, and what each wrong answer would show."""
    columns = tuple(
        ReportColumn(speaker.text_of("practice-key", name)) for name in ("number", "slip", "answer")
    )
    rows = (
        row for at, exercise in enumerate(exercises, start=1) for row in _key(at, exercise, speaker)
    )
    section = Section(speaker.text("practice-key-of-the-sheet"), (Table(columns, tuple(rows)),))
    return Report(_title("practice-key", seed, speaker), (), (section,), speaker.language)


def _key(at: int, exercise: Exercise, speaker: Speaker) -> Iterator[Row]:
    right = answer_words(exercise, exercise.answer, speaker)
    yield _row(f"{at}", speaker.text("practice-right"), right)
    for wrong in wrong_answers(exercise, _MOST_WRONG):
        yield _row("", speaker.say(wrong.says), answer_words(exercise, wrong.answer, speaker))


def _row(*cells: str) -> Row:
    return Row(tuple(map(Cell, cells)))
