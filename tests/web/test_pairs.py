"""Pairs of positions through the API: entered, worked out, changed, exported."""

from typing import Any

import pytest
from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"
TYPED = {"fine_as": "line", "second_turn": False}


def indication(client: FlaskClient, **typed: Any) -> Any:
    body = {"seq": 1, "instrument": "cal-a", "sort": "pair", **typed}
    return client.post(f"{SHEET}/look", json=body).json


def hole(sheet: Any) -> Any:
    return next(quantity for quantity in sheet["quantities"] if quantity["id"] == "hole")


@pytest.fixture
def quantity(client: FlaskClient) -> Any:
    """A new quantity read as pairs."""
    body = {
        "id": "hole", "name": "Spacing of the eyelets", "instrument": "cal-a", "face": "outside",
        "items": 1, "zero": [], "pairs": True,
    }  # fmt: skip
    return hole(client.post(f"{SHEET}/quantities", json=body).json)


def record(client: FlaskClient, **fields: Any) -> Any:
    return client.post(f"{SHEET}/readings", json={"quantity": "hole", **fields})


def test_a_quantity_read_as_pairs_says_so_before_its_first_reading(quantity: Any) -> None:
    assert quantity["sort"] == "pair"


def test_the_first_position_alone_is_a_reading_without_zero(client: FlaskClient) -> None:
    answer = indication(client, main="12", fine="5")
    assert (answer["read"], answer["corrected"], answer["between"]) == ("12.25", "12.25", None)
    assert "the zero cancels" in answer["sentences"][-1]


def test_the_second_position_tells_what_lies_between(client: FlaskClient) -> None:
    answer = indication(
        client, main="48", fine="20", earlier=[{"main": "12", "fine": "5", **TYPED}]
    )
    assert answer["between"] == "35.75"


@pytest.mark.parametrize("first", [{"main": "12"}, {"main": "12.3", "fine": "5"}, {}])
def test_a_first_position_that_is_none_makes_no_pair(
    client: FlaskClient, first: dict[str, str]
) -> None:
    assert indication(client, main="48", fine="2", earlier=[first])["between"] is None


def test_a_pair_is_recorded_and_worked_out(client: FlaskClient, quantity: Any) -> None:
    pair = {"a": {"main": "12", "fine": 5}, "b": {"main": "48", "fine": 2}}
    response = record(client, **pair)
    assert response.status_code == 201
    (reading,) = hole(response.json)["readings"]
    assert (reading["main"], reading["line"], reading["read"]) == ("12 / 48", "5 / 2", "35.85")
    assert hole(response.json)["result"]["sentence"] == "(35.85 ± 0.05) mm"
    said = {
        step["label"]: "".join(span["text"] for span in step["spans"])
        for step in hole(response.json)["working"]
    }
    assert said["component: reading limit"] == "2×0.025=0.05 mm"


def test_an_impossible_position_of_a_pair_is_refused(client: FlaskClient, quantity: Any) -> None:
    response = record(client, a={"main": "12.5", "fine": 5}, b={"main": "48", "fine": 2})
    assert response.status_code == 422
    assert "12.5 is not a mark" in str(response.json)


def test_single_readings_and_pairs_do_not_mix(client: FlaskClient, quantity: Any) -> None:
    record(client, a={"main": "12", "fine": 5}, b={"main": "48", "fine": 2})
    assert record(client, main="6", fine=3).status_code == 422


def test_a_pair_that_is_changed_keeps_its_old_figures(client: FlaskClient, quantity: Any) -> None:
    pair = {"a": {"main": "12", "fine": 5}, "b": {"main": "48", "fine": 2}}
    (reading,) = hole(record(client, **pair).json)["readings"]
    response = client.patch(
        f"{SHEET}/readings/{reading['id']}",
        json={"b": {"main": "47", "fine": 2}, "why": "changed"},
        headers={"If-Match": str(reading["version"])},
    )
    (changed,) = hole(response.json)["readings"]
    assert changed["read"] == "34.85"
    (earlier,) = changed["history"]
    assert (earlier["main"], earlier["line"], earlier["why"]) == ("12 / 48", "5 / 2", "changed")


def test_an_exported_pair_holds_both_looks(client: FlaskClient, quantity: Any) -> None:
    pair = {"a": {"main": "12", "fine": 5}, "b": {"main": "48", "fine": 2}}
    record(client, **pair)
    document = client.get(f"{SHEET}/logbook").json
    measurement = next(m for m in document["measurements"] if m["id"] == "hole")
    assert {name: measurement["observations"][0][name] for name in pair} == pair


@pytest.fixture
def circle(client: FlaskClient) -> None:
    """A circle of third-degree marks, and a quantity read in its two windows."""
    client.post(
        f"{SHEET}/instruments",
        json={
            "id": "circle", "name": "Divided circle", "kind": "angular", "unit": "arcmin",
            "main_division": "20", "fine_divisions": 40, "span": 39,
        },
    )  # fmt: skip
    quantity = {"id": "hole", "name": "Foil, first order", "instrument": "circle", "zero": []}
    body = {**quantity, "windows": True, "divide_by": 2}
    assert client.post(f"{SHEET}/quantities", json=body).status_code == 201


def test_a_reading_in_two_windows_is_recorded_and_halved(client: FlaskClient, circle: None) -> None:
    indications = {
        "a": {"main": "341:20", "fine": 11}, "a2": {"main": "161:20", "fine": 15},
        "b": {"main": "18:40", "fine": 30}, "b2": {"main": "198:40", "fine": 32},
    }  # fmt: skip
    before = hole(client.get(SHEET).json)
    assert (before["sort"], before["divide_by"]) == ("pair with two windows", 2)
    found = hole(record(client, **indications).json)
    (reading,) = found["readings"]
    assert reading["main"] == "341°20′ / 18°40′ / 161°20′ / 198°40′"
    assert reading["read"] == "37°29.0′"
    assert found["result"]["sentence"].startswith("18°44")


def test_the_last_window_tells_what_was_swept(client: FlaskClient, circle: None) -> None:
    earlier = [
        {"main": main, "fine": fine, **TYPED}
        for main, fine in (("341 20", "11"), ("161 20", "15"), ("18 40", "30"))
    ]
    answer = indication(
        client, instrument="circle", sort="pair with two windows", earlier=earlier,
        main="198 40", fine="32",
    )  # fmt: skip
    assert answer["between"] == "37°29.0′"
    assert answer["sentences"][0].startswith("The arc runs through the zero of the circle")


def test_half_a_reading_in_two_windows_is_refused(client: FlaskClient, circle: None) -> None:
    pair = {"a": {"main": "10:20", "fine": 1}, "b": {"main": "30:20", "fine": 2}}
    response = record(client, **pair, a2={"main": "190:20", "fine": 1})
    assert response.status_code == 422
    assert "b2" in str(response.json)
