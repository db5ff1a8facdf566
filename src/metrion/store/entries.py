"""The entries of a sheet by section: found, added behind the others, brought to another state."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from uuid import uuid4

from metrion.core.json import Record
from metrion.store.errors import NotHere, Stale, TakenId
from metrion.store.records import OBSERVATIONS, Kept

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


class SheetEntries(dict[str, list[Kept]]):
    """All entries of a sheet by section, in order; its head is the one entry of its section."""

    def find(self, section: str, key: str, version: int | None = None) -> Kept:
        """The entry with this id.

        Raises:
            NotHere: if there is none.
            Stale: if ``version`` is given and is not the one it has.
        """
        for entry in self[section]:
            if entry.id == key:
                if version not in (None, entry.version):
                    raise Stale
                return entry
        raise NotHere(NAMES[section], key)

    def has(self, section: str, key: str) -> bool:
        """Whether there is an entry with this id."""
        return any(entry.id == key for entry in self[section])

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
    ) -> Kept:
        """An entry to be added behind the others of its section. Raises `TakenId`."""
        key = key or new_id()
        if self.has(section, key):
            raise TakenId(NAMES[section], key)
        if section != OBSERVATIONS:
            record = {"id": key, **record}
        return Kept(key, record, self.next_position(section), 1, measurement)

    def new_observations(self, records: Iterable[Record], measurement: str) -> list[Kept]:
        """Observations to be added behind the others, in their order."""
        first = self.next_position(OBSERVATIONS)
        return [
            Kept(new_id(), record, first + place, 1, measurement)
            for place, record in enumerate(records)
        ]

    def changed(self, changed: Mapping[tuple[str, str], Kept | None]) -> SheetEntries:
        """All entries, some of which were changed.

        Args:
            changed: by section and id; None for one that is gone.
        """
        found = SheetEntries(self)
        by_id = {
            section: {one.id: one for one in found[section]}
            for section in dict.fromkeys(section for section, _ in changed)
        }
        for (section, key), entry in changed.items():
            by_id[section].pop(key, None)
            if entry:
                by_id[section][key] = entry
        for section, entries in by_id.items():
            found[section] = sorted(entries.values(), key=lambda entry: (entry.position, entry.id))
        return found
