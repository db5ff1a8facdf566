"""A sheet as the document of its logbook file."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from sqlalchemy import Text, select, type_coerce
from sqlalchemy.orm import Session

from metrion.core.facts import Fact
from metrion.core.json import Json, Record, records_in, text_in
from metrion.core.logbook import SECTIONS as IN_A_FILE
from metrion.core.logbook import Logbook
from metrion.formats.archive import Filed
from metrion.formats.logbook import FORMAT, VERSION, parse_logbook
from metrion.formats.strict_json import write_json
from metrion.store.entries import SheetEntries
from metrion.store.errors import Damaged, NotHere
from metrion.store.models import EntryRow, Sheet
from metrion.store.pictures import find_pictures
from metrion.store.records import HEAD, OBSERVATIONS, SECTIONS, head_of, kept


@dataclass(frozen=True)
class SheetSnapshot:
    """A sheet as it stands: its entries, its document, and the logbook read from it."""

    entries: SheetEntries
    document: Record
    logbook: Logbook


def kept_entries(session: Session, sheet: Sheet) -> SheetEntries:
    """All entries of a sheet."""
    own = select(EntryRow).where(EntryRow.sheet_id == sheet.id)
    found = SheetEntries({HEAD: [head_of(sheet)], **{section: [] for section in SECTIONS}})
    for row in session.scalars(own.order_by(EntryRow.position, EntryRow.id)):
        found[row.section].append(kept(row))
    return found


def sheet_document(session: Session, sheet: Sheet) -> Record:
    """The ``metrion-logbook`` document of a sheet."""
    return document_of(kept_entries(session, sheet))


def whole_sheet(session: Session, sheet: Sheet) -> SheetSnapshot:
    """A sheet as it stands. Raises `Refused` if it makes no logbook."""
    found = kept_entries(session, sheet)
    document = document_of(found)
    return SheetSnapshot(found, document, parse_logbook(document, kept=True))


def document_of(kept: SheetEntries, before: SheetSnapshot | None = None) -> Record:
    """The document that entries make; what has not changed since before is the same object."""
    [head] = kept[HEAD]
    document: Record = {
        "format": FORMAT, "version": VERSION, "id": head.id, "title": head.record["title"],
    }  # fmt: skip
    for section in IN_A_FILE:
        document[section] = [entry.record for entry in kept[section]]
    earlier = before.entries if before else SheetEntries({"measurements": [], OBSERVATIONS: []})
    made = _by_id(before.document, "measurements") if before else {}
    document["measurements"] = [
        made[one.id]
        if one is earlier.by_id("measurements").get(one.id)
        and kept.observations.get(one.id) is earlier.observations.get(one.id)
        else {
            **one.record,
            OBSERVATIONS: [each.record for each in kept.observations.get(one.id, [])],
        }
        for one in kept["measurements"]
    ]
    return {**document, **head.record, "id": head.id}


def logbook_file(session: Session, sheet: Sheet, quantity: str | None = None) -> bytes:
    """A sheet as its ``metrion-logbook`` file; or one quantity with all that it needs.

    Raises:
        NotHere: if there is no such quantity.
    """
    document = sheet_document(session, sheet)
    if quantity is not None:
        document = _only(document, quantity)
    return _file_of(document)


def _file_of(document: Record) -> bytes:
    return (write_json(document) + "\n").encode()


def _only(document: Record, quantity: str) -> Record:
    """A logbook of one measurement, its instrument, its zero checks and its convention.

    It is another sheet than that which it was taken from, and so has not its id.
    """
    wanted = _by_id(document, "measurements").get(quantity)
    if wanted is None:
        raise NotHere("quantity", quantity)
    zero = wanted.get("zero")
    needed: dict[str, list[Json]] = {
        "instruments": [wanted["instrument"]],
        "zero_checks": zero if isinstance(zero, list) else [],
        "conventions": [wanted.get("convention"), document.get("convention")],
        "derived": [],
    }
    kept: Record = {
        section: [one for key, one in _by_id(document, section).items() if key in keys]
        for section, keys in needed.items()
    }
    own = {name: value for name, value in document.items() if name != "id"}
    return {**own, **kept, "measurements": [wanted]}


def _by_id(document: Record, section: str) -> dict[str, Record]:
    return {text_in(one, "id"): one for one in records_in(document, section)}


def sheet_text(session: Session, sheet: Sheet) -> bytes:
    """A sheet as the text of its rows, where that is all that can be had of it."""
    own = select(
        EntryRow.section, EntryRow.id, EntryRow.measurement, type_coerce(EntryRow.record, Text)
    ).where(EntryRow.sheet_id == sheet.id)
    extra = session.scalar(select(type_coerce(Sheet.extra, Text)).where(Sheet.id == sheet.id))
    lines = [f"{HEAD}\t{sheet.id}\t\t{sheet.title}\t{extra}"]
    for row in session.execute(own.order_by(EntryRow.section, EntryRow.position, EntryRow.id)):
        lines.append("\t".join(str(one or "") for one in row))
    return ("\n".join(lines) + "\n").encode("utf-8", "replace")


@dataclass(frozen=True)
class AllFiled:
    """Sheets as they go into an archive, and those that cannot, each with the reason."""

    whole: list[Filed]
    left_out: list[tuple[Sheet, Fact]]


def all_filed(session: Session, sheets: Iterable[Sheet]) -> AllFiled:
    """Sheets as they lie in an archive; what cannot be read keeps no other out."""
    found = AllFiled([], [])
    for sheet in sheets:
        try:
            found.whole.append(filed(session, sheet))
        except Damaged as damage:
            found.left_out.append((sheet, damage.reason))
    return found


def filed(session: Session, sheet: Sheet) -> Filed:
    """A sheet as it lies in an archive of many, with its pictures. Raises `Damaged`."""
    document = sheet_document(session, sheet)
    pictures = find_pictures(session, sheet, document)
    return Filed(sheet.id, sheet.title, _file_of(document), pictures=pictures)
