"""``/api/sheets/<sheet>/quantities/<key>/table…``: readings from a table, looked through first."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass
from datetime import UTC, datetime

from flask import request

from metrion.core.desk.said.judging import FigureOptions
from metrion.core.quantity.measurements import Measurement
from metrion.formats.csv_table import (
    LONGEST_CELL,
    Mended,
    ReadingsTable,
    mended,
    of_quantity,
    read_table,
)
from metrion.formats.faults import Fault, Refused, refusal
from metrion.formats.readings_table import (
    Column,
    TableReading,
    guessed_roles,
    readings_of,
    roles,
)
from metrion.notebook.notebook import CurrentSheet
from metrion.store.commands import Change
from metrion.store.records import OBSERVATIONS
from metrion.views.locale import shown
from metrion.views.present.faults import faults_view
from metrion.views.schemas.sheets import SheetChangeView
from metrion.views.schemas.tables import ColumnAskedView, ColumnsView, TableRowView, TableView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook, shown_change
from metrion.web.idempotency import asked

blueprint = Blueprint(
    "tables", __name__, url_prefix="/api/sheets/<sheet>/quantities/<path:key>/table"
)

_SHOWN_ROWS, _FAULTY_ROWS = 12, 40
"""Of a table: so many rows from its top, and so many faulty ones after them."""
_MEND = re.compile(r"(\d{1,6})/(\d{1,3})/(.*)", re.DOTALL)


@dataclass(frozen=True)
class _Read:
    """A table as it would be taken into a quantity."""

    table: ReadingsTable
    columns: list[str]
    readings: list[TableReading]
    faults: list[Fault]
    asked: list[Column]

    @property
    def fit_to_take(self) -> bool:
        """Whether there are good rows, nothing is asked and the table as a whole is in order."""
        whole = all(fault.pointer for fault in self.faults)
        return bool(self.readings) and whole and not self.asked


def _read(found: Measurement, given: ColumnsView) -> _Read:
    """Raises `Refused` for what is no table, and for mended cells that it has not."""
    whole = of_quantity(read_table(request.get_data()), found.id, found.label)
    table = mended(whole, map(_mended, given.mend))
    instrument, sort = found.instrument, found.intended
    columns = _columns(table, given, found)
    told = FigureOptions(given.fine_as, given.main_as)
    estimates = found.convention.estimate
    read = readings_of(table, columns, instrument, sort, told, estimates=estimates)
    return _Read(table, columns, read.readings, read.faults, read.asked)


def _mended(text: str) -> Mended:
    found = _MEND.fullmatch(text)
    if found is None:
        raise refusal("no-mended-cell")
    return Mended(int(found[1]), int(found[2]), found[3][:LONGEST_CELL])


def _columns(table: ReadingsTable, given: ColumnsView, found: Measurement) -> list[str]:
    """What each column holds: as it was said, or as the headings tell."""
    instrument, sort = found.instrument, found.intended
    known = roles(instrument, sort)
    said = [one if one in known else "" for one in given.column]
    return said if len(said) == table.width else guessed_roles(table, instrument, sort)


@blueprint.post("/preview")
@blueprint.arguments(schema_of(ColumnsView), location="query")
@blueprint.response(200, schema_of(TableView))
def preview(given: ColumnsView, sheet: str, key: str) -> TableView:
    """How a table would be read. Nothing is stored. 422 if it is no table."""
    found = notebook().sheet(sheet).kept_quantity(key)
    read = _read(found, given)
    return TableView(
        header=list(read.table.header),
        rows=list(_rows(read)),
        count=len(read.table.rows),
        good=len(read.readings) if read.fit_to_take else 0,
        columns=read.columns,
        roles=roles(found.instrument, found.intended),
        faults=faults_view(read.faults),
        asked=[ColumnAskedView(one.role, list(map(str, one.choices))) for one in read.asked],
    )


def _rows(read: _Read) -> Iterator[TableRowView]:
    """The first rows, and after them those that have a fault."""
    reads = {reading.row: shown(reading.read) for reading in read.readings}
    rows = range(len(read.table.rows))
    faulty = [at for at in rows[_SHOWN_ROWS:] if at not in reads][:_FAULTY_ROWS]
    for at in (*rows[:_SHOWN_ROWS], *faulty):
        yield TableRowView(at, list(read.table.rows[at]), reads.get(at, ""))


@blueprint.post("/take")
@blueprint.arguments(schema_of(ColumnsView), location="query")
@blueprint.response(201, schema_of(SheetChangeView))
def take_table(given: ColumnsView, sheet: str, key: str) -> SheetChangeView:
    """Take the rows in as readings, all in one step.

    422 with the faults, and nothing stored; where only good rows are wanted, if there are none.
    """
    read = _read(notebook().sheet(sheet).kept_quantity(key), given)
    if read.faults and not (given.good_only and read.fit_to_take):
        raise Refused(read.faults)
    at = datetime.now(UTC).isoformat(timespec="seconds")

    def build(current: CurrentSheet) -> list[Change]:
        current.entries.find("measurements", key)
        records = ({**reading.record, "at": at} for reading in read.readings)
        added = current.entries.new_observations(records, key)
        return [Change(OBSERVATIONS, None, one) for one in added]

    return shown_change(notebook().change(sheet, "take-table", build, asked()))
