"""A report's PDF carries its logbook, and comes in again as what it was."""

from __future__ import annotations

import json
from io import BytesIO
from pathlib import Path

import pytest
from click.testing import CliRunner
from pypdf import PdfWriter

from metrion.cli import main
from metrion.core.json import Json
from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from metrion.formats import attachments
from metrion.formats.attachments import is_pdf, read_carried
from metrion.formats.faults import Refused
from metrion.formats.handed_in import handed_in
from metrion.formats.logbook import parse_logbook
from metrion.formats.state import state_of
from metrion.formats.strict_json import read_json
from metrion.report.blocks import Report
from metrion.report.render.html import html_page
from metrion.report.render.pdf import pdf_file, pdf_of_many
from metrion.voice import plainly

SHEETS = ("spare-parts", "foil-colours", "sail-film", "wing-tip-nocks")


def document_of(name: str) -> dict[str, Json]:
    document = read_json(demo_file(name))
    assert isinstance(document, dict)
    return document


def report_of(document: dict[str, Json]) -> Report:
    return handed_in(reduce_logbook(parse_logbook(document)), document, plainly())


@pytest.mark.parametrize("name", SHEETS)
def test_what_comes_out_of_a_pdf_is_what_went_in(name: str) -> None:
    document = document_of(name)
    [filed] = read_carried(pdf_file(report_of(document)))
    assert read_json(filed.content) == document
    assert filed.file.endswith(".metrion.json")


def test_odd_characters_come_through() -> None:
    document = document_of("sail-film")
    document["title"] = "Segel · “½″” \\u202e\t 風"
    document["aim"] = "one\ntwo"
    [filed] = read_carried(pdf_file(report_of(document)))
    assert read_json(filed.content) == document


def test_a_pdf_of_many_carries_each_under_a_name_of_its_own() -> None:
    documents = [document_of("sail-film"), document_of("sail-film"), document_of("foil-colours")]
    found = read_carried(pdf_of_many("All", [report_of(one) for one in documents]))
    assert len({one.file for one in found}) == 3
    by_file = sorted((read_json(one.content) for one in found), key=lambda one: str(one["title"]))
    assert by_file == sorted(documents, key=lambda one: str(one["title"]))


def test_the_same_sheet_gives_the_same_bytes() -> None:
    document = document_of("spare-parts")
    assert pdf_file(report_of(document)) == pdf_file(report_of(document))


def test_a_report_says_which_state_it_shows() -> None:
    document = document_of("sail-film")
    state = state_of(document)
    assert state in html_page(report_of(document))
    turned = dict(reversed(document.items()))
    assert state_of(turned) == state_of({**document, "derived": []}) == state
    assert state_of({**document, "title": "Other"}) != state


def blank() -> PdfWriter:
    writer = PdfWriter()
    writer.add_blank_page(100, 100)
    return writer


def written(writer: PdfWriter) -> bytes:
    content = BytesIO()
    writer.write(content)
    return content.getvalue()


def refused(content: bytes) -> str:
    with pytest.raises(Refused) as found:
        read_carried(content)
    return found.value.faults[0].says.code


def test_a_pdf_without_a_logbook_says_so() -> None:
    assert refused(written(blank())) == "pdf-carries-none"
    other = blank()
    other.add_attachment("photo.png", b"nothing of ours")
    assert refused(written(other)) == "pdf-carries-none"


@pytest.mark.parametrize("length", [9, 60, 400, 4_000])
def test_a_damaged_pdf_is_refused(length: int) -> None:
    whole = pdf_file(report_of(document_of("sail-film")))
    assert is_pdf(whole[:length])
    assert refused(whole[:length]).startswith("pdf-")


def test_what_it_carries_has_bounds(monkeypatch: pytest.MonkeyPatch) -> None:
    many = blank()
    for at in range(4):
        many.add_attachment(f"{at}.metrion.json", b"{}" * 10)
    content = written(many)
    assert len(read_carried(content)) == 4
    monkeypatch.setattr(attachments, "_LARGEST", 50)
    assert refused(content) == "pdf-too-large"
    monkeypatch.setattr(attachments, "_MOST_FILES", 3)
    assert refused(content) in ("pdf-too-large", "pdf-of-too-many")
    monkeypatch.setattr(attachments, "LARGEST_PACKED", 10)
    assert refused(content) == "file-too-large"


def test_the_commands_hand_in_and_take_in(tmp_path: Path) -> None:
    file, pdf, data = tmp_path / "a.metrion.json", tmp_path / "a.pdf", tmp_path / "data"
    file.write_bytes(demo_file("sail-film"))
    runner = CliRunner()
    done = runner.invoke(main, ["report", str(file), "--pdf", "--to", str(pdf)])
    assert done.exit_code == 0, done.output
    done = runner.invoke(main, ["import", str(pdf), "--data", str(data)])
    assert done.exit_code == 0, done.output
    done = runner.invoke(main, ["export", "--data", str(data)])
    assert state_of(json.loads(done.stdout)) == state_of(document_of("sail-film"))
