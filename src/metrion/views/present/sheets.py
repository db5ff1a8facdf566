"""Sheets as the API shows them."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import TypeVar

from metrion.core.logbook import Reviewed
from metrion.notebook import Changed, EvaluatedSheet
from metrion.notebook.damage import contained
from metrion.notebook.evaluation import Hashed
from metrion.store import NotHere
from metrion.store.records import EntryVersion
from metrion.views.locale import shown, speaker
from metrion.views.present.derived import derived_view
from metrion.views.present.instruments import instrument_view, zero_check_view
from metrion.views.present.quantities import Version, brief_view, quantity_view, result_view
from metrion.views.schemas.derived import DerivedView
from metrion.views.schemas.instruments import InstrumentView
from metrion.views.schemas.quantities import QuantityView
from metrion.views.schemas.sheets import (
    InUseView,
    OrderView,
    SheetChangeView,
    SheetHeadView,
    SheetSummaryView,
    SheetView,
    SummaryDerivedView,
    SummaryResultView,
)
from metrion.views.schemas.view import widened
from metrion.views.schemas.zero import ZeroCheckView
from metrion.voice.conventions import convention_name

_Value = TypeVar("_Value")

SECTIONS = {
    "instruments": "instruments",
    "zero_checks": "zero_checks",
    "quantities": "measurements",
    "derived": "derived",
}
"""The parts of a view that list entries, with the sections they are kept in."""

TOLD_WHOLE = 20
"""Quantities that one answer tells whole, so that a sheet of a thousand is told as soon as listed;
the others are told in brief, and each whole by itself."""


@contained()
def sheet_view(worked: EvaluatedSheet) -> SheetView:
    """A sheet, whole."""
    return _view(worked, None)


@contained()
def whole_quantity(worked: EvaluatedSheet, key: str) -> QuantityView:
    """One quantity of a sheet, whole. Raises `NotHere`."""
    for one in _shown(worked):
        if one.id == key:
            return one.view(worked)
    raise NotHere("quantity", key)


@contained()
def change_view(changed: Changed) -> SheetChangeView:
    """A sheet as it is after a change: its head, and of its entries those that changed.

    Of a changed quantity there are the readings that changed. What is left out is as in the state
    that ``since`` names; without one nothing is left out.
    """
    before, after = changed.before, changed.after
    order = {
        part: [entry.id for entry in after.entries[section]] for part, section in SECTIONS.items()
    }
    view = _view(after, before)
    return widened(SheetChangeView, view, since=before and before.version, order=OrderView(**order))


def _view(worked: EvaluatedSheet, before: EvaluatedSheet | None) -> SheetView:
    """Every entry as it is shown; with an earlier state, those that are shown otherwise now."""
    logbook = worked.results.logbook
    return widened(
        SheetView,
        _head(worked),
        aim=logbook.aim,
        simulated=logbook.simulated,
        convention=logbook.convention.id if logbook.convention else None,
        conventions=_conventions(worked),
        undo=_command(worked.undo),
        redo=_command(worked.redo),
        instruments=list(_instruments(worked, before)),
        zero_checks=list(_zero_checks(worked, before)),
        quantities=list(_quantities(worked, before)),
        derived=list(_derived(worked, before)),
    )


def _conventions(worked: EvaluatedSheet) -> list[InUseView]:
    """The conventions by which results of a sheet are stated; before there are any, its own."""
    logbook = worked.results.logbook
    used = {one.convention.id: one.convention for one in logbook.measurements}
    used |= {one.convention.id: one.convention for one in logbook.derived}
    if not used and logbook.convention:
        used = {logbook.convention.id: logbook.convention}
    return [InUseView(key, convention_name(one, speaker())) for key, one in used.items()]


def _command(title: str | None) -> str | None:
    """What a command does; one of an earlier version has its own words."""
    return title and (speaker().known("command", title) or title)


def _instruments(worked: EvaluatedSheet, before: EvaluatedSheet | None) -> Iterator[InstrumentView]:
    known = _known(before, "instruments", before.results.logbook.instruments) if before else {}
    for tool, entry in zip(
        worked.results.logbook.instruments, worked.entries["instruments"], strict=True
    ):
        if known.get(entry.id) != (tool, entry.version):
            yield instrument_view(tool, entry)


def _zero_checks(worked: EvaluatedSheet, before: EvaluatedSheet | None) -> Iterator[ZeroCheckView]:
    logbook = worked.results.logbook
    tools = {tool.id: tool for tool in logbook.instruments}
    known, earlier = {}, {}
    if before:
        known = _known(before, "zero_checks", before.results.logbook.zero_checks)
        earlier = {tool.id: tool for tool in before.results.logbook.instruments}
    for check, entry in zip(logbook.zero_checks, worked.entries["zero_checks"], strict=True):
        tool = tools[check.instrument]
        same = earlier.get(tool.id) == tool
        if not same or known.get(entry.id) != (check, entry.version):
            yield zero_check_view(check, tool, entry)


def _known(
    before: EvaluatedSheet, section: str, values: Sequence[_Value]
) -> dict[str, tuple[_Value, int]]:
    """What a section held, by id, with versions."""
    pairs = zip(values, before.entries[section], strict=True)
    return {entry.id: (value, entry.version) for value, entry in pairs}


def _quantities(worked: EvaluatedSheet, before: EvaluatedSheet | None) -> Iterator[QuantityView]:
    """Those that are shown otherwise now: the first of them whole, the others in brief."""
    earlier = {one.id: one for one in _shown(before)} if before else {}
    whole = 0
    for now in _shown(worked):
        then = earlier.get(now.id)
        if now.is_as(then) and not now.compares:
            continue
        if whole == TOLD_WHOLE:
            yield now.brief()
        elif view := now.changed(worked, then, before):
            whole += 1
            yield view


@dataclass(frozen=True)
class _Shown:
    """All that what is shown of a quantity hangs on, but for what it is compared with."""

    id: str
    reviewed: Hashed[Reviewed]
    version: int
    observations: Sequence[EntryVersion]

    def is_as(self, then: _Shown | None) -> bool:
        """Whether nothing of it has changed since then."""
        if then is None or (self.reviewed, self.version) != (then.reviewed, then.version):
            return False
        return self.observations is then.observations or self.readings == then.readings

    @property
    def readings(self) -> tuple[Version, ...]:
        """Ids and versions of its readings."""
        return tuple(Version(one.id, one.version) for one in self.observations)

    @property
    def compares(self) -> bool:
        """Whether it stands beside something else."""
        return self.reviewed.value.result.measurement.compare is not None

    def brief(self) -> QuantityView:
        """As it is listed."""
        return brief_view(self.reviewed, self.version, len(self.observations), speaker())

    def view(self, worked: EvaluatedSheet) -> QuantityView:
        """As it is shown."""
        logbook = worked.results.logbook
        return quantity_view(self.reviewed, self.version, self.readings, logbook)

    def changed(
        self, worked: EvaluatedSheet, then: _Shown | None, before: EvaluatedSheet | None
    ) -> QuantityView | None:
        """As it is shown, with the readings that are otherwise than before; None if nothing is."""
        view = self.view(worked)
        if then is None or before is None:
            return view
        known = then.view(before)
        rows = {row.index: row for row in known.readings}
        changed = [row for row in view.readings if row != rows.get(row.index)]
        return None if view == known else replace(view, readings=changed)


def _shown(worked: EvaluatedSheet) -> Iterator[_Shown]:
    observations = worked.entries.observations
    for key, reviewed, entry in zip(
        worked.worked_out.hashes,
        worked.results.measurements,
        worked.entries["measurements"],
        strict=True,
    ):
        yield _Shown(entry.id, Hashed(key, reviewed), entry.version, observations.get(entry.id, []))


def _derived(worked: EvaluatedSheet, before: EvaluatedSheet | None) -> Iterator[DerivedView]:
    known = {}
    if before:
        known = _known(before, "derived", [id(one) for one in before.results.derived])
    for found, entry in zip(worked.results.derived, worked.entries["derived"], strict=True):
        if found.derived.compare or known.get(entry.id) != (id(found), entry.version):
            yield derived_view(found, entry, worked.results.logbook)


@contained()
def sheet_summary(worked: EvaluatedSheet) -> SheetSummaryView:
    """A sheet as the notebook lists it: its result sentences and its open second looks."""
    pairs = zip(worked.results.measurements, worked.entries["measurements"], strict=True)
    results = [
        widened(
            SummaryResultView,
            result_view(reviewed.result),
            id=entry.id,
            name=reviewed.result.measurement.label,
            symbol=reviewed.result.measurement.symbol,
            thing=reviewed.result.measurement.thing,
            open_looks=reviewed.open_looks,
        )
        for reviewed, entry in pairs
    ]
    tools = [one.name for one in worked.results.logbook.instruments]
    derived = [
        SummaryDerivedView(
            id=one.derived.id,
            name=one.derived.name or one.derived.id,
            sentence=shown(one.rounded.printed) if one.rounded else None,
        )
        for one in worked.results.derived
    ]
    return widened(
        SheetSummaryView,
        _head(worked),
        results=results,
        derived=derived,
        instruments=tools,
        damage=None,
    )


def _head(worked: EvaluatedSheet) -> SheetHeadView:
    return SheetHeadView(
        id=worked.id,
        title=worked.title,
        version=worked.version,
        changed_at=worked.changed_at,
        authors=worked.results.logbook.authors,
        date=worked.results.logbook.date,
    )
