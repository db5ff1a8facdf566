"""The zero desk through the API: a zero that is a mark off is asked about, and mended."""

from typing import Any

import pytest
from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"


def finding(client: FlaskClient, main: str, fine: str) -> Any:
    body = {"seq": 1, "instrument": "cal-a", "reference": "", "main": main, "fine": fine}
    return client.post(f"{SHEET}/look", json=body).json["finding"]


def test_a_zero_that_is_a_mark_off_is_asked_about_before_the_tool_is_blamed(
    client: FlaskClient,
) -> None:
    found = finding(client, "0", "17")
    assert found["wrapped"] == {
        "main": "-1",
        "second_turn": False,
        "words": "That is nearer to a full mark than to nothing. Which is it?",
        "likely": "the fine zero stood left of the main zero: −0.15 mm",
        "kept": "the fine zero stood right of the main zero: 0.85 mm",
    }
    assert found["advice"] == ""


def test_an_ordinary_zero_is_not_asked_about(client: FlaskClient) -> None:
    assert finding(client, "-1", "17")["wrapped"] is None
    assert finding(client, "0", "2")["wrapped"] is None


def test_keeping_a_zero_is_one_step_with_what_uses_it(client: FlaskClient) -> None:
    before = next(q for q in sheet(client)["quantities"] if q["id"] == "spreader")
    check = {
        "id": "again", "instrument": "cal-a", "face": "outside", "main": "0", "fine": 1,
        "quantity": "spreader", "answered": {"fine_as": "numeral", "main_as": None},
    }  # fmt: skip
    assert client.post(f"{SHEET}/zero_checks", json=check).status_code == 201
    now = next(q for q in sheet(client)["quantities"] if q["id"] == "spreader")
    assert now["zero"] == [*before["zero"], "again"]
    # What the tool says already is not said anew.
    assert sheet(client)["instruments"][0]["fine_as"] == "line"
    client.post(f"{SHEET}/undo")
    back = next(q for q in sheet(client)["quantities"] if q["id"] == "spreader")
    assert back["zero"] == before["zero"]
    assert "again" not in [one["id"] for one in sheet(client)["zero_checks"]]


@pytest.fixture
def wrapped(client: FlaskClient) -> Any:
    """Two quantities that use a zero check which is a mark off."""
    check = {"id": "off", "instrument": "cal-a", "face": "outside", "main": "0", "fine": 17}
    assert client.post(f"{SHEET}/zero_checks", json=check).status_code == 201
    for quantity in ("spreader", "ferrule"):
        version = next(q for q in sheet(client)["quantities"] if q["id"] == quantity)["version"]
        headers = {"If-Match": str(version)}
        address = f"{SHEET}/quantities/{quantity}"
        assert client.patch(address, json={"zero": ["off"]}, headers=headers).status_code == 200
    return sheet(client)


def sheet(client: FlaskClient) -> Any:
    return client.get(SHEET).json


def flags(sheet: Any) -> list[Any]:
    return [
        [flag for flag in quantity["flags"] if flag["code"] == "zero-wrapped"]
        for quantity in sheet["quantities"]
    ]


def test_mending_the_check_settles_it_for_all_that_use_it(
    client: FlaskClient, wrapped: Any
) -> None:
    assert [len(found) for found in flags(wrapped)] == [1, 1]
    (flag,) = flags(wrapped)[0]
    assert (flag["zero_check"], flag["settled"]) == ("off", False)
    likely, stands = flag["remedies"]
    assert (likely["label"], likely["target"]) == ("It was −0.15 mm", "zero-check")
    assert (stands["target"], stands["fields"]) == ("quantity", {"looked_again": [flag["code"]]})
    change = {**likely["fields"], "why": "a full turn off"}
    mended = client.patch(f"{SHEET}/zero_checks/off", json=change, headers={"If-Match": "1"}).json
    assert flags(mended) == [[], []]
    assert [quantity["zero_text"] for quantity in mended["quantities"]] == ["−0.15", "−0.15"]
    (kept,) = (
        check
        for check in client.get(f"{SHEET}/logbook").get_json(force=True)["zero_checks"]
        if check["id"] == "off"
    )
    earlier = {name: kept["history"][0][name] for name in ("main", "fine", "why")}
    assert earlier == {"main": "0", "fine": 17, "why": "a full turn off"}


def test_one_that_stands_is_settled_for_its_quantity_alone(
    client: FlaskClient, wrapped: Any
) -> None:
    version = wrapped["quantities"][0]["version"]
    client.patch(
        f"{SHEET}/quantities/spreader",
        json={"looked_again": ["zero-wrapped"]},
        headers={"If-Match": str(version)},
    )
    assert [found[0]["settled"] for found in flags(client.get(SHEET).json)] == [True, False]
