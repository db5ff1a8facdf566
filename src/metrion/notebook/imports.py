"""Files that arrive: what is new in them, what is here already, and taking them in."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import UTC, datetime
from enum import StrEnum

from sqlalchemy.orm import Session

from metrion.core.json import Json, Record, records_in
from metrion.formats.archive import Filed
from metrion.formats.clock import Clock
from metrion.formats.faults import Fault, Refused, refusal
from metrion.formats.logbook import parse_for_notebook
from metrion.formats.pictures import Picture
from metrion.formats.state import canonical, sheet_id
from metrion.formats.strict_json import read_json
from metrion.notebook.notebook import Notebook
from metrion.store.commands import Change, CommandStep, undoing, write
from metrion.store.documents import kept_entries, sheet_document
from metrion.store.errors import Damaged, Stale
from metrion.store.idempotency import OnceRequest, once
from metrion.store.models import Sheet
from metrion.store.pictures import keep_pictures, to_keep
from metrion.store.records import HEAD
from metrion.store.sheets import entries_of, find_sheet, head_record, put_in

_SECONDS = 60.0
"""That files may be looked through."""


class Standing(StrEnum):
    """How a file stands to the sheets that are here."""

    NEW = "new"
    SAME = "same"
    DIFFERS = "differs"
    FAULTY = "faulty"
    OTHER = "other"
    """No logbook at all."""


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
        key: which sheet it is; empty where it does not say.
        sheet: the sheet here that it is.
        version: of that sheet.
        here: that sheet as a document.
        faults: what is wrong with the file.
        earlier: the file before it that is the same sheet, where both came at once.
        pictures: that came with it, by their names.
    """

    file: str
    title: str
    standing: Standing
    document: Record | None = None
    key: str = ""
    sheet: str | None = None
    version: int = 0
    here: Record | None = None
    faults: tuple[Fault, ...] = ()
    earlier: str = ""
    pictures: Mapping[str, bytes] = field(default_factory=dict)

    @property
    def possible(self) -> tuple[Decision, ...]:
        """What can be done with it."""
        if self.document is None:
            return (Decision.SKIP,)
        if self.standing is Standing.DIFFERS and self.sheet is not None:
            return (Decision.SKIP, Decision.NEW, Decision.REPLACE)
        return (Decision.SKIP, Decision.NEW)

    @property
    def usual(self) -> Decision:
        """What is done with it unless somebody decides otherwise."""
        return Decision.NEW if self.standing is Standing.NEW else Decision.SKIP


def looked_through(session: Session, files: Iterable[Filed]) -> Iterator[Arrival]:
    """How each of many logbooks stands to what is here, and to those before it.

    Raises `Refused` if that takes too long.
    """
    clock = Clock(_SECONDS)
    first: dict[str, Arrival] = {}
    for one in files:
        clock.check()
        found = arrival(session, one)
        before = first.setdefault(found.key, found) if found.key else found
        yield found if found is before else _after(before, found)


def passed_over(files: Iterable[str]) -> list[Arrival]:
    """Files that came with others, and are none that could be taken in."""
    return [Arrival(name, name, Standing.OTHER) for name in files]


def _after(first: Arrival, found: Arrival) -> Arrival:
    """An arrival of the same sheet as one before it."""
    assert first.document is not None
    assert found.document is not None
    if found.sheet is not None:
        return replace(found, earlier=first.file)
    same = canonical(first.document) == canonical(found.document)
    standing = Standing.SAME if same else Standing.DIFFERS
    return replace(found, standing=standing, earlier=first.file)


def arrival(session: Session, filed: Filed) -> Arrival:
    """How one logbook stands to what is here. Nothing is stored."""
    if filed.faults:
        return Arrival(filed.file, filed.title, Standing.FAULTY, faults=filed.faults)
    try:
        document = read_json(filed.content)
        title = parse_for_notebook(document).title
        assert isinstance(document, dict)
    except Refused as refused:
        title = filed.title or filed.file
        return Arrival(filed.file, title, Standing.FAULTY, faults=refused.faults)
    # Files of earlier versions do not say it; the list of their archive does.
    key = sheet_id(document) or sheet_id({"id": filed.id})
    found = Arrival(filed.file, title, Standing.NEW, document, key, pictures=filed.pictures)
    sheet = session.get(Sheet, key) if key else None
    if sheet is None or sheet.deleted_at is not None:
        return found
    try:
        here = sheet_document(session, sheet)
    except Damaged:
        # What is left of it cannot be compared: the file comes in beside it.
        return found
    same = canonical(here) == canonical(document)
    standing = Standing.SAME if same else Standing.DIFFERS
    return replace(found, standing=standing, sheet=sheet.id, version=sheet.version, here=here)


def take(session: Session, arrival: Arrival, decision: Decision, window: str = "") -> Sheet | None:
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
        taken = session.get(Sheet, arrival.key) is not None
        made = put_in(session, arrival.document, None if taken else arrival.key or None)
        keep_pictures(session, made, to_keep(arrival.document, arrival.pictures))
        return made
    if arrival.sheet is None:
        raise Stale
    sheet = find_sheet(session, arrival.sheet)
    if sheet.version != arrival.version:
        raise Stale
    pictures = to_keep(arrival.document, arrival.pictures)
    return _replace(session, sheet, arrival.document, pictures, window)


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
    decided = list(decided)
    replaced = [one.sheet for one, decision in decided if decision is Decision.REPLACE]
    if len(set(replaced)) < len(replaced):
        raise refusal("replaced-twice")
    with notebook.store.writing() as session:
        window = asked.window if asked else ""
        taken = once(session, asked, lambda: [_taken(session, *one, window) for one in decided])
    return records_in({"": taken}, "")


@dataclass(frozen=True)
class Taken:
    """What became of a logbook that was taken in.

    Attributes:
        id: of its sheet.
        version: of that sheet, as it then was.
        decision: how it was taken in.
    """

    id: str
    version: int
    decision: Decision


def take_back(notebook: Notebook, taken: Iterable[Taken], asked: OnceRequest | None) -> list[str]:
    """Take files out again that were taken in: new sheets go to the trash, others are as before.

    Returns:
        Ids of the sheets that were left, since somebody changed them meanwhile.
    """

    def left() -> list[Json]:
        return [one.id for one in taken if not _taken_back(session, one)]

    with notebook.store.writing() as session:
        found = once(session, asked, left)
    return [str(key) for key in found] if isinstance(found, list) else []


def _taken_back(session: Session, taken: Taken) -> bool:
    sheet = session.get(Sheet, taken.id)
    if sheet is None or sheet.deleted_at is not None or sheet.version != taken.version:
        return False
    if taken.decision is Decision.REPLACE:
        write(session, sheet, undoing(session, sheet))
    else:
        sheet.deleted_at = datetime.now(UTC)
    return True


def _taken(session: Session, came: Arrival, decision: Decision, window: str) -> Record:
    sheet = take(session, came, decision, window)
    title = sheet.title if sheet else came.title
    return {
        "id": sheet.id if sheet else None, "version": sheet.version if sheet else 0,
        "title": title, "file": came.file, "decision": str(decision),
    }  # fmt: skip


def _replace(
    session: Session, sheet: Sheet, document: Record, pictures: Sequence[Picture], window: str
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
    step = CommandStep("replace-sheet", [*gone[::-1], *changes], pictures=pictures)
    write(session, sheet, step, window=window)
    return sheet
