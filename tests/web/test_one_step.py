"""What one reading costs the database, and what is kept with it in the same step."""

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from flask import Flask
from flask.testing import FlaskClient
from sqlalchemy import Engine, event

from metrion.notebook import Notebook
from metrion.store import Store

READING = {"quantity": "spreader", "typed": {"main": "6", "fine": "3"}}


@contextmanager
def counted() -> Iterator[dict[str, int]]:
    """How many statements and transactions there are meanwhile."""
    found = {"statements": 0, "transactions": 0}

    def said(*_: Any) -> None:
        found["statements"] += 1

    def begun(*_: Any) -> None:
        found["transactions"] += 1

    event.listen(Engine, "before_cursor_execute", said)
    event.listen(Engine, "begin", begun)
    try:
        yield found
    finally:
        event.remove(Engine, "before_cursor_execute", said)
        event.remove(Engine, "begin", begun)


def test_a_reading_is_one_look_and_one_write(client: FlaskClient) -> None:
    client.get("/api/sheets/spare-parts")
    headers = {"Idempotency-Key": "one"}
    with counted() as cost:
        answer = client.post("/api/sheets/spare-parts/readings", json=READING, headers=headers)
    assert answer.status_code == 201
    assert cost["transactions"] == 2
    assert cost["statements"] <= 12


def test_what_is_answered_is_kept_with_ones_own_tool_too(client: FlaskClient) -> None:
    [own] = [one for one in client.get("/api/tools").json if one["id"] == "cal-a"]
    told = {name: value for name, value in own["record"].items() if name != "fine_as"}
    described = client.patch(
        "/api/tools/cal-a", json=told, headers={"If-Match": f'"{own["version"]}"'}
    )
    assert "fine_as" not in described.json["record"]
    typed = {"main": "6", "fine": "3", "fine_as": "line"}
    sheet = client.get("/api/sheets/spare-parts").json
    [tool] = [one for one in sheet["instruments"] if one["id"] == "cal-a"]
    cleared = client.patch(
        "/api/sheets/spare-parts/instruments/cal-a",
        json={"fine_as": None}, headers={"If-Match": f'"{tool["version"]}"'},
    )  # fmt: skip
    assert cleared.status_code == 200
    body = {"quantity": "spreader", "typed": typed}
    assert client.post("/api/sheets/spare-parts/readings", json=body).status_code == 201
    [mine] = [one for one in client.get("/api/tools").json if one["id"] == "cal-a"]
    assert mine["record"]["fine_as"] == "line"


def test_two_notebooks_stand_beside_each_other(app: Flask, tmp_path: Any) -> None:
    """Nothing of a notebook is global: another one has other sheets and settings."""
    other = Notebook(Store(tmp_path / "other"))
    other.change_settings({"decimal_sign": "comma"})
    first: Notebook = app.extensions["notebook"]
    assert first.settings().chosen["decimal_sign"] == "point"
    assert other.settings().chosen["decimal_sign"] == "comma"
    other.store.close()
