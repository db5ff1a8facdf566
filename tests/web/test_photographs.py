"""Photographs of a reading over HTTP: blind first, said beside it, kept, taken back."""

from collections.abc import Iterator
from hashlib import sha256
from io import BytesIO
from pathlib import Path
from typing import Any
from zipfile import ZipFile

import numpy as np
import pytest
from flask.testing import FlaskClient
from PIL import Image
from pypdf import PdfReader

from metrion.core.bench.drawer import INSTRUMENTS, Tool
from metrion.core.camera import Flaws, Shot, photograph_screw, photograph_vernier
from metrion.formats.logbook.indications import indication_record
from metrion.formats.pictures import LARGEST_EVIDENCE, written_picture
from metrion.store.models import PictureRow
from metrion.web import create_app

TOOL = {
    "id": "cal", "name": "Spar caliper", "kind": "vernier", "unit": "mm", "main_division": "1",
    "fine_divisions": 20, "span": 19, "pattern": "short",
}  # fmt: skip
SCREW = {
    "id": "gauge", "name": "Foil gauge", "kind": "screw", "unit": "mm", "main_division": "0.5",
    "fine_divisions": 50, "pitch": "0.5",
}  # fmt: skip
FLAWS = Flaws(turned=4, tilted=(5, 3), blur=1.0, noise=0.01, thumb=2.0)


SIZE = (1000, 560)


def shot_at(position: float, flaws: Flaws = FLAWS) -> Shot:
    random = np.random.default_rng(3)
    return photograph_vernier(20, 19 / 20, position, 28, flaws, random, SIZE)


def thimble_at(position: float, *, upward: bool = True) -> Shot:
    random = np.random.default_rng(2)
    return photograph_screw(50, position, 20, FLAWS, random, upward=upward, size=SIZE)


def sent(shot: Shot) -> dict[str, Any]:
    """The query and the body of a request about it."""
    (x1, y1), (x2, y2) = shot.edge.tolist()
    query = {"x1": x1, "y1": y1, "x2": x2, "y2": y2, "thimble": "up" if shot.upward else "down"}
    return {"query_string": query, "data": written_picture(shot.picture).content}


class Desk:
    """A sheet with one quantity and what is done to its readings."""

    def __init__(self, client: FlaskClient, tool: dict[str, Any] = TOOL, **more: Any) -> None:
        self.client = client
        quantity = {"name": "Spar", "instrument": tool["id"], **more}
        self.sheet = client.post("/api/sheets", json={"title": "Kite"}).json["id"]
        self.post("instruments", {name: tool[name] for name in tool if name != "pattern"})
        self.quantity = self.post("quantities", quantity)["quantities"][0]["id"]

    def url(self, rest: str) -> str:
        return f"/api/sheets/{self.sheet}/{rest}"

    def post(self, rest: str, body: Any) -> Any:
        answer = self.client.post(self.url(rest), json=body)
        assert answer.status_code == 201, answer.json
        return answer.json

    def read(self, **figures: Any) -> str:
        found = self.post("readings", {"quantity": self.quantity, **figures})
        return str(found["quantities"][0]["readings"][-1]["id"])

    def reading(self, at: int = -1) -> Any:
        found = self.client.get(self.url("")[:-1]).json
        return found["quantities"][0]["readings"][at]

    def ask(self, reading: str, shot: Shot, status: int = 200) -> Any:
        answer = self.client.post(self.url(f"readings/{reading}/photograph"), **sent(shot))
        assert answer.status_code == status, answer.json
        return answer.json

    def keep(self, reading: str, shot: Shot, status: int = 201, **more: Any) -> Any:
        version = next(
            one["version"]
            for one in self.client.get(self.url("")[:-1]).json["quantities"][0]["readings"]
            if one["id"] == reading
        )
        answer = self.client.post(
            self.url(f"readings/{reading}/photographs"),
            headers={"If-Match": f'"{version}"'}, **{**sent(shot), **more},
        )  # fmt: skip
        assert answer.status_code == status, answer.json
        return answer.json


@pytest.fixture
def desk(client: FlaskClient) -> Desk:
    return Desk(client)


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


def test_kept_with_a_reading_it_is_noted_and_shown_as_it_was_read(desk: Desk) -> None:
    reading = desk.read(main="63", fine=8)
    desk.keep(reading, shot_at(7.05))
    [kept] = desk.reading()["photographs"]
    assert kept["verdict"] == "differs"
    assert kept["words"].startswith("Photograph: line 7, the lines meet at 7.0")
    strip = desk.client.get(desk.url(f"pictures/{kept['strip']}"))
    assert (strip.status_code, strip.mimetype) == (200, "image/jpeg")
    assert "immutable" in strip.headers["Cache-Control"]
    again = desk.client.get(desk.url(f"readings/{reading}/photographs/{kept['strip']}")).json
    first = desk.ask(reading, shot_at(7.05))
    assert (again["line"], again["position"]) == (first["line"], first["position"])


