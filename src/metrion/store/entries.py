"""The entries of a sheet by section: found, added behind the others, brought to another state."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from functools import cached_property
from uuid import uuid4

from metrion.core.json import Record
from metrion.store.errors import NotHere, Stale, TakenId
from metrion.store.records import OBSERVATIONS, EntryVersion

EntryList = list[EntryVersion]
Changes = Mapping[str, EntryVersion | None]
"""Entries by id as they are after a change; None for one that is gone."""

NAMES = {
    "instruments": "instrument",
    "zero_checks": "zero_check",
    "conventions": "convention",
    "measurements": "quantity",
    OBSERVATIONS: "reading",
    "derived": "derived",
}
"""What an entry of each section is called."""


def new_id() -> str:
    """An opaque id that no other has."""
    return uuid4().hex


class SheetEntries(dict[str, EntryList]):
    """All entries of a sheet by section, in order; its head is the one entry of its section."""

    def find(self, section: str, key: str, version: int | None = None) -> EntryVersion:
        """The entry with this id.

        Raises:
            NotHere: if there is none.
            Stale: if ``version`` is given and is not the one it has.
        """
        entry = self.by_id(section).get(key)
        if entry is None:
            raise NotHere(NAMES[section], key)
        if version not in (None, entry.version):
            raise Stale
        return entry

    def has(self, section: str, key: str) -> bool:
        """Whether there is an entry with this id."""
        return key in self.by_id(section)

    def by_id(self, section: str) -> Mapping[str, EntryVersion]:
        """The entries of a section by their ids."""
        found = self._by_id.get(section)
        if found is None:
            found = self._by_id[section] = {entry.id: entry for entry in self[section]}
        return found

    @cached_property
    def _by_id(self) -> dict[str, dict[str, EntryVersion]]:
        return {}

    @cached_property
    def observations(self) -> dict[str, EntryList]:
        """The observations of each measurement that has some; the same list while they stay."""
        found: dict[str, EntryList] = {}
        for entry in self[OBSERVATIONS]:
            found.setdefault(entry.measurement or "", []).append(entry)
        return found

    def next_position(self, section: str) -> int:
        """The position behind all entries of a section."""
        entries = self[section]
        return entries[-1].position + 1 if entries else 0

    def new(
        self,
        section: str,
        record: Record,
        *,
        key: str | None = None,
        measurement: str | None = None,
    ) -> EntryVersion:
        """An entry to be added behind the others of its section. Raises `TakenId`."""
        key = key or new_id()
        if self.has(section, key):
            raise TakenId(NAMES[section], key)
        if section != OBSERVATIONS:
            record = {"id": key, **record}
        return EntryVersion(key, record, self.next_position(section), 1, measurement)

    def new_observations(self, records: Iterable[Record], measurement: str) -> EntryList:
        """Observations to be added behind the others, in their order."""
        first = self.next_position(OBSERVATIONS)
        return [
            EntryVersion(new_id(), record, first + place, 1, measurement)
            for place, record in enumerate(records)
        ]

    def changed(self, changed: Mapping[tuple[str, str], EntryVersion | None]) -> SheetEntries:
        """All entries, some of which were changed.

        Args:
            changed: by section and id; None for one that is gone.
        """
        found = SheetEntries(self)
        sections: dict[str, dict[str, EntryVersion | None]] = {}
        for (section, key), entry in changed.items():
            sections.setdefault(section, {})[key] = entry
        for section, own in sections.items():
            before = self.by_id(section)
            found[section] = _with(self[section], before, own)
            after = {**before, **own}
            found._by_id[section] = {key: one for key, one in after.items() if one}
            if section == OBSERVATIONS:
                found.observations = self._regrouped(own)
        return found

    def _regrouped(self, changed: Changes) -> dict[str, EntryList]:
        """The observations of each measurement; those with changes in lists of their own."""
        before = self.by_id(OBSERVATIONS)
        touched: dict[str, dict[str, EntryVersion | None]] = {}
        for key, entry in changed.items():
            if known := entry or before.get(key):
                touched.setdefault(known.measurement or "", {})[key] = entry
        groups = dict(self.observations)
        for measurement, own in touched.items():
            groups[measurement] = _with(groups.get(measurement, []), before, own)
            if not groups[measurement]:
                del groups[measurement]
        return groups


def _with(
    entries: EntryList,
    before: Mapping[str, EntryVersion],
    changed: Changes,
) -> EntryList:
    """Entries with some changed, in order.

    Args:
        before: those that were there, by id.
    """
    stay, new, moved = entries, [], False
    for key, one in changed.items():
        if key not in before:
            new += [one] if one else []
        elif one:
            moved = moved or _place(one) != _place(before[key])
    if len(new) < len(changed):
        stay = [found for one in entries if (found := changed.get(one.id, one))]
    if moved or (new and stay and min(map(_place, new)) < _place(stay[-1])):
        return sorted([*stay, *new], key=_place)
    return [*stay, *sorted(new, key=_place)]


def _place(entry: EntryVersion) -> tuple[int, str]:
    return entry.position, entry.id
