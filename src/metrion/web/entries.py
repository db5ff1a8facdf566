"""``/api/sheets/<sheet>/…``: instruments, zero checks, quantities and readings, one by one.

Every write answers with what changed of the sheet. New entries may carry an id of the client's
making; changes carry ``If-Match`` with the version of the entry; an ``Idempotency-Key`` makes
sending twice harmless.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from contextlib import suppress
from dataclasses import replace
from datetime import UTC, datetime

from flask import request
from flask.views import MethodView
from sqlalchemy.orm import Session

from metrion.core.json import Json, Record
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.uses import uses
from metrion.formats.faults import Refused
from metrion.store import NotHere
from metrion.store.commands import Change
from metrion.store.documents import entries
from metrion.store.models import Sheet
from metrion.store.records import OBSERVATIONS, Kept
from metrion.store.sheets import find_entry, new_entry
from metrion.store.tools import amend_tool, find_tool
from metrion.web.bodies import Blueprint
from metrion.web.notebook import notebook
from metrion.web.present import change_view
from metrion.web.schemas import (
    DerivedFields,
    InstrumentPatch,
    NewDerived,
    NewInstrument,
    NewQuantity,
    NewReading,
    NewZeroCheck,
    QuantityFields,
    ReadingPatch,
    SheetChangeView,
    ZeroCheckPatch,
    schema_of,
)
from metrion.web.schemas.declared import Told
from metrion.web.settings import settings
from metrion.web.speaking import InUse, refuse, speaker
from metrion.web.typed import understood
from metrion.web.unit_change import what_was_read

blueprint = Blueprint("entries", __name__, url_prefix="/api/sheets/<sheet>")

_VERSION = re.compile(r"[0-9]{1,18}")
_NOT_LOOKED_AT = ("zero_exact", "zero_taken_over")
_SCALE = ("main", "fine", "second_turn", *PAIR_INDICATIONS)


def seen_version() -> int:
    """The version of an entry that the client has seen: 428 if it does not say."""
    given = request.headers.get("If-Match", "").strip('"')
    if not _VERSION.fullmatch(given):
        refuse(428, "no-version-said")
    return int(given)


Also = Callable[[Session, Sheet, Kept], list[Change]]
"""What else changes in the step that adds or changes an entry."""


def _nothing(_session: Session, _found: Sheet, _entry: Kept) -> list[Change]:
    return []


def _add(
    sheet: str, section: str, told: Told, more: Record, also: Also = _nothing
) -> SheetChangeView:
    """Add an entry behind its like.

    Args:
        more: what the server says of it.
        also: what else changes with it.
    """
    record = _without_nulls({**told.record, **more})
    measurement = told.quantity or None if section == OBSERVATIONS else None

    def build(session: Session, found: Sheet) -> list[Change]:
        if measurement is not None:
            find_entry(session, found, "measurements", measurement)
        entry = new_entry(session, found, section, record, key=told.id, measurement=measurement)
        own = own_convention(session, found, record)
        kept = answers_kept(session, found, entry, told)
        return [*own, *kept, Change(section, None, entry), *also(session, found, entry)]

    return change_view(notebook().change(sheet, f"add-{section}", build))


def _amend(
    sheet: str, section: str, key: str, told: Told, title: str = "", also: Also = _nothing
) -> SheetChangeView:
    """Change fields of an entry; a null takes a field away.

    Args:
        also: what else changes with it.
    """
    version = seen_version()

    def build(session: Session, found: Sheet) -> list[Change]:
        before = find_entry(session, found, section, key, version)
        changed = Change(section, before, amended(before, told))
        kept = answers_kept(session, found, before, told)
        own = own_convention(session, found, told.record)
        return [*own, *kept, changed, *also(session, found, before)]

    return change_view(notebook().change(sheet, title or f"change-{section}", build))


def own_convention(session: Session, found: Sheet, record: Record) -> list[Change]:
    """A convention of one's own comes into the logbook with the first that uses it."""
    key = str(record.get("convention"))
    own = notebook().own_conventions().get(key)
    here = {entry.id for entry in entries(session, found, "conventions")}
    if own is None or key in here:
        return []
    return [Change("conventions", None, new_entry(session, found, "conventions", own, key=key))]


