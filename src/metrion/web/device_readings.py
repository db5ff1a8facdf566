"""``/api/readings``: where a device leaves readings, a line each, for the quantity that is open."""

from __future__ import annotations

import re
from collections.abc import Iterator
from datetime import UTC, datetime
from urllib.parse import unquote

from flask import request

from metrion.core.desk.entered import TypedReading
from metrion.core.json import Record
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Sort
from metrion.formats.faults import Fault, Refused, refusal
from metrion.notebook.notebook import CurrentSheet
from metrion.notebook.typed_readings import understood
from metrion.store.commands import Change
from metrion.store.records import OBSERVATIONS
from metrion.views.schemas.bench import LeftView
from metrion.views.schemas.sheets import SheetChangeView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook, shown_change
from metrion.web.idempotency import asked
from metrion.web.problems import refuse
from metrion.web.sessions import own_session, sessions

blueprint = Blueprint("door", __name__, url_prefix="/api/readings")

_OPEN = re.compile(r"/sheets/([^/]+)/quantities/([^/]+)")
_MOST_LINES = 1_000


@blueprint.post("")
@blueprint.arguments(schema_of(LeftView), location="query")
@blueprint.response(201, schema_of(SheetChangeView))
def leave(left: LeftView) -> SheetChangeView:
    """Take readings in, all in one step: the body is text, a reading a line, as it is shown.

    409 if no quantity is open and none is named; 422 with the lines that cannot be read, and
    nothing is stored then.
    """
    sheet, key = _open(left)
    found = notebook().sheet(sheet).kept_quantity(key)
    if found.intended is not Sort.SINGLE:
        refuse(422, "door-not-pairs")
    at = datetime.now(UTC).isoformat(timespec="seconds")
    more: Record = {"at": at, "simulated": left.simulated} if left.simulated else {"at": at}
    records = [{**record, **more} for record in _records(found)]

    def build(current: CurrentSheet) -> list[Change]:
        added = current.entries.new_observations(records, key)
        return [Change(OBSERVATIONS, None, one) for one in added]

    return shown_change(notebook().change(sheet, "add-observations", build, asked()))


def _open(left: LeftView) -> tuple[str, str]:
    """The quantity that is named, or else the one that the window in front shows.

    That is one of the same session; for a device that has none, one on this machine.
    """
    if left.sheet and left.quantity:
        return left.sheet, left.quantity
    shown = _OPEN.fullmatch(sessions().shown(own_session()))
    if shown is None:
        refuse(409, "door-nothing-open")
    return unquote(shown[1]), unquote(shown[2])


def _records(found: Measurement) -> list[Record]:
    """What each line says, as a logbook holds it. Raises `Refused` with those that say none."""
    text = request.get_data().decode("utf-8", errors="replace")
    lines = [(at, line.strip()) for at, line in enumerate(text.splitlines()) if line.strip()]
    if not 1 <= len(lines) <= _MOST_LINES:
        raise refusal("door-lines", most=_MOST_LINES)
    records: list[Record] = []
    faults: list[Fault] = []
    for at, line in lines:
        try:
            records.append(understood(found, _typed(found, line)))
        except Refused as refused:
            faults += _on_line(at, refused)
    if faults:
        raise Refused(faults)
    return records


def _on_line(at: int, refused: Refused) -> Iterator[Fault]:
    for fault in refused.faults:
        yield Fault(f"/{at}", fault.says)


def _typed(found: Measurement, line: str) -> TypedReading:
    """A line as it would be typed; with a fine scale, what follows its last blank is the line."""
    main, blank, fine = line.rpartition(" ")
    if not (blank and found.instrument.scale.has_fine_scale):
        return TypedReading(main=line)
    return TypedReading(main=main, fine=fine)
