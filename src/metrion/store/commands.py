"""Changing a sheet: every change is a command that can be undone."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import asdict, dataclass
from datetime import UTC, datetime

from sqlalchemy import insert, select
from sqlalchemy.orm import Session

from metrion.core.json import Record, records_in, text_in
from metrion.core.logbook import SECTIONS as IN_A_FILE
from metrion.core.logbook import Logbook
from metrion.formats.faults import Refused
from metrion.formats.logbook import Earlier, parse_logbook
from metrion.store.documents import Whole, changed_entries, document_of, kept_entries
from metrion.store.errors import NothingToRedo, NothingToUndo
from metrion.store.models import ChangeRow, CommandRow, EntryRow, Sheet, State
from metrion.store.records import HEAD, OBSERVATIONS, Kept, fill_head, new_row
from metrion.store.sheets import new_id

_FEW = 100
"""Entries that are asked for one by one."""


@dataclass(frozen=True)
class Change:
    """What happens to one entry: ``before`` is None if it is new, ``after`` if it goes."""

    section: str
    before: Kept | None
    after: Kept | None

    @property
    def entry_id(self) -> str:
        """The id of the entry."""
        entry = self.after or self.before
        assert entry is not None
        return entry.id


def carry_out(
    session: Session,
    sheet: Sheet,
    title: str,
    changes: Sequence[Change],
    before: Whole | None = None,
) -> Whole:
    """Apply changes as one command, and check that the sheet is still a whole logbook.

    Args:
        before: the sheet as it was, where that is at hand: only what changes is read anew.

    Returns:
        The sheet as it is then.

    Raises:
        Refused: with every fault the sheet would have; the transaction is then to be given up.
    """
    for row in _commands(session, sheet, State.UNDONE):
        row.state = State.DROPPED
    command = CommandRow(
        sheet_id=sheet.id, key=new_id(), title=title, at=datetime.now(UTC), state=State.DONE
    )
    session.add(command)
    session.flush()
    rows = [
        {
            "command_id": command.id,
            "section": change.section,
            "entry_id": change.entry_id,
            "before": change.before and asdict(change.before),
            "after": change.after and asdict(change.after),
        }
        for change in changes
    ]
    if rows:
        session.execute(insert(ChangeRow), rows)
    targets = [(c.section, c.entry_id, c.after) for c in changes]
    return _apply(session, sheet, targets, before, changes)


def undo(session: Session, sheet: Sheet, before: Whole | None = None) -> Whole:
    """Take the last command back; the sheet as it is then. Raises `NothingToUndo`."""
    done = _commands(session, sheet, State.DONE)
    if not done:
        raise NothingToUndo
    command = done[-1]
    command.state = State.UNDONE
    changes = reversed(_changes(session, command))
    targets = [(c.section, c.entry_id, _kept(c.before)) for c in changes]
    return _apply(session, sheet, targets, before)


def redo(session: Session, sheet: Sheet, before: Whole | None = None) -> Whole:
    """Do the command again that was undone last; the sheet then. Raises `NothingToRedo`."""
    undone = _commands(session, sheet, State.UNDONE)
    if not undone:
        raise NothingToRedo
    command = undone[0]
    command.state = State.DONE
    changes = _changes(session, command)
    targets = [(c.section, c.entry_id, _kept(c.after)) for c in changes]
    return _apply(session, sheet, targets, before)


def undoable(session: Session, sheet: Sheet) -> tuple[str | None, str | None]:
    """The titles of what undo and redo would do next."""
    own = select(CommandRow.title).where(CommandRow.sheet_id == sheet.id)
    done = own.where(CommandRow.state == State.DONE).order_by(CommandRow.id.desc())
    undone = own.where(CommandRow.state == State.UNDONE).order_by(CommandRow.id)
    return session.scalar(done.limit(1)), session.scalar(undone.limit(1))


def _commands(session: Session, sheet: Sheet, state: State) -> Sequence[CommandRow]:
    found = select(CommandRow).where(CommandRow.sheet_id == sheet.id, CommandRow.state == state)
    return session.scalars(found.order_by(CommandRow.id)).all()


def _changes(session: Session, command: CommandRow) -> Sequence[ChangeRow]:
    found = select(ChangeRow).where(ChangeRow.command_id == command.id)
    return session.scalars(found.order_by(ChangeRow.id)).all()


def _kept(state: Record | None) -> Kept | None:
    if state is None:
        return None
    record, measurement = state["record"], state["measurement"]
    assert isinstance(record, dict)
    return Kept(
        text_in(state, "id"), record, int(str(state["position"])), int(str(state["version"])),
        None if measurement is None else str(measurement),
    )  # fmt: skip


def _apply(
    session: Session,
    sheet: Sheet,
    targets: Sequence[tuple[str, str, Kept | None]],
    before: Whole | None,
    new: Sequence[Change] = (),
) -> Whole:
    """Bring entries to a state; what is ``new`` about it must keep to the bounds."""
    known = _rows(session, sheet, [(section, key) for section, key, _ in targets])
    changed: dict[tuple[str, str], EntryRow | None] = {}
    for section, key, target in targets:
        if section == HEAD:
            assert target is not None
            fill_head(sheet, target.record)
        else:
            row = known.get((section, key))
            changed[section, key] = _brought_to(session, sheet, section, row, target)
    sheet.version += 1
    sheet.changed_at = datetime.now(UTC)
    session.flush()
    kept = changed_entries(before, changed) if before else kept_entries(session, sheet)
    document = document_of(sheet, kept, before)
    earlier = Earlier(before.document, before.logbook) if before else None
    return Whole(kept, document, _checked(document, new, earlier))


def _rows(
    session: Session, sheet: Sheet, keys: Collection[tuple[str, str]]
) -> dict[tuple[str, str], EntryRow]:
    """The rows that are there of some entries; of many, all of the sheet are looked through."""
    own = select(EntryRow).where(EntryRow.sheet_id == sheet.id)
    if len(keys) <= _FEW:
        own = own.where(EntryRow.id.in_({key for _, key in keys}))
    return {(row.section, row.id): row for row in session.scalars(own)}


def _checked(document: Record, new: Sequence[Change], earlier: Earlier | None) -> Logbook:
    """Refuse a sheet that is no whole logbook, or that new input brings out of bounds.

    What was kept before there were bounds does not keep the rest from being changed.
    """
    try:
        return parse_logbook(document, earlier=earlier)
    except Refused as refused:
        logbook = parse_logbook(document, kept=True, earlier=earlier)
        if beyond := [one for one in refused.faults if _is_new(one.pointer, document, new)]:
            raise Refused(beyond) from None
        return logbook


def _is_new(pointer: str, document: Record, new: Sequence[Change]) -> bool:
    """Whether what a pointer leads to was brought by one of the changes."""
    section, *path = pointer.split("/")[1:]
    if section in IN_A_FILE and not path:
        # The list itself has become too long.
        grown = (section, OBSERVATIONS) if section == "measurements" else (section,)
        return any(one.before is None for one in new if one.section in grown)
    if section not in IN_A_FILE:
        return any(_differs(change, section) for change in new if change.section == HEAD)
    record = records_in(document, section)[int(path[0])]
    path = path[1:]
    if len(path) > 1 and path[0] == OBSERVATIONS:
        record, path = records_in(record, OBSERVATIONS)[int(path[1])], path[2:]
    # The observations of a measurement are entries of their own.
    record = {name: value for name, value in record.items() if name != OBSERVATIONS}
    alike = (change for change in new if change.after and change.after.record == record)
    return any(_differs(change, path[0] if path else "") for change in alike)


def _differs(change: Change, name: str) -> bool:
    """Whether a change brought another value of a field; of any, if the name is empty."""
    before = change.before.record if change.before else {}
    after = change.after.record if change.after else {}
    return before != after if name == "" else before.get(name) != after.get(name)


def _brought_to(
    session: Session, sheet: Sheet, section: str, row: EntryRow | None, target: Kept | None
) -> EntryRow | None:
    """A row in another state; None if it goes."""
    if target is None:
        if row is not None:
            session.delete(row)
        return None
    if row is None:
        row = new_row(section, sheet.id, target)
        session.add(row)
    else:
        row.position = target.position
        # Also going back is a step forward: a version is never used for two states.
        row.version += 1
        row.record = target.record
    return row
