"""A report as PDF with text that can be selected, a title, and tags; set by Typst.

The report goes to it as data, so that what the student wrote is never markup. The same report gives
the same bytes.
"""

from __future__ import annotations

import dataclasses
import json
import re
from collections.abc import Iterable
from dataclasses import replace
from importlib.resources import files
from pathlib import Path
from tempfile import TemporaryDirectory

import typst

from metrion.report.blocks import Carried, Report
from metrion.report.paper import Paper

_OTHER_SCRIPTS = re.compile("[\u0590-\u1dff\u2c00-\uffff\U00010000-\U0010ffff]")
"""Beyond Latin, Greek, Cyrillic and signs."""


def pdf_file(report: Report, paper: Paper = Paper.A4) -> bytes:
    """The whole report, page by page."""
    return pdf_of_many(report.title, [report], paper)


def pdf_of_many(title: str, reports: Iterable[Report], paper: Paper = Paper.A4) -> bytes:
    """Several reports in one file, each on a page of its own."""
    listed = list(reports)
    carried = _by_name(one for report in listed for one in report.carries)
    language = listed[0].language if listed else "en"
    data = {
        "title": title,
        "language": language.partition("-")[0],
        "reports": _data([replace(report, carries=()) for report in listed]),
        "carried": [_data(name) for name in carried],
    }
    texts = json.dumps(data, ensure_ascii=False)
    with TemporaryDirectory() as name:
        folder = Path(name)
        for at, content in enumerate(carried.values()):
            held = content.encode() if isinstance(content, str) else content
            (folder / f"carried-{at}").write_bytes(held)
        main = folder / "report.typ"
        main.write_bytes((files("metrion.report.render") / "report.typ").read_bytes())
        return typst.compile(
            main,
            root=folder,
            # The fonts of the machine are for letters that ours have not: names in other scripts.
            ignore_system_fonts=_OTHER_SCRIPTS.search(texts) is None,
            sys_inputs={"data": texts, "paper": str(paper)},
            timestamp=0,
        )


def _by_name(files: Iterable[Carried]) -> dict[str, str | bytes]:
    """The contents of files by their names; of two alike the later has a number."""
    found: dict[str, str | bytes] = {}
    for one in files:
        name, count = one.name, 1
        # A picture goes by its checksum: of one name there is but one.
        while name in found and isinstance(one.content, str):
            count += 1
            name = f"{count}-{one.name}"
        found[name] = one.content
    return found


def _data(value: object) -> object:
    """What a report is made of as JSON: each part with its sort, its texts without odd signs."""
    if isinstance(value, str):
        return "".join(sign for sign in value if sign.isprintable())
    if isinstance(value, list | tuple):
        return [_data(each) for each in value]
    if dataclasses.is_dataclass(value):
        named = {one.name: _data(getattr(value, one.name)) for one in dataclasses.fields(value)}
        return {"sort": type(value).__name__, **named}
    return value
