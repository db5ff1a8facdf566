"""Every form of a report: made in time, with the same figures, compiled, and recalculated.

LaTeX and the spreadsheet are Debian's packages, which `make hold` installs
(`scripts/need_papers.sh`).

python -m tests.hold.papers 50
"""

from __future__ import annotations

import csv
import json
import subprocess
import sys
import time
from collections.abc import Iterator
from copy import deepcopy
from dataclasses import dataclass, field
from fractions import Fraction
from functools import partial
from html import unescape
from io import BytesIO
from pathlib import Path
from re import sub
from tempfile import TemporaryDirectory
from typing import Any

from openpyxl import Workbook
from pypdf import PdfReader

from metrion.core.exact.angles import FULL_CIRCLE, angle_text, parse_angle
from metrion.core.exact.numbers import to_text
from metrion.core.logbook import Results, reduce_logbook
from metrion.demo import demo_file
from metrion.formats.attachments import read_carried
from metrion.formats.forms import FORMS, HandedOn
from metrion.formats.handed_in import handed_in
from metrion.formats.logbook import parse_logbook
from metrion.formats.ods import ods_file
from metrion.formats.workbook import workbook, xlsx_file
from metrion.report import derived_working, plain, working
from metrion.voice import plainly
from tests.recorded.logbooks import logbook

DEMOS = (
    "spare-parts", "wing-tip-nocks", "bridle-line", "sail-film", "old-standoffs", "foil-colours",
)  # fmt: skip

MOST_SECONDS = 3.0
_OVERFULL_POINTS = 12.0


@dataclass
class Papers:
    """What came of it.

    Attributes:
        sheets: how many were made.
        figures: how many figures were compared.
        recalculated: how many of them in a spreadsheet in which a reading was changed.
        slowest: seconds for all the forms of one sheet.
        troubles: what was wrong, in words.
    """

    sheets: int = 0
    figures: int = 0
    recalculated: int = 0
    slowest: float = 0.0
    troubles: list[str] = field(default_factory=list)

    @property
    def row(self) -> str:
        """A cell of the table in docs/reliability.md."""
        return (
            f"{self.sheets} sheets in {len(FORMS)} forms, the slowest {self.slowest:.1f} s: "
            f"{self.figures} figures agree, {self.recalculated} of them recalculated after a "
            f"reading was changed; {len(self.troubles)} troubles"
        )


def documents(count: int) -> Iterator[tuple[str, dict[str, Any]]]:
    """The demo sheets, and so many made at random."""
    for name in DEMOS:
        yield name, json.loads(demo_file(name))
    for number in range(count):
        yield f"random-{number}", logbook(number)


def all_papers(count: int) -> Papers:
    """Make every form of every sheet, and see what they say."""
    found = Papers()
    for name, document in documents(count):
        with TemporaryDirectory() as folder:
            found.sheets += 1
            for trouble in _one(document, Path(folder), found):
                found.troubles.append(f"{name}: {trouble}")
    return found


def _one(document: dict[str, Any], folder: Path, found: Papers) -> Iterator[str]:
    began = time.monotonic()
    results = reduce_logbook(parse_logbook(document, kept=True))
    report = partial(handed_in, results, document, plainly(), date="2026-03-14")
    handed_on = HandedOn(report, results, results.logbook, plainly())
    made = {key: form.write(handed_on) for key, form in FORMS.items()}
    seconds = time.monotonic() - began
    found.slowest = max(found.slowest, seconds)
    if seconds > MOST_SECONDS:
        yield f"took {seconds:.1f} s"
    (carried,) = read_carried(made["pdf"])
    if json.loads(carried.content) != document:
        yield "the PDF carries another logbook"
    compiled = _compiled(made["tex"], folder / "whole")
    alone = _compiled(_around(made["tables"]), folder / "tables")
    yield from (*compiled.troubles, *alone.troubles)
    texts = {
        "html": _letters(sub(r"<style>.*?</style>|<[^>]*>", "", unescape(made["html"].decode()))),
        "md": _letters(_without_commands(made["md"].decode())),
        "pdf": _letters(_text_of(made["pdf"])),
        "LaTeX": _letters(compiled.text),
    }
    for figure in figures(results):
        found.figures += 1
        for form, text in texts.items():
            if _letters(figure) not in text:
                yield f"{form} lacks {figure}"
    yield from _recalculated(document, folder, found)


