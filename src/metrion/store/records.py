"""Rows as the records that a logbook file holds, and back."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from sqlalchemy import insert
from sqlalchemy.orm import Session

from metrion.core.facts import Name, fact
from metrion.core.json import Json, Record, text_in
from metrion.core.logbook import SECTIONS as IN_A_FILE
from metrion.store.errors import Damaged
from metrion.store.models import EntryRow, Sheet
from metrion.store.types import Spoilt

OBSERVATIONS = "observations"
SECTIONS = (*IN_A_FILE, OBSERVATIONS)
"""The sections that the entries of a sheet are kept in: those of a file, and observations."""

HEAD = "head"
"""The section of what stands at the head of a sheet: its title, and fields kept for the record."""


@dataclass(frozen=True)
class EntryVersion:
    """An entry of a sheet: its record, and what the store knows besides.

    Attributes:
        id: the id of the entry.
        record: its fields as in a logbook file.
        position: its place among its like.
        version: grows with every change.
        measurement: of an observation, the measurement it belongs to.
    """

    id: str
    record: Record
    position: int
    version: int
    measurement: str | None = None


def head_of(sheet: Sheet) -> EntryVersion:
    """What stands at the head of a sheet, as an entry of its own. Raises `Damaged`."""
    extra = whole_record(sheet.extra, HEAD, sheet.id)
    return EntryVersion(sheet.id, {"title": sheet.title, **extra}, 0, sheet.version)


def fill_head(sheet: Sheet, record: Record) -> None:
    """Write a head into its sheet."""
    sheet.title = text_in(record, "title")
    sheet.extra = {name: value for name, value in record.items() if name != "title"}


def kept(row: EntryRow) -> EntryVersion:
    """A row as an entry. Raises `Damaged`."""
    record = whole_record(row.record, row.section, row.id)
    return EntryVersion(row.id, dict(record), row.position, row.version, row.measurement)


def whole_record(found: Json, section: str, key: str) -> Record:
    """A record as it was kept. Raises `Damaged` if its text is none any more."""
    if not isinstance(found, dict) or isinstance(found, Spoilt):
        raise Damaged(fact("damaged-record", section=section, key=Name(key)))
    return found


def add_rows(session: Session, sheet_id: str, new: Iterable[tuple[str, EntryVersion]]) -> None:
    """Keep new entries of a sheet, each with its section."""
    rows = [{"sheet_id": sheet_id, "section": section, **vars(entry)} for section, entry in new]
    if rows:
        session.execute(insert(EntryRow), rows)
