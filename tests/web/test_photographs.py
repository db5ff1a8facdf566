"""Photographs of a reading over HTTP: blind first, and what is said beside it."""

from io import BytesIO

import numpy as np
import pytest
from flask.testing import FlaskClient
from PIL import Image

from metrion.core.bench.catalogue import INSTRUMENTS, Tool
from metrion.core.camera import Flaws
from metrion.formats.logbook.indications import indication_record
from tests.web.photographed import SCREW, Desk, sent, shot_at, thimble_at


def test_it_says_its_line_beside_the_one_that_was_read_and_keeps_nothing(desk: Desk) -> None:
    found = desk.ask(desk.read(main="63", fine=8), shot_at(7.05))
    assert (found["verdict"], found["line"], found["own"]) == ("differs", 7, "8")
    assert found["position"] == pytest.approx(7.05, abs=0.2)
    assert found["sentences"][0].startswith("The picture says line 7 (99 of 100): the lines meet")
    assert [one["figures"] for one in found["takes"]] == [{"main": "63", "fine": 7}]
    assert desk.reading()["photographs"] == []


def test_it_agrees_with_a_line_that_is_the_nearest(desk: Desk) -> None:
    found = desk.ask(desk.read(main="63", fine=7), shot_at(7.05))
    assert (found["verdict"], found["takes"]) == ("agrees", [])


def test_it_agrees_with_either_of_two_lines_that_were_not_told_apart(desk: Desk) -> None:
    assert desk.ask(desk.read(main="63", fine="7-8"), shot_at(7.05))["verdict"] == "agrees"


def test_the_end_of_the_fine_scale_is_its_beginning(desk: Desk) -> None:
    found = desk.ask(desk.read(main="63", fine=20), shot_at(0.02))
    assert (found["verdict"], found["line"]) == ("agrees", 20)
    found = desk.ask(desk.read(main="63", fine=0), shot_at(18.9))
    assert [one["figures"] for one in found["takes"]] == [{"main": "62", "fine": 19}]
    assert any("another main mark" in one for one in found["sentences"])


def test_a_screw_shows_a_part_of_its_lines_and_says_the_one_near_to_what_was_read(
    client: FlaskClient,
) -> None:
    desk = Desk(client, SCREW)
    found = desk.ask(desk.read(main="5.5", fine=38), thimble_at(37.1, upward=False))
    assert (found["verdict"], found["line"], found["laid"]["first"]) == ("differs", 37, 35)
    assert any("5 lines more or less" in one for one in found["sentences"])
    assert found["position"] == pytest.approx(37.1, abs=0.2)


def test_its_position_may_be_taken_where_tenths_are_estimated(client: FlaskClient) -> None:
    ours = {
        "id": "ours", "name": "Ours", "family": "limit", "reading_limit": "1", "zero_look": True,
        "digits": 1, "spread": "none", "combine": "sum", "estimate": True,
    }  # fmt: skip
    assert client.post("/api/conventions", json=ours).status_code == 201
    desk = Desk(client, SCREW, convention="ours")
    found = desk.ask(desk.read(main="5.5", fine="38.2"), thimble_at(37.4))
    assert [one["figures"]["fine"] for one in found["takes"]] == [37, "37.4"]


def test_what_cannot_be_told_is_said_with_what_to_do(desk: Desk) -> None:
    blurred = shot_at(7, Flaws(blur=25.0))
    found = desk.ask(desk.read(main="63", fine=7), blurred)
    assert (found["verdict"], found["line"], found["laid"]) == ("cannot-tell", None, None)
    assert "Go nearer" in found["sentences"][0]


def test_a_slanted_view_is_told_to_be_one(desk: Desk) -> None:
    reading = desk.read(main="63", fine=7)
    straight, slanted = (
        desk.ask(reading, shot_at(7.05, Flaws(tilted=(0, tilt)))) for tilt in (0, 25)
    )
    assert not any("parallax" in one for one in straight["sentences"])
    assert any("parallax" in one for one in slanted["sentences"])


