"""A notebook: sheets with what they come to, remembered while it holds; what is chosen in it."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from contextlib import suppress
from dataclasses import dataclass

from sqlalchemy.orm import Session

from metrion.core.codes import MessageCode
from metrion.core.conventions.convention import Convention
from metrion.core.json import Record
from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_own_convention
from metrion.notebook.damage import contained
from metrion.notebook.errors import ConventionTaken, NoOwnConvention
from metrion.notebook.evaluated import EvaluatedSheet, evaluate, evaluated
from metrion.notebook.evaluation import Memo, worked_out
from metrion.notebook.other_windows import ask_of_another
from metrion.notebook.settings import OWN_CONVENTIONS, Settings, keep_settings, read_settings
from metrion.store import Busy, Damaged, Store
from metrion.store.commands import Change, CommandStep, redoing, stepped, undoable, undoing, write
from metrion.store.documents import kept_entries
from metrion.store.entries import SheetEntries
from metrion.store.fair_lock import PATIENCE_SECONDS, FairLocks
from metrion.store.idempotency import OnceRequest, keep, once, was_done
from metrion.store.models import CommandRow, Sheet
from metrion.store.sheets import find_sheet

_REMEMBERED = 256
_TRIES = 8


@dataclass(frozen=True)
class Changed:
    """A sheet after a change.

    Attributes:
        before: as it was; None where the change had been made earlier, so that who asks may not
            know what it was.
        after: as it is.
        settings: of the notebook.
    """

    before: EvaluatedSheet | None
    after: EvaluatedSheet
    settings: Settings


@dataclass(frozen=True)
class CurrentSheet:
    """A sheet as it stands when a step of it is planned.

    Attributes:
        session, row: where it is kept.
        entries: of it.
        evaluated: with what it comes to; None where it cannot be worked out.
        settings: of the notebook.
    """

    session: Session
    row: Sheet
    entries: SheetEntries
    evaluated: EvaluatedSheet | None
    settings: Settings


Build = Callable[[CurrentSheet], Sequence[Change]]
"""Finds out what is to change of the entries of a sheet."""


def state_of(sheet: Sheet) -> tuple[str, int]:
    """Which state a sheet is in: a version is never used for two."""
    return sheet.id, sheet.version


class Notebook:
    """A store, with the results of the sheets that were asked for last."""

    def __init__(self, store: Store) -> None:
        self.store = store
        self._turns = FairLocks()
        self._evaluated: Memo[tuple[str, int], EvaluatedSheet] = Memo(_REMEMBERED)

    def evaluated(self, session: Session, sheet: Sheet) -> EvaluatedSheet:
        """A sheet worked out; from memory if it has not changed. Raises `Damaged`."""
        return self._evaluated.get(state_of(sheet), lambda: evaluate(session, sheet))

    def sheet(self, key: str) -> EvaluatedSheet:
        """The sheet with this id, worked out. Raises `NotHere`, `Damaged`."""
        with self.store.reading() as session:
            return self.evaluated(session, find_sheet(session, key))

    def change(
        self, key: str, title: str, build: Build, asked: OnceRequest | None = None
    ) -> Changed:
        """Carry out one command on a sheet; see `apply`.

        Args:
            title: what undo calls it.
            build: finds out what is to change.
        """
        return self.apply(key, lambda found: CommandStep(title, build(found)), asked)

    def undo(self, key: str, asked: OnceRequest | None = None, command: str = "") -> Changed:
        """Take the last change of a sheet back.

        Args:
            command: number of the one that is meant, where it is another window's.

        Raises:
            NothingToUndo: if there is none.
            OfAnother: if it is another window's, and was not meant.
        """
        return self._step(key, undoing, "undo-of-another", asked, command)

    def redo(self, key: str, asked: OnceRequest | None = None, command: str = "") -> Changed:
        """Make the change again that was taken back last; as `undo`. Raises `NothingToRedo`."""
        return self._step(key, redoing, "redo-of-another", asked, command)

    def _step(
        self,
        key: str,
        stepping: Callable[[Session, Sheet], CommandStep],
        question: MessageCode,
        asked: OnceRequest | None,
        meant: str,
    ) -> Changed:
        def plan(found: CurrentSheet) -> CommandStep:
            step = stepping(found.session, found.row)
            if asked and str(step.command) != meant:
                command = found.session.get_one(CommandRow, step.command)
                ask_of_another(command, step.changes, found.evaluated, asked.window, question)
            return step

        return self.apply(key, plan, asked)

    def apply(
        self,
        key: str,
        plan: Callable[[CurrentSheet], CommandStep],
        asked: OnceRequest | None = None,
    ) -> Changed:
        """Bring a sheet to its next state.

        It is worked out before anything is written, so that nobody waits for that who writes to
        another sheet; who writes to this one has the next turn.

        Args:
            key: id of the sheet.
            plan: finds out which step is to be made.
            asked: the request behind it, which is carried out once.

        Raises:
            Busy: if others change the sheet all the time.
        """
        with self._turns.mine(key, PATIENCE_SECONDS):
            for _ in range(_TRIES):
                if changed := self._try(key, plan, asked):
                    return changed
        raise Busy

    def _try(
        self, key: str, plan: Callable[[CurrentSheet], CommandStep], asked: OnceRequest | None
    ) -> Changed | None:
        """See `apply`; None if somebody else changed the sheet meanwhile."""
        with self.store.reading() as session:
            sheet, settings = find_sheet(session, key), read_settings(session)
            if asked and was_done(session, asked):
                return Changed(None, self.evaluated(session, sheet), settings)
            before = None
            with suppress(Damaged):
                # One that cannot be worked out may be what is to be mended.
                before = self.evaluated(session, sheet)
            entries = before.entries if before else kept_entries(session, sheet)
            seen, step = (
                sheet.version,
                plan(CurrentSheet(session, sheet, entries, before, settings)),
            )
        whole = stepped(entries, step, before.whole if before else None)
        with contained():
            results = worked_out(
                whole.logbook, whole.document, before.worked_out if before else None
            )
        with self.store.writing() as session:
            sheet = find_sheet(session, key)
            if sheet.version != seen or (asked and not keep(session, asked)):
                return None
            write(
                session, sheet, step,
                undone=before is None or before.redo is not None,
                window=asked.window if asked else "",
            )  # fmt: skip
            new = step.command is None
            undo, redo = (step.title, None) if new else undoable(session, sheet)
            after = evaluated(sheet, whole, results, undo, redo)
        # Only what was kept is remembered.
        self._evaluated.keep((after.id, after.version), after)
        return Changed(before, after, settings)

    def settings(self) -> Settings:
        """What is chosen in it."""
        with self.store.reading() as session:
            return read_settings(session)

    def change_settings(self, values: Record) -> None:
        """Choose some settings."""
        with self.store.writing() as session:
            keep_settings(session, values)

    def conventions(self) -> list[Convention]:
        """The conventions of one's own that the notebook keeps and offers."""
        found = []
        for record in self.settings().own_conventions.values():
            # One that was kept beyond the bounds would break every sheet it is tried on.
            with suppress(Refused):
                found.append(parse_own_convention(record))
        return found

    def add_convention(self, key: str, record: Record, asked: OnceRequest | None = None) -> None:
        """Keep a new convention of one's own. Raises `ConventionTaken`, `Refused`."""

        def free(own: dict[str, Record]) -> None:
            if key in own:
                raise ConventionTaken(key)

        self._keep_convention(key, record, free, asked)

    def amend_convention(self, key: str, record: Record) -> None:
        """Describe one of one's own anew. Raises `NoOwnConvention`, `Refused`."""
        self._keep_convention(key, record, lambda own: _known(own, key))

    def remove_convention(self, key: str) -> None:
        """Take one of one's own away; sheets that use it keep it. Raises `NoOwnConvention`."""

        def take_away(own: dict[str, Record]) -> None:
            _known(own, key)
            del own[key]

        self._change_conventions(take_away)

    def _keep_convention(
        self,
        key: str,
        given: Record,
        check: Callable[[dict[str, Record]], None],
        asked: OnceRequest | None = None,
    ) -> None:
        record = {**given, "id": key}
        parse_own_convention(record)

        def put(own: dict[str, Record]) -> None:
            check(own)
            own[key] = record

        self._change_conventions(put, asked)

    def _change_conventions(
        self, change: Callable[[dict[str, Record]], None], asked: OnceRequest | None = None
    ) -> None:
        """Change them, while nobody else does."""
        with self.store.writing() as session:
            own = read_settings(session).own_conventions
            once(session, asked, lambda: change(own))
            keep_settings(session, {OWN_CONVENTIONS: [*own.values()]})


def _known(own: dict[str, Record], key: str) -> None:
    if key not in own:
        raise NoOwnConvention(key)
