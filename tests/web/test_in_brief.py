"""A sheet of many quantities: the first are told whole, the others in brief."""

from typing import Any

import pytest
from flask.testing import FlaskClient

from metrion.views.present.sheets import TOLD_WHOLE
from tests.web.merged import IN_BRIEF, merged

MANY = TOLD_WHOLE + 2
LAST = f"m{MANY - 1}"


@pytest.fixture
def at(client: FlaskClient) -> str:
    """A sheet of more quantities than are told whole, all corrected by one zero check."""
    document = {
        "format": "metrion-logbook", "version": 1, "title": "Many",
        "instruments": [
            {"id": "c", "kind": "vernier", "unit": "mm", "main_division": "1",
             "fine_divisions": 20, "span": 39, "range": ["0", "15"]}],
        "zero_checks": [{"id": "z", "instrument": "c", "main": "0", "fine": 1}],
        "measurements": [
            {"id": f"m{count}", "instrument": "c", "zero": ["z"], "convention": "half-division",
             "observations": [{"main": str(count), "fine": line} for line in (3, 4, 5)]}
            for count in range(MANY)],
    }  # fmt: skip
    (taken,) = client.post("/api/arrivals/take?decision=new", json=document).get_json()
    return f"/api/sheets/{taken['id']}"


def told(client: FlaskClient, at: str) -> list[dict[str, Any]]:
    found: list[dict[str, Any]] = client.get(at).get_json()["quantities"]
    return found


def by_itself(client: FlaskClient, at: str, key: str) -> dict[str, Any]:
    found: dict[str, Any] = client.get(f"{at}/quantities/{key}").get_json()
    return found


def test_every_quantity_is_the_same_by_itself_but_for_what_is_told_whole(
    client: FlaskClient, at: str
) -> None:
    quantities = told(client, at)
    assert [one["whole"] for one in quantities] == [True] * TOLD_WHOLE + [False] * 2
    for one in quantities:
        alone = by_itself(client, at, one["id"])
        assert alone["whole"]
        assert len(alone["readings"]) == one["reading_count"] == 3
        in_brief = {**alone, "whole": False, "flags": one["flags"], **IN_BRIEF}
        assert one == (alone if one["whole"] else in_brief)
    assert client.get(f"{at}/quantities/none").status_code == 404


def test_a_reading_of_a_quantity_in_brief_is_answered_whole(client: FlaskClient, at: str) -> None:
    indication = {"quantity": LAST, "main": "21", "fine": 9}
    (answer,) = client.post(f"{at}/readings", json=indication).get_json()["quantities"]
    assert (answer["id"], answer["whole"], answer["reading_count"]) == (LAST, True, 4)
    assert [row["index"] for row in answer["readings"]] == [3]
    assert answer["working"] == by_itself(client, at, LAST)["working"]


def test_a_change_of_all_is_followed_by_who_merges_it(client: FlaskClient, at: str) -> None:
    known = client.get(at).get_json()
    (check,) = known["zero_checks"]
    seen = {"If-Match": str(check["version"])}
    change = client.patch(f"{at}/zero_checks/z", json={"fine": 2}, headers=seen).get_json()
    assert [one["whole"] for one in change["quantities"]] == [True] * TOLD_WHOLE + [False] * 2
    assert merged(known, change) == client.get(at).get_json()
    assert known["quantities"][-1]["result"] != change["quantities"][-1]["result"]


def test_only_a_few_readings_in_question_are_left_out_on_trial(
    client: FlaskClient, at: str
) -> None:
    for line in (4, 5, 6, 7):
        client.post(f"{at}/readings", json={"quantity": "m19", "main": "19", "fine": line})
    beyond = [one for one in told(client, at)[19]["flags"] if one["code"] == "out-of-range"]
    assert [one["without"] is not None for one in beyond] == [True] * 5 + [False] * 2


def test_in_brief_nothing_is_left_out_on_trial(client: FlaskClient, at: str) -> None:
    brief, alone = told(client, at)[-1]["flags"], by_itself(client, at, LAST)["flags"]
    assert len([one for one in alone if one["without"]]) == 3
    assert brief == [{**one, "without": None} for one in alone]
