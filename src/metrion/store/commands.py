"""Changing a sheet: every change is a command that can be undone."""

from __future__ import annotations

from collections.abc import Collection, Sequence
from dataclasses import dataclass, replace
from datetime import UTC, datetime

from sqlalchemy import delete, insert, select
from sqlalchemy.orm import Session

from metrion.core.json import Record, records_in, text_in
from metrion.core.logbook import SECTIONS as IN_A_FILE
from metrion.core.logbook import Logbook
from metrion.formats.faults import Refused
from metrion.formats.logbook import EarlierDocument, parse_for_notebook, parse_logbook
from metrion.formats.pictures import Picture
from metrion.store.documents import SheetSnapshot, document_of, kept_entries
from metrion.store.entries import SheetEntries, new_id
from metrion.store.errors import NothingToRedo, NothingToUndo
from metrion.store.models import ChangeRow, CommandRow, EntryRow, Sheet, State
from metrion.store.pictures import forget_unused, keep_pictures
from metrion.store.records import (
    HEAD,
    OBSERVATIONS,
    EntryVersion,
    add_rows,
    fill_head,
    kept,
    whole_record,
)
from metrion.store.tools import complete_tool

_FEW = 100
"""Entries that are asked for one by one."""


@dataclass(frozen=True)
class Change:
    """What happens to one entry: ``before`` is None if it is new, ``after`` if it goes."""

    section: str
    before: EntryVersion | None
    after: EntryVersion | None

    @property
    def entry_id(self) -> str:
        """The id of the entry."""
        entry = self.after or self.before
        assert entry is not None
        return entry.id


@dataclass(frozen=True)
class CommandStep:
    """What brings a sheet to its next state; nothing of it is written yet.

    Attributes:
        title: what undo calls the command.
        changes: to its entries.
        command: number of the command that is taken back or made again; None for a new one.
        state: in which it then is.
        pictures: that its changes refer to.
        own_tool: fields that one's own tool of an id keeps as well, where it does not say them.
    """

    title: str
    changes: Sequence[Change]
    command: int | None = None
    state: State = State.DONE
    pictures: Sequence[Picture] = ()
    own_tool: tuple[str, Record] | None = None


def undoing(session: Session, sheet: Sheet) -> CommandStep:
    """The step that takes the last command back. Raises `NothingToUndo`."""
    done = _commands(session, sheet, State.DONE)
    if not done:
        raise NothingToUndo
    changes = [Change(c.section, c.after, c.before) for c in _changes(session, done[-1])]
    return CommandStep(done[-1].title, changes[::-1], done[-1].id, State.UNDONE)


def redoing(session: Session, sheet: Sheet) -> CommandStep:
    """The step that makes the command again that was undone last. Raises `NothingToRedo`."""
    undone = _commands(session, sheet, State.UNDONE)
    if not undone:
        raise NothingToRedo
    return CommandStep(undone[0].title, _changes(session, undone[0]), undone[0].id)


def stepped(
    entries: SheetEntries, step: CommandStep, before: SheetSnapshot | None = None
) -> SheetSnapshot:
    """The sheet that a step comes to: a whole logbook, within bounds in all that is new to it.

    Args:
        entries: of the sheet as it is.
        before: all of it, where that is at hand: only what changes is read anew.

    Raises:
        Refused: with every fault that the sheet would have.
    """
    [head] = entries[HEAD]
    changed: dict[tuple[str, str], EntryVersion | None] = {(HEAD, head.id): _next(head, head)}
    for one in step.changes:
        key = one.entry_id
        changed[one.section, key] = _next(entries.by_id(one.section).get(key), one.after)
    found = entries.changed(changed)
    document = document_of(found, before)
    earlier = EarlierDocument(before.document, before.logbook) if before else None
    new = step.changes if step.command is None else ()
    return SheetSnapshot(found, document, _checked(document, new, earlier))


def write(
    session: Session, sheet: Sheet, step: CommandStep, *, undone: bool = True, window: str = ""
) -> None:
    """Keep a step, and the command it belongs to. What it comes to was seen before: `stepped`.

    Args:
        undone: whether there may be commands that were undone; a new one does away with them.
        window: that made the step; empty where none did.
    """
    _note(session, sheet, step, undone, window)
    known = _rows(
        session, sheet, {(one.section, one.entry_id) for one in step.changes if one.before}
    )
    new: list[tuple[str, EntryVersion]] = []
    for one in step.changes:
        row = known.get((one.section, one.entry_id))
        if one.section == HEAD and one.after is not None:
            fill_head(sheet, one.after.record)
        elif row is not None:
            _bring(session, row, _next(kept(row), one.after))
        elif one.after is not None:
            new.append((one.section, one.after))
    add_rows(session, sheet.id, new)
    if step.pictures:
        keep_pictures(session, sheet, step.pictures)
        forget_unused(session, sheet, document_of(kept_entries(session, sheet)))
    if step.own_tool:
        complete_tool(session, *step.own_tool)
    sheet.version += 1
    sheet.changed_at = datetime.now(UTC)
    session.flush()


