"""What a document has in common with one that was read before, so that only the rest is read.

Entries are told apart by the identity of their records: who changes an entry makes a new record.
"""

from __future__ import annotations

from metrion.core.conventions.convention import BUILT_IN, Convention
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record, records_in
from metrion.core.logbook import SECTIONS, Logbook
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.formats.logbook.known import Known, Sketch

LogbookEntry = Instrument | ZeroCheck | Convention | Measurement | Derived


class EarlierDocument:
    """A document that was read before, and what was read from it.

    Args:
        document: it must stay as it is.
        logbook: what it is.
    """

    def __init__(self, document: Record, logbook: Logbook) -> None:
        self._document = document
        self._entries: dict[int, LogbookEntry] = {}
        self._measured: dict[str, tuple[Record, Measurement]] = {}
        for section in SECTIONS:
            entries = getattr(logbook, section)
            for record, entry in zip(records_in(document, section), entries, strict=True):
                self._entries[id(record)] = entry
        for record, measurement in zip(
            records_in(document, "measurements"), logbook.measurements, strict=True
        ):
            self._measured[measurement.id] = record, measurement

    def entry(self, record: Record, known: Known) -> LogbookEntry | None:
        """What the very same record was read as, if all that it refers to is the same as well."""
        entry = self._entries.get(id(record))
        own = "convention" in record
        if entry is None or not _refers_to_the_same(entry, known, own_convention=own):
            return None
        if isinstance(entry, Instrument):
            known.reused.add(entry.id)
            known.sketches.setdefault(entry.id, Sketch(entry.kind, entry.unit))
        elif isinstance(entry, ZeroCheck):
            known.made_on.setdefault(entry.id, entry.instrument)
        elif isinstance(entry, Measurement):
            tool = entry.instrument
            known.measured.setdefault(entry.id, Sketch(tool.kind, tool.unit))
        elif isinstance(entry, Derived):
            known.derived_units.setdefault(entry.id, entry.unit)
        return entry

    def observations(
        self, key: str, instrument: Instrument | None, convention: Convention | None
    ) -> dict[int, Observation]:
        """What the records of a measurement were read as, by the same instrument and convention.

        Args:
            key: of the measurement.

        Returns:
            Observations by the identity of their records.
        """
        record, measurement = self._measured.get(key, ({}, None))
        if measurement is None:
            return {}
        if measurement.instrument is not instrument or measurement.convention is not convention:
            return {}
        pairs = zip(records_in(record, "observations"), measurement.observations, strict=True)
        return {id(one): observation for one, observation in pairs}


def _refers_to_the_same(entry: LogbookEntry, known: Known, *, own_convention: bool) -> bool:
    if isinstance(entry, ZeroCheck):
        return entry.instrument in known.reused
    if isinstance(entry, Measurement):
        return (
            known.instruments.get(entry.instrument.id) is entry.instrument
            and _convention(entry, known, own=own_convention) is entry.convention
            and all(known.zero_checks.get(check.id) is check for check in entry.checks)
        )
    if isinstance(entry, Derived):
        made_of = [one for one in entry.inputs.values() if not isinstance(one, TypedValue)]
        return _convention(entry, known, own=own_convention) is entry.convention and all(
            known.made_of(one.id) is one for one in made_of
        )
    return True


def _convention(entry: Measurement | Derived, known: Known, *, own: bool) -> Convention | None:
    if not own:
        return known.usual
    key = entry.convention.id
    return BUILT_IN.get(key) or known.conventions.get(key)
