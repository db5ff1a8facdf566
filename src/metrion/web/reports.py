"""``/api/sheets/<sheet>/report…``: what is handed in, and the tables for other programs."""

from __future__ import annotations

from collections.abc import Callable
from datetime import UTC, datetime

from flask import Response
from openpyxl import Workbook

from metrion.core.logbook import Logbook
from metrion.core.quantity.measurements import Measurement
from metrion.formats.archive import file_name
from metrion.formats.handed_in import handed_in
from metrion.formats.ods import ods_file
from metrion.formats.table import observation_table, table_to_read
from metrion.formats.workbook import workbook, xlsx_file
from metrion.notebook import EvaluatedSheet
from metrion.notebook.damage import contained
from metrion.notebook.evaluated import quantity_in
from metrion.report.blocks import Report
from metrion.report.render import (
    html_page,
    latex_document,
    latex_tables,
    markdown_text,
    pdf_file,
)
from metrion.store.pictures import find_pictures
from metrion.store.sheets import find_sheet
from metrion.views.locale import speaker
from metrion.views.schemas.sheets import WantedView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook

blueprint = Blueprint("reports", __name__, url_prefix="/api/sheets/<sheet>")


def _report(
    sheet: str, wanted: WantedView, *, carries: bool = False
) -> tuple[Report, EvaluatedSheet]:
    """The report, and the sheet worked out. 404 for a sheet or quantity that is not here.

    Args:
        carries: whether its form carries the pictures of readings, seen in it or not.
    """
    with notebook().store.reading() as session:
        found = find_sheet(session, sheet)
        worked = notebook().evaluated(session, found)
        document = worked.whole.document
        needed = carries or wanted.photographs
        pictures = find_pictures(session, found, document) if needed else {}
    if wanted.quantity is not None:
        worked.quantity(wanted.quantity)
    date = datetime.now(UTC).date().isoformat()
    report = handed_in(
        worked.results, document, speaker(),
        date=date, quantity=wanted.quantity, length=wanted.length,
        pictures=pictures, shown=wanted.photographs,
    )  # fmt: skip
    return report, worked


def _chosen(logbook: Logbook, quantity: str | None) -> list[Measurement]:
    """One quantity, or all. 404 if it is not here."""
    return list(logbook.measurements) if quantity is None else [quantity_in(logbook, quantity)]


def _saved(content: str | bytes, kind: str, name: str) -> Response:
    disposition = f'attachment; filename="{name}"'
    return Response(content, mimetype=kind, headers={"Content-Disposition": disposition})


@blueprint.get("/report")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="text/html")
@contained()
def report_page(wanted: WantedView, sheet: str) -> Response:
    """The report as a page to look at and to print."""
    report, _ = _report(sheet, wanted)
    return Response(html_page(report), mimetype="text/html")


@blueprint.get("/report.pdf")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="application/pdf")
@contained()
def report_pdf(wanted: WantedView, sheet: str) -> Response:
    """The report as PDF, on A4 or Letter."""
    report, worked = _report(sheet, wanted, carries=True)
    content = pdf_file(report, wanted.paper)
    return _saved(content, "application/pdf", f"{file_name(worked.title)}.pdf")


@blueprint.get("/report.md")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="text/markdown")
@contained()
def report_markdown(wanted: WantedView, sheet: str) -> Response:
    """The report as Markdown."""
    return _written(sheet, wanted, markdown_text, "text/markdown", "md")


@blueprint.get("/report.tex")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="application/x-tex")
@contained()
def report_latex(wanted: WantedView, sheet: str) -> Response:
    """The report as a document for LaTeX."""
    return _written(sheet, wanted, latex_document, "application/x-tex", "tex")


@blueprint.get("/tables.tex")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="application/x-tex")
@contained()
def report_tables(wanted: WantedView, sheet: str) -> Response:
    """The tables of the report for a LaTeX document of one's own."""
    return _written(sheet, wanted, latex_tables, "application/x-tex", "tables.tex")


def _written(
    sheet: str, wanted: WantedView, write: Callable[[Report], str], kind: str, ending: str
) -> Response:
    report, worked = _report(sheet, wanted)
    return _saved(write(report), kind, f"{file_name(worked.title)}.{ending}")


@blueprint.get("/table.csv")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="text/csv")
@contained()
def table(wanted: WantedView, sheet: str) -> Response:
    """Every observation as CSV."""
    worked = notebook().sheet(sheet)
    content = observation_table(_chosen(worked.whole.logbook, wanted.quantity))
    return _saved(content, "text/csv", f"{file_name(worked.title)}.csv")


@blueprint.get("/table-to-read.csv")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="text/csv")
@contained()
def table_for_people(wanted: WantedView, sheet: str) -> Response:
    """Every observation as CSV in the words and numbers of who reads; not made to come in again."""
    worked = notebook().sheet(sheet)
    content = table_to_read(_chosen(worked.results.logbook, wanted.quantity), speaker())
    return _saved(content, "text/csv", f"{file_name(worked.title)}-to-read.csv")


_ODS = "application/vnd.oasis.opendocument.spreadsheet"
_XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"


@blueprint.get("/workbook.xlsx")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type=_XLSX)
@contained()
def excel_workbook(wanted: WantedView, sheet: str) -> Response:
    """A spreadsheet in which everything is worked out by formulas."""
    return _spreadsheet(sheet, wanted, xlsx_file, _XLSX, "xlsx")


@blueprint.get("/workbook.ods")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type=_ODS)
@contained()
def open_workbook(wanted: WantedView, sheet: str) -> Response:
    """The same spreadsheet in the open format of documents."""
    return _spreadsheet(sheet, wanted, ods_file, _ODS, "ods")


def _spreadsheet(
    sheet: str, wanted: WantedView, write: Callable[[Workbook], bytes], kind: str, ending: str
) -> Response:
    report, worked = _report(sheet, wanted)
    book = workbook(worked.results, speaker(), facts=report.facts, quantity=wanted.quantity)
    return _saved(write(book), kind, f"{file_name(worked.title)}.{ending}")
