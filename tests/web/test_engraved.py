"""A tool numbered in centimetres speaks in centimetres everywhere; its logbook keeps its unit."""

import csv
import io
from typing import Any

import pytest
from flask.testing import FlaskClient

SHEET = "/api/sheets/sail-film"


def sheet(client: FlaskClient) -> Any:
    return client.get(SHEET).json


def version(client: FlaskClient) -> str:
    return str(next(t for t in sheet(client)["instruments"] if t["id"] == "cal-c")["version"])


def quantity(client: FlaskClient) -> Any:
    return client.get(f"{SHEET}/quantities/film").json


@pytest.fixture
def read(client: FlaskClient) -> FlaskClient:
    """Two readings of the film: 5.2 cm, line 16, and 5.2 cm, line 17; and one look at the zero."""
    for line in ("16", "17"):
        typed = {"main": "5.2", "fine": line}
        body = {"quantity": "film", "typed": typed}
        assert client.post(f"{SHEET}/readings", json=body).status_code == 201
    check = {"instrument": "cal-c", "main": "0", "fine": 2, "face": "outside", "quantity": "film"}
    assert client.post(f"{SHEET}/zero_checks", json=check).status_code == 201
    return client


def kept(client: FlaskClient) -> Any:
    return client.get(f"{SHEET}/logbook").json


def test_desk_table_result_and_working_speak_in_the_engraved_unit(read: FlaskClient) -> None:
    body = {"seq": 1, "instrument": "cal-c", "main": "5.2", "fine": "16"}
    answer = read.post(f"{SHEET}/look", json=body).json
    # What is kept is in millimetres, what is seen in centimetres.
    assert (answer["main"]["value"], answer["main"]["typed"]) == ("52", "5.2")
    assert (answer["read"], answer["bounds"]) == ("5.280", ["5.2", "5.3"])
    assert "worth 0.080 cm" in " ".join(answer["sentences"])
    tool = sheet(read)["instruments"][0]
    assert (tool["unit"], tool["kept_unit"]) == ("cm", "mm")
    assert tool["least_count_text"] == "0.005 cm"
    found = quantity(read)
    assert [(one["main"], one["read"]) for one in found["readings"]] == [
        ("5.2", "5.280"),
        ("5.2", "5.285"),
    ]
    assert found["result"]["sentence"].endswith("cm")
    working = read.get(f"{SHEET}/quantities/film/working").json
    told = " ".join(str(step["spans"]) for step in working)
    assert "cm" in told
    assert "mm" not in told


def test_report_and_spreadsheet_speak_so_and_the_file_keeps_its_unit(read: FlaskClient) -> None:
    report = read.get(f"{SHEET}/report.md").text
    assert "5.280" in report
    assert "52.8" not in report
    assert " cm" in report
    assert " mm" not in report
    one = read.get(f"{SHEET}/table-to-read.csv").text
    assert "5.28" in one
    assert "52.8" not in one
    # What is made to come in again, and the logbook, are in the unit of the description.
    rows = list(csv.DictReader(io.StringIO(read.get(f"{SHEET}/table.csv").text)))
    assert [row["main"] for row in rows] == ["52", "52"]
    assert {row["unit"] for row in rows} == {"mm"}
    observations = kept(read)["measurements"][0]["observations"]
    assert [one["main"] for one in observations] == ["52", "52"]


def test_a_correction_that_is_offered_is_kept_in_the_unit_of_the_description(
    read: FlaskClient,
) -> None:
    for main in ("5.2", "5.3"):
        body = {"quantity": "film", "typed": {"main": main, "fine": "16"}}
        assert read.post(f"{SHEET}/readings", json=body).status_code == 201
    [slip] = [one for one in quantity(read)["flags"] if one["code"] == "main-mark-slip"]
    misread = slip["remedies"][1]
    assert (misread["fields"]["main"], misread["label"]) == ("52", "I misread, it was 5.2")


def test_the_unit_that_is_kept_is_one_of_the_others(read: FlaskClient) -> None:
    [mm] = [one for one in quantity(read)["also"] if one["name"] == "mm"]
    headers = {"If-Match": str(quantity(read)["version"])}
    body = {"also_in": [mm["unit"]]}
    assert read.patch(f"{SHEET}/quantities/film", json=body, headers=headers).status_code == 200
    assert kept(read)["measurements"][0]["also_in"] == ["cm"]
    [mm] = [one for one in quantity(read)["also"] if one["name"] == "mm"]
    assert mm["chosen"]
    assert mm["sentence"].endswith("mm")


