"""Readings from a table, through the API."""

from typing import Any

from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"
TABLE = f"{SHEET}/quantities/ferrule/table"
CONTENT = b"Ort;Haupt;Linie;Bemerkung\nmouth;8;11;\nwaist;8;12;a burr\n"
COLUMNS = "column=place&column=main&column=fine&column=note"


def ferrule(sheet: Any) -> Any:
    return next(one for one in sheet["quantities"] if one["id"] == "ferrule")


def test_a_table_is_looked_through_before_anything_is_stored(client: FlaskClient) -> None:
    found = client.post(f"{TABLE}/preview", data=CONTENT).json
    assert found["header"] == ["Ort", "Haupt", "Linie", "Bemerkung"]
    assert found["columns"] == ["", "", "", ""]
    assert "no column is said to hold" in found["faults"][0]["message"]
    matched = client.post(f"{TABLE}/preview?{COLUMNS}", data=CONTENT).json
    assert (matched["readings"], matched["faults"], matched["count"]) == (
        ["8.55 mm", "8.60 mm"], [], 2,
    )  # fmt: skip
    assert len(ferrule(client.get(SHEET).json)["readings"]) == 3


def test_a_table_is_taken_in_as_one_step(client: FlaskClient) -> None:
    sheet = client.post(f"{TABLE}/take?{COLUMNS}", data=CONTENT).json
    readings = ferrule(sheet)["readings"]
    assert [(r["place"], r["line"], r["note"]) for r in readings] == [
        ("mouth", "11", ""), ("waist", "12", "a burr"),
    ]  # fmt: skip
    assert sheet["undo"] == "take in a table"
    assert ferrule(client.post(f"{SHEET}/undo").json)["reading_count"] == 3


def test_a_table_with_faults_stores_nothing(client: FlaskClient) -> None:
    broken = CONTENT.replace(b";8;12", b";8,5;22")
    answer = client.post(f"{TABLE}/take?{COLUMNS}", data=broken)
    assert answer.status_code == 422
    assert [f["message"].split(":")[0] for f in answer.json["faults"]] == [
        "row 3, column “Haupt”", "row 3, column “Linie”",
    ]  # fmt: skip
    assert len(ferrule(client.get(SHEET).json)["readings"]) == 3
    assert client.post(f"{SHEET}/quantities/nothing/table/preview", data=b"1;2").status_code == 404
