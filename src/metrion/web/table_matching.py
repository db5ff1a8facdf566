"""``/api/tables/fits``: for which quantities a table of readings may be."""

from __future__ import annotations

from contextlib import suppress

from flask import request
from sqlalchemy.orm import Session

from metrion.core.quantity.measurements import Measurement
from metrion.formats.clock import Clock
from metrion.formats.csv_table import ReadingsTable, read_table
from metrion.formats.table_matching import TableFit, fit
from metrion.notebook import EvaluatedSheet
from metrion.notebook.damage import contained
from metrion.store import Damaged
from metrion.store.models import Sheet
from metrion.store.sheets import all_sheets
from metrion.views.schemas.tables import FitView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook

blueprint = Blueprint("fits", __name__, url_prefix="/api/tables")

_SHEETS_LOOKED_AT = 200
_SECONDS = 20.0


@blueprint.post("/fits")
@blueprint.response(200, schema_of(FitView)(many=True))
def fitting() -> list[FitView]:
    """Quantities that may take a table of readings, the best first. 422 if it is no table.

    Looked at are the sheets that were changed last; what has no rows does not fit as it is.
    """
    table, clock = read_table(request.get_data()), Clock(_SECONDS)
    found: list[tuple[TableFit, FitView]] = []
    with notebook().store.reading() as session:
        for sheet in all_sheets(session)[:_SHEETS_LOOKED_AT]:
            for worked, quantity in _quantities(session, sheet):
                clock.check()
                with suppress(Damaged), contained():
                    found.append(_fit(table, worked, quantity))
    return [view for _, view in sorted(found, key=lambda one: one[0], reverse=True)]


def _quantities(session: Session, sheet: Sheet) -> list[tuple[EvaluatedSheet, Measurement]]:
    with suppress(Damaged), contained():
        worked = notebook().evaluated(session, sheet)
        return [(worked, one) for one in worked.whole.logbook.measurements]
    return []


def _fit(
    table: ReadingsTable, worked: EvaluatedSheet, quantity: Measurement
) -> tuple[TableFit, FitView]:
    found = fit(table, quantity)
    view = FitView(
        sheet=worked.id,
        sheet_title=worked.title,
        quantity=quantity.id,
        label=quantity.label,
        instrument=quantity.instrument.name,
        rows=found.rows,
    )
    return found, view
