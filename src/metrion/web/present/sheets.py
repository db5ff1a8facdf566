"""Sheets as the API shows them."""

from __future__ import annotations

from collections import defaultdict
from typing import Any

from metrion.store.records import OBSERVATIONS
from metrion.web.damage import contained
from metrion.web.notebook import Worked
from metrion.web.present.derived import derived_view
from metrion.web.present.instruments import instrument_view, zero_check_view
from metrion.web.present.quantities import Version, open_looks, quantity_view, result_view
from metrion.web.remembered import Hashed


@contained()
def sheet_view(worked: Worked) -> dict[str, Any]:
    """A sheet, whole."""
    logbook = worked.results.logbook
    instruments = {instrument.id: instrument for instrument in logbook.instruments}
    readings = _readings(worked)
    return {
        **_head(worked),
        "authors": logbook.authors,
        "date": logbook.date,
        "aim": logbook.aim,
        "undo": worked.undo,
        "redo": worked.redo,
        "instruments": [
            instrument_view(instrument, entry)
            for instrument, entry in zip(
                logbook.instruments, worked.entries["instruments"], strict=True
            )
        ],
        "zero_checks": [
            zero_check_view(check, instruments[check.instrument], entry)
            for check, entry in zip(logbook.zero_checks, worked.entries["zero_checks"], strict=True)
        ],
        "quantities": [
            quantity_view(Hashed(key, reviewed), entry.version, readings[entry.id], logbook)
            for key, reviewed, entry in zip(
                worked.hashes,
                worked.results.measurements,
                worked.entries["measurements"],
                strict=True,
            )
        ],
        "derived": [
            derived_view(found, entry, logbook)
            for found, entry in zip(worked.results.derived, worked.entries["derived"], strict=True)
        ],
    }


@contained()
def sheet_summary(worked: Worked) -> dict[str, Any]:
    """A sheet as the notebook lists it: its result sentences and its open second looks."""
    pairs = list(zip(worked.results.measurements, worked.entries["measurements"], strict=True))
    return {
        **_head(worked),
        "results": [
            {
                "id": entry.id,
                "name": reviewed.result.measurement.label,
                "symbol": reviewed.result.measurement.symbol,
                "open_looks": open_looks(reviewed),
                **result_view(reviewed.result),
            }
            for reviewed, entry in pairs
        ],
        "instruments": [i.name for i in worked.results.logbook.instruments],
        "damage": None,
    }


def _head(worked: Worked) -> dict[str, Any]:
    return {
        "id": worked.id,
        "title": worked.title,
        "version": worked.version,
        "changed_at": worked.changed_at,
    }


def _readings(worked: Worked) -> dict[str, tuple[Version, ...]]:
    """Ids and versions of the readings of each quantity."""
    found: dict[str, list[Version]] = defaultdict(list)
    for entry in worked.entries[OBSERVATIONS]:
        found[entry.measurement or ""].append(Version(entry.id, entry.version))
    return defaultdict(tuple, {key: tuple(versions) for key, versions in found.items()})
