"""What Metrion answers about a logbook, in every form it can be asked for."""

from __future__ import annotations

import json
import re
from collections.abc import Iterator
from html.parser import HTMLParser
from io import BytesIO, StringIO
from pathlib import Path
from typing import Any

import openpyxl
from flask.testing import FlaskClient

from metrion.demo import prepare
from metrion.formats.logbook import read_logbook
from metrion.formats.results import results_document
from metrion.web import create_app
from tests.recorded.logbooks import logbook

DATE = "2026-03-14"
_MADE_UP = re.compile(r"\b[0-9a-f]{32}\b")
_NOW = re.compile(r"\b20[0-9]{2}-[0-9]{2}-[0-9]{2}T[0-9:.]+\+00:00")
_FORMS = ("report.md", "report.tex", "tables.tex", "table.csv", "logbook")
_STANDING = (
    "/api/board", "/api/words", "/api/conventions", "/api/settings", "/api/instruments/shelf",
    "/api/tools", "/api/sheets",
)  # fmt: skip


def all_answers(folder: Path, logbooks: int) -> Iterator[tuple[str, dict[str, Any]]]:
    """Name and answers of the demo sheets, of what stands apart, and of made-up logbooks.

    Args:
        folder: an empty one, for the database.
        logbooks: how many.
    """
    prepare(folder)
    app = create_app(folder)
    client = app.test_client()
    for summary in client.get("/api/sheets").get_json()["sheets"]:
        client.patch(f"/api/sheets/{summary['id']}", json={"date": DATE})
        yield summary["id"], _steady(_answers(client, summary["id"]))
    apart = {address: client.get(address).get_json() for address in _STANDING}
    yield "apart", _steady(apart)
    for number in range(logbooks):
        content = json.dumps(logbook(number)).encode()
        taken = client.post("/api/arrivals/take", query_string={"decision": "new"}, data=content)
        assert taken.status_code == 201, (number, taken.get_json())
        yield f"logbook-{number:03}", _steady(_answers(client, taken.get_json()[0]["id"]))
    app.extensions["notebook"].store.close()


def _answers(client: FlaskClient, key: str) -> dict[str, Any]:
    address = f"/api/sheets/{key}"
    sheet = client.get(address).get_json()
    found: dict[str, Any] = {
        form: client.get(f"{address}/{form}").get_data(as_text=True) for form in _FORMS
    }
    found["reduce"] = _reduced(found["logbook"])
    found["report"] = _html_text(client.get(f"{address}/report").get_data(as_text=True))
    found["workbook"] = list(_cells(client.get(f"{address}/workbook.xlsx").data))
    found["looks"] = [_indication(client, address, tool) for tool in sheet["instruments"]]
    for asked in ("working", "others"):
        found[asked] = {
            one["id"]: client.get(f"{address}/quantities/{one['id']}/{asked}").get_json()
            for one in sheet["quantities"]
        }
    found["sheet"] = sheet
    return found


def _steady(found: dict[str, Any]) -> dict[str, Any]:
    """With ids and moments that are made up anew each time told apart only."""
    named: dict[str, str] = {}
    text = _MADE_UP.sub(lambda m: named.setdefault(m[0], f"id-{len(named)}"), json.dumps(found))
    steady: dict[str, Any] = json.loads(_NOW.sub("NOW", text))
    return steady


def _reduced(content: str) -> Any:
    return results_document(read_logbook(content.encode()))


def _indication(client: FlaskClient, address: str, tool: dict[str, Any]) -> list[Any]:
    """The desk at a few entries: typed whole, typed in part, dragged, wrong."""
    main = "12:00" if tool["kind"] == "angular" else "2"
    entries = (
        {"main": main, "fine": "3"}, {"main": main}, {"fine": "2-3"}, {"position": 4.321},
        {"main": "-1", "fine": "7", "reference": "0"}, {"main": "x", "fine": "999"},
    )  # fmt: skip
    return [
        client.post(
            f"{address}/look", json={"seq": 1, "instrument": tool["id"], **entry}
        ).get_json()
        for entry in entries
    ]


def _cells(content: bytes) -> Iterator[str]:
    for sheet in openpyxl.load_workbook(BytesIO(content)):
        for row in sheet.iter_rows():
            for cell in row:
                if cell.value is not None:
                    yield f"{sheet.title}!{cell.coordinate} {cell.value!r}"


class _Text(HTMLParser):
    """The words of a page, a line for each run of text; styles left out."""

    def __init__(self) -> None:
        super().__init__()
        self.out = StringIO()
        self.hidden = False

    def handle_starttag(self, tag: str, attrs: object) -> None:
        self.hidden = tag == "style"

    def handle_endtag(self, tag: str) -> None:
        self.hidden = False

    def handle_data(self, data: str) -> None:
        if not self.hidden and data.strip():
            self.out.write(data.strip() + "\n")


def _html_text(page: str) -> str:
    parser = _Text()
    parser.feed(page)
    return parser.out.getvalue()
