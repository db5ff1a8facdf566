"""The API as the front end uses it."""

import json
from typing import Any

import pytest
from flask import Flask
from flask.testing import FlaskClient

from metrion.demo import demo_file
from metrion.formats.logbook import read_logbook
from metrion.formats.results import results_document
from tests.web.merged import merged

SHEET = "/api/sheets/spare-parts"
READING = {"quantity": "spreader", "main": "6", "fine": 5}


def sheet_of(client: FlaskClient, key: str = "spare-parts") -> Any:
    return client.get(f"/api/sheets/{key}").json


def spreader(sheet: Any) -> Any:
    return next(quantity for quantity in sheet["quantities"] if quantity["id"] == "spreader")


def if_match(entry: Any) -> dict[str, str]:
    return {"If-Match": f'"{entry["version"]}"'}


def test_the_notebook_lists_sheets_with_their_sentences(client: FlaskClient) -> None:
    sheets = client.get("/api/sheets").json["sheets"]
    first = sheets[0]
    assert first["title"] == "Two-line kite, spare parts"
    assert [(r["sentence"], r["open_looks"]) for r in first["results"]] == [
        ("(6.6 ± 0.5) mm", 1),
        ("(8.72 ± 0.03) mm", 0),
    ]


def test_a_sheet_comes_with_its_instruments_drawn_and_worked_out(client: FlaskClient) -> None:
    (instrument,) = sheet_of(client)["instruments"]
    assert (instrument["least_count"], instrument["pattern"]) == ("0.05", "direct")
    assert instrument["lines"]["places"][:3] == [0.0, 1.95, 3.9]
    by_division, _, by_difference = (step["spans"] for step in instrument["derivation"])
    assert "".join(span["text"] for span in by_difference) == "2×1−1.95=0.05 mm"
    quotient = by_division[0]
    assert quotient["form"] == "over"
    assert (quotient["first"][0]["text"], quotient["second"][0]["text"]) == ("1", "20")


def test_a_second_look_says_what_the_result_would_be_without(client: FlaskClient) -> None:
    quantity = spreader(sheet_of(client))
    (flag,) = quantity["flags"]
    assert (flag["observation"], flag["without"]) == (3, "(6.32 ± 0.03) mm")
    assert quantity["result"]["sentence"] == "(6.6 ± 0.5) mm"


def test_a_reading_is_recorded_and_changes_the_result(client: FlaskClient) -> None:
    before = sheet_of(client)
    answer = client.post(f"{SHEET}/readings", json={"id": "new", "place": "end B", **READING})
    reading = spreader(answer.json)["readings"][-1]
    assert answer.status_code == 201
    assert (reading["id"], reading["read"], reading["corrected"]) == ("new", "6.25", "6.40")
    assert reading["at"].endswith("+00:00")
    assert sheet_of(client) == merged(before, answer.json)


def test_the_same_entry_sent_twice_arrives_once(client: FlaskClient) -> None:
    sent = [
        client.post(f"{SHEET}/readings", json=READING, headers={"Idempotency-Key": "k"})
        for _ in range(2)
    ]
    assert [answer.status_code for answer in sent] == [201, 201]
    assert len(spreader(sheet_of(client))["readings"]) == 5
    assert client.post(f"{SHEET}/undo").status_code == 200
    assert len(spreader(sheet_of(client))["readings"]) == 4


def test_an_impossible_reading_is_refused_and_nothing_changes(client: FlaskClient) -> None:
    before = sheet_of(client)
    answer = client.post(f"{SHEET}/readings", json={**READING, "main": "6.4"})
    assert answer.status_code == 422
    assert "6.4 is not a mark of Caliper A" in answer.json["message"]
    assert answer.json["faults"][0]["pointer"] == "/measurements/0/observations/4/main"
    assert sheet_of(client) == before


