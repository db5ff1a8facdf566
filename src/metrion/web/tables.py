"""``/api/sheets/<sheet>/quantities/<key>/table…``: readings from a table, looked through first."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import UTC, datetime

from flask import request
from sqlalchemy.orm import Session

from metrion.core.quantity.measurements import Measurement
from metrion.formats.csv_table import ReadingsTable, of_quantity, read_table
from metrion.formats.faults import Fault, Refused
from metrion.formats.readings_table import (
    TableReading,
    guessed_roles,
    readings_of,
    roles,
)
from metrion.store.commands import Change
from metrion.store.models import Sheet
from metrion.store.records import OBSERVATIONS
from metrion.store.sheets import find_entry, new_observations
from metrion.web.bodies import Blueprint
from metrion.web.notebook import notebook
from metrion.web.present import change_view
from metrion.web.present.faults import faults_view
from metrion.web.schemas import ColumnsView, SheetChangeView, TableView, schema_of
from metrion.web.speaking import shown

blueprint = Blueprint(
    "tables", __name__, url_prefix="/api/sheets/<sheet>/quantities/<path:key>/table"
)

_SHOWN_ROWS = 12


def _read(
    table: ReadingsTable,
    columns: Sequence[str],
    given: ColumnsView,
    found: Measurement,
) -> tuple[list[TableReading], list[Fault]]:
    return readings_of(
        table, columns, found.instrument, found.intended, given.fine_as,
        estimates=found.convention.estimate,
    )  # fmt: skip


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
    found = notebook().sheet(sheet).quantity(key)
    table = of_quantity(read_table(request.get_data()), key)
    columns = _columns(table, given, found)
    readings, faults = _read(table, columns, given, found)
    return TableView(
        header=list(table.header),
        rows=[list(row) for row in table.rows[:_SHOWN_ROWS]],
        count=len(table.rows),
        columns=columns,
        roles=roles(found.instrument, found.intended),
        readings=[shown(reading.read) for reading in readings[:_SHOWN_ROWS]],
        faults=faults_view(faults),
    )


@blueprint.post("/take")
@blueprint.arguments(schema_of(ColumnsView), location="query")
@blueprint.response(201, schema_of(SheetChangeView))
def take_table(given: ColumnsView, sheet: str, key: str) -> SheetChangeView:
    """Take every row in as a reading, all in one step. 422 with the faults, and nothing stored."""
    found = notebook().sheet(sheet).quantity(key)
    table = of_quantity(read_table(request.get_data()), key)
    readings, faults = _read(table, _columns(table, given, found), given, found)
    if faults:
        raise Refused(faults)
    at = datetime.now(UTC).isoformat(timespec="seconds")

    def build(session: Session, entry: Sheet) -> list[Change]:
        find_entry(session, entry, "measurements", key)
        records = ({**reading.record, "at": at} for reading in readings)
        added = new_observations(session, entry, records, key)
        return [Change(OBSERVATIONS, None, one) for one in added]

    return change_view(notebook().change(sheet, "take-table", build))
