"""Exercises through the API: what is seen, what is said of an answer, what was right."""

from itertools import islice
from typing import Any

import pytest
from flask.testing import FlaskClient

from metrion.formats.exercise import Which, exercise_at, exercises_of

WHICH = {"seed": 4, "at": 2, "kind": "vernier", "question": "corrected"}


def asked(client: FlaskClient, what: str, **more: Any) -> Any:
    answer = client.post(f"/api/practice/{what}", json={**WHICH, **more})
    assert answer.status_code == 200, answer.json
    return answer.json


def test_what_is_seen_is_shown_and_the_answer_is_not(client: FlaskClient) -> None:
    found = asked(client, "exercise")
    made = next(islice(exercises_of(4, "vernier", "corrected"), 1, None))
    assert found["id"] == made.id == "4-2"
    assert [look["label"] for look in found["looks"]] == ["closed", "reading"]
    zero, reading = (look["position"] for look in found["looks"])
    assert reading - zero == pytest.approx(float(made.value))
    assert "answer" not in found
    assert "corrected by the zero error" in found["task"]


def test_a_wrong_answer_gets_the_slip_and_a_right_one_is_shown(client: FlaskClient) -> None:
    made = next(islice(exercises_of(4, "vernier", "corrected"), 1, None))
    uncorrected = made.instrument.reading(made.looks[0])
    said = asked(client, "answer", given=str(float(uncorrected)))
    assert (said["verdict"], said["slips"][0]) == ("wrong", "zero-left-out")
    assert said["sentences"] == ["The zero error was not taken off."]
    assert asked(client, "answer", given=made.answer)["verdict"] == "right"
    shown = asked(client, "shown")
    assert shown["answer"] == f"{made.answer} {made.instrument.unit}"
    assert [look["fine"]["seen"] for look in shown["looks"]][1] == [made.looks[0].line]


@pytest.mark.parametrize("question", ["sweep", "least-count", "reading"])
def test_angles_are_asked_for_and_shown(client: FlaskClient, question: str) -> None:
    about = {"kind": "angular", "question": question}
    looks = asked(client, "exercise", **about)["looks"]
    assert len(looks) == (2 if question == "sweep" else 1)
    assert "′" in asked(client, "shown", **about)["answer"]


def test_what_is_not_asked_of_a_kind_and_what_is_too_far_is_refused(client: FlaskClient) -> None:
    for wrong in ({"question": "sweep"}, {"at": 0}, {"at": 10**6}, {"seed": -1}):
        answer = client.post("/api/practice/exercise", json={**WHICH, **wrong})
        assert answer.status_code == 422


def test_the_first_answer_is_kept_and_the_path_follows(client: FlaskClient) -> None:
    path = client.get("/api/practice/path").json
    assert (path["checked"], path["check"]) == (0, 6)
    assert path["next"]["kind"] == "plain"
    assert [one["open"] for one in path["skills"]][:2] == [True, False]
    which = path["next"]
    made = exercise_at(Which(**which))
    wrong = asked(client, "answer", **which, given="999", seconds=70)
    right = asked(client, "answer", **which, given=made.answer, seconds=80)
    assert (wrong["verdict"], right["verdict"]) == ("wrong", "right")
    again = client.get("/api/practice/path").json
    assert (again["checked"], again["minutes"]) == (1, 1)
    marks = again["skills"][0]
    assert (marks["attempts"], marks["right"], len(marks["course"])) == (1, 0, 1)
    assert client.delete("/api/practice/path").status_code == 204
    assert client.get("/api/practice/path").json["checked"] == 0


def test_an_answer_that_was_shown_counts_as_not_known(client: FlaskClient) -> None:
    asked(client, "shown")
    asked(client, "answer", given="6.30")
    found = client.get("/api/practice/path").json["skills"]
    one = next(skill for skill in found if skill["key"] == "vernier-corrected")
    assert (one["attempts"], one["right"]) == (1, 0)


def test_an_answer_that_cannot_be_read_is_no_attempt(client: FlaskClient) -> None:
    assert asked(client, "answer", given="six or so")["verdict"] == "unreadable"
    assert client.get("/api/practice/path").json["checked"] == 0


def test_only_the_step_that_slipped_is_shown_on_the_drawing(client: FlaskClient) -> None:
    made = next(islice(exercises_of(4, "vernier", "corrected"), 1, None))
    uncorrected = float(made.instrument.reading(made.looks[0]))
    said = asked(client, "answer", given=str(uncorrected))
    assert len(said["looks"]) == 1
    assert said["looks"][0]["fine"]["seen"] == [made.zero_check.line]
    least, mark = (float(one) for one in (made.instrument.least_count, made.instrument.scale.mark))
    marked = asked(client, "answer", given=f"{float(made.answer) + mark:.4f}")
    assert marked["slips"][0] == "next-mark"
    assert marked["looks"][1]["bounds"] is not None
    assert marked["looks"][1]["fine"]["seen"] == []
    lined = asked(client, "answer", given=f"{float(made.answer) - least:.4f}")
    assert lined["slips"][0] == "line-below"
    assert lined["looks"][1]["bounds"] is None
    assert lined["looks"][1]["fine"]["seen"] == [made.looks[0].line]


def test_the_answers_of_a_printed_sheet_are_looked_at_by_number(client: FlaskClient) -> None:
    made = list(islice(exercises_of(7), 4))
    given = [made[0].answer, "", "nothing", "12345"]
    told = client.post("/api/practice/sheet", json={"seed": 7, "given": given}).json
    assert told["numbers"] == [1, 3, 4]
    assert [one["verdict"] for one in told["marks"]] == ["right", "unreadable", "wrong"]
    assert told["right"] == 1
    for given in ([], ["1"] * 101):
        refused = client.post("/api/practice/sheet", json={"seed": 7, "given": given})
        assert refused.status_code == 422


def test_slips_that_cannot_be_told_apart_are_asked_about(client: FlaskClient) -> None:
    for at in range(1, 60):
        which = {"at": at, "kind": "vernier", "question": "corrected"}
        made = exercise_at(Which(4, **which))
        said = asked(
            client, "answer", **which, given=str(float(made.value + made.instrument.least_count))
        )
        if said["apart"]:
            break
    assert said["apart"]["asks"].endswith("?")
    assert len({choice["text"] for choice in said["apart"]["choices"]}) >= 2
    assert all(choice["sentence"] for choice in said["apart"]["choices"])