def test_taking_its_line_is_a_change_with_history(desk: Desk) -> None:
    reading = desk.read(main="63", fine=8)
    [take] = desk.ask(reading, shot_at(7.05))["takes"]
    desk.keep(reading, shot_at(7.05))
    desk.client.patch(
        desk.url(f"readings/{reading}"), json={**take["figures"], "why": "the photograph"},
        headers={"If-Match": '"2"'},
    )  # fmt: skip
    found = desk.reading()
    assert (found["line"], found["history"][0]["line"]) == ("7", "8")
    assert len(found["photographs"]) == 1


def test_nothing_of_the_camera_and_the_place_is_kept_and_little_of_all(desk: Desk) -> None:
    shot = shot_at(7.05)
    told = Image.Exif()
    told[0x010F], told[0x0132] = "Maker of cameras", "2026:11:02 10:00:00"
    told.get_ifd(0x8825)[1] = "N"
    into = BytesIO()
    Image.fromarray((shot.picture * 255).astype("u1")).save(into, "JPEG", exif=told, quality=95)
    reading = desk.read(main="63", fine=8)
    desk.keep(reading, shot, data=into.getvalue())
    [kept] = desk.reading()["photographs"]
    pictures = [
        desk.client.get(desk.url(f"pictures/{kept[name]}")).data for name in ("strip", "whole")
    ]
    assert sum(map(len, pictures)) <= LARGEST_EVIDENCE
    for content in pictures:
        assert b"Maker" not in content
        assert b"Exif" not in content
        assert dict(Image.open(BytesIO(content)).getexif()) == {}


def test_undo_takes_it_away_and_redo_brings_it_back(desk: Desk) -> None:
    desk.keep(desk.read(main="63", fine=8), shot_at(7.05))
    [kept] = desk.reading()["photographs"]
    undone = desk.client.post(desk.url("undo")).json
    assert undone["quantities"][0]["readings"][0]["photographs"] == []
    assert desk.client.post(desk.url("redo")).status_code == 200
    assert desk.reading()["photographs"] == [kept]
    assert desk.client.get(desk.url(f"pictures/{kept['strip']}")).status_code == 200


def test_it_can_be_taken_away(desk: Desk) -> None:
    reading = desk.read(main="63", fine=8)
    desk.keep(reading, shot_at(7.05))
    [kept] = desk.reading()["photographs"]
    url = desk.url(f"readings/{reading}/photographs/{kept['strip']}")
    assert desk.client.delete(url).status_code == 428
    assert desk.client.delete(url, headers={"If-Match": '"2"'}).status_code == 200
    assert desk.reading()["photographs"] == []
    assert desk.client.delete(url, headers={"If-Match": '"3"'}).status_code == 404


def test_the_same_picture_is_kept_once(desk: Desk) -> None:
    reading = desk.read(main="63", fine=8)
    desk.keep(reading, shot_at(7.05))
    assert "already" in desk.keep(reading, shot_at(7.05), status=422)["message"]


