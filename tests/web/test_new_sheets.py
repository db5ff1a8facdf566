"""Sheets as they begin: their titles, and who measures."""

import pytest
from flask.testing import FlaskClient


def begun(client: FlaskClient, title: str, **more: object) -> dict[str, str]:
    answer = client.post("/api/sheets", json={"title": title, **more})
    assert answer.status_code == 201
    found: dict[str, str] = answer.json
    return found


def test_a_number_follows_a_title_that_is_taken(client: FlaskClient) -> None:
    titles = [begun(client, "Spar_", numbered=True)["title"] for _ in range(3)]
    assert titles == ["Spar_", "Spar_ 2", "Spar_ 3"]
    second = next(
        one["id"] for one in client.get("/api/sheets").json["sheets"] if one["title"] == "Spar_ 2"
    )
    client.delete(f"/api/sheets/{second}")
    assert begun(client, "Spar_", numbered=True)["title"] == "Spar_ 2"
    assert begun(client, "SparX", numbered=True)["title"] == "SparX"
    assert begun(client, "Spar_")["title"] == "Spar_"
    longest = "k" * 200
    assert begun(client, longest, numbered=True)["title"] == longest
    assert begun(client, longest, numbered=True)["title"] == "k" * 198 + " 2"


def test_who_measures_stands_on_every_sheet_from_then_on(client: FlaskClient) -> None:
    before = begun(client, "Before")
    assert client.patch("/api/settings", json={"authors": "Ida, group 3"}).status_code == 200
    after = begun(client, "After", date="2031-05-02")
    assert (before["authors"], before["date"]) == ("", "")
    assert (after["authors"], after["date"]) == ("Ida, group 3", "2031-05-02")
    listed = {one["title"]: one["authors"] for one in client.get("/api/sheets").json["sheets"]}
    assert (listed["Before"], listed["After"]) == ("", "Ida, group 3")
    assert client.get(f"/api/sheets/{before['id']}").json["authors"] == ""


@pytest.mark.parametrize("authors", ["a" * 501, "bell\x07"])
def test_what_no_sheet_could_carry_is_refused(client: FlaskClient, authors: str) -> None:
    assert client.patch("/api/settings", json={"authors": authors}).status_code == 422
    assert begun(client, "Kite")["authors"] == ""
