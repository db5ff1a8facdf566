"""``/api/sheets/<sheet>/…``: instruments, zero checks, quantities and readings, one by one.

Every write answers with what changed of the sheet. New entries may carry an id of the client's
making; changes carry ``If-Match`` with the version of the entry; an ``Idempotency-Key`` makes
sending twice harmless.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from datetime import UTC, datetime
from typing import Any

from flask import request
from flask.views import MethodView
from flask_smorest import Blueprint
from sqlalchemy.orm import Session

from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.store.commands import Change
from metrion.store.documents import entries
from metrion.store.models import Sheet
from metrion.store.records import OBSERVATIONS, Kept
from metrion.store.sheets import find_entry, new_entry
from metrion.web.notebook import notebook
from metrion.web.present import change_view
from metrion.web.schemas import (
    DerivedFields,
    InstrumentFields,
    NewDerived,
    NewInstrument,
    NewQuantity,
    NewReading,
    NewZeroCheck,
    QuantityFields,
    ReadingPatch,
    SheetChangeSchema,
    ZeroCheckPatch,
)
from metrion.web.settings import settings
from metrion.web.speaking import refuse
from metrion.web.typed import understood

blueprint = Blueprint("entries", __name__, url_prefix="/api/sheets/<sheet>")

_SCALE = ("main", "fine", "second_turn", *PAIR_INDICATIONS)


def seen_version() -> int:
    """The version of an entry that the client has seen: 428 if it does not say."""
    given = request.headers.get("If-Match", "").strip('"')
    if not given.isdigit():
        refuse(428, "no-version-said")
    return int(given)


def _add(
    sheet: str, section: str, body: dict[str, Any], measurement: str | None = None
) -> dict[str, Any]:
    """Add an entry behind its like."""
    key = body.pop("id", None)
    record = _given(body)

    def build(session: Session, found: Sheet) -> list[Change]:
        if measurement is not None:
            find_entry(session, found, "measurements", measurement)
        entry = new_entry(session, found, section, record, key=key, measurement=measurement)
        return [*_own_convention(session, found, record), Change(section, None, entry)]

    return change_view(notebook().change(sheet, f"add-{section}", build))


def _amend(
    sheet: str, section: str, key: str, body: dict[str, Any], title: str = ""
) -> dict[str, Any]:
    """Change fields of an entry; a null takes a field away."""
    version = seen_version()

    def build(session: Session, found: Sheet) -> list[Change]:
        before = find_entry(session, found, section, key, version)
        changed = Change(section, before, amended(before, body))
        return [*_own_convention(session, found, body), changed]

    return change_view(notebook().change(sheet, title or f"change-{section}", build))


def _own_convention(session: Session, found: Sheet, record: dict[str, Any]) -> list[Change]:
    """A convention of one's own comes into the logbook with the first that uses it."""
    key = record.get("convention")
    own = notebook().own_conventions().get(str(key))
    here = {entry.id for entry in entries(session, found, "conventions")}
    if own is None or key in here:
        return []
    return [Change("conventions", None, new_entry(session, found, "conventions", own, key=key))]


def amended(entry: Kept, fields: dict[str, Any]) -> Kept:
    """An entry with changed fields; figures that were read and change go into its history."""
    changed = dict(fields)
    why = changed.pop("why", "")
    record = {**entry.record, **changed}
    indications = [{n: r[n] for n in _SCALE if n in r} for r in (entry.record, record)]
    if indications[0] and indications[0] != indications[1]:
        earlier = {**indications[0], "at": _now(), "why": why}
        history = entry.record.get("history")
        record["history"] = [*(history if isinstance(history, list) else []), earlier]
        # What was settled was settled for the old figures.
        record.pop("looked_again", None)
    return replace(entry, record=_given(record))


def _given(record: dict[str, Any]) -> dict[str, Any]:
    """A record without the fields that are null, those of its looks included."""
    return {
        name: _given(value) if name in PAIR_INDICATIONS else value
        for name, value in record.items()
        if value is not None
    }


def _remove(sheet: str, section: str, key: str) -> dict[str, Any]:
    """Take an entry away; a quantity takes its readings with it. Undo brings all back."""
    version = seen_version()

    def build(session: Session, found: Sheet) -> Sequence[Change]:
        entry = find_entry(session, found, section, key, version)
        readings = entries(session, found, OBSERVATIONS) if section == "measurements" else []
        gone = [Change(OBSERVATIONS, r, None) for r in readings if r.measurement == key]
        return [*gone, Change(section, entry, None)]

    return change_view(notebook().change(sheet, f"remove-{section}", build))


def _now() -> str:
    return datetime.now(UTC).isoformat(timespec="seconds")


@blueprint.post("/instruments")
@blueprint.arguments(NewInstrument)
@blueprint.response(201, SheetChangeSchema)
def add_instrument(body: dict[str, Any], sheet: str) -> dict[str, Any]:
    """A new instrument. 422 if its numbers make no scale."""
    return _add(sheet, "instruments", body)


