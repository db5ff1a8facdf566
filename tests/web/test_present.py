"""What the API shows: texts ready to read, floats to draw, and memory that is never stale."""

from typing import Any

import pytest
from flask import Flask
from flask.testing import FlaskClient

from metrion.notebook.notebook import Notebook
from metrion.store.sheets import find_sheet
from tests.web.test_api import SHEET, if_match, sheet_of, spreader


def quantity(client: FlaskClient, sheet: str, key: str) -> Any:
    return next(q for q in sheet_of(client, sheet)["quantities"] if q["id"] == key)


def test_negative_numbers_have_true_minus_signs(client: FlaskClient) -> None:
    found = quantity(client, "bridle-line", "standoff")
    assert found["zero_text"] == "−0.07"
    assert found["zero_error"] == -0.07


def test_the_band_is_drawn_where_the_readings_stand(client: FlaskClient) -> None:
    for fine in (4, 6, 4):
        body = {"quantity": "film", "main": "1", "fine": fine}
        client.post("/api/sheets/sail-film/readings", json=body)
    found = quantity(client, "sail-film", "film")
    # The result is one layer of sixteen, the dots are the whole stack.
    assert found["result"]["sentence"] == "(0.0077 ± 0.0003) cm"
    low, mean, high = (found["result"][name] for name in ("low", "mean", "high"))
    assert low < min(reading["value"] for reading in found["readings"]) < mean < high


@pytest.mark.parametrize(
    ("field", "value", "shown"),
    [
        ("approach", "opening", "opening"),
        ("reader", "Ane", "Ane"),
        ("note", "a burr", "a burr"),
        ("meets", "30", "30"),
    ],
)
def test_how_a_reading_was_taken_is_shown(
    client: FlaskClient, field: str, value: str, shown: str
) -> None:
    body = {"quantity": "ferrule", "main": "8", "fine": 11, field: value}
    answer = client.post(f"{SHEET}/readings", json=body).json
    ferrule = next(q for q in answer["quantities"] if q["id"] == "ferrule")
    assert ferrule["readings"][-1][field] == shown


@pytest.mark.parametrize("history", ["nothing", [5, None], [{"main": 6}], {"a": 1}])
def test_records_of_other_programs_do_not_break_the_page(client: FlaskClient, history: Any) -> None:
    document = client.get("/api/sheets/spare-parts/logbook").json
    first = document["measurements"][0]["observations"][0]
    first |= {"history": history, "looked_again": history, "approach": 7, "at": "yesterday"}
    (loaded,) = client.post("/api/arrivals/take?decision=new", json=document).json
    sheet = client.get(f"/api/sheets/{loaded['id']}").json
    assert spreader(sheet)["readings"][0]["approach"] == ""
    again = client.get(f"/api/sheets/{loaded['id']}/logbook").json
    assert again["measurements"][0]["observations"][0]["history"] == history


def test_a_zero_taken_as_exact_is_no_open_look(client: FlaskClient) -> None:
    standoff = quantity(client, "old-standoffs", "standoff")
    assert [f["settled"] for f in standoff["flags"] if f["code"] == "zero-unchecked"] == [False]
    client.patch(
        "/api/sheets/old-standoffs/quantities/standoff",
        json={"zero_exact": True},
        headers=if_match(standoff),
    )
    after = quantity(client, "old-standoffs", "standoff")
    assert [f["settled"] for f in after["flags"] if f["code"] == "zero-unchecked"] == [True]


def test_changed_figures_open_a_settled_look_again(client: FlaskClient) -> None:
    reading = spreader(sheet_of(client))["readings"][3]
    address = f"{SHEET}/readings/{reading['id']}"
    settled = client.patch(
        address, json={"looked_again": ["main-mark-slip"]}, headers=if_match(reading)
    ).json
    (reading,) = spreader(settled)["readings"]
    changed = client.patch(address, json={"fine": 4}, headers=if_match(reading)).json
    (flag,) = spreader(changed)["flags"]
    assert flag["settled"] is False


def test_worked_results_are_remembered_while_they_hold(app: Flask, client: FlaskClient) -> None:
    notebook: Notebook = app.extensions["notebook"]
    first = notebook.sheet("spare-parts")
    assert notebook.sheet("spare-parts") is first
    body = {"quantity": "spreader", "main": "6", "fine": 3}
    client.post(f"{SHEET}/readings", json=body)
    second = notebook.sheet("spare-parts")
    assert second is not first
    with notebook.store.reading() as session:
        assert second.version == find_sheet(session, "spare-parts").version


def test_a_series_with_play_is_remarked_on_and_advised(client: FlaskClient) -> None:
    for approach, fine in (("opening", 3), ("opening", 4), ("closing", 9), ("closing", 8)):
        body = {"quantity": "film", "main": "1", "fine": fine, "approach": approach}
        client.post("/api/sheets/sail-film/readings", json=body)
    found = quantity(client, "sail-film", "film")
    assert [hint["code"] for hint in found["hints"]] == ["play"]
    assert "look for its cause" in found["advice"]
