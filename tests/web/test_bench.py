"""The simulated bench over HTTP, and the door for devices."""

from typing import Any

import pytest
from flask.testing import FlaskClient

from metrion.core.bench.catalogue import INSTRUMENTS, Tool
from metrion.core.scales import Indication

READY = "wipe", "place:standoff/middle", "close", "lock", "lift"


def begun(client: FlaskClient, tool: str = "screw", part: str = "standoff") -> tuple[str, str]:
    answer = client.post("/api/bench/sheets", json={"seed": 7, "tool": tool, "part": part})
    assert answer.status_code == 201, answer.json
    return answer.json["id"], answer.json["quantities"][0]["id"]


def standing(client: FlaskClient, *acts: str, seed: int = 7) -> Any:
    answer = client.post("/api/bench/stand", json={"simulated": " ".join([str(seed), *acts])})
    assert answer.status_code == 200, answer.json
    return answer.json


def nearest(tool: Tool, position: float) -> Indication:
    least = INSTRUMENTS[tool].least_count
    return INSTRUMENTS[tool].scale.nearest(round(position / float(least)) * least)


def read(client: FlaskClient, sheet: str, quantity: str, *acts: str) -> Any:
    stands = standing(client, *acts)
    look = nearest(Tool.SCREW, stands["position"])
    given = {"main": str(float(look.main)), "fine": look.line, "simulated": stands["simulated"]}
    answer = client.post(f"/api/sheets/{sheet}/readings", json={"quantity": quantity, **given})
    assert answer.status_code == 201, answer.json
    return answer.json


def test_the_drawer_shows_what_goes_together_and_no_size(client: FlaskClient) -> None:
    lies = client.get("/api/bench").json
    assert [tool["key"] for tool in lies["tools"]] == ["caliper", "screw", "circle", "display"]
    assert lies["fitting"][2] == ["foil"]
    assert all(tool["name"] and tool["about"] for tool in lies["tools"] + lies["parts"])


def test_a_new_bench_is_a_sheet_marked_simulated(client: FlaskClient) -> None:
    sheet, quantity = begun(client, "screw", "film")
    found = client.get(f"/api/sheets/{sheet}").json
    assert found["simulated"] == "7"
    assert found["instruments"][0]["name"] == "Screw gauge (simulated)"
    assert (found["quantities"][0]["simulated"], found["quantities"][0]["items"]) == ("film", 16)
    again = client.post(
        f"/api/bench/sheets/{sheet}/quantities", json={"seed": 7, "tool": "screw", "part": "nock"}
    ).json
    assert [one["simulated"] for one in again["quantities"]] == ["nock"]
    assert len(again["order"]["quantities"]) == 2
    assert len(again["order"]["instruments"]) == 1
    logbook = client.get(f"/api/sheets/{sheet}/logbook").json
    assert logbook["simulated"] == "7"
    assert logbook["measurements"][0]["id"] == quantity


def test_a_bench_does_what_its_acts_say(client: FlaskClient) -> None:
    wide = standing(client, "take:screw")
    assert "place" in wide["may"]
    assert "lock" in wide["may"]
    assert "read" not in wide["may"]
    ready = standing(client, "take:screw", *READY)
    assert (ready["touching"], ready["locked"], ready["lifted"], ready["wiped"]) == (True,) * 4
    assert ready["part"] == "standoff"
    assert ready["item"] == pytest.approx(ready["position"], abs=0.2)
    assert ready["seen"][0] == "The faces touch the part."
    assert ready["seen"][1].startswith("The edge of the thimble has passed")
    forced = standing(client, "take:screw", "wipe", "place:standoff/middle", "force")
    assert "was forced" in forced["remark"]
    assert "never force it" in forced["care"][0]


@pytest.mark.parametrize(
    ("acts", "heard"),
    [
        ("take:caliper", "The faces are open, with nothing between."),
        ("take:caliper close", "The bare faces are closed."),
        ("take:caliper place:nock/end", "A part lies loose between the open faces."),
        ("take:circle", "The telescope looks at no line."),
        ("take:circle place:foil/left", "The line stands to the right of the cross-hair."),
        (
            "take:circle place:foil/left move:12000",
            "The line stands to the left of the cross-hair.",
        ),
    ],
)
def test_how_a_bench_stands_is_heard(client: FlaskClient, acts: str, heard: str) -> None:
    assert standing(client, *acts.split())["seen"][0] == heard


def test_what_does_not_go_is_said_and_nothing_is_lost(client: FlaskClient) -> None:
    for acts, why in {
        "7 take:screw read": "There is nothing to be read yet",
        "7 take:screw lock open": "take the lock off",
        "7 fly": "Nothing at this bench can be done that is called fly",
    }.items():
        answer = client.post("/api/bench/stand", json={"simulated": acts})
        assert answer.status_code == 422
        assert why in answer.json["message"]
    answer = client.post("/api/bench/sheets", json={"seed": 1, "tool": "screw", "part": "foil"})
    assert answer.status_code == 422