def test_the_drawing_lies_where_the_lines_are(desk: Desk) -> None:
    shot = shot_at(7.05)
    laid = desk.ask(desk.read(main="63", fine=8), shot)["laid"]
    ats = [one["at"] for one in laid["rail"]]
    zero = [np.interp(laid["start"], ats, [one[side] for one in laid["rail"]]) for side in "xy"]
    assert shot.zero is not None
    assert zero == pytest.approx(shot.zero.tolist(), abs=5)
    # Where line 7 meets, it lies on a main line.
    met = laid["start"] + 7 * laid["step"] - (7 - laid["position"]) * laid["drift"]
    assert met == pytest.approx(round(met), abs=1e-6)


def test_what_is_no_picture_is_refused_and_nothing_is_changed(desk: Desk) -> None:
    reading = desk.read(main="63", fine=8)
    refused = desk.keep(reading, shot_at(7.05), status=422, data=b"no picture")
    assert "no picture" in refused["faults"][0]["message"]
    outside = {**sent(shot_at(7.05)), "query_string": {"x1": 9e4, "y1": 9e4, "x2": 9e4, "y2": 9e4}}
    desk.keep(reading, shot_at(7.05), status=422, **outside)
    assert desk.reading()["version"] == 1


@pytest.mark.parametrize("size", [1, 2.4])
def test_an_edge_is_proposed_near_the_one_that_is_there(desk: Desk, size: float) -> None:
    shot = shot_at(7.05)
    picture = Image.fromarray((shot.picture * 255).astype("u1"))
    into = BytesIO()
    picture.resize([round(side * size) for side in picture.size]).save(into, "PNG")
    answer = desk.client.post(desk.url("instruments/cal/edge"), data=into.getvalue())
    ends = np.array([answer.json[name] for name in ("x1", "y1", "x2", "y2")]).reshape(2, 2) / size
    along = (shot.edge[1] - shot.edge[0]) / np.linalg.norm(shot.edge[1] - shot.edge[0])
    across = np.array([-along[1], along[0]])
    assert np.abs((ends - shot.edge) @ across).max() < 12
    assert np.abs((ends - shot.edge) @ along).max() < 200


def test_a_pair_is_asked_by_its_look(client: FlaskClient) -> None:
    desk = Desk(client)
    reading = desk.read(a={"main": "63", "fine": 8}, b={"main": "70", "fine": 7})
    shot = shot_at(7.05)
    for look, verdict in (("a", "differs"), ("b", "agrees")):
        asked = sent(shot)
        asked["query_string"]["look"] = look
        answer = client.post(desk.url(f"readings/{reading}/photograph"), **asked)
        assert answer.json["verdict"] == verdict
    assert desk.ask(reading, shot, status=422)["message"] == "this reading has no such look"


@pytest.mark.parametrize("tool", ["caliper", "screw", "circle"])
def test_the_camera_at_the_bench_photographs_what_stands_there(
    client: FlaskClient, tool: str
) -> None:
    part = "foil" if tool == "circle" else "standoff"
    begun = client.post("/api/bench/sheets", json={"seed": 7, "tool": tool, "part": part}).json
    place = client.post("/api/bench/stand", json={"simulated": f"7 take:{tool}"}).json["places"][0]
    acts = f"7 take:{tool} place:{part}/{place['key']} close lift"
    stands = client.post("/api/bench/stand", json={"simulated": acts}).json
    picture = client.post("/api/bench/photograph", json={"simulated": acts, "shot": 1})
    assert picture.mimetype == "image/jpeg"
    sheet, tool_id = begun["id"], begun["instruments"][0]["id"]
    edge = client.post(f"/api/sheets/{sheet}/instruments/{tool_id}/edge", data=picture.data).json
    instrument = INSTRUMENTS[Tool(tool)]
    least = instrument.least_count
    seen = instrument.scale.nearest(round(stands["position"] / float(least)) * least)
    figures = indication_record(instrument, seen)
    given = {"a": figures, "b": figures} if tool == "circle" else figures
    quantity = begun["quantities"][0]["id"]
    made = client.post(f"/api/sheets/{sheet}/readings", json={"quantity": quantity, **given}).json
    reading = made["quantities"][0]["readings"][0]["id"]
    asked = {**edge, "look": "a"} if tool == "circle" else edge
    found = client.post(
        f"/api/sheets/{sheet}/readings/{reading}/photograph", query_string=asked, data=picture.data
    ).json
    assert found["verdict"] == "agrees", found


def test_what_has_no_fine_scale_is_not_photographed(client: FlaskClient) -> None:
    answer = client.post("/api/bench/photograph", json={"simulated": "7 take:display"})
    assert answer.status_code == 422
