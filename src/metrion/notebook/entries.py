"""The entries of a sheet, added, changed and taken away one by one; each act can be undone."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

from metrion.core.json import Json, Record
from metrion.core.uses import uses
from metrion.formats.faults import Refused
from metrion.notebook.amendments import amended, now, without_nulls
from metrion.notebook.errors import InUse
from metrion.notebook.notebook import Changed, CurrentSheet, Notebook
from metrion.notebook.patches import EntryPatch
from metrion.notebook.settings import Settings
from metrion.notebook.typed_readings import understood
from metrion.notebook.unit_change import what_was_read
from metrion.store.commands import Change, CommandStep
from metrion.store.entries import SheetEntries
from metrion.store.idempotency import OnceRequest
from metrion.store.records import HEAD, OBSERVATIONS, EntryVersion

_NOT_LOOKED_AT = ("zero_exact", "zero_taken_over")

_Besides = Callable[[CurrentSheet, EntryVersion], list[Change]]
"""What else changes in the step that adds or changes an entry."""


@dataclass(frozen=True)
class EntryActs:
    """What can be done to the entries of one sheet.

    Attributes:
        notebook, sheet: whose sheet, and which.
        asked: the request behind an act, which is then carried out once.
    """

    notebook: Notebook
    sheet: str
    asked: OnceRequest | None = None

    def add_instrument(self, patch: EntryPatch) -> Changed:
        """A new instrument. Raises `Refused` if its numbers make no scale."""
        return self._add("instruments", patch)

    def amend_instrument(self, key: str, version: int, patch: EntryPatch) -> Changed:
        """Describe an instrument anew.

        Raises:
            Stale: if it was changed since this version.
            Refused: if what was read no longer fits.
            NotPossible: if its unit changes, and not said is what becomes of what was read.
        """

        def read(found: CurrentSheet, tool: EntryVersion) -> list[Change]:
            return what_was_read(found.entries, tool, patch, found.settings.speaker)

        return self.amend("instruments", key, version, patch, besides=read)

    def add_zero_check(self, patch: EntryPatch) -> Changed:
        """A new zero check, used by the quantity that is named, if one is.

        In the place of earlier looks the first of those has its figures from now on, and the
        earlier ones in its history; the quantity uses the others no more.
        """
        if patch.replaces:
            return self._replace_looks(patch)

        def used(found: CurrentSheet, check: EntryVersion) -> list[Change]:
            if not patch.quantity:
                return []
            before = found.entries.find("measurements", patch.quantity)
            looks = before.record.get("zero")
            zero: list[Json] = [*(looks if isinstance(looks, list) else []), check.id]
            # A look of one's own: nothing is taken as exact, or over from others.
            own = {name: one for name, one in before.record.items() if name not in _NOT_LOOKED_AT}
            return [Change("measurements", before, replace(before, record={**own, "zero": zero}))]

        return self._add("zero_checks", patch, lambda _: {"at": now()}, used)

    def add_quantity(self, patch: EntryPatch) -> Changed:
        """A new quantity without readings; one in inches is given in millimetres too."""

        def usual(found: CurrentSheet) -> Record:
            return _usual_convention(found, patch) | _other_units(found.entries, patch)

        return self._add("measurements", patch, usual)

    def add_derived(self, patch: EntryPatch) -> Changed:
        """A new derived quantity. Raises `Refused` if it cannot be worked out."""
        return self._add("derived", patch, lambda found: _usual_convention(found, patch))

    def add_reading(self, patch: EntryPatch) -> Changed:
        """A new reading, as a logbook has it or as it was typed at the bench.

        Raises:
            NotHere: if there is no such quantity.
            Refused: with the figures that the scale cannot show, or that can be two.
        """

        def figures(found: CurrentSheet) -> Record:
            read: Record = {}
            if patch.typed:
                evaluated = found.evaluated or self.notebook.sheet(self.sheet)
                read = understood(evaluated.kept_quantity(patch.quantity), patch.typed)
            return {**read, "at": now()}

        return self._add(OBSERVATIONS, patch, figures)

    def _add(
        self,
        section: str,
        patch: EntryPatch,
        more: Callable[[CurrentSheet], Record] = lambda _: {},
        besides: _Besides = lambda _found, _entry: [],
    ) -> Changed:
        """Add an entry behind its like.

        Args:
            more: what is said of it besides.
            besides: what else changes with it.
        """
        measurement = patch.quantity or None if section == OBSERVATIONS else None

        def plan(found: CurrentSheet) -> CommandStep:
            if measurement is not None:
                found.entries.find("measurements", measurement)
            record = without_nulls({**patch.record, **more(found)})
            entry = found.entries.new(section, record, key=patch.id, measurement=measurement)
            changes = [Change(section, None, entry), *besides(found, entry)]
            return _completed(f"add-{section}", changes, found, entry, patch, record)

        return self.notebook.apply(self.sheet, plan, self.asked)

    def amend(
        self,
        section: str,
        key: str,
        version: int,
        patch: EntryPatch,
        title: str = "",
        besides: _Besides = lambda _found, _entry: [],
    ) -> Changed:
        """Change fields of an entry; a null takes a field away.

        Args:
            version: that was seen.
            title: what undo calls it.
            besides: what else changes with it.

        Raises:
            NotHere: if there is no such entry.
            Stale: if it was changed since.
        """

        def plan(found: CurrentSheet) -> CommandStep:
            before = found.entries.find(section, key, version)
            changes = [Change(section, before, amended(before, patch)), *besides(found, before)]
            return _completed(
                title or f"change-{section}", changes, found, before, patch, patch.record
            )

        return self.notebook.apply(self.sheet, plan, self.asked)

    def amend_reading(self, key: str, version: int, patch: EntryPatch) -> Changed:
        """Change a reading; figures that change stay in its history. See `amend`."""
        titles = {"excluded": "set-aside", "looked_again": "settle"}
        named = [title for name, title in titles.items() if patch.record.get(name)]
        return self.amend(OBSERVATIONS, key, version, patch, next(iter(named), ""))

    def remove(self, section: str, key: str, version: int) -> Changed:
        """Take an entry away; a quantity takes its readings with it. Undo brings all back.

        Raises:
            NotHere: if there is no such entry.
            Stale: if it was changed since this version.
            InUse: if others use it.
        """

        def build(found: CurrentSheet) -> list[Change]:
            entry = found.entries.find(section, key, version)
            readings = found.entries[OBSERVATIONS] if section == "measurements" else []
            gone = [Change(OBSERVATIONS, one, None) for one in readings if one.measurement == key]
            return [*gone, Change(section, entry, None)]

        try:
            return self.notebook.change(self.sheet, f"remove-{section}", build, self.asked)
        except Refused:
            logbook = self.notebook.sheet(self.sheet).results.logbook
            if used := uses(logbook, section, key):
                raise InUse(used) from None
            raise

    def _replace_looks(self, patch: EntryPatch) -> Changed:
        def plan(found: CurrentSheet) -> CommandStep:
            entries = found.entries
            first, *others = (entries.find("zero_checks", key) for key in patch.replaces)
            why = found.settings.speaker.text("history-looked-again")
            look = replace(patch, record={**patch.record, "at": now()}, why=why)
            changes = [Change("zero_checks", first, amended(first, look))]
            if patch.quantity and others:
                before = entries.find("measurements", patch.quantity)
                looks, gone = before.record.get("zero"), {one.id for one in others}
                left = [one for one in looks if one not in gone] if isinstance(looks, list) else []
                after = replace(before, record={**before.record, "zero": left})
                changes.append(Change("measurements", before, after))
            return _completed("replace-zero_checks", changes, found, first, patch, patch.record)

        return self.notebook.apply(self.sheet, plan, self.asked)


def _completed(
    title: str,
    changes: list[Change],
    found: CurrentSheet,
    entry: EntryVersion,
    patch: EntryPatch,
    said: Record,
) -> CommandStep:
    """A step with what goes with it: a convention of one's own, what was answered of the tool.

    Args:
        entry: which the patch is of.
        said: what it says, with what is usual.
    """
    own = own_convention(found.entries, found.settings, said)
    answered = patch.as_answered
    if not answered:
        return CommandStep(title, [*own, *changes])
    read = entry.record
    if entry.measurement:
        read = found.entries.find("measurements", entry.measurement).record
    tool = found.entries.find("instruments", str(read["instrument"]))
    new = {name: value for name, value in answered.items() if name not in tool.record}
    if not new:
        return CommandStep(title, [*own, *changes])
    kept = Change("instruments", tool, replace(tool, record={**tool.record, **new}))
    # One's own tool of that id keeps it for the sheets to come.
    return CommandStep(title, [*own, kept, *changes], own_tool=(tool.id, new))


def own_convention(entries: SheetEntries, settings: Settings, record: Record) -> list[Change]:
    """A convention of one's own comes into the logbook with the first that uses it."""
    key = str(record.get("convention"))
    own = settings.own_conventions.get(key)
    if own is None or entries.has("conventions", key):
        return []
    return [Change("conventions", None, entries.new("conventions", own, key=key))]


def _usual_convention(found: CurrentSheet, patch: EntryPatch) -> Record:
    """What is in force where neither the patch nor the sheet says otherwise."""
    if patch.record.get("convention") or found.entries[HEAD][0].record.get("convention"):
        return {}
    return {"convention": found.settings.chosen["convention"]}


def _other_units(entries: SheetEntries, patch: EntryPatch) -> Record:
    named = patch.record.get("instrument")
    inches = any(
        one.id == named and one.record.get("unit") == "in" for one in entries["instruments"]
    )
    return {"also_in": ["mm"]} if inches and "also_in" not in patch.record else {}