def test_a_result_is_revealed_beside_the_truth(client: FlaskClient) -> None:
    sheet, quantity = begun(client)
    path = f"/api/bench/sheets/{sheet}/quantities/{quantity}/reveal"
    assert client.post(path).status_code == 422
    acts = ["take:screw", *READY, "read"]
    read(client, sheet, quantity, *acts)
    for place in ("end", "far-end"):
        acts += [
            "unlock",
            "open",
            f"place:standoff/{place}",
            "turn",
            "close",
            "lock",
            "lift",
            "read",
        ]
        read(client, sheet, quantity, *acts)
    found = client.post(path).json
    assert found["truth"].endswith(" mm")
    assert found["costs"][0]["cause"] == "zero"
    assert not found["held"]
    assert "does not hold the truth" in found["sentence"]


def test_a_reading_typed_without_the_bench_is_not_revealed(client: FlaskClient) -> None:
    sheet, quantity = begun(client)
    reading = {"quantity": quantity, "main": "2.5", "fine": 3}
    client.post(f"/api/sheets/{sheet}/readings", json=reading)
    answer = client.post(f"/api/bench/sheets/{sheet}/quantities/{quantity}/reveal")
    assert (answer.status_code, "nothing to reveal" in answer.json["message"]) == (422, True)


def leave(client: FlaskClient, text: str, **where: str) -> Any:
    return client.post("/api/readings", data=text, query_string=where)


def shows(client: FlaskClient, sheet: str, quantity: str, marked: str) -> int:
    """A window says what it shows; a browser says from where that comes."""
    where = {"sheet": sheet, "at": f"/sheets/{sheet}/quantities/{quantity}"}
    headers = {"Sec-Fetch-Site": marked} if marked else {}
    return client.get("/api/now", query_string=where, headers=headers).status_code


def test_a_device_in_a_session_leaves_readings_with_what_that_session_shows(
    client: FlaskClient,
) -> None:
    sheet, quantity = begun(client, "display", "nock")
    other, further = begun(client, "display", "standoff")
    one, two = client.application.test_client(), client.application.test_client()
    assert shows(one, sheet, quantity, "same-origin") == 200
    assert shows(two, other, further, "same-origin") == 200
    for device, at in ((one, sheet), (two, other), (client, other)):
        answer = leave(device, "9.41\n")
        assert (answer.status_code, answer.json["id"]) == (201, at)


def test_a_device_leaves_readings_with_the_quantity_that_is_open(client: FlaskClient) -> None:
    sheet, quantity = begun(client, "display", "nock")
    assert leave(client, "9.41\n").status_code == 409
    # Who says from where it comes, but not that it is our page, does not say what is open.
    for marked, status in (("", 200), ("none", 200), ("cross-site", 403), ("same-site", 403)):
        assert shows(client, sheet, quantity, marked) == status
        assert leave(client, "9.41\n").status_code == 409
    assert shows(client, sheet, quantity, "same-origin") == 200
    answer = leave(client, "9.41\n\n9,43 mm\r\n0.944 cm\n")
    assert answer.status_code == 201
    read = answer.json["quantities"][0]["readings"]
    assert [one["read"] for one in read] == ["9.41", "9.43", "9.44"]
    assert client.post(f"/api/sheets/{sheet}/undo").json["quantities"][0]["readings"] == []


def test_lines_that_cannot_be_read_are_told_and_none_is_taken(client: FlaskClient) -> None:
    sheet, quantity = begun(client, "display", "nock")
    answer = leave(client, "9.41\nerror\n9.4x", sheet=sheet, quantity=quantity)
    assert answer.status_code == 422
    assert [fault["pointer"] for fault in answer.json["faults"]] == ["/1", "/2"]
    assert client.get(f"/api/sheets/{sheet}").json["quantities"][0]["readings"] == []
    for text in ("", "\n\n", "1\n" * 1001, "\xff\xfe"):
        assert leave(client, text, sheet=sheet, quantity=quantity).status_code == 422


def test_a_fine_scale_takes_mark_and_line_and_a_circle_takes_none(client: FlaskClient) -> None:
    sheet, quantity = begun(client, "caliper", "nock")
    # Until the tool says which it is, a line that could be two is refused, with both.
    answer = leave(client, "9 8\n9 13\n9 9", sheet=sheet, quantity=quantity)
    assert (answer.status_code, [one["pointer"] for one in answer.json["faults"]]) == (
        422, ["/0", "/2"],
    )  # fmt: skip
    assert "9.40 mm" in answer.json["faults"][0]["message"]
    typed = {"main": "9", "fine": "1", "fine_as": "line"}
    told = {"quantity": quantity, "typed": typed}
    answer = client.post(f"/api/sheets/{sheet}/readings", json=told)
    assert answer.json["instruments"][0]["fine_as"] == "line"
    # It is kept with the tool in one step with the reading, and taken back with it.
    undone = client.post(f"/api/sheets/{sheet}/undo").json
    assert undone["instruments"][0]["fine_as"] is None
    assert client.post(f"/api/sheets/{sheet}/readings", json=told).status_code == 201
    assert client.post(f"/api/sheets/{sheet}/undo").status_code == 200
    client.post(f"/api/sheets/{sheet}/redo")
    answer = leave(client, "9 8\n9 9", sheet=sheet, quantity=quantity)
    assert [one["read"] for one in answer.json["quantities"][0]["readings"]] == ["9.40", "9.45"]
    sheet, quantity = begun(client, "circle", "foil")
    answer = leave(client, "9 8", sheet=sheet, quantity=quantity)
    assert (answer.status_code, "in pairs" in answer.json["message"]) == (422, True)
