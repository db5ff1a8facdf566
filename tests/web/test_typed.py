"""A reading sent as it was typed: one request, understood as the desk understands it."""

from typing import Any

import pytest
from flask.testing import FlaskClient


def sent(client: FlaskClient, sheet: str, quantity: str, **typed: Any) -> Any:
    body = {"quantity": quantity, "typed": typed, "place": "end A"}
    return client.post(f"/api/sheets/{sheet}/readings", json=body)


def kept(client: FlaskClient, sheet: str, quantity: str) -> Any:
    """The last reading of a quantity as its logbook holds it, without when it was made."""
    logbook = client.get(f"/api/sheets/{sheet}/logbook").get_json(force=True)
    (found,) = (one for one in logbook["measurements"] if one["id"] == quantity)
    last: dict[str, Any] = found["observations"][-1]
    assert last.pop("at")
    assert last.pop("place") == "end A"
    return last


@pytest.mark.parametrize(
    ("typed", "figures"),
    [
        ({"main": "6", "fine": "3"}, {"main": "6", "fine": 3}),
        ({"main": " 6,0 ", "fine": "12-14"}, {"main": "6", "fine": "12-14"}),
        ({"main": "6 mm", "fine": "0.15 mm"}, {"main": "6", "fine": 3}),
        ({"main": "6", "fine": "1½", "fine_as": "numeral"}, {"main": "6", "fine": 3}),
        ({"main": "6", "fine": "0,15", "fine_as": "worth"}, {"main": "6", "fine": 3}),
    ],
)
def test_one_look_is_understood(
    client: FlaskClient, typed: dict[str, Any], figures: dict[str, Any]
) -> None:
    assert sent(client, "spare-parts", "spreader", **typed).status_code == 201
    assert kept(client, "spare-parts", "spreader") == figures


def test_a_pair_is_understood_by_the_names_of_its_looks(client: FlaskClient) -> None:
    indications = {"a": {"main": "62:40", "fine": "22"}, "b": {"main": "105°20′", "fine": "10"}}
    assert sent(client, "foil-colours", "red", **indications).status_code == 201
    assert kept(client, "foil-colours", "red") == {
        "a": {"main": "62:40", "fine": 22}, "b": {"main": "105:20", "fine": 10},
    }  # fmt: skip


@pytest.mark.parametrize(
    ("quantity", "typed", "faults"),
    [
        ("spare-parts/spreader", {"main": "6.43", "fine": "21"}, ["/typed/main", "/typed/fine"]),
        ("spare-parts/spreader", {"main": "6", "fine": ""}, ["/typed/fine"]),
        ("spare-parts/spreader", {"main": "9" * 50, "fine": "3"}, ["/typed/main"]),
        ("foil-colours/red", {"a": {"main": "62:40", "fine": "22"}},
         ["/typed/b/main", "/typed/b/fine"]),
    ],
)  # fmt: skip
def test_what_cannot_be_read_is_told_figure_by_figure_and_nothing_is_kept(
    client: FlaskClient, quantity: str, typed: dict[str, Any], faults: list[str]
) -> None:
    sheet, key = quantity.split("/")
    before = client.get(f"/api/sheets/{sheet}/logbook").data
    answer = sent(client, sheet, key, **typed)
    assert answer.status_code == 422
    assert [fault["pointer"] for fault in answer.json["faults"]] == faults
    assert client.get(f"/api/sheets/{sheet}/logbook").data == before


def test_a_quantity_that_is_not_there_is_said_to_be_missing(client: FlaskClient) -> None:
    answer = sent(client, "spare-parts", "nothing", main="6", fine="3")
    assert (answer.status_code, "nothing" in answer.json["message"]) == (404, True)
