"""Two windows at one sheet: neither takes back what the other did unasked."""

from datetime import UTC, datetime, timedelta
from typing import Any

import pytest
from flask import Flask
from flask.testing import FlaskClient
from sqlalchemy import text

from metrion.notebook.other_windows import ago

SHEET = "/api/sheets/spare-parts"
MINE, THEIRS = {"Metrion-Window": "mine"}, {"Metrion-Window": "theirs"}


def record(client: FlaskClient, main: str, fine: int, **headers: str) -> None:
    reading = {"quantity": "ferrule", "main": main, "fine": fine}
    assert client.post(f"{SHEET}/readings", json=reading, headers=headers).status_code == 201


def count(client: FlaskClient) -> int:
    [found] = [one for one in client.get(SHEET).json["quantities"] if one["id"] == "ferrule"]
    return len(client.get(f"{SHEET}/quantities/ferrule").json["readings"]) if found else 0


def undo(client: FlaskClient, act: str = "undo", query: str = "", **headers: str) -> Any:
    return client.post(f"{SHEET}/{act}{query}", headers=headers)


def test_what_another_window_did_is_named_and_asked_about(client: FlaskClient) -> None:
    record(client, "8", 13, **MINE)
    record(client, "8", 14, **THEIRS)
    before = count(client)
    asked = undo(client, **MINE)
    assert asked.status_code == 409
    assert asked.json["message"] == (
        "The last step is another window’s: record the reading 8.70 mm, just now."
    )
    assert count(client) == before
    # What came between is asked about anew.
    record(client, "8", 15, **THEIRS)
    later = undo(client, query=f"?command={asked.json['asks']}", **MINE)
    assert (later.status_code, "8.75 mm" in later.json["message"]) == (409, True)
    assert undo(client, query=f"?command={later.json['asks']}", **MINE).status_code == 200
    # What one undid oneself is brought back, and undone again, unasked; the other is asked.
    assert undo(client, "redo", **THEIRS).status_code == 409
    for act in ("redo", "undo"):
        assert undo(client, act, **MINE).status_code == 200
    assert count(client) == before
    # One's own step, and whoever says no window, is not asked.
    assert undo(client, **THEIRS).status_code == 200
    assert undo(client, **MINE).status_code == 200
    record(client, "8", 16, **THEIRS)
    assert undo(client).status_code == 200


def test_two_windows_that_undo_in_turn_take_back_their_own(client: FlaskClient) -> None:
    record(client, "8", 13, **MINE)
    record(client, "8", 14, **THEIRS)
    assert undo(client, **MINE).status_code == 409
    assert undo(client, **THEIRS).status_code == 200
    assert undo(client, **THEIRS).status_code == 409
    assert undo(client, **MINE).status_code == 200
    # What one took back, the other does not bring back unasked.
    again = undo(client, "redo", **THEIRS)
    assert again.json["message"] == "Another window undid this last: record the reading, just now."
    assert undo(client, "redo", **MINE).status_code == 200
    next_one = f"?command={int(again.json['asks']) + 1}"
    assert undo(client, "redo", next_one, **MINE).status_code == 200


def test_other_changes_are_named_by_what_they_are_about(client: FlaskClient) -> None:
    seen = client.get(SHEET).json
    client.patch(SHEET, json={"title": "Ours"}, headers={
        **THEIRS, "If-Match": f'"{seen["version"]}"',
    })  # fmt: skip
    assert "rename the sheet, just now" in undo(client, **MINE).json["message"]
    client.patch(f"{SHEET}/quantities/ferrule", json={"name": "Collar"}, headers={
        **THEIRS, "If-Match": '"1"',
    })  # fmt: skip
    assert "change the quantity Collar, just now" in undo(client, **MINE).json["message"]


@pytest.mark.parametrize(
    ("minutes", "says"),
    [(0.5, "just now"), (1.5, "a minute ago"), (59.5, "59 minutes ago"), (61, "an hour ago"),
     (60 * 23.5, "23 hours ago"), (60 * 25, "a day ago"), (60 * 24 * 9.5, "9 days ago")],
)  # fmt: skip
def test_it_is_said_how_long_ago_it_was(
    app: Flask, client: FlaskClient, minutes: float, says: str
) -> None:
    record(client, "8", 14, **THEIRS)
    at = datetime.now(UTC) - timedelta(minutes=minutes)
    with app.extensions["notebook"].store.writing() as session:
        session.execute(text("UPDATE commands SET at = :at"), {"at": at.isoformat()})
    assert undo(client, **MINE).json["message"].endswith(f", {says}.")
    gone = client.delete(SHEET, headers=MINE)
    assert gone.status_code == (409 if minutes < 60 else 204)


def test_a_sheet_that_another_window_works_at_is_not_thrown_away_unasked(
    client: FlaskClient,
) -> None:
    client.get("/api/now?sheet=spare-parts", headers=MINE)
    client.get("/api/now?sheet=sail-film", headers=THEIRS)
    assert client.delete("/api/sheets/sail-film", headers=MINE).json["message"] == (
        "Another window has this sheet open."
    )
    # Its own window does not count, nor one that went on to another sheet.
    client.get("/api/now?sheet=", headers=THEIRS)
    assert client.delete("/api/sheets/sail-film", headers=MINE).status_code == 204
    record(client, "8", 14, **THEIRS)
    asked = client.delete(SHEET, headers=MINE)
    assert asked.json["message"] == (
        "Another window changed this sheet last: record the reading, just now."
    )
    assert client.get(SHEET).status_code == 200
    assert client.delete(f"{SHEET}?command={asked.json['asks']}", headers=MINE).status_code == 204
    client.post(f"{SHEET}/restore")
    assert client.delete(SHEET).status_code == 204


def test_a_window_that_is_gone_counts_no_more(
    client: FlaskClient, monkeypatch: pytest.MonkeyPatch
) -> None:
    now = [100.0]
    monkeypatch.setattr("metrion.web.windows.time.monotonic", lambda: now[0])
    for hidden, seconds in (("false", 6), ("true", 91)):
        client.get(f"/api/now?sheet=sail-film&hidden={hidden}", headers=THEIRS)
        now[0] += seconds - 2
        assert client.delete("/api/sheets/sail-film", headers=MINE).status_code == 409
        now[0] += 2
        assert client.delete("/api/sheets/sail-film", headers=MINE).status_code == 204
        client.post("/api/sheets/sail-film/restore")


def test_an_odd_name_of_a_window_is_none(client: FlaskClient) -> None:
    for name in ("", "a b", "x" * 65, "ü"):
        record(client, "8", 14, **{"Metrion-Window": name})
        assert undo(client, **MINE).status_code == 200


@pytest.mark.parametrize(
    ("passed", "code", "count"),
    [
        ({"seconds": 59}, "ago-now", None), ({"seconds": 61}, "ago-minutes", 1),
        ({"minutes": 59, "seconds": 50}, "ago-minutes", 59),
        ({"minutes": 60, "seconds": 1}, "ago-hours", 1), ({"hours": 23.9}, "ago-hours", 23),
        ({"hours": 24.1}, "ago-days", 1), ({"seconds": -5}, "ago-now", None),
    ],
)  # fmt: skip
def test_how_long_ago(passed: dict[str, float], code: str, count: int | None) -> None:
    said = ago(datetime.now(UTC) - timedelta(**passed))
    assert (said.code, said.about.get("count")) == (code, count)
