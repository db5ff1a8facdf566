"""The first page: head, and every result, each where its own page has it."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from openpyxl import Workbook

from metrion.core.logbook import Results
from metrion.core.working.model import READINGS, ZERO_ERROR
from metrion.formats.workbook.derived import DerivedPage
from metrion.formats.workbook.page import PER_CENT, STATED, WorkbookPage
from metrion.formats.workbook.quantity import QuantityPage
from metrion.report.results_table import altered
from metrion.voice import Speaker
from metrion.voice.conventions import convention_name

_COLUMNS = (
    "quantity", "result", "per-cent", "counting", "zero-error", "by-convention", "altered",
)  # fmt: skip
_STATED = 26


class ResultsPage(WorkbookPage):
    """What a demonstrator reads first."""

    def __init__(self, book: Workbook, speaker: Speaker) -> None:
        super().__init__(book, speaker.text("workbook-results"), speaker)

    def fill(
        self,
        results: Results,
        facts: Sequence[tuple[str, str]],
        measured: Iterable[QuantityPage],
        derived: Iterable[DerivedPage],
    ) -> None:
        """Head and results, once the pages that they stand on are written."""
        self.head(results.logbook.title or self.say("report-untitled"))
        for label, text in facts:
            self.tell(label, text)
        if results.logbook.aim:
            self.tell(self.say("report-aim"), results.logbook.aim)
        self.row += 1
        self.head(*(self.say_of("report-column", code) for code in _COLUMNS))
        for quantity in measured:
            one = quantity.measurement
            self._result(one.label, quantity)
            if READINGS in quantity.cells:
                self.figure(self.row, 4, f"=COUNT({self._there(quantity, READINGS)})")
            zero = self._there(quantity, ZERO_ERROR)
            self.figure(self.row, 5, f"={zero}", one.instrument.decimals)
            self._told(6, convention_name(one.convention, self.speaker))
            self._told(7, altered(one, self.speaker))
            self.row += 1
        for found in derived:
            self._result(found.derived.name or found.derived.id, found)
            self._told(6, convention_name(found.derived.convention, self.speaker))
            self.row += 1

    def _result(self, label: str, page: WorkbookPage) -> None:
        self.text(self.row, 1, label)
        self.widen(1, len(label))
        if STATED not in page.cells:
            self.text(self.row, 2, self.say("report-no-result"))
            return
        self.figure(self.row, 2, f"={self._there(page, STATED)}")
        self.widen(2, _STATED)
        self.figure(self.row, 3, f"={self._there(page, PER_CENT)}", 2)

    def _told(self, column: int, text: str) -> None:
        self.text(self.row, column, text)
        self.widen(column, len(text))

    def _there(self, page: WorkbookPage, key: str) -> str:
        return page.from_elsewhere(page.cells[key])