def test_scales_that_were_dragged_are_not_asked_about(client: FlaskClient) -> None:
    bare = {
        "id": "bare", "name": "Bare", "kind": "vernier", "unit": "mm", "main_division": "1",
        "fine_divisions": 20, "span": 39, "range": ["0", "150"], "numerals": "cm",
    }  # fmt: skip
    assert client.post(f"{SHEET}/instruments", json=bare).status_code == 201
    body = {"seq": 1, "instrument": "bare"}
    rest = client.post(f"{SHEET}/look", json={**body, "position": 6.025}).json
    typed = {"main": rest["main"]["typed"], "fine": rest["fine"]["typed"], "meant": rest["meant"]}
    assert (typed["main"], typed["fine"]) == ("6", "5")
    assert client.post(f"{SHEET}/look", json={**body, **typed}).json["read"] == "6.025"
    # The same figures alone can be several.
    del typed["meant"]
    assert client.post(f"{SHEET}/look", json={**body, **typed}).json["read"] is None


def change(client: FlaskClient, **more: Any) -> Any:
    record = {"unit": "cm", "main_division": "0.1", "range": ["0", "15"], **more}
    headers = {"If-Match": version(client)}
    return client.patch(f"{SHEET}/instruments/cal-c", json=record, headers=headers)


def test_another_unit_is_asked_about_where_something_was_read(read: FlaskClient) -> None:
    refused = change(read)
    assert refused.status_code == 422
    assert "lengths or its figures" in refused.json["message"]
    assert kept(read)["instruments"][0]["unit"] == "mm"


def test_the_same_lengths_are_converted_in_one_step_with_history(read: FlaskClient) -> None:
    before = quantity(read)["result"]["sentence"]
    assert change(read, what_was_read="same-lengths").status_code == 200
    logbook = kept(read)
    [first, _] = logbook["measurements"][0]["observations"]
    assert (first["main"], first["fine"]) == ("5.2", 16)
    [earlier] = first["history"]
    assert (earlier["main"], earlier["why"]) == ("52", "told in cm instead of mm")
    assert quantity(read)["result"]["sentence"] == before
    read.post(f"{SHEET}/undo")
    logbook = kept(read)
    assert logbook["instruments"][0]["unit"] == "mm"
    assert "history" not in logbook["measurements"][0]["observations"][0]


def test_the_same_figures_stand_where_the_description_was_wrong(read: FlaskClient) -> None:
    wrong = {"main_division": "1", "range": ["0", "150"], "what_was_read": "same-figures"}
    assert change(read, **wrong).status_code == 200
    assert kept(read)["measurements"][0]["observations"][0]["main"] == "52"
    assert quantity(read)["result"]["sentence"].endswith("cm")


def test_a_place_between_marks_names_the_convention_that_reads_it(client: FlaskClient) -> None:
    ruler = {
        "id": "ruler", "name": "Ruler", "kind": "plain", "unit": "mm", "main_division": "1",
        "range": ["0", "300"], "numerals": "cm", "main_as": "engraved",
    }  # fmt: skip
    assert client.post(f"{SHEET}/instruments", json=ruler).status_code == 201
    body = {"seq": 1, "instrument": "ruler", "main": "1.24", "fine": ""}

    def fault() -> str:
        found: str = client.post(f"{SHEET}/look", json=body).json["main"]["fault"]
        return found

    none = "1.24 is not a mark of Ruler, whose marks are 0.1 cm apart; the convention in force "
    assert fault() == f"{none}reads no place between them; one of your own can (Settings)."
    own = {
        "id": "tenths", "name": "Tenths by eye", "family": "limit", "reading_limit": "1/2",
        "zero_look": True, "spread": "half-range", "combine": "larger", "digits": 1,
        "estimate": True,
    }  # fmt: skip
    assert client.post("/api/conventions", json=own).status_code == 201
    assert fault() == f"{none}reads no place between them, Tenths by eye does."
    read = client.post(f"{SHEET}/look", json={**body, "estimates": True}).json
    assert (read["main"]["fault"], read["read"]) == ("", "1.24")
