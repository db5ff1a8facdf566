"""A sheet with everything it comes to."""

from __future__ import annotations

from dataclasses import dataclass

from sqlalchemy.orm import Session

from metrion.core.json import Record
from metrion.core.logbook import Logbook, Results
from metrion.core.quantity.measurements import Measurement
from metrion.notebook.damage import contained
from metrion.notebook.evaluation import WorkedOut, worked_out
from metrion.store import NotHere
from metrion.store.commands import undoable
from metrion.store.documents import SheetSnapshot, whole_sheet
from metrion.store.entries import SheetEntries
from metrion.store.models import Sheet


@dataclass(frozen=True)
class EvaluatedSheet:
    """A sheet with everything it comes to.

    Attributes:
        id, title, version: of the sheet.
        changed_at: when it was last changed, ISO 8601 in UTC.
        extra: fields of its logbook that are kept for the record only.
        whole: its entries, its document, and the logbook read from it.
        worked_out: what that comes to, told in the units that its tools are numbered in.
        undo, redo: what undo and redo would do next; None for nothing.
    """

    id: str
    title: str
    version: int
    changed_at: str
    extra: Record
    whole: SheetSnapshot
    worked_out: WorkedOut
    undo: str | None
    redo: str | None

    @property
    def entries(self) -> SheetEntries:
        """Its entries by section."""
        return self.whole.entries

    @property
    def results(self) -> Results:
        """What is worked out from them."""
        return self.worked_out.results

    def quantity(self, key: str) -> Measurement:
        """The quantity with this id, as it is shown. Raises `NotHere`."""
        return quantity_in(self.results.logbook, key)

    def kept_quantity(self, key: str) -> Measurement:
        """The quantity with this id, in the unit of its logbook. Raises `NotHere`."""
        return quantity_in(self.whole.logbook, key)


def quantity_in(logbook: Logbook, key: str) -> Measurement:
    """The quantity of a logbook with this id. Raises `NotHere`."""
    for measurement in logbook.measurements:
        if measurement.id == key:
            return measurement
    raise NotHere("quantity", key)


@contained()
def evaluate(session: Session, sheet: Sheet) -> EvaluatedSheet:
    """A sheet worked out from its rows. Raises `Damaged`."""
    whole = whole_sheet(session, sheet)
    undo, redo = undoable(session, sheet)
    return evaluated(sheet, whole, worked_out(whole.logbook, whole.document), undo, redo)


def evaluated(
    sheet: Sheet, whole: SheetSnapshot, found: WorkedOut, undo: str | None, redo: str | None
) -> EvaluatedSheet:
    """A sheet, with what it comes to."""
    return EvaluatedSheet(
        sheet.id,
        sheet.title,
        sheet.version,
        sheet.changed_at.isoformat(),
        sheet.extra,
        whole,
        found,
        undo,
        redo,
    )
