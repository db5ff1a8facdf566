"""One convention for a sheet, and results in other units, through the API."""

from typing import Any

import pytest
from flask.testing import FlaskClient

from tests.web.merged import merged

CALIPER = {
    "id": "cal", "kind": "vernier", "name": "C", "unit": "mm", "main_division": "1",
    "fine_divisions": 20, "span": 39,
}  # fmt: skip
OURS = {
    "id": "ours", "name": "Our course", "family": "limit", "reading_limit": "1", "zero_look": True,
    "digits": 1, "spread": "none", "combine": "sum", "estimate": False,
}  # fmt: skip


def quantity(sheet: dict[str, Any], key: str) -> dict[str, Any]:
    (found,) = (one for one in sheet["quantities"] if one["id"] == key)
    return found  # type: ignore[no-any-return]


def logbook(client: FlaskClient, sheet: str) -> Any:
    return client.get(f"/api/sheets/{sheet}/logbook").get_json(force=True)


@pytest.fixture
def sheet(client: FlaskClient) -> str:
    client.post("/api/conventions", json=OURS)
    client.patch("/api/settings", json={"convention": "ours"})
    assert client.post("/api/sheets", json={"id": "s", "title": "S"}).status_code == 201
    client.post("/api/sheets/s/instruments", json=CALIPER)
    client.post("/api/sheets/s/quantities", json={"id": "q", "name": "Q", "instrument": "cal"})
    client.post("/api/sheets/s/readings", json={"quantity": "q", "main": "6", "fine": 3})
    return "s"


def test_a_new_sheet_has_the_convention_of_the_notebook(client: FlaskClient, sheet: str) -> None:
    file = logbook(client, sheet)
    assert file["convention"] == "ours"
    assert [one["id"] for one in file["conventions"]] == ["ours"]
    assert "convention" not in file["measurements"][0]
    found = client.get(f"/api/sheets/{sheet}").json
    assert found["conventions"] == [{"id": "ours", "name": "Our course"}]
    assert quantity(found, "q")["convention_name"] == "Our course"


def test_it_is_changed_for_all_of_a_sheet_in_one_step(client: FlaskClient, sheet: str) -> None:
    before = client.get(f"/api/sheets/{sheet}").json
    own = quantity(before, "q")
    changed = client.patch(
        f"/api/sheets/{sheet}/quantities/q",
        json={"convention": "standard"},
        headers={"If-Match": str(own["version"])},
    ).json
    one = merged(before, changed)
    assert quantity(one, "q")["convention"] == "standard"
    whole = client.patch(f"/api/sheets/{sheet}", json={"convention": "half-division"}).json
    assert whole["convention"] == "half-division"
    assert quantity(whole, "q")["convention"] == "half-division"
    assert whole["undo"] == "change the convention of the sheet"
    back = merged(whole, client.post(f"/api/sheets/{sheet}/undo").json)
    assert (back["convention"], quantity(back, "q")["convention"]) == ("ours", "standard")


def test_one_that_is_not_known_is_refused(client: FlaskClient, sheet: str) -> None:
    answer = client.patch(f"/api/sheets/{sheet}", json={"convention": "theirs"})
    assert answer.status_code == 422
    assert [fault["pointer"] for fault in answer.json["faults"]] == ["/convention"]


def test_a_sheet_without_one_still_names_it_for_each_quantity(client: FlaskClient) -> None:
    tool = client.get("/api/sheets/spare-parts").json["instruments"][0]["id"]
    body = {"id": "new", "name": "New", "instrument": tool}
    client.post("/api/sheets/spare-parts/quantities", json=body)
    (added,) = (m for m in logbook(client, "spare-parts")["measurements"] if m["id"] == "new")
    assert added["convention"] == "half-division"


def test_a_result_is_given_in_other_units(client: FlaskClient, sheet: str) -> None:
    own = quantity(client.get(f"/api/sheets/{sheet}").json, "q")
    assert [one["unit"] for one in own["also"]] == ["cm", "m", "um", "in"]
    changed = client.patch(
        f"/api/sheets/{sheet}/quantities/q",
        json={"also_in": ["in", "um"]},
        headers={"If-Match": str(own["version"])},
    ).json
    given = {one["unit"]: one["sentence"] for one in quantity(changed, "q")["also"]}
    assert given == {
        "cm": None, "m": None, "um": "(6150 ± 50) µm", "in": "(0.242 ± 0.002) in",
    }  # fmt: skip
    report = client.get(f"/api/sheets/{sheet}/report.md").text
    assert "The same in other units: (0.242 ± 0.002) in and (6150 ± 50) µm." in report


def test_inches_are_given_in_millimetres_too(client: FlaskClient, sheet: str) -> None:
    inch = {**CALIPER, "id": "inch", "unit": "in", "main_division": "1/40"}
    client.post(f"/api/sheets/{sheet}/instruments", json=inch)
    body = {"id": "i", "name": "I", "instrument": "inch"}
    client.post(f"/api/sheets/{sheet}/quantities", json=body)
    (added,) = (m for m in logbook(client, sheet)["measurements"] if m["id"] == "i")
    assert added["also_in"] == ["mm"]


def test_a_derived_quantity_tells_that_its_inputs_are_stated_otherwise(
    client: FlaskClient, sheet: str
) -> None:
    body = {
        "id": "d", "name": "Twice", "formula": "2*Q", "unit": "mm", "inputs": {"Q": "q"},
        "convention": "standard", "also_in": ["m"],
    }  # fmt: skip
    (derived,) = client.post(f"/api/sheets/{sheet}/derived", json=body).json["derived"]
    assert derived["convention_note"].startswith("Q is stated by another convention on its own")
    assert derived["convention_note"] in client.get(f"/api/sheets/{sheet}/report.md").text
    (given,) = (one for one in derived["also"] if one["chosen"])
    assert given["sentence"] is not None
