"""What is remembered holds only while nothing it was worked out from has changed."""

from typing import Any

from flask.testing import FlaskClient

from metrion.notebook.evaluation import Memo

SHEET = "/api/sheets/spare-parts"


def results(client: FlaskClient) -> list[tuple[float, float]]:
    """Mean and upper end of each quantity; the notebook lists the same."""
    quantities = client.get(SHEET).json["quantities"]
    sheets = client.get("/api/sheets").json["sheets"]
    listed = next(one for one in sheets if one["id"] == "spare-parts")["results"]
    found = [(one["result"]["mean"], one["result"]["high"]) for one in quantities]
    assert [(one["mean"], one["high"]) for one in listed] == found
    return found


def amended(client: FlaskClient, address: str, version: int, **fields: Any) -> None:
    headers = {"If-Match": str(version)}
    answer = client.patch(f"{SHEET}/{address}", json=fields, headers=headers)
    assert answer.status_code == 200


def test_a_change_of_anything_it_hangs_on_is_seen(client: FlaskClient) -> None:
    begun = results(client)
    amended(client, "zero_checks/z-outside", 1, fine=16)
    zero = results(client)
    assert zero[0] != begun[0]
    amended(client, "instruments/cal-a", 1, maker_limit="0.5")
    tool = results(client)
    amended(client, "quantities/spreader", 1, convention="standard-95")
    own = results(client)
    assert (own[0] != tool[0], own[1]) == (True, tool[1])
    for _ in range(3):
        client.post(f"{SHEET}/undo")
    assert results(client) == begun


def test_equal_figures_of_another_kind_are_another_reading(client: FlaskClient) -> None:
    own = {
        "id": "ours", "name": "Ours", "family": "limit", "reading_limit": "1/2", "estimate": True,
        "zero_look": True, "spread": "none", "combine": "sum", "digits": 1,
    }  # fmt: skip
    client.post("/api/conventions", json=own)
    quantity = {"id": "s", "name": "S", "instrument": "screw-b", "convention": "ours"}
    sheet = "/api/sheets/bridle-line"
    assert client.post(f"{sheet}/quantities", json=quantity).status_code == 201
    reading = {"quantity": "s", "main": "4.5", "fine": 38, "id": "r"}
    client.post(f"{sheet}/readings", json=reading)

    def line() -> str:
        found = next(one for one in client.get(sheet).json["quantities"] if one["id"] == "s")
        return f"{found['readings'][0]['line']} {found['readings'][0]['version']}"

    assert line() == "38 1"
    client.patch(f"{sheet}/readings/r", json={"fine": "38.0"}, headers={"If-Match": "1"})
    assert line() == "38 2"


def test_what_was_asked_for_longest_ago_is_forgotten() -> None:
    made: list[int] = []
    memo: Memo[int, int] = Memo(2)

    def asked(key: int) -> int:
        return memo.get(key, lambda: made.append(key) or key)

    assert [asked(key) for key in (1, 2, 1, 3, 1, 2)] == [1, 2, 1, 3, 1, 2]
    assert made == [1, 2, 3, 2]
