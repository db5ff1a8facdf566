"""What can be measured of a thing, through the API."""

from typing import Any

from flask.testing import FlaskClient


def asked(client: FlaskClient, thing: str) -> dict[str, Any]:
    found = client.get("/api/measurands", query_string={"thing": thing})
    assert found.status_code == 200
    return {one["id"]: one for one in found.json}


def test_names_and_what_the_name_tells(client: FlaskClient) -> None:
    ferrule = asked(client, "Ferrule")
    assert not any(one["told"] for one in ferrule.values())
    assert (ferrule["inside"]["name"], ferrule["inside"]["face"]) == ("Ferrule, inside", "inside")
    assert [key for key, one in asked(client, "Bore").items() if one["told"]] == ["inside"]
    assert [key for key, one in asked(client, "film, stacked").items() if one["told"]] == ["stack"]


def test_a_thing_that_no_sheet_could_hold_is_refused(client: FlaskClient) -> None:
    assert client.get(f"/api/measurands?thing={'t' * 201}").status_code == 422
