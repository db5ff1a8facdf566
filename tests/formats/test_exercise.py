"""Exercises and answers through the real commands, and as lines of JSON."""

import hashlib
import json
import re
import subprocess
from fractions import Fraction
from itertools import islice
from pathlib import Path
from typing import Any

import pytest

from metrion.core.json import Record
from metrion.core.practice.diagnosis import AnswerVerdict, diagnose
from metrion.core.practice.key import wrong_answers
from metrion.formats.exercise import exercise_record, exercises_of, parse_answer, parse_exercise
from metrion.formats.faults import Refused
from metrion.voice import plainly
from metrion.voice.exercises import answer_words, task_words
from tests.server import COMMAND

MADE = "99812a20a312"
"""The first figures of what is made from one seed, on this machine as on every other."""


def run(*arguments: str, given: str = "") -> subprocess.CompletedProcess[str]:
    return subprocess.run(
        [*COMMAND, *arguments], input=given, capture_output=True, text=True, check=False
    )


def exercise(**changed: Any) -> Record:
    """The exercise of the format, as another program writes it."""
    instrument = {
        "id": "c", "kind": "vernier", "unit": "mm", "main_division": "1",
        "fine_divisions": 20, "span": 39,
    }  # fmt: skip
    record = {
        "format": "metrion-exercise", "version": 1, "id": "S-1", "instrument": instrument,
        "zero_check": {"main": "-1", "fine": 17}, "looks": [{"main": "6", "fine": 3}],
        "question": "corrected", "unit": "mm", "answer": "6.30", "tolerance": "0",
    }  # fmt: skip
    return {**record, **changed}


def test_the_same_arguments_print_the_same_lines_everywhere() -> None:
    printed = run("exercises", "--seed", "12", "--count", "200").stdout
    assert hashlib.sha256(printed.encode()).hexdigest().startswith(MADE)
    lines = [json.loads(line) for line in printed.splitlines()]
    assert [line["id"] for line in lines[:2]] == ["12-1", "12-2"]
    assert run("exercises", "--seed", "12", "--count", "3").stdout == "".join(
        printed.splitlines(keepends=True)[:3]
    )


def test_a_kind_and_a_question_can_be_asked_for() -> None:
    some = run("exercises", "--seed", "1", "--count", "5", "--kind", "screw", "--question", "mean")
    lines = [json.loads(line) for line in some.stdout.splitlines()]
    assert {(line["instrument"]["kind"], line["question"]) for line in lines} == {("screw", "mean")}
    none = run("exercises", "--seed", "1", "--count", "5", "--kind", "screw", "--question", "sweep")
    assert none.returncode == 2
    assert "sweep is not asked of screw" in none.stderr


def test_every_exercise_is_read_back_as_it_was_written() -> None:
    for made, _ in zip(exercises_of(5), range(200), strict=False):
        record = json.loads(json.dumps(exercise_record(made)))
        assert parse_exercise(record) == made


def test_answers_are_judged_line_by_line() -> None:
    given = ["6,30 mm", "7.30", "6.3", "?", "4.711"]
    lines = [json.dumps({"exercise": exercise(), "given": one}) for one in given]
    judged = run("diagnose", given="\n".join([*lines, ""]))
    found = [json.loads(line) for line in judged.stdout.splitlines()]
    assert judged.returncode == 0
    assert [(one["id"], one["verdict"], one["slips"]) for one in found] == [
        ("S-1", "right", []), ("S-1", "wrong", ["next-mark"]), ("S-1", "rounded", []),
        ("S-1", "unreadable", []), ("S-1", "wrong", []),
    ]  # fmt: skip
    assert found[1]["words"] == (
        "The main reading is one mark too high: take the last mark that has been passed."
    )


