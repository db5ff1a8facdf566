"""Tools and descriptions through the API."""

from typing import Any

from flask.testing import FlaskClient

SHEET = "/api/sheets/spare-parts"


def if_match(entry: Any) -> dict[str, str]:
    return {"If-Match": f'"{entry["version"]}"'}


CALIPER = {"kind": "vernier", "unit": "mm", "main_division": "1", "fine_divisions": 10, "span": 9}
SCREW = {"kind": "screw", "unit": "mm", "main_division": "1", "pitch": "0.5", "fine_divisions": 50}


def test_a_description_is_worked_out_before_it_is_kept(client: FlaskClient) -> None:
    found = client.post("/api/instruments/describe", json={**CALIPER, "span": 19}).json
    assert (found["least_count_text"], found["pattern"]) == ("0.1 mm", "direct")
    assert found["slide"][3] == {
        "position": 0.3, "lines": [3], "words": "line 3 meets: the gap is 3 × 0.1 = 0.3 mm",
    }  # fmt: skip
    assert "extended" in found["notes"][0]["text"]


def test_a_useless_scale_is_drawn_and_said_to_be_useless_but_not_kept(client: FlaskClient) -> None:
    useless = {**CALIPER, "span": 20}
    found = client.post("/api/instruments/describe", json=useless).json
    assert found["useless"] is True
    assert found["notes"][0]["warning"] is True
    refused = client.post("/api/tools", json={**useless, "name": "none"})
    assert refused.status_code == 422
    assert refused.json["faults"][0]["pointer"] == "/instruments/0/span"


def test_a_description_that_makes_no_scale_is_refused(client: FlaskClient) -> None:
    answer = client.post("/api/instruments/describe", json={**SCREW, "main_division": "0.3"})
    assert answer.status_code == 422
    assert answer.json["faults"][0]["pointer"] == "/main_division"


def test_a_described_tool_can_be_read(client: FlaskClient) -> None:
    body = {"seq": 1, "record": SCREW, "main": "4", "fine": "38", "second_turn": True}
    assert client.post("/api/instruments/look", json=body).json["read"] == "4.88"
    body = {"seq": 1, "record": SCREW, "position": 4.881}
    dragged = client.post("/api/instruments/look", json=body).json
    assert (dragged["main"]["value"], dragged["second_turn"]) == ("4", True)


def test_tools_are_kept_changed_and_removed(client: FlaskClient) -> None:
    kept = client.post("/api/tools", json={**CALIPER, "id": "mine", "name": "Mine"})
    assert kept.status_code == 201
    assert client.post("/api/tools", json={**CALIPER, "id": "mine"}).status_code == 409
    changed = client.patch(
        "/api/tools/mine", json={**CALIPER, "name": "Mine", "span": 19}, headers=if_match(kept.json)
    )
    assert changed.json["record"]["span"] == 19
    stale = client.delete("/api/tools/mine", headers=if_match(kept.json))
    assert stale.status_code == 412
    gone = client.delete("/api/tools/mine", headers=if_match(changed.json))
    assert gone.status_code == 204
    assert "mine" not in [tool["id"] for tool in client.get("/api/tools").json]


def test_the_demo_has_tools_of_every_kind(client: FlaskClient) -> None:
    tools = client.get("/api/tools").json
    assert {tool["kind"] for tool in tools} == {"vernier", "screw", "angular"}
    assert {tool["pattern"] for tool in tools} >= {"direct", "scrambled", "screw"}


def test_the_pitch_worksheet(client: FlaskClient) -> None:
    trials = [
        {"turns": 10, "before": "2", "after": "7,0"},
        {"turns": 9, "before": "0", "after": "5"},
    ]
    body = {"unit": "mm", "fine_divisions": 50, "trials": trials}
    found = client.post("/api/instruments/pitch", json=body).json
    assert (found["usual"], found["least_count"]) == ("0.5", "0.01")
    assert found["warnings"] == [
        "Trial 2: 5 mm is 10 turns of 0.5 mm, not 9. Was a turn miscounted?"
    ]
    trials[0]["before"] = "two"
    assert client.post("/api/instruments/pitch", json=body).status_code == 422
