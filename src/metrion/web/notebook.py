"""The notebook behind the API: sheets with their worked results, remembered while they hold."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from contextlib import suppress
from dataclasses import dataclass
from typing import cast

from flask import current_app
from sqlalchemy import select
from sqlalchemy.orm import Session

from metrion.core.json import Json, Record, records_in, text_in
from metrion.core.logbook import Logbook, Results
from metrion.core.quantity.measurements import Measurement
from metrion.core.uncertainty.conventions import Convention
from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_own_convention
from metrion.store import Busy, Damaged, NotHere, Store
from metrion.store.commands import Change, Step, stepped, undoable, write
from metrion.store.documents import Whole, kept_entries, whole_sheet
from metrion.store.models import SettingRow, Sheet
from metrion.store.once import keep, was_done
from metrion.store.records import Kept
from metrion.store.sheets import find_sheet
from metrion.store.turns import PATIENCE_SECONDS, TurnsByName
from metrion.store.types import Spoilt
from metrion.voice import DecimalSign, Numbers, Speaker
from metrion.web.damage import contained
from metrion.web.once import asked, once
from metrion.web.remembered import Memo, WorkedOut, worked_out
from metrion.web.schemas import SheetSummaryView

_REMEMBERED, _LISTED = 256, 16_384
_TRIES = 8
OWN_CONVENTIONS = "own_conventions"


@dataclass(frozen=True)
class Worked:
    """A sheet with everything it comes to.

    Attributes:
        id, title, version: of the sheet.
        changed_at: when it was last changed, ISO 8601 in UTC.
        extra: fields of its logbook that are kept for the record only.
        whole: its entries, its document, and the logbook read from it.
        worked_out: what that comes to, told in the units that its tools are numbered in.
        undo, redo: what undo and redo would do next; None for nothing.
    """

    id: str
    title: str
    version: int
    changed_at: str
    extra: Record
    whole: Whole
    worked_out: WorkedOut
    undo: str | None
    redo: str | None

    @property
    def entries(self) -> dict[str, list[Kept]]:
        """Its entries by section."""
        return self.whole.entries

    @property
    def results(self) -> Results:
        """What is worked out from them."""
        return self.worked_out.results

    def quantity(self, key: str) -> Measurement:
        """The quantity with this id, as it is shown. Raises `NotHere`."""
        return quantity_in(self.results.logbook, key)

    def kept_quantity(self, key: str) -> Measurement:
        """The quantity with this id, in the unit of its logbook. Raises `NotHere`."""
        return quantity_in(self.whole.logbook, key)


def quantity_in(logbook: Logbook, key: str) -> Measurement:
    for measurement in logbook.measurements:
        if measurement.id == key:
            return measurement
    raise NotHere("quantity", key)


@dataclass(frozen=True)
class Changed:
    """A sheet after a change.

    Attributes:
        before: as it was; None where the change had been made earlier, so that who asks may not
            know what it was.
        after: as it is.
    """

    before: Worked | None
    after: Worked


State = tuple[str, int]
"""Id and version of a sheet: a version is never used for two states."""


def state_of(sheet: Sheet) -> State:
    """Which state a sheet is in."""
    return sheet.id, sheet.version


class Notebook:
    """A store, with the results of the sheets that were asked for last."""

    def __init__(self, store: Store) -> None:
        self.store = store
        self._turns = TurnsByName()
        self._worked: Memo[State, Worked] = Memo(_REMEMBERED)
        self.summaries: Memo[tuple[str, int, Speaker], SheetSummaryView] = Memo(_LISTED)
        """What the notebook lists of each sheet: small, so that all of a long notebook are kept."""

    def worked(self, session: Session, sheet: Sheet) -> Worked:
        """A sheet worked out; from memory if it has not changed."""
        return self._worked.get(state_of(sheet), lambda: _work_out(session, sheet))

    def sheet(self, key: str) -> Worked:
        """The sheet with this id, worked out. Raises `NotHere`."""
        with self.store.reading() as session:
            return self.worked(session, find_sheet(session, key))

    def change(
        self, key: str, title: str, build: Callable[[Session, Sheet], Sequence[Change]]
    ) -> Changed:
        """Carry out one command on a sheet.

        Args:
            key: id of the sheet.
            title: what undo calls it.
            build: finds out what is to change.
        """
        return self.apply(key, lambda session, sheet: Step(title, build(session, sheet)))

    def apply(self, key: str, plan: Callable[[Session, Sheet], Step]) -> Changed:
        """Bring a sheet to its next state; once for each idempotency key.

        It is worked out before anything is written, so that nobody waits for that who writes to
        another sheet; who writes to this one has the next turn.

        Args:
            key: id of the sheet.
            plan: finds out which step is to be made.

        Raises:
            Busy: if others change the sheet all the time.
        """
        with self._turns.mine(key, PATIENCE_SECONDS):
            for _ in range(_TRIES):
                if changed := self._try(key, plan):
                    return changed
        raise Busy

    def _try(self, key: str, plan: Callable[[Session, Sheet], Step]) -> Changed | None:
        """See `apply`; None if somebody else changed the sheet meanwhile."""
        found = asked()
        with self.store.reading() as session:
            sheet = find_sheet(session, key)
            if found and was_done(session, found):
                return Changed(None, self.worked(session, sheet))
            before = None
            with suppress(Damaged):
                # One that cannot be worked out may be what is to be mended.
                before = self.worked(session, sheet)
            seen, step = sheet.version, plan(session, sheet)
            entries = before.entries if before else kept_entries(session, sheet)
        whole = stepped(entries, step, before.whole if before else None)
        with contained():
            results = worked_out(
                whole.logbook, whole.document, before.worked_out if before else None
            )
        with self.store.writing() as session:
            sheet = find_sheet(session, key)
            if sheet.version != seen or (found and was_done(session, found)):
                return None
            if found:
                keep(session, found)
            write(session, sheet, step)
            after = _worked(session, sheet, whole, results)
        # Only what was kept is remembered.
        self._worked.keep((after.id, after.version), after)
        return Changed(before, after)

    def conventions(self) -> list[Convention]:
        """The conventions of one's own that the notebook keeps and offers."""
        found = []
        for record in self.own_conventions().values():
            # One that was kept beyond the bounds would break every sheet it is tried on.
            with suppress(Refused):
                found.append(parse_own_convention(record))
        return found

    def own_conventions(self) -> dict[str, Record]:
        """Their records by id, as a logbook holds them."""
        return _by_id(self.settings().get(OWN_CONVENTIONS))

    def change_conventions(self, change: Callable[[dict[str, Record]], None]) -> None:
        """Change them, while nobody else does."""
        with self.store.writing() as session:
            row = session.get(SettingRow, OWN_CONVENTIONS)
            own = _by_id(row.value if row else None)
            once(session, lambda: change(own))
            session.merge(SettingRow(name=OWN_CONVENTIONS, value=[*own.values()]))

    def settings(self) -> Record:
        """The settings of the notebook by name."""
        with self.store.reading() as session:
            rows = session.scalars(select(SettingRow))
            # Of one that cannot be read any more the usual value holds.
            return {row.name: row.value for row in rows if not isinstance(row.value, Spoilt)}

    def speaker(self) -> Speaker:
        """Who writes for the reader of this notebook: in the chosen words and numbers."""
        chosen = self.settings()
        sign = DecimalSign(text_in(chosen, "decimal_sign") or DecimalSign.POINT)
        words = chosen.get("words")
        own = (
            {concept: str(word) for concept, word in words.items()}
            if isinstance(words, dict)
            else {}
        )
        return Speaker.of(Numbers(sign), own, text_in(chosen, "language"))

    def set(self, values: Record) -> None:
        """Change settings."""
        with self.store.writing() as session:
            for name, value in values.items():
                session.merge(SettingRow(name=name, value=value))


def _by_id(kept: Json) -> dict[str, Record]:
    return {text_in(record, "id"): record for record in records_in({"": kept}, "")}


def notebook() -> Notebook:
    """The notebook of the application at work."""
    return cast(Notebook, current_app.extensions["notebook"])


@contained()
def _work_out(session: Session, sheet: Sheet) -> Worked:
    whole = whole_sheet(session, sheet)
    return _worked(session, sheet, whole, worked_out(whole.logbook, whole.document))


def _worked(session: Session, sheet: Sheet, whole: Whole, results: WorkedOut) -> Worked:
    undo, redo = undoable(session, sheet)
    return Worked(
        sheet.id,
        sheet.title,
        sheet.version,
        sheet.changed_at.isoformat(),
        sheet.extra,
        whole,
        results,
        undo,
        redo,
    )
