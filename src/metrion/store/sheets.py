"""Sheets: made, taken in, listed, thrown away and brought back."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from datetime import UTC, datetime
from itertools import chain, count

from sqlalchemy import select
from sqlalchemy.orm import Session

from metrion.core.declared import NAME
from metrion.core.json import Json, Record, records_in, text_in
from metrion.core.logbook import SECTIONS as IN_A_FILE
from metrion.formats.logbook import parse_for_notebook
from metrion.store.entries import new_id
from metrion.store.errors import NotHere, TakenId
from metrion.store.models import Sheet
from metrion.store.records import OBSERVATIONS, EntryVersion, add_rows, fill_head

_NOT_KEPT = {"format", "version", "id", *IN_A_FILE}


def add_sheet(session: Session, title: str, key: str | None = None) -> Sheet:
    """A new, empty sheet."""
    now = datetime.now(UTC)
    sheet = Sheet(
        id=key or new_id(), title=title, version=1, created_at=now, changed_at=now, extra={}
    )
    if session.get(Sheet, sheet.id):
        raise TakenId("sheet", sheet.id)
    session.add(sheet)
    session.flush()
    return sheet


def free_title(session: Session, title: str) -> str:
    """A title that no sheet has which is there: itself, or itself with the first number free."""
    taken = set(session.scalars(select(Sheet.title).where(Sheet.deleted_at.is_(None))))
    numbers = (f" {number}" for number in count(2))
    tried = chain([title], (f"{title[: NAME - len(one)]}{one}" for one in numbers))
    return next(one for one in tried if one not in taken)


def take_in(session: Session, document: Json, key: str | None = None) -> Sheet:
    """A new sheet from the document of a logbook file.

    Raises:
        Refused: with every fault of the document; nothing is stored then.
    """
    parse_for_notebook(document)
    assert isinstance(document, dict)
    return put_in(session, document, key)


def put_in(session: Session, document: Record, key: str | None = None) -> Sheet:
    """A new sheet from a document that was found to be a logbook."""
    head = head_record(document)
    sheet = add_sheet(session, text_in(head, "title"), key)
    fill_head(sheet, head)
    session.flush()
    add_rows(session, sheet.id, entries_of(document))
    return sheet


def head_record(document: Record) -> Record:
    """What stands at the head of a logbook document: its title, and what is for the record only."""
    kept = {name: value for name, value in document.items() if name not in _NOT_KEPT}
    return {"title": "", **kept}


def entries_of(document: Record) -> Iterator[tuple[str, EntryVersion]]:
    """The entries of a logbook document by section; observations get ids of their own."""
    for section in IN_A_FILE:
        for position, given in enumerate(records_in(document, section)):
            record = dict(given)
            if section == "measurements":
                del record[OBSERVATIONS]
            yield section, EntryVersion(text_in(given, "id"), record, position, 1)
    for measurement in records_in(document, "measurements"):
        owner = text_in(measurement, "id")
        for position, record in enumerate(records_in(measurement, OBSERVATIONS)):
            yield OBSERVATIONS, EntryVersion(new_id(), record, position, 1, owner)


def all_sheets(session: Session, *, deleted: bool = False) -> Sequence[Sheet]:
    """The sheets that are there, or those in the trash, the one changed last first."""
    there = Sheet.deleted_at.is_not(None) if deleted else Sheet.deleted_at.is_(None)
    found = select(Sheet).where(there).order_by(Sheet.changed_at.desc(), Sheet.id)
    return session.scalars(found).all()


def find_sheet(session: Session, key: str, *, deleted: bool = False) -> Sheet:
    """The sheet with this id; also one in the trash if asked. Raises `NotHere`."""
    sheet = session.get(Sheet, key)
    if sheet is None or (sheet.deleted_at is not None and not deleted):
        raise NotHere("sheet", key)
    return sheet