def test_a_reading_is_set_aside_with_its_reason(client: FlaskClient) -> None:
    reading = spreader(sheet_of(client))["readings"][3]
    answer = client.patch(
        f"{SHEET}/readings/{reading['id']}", json={"excluded": "slipped"}, headers=if_match(reading)
    )
    quantity = spreader(answer.json)
    assert [row["excluded"] for row in quantity["readings"]] == ["slipped"]
    assert quantity["result"]["sentence"] == "(6.32 ± 0.03) mm"
    assert quantity["flags"] == []


def test_old_figures_stay_in_the_history(client: FlaskClient) -> None:
    reading = spreader(sheet_of(client))["readings"][3]
    answer = client.patch(
        f"{SHEET}/readings/{reading['id']}",
        json={"main": "6", "why": "misread"},
        headers=if_match(reading),
    )
    ((earlier,),) = (row["history"] for row in spreader(answer.json)["readings"])
    assert (earlier["main"], earlier["line"], earlier["why"]) == ("7", "3", "misread")


def test_a_second_look_can_be_settled(client: FlaskClient) -> None:
    reading = spreader(sheet_of(client))["readings"][3]
    answer = client.patch(
        f"{SHEET}/readings/{reading['id']}",
        json={"looked_again": ["main-mark-slip"]},
        headers=if_match(reading),
    )
    (flag,) = spreader(answer.json)["flags"]
    assert flag["settled"] is True
    assert spreader(answer.json)["result"]["sentence"] == "(6.6 ± 0.5) mm"


def test_two_windows_do_not_overwrite_each_other(client: FlaskClient) -> None:
    reading = spreader(sheet_of(client))["readings"][0]
    address = f"{SHEET}/readings/{reading['id']}"
    first = client.patch(address, json={"fine": 4}, headers=if_match(reading))
    second = client.patch(address, json={"fine": 5}, headers=if_match(reading))
    assert (first.status_code, second.status_code) == (200, 412)
    assert "changed elsewhere" in second.json["message"]


def test_a_change_must_say_what_it_changes(client: FlaskClient) -> None:
    reading = spreader(sheet_of(client))["readings"][0]
    assert client.patch(f"{SHEET}/readings/{reading['id']}", json={"fine": 4}).status_code == 428


def test_a_zero_check_made_later_corrects_every_reading(client: FlaskClient) -> None:
    client.post(
        f"{SHEET}/zero_checks",
        json={"id": "late", "instrument": "cal-a", "face": "outside", "main": "0", "fine": 1},
    )
    quantity = spreader(sheet_of(client))
    answer = client.patch(
        f"{SHEET}/quantities/spreader", json={"zero": ["late"]}, headers=if_match(quantity)
    )
    corrected = [reading["corrected"] for reading in spreader(answer.json)["readings"]]
    assert corrected == ["6.10", "6.15", "6.10", "7.10"]


def test_undo_and_redo(client: FlaskClient) -> None:
    added = client.post(f"{SHEET}/readings", json=READING).json
    assert added["undo"] == "record the reading"
    undone = client.post(f"{SHEET}/undo").json
    assert spreader(undone)["reading_count"] == 4
    assert undone["redo"] == "record the reading"
    assert spreader(client.post(f"{SHEET}/redo").json)["reading_count"] == 5
    assert client.post(f"{SHEET}/redo").status_code == 409


def test_a_sheet_from_nothing(client: FlaskClient) -> None:
    client.post("/api/sheets", json={"id": "mine", "title": "Bridle"})
    shelf = client.get("/api/instruments/shelf").json
    record = next(p["record"] for p in shelf if p["id"] == "caliper-10-19")
    client.post("/api/sheets/mine/instruments", json={"id": "i", "name": "Mine", **record})
    client.post("/api/sheets/mine/quantities", json={"id": "q", "name": "Knot", "instrument": "i"})
    body = {"quantity": "q", "main": "4", "fine": 7}
    (quantity,) = client.post("/api/sheets/mine/readings", json=body).json["quantities"]
    assert quantity["result"]["sentence"] == "(4.70 ± 0.05) mm"
    assert {flag["code"] for flag in quantity["flags"]} == {"zero-unchecked", "few-readings"}


