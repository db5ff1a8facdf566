"""Photographs kept with a reading: noted, shown, carried along, taken back."""

from collections.abc import Iterator
from hashlib import sha256
from io import BytesIO
from pathlib import Path
from typing import Any
from zipfile import ZipFile

import pytest
from flask.testing import FlaskClient
from PIL import Image
from pypdf import PdfReader

from metrion.formats.pictures import LARGEST_EVIDENCE
from metrion.store.models import PictureRow
from metrion.web import create_app
from tests.web.photographed import Desk, shot_at


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
    monkeypatch.setattr("metrion.notebook.evidence.MOST_PHOTOGRAPHS", 2)
    reading = desk.read(main="63", fine=8)
    for position in (7.05, 7.3):
        desk.keep(reading, shot_at(position))
    assert "2 photographs" in desk.keep(reading, shot_at(7.6), status=422)["message"]
    assert len(desk.reading()["photographs"]) == 2


def test_a_client_cannot_say_what_a_photograph_said(desk: Desk) -> None:
    answer = desk.client.post(
        desk.url("readings"),
        json={"quantity": desk.quantity, "main": "63", "fine": 8, "photographs": [{"line": "7"}]},
    )
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