def test_a_faulty_line_is_told_and_stops_none_of_the_others() -> None:
    lines = ["{", json.dumps({"exercise": exercise(), "given": "6.30"}), json.dumps({"given": "1"})]
    judged = run("diagnose", given="\n".join(lines))
    found = [json.loads(line) for line in judged.stdout.splitlines()]
    assert judged.returncode == 2
    assert ["faults" in one for one in found] == [True, False, True]
    assert found[2]["faults"][0]["pointer"] == "/exercise"


@pytest.mark.parametrize(
    ("changed", "pointer"),
    [
        ({"question": "sweep"}, "/question"), ({"question": "none"}, "/question"),
        ({"looks": []}, "/looks"), ({"looks": [{"main": "6", "fine": 30}]}, "/looks/0/fine"),
        ({"looks": [{"main": "6.5", "fine": 3}]}, "/looks/0/main"),
        ({"zero_check": {"main": "0"}}, "/zero_check/fine"), ({"answer": "six"}, "/answer"),
        ({"question": "zero-error", "looks": [], "zero_check": None}, "/zero_check"),
        ({"instrument": None}, "/instrument"), ({"divide_by": 3}, "/divide_by"),
        ({"tolerance": "-1"}, "/tolerance"),
    ],
)  # fmt: skip
def test_what_is_wrong_with_an_exercise_is_told_where_it_is(
    changed: dict[str, Any], pointer: str
) -> None:
    with pytest.raises(Refused) as refused:
        parse_answer({"exercise": exercise(**changed), "given": "1"})
    assert f"/exercise{pointer}" in [fault.pointer for fault in refused.value.faults]


def test_sheets_are_written_with_one_bundle_of_keys(tmp_path: Path) -> None:
    told = run("exercise-sheets", "--seeds", "3-5", "--count", "4", "--to", str(tmp_path / "new"))
    assert told.stdout == f"3 sheets and their keys are in {tmp_path / 'new'}\n"
    written = sorted(tmp_path.rglob("*.pdf"))
    assert [file.name for file in written] == [
        "keys.pdf",
        "sheet-3.pdf",
        "sheet-4.pdf",
        "sheet-5.pdf",
    ]
    assert all(file.read_bytes().startswith(b"%PDF") for file in written)
    # The keys of three sheets, each on a page of its own.
    assert b"/Type/Pages/Count 3/" in written[0].read_bytes()


def test_a_sheet_shows_the_scales_and_the_key_the_answers(tmp_path: Path) -> None:
    run("exercise-sheets", "--seeds", "3", "--count", "20", "--to", str(tmp_path), "--html")
    sheet, key = ((tmp_path / f"{name}-3.html").read_text("utf-8") for name in ("sheet", "key"))
    asked = list(islice(exercises_of(3), 20))
    looks = sum(len(one.looks) + (one.zero_check is not None) for one in asked)
    assert sheet.count("<svg") == looks
    assert "reads " not in sheet
    assert '#8A4B00" stroke-width="3"' not in sheet
    for exercise in asked:
        right = answer_words(exercise, exercise.answer, plainly())
        assert right in key
        for wrong in wrong_answers(exercise, 6):
            assert diagnose(exercise, wrong.answer).verdict is AnswerVerdict.WRONG


@pytest.mark.parametrize("seeds", ["x", "3-1", "-1", "1-2000"])
def test_seeds_that_are_none_are_refused(tmp_path: Path, seeds: str) -> None:
    told = run("exercise-sheets", "--seeds", seeds, "--count", "4", "--to", str(tmp_path))
    assert told.returncode == 2
    assert list(tmp_path.iterdir()) == []


def test_a_least_count_of_a_screw_can_be_worked_out_of_what_is_asked() -> None:
    """By what is told alone: no look at the scales tells the travel of a turn."""
    found = exercises_of(5, "screw", "least-count")
    for exercise in islice(found, 40):
        told = task_words(exercise, plainly())
        lines, turns, travel = re.findall(r"[0-9]+(?:\.[0-9]+)?", told)
        assert Fraction(travel) / int(turns) / int(lines) == exercise.value