def test_a_sheet_has_so_many_and_no_more(desk: Desk, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("metrion.web.photographs.MOST_PHOTOGRAPHS", 2)
    reading = desk.read(main="63", fine=8)
    for position in (7.05, 7.3):
        desk.keep(reading, shot_at(position))
    assert "2 photographs" in desk.keep(reading, shot_at(7.6), status=422)["message"]
    assert len(desk.reading()["photographs"]) == 2


def test_what_is_no_picture_is_refused_and_nothing_is_changed(desk: Desk) -> None:
    reading = desk.read(main="63", fine=8)
    refused = desk.keep(reading, shot_at(7.05), status=422, data=b"no picture")
    assert "no picture" in refused["faults"][0]["message"]
    outside = {**sent(shot_at(7.05)), "query_string": {"x1": 9e4, "y1": 9e4, "x2": 9e4, "y2": 9e4}}
    desk.keep(reading, shot_at(7.05), status=422, **outside)
    assert desk.reading()["version"] == 1


def test_a_client_cannot_say_what_a_photograph_said(desk: Desk) -> None:
    answer = desk.client.post(
        desk.url("readings"),
        json={"quantity": desk.quantity, "main": "63", "fine": 8, "photographs": [{"line": "7"}]},
    )
    assert answer.status_code == 422


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


@pytest.fixture
def other(tmp_path: Path) -> Iterator[FlaskClient]:
    """Another notebook, empty."""
    made = create_app(tmp_path / "other")
    yield made.test_client()
    made.extensions["notebook"].store.close()


def kept(desk: Desk) -> Any:
    """A reading with a photograph, as the sheet shows it."""
    desk.keep(desk.read(main="63", fine=8), shot_at(7.05))
    return desk.reading()["photographs"][0]


@pytest.mark.parametrize("form", ["archive", "report.pdf", "/api/archive"])
def test_photographs_go_along_beside_the_logbook_and_come_back(
    desk: Desk, other: FlaskClient, form: str
) -> None:
    before = kept(desk)
    file = desk.client.get(form if form.startswith("/") else desk.url(form)).data
    taken = other.post("/api/arrivals/take", data=file).json
    [sheet] = [one["id"] for one in taken if one["title"] == "Kite"]
    quantity = other.get(f"/api/sheets/{sheet}").json["quantities"][0]
    assert quantity["photographs"] == 1
    assert quantity["readings"][0]["photographs"] == [before]
    strip = other.get(f"/api/sheets/{sheet}/pictures/{before['strip']}")
    assert sha256(strip.data).hexdigest() == before["strip"]


def test_the_logbook_itself_refers_to_them_and_holds_none(desk: Desk) -> None:
    before = kept(desk)
    logbook = desk.client.get(desk.url("logbook"))
    [photograph] = logbook.json["measurements"][0]["observations"][0]["photographs"]
    assert photograph["strip"] == before["strip"]
    assert photograph["own"] == "8"
    assert len(logbook.data) < 4_000


def test_one_that_is_not_here_is_said_to_be_missing(desk: Desk, other: FlaskClient) -> None:
    before = kept(desk)
    [taken] = other.post("/api/arrivals/take", data=desk.client.get(desk.url("logbook")).data).json
    sheet = other.get(f"/api/sheets/{taken['id']}").json
    reading = sheet["quantities"][0]["readings"][0]
    url = f"/api/sheets/{taken['id']}/readings/{reading['id']}/photographs/{before['strip']}"
    assert other.get(url).status_code == 404
    assert reading["photographs"] == [before]


def test_a_picture_that_is_another_than_its_name_says_is_refused(
    desk: Desk, other: FlaskClient
) -> None:
    before = kept(desk)
    packed = BytesIO(desk.client.get(desk.url("archive")).data)
    changed = BytesIO()
    with ZipFile(packed) as source, ZipFile(changed, "w") as target:
        for name in source.namelist():
            content = source.read(name)
            target.writestr(name, content + b"x" if before["strip"] in name else content)
    answer = other.post("/api/arrivals/take", data=changed.getvalue())
    assert answer.status_code == 422
    assert "not the one that its name says" in answer.json["message"]


def test_the_report_shows_them_if_that_is_wanted_and_always_says_what_they_said(
    desk: Desk,
) -> None:
    kept(desk)
    without = desk.client.get(desk.url("report")).text
    shown = desk.client.get(desk.url("report?photographs=true")).text
    assert "data:image/jpeg" not in without
    assert "line 7, the lines meet at 7.0" in without
    assert shown.count("data:image/jpeg") == 1
    pdf = PdfReader(BytesIO(desk.client.get(desk.url("report.pdf?photographs=true")).data))
    assert sum(len(page.images) for page in pdf.pages) == 1


def test_pictures_in_the_trash_come_back_and_are_gone_once_it_is_emptied(desk: Desk) -> None:
    strip = desk.url(f"pictures/{kept(desk)['strip']}")
    sheet = desk.url("")[:-1]
    assert desk.client.delete(sheet).status_code == 204
    assert desk.client.get(strip).status_code == 404
    assert desk.client.post(f"{sheet}/restore").status_code == 200
    assert desk.client.get(strip).status_code == 200
    desk.client.delete(sheet)
    assert desk.client.delete("/api/trash").status_code == 200
    with desk.client.application.extensions["notebook"].store.reading() as session:
        assert session.query(PictureRow).count() == 0


def test_of_what_was_taken_away_the_latest_are_kept_for_undo(
    desk: Desk, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("metrion.store.pictures._MOST_UNUSED", 2)
    reading = desk.read(main="63", fine=8)
    for position in (7.05, 7.2, 7.4):
        desk.keep(reading, shot_at(position))
        desk.client.post(desk.url("undo"))
    desk.keep(reading, shot_at(7.6))
    with desk.client.application.extensions["notebook"].store.reading() as session:
        assert session.query(PictureRow).count() == 4