def answers_kept(session: Session, found: Sheet, entry: Kept, told: Told) -> list[Change]:
    """What was answered of a tool's figures is kept with it, unless it says so already.

    One's own tool of that id keeps it for the sheets to come.

    Args:
        entry: a reading or a zero check of that tool.
    """
    said = told.typed.answered if told.typed else told.answered
    answered = said.as_kept if said else {}
    if not answered:
        return []
    if entry.measurement:
        read = find_entry(session, found, "measurements", entry.measurement).record
    else:
        read = entry.record
    tool = find_entry(session, found, "instruments", str(read["instrument"]))
    new = {name: value for name, value in answered.items() if name not in tool.record}
    if not new:
        return []
    with suppress(NotHere):
        own = find_tool(session, tool.id)
        if any(name not in own.record for name in new):
            amend_tool(own, {**new, **own.record})
    return [Change("instruments", tool, replace(tool, record={**tool.record, **new}))]


def amended(entry: Kept, told: Told) -> Kept:
    """An entry with changed fields; figures that were read and change go into its history."""
    record = {**entry.record, **told.record}
    before, after = ({n: r[n] for n in _SCALE if n in r} for r in (entry.record, record))
    if before and before != after:
        history = entry.record.get("history")
        earlier: Json = {**before, "at": _now(), "why": told.why}
        record["history"] = [*(history if isinstance(history, list) else []), earlier]
        # What was settled was settled for the old figures.
        record.pop("looked_again", None)
    return replace(entry, record=_without_nulls(record))


def _without_nulls(record: Record) -> Record:
    """A record without the fields that are null, those of its looks included."""
    return {
        name: _without_nulls(value)
        if name in PAIR_INDICATIONS and isinstance(value, dict)
        else value
        for name, value in record.items()
        if value is not None
    }


def _remove(sheet: str, section: str, key: str) -> SheetChangeView:
    """Take an entry away; a quantity takes its readings with it. Undo brings all back."""
    version = seen_version()

    def build(session: Session, found: Sheet) -> Sequence[Change]:
        entry = find_entry(session, found, section, key, version)
        readings = entries(session, found, OBSERVATIONS) if section == "measurements" else []
        gone = [Change(OBSERVATIONS, r, None) for r in readings if r.measurement == key]
        return [*gone, Change(section, entry, None)]

    try:
        return change_view(notebook().change(sheet, f"remove-{section}", build))
    except Refused:
        if used := uses(notebook().sheet(sheet).results.logbook, section, key):
            raise InUse(used) from None
        raise


def _usual(sheet: str, told: Told) -> Record:
    """What is in force where neither a client nor the sheet says otherwise."""
    if told.record.get("convention") or notebook().sheet(sheet).extra.get("convention"):
        return {}
    return {"convention": settings()["convention"]}


def _other_units(sheet: str, told: Told) -> Record:
    """A quantity in inches is given in millimetres too."""
    tools = notebook().sheet(sheet).results.logbook.instruments
    inches = any(one.id == told.record.get("instrument") and one.unit == "in" for one in tools)
    return {"also_in": ["mm"]} if inches and "also_in" not in told.record else {}


def _now() -> str:
    return datetime.now(UTC).isoformat(timespec="seconds")


@blueprint.post("/instruments")
@blueprint.arguments(NewInstrument)
@blueprint.response(201, schema_of(SheetChangeView))
def add_instrument(told: Told, sheet: str) -> SheetChangeView:
    """A new instrument. 422 if its numbers make no scale."""
    return _add(sheet, "instruments", told, {})


@blueprint.route("/instruments/<path:key>")
class InstrumentResource(MethodView):
    """One instrument of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(InstrumentPatch)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: Told, sheet: str, key: str) -> SheetChangeView:
        """Describe it anew. 412 if changed meanwhile; 422 if what was read no longer fits.

        Where its unit changes, ``what_was_read`` says what becomes of the readings.
        """

        def read(session: Session, found: Sheet, tool: Kept) -> list[Change]:
            return what_was_read(session, found, tool, told, at=_now())

        return _amend(sheet, "instruments", key, told, also=read)

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away. 422 while something refers to it."""
        return _remove(sheet, "instruments", key)


@blueprint.post("/zero_checks")
@blueprint.arguments(NewZeroCheck)
@blueprint.response(201, schema_of(SheetChangeView))
def add_zero_check(told: Told, sheet: str) -> SheetChangeView:
    """A new zero check, used by ``quantity``, if it names one. 422 if the scale cannot show it.

    With ``replaces`` the first of those has its figures from now on, and the earlier ones in its
    history; ``quantity`` uses the others no more.
    """
    if told.replaces:
        return _replace_looks(sheet, told)

    def used(session: Session, found: Sheet, check: Kept) -> list[Change]:
        if not told.quantity:
            return []
        before = find_entry(session, found, "measurements", told.quantity)
        looks = before.record.get("zero")
        zero: list[Json] = [*(looks if isinstance(looks, list) else []), check.id]
        # A look of one's own: nothing is taken as exact, or over from others.
        own = {name: one for name, one in before.record.items() if name not in _NOT_LOOKED_AT}
        return [Change("measurements", before, replace(before, record={**own, "zero": zero}))]

    return _add(sheet, "zero_checks", told, {"at": _now()}, used)


