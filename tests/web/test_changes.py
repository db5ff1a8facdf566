"""What a change is answered with: nothing that has not changed, and all that has."""

import json
from collections.abc import Iterator
from typing import Any

import pytest
from flask.testing import FlaskClient

from tests.web.merged import merged

SHEET = "/api/sheets/made"
DERIVED = {
    "id": "d", "name": "Difference", "formula": "a - b", "unit": "mm", "convention": "standard",
    "inputs": {"a": "m0", "b": "m1"},
}  # fmt: skip


@pytest.fixture
def sheet(client: FlaskClient) -> FlaskClient:
    """A sheet of three quantities that hang together by a zero, a comparison and a formula."""
    document = {
        "format": "metrion-logbook", "version": 1, "title": "Made",
        "instruments": [
            {"id": "c", "kind": "vernier", "unit": "mm", "main_division": "1",
             "fine_divisions": 20, "span": 39}],
        "zero_checks": [{"id": "z", "instrument": "c", "main": "0", "fine": 1}],
        "measurements": [
            {"id": f"m{at}", "name": f"Spar {at}", "instrument": "c", "zero": ["z"] if at else [],
             "convention": "half-division", "compare": {"with": "m1"} if at == 2 else None,
             "observations": [{"main": "6", "fine": line} for line in (3, 4, 5)]}
            for at in range(3)],
        "derived": [DERIVED],
    }  # fmt: skip
    for measurement in document["measurements"]:
        if measurement["compare"] is None:
            del measurement["compare"]
    taken = client.post("/api/arrivals/take?decision=new", data=json.dumps(document))
    client.post("/api/sheets", json={"id": "other", "title": "Other"})
    client.environ_base["sheet"] = f"/api/sheets/{taken.get_json()[0]['id']}"
    return client


def changes(client: FlaskClient, at: str) -> Iterator[Any]:
    """One change after the other, of every sort, with its answer."""

    def entry(part: str, key: str) -> tuple[str, dict[str, str]]:
        for one in client.get(at).get_json()[part]:
            if one["id"] == key:
                return key, {"If-Match": str(one["version"])}
        raise LookupError(key)

    def rows() -> list[dict[str, Any]]:
        found: list[dict[str, Any]] = client.get(at).get_json()["quantities"][0]["readings"]
        return found

    indication = {"quantity": "m0", "main": "6", "fine": 9}
    yield client.post(f"{at}/readings", json=indication)
    first = rows()[0]
    seen = {"If-Match": str(first["version"])}
    yield client.patch(f"{at}/readings/{first['id']}", json={"excluded": "slipped"}, headers=seen)
    second = rows()[1]
    seen = {"If-Match": str(second["version"])}
    yield client.delete(f"{at}/readings/{second['id']}", headers=seen)
    key, seen = entry("zero_checks", "z")
    yield client.patch(f"{at}/zero_checks/{key}", json={"fine": 2}, headers=seen)
    key, seen = entry("instruments", "c")
    yield client.patch(f"{at}/instruments/{key}", json={"maker_limit": "0.03"}, headers=seen)
    key, seen = entry("quantities", "m1")
    yield client.patch(f"{at}/quantities/{key}", json={"convention": "standard"}, headers=seen)
    yield client.post(f"{at}/quantities", json={"id": "n", "name": "New", "instrument": "c"})
    key, seen = entry("derived", "d")
    yield client.patch(f"{at}/derived/{key}", json={"formula": "a + b"}, headers=seen)
    yield client.post(f"{at}/undo")
    yield client.post(f"{at}/redo")
    key, seen = entry("quantities", "n")
    yield client.delete(f"{at}/quantities/{key}", headers=seen)
    for _ in range(3):
        yield client.post(f"{at}/undo")


def test_a_client_that_merges_what_changed_knows_the_sheet(sheet: FlaskClient) -> None:
    at = sheet.environ_base["sheet"]
    known, count = sheet.get(at).get_json(), 0
    for answer in changes(sheet, at):
        assert answer.status_code in (200, 201), answer.get_json()
        known = merged(known, answer.get_json())
        assert known == sheet.get(at).get_json()
        count += 1
    assert count == 14


def test_what_hangs_on_nothing_that_changed_is_left_out(sheet: FlaskClient) -> None:
    at = sheet.environ_base["sheet"]
    indication = {"quantity": "m0", "main": "6", "fine": 9}
    answer = sheet.post(f"{at}/readings", json=indication).get_json()
    assert [quantity["id"] for quantity in answer["quantities"]] == ["m0"]
    assert [row["index"] for row in answer["quantities"][0]["readings"]] == [3]
    assert [derived["id"] for derived in answer["derived"]] == ["d"]
    assert (answer["instruments"], answer["zero_checks"]) == ([], [])


def test_what_was_done_before_is_answered_whole(sheet: FlaskClient) -> None:
    at = sheet.environ_base["sheet"]
    indication = {"quantity": "m0", "main": "6", "fine": 9}
    for since in (1, None):
        answer = sheet.post(f"{at}/readings", json=indication, headers={"Idempotency-Key": "k"})
        assert answer.get_json()["since"] == since
    assert len(answer.get_json()["quantities"]) == 3