@blueprint.route("/instruments/<path:key>")
class InstrumentResource(MethodView):
    """One instrument of a sheet."""

    @blueprint.arguments(InstrumentFields)
    @blueprint.response(200, SheetChangeSchema)
    def patch(self, body: dict[str, Any], sheet: str, key: str) -> dict[str, Any]:
        """Describe it anew. 412 if changed meanwhile; 422 if what was read no longer fits."""
        return _amend(sheet, "instruments", key, body)

    @blueprint.response(200, SheetChangeSchema)
    def delete(self, sheet: str, key: str) -> dict[str, Any]:
        """Take it away. 422 while something refers to it."""
        return _remove(sheet, "instruments", key)


@blueprint.post("/zero_checks")
@blueprint.arguments(NewZeroCheck)
@blueprint.response(201, SheetChangeSchema)
def add_zero_check(body: dict[str, Any], sheet: str) -> dict[str, Any]:
    """A new zero check. 422 if the scale cannot show it."""
    return _add(sheet, "zero_checks", {**body, "at": _now()})


@blueprint.route("/zero_checks/<path:key>")
class ZeroCheckResource(MethodView):
    """One zero check of a sheet."""

    @blueprint.arguments(ZeroCheckPatch)
    @blueprint.response(200, SheetChangeSchema)
    def patch(self, body: dict[str, Any], sheet: str, key: str) -> dict[str, Any]:
        """Change it; everything it corrects follows. 412 if changed meanwhile."""
        return _amend(sheet, "zero_checks", key, body)

    @blueprint.response(200, SheetChangeSchema)
    def delete(self, sheet: str, key: str) -> dict[str, Any]:
        """Take it away. 422 while a quantity names it."""
        return _remove(sheet, "zero_checks", key)


@blueprint.post("/quantities")
@blueprint.arguments(NewQuantity)
@blueprint.response(201, SheetChangeSchema)
def add_quantity(body: dict[str, Any], sheet: str) -> dict[str, Any]:
    """A new quantity without readings."""
    usual = {"convention": settings()["convention"]}
    return _add(sheet, "measurements", {**usual, **body})


@blueprint.route("/quantities/<path:key>")
class QuantityResource(MethodView):
    """One quantity of a sheet."""

    @blueprint.arguments(QuantityFields)
    @blueprint.response(200, SheetChangeSchema)
    def patch(self, body: dict[str, Any], sheet: str, key: str) -> dict[str, Any]:
        """Change it. 412 if changed meanwhile; 422 if its readings do not fit any more."""
        return _amend(sheet, "measurements", key, body)

    @blueprint.response(200, SheetChangeSchema)
    def delete(self, sheet: str, key: str) -> dict[str, Any]:
        """Take it away with its readings. 422 while something is derived from it."""
        return _remove(sheet, "measurements", key)


@blueprint.post("/derived")
@blueprint.arguments(NewDerived)
@blueprint.response(201, SheetChangeSchema)
def add_derived(body: dict[str, Any], sheet: str) -> dict[str, Any]:
    """A new derived quantity. 422 if its formula, inputs and unit do not go together."""
    usual = {"convention": settings()["convention"]}
    return _add(sheet, "derived", {**usual, **body})


@blueprint.route("/derived/<path:key>")
class DerivedResource(MethodView):
    """One derived quantity of a sheet."""

    @blueprint.arguments(DerivedFields)
    @blueprint.response(200, SheetChangeSchema)
    def patch(self, body: dict[str, Any], sheet: str, key: str) -> dict[str, Any]:
        """Change it. 412 if changed meanwhile; 422 if it cannot be worked out so."""
        return _amend(sheet, "derived", key, body)

    @blueprint.response(200, SheetChangeSchema)
    def delete(self, sheet: str, key: str) -> dict[str, Any]:
        """Take it away."""
        return _remove(sheet, "derived", key)


@blueprint.post("/readings")
@blueprint.arguments(NewReading)
@blueprint.response(201, SheetChangeSchema)
def add_reading(body: dict[str, Any], sheet: str) -> dict[str, Any]:
    """A new reading of the quantity that ``quantity`` names. 422 if the scale cannot show it.

    Its figures stand as in a logbook, or under ``typed`` as they were typed at the bench.
    """
    quantity = body.pop("quantity")
    if typed := body.pop("typed", None):
        body |= understood(notebook().sheet(sheet).quantity(quantity), typed)
    return _add(sheet, OBSERVATIONS, {**body, "at": _now()}, quantity)


@blueprint.route("/readings/<key>")
class ReadingResource(MethodView):
    """One reading of a sheet."""

    @blueprint.arguments(ReadingPatch)
    @blueprint.response(200, SheetChangeSchema)
    def patch(self, body: dict[str, Any], sheet: str, key: str) -> dict[str, Any]:
        """Change it; figures that change stay in its history. 412 if changed meanwhile."""
        titles = {"excluded": "set-aside", "looked_again": "settle"}
        named = [title for name, title in titles.items() if body.get(name)]
        return _amend(sheet, OBSERVATIONS, key, body, *named[:1])

    @blueprint.response(200, SheetChangeSchema)
    def delete(self, sheet: str, key: str) -> dict[str, Any]:
        """Take it away; for a reading that was made, setting aside is the honest way."""
        return _remove(sheet, OBSERVATIONS, key)
