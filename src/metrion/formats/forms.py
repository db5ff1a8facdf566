"""Every form in which a sheet is handed on: one table for the web, the command line and the page.

What writes a form is loaded with the first sheet that is written so.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property
from typing import TYPE_CHECKING

from metrion.core.facts import Fact, fact
from metrion.report.paper import Paper

if TYPE_CHECKING:
    from metrion.core.logbook import Logbook, Results
    from metrion.core.quantity.measurements import Measurement
    from metrion.report.blocks import Report
    from metrion.voice import Speaker


@dataclass(frozen=True)
class HandedOn:
    """A sheet, or one quantity of it, that is handed on.

    Attributes:
        made: makes its report, which not every form needs.
        results: the sheet worked out, as people see it.
        kept: the sheet as its file has it.
        speaker: in whose words and numbers it is written.
        quantity: id of the one quantity that is wanted; None for all.
        paper: that it is to be printed on.
    """

    made: Callable[[], Report]
    results: Results
    kept: Logbook
    speaker: Speaker
    quantity: str | None = None
    paper: Paper = Paper.A4

    @cached_property
    def report(self) -> Report:
        """Its report."""
        return self.made()

    def chosen(self, logbook: Logbook) -> list[Measurement]:
        """The measurements that are wanted."""
        return [one for one in logbook.measurements if self.quantity in (None, one.id)]


@dataclass(frozen=True)
class SheetForm:
    """One form.

    Attributes:
        key: its option on the command line.
        address: below that of a sheet.
        media_type: of the file.
        about: what it is, for who reads of it on the command line or in the API's description.
        label: what the page calls it; None where the page shows it by itself.
        write: makes the file.
        ends: what the name of its file ends with.
        carries: whether the pictures of readings go along.
        printed: whether it is for a printer; else for other programs.
    """

    key: str
    address: str
    media_type: str
    about: str
    label: Fact | None
    write: Callable[[HandedOn], bytes]
    ends: str
    carries: bool = False
    printed: bool = False


def _html(wanted: HandedOn) -> bytes:
    from metrion.report.render.html import html_page

    return html_page(wanted.report).encode()


def _pdf(wanted: HandedOn) -> bytes:
    from metrion.report.render.pdf import pdf_file

    return pdf_file(wanted.report, wanted.paper)


def _markdown(wanted: HandedOn) -> bytes:
    from metrion.report.render.markdown import markdown_text

    return markdown_text(wanted.report).encode()


def _latex(wanted: HandedOn) -> bytes:
    from metrion.report.render.latex import latex_document

    return latex_document(wanted.report).encode()


def _latex_tables(wanted: HandedOn) -> bytes:
    from metrion.report.render.latex import latex_tables

    return latex_tables(wanted.report).encode()


def _table(wanted: HandedOn) -> bytes:
    from metrion.formats.table import observation_table

    return observation_table(wanted.chosen(wanted.kept)).encode()


def _table_to_read(wanted: HandedOn) -> bytes:
    from metrion.formats.table import table_to_read

    return table_to_read(wanted.chosen(wanted.results.logbook), wanted.speaker).encode()


def _xlsx(wanted: HandedOn) -> bytes:
    from metrion.formats.workbook import workbook_of, xlsx_file

    return xlsx_file(workbook_of(wanted))


def _ods(wanted: HandedOn) -> bytes:
    from metrion.formats.ods import ods_file
    from metrion.formats.workbook import workbook_of

    return ods_file(workbook_of(wanted))


_ODS = "application/vnd.oasis.opendocument.spreadsheet"
_XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
_TEX, _CSV = "application/x-tex", "text/csv"

FORMS = {
    form.key: form
    for form in (
        SheetForm(
            "html", "report", "text/html", "a page to look at and to print", None, _html, ".html"
        ),
        SheetForm(
            "pdf",
            "report.pdf",
            "application/pdf",
            "PDF",
            fact("form-pdf"),
            _pdf,
            ".pdf",
            carries=True,
            printed=True,
        ),
        SheetForm(
            "xlsx",
            "workbook.xlsx",
            _XLSX,
            "a spreadsheet in which everything is worked out by formulas",
            fact("form-xlsx"),
            _xlsx,
            ".xlsx",
        ),
        SheetForm(
            "ods",
            "workbook.ods",
            _ODS,
            "the same spreadsheet in the open format of documents",
            fact("form-ods"),
            _ods,
            ".ods",
        ),
        SheetForm(
            "csv", "table.csv", _CSV, "every observation as CSV", fact("form-csv"), _table, ".csv"
        ),
        SheetForm(
            "csv-to-read",
            "table-to-read.csv",
            _CSV,
            "every observation as CSV in the words of who reads",
            fact("form-csv-to-read"),
            _table_to_read,
            "-to-read.csv",
        ),
        SheetForm(
            "md", "report.md", "text/markdown", "Markdown", fact("form-md"), _markdown, ".md"
        ),
        SheetForm(
            "tex", "report.tex", _TEX, "a document for LaTeX", fact("form-tex"), _latex, ".tex"
        ),
        SheetForm(
            "tables",
            "tables.tex",
            _TEX,
            "the report's tables alone, for LaTeX",
            fact("form-tables"),
            _latex_tables,
            ".tables.tex",
        ),
    )
}
"""By their keys, in the order in which the page offers them."""