def _replace_looks(sheet: str, told: Told) -> SheetChangeView:
    def build(session: Session, found: Sheet) -> list[Change]:
        first, *others = (find_entry(session, found, "zero_checks", key) for key in told.replaces)
        why = speaker().text("history-looked-again")
        now = replace(told, record={**told.record, "at": _now()}, why=why)
        changes = [
            *answers_kept(session, found, first, told),
            Change("zero_checks", first, amended(first, now)),
        ]
        if told.quantity and others:
            before = find_entry(session, found, "measurements", told.quantity)
            looks, gone = before.record.get("zero"), {one.id for one in others}
            left = [one for one in looks if one not in gone] if isinstance(looks, list) else []
            after = replace(before, record={**before.record, "zero": left})
            changes.append(Change("measurements", before, after))
        return changes

    return change_view(notebook().change(sheet, "replace-zero_checks", build))


@blueprint.route("/zero_checks/<path:key>")
class ZeroCheckResource(MethodView):
    """One zero check of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(ZeroCheckPatch)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: Told, sheet: str, key: str) -> SheetChangeView:
        """Change it; everything it corrects follows. 412 if changed meanwhile."""
        return _amend(sheet, "zero_checks", key, told)

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away. 422 while a quantity names it."""
        return _remove(sheet, "zero_checks", key)


@blueprint.post("/quantities")
@blueprint.arguments(NewQuantity)
@blueprint.response(201, schema_of(SheetChangeView))
def add_quantity(told: Told, sheet: str) -> SheetChangeView:
    """A new quantity without readings."""
    return _add(sheet, "measurements", told, _usual(sheet, told) | _other_units(sheet, told))


@blueprint.route("/quantities/<path:key>")
class QuantityResource(MethodView):
    """One quantity of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(QuantityFields)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: Told, sheet: str, key: str) -> SheetChangeView:
        """Change it. 412 if changed meanwhile; 422 if its readings do not fit any more."""
        return _amend(sheet, "measurements", key, told)

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away with its readings. 422 while something is derived from it."""
        return _remove(sheet, "measurements", key)


@blueprint.post("/derived")
@blueprint.arguments(NewDerived)
@blueprint.response(201, schema_of(SheetChangeView))
def add_derived(told: Told, sheet: str) -> SheetChangeView:
    """A new derived quantity. 422 if its formula, inputs and unit do not go together."""
    return _add(sheet, "derived", told, _usual(sheet, told))


@blueprint.route("/derived/<path:key>")
class DerivedResource(MethodView):
    """One derived quantity of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(DerivedFields)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: Told, sheet: str, key: str) -> SheetChangeView:
        """Change it. 412 if changed meanwhile; 422 if it cannot be worked out so."""
        return _amend(sheet, "derived", key, told)

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away."""
        return _remove(sheet, "derived", key)


@blueprint.post("/readings")
@blueprint.arguments(NewReading)
@blueprint.response(201, schema_of(SheetChangeView))
def add_reading(told: Told, sheet: str) -> SheetChangeView:
    """A new reading of the quantity that ``quantity`` names. 422 if the scale cannot show it.

    Its figures stand as in a logbook, or under ``typed`` as they were typed at the bench.
    """
    figures: Record = {}
    if told.typed:
        figures = understood(notebook().sheet(sheet).kept_quantity(told.quantity), told.typed)
    return _add(sheet, OBSERVATIONS, told, {**figures, "at": _now()})


@blueprint.route("/readings/<key>")
class ReadingResource(MethodView):
    """One reading of a sheet."""

    @blueprint.versioned
    @blueprint.arguments(ReadingPatch)
    @blueprint.response(200, schema_of(SheetChangeView))
    def patch(self, told: Told, sheet: str, key: str) -> SheetChangeView:
        """Change it; figures that change stay in its history. 412 if changed meanwhile."""
        titles = {"excluded": "set-aside", "looked_again": "settle"}
        named = [title for name, title in titles.items() if told.record.get(name)]
        return _amend(sheet, OBSERVATIONS, key, told, next(iter(named), ""))

    @blueprint.versioned
    @blueprint.response(200, schema_of(SheetChangeView))
    def delete(self, sheet: str, key: str) -> SheetChangeView:
        """Take it away; for a reading that was made, setting aside is the honest way."""
        return _remove(sheet, OBSERVATIONS, key)
