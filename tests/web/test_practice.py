"""Exercises through the API: what is seen, what is said of an answer, what was right."""

from itertools import islice
from typing import Any

import pytest
from flask.testing import FlaskClient

from metrion.formats.exercise import exercises_of

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
