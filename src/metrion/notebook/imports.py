"""Files that arrive: what is new in them, what is here already, and taking them in."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from enum import StrEnum

from sqlalchemy import select
from sqlalchemy.orm import Session

from metrion.core.errors import OutOfBounds
from metrion.core.exact.bounds import check_id
from metrion.core.json import Record, records_in
from metrion.formats.archive import Filed, is_archive, read_archive
from metrion.formats.attachments import is_pdf, read_carried
from metrion.formats.clock import Clock
from metrion.formats.faults import Fault, Refused
from metrion.formats.logbook import parse_for_notebook
from metrion.formats.pictures import Picture
from metrion.formats.processes import apart
from metrion.formats.state import canonical
from metrion.formats.strict_json import read_json
from metrion.notebook.notebook import Notebook
from metrion.store.commands import Change, CommandStep, write
from metrion.store.documents import kept_entries, sheet_document
from metrion.store.errors import Stale
from metrion.store.idempotency import OnceRequest, once
from metrion.store.models import Sheet
from metrion.store.pictures import keep_pictures, to_keep
from metrion.store.records import HEAD
from metrion.store.sheets import entries_of, find_sheet, head_record, put_in

_SECONDS = 60.0
"""That files may be looked through."""
_MOST_ALIKE = 20
"""Sheets of one title that a file is compared with."""


class Standing(StrEnum):
    """How a file stands to the sheets that are here."""

    NEW = "new"
    SAME = "same"
    DIFFERS = "differs"
    FAULTY = "faulty"


class Decision(StrEnum):
    """What is to be done with a file."""

    NEW = "new"
    REPLACE = "replace"
    SKIP = "skip"


@dataclass(frozen=True)
class Arrival:
    """One logbook that arrived.

    Attributes:
        file: the name of its file.
        title: of its sheet.
        standing: how it stands to the sheets that are here.
        document: what the file holds; None if it has faults.
        key: the id its sheet had where it comes from; may be empty.
        sheet: the sheet here that is the same, or that it can replace.
        version: of that sheet.
        faults: what is wrong with the file.
        pictures: that came with it, by their names.
    """

    file: str
    title: str
    standing: Standing
    document: Record | None = None
    key: str = ""
    sheet: str | None = None
    version: int = 0
    faults: tuple[Fault, ...] = ()
    pictures: Mapping[str, bytes] = field(default_factory=dict)

    @property
    def usual(self) -> Decision:
        """What is done with it unless somebody decides otherwise."""
        return Decision.NEW if self.standing is Standing.NEW else Decision.SKIP


def unpacked(content: bytes, name: str, wanted: Callable[[], bool] = lambda: True) -> list[Filed]:
    """The logbooks of a file: a single one, a ZIP of many, or a PDF that carries some.

    Args:
        wanted: whether somebody still waits for it.

    Raises:
        Refused: if it is a ZIP or a PDF that cannot be understood, or takes too much.
        Crowded, Unwanted: as `processes.apart` does.
    """
    if is_archive(content):
        return apart(read_archive, wanted)(content)
    if is_pdf(content):
        return apart(read_carried, wanted)(content)
    return [Filed("", "", content, name)]


def looked_through(session: Session, files: Iterable[Filed]) -> Iterator[Arrival]:
    """How each of many logbooks stands to what is here. Raises `Refused` if that takes too long."""
    clock = Clock(_SECONDS)
    for one in files:
        clock.check()
        yield arrival(session, one)


def arrival(session: Session, filed: Filed) -> Arrival:
    """How one logbook stands to what is here. Nothing is stored."""
    try:
        document = read_json(filed.content)
        title = parse_for_notebook(document).title
        assert isinstance(document, dict)
    except Refused as refused:
        title = filed.title or filed.file
        return Arrival(filed.file, title, Standing.FAULTY, faults=refused.faults)
    found = Arrival(filed.file, title, Standing.NEW, document, filed.id, pictures=filed.pictures)
    wanted = canonical(document)
    for sheet in _alike(session, title, filed.id):
        same = canonical(sheet_document(session, sheet)) == wanted
        if same or found.sheet is None:
            standing = Standing.SAME if same else Standing.DIFFERS
            found = replace(found, standing=standing, sheet=sheet.id, version=sheet.version)
        if same:
            break
    return found


def _alike(session: Session, title: str, key: str) -> list[Sheet]:
    """The sheets it could be: the one with its id first, then those with its title."""
    there = select(Sheet).where(Sheet.deleted_at.is_(None))
    same = there.where(Sheet.title == title).order_by(Sheet.changed_at.desc(), Sheet.id)
    by_title = session.scalars(same.limit(_MOST_ALIKE)).all()
    own = session.scalar(there.where(Sheet.id == key)) if key else None
    return [*([own] if own else []), *(sheet for sheet in by_title if sheet is not own)]


def take(session: Session, arrival: Arrival, decision: Decision) -> Sheet | None:
    """Do with a file what was decided; the sheet it became, None for one that was left.

    Raises:
        Refused: if the file has faults.
        Stale: if there is no sheet (any more) that it could replace.
    """
    if decision is Decision.SKIP:
        return None
    if arrival.document is None:
        raise Refused(arrival.faults)
    if decision is Decision.NEW:
        free = _is_free(session, arrival.key)
        made = put_in(session, arrival.document, arrival.key if free else None)
        keep_pictures(session, made, to_keep(arrival.document, arrival.pictures))
        return made
    if arrival.sheet is None:
        raise Stale
    sheet = find_sheet(session, arrival.sheet)
    if sheet.version != arrival.version:
        raise Stale
    return _replace(session, sheet, arrival.document, to_keep(arrival.document, arrival.pictures))


def take_all(
    notebook: Notebook,
    decided: Iterable[tuple[Arrival, Decision]],
    asked: OnceRequest | None = None,
) -> list[Record]:
    """Do with files what was decided, all or nothing, and once for a request.

    Returns:
        What became of each: the id and title of its sheet, its file, and the decision.

    Raises:
        Refused, Stale: as `take` does.
    """
    with notebook.store.writing() as session:
        taken = once(session, asked, lambda: [_taken(session, *one) for one in decided])
    return records_in({"": taken}, "")


def _taken(session: Session, came: Arrival, decision: Decision) -> Record:
    sheet = take(session, came, decision)
    title = sheet.title if sheet else came.title
    return {
        "id": sheet.id if sheet else None, "title": title, "file": came.file,
        "decision": str(decision),
    }  # fmt: skip


def _is_free(session: Session, key: str) -> bool:
    """Whether a sheet may have the id that it had where it comes from."""
    try:
        check_id(key)
    except OutOfBounds:
        return False
    return session.get(Sheet, key) is None


def _replace(
    session: Session, sheet: Sheet, document: Record, pictures: Sequence[Picture]
) -> Sheet:
    """Everything in a sheet as a file has it: one command, which undo takes back."""
    here = {
        (section, entry.id): entry
        for section, found in kept_entries(session, sheet).items()
        for entry in found
    }
    head = here[HEAD, sheet.id]
    coming = {(section, entry.id): entry for section, entry in entries_of(document)}
    coming[HEAD, sheet.id] = replace(head, record=head_record(document))
    gone = [
        Change(section, one, None)
        for (section, key), one in here.items()
        if (section, key) not in coming
    ]
    changes = [Change(key[0], here.get(key), one) for key, one in coming.items()]
    write(session, sheet, CommandStep("replace-sheet", [*gone[::-1], *changes], pictures=pictures))
    return sheet
