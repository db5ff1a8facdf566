"""Files as a class hands them in: sheets of equal titles, as logbooks, PDFs and ZIPs."""

from __future__ import annotations

import json
from collections.abc import Mapping
from io import BytesIO
from typing import Any
from zipfile import ZipFile

from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from metrion.formats.handed_in import handed_in
from metrion.formats.logbook import parse_logbook
from metrion.report.build import Length
from metrion.report.render.pdf import pdf_file
from metrion.voice import plainly

NAMES = ("Ida", "Jon", "Mia", "Noor", "Ola", "Pia", "Rui", "Siv", "Tom", "Uma")


def handed(number: int, **head: Any) -> dict[str, Any]:
    """A sheet of somebody: its title is that of all others, one reading is its own."""
    document: dict[str, Any] = json.loads(demo_file("spare-parts"))
    document |= {"id": f"sheet-{number}", "title": "Spare parts", "date": "2031-05-02"}
    document["authors"] = f"{NAMES[number % len(NAMES)]} {number}"
    document["measurements"][0]["observations"][0]["note"] = f"hand-in {number}"
    return document | head


def logbook_of(document: Mapping[str, Any]) -> bytes:
    """Its logbook file."""
    return json.dumps(document).encode()


def pdf_of(document: dict[str, Any]) -> bytes:
    """Its report, short, with the logbook inside."""
    results = reduce_logbook(parse_logbook(document))
    return pdf_file(handed_in(results, document, plainly(), length=Length.SHORT))


def zip_of(files: Mapping[str, bytes]) -> bytes:
    """Files packed by somebody."""
    packed = BytesIO()
    with ZipFile(packed, "w") as archive:
        for name, content in files.items():
            archive.writestr(name, content)
    return packed.getvalue()
