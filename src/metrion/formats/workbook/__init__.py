"""A sheet as a spreadsheet whose formulas are alive: with a reading changes all that follows.

The first page has every result; then each quantity has a page, and each derived quantity. What was
read stands in cells, everything else is worked out from them by the same rules as here.
"""

from __future__ import annotations

from collections.abc import Sequence
from io import BytesIO

from openpyxl import Workbook

from metrion.core.logbook import Results
from metrion.formats.forms import HandedOn
from metrion.formats.workbook.derived import DerivedPage
from metrion.formats.workbook.quantity import QuantityPage
from metrion.formats.workbook.results import ResultsPage
from metrion.voice import Speaker, plainly

__all__ = ["workbook", "workbook_of", "xlsx_file"]


def workbook(
    results: Results,
    speaker: Speaker | None = None,
    *,
    facts: Sequence[tuple[str, str]] = (),
    quantity: str | None = None,
) -> Workbook:
    """The whole sheet.

    Args:
        results: the sheet worked out.
        speaker: in whose words its labels are; plainly without one.
        facts: names, date and the like, for its head.
        quantity: id of the one quantity that is wanted; all without it, and what is derived.
    """
    speaker, book = speaker or plainly(), Workbook()
    book.remove(book.active)
    first = ResultsPage(book, speaker)
    measured = {
        one.id: QuantityPage(book, one, speaker)
        for one in results.logbook.measurements
        if quantity in (None, one.id)
    }
    wanted = results.derived if quantity is None else ()
    derived: dict[str, DerivedPage] = {}
    for one in wanted:
        derived[one.derived.id] = DerivedPage(book, one, measured, derived, speaker)
    first.fill(results, facts, measured.values(), derived.values())
    return book


def workbook_of(wanted: HandedOn) -> Workbook:
    """That of a sheet which is handed on."""
    return workbook(
        wanted.results, wanted.speaker, facts=wanted.report.facts, quantity=wanted.quantity
    )


def xlsx_file(book: Workbook) -> bytes:
    """A workbook as an XLSX file."""
    packed = BytesIO()
    book.save(packed)
    return packed.getvalue()