def _next(before: EntryVersion | None, after: EntryVersion | None) -> EntryVersion | None:
    """An entry as it is kept after a change.

    Also going back is a step forward: a version is never used for two states.
    """
    return replace(after, version=before.version + 1) if before and after else after


def _note(session: Session, sheet: Sheet, step: CommandStep, undone: bool, window: str) -> None:
    """Keep which command a step is of, with all that undo must know."""
    if step.command is not None:
        command = session.get_one(CommandRow, step.command)
        command.state, command.window = step.state, window
        return
    if undone:
        of_sheet = CommandRow.sheet_id == sheet.id, CommandRow.state == State.UNDONE
        session.execute(delete(CommandRow).where(*of_sheet))
    command = CommandRow(
        sheet_id=sheet.id, key=new_id(), title=step.title, at=datetime.now(UTC), state=step.state,
        window=window,
    )  # fmt: skip
    session.add(command)
    session.flush()
    rows = [
        {
            "command_id": command.id,
            "section": change.section,
            "entry_id": change.entry_id,
            "before": vars(change.before) if change.before else None,
            "after": vars(change.after) if change.after else None,
        }
        for change in step.changes
    ]
    if rows:
        session.execute(insert(ChangeRow), rows)


def undoable(session: Session, sheet: Sheet) -> tuple[str | None, str | None]:
    """The titles of what undo and redo would do next."""
    own = select(CommandRow.title).where(CommandRow.sheet_id == sheet.id)
    done = own.where(CommandRow.state == State.DONE).order_by(CommandRow.id.desc())
    undone = own.where(CommandRow.state == State.UNDONE).order_by(CommandRow.id)
    return session.scalar(done.limit(1)), session.scalar(undone.limit(1))


def last_command(session: Session, sheet: Sheet) -> CommandRow | None:
    """The command that undo would take back; None where there is none."""
    done = CommandRow.sheet_id == sheet.id, CommandRow.state == State.DONE
    return session.scalar(select(CommandRow).where(*done).order_by(CommandRow.id.desc()).limit(1))


def _commands(session: Session, sheet: Sheet, state: State) -> Sequence[CommandRow]:
    found = select(CommandRow).where(CommandRow.sheet_id == sheet.id, CommandRow.state == state)
    return session.scalars(found.order_by(CommandRow.id)).all()


def _changes(session: Session, command: CommandRow) -> list[Change]:
    found = select(ChangeRow).where(ChangeRow.command_id == command.id)
    rows = session.scalars(found.order_by(ChangeRow.id))
    return [Change(row.section, _kept(row.before), _kept(row.after)) for row in rows]


def _kept(state: Record | None) -> EntryVersion | None:
    if state is None:
        return None
    found = whole_record(state, "history", "")
    record, measurement = found["record"], found["measurement"]
    assert isinstance(record, dict)
    return EntryVersion(
        text_in(state, "id"), record, int(str(state["position"])), int(str(state["version"])),
        None if measurement is None else str(measurement),
    )  # fmt: skip


def _rows(
    session: Session, sheet: Sheet, keys: Collection[tuple[str, str]]
) -> dict[tuple[str, str], EntryRow]:
    """The rows that are there of some entries; of many, all of the sheet are looked through."""
    if not keys:
        return {}
    own = select(EntryRow).where(EntryRow.sheet_id == sheet.id)
    if len(keys) <= _FEW:
        own = own.where(EntryRow.id.in_({key for _, key in keys}))
    return {(row.section, row.id): row for row in session.scalars(own)}


def _checked(document: Record, new: Sequence[Change], earlier: EarlierDocument | None) -> Logbook:
    """Refuse a sheet that is no whole logbook, or that new input brings out of bounds.

    What was kept before there were bounds does not keep the rest from being changed.
    """
    try:
        return parse_for_notebook(document, earlier=earlier)
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


def _bring(session: Session, row: EntryRow, target: EntryVersion | None) -> None:
    """Bring a row to another state; it goes if that is None."""
    if target is None:
        session.delete(row)
    else:
        row.position, row.version, row.record = target.position, target.version, target.record