def test_a_quantity_goes_with_its_readings_and_comes_back_with_them(client: FlaskClient) -> None:
    before = sheet_of(client)
    quantity = spreader(before)
    gone = client.delete(f"{SHEET}/quantities/spreader", headers=if_match(quantity)).json
    assert (gone["quantities"], gone["order"]["quantities"]) == ([], ["ferrule"])
    client.post(f"{SHEET}/undo")
    back = sheet_of(client)
    assert [q["readings"][0]["read"] for q in back["quantities"]] == ["6.15", "8.55"]


def test_an_instrument_in_use_stays(client: FlaskClient) -> None:
    (instrument,) = sheet_of(client)["instruments"]
    answer = client.delete(f"{SHEET}/instruments/cal-a", headers=if_match(instrument))
    assert answer.status_code == 422
    assert [use["name"] for use in answer.json["uses"]][1:] == [
        "Lower spreader, outside",
        "Ferrule, outside",
    ]


def test_a_zero_check_on_a_setting_piece_is_kept(client: FlaskClient) -> None:
    sheet = client.post(
        f"{SHEET}/zero_checks",
        json={"instrument": "cal-a", "face": "inside", "main": "20", "fine": 1, "reference": "20"},
    ).json
    check = sheet["zero_checks"][-1]
    assert (check["error_text"], check["reference"], check["face"]) == ("0.05", "20", "inside")


def test_the_words_and_the_parts(client: FlaskClient) -> None:
    words = client.get("/api/words").json
    thimble = next(concept for concept in words["concepts"] if concept["id"] == "thimble")
    assert thimble["words"][:2] == ["thimble", "drum"]
    faces = {kind["kind"]: [f["id"] for f in kind["faces"]] for kind in words["kinds"]}
    assert faces["vernier"] == ["outside", "inside", "depth"]
    assert any("high voltage" in care["text"] for care in words["care"])


def test_the_trash_and_back(client: FlaskClient) -> None:
    assert client.delete(SHEET).status_code == 204
    listed = client.get("/api/sheets").json
    assert [sheet["id"] for sheet in listed["trash"]] == ["spare-parts"]
    assert client.get(SHEET).status_code == 404
    client.post(f"{SHEET}/restore")
    assert client.get(SHEET).status_code == 200


def test_a_sheet_is_renamed(client: FlaskClient) -> None:
    assert client.patch(SHEET, json={"title": "Spares"}).json["title"] == "Spares"
    assert client.patch(SHEET, json={"title": ""}).status_code == 422


@pytest.mark.parametrize("name", ["spare-parts", "wing-tip-nocks", "sail-film", "old-standoffs"])
def test_a_saved_file_loads_elsewhere_with_the_same_numbers(client: FlaskClient, name: str) -> None:
    saved = client.get(f"/api/sheets/{name}/logbook")
    assert "attachment" in saved.headers["Content-Disposition"]
    (loaded,) = client.post("/api/arrivals/take?decision=new", data=saved.data).json
    again = client.get(f"/api/sheets/{loaded['id']}/logbook")
    # Byte by byte, but that it is another sheet here, where the first one stands still.
    assert again.data == saved.data.replace(name.encode(), loaded["id"].encode(), 1)
    reduced = [results_document(read_logbook(d)) for d in (saved.data, demo_file(name))]
    assert reduced[0] == reduced[1]


def test_a_broken_file_is_refused_with_all_its_faults(client: FlaskClient) -> None:
    document = json.loads(demo_file("spare-parts"))
    document["version"] = 7
    document["zero_checks"][0]["fine"] = 21
    answer = client.post("/api/arrivals/take", data=json.dumps(document))
    assert answer.status_code == 422
    assert [f["pointer"] for f in answer.json["faults"]] == ["/version", "/zero_checks/0/fine"]
    assert len(client.get("/api/sheets").json["sheets"]) == 6


