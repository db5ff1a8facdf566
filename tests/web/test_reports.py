"""Reports and tables through the API."""

import csv
from io import BytesIO, StringIO

import pytest
from flask.testing import FlaskClient
from openpyxl import load_workbook
from pypdf import PdfReader

from metrion.formats.logbook import read_logbook

SHEET = "/api/sheets/spare-parts"


def test_the_head_of_a_report_is_kept_with_the_sheet(client: FlaskClient) -> None:
    head = {"authors": "A. Segel", "aim": "Find <the> size.", "date": "2 May"}
    sheet = client.patch(SHEET, json=head).json
    assert {name: sheet[name] for name in head} == head
    assert sheet["title"] == "Two-line kite, spare parts"
    page = client.get(f"{SHEET}/report").text
    assert "A. Segel" in page
    assert "Find &lt;the&gt; size." in page
    assert client.get(f"{SHEET}/logbook").json["aim"] == "Find <the> size."
    assert client.patch(SHEET, json={"aim": ""}).json["aim"] == ""


@pytest.mark.parametrize(
    ("path", "kind", "begins"),
    [
        ("report", "text/html", b"<!doctype html>"),
        ("report.pdf", "application/pdf", b"%PDF-"),
        ("report.pdf?paper=us-letter", "application/pdf", b"%PDF-"),
        ("report.md", "text/markdown", b"# Two-line kite"),
        ("report.tex", "application/x-tex", b"\\documentclass"),
        ("tables.tex", "application/x-tex", b"% Needs"),
        ("table.csv", "text/csv", b"measurement,name,"),
        ("workbook.xlsx", "application/vnd.openxmlformats", b"PK"),
        ("workbook.ods", "application/vnd.oasis.opendocument.spreadsheet", b"PK"),
    ],
)
def test_every_form_is_sent_with_its_kind(
    client: FlaskClient, path: str, kind: str, begins: bytes
) -> None:
    answer = client.get(f"{SHEET}/{path}")
    assert answer.status_code == 200
    assert answer.mimetype.startswith(kind)
    assert answer.data.startswith(begins)
    if path != "report":
        assert "two-line-kite-spare-parts." in answer.headers["Content-Disposition"]


def test_one_quantity_alone_is_reported(client: FlaskClient) -> None:
    first, second = (quantity["id"] for quantity in client.get(SHEET).json["quantities"])
    page = client.get(f"{SHEET}/report?quantity={second}").text
    assert "Ferrule, outside" in page
    assert "Lower spreader" not in page
    rows = csv.DictReader(StringIO(client.get(f"{SHEET}/table.csv?quantity={first}").text))
    assert {row["measurement"] for row in rows} == {first}
    book = load_workbook(BytesIO(client.get(f"{SHEET}/workbook.xlsx?quantity={first}").data))
    assert book.sheetnames == ["Results", "Lower spreader, outside"]


@pytest.mark.parametrize("path", ["report", "report.pdf", "table.csv", "workbook.xlsx"])
def test_what_is_not_here_has_no_report(client: FlaskClient, path: str) -> None:
    assert client.get(f"{SHEET}/{path}?quantity=nothing").status_code == 404
    assert client.get(f"/api/sheets/nowhere/{path}").status_code == 404


def test_the_logbook_of_one_quantity_holds_all_it_needs_and_no_more(client: FlaskClient) -> None:
    content = client.get(f"{SHEET}/logbook?quantity=ferrule").data
    logbook = read_logbook(content)
    assert [one.id for one in logbook.measurements] == ["ferrule"]
    assert [one.id for one in logbook.zero_checks] == ["z-outside"]
    colours = client.get("/api/sheets/foil-colours/logbook?quantity=red").json
    assert (colours["derived"], colours["aim"] != "") == ([], True)
    assert client.get(f"{SHEET}/logbook?quantity=nothing").status_code == 404


def test_the_whole_notebook_is_one_pdf(client: FlaskClient) -> None:
    one, all_of_them = (
        client.get(path).data for path in (f"{SHEET}/report.pdf", "/api/notebook.pdf")
    )
    assert all_of_them.startswith(b"%PDF-")
    assert len(all_of_them) > 2 * len(one)
    for sheet in client.get("/api/sheets").json["sheets"]:
        client.delete(f"/api/sheets/{sheet['id']}")
    assert client.get("/api/notebook.pdf").data.startswith(b"%PDF-")


def test_a_paper_that_is_not_known_is_refused(client: FlaskClient) -> None:
    assert client.get(f"{SHEET}/report.pdf?paper=a3").status_code == 422


def test_the_whole_notebook_can_be_short(client: FlaskClient) -> None:
    full, short = (
        PdfReader(BytesIO(client.get(f"/api/notebook.pdf?length={length}").data))
        for length in ("full", "short")
    )
    assert len(short.pages) < len(full.pages)
    assert set(short.attachments) == set(full.attachments) != set()
    said = "".join(page.extract_text() for page in short.pages)
    for sheet in client.get("/api/sheets").json["sheets"]:
        for one in sheet["results"]:
            assert one["name"] in said
    assert client.get("/api/notebook.pdf?length=longer").status_code == 422
