"""A sheet as the document of its logbook file."""

from __future__ import annotations

from collections import defaultdict
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session

from metrion.core.logbook import SECTIONS as IN_A_FILE
from metrion.formats.archive import Filed
from metrion.formats.logbook import FORMAT, VERSION
from metrion.formats.strict_json import write_json
from metrion.store.errors import NotHere
from metrion.store.models import EntryRow, Sheet
from metrion.store.records import OBSERVATIONS, Kept, kept


def entries(session: Session, sheet: Sheet, section: str) -> list[Kept]:
    """The entries of one section, in order."""
    own = EntryRow.sheet_id == sheet.id, EntryRow.section == section
    found = select(EntryRow).where(*own).order_by(EntryRow.position, EntryRow.id)
    return [kept(row) for row in session.scalars(found)]


def sheet_document(session: Session, sheet: Sheet) -> dict[str, Any]:
    """The ``metrion-logbook`` document of a sheet."""
    observations: dict[str, list[dict[str, Any]]] = defaultdict(list)
    for entry in entries(session, sheet, OBSERVATIONS):
        observations[entry.measurement or ""].append(entry.record)
    document: dict[str, Any] = {"format": FORMAT, "version": VERSION, "title": sheet.title}
    for section in IN_A_FILE:
        document[section] = [entry.record for entry in entries(session, sheet, section)]
    for measurement in document["measurements"]:
        measurement[OBSERVATIONS] = observations[measurement["id"]]
    return document | sheet.extra


def logbook_file(session: Session, sheet: Sheet, quantity: str | None = None) -> bytes:
    """A sheet as its ``metrion-logbook`` file; or one quantity with all that it needs.

    Raises:
        NotHere: if there is no such quantity.
    """
    document = sheet_document(session, sheet)
    if quantity is not None:
        document = _only(document, quantity)
    return (write_json(document) + "\n").encode()


def _only(document: dict[str, Any], quantity: str) -> dict[str, Any]:
    """A logbook of one measurement, its instrument, its zero checks and its convention."""
    wanted = [one for one in document["measurements"] if one["id"] == quantity]
    if not wanted:
        raise NotHere("quantity", quantity)
    needed = {
        "instruments": {wanted[0]["instrument"]},
        "zero_checks": set(wanted[0].get("zero", ())),
        "conventions": {wanted[0]["convention"]},
        "derived": set(),
    }
    kept = {
        section: [one for one in document[section] if one["id"] in ids]
        for section, ids in needed.items()
    }
    return {**document, **kept, "measurements": wanted}


def filed(session: Session, sheet: Sheet) -> Filed:
    """A sheet as it lies in an archive of many."""
    return Filed(sheet.id, sheet.title, logbook_file(session, sheet))