def test_settings_are_kept(client: FlaskClient) -> None:
    assert client.get("/api/settings").json["decimal_sign"] == "point"
    client.patch("/api/settings", json={"decimal_sign": "comma"})
    client.patch("/api/settings", json={"words": {"thimble": "drum"}})
    assert client.get("/api/settings").json == {
        "decimal_sign": "comma", "single_keys": True, "theme": "system",
        "words": {"thimble": "drum"}, "convention": "half-division", "language": "en",
        "authors": "",
    }  # fmt: skip
    for none in ({"theme": "plaid"}, {"language": "qya"}):
        assert client.patch("/api/settings", json=none).status_code == 422


@pytest.mark.parametrize(
    ("method", "address", "body", "status"),
    [
        ("get", "/api/nothing", None, 404),
        ("get", "/api/sheets/nothing", None, 404),
        ("post", "/api/sheets/nothing/readings", READING, 404),
        ("post", f"{SHEET}/readings", {**READING, "quantity": "x"}, 404),
        ("post", f"{SHEET}/readings", {"main": "6", "fine": 3}, 422),
        ("post", f"{SHEET}/readings", {**READING, "odd": 1}, 422),
        ("post", f"{SHEET}/look", {"seq": 1, "instrument": "x"}, 404),
        ("put", "/api/sheets", {}, 405),
        ("post", "/api/sheets", {"id": "spare-parts", "title": "x"}, 409),
        ("post", f"{SHEET}/undo", None, 409),
        ("delete", f"{SHEET}/readings/nothing", None, 428),
    ],
)
def test_every_error_has_one_shape(
    client: FlaskClient, method: str, address: str, body: Any, status: int
) -> None:
    answer = client.open(address, method=method, json=body)
    assert answer.status_code == status
    assert set(answer.json) == {"message", "faults"}
    assert answer.json["message"]
    if status == 405:
        assert "GET" in answer.headers["Allow"]


def test_bad_json_is_refused(client: FlaskClient) -> None:
    answer = client.post("/api/sheets", data="{", content_type="application/json")
    assert answer.status_code in (400, 422)
    assert answer.json["message"]


def test_the_description_of_the_api(client: FlaskClient) -> None:
    description = client.get("/api/openapi.json").json
    assert description["openapi"] == "3.1.0"
    assert "/api/sheets/{sheet}/look" in description["paths"]


def test_pages_of_the_front_end_are_served_or_said_to_be_missing(app: Flask) -> None:
    with app.test_client().get("/sheets/anything") as answer:
        assert answer.status_code in (200, 503)
        assert b"Metrion" in answer.data or b"make setup" in answer.data


def test_the_notebook_lists_what_is_worked_out_from_others(client: FlaskClient) -> None:
    (foil,) = (s for s in client.get("/api/sheets").json["sheets"] if s["id"] == "foil-colours")
    (spacing,) = foil["derived"]
    assert spacing["name"] == "Spacing of the foil's lines"
    assert (
        spacing["sentence"] == client.get("/api/sheets/foil-colours").json["derived"][0]["sentence"]
    )


def test_a_finished_example_is_added_once(client: FlaskClient) -> None:
    before = len(client.get("/api/sheets").json["sheets"])
    for _ in range(2):
        made = client.post("/api/sheets/example", headers={"Idempotency-Key": "look"})
        assert made.status_code == 201
    (quantity,) = made.json["quantities"]
    assert quantity["result"]["sentence"] == "(13.6 ± 0.1) mm"
    assert [flag for flag in quantity["flags"] if flag["level"] == "warning"] == []
    assert len(client.get("/api/sheets").json["sheets"]) == before + 1
