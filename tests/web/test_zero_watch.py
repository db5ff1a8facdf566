"""Looks at one zero that do not agree: asked about, replaced in one step, or kept and flagged."""

from typing import Any

import pytest
from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"


def sheet(client: FlaskClient) -> Any:
    return client.get(SHEET).json


def quantity(client: FlaskClient, key: str = "spreader") -> Any:
    return client.get(f"{SHEET}/quantities/{key}").json


def kept_check(client: FlaskClient, key: str) -> Any:
    checks = client.get(f"{SHEET}/logbook").json["zero_checks"]
    return next((one for one in checks if one["id"] == key), None)


def unlike(client: FlaskClient, main: str, fine: str) -> Any:
    body = {
        "seq": 1, "instrument": "cal-a", "reference": "", "main": main, "fine": fine,
        "fine_as": "line", "looks": quantity(client)["zero"],
    }  # fmt: skip
    return client.post(f"{SHEET}/look", json=body).json["finding"]["unlike"]


def look(client: FlaskClient, **more: Any) -> None:
    check = {
        "instrument": "cal-a", "face": "outside", "main": "0", "fine": 2, "quantity": "spreader",
        **more,
    }  # fmt: skip
    assert client.post(f"{SHEET}/zero_checks", json=check).status_code == 201


def codes(client: FlaskClient) -> list[str]:
    return [one["code"] for one in quantity(client)["flags"]]


def test_a_look_is_held_against_the_earlier_ones(client: FlaskClient) -> None:
    [earlier] = unlike(client, "0", "2")
    assert earlier == {
        "id": quantity(client)["zero"][0], "error": -0.15,
        "words": "The earlier look said −0.15 mm",
    }  # fmt: skip
    # One least count apart is what a mean is made for.
    assert unlike(client, "-1", "18") == []
    assert unlike(client, "-1", "19") != []


def test_what_is_kept_in_spite_of_it_is_flagged_wherever_it_is_used(client: FlaskClient) -> None:
    assert "zero-looks-differ" not in codes(client)
    look(client, id="other")
    assert "zero-looks-differ" in codes(client)
    assert quantity(client)["zero"][-1] == "other"


def test_one_that_replaces_another_is_one_step_with_history(client: FlaskClient) -> None:
    [old] = quantity(client)["zero"]
    before = kept_check(client, old)
    look(client, replaces=[old])
    now = kept_check(client, old)
    assert (now["main"], now["fine"]) == ("0", 2)
    [earlier] = now["history"]
    assert (earlier["main"], earlier["fine"], earlier["why"]) == ("-1", 17, "looked at again")
    assert quantity(client)["zero_text"] == "0.10"
    assert "zero-looks-differ" not in codes(client)
    client.post(f"{SHEET}/undo")
    assert kept_check(client, old) == before
    assert quantity(client)["zero_text"] == "−0.15"


def test_one_can_take_the_place_of_several(client: FlaskClient) -> None:
    [first] = quantity(client)["zero"]
    look(client, id="second", fine=7)
    look(client, replaces=[first, "second"])
    assert quantity(client)["zero"] == [first]
    assert quantity(client)["zero_text"] == "0.10"


@pytest.mark.parametrize("gone", ["nothing", "m1"])
def test_what_is_not_there_cannot_be_replaced(client: FlaskClient, gone: str) -> None:
    before = client.get(f"{SHEET}/logbook").json
    check = {"instrument": "cal-a", "main": "0", "fine": 2, "replaces": [gone]}
    assert client.post(f"{SHEET}/zero_checks", json=check).status_code == 404
    assert client.get(f"{SHEET}/logbook").json == before