def figures(results: Results) -> Iterator[str]:
    """Every result as it is stated, and what every line of the working comes to."""
    speaker = plainly()
    for reviewed in results.measurements:
        if reviewed.result.rounded:
            yield reviewed.result.rounded.printed.replace("-", "−")
            for step in working(reviewed.result, speaker):
                yield plain(step.spans).rpartition(" = ")[2].partition(",")[0]
    for derived in results.derived:
        if derived.rounded:
            yield derived.rounded.printed.replace("-", "−")
            for step in derived_working(derived, speaker)[1:]:
                yield plain(step.spans).rpartition(" = ")[2]


def _without_commands(markdown: str) -> str:
    bare = sub(r"[\\{}$]|text|operatorname|cdot", "", markdown)
    return bare.replace("^circ", "°").replace("^prime", "′").replace("^", "")


def _letters(text: str) -> str:
    """A text without blanks, raised signs as they are, and each sign written one way."""
    plain_signs = {"–": "-", "−": "-", "°": "°", "◦": "°", "′": "'", "·": "", "×": "x"}
    raised = dict(zip("⁻⁰¹²³⁴⁵⁶⁷⁸⁹", "-0123456789", strict=True))
    kept = "".join({**plain_signs, **raised}.get(sign, sign) for sign in text if sign.isprintable())
    return sub(r"\s", "", kept)


def _text_of(content: bytes) -> str:
    return "".join(page.extract_text() for page in PdfReader(BytesIO(content)).pages)


@dataclass
class Compiled:
    """A document as LaTeX set it."""

    text: str
    troubles: list[str]


def _compiled(source: bytes, folder: Path) -> Compiled:
    folder.mkdir()
    (folder / "paper.tex").write_bytes(source)
    command = ["pdflatex", "-interaction=nonstopmode", "-halt-on-error", "paper.tex"]
    for _ in range(2):
        done = subprocess.run(command, cwd=folder, capture_output=True, timeout=120, check=False)
    log = (folder / "paper.log").read_text("latin-1")
    if done.returncode:
        said = [line for line in log.splitlines() if line.startswith("!")]
        return Compiled("", [f"LaTeX: {' '.join(said)}"])
    wide = [line for line in log.splitlines() if line.startswith("Overfull \\hbox")]
    points = [float(line.split("(")[1].split("pt")[0]) for line in wide]
    troubles = (
        [f"LaTeX: {max(points)} pt too wide"] if max(points, default=0) > _OVERFULL_POINTS else []
    )
    return Compiled(_text_of((folder / "paper.pdf").read_bytes()), troubles)


def _around(tables: bytes) -> bytes:
    """A document of one's own, for tables alone."""
    head = (
        rb"\documentclass{article}\usepackage[T1]{fontenc}\usepackage[margin=1cm]{geometry}"
        rb"\usepackage{amsmath,array,booktabs,longtable,siunitx}\usepackage[normalem]{ulem}"
        rb"\begin{document}\small Tables. "
    )
    return head + b"\n" + tables + rb"\end{document}" + b"\n"


def _recalculated(document: dict[str, Any], folder: Path, found: Papers) -> Iterator[str]:
    """Both spreadsheets after a reading was changed in them, beside the changed logbook."""
    changed = deepcopy(document)
    for place, quantity in enumerate(changed["measurements"]):
        for row, reading in enumerate(quantity["observations"]):
            if not reading.get("excluded"):
                value = _moved(changed, quantity, reading.get("a", reading))
                book = _with_change(document, place, row, value)
                yield from _beside(reduce_logbook(parse_logbook(changed)), book, folder, found)
                return


