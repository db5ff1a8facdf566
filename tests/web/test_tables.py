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
    assert [row["reads"] for row in matched["rows"]] == ["8.55 mm", "8.60 mm"]
    assert (matched["faults"], matched["count"], matched["good"]) == ([], 2, 2)
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
    broken = CONTENT.replace(b";8;12", b";8,55;22")
    answer = client.post(f"{TABLE}/take?{COLUMNS}", data=broken)
    assert answer.status_code == 422
    assert [f["message"].split(":")[0] for f in answer.json["faults"]] == [
        "row 3, column “Haupt”", "row 3, column “Linie”",
    ]  # fmt: skip
    assert len(ferrule(client.get(SHEET).json)["readings"]) == 3
    assert client.post(f"{SHEET}/quantities/nothing/table/preview", data=b"1;2").status_code == 404


BROKEN = b"place,main,line\n" + b"mouth,8,11\n" * 20 + b"waist,8.55,22\nfoot,8,12\n"


def test_faulty_rows_are_shown_and_mended_in_place(client: FlaskClient) -> None:
    found = client.post(f"{TABLE}/preview", data=BROKEN).json
    assert (found["count"], found["good"]) == (22, 21)
    assert [row["at"] for row in found["rows"]] == [*range(12), 20]
    assert [(row["cells"], row["reads"]) for row in found["rows"][-1:]] == [
        (["waist", "8.55", "22"], "")
    ]
    assert [fault["pointer"] for fault in found["faults"]] == ["/rows/20/1", "/rows/20/2"]
    mended = "mend=20/1/8&mend=20/2/12"
    assert client.post(f"{TABLE}/preview?{mended}", data=BROKEN).json["good"] == 22
    readings = ferrule(client.post(f"{TABLE}/take?{mended}", data=BROKEN).json)["readings"]
    assert [(one["place"], one["line"]) for one in readings[-2:]] == [
        ("waist", "12"),
        ("foot", "12"),
    ]


def test_good_rows_are_taken_without_the_faulty_ones(client: FlaskClient) -> None:
    sheet = client.post(f"{TABLE}/take?good_only=true", data=BROKEN).json
    places = [one["place"] for one in ferrule(sheet)["readings"]]
    assert places == ["mouth"] * 20 + ["foot"]
    # What is wrong with the table as a whole, or with every row, is not left out.
    for content in (CONTENT, b"main,line\n8.55,22\n"):
        answer = client.post(f"{TABLE}/take?good_only=true", data=content)
        assert answer.status_code == 422
        assert answer.json["faults"]


def test_a_mended_cell_that_is_none_is_refused(client: FlaskClient) -> None:
    for mend in ("99/0/6", "0/9/6", "0/-1/6", "x", "0/1"):
        answer = client.post(f"{TABLE}/preview?mend={mend}", data=BROKEN)
        assert answer.status_code == 422
        assert "cell" in answer.json["faults"][0]["message"]


def fits(client: FlaskClient, content: bytes) -> list[tuple[str, str, int]]:
    found = client.post("/api/tables/fits", data=content).json
    return [(one["sheet"], one["quantity"], one["rows"]) for one in found]


def test_a_table_is_offered_to_the_quantity_that_it_fits(client: FlaskClient) -> None:
    # Half marks fit the screws, not the calipers of whole millimetres.
    found = fits(client, b"main,thimble\n6.5,38\n7.5,2\n")
    assert found[0][0] == "bridle-line"
    assert ("spare-parts", "spreader", 0) in found
    # Who is named comes first, with its own rows alone.
    named = b'quantity,main,line\nFerrule; 6 other,6,3\n"Ferrule, outside",8,11\n'
    assert fits(client, named)[0] == ("spare-parts", "ferrule", 1)
    own = client.get(f"{SHEET}/table.csv").data
    assert fits(client, own)[0][:2] in (("spare-parts", "spreader"), ("spare-parts", "ferrule"))
    # Where no heading tells anything, it may be any of them.
    assert {rows for _, _, rows in fits(client, b"a;b;c\nx;y;z\n")} == {0}
    assert client.post("/api/tables/fits", data=b"\0").status_code == 422


def test_the_table_for_people_is_offered_to_its_quantities(client: FlaskClient) -> None:
    client.patch("/api/settings", json={"decimal_sign": "comma"})
    table = client.get(f"{SHEET}/table-to-read.csv").data
    assert fits(client, table)[0][0] == "spare-parts"
    readings = ferrule(client.post(f"{TABLE}/take", data=table).json)["readings"]
    assert len(readings) == 3