def _moved(document: dict[str, Any], quantity: dict[str, Any], look: dict[str, Any]) -> Fraction:
    """Put a look one mark on; what its mark is worth then."""
    (tool,) = [one for one in document["instruments"] if one["id"] == quantity["instrument"]]
    division = Fraction(str(tool.get("main_division") or tool.get("sleeve_division")))
    if tool["kind"] == "angular":
        value = (parse_angle(look["main"]) + division) % FULL_CIRCLE
        look["main"] = angle_text(value)
    else:
        value = Fraction(str(look["main"])) + division
        look["main"] = to_text(value)
    return value


def _with_change(document: dict[str, Any], place: int, row: int, main: Fraction) -> Workbook:
    """The spreadsheet of a logbook in which somebody writes another main reading."""
    book = workbook(reduce_logbook(parse_logbook(document)))
    page = book.worksheets[1 + place]
    (head,) = [at for at in range(1, page.max_row) if page.cell(at, 1).value == "place"]
    page.cell(head + 1 + row, 2, float(main))
    return book


def _beside(results: Results, book: Workbook, folder: Path, found: Papers) -> Iterator[str]:
    for form, content in (("xlsx", xlsx_file(book)), ("ods", ods_file(book))):
        pages = recalculated(content, form, folder)
        expected = [*_of_results(results)]
        first = pages[0][[row[0] for row in pages[0]].index("quantity") + 1 :]
        for row, page, (label, stated, percent, mean, size) in zip(
            first, pages[1:], expected, strict=True
        ):
            cells = {line[0]: line[1] for line in page if line[0]}
            found.recalculated += 4
            found.figures += 4
            if size and row[1] != stated:
                yield f"{form}: {label}: {row[1]} instead of {stated}"
            for name, is_there, wanted in (
                ("per cent", row[2], percent),
                ("mean", cells.get("mean", cells.get("value")), mean),
                ("uncertainty", cells.get("uncertainty"), size),
            ):
                if wanted is not None and not _alike(is_there, wanted):
                    yield f"{form}: {label}: {name} {is_there} instead of {wanted}"


def _of_results(
    results: Results,
) -> Iterator[tuple[str, str, float | None, float | None, float | None]]:
    """Of each page: label, result as stated, per cent, value and uncertainty before rounding."""
    for reviewed in results.measurements:
        one = reviewed.result
        size = float(one.uncertainty.size) if one.uncertainty else None
        yield _expected(one.measurement.label, one.rounded, one.relative_percent, one.mean, size)
    for derived in results.derived:
        size = float(derived.uncertainty.size) if derived.uncertainty else None
        label = derived.derived.name or derived.derived.id
        yield _expected(label, derived.rounded, derived.relative_percent, derived.value, size)


def _expected(label: str, rounded: Any, percent: Any, value: Any, size: float | None) -> Any:
    stated = rounded.printed.replace("-", "−") if rounded else "no result yet"
    numbers = (
        None if one is None or size is None else float(one) for one in (percent, value, size)
    )
    return (label, stated, *numbers)


def _alike(found: str | None, wanted: float) -> bool:
    return found is not None and abs(float(found) - wanted) <= 1e-7 * abs(wanted) + 1e-12


def recalculated(content: bytes, form: str, folder: Path) -> list[list[list[str]]]:
    """The rows of every page, as a spreadsheet program works them out."""
    source = folder / f"book.{form}"
    source.write_bytes(content)
    for old in folder.glob("page-*.csv"):
        old.unlink()
    command = ["ssconvert", "--recalc", "-S", str(source), str(folder / "page-%n.csv")]
    subprocess.run(command, capture_output=True, timeout=120, check=True)
    pages = sorted(folder.glob("page-*.csv"), key=lambda page: int(page.stem.partition("-")[2]))
    return [list(_filled(csv.reader(page.open(newline="")))) for page in pages]


def _filled(rows: Iterator[list[str]]) -> Iterator[list[str]]:
    return ([*row, "", "", ""] for row in rows)


if __name__ == "__main__":
    papers = all_papers(int(sys.argv[1]))
    print(papers.row, *papers.troubles, sep="\n")
