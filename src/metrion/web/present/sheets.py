"""Sheets as the API shows them."""

from __future__ import annotations

from collections import defaultdict
from typing import Any

from metrion.core.conventions import BUILT_IN, Convention
from metrion.core.logbook import Logbook
from metrion.store.records import OBSERVATIONS, Kept
from metrion.web.damage import contained
from metrion.web.notebook import Worked, notebook
from metrion.web.present.derived import derived_view
from metrion.web.present.instruments import instrument_view, zero_check_view
from metrion.web.present.quantities import open_looks, quantity_view, result_view


@contained()
def sheet_view(worked: Worked) -> dict[str, Any]:
    """A sheet, whole."""
    logbook = worked.results.logbook
    instruments = {instrument.id: instrument for instrument in logbook.instruments}
    readings = _readings(worked)
    conventions = offered(logbook)
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
            quantity_view(reviewed, entry, readings[entry.id], conventions, logbook)
            for reviewed, entry in zip(
                worked.results.measurements, worked.entries["measurements"], strict=True
            )
        ],
        "derived": [
            derived_view(found, entry, logbook)
            for found, entry in zip(worked.results.derived, worked.entries["derived"], strict=True)
        ],
    }


def offered(logbook: Logbook) -> list[Convention]:
    """The conventions a quantity may take: built in, of this sheet, and of the notebook."""
    of_sheet = {convention.id for convention in logbook.conventions}
    others = [one for one in notebook().conventions() if one.id not in of_sheet]
    return [*BUILT_IN.values(), *logbook.conventions, *others]


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


def _readings(worked: Worked) -> dict[str, list[Kept]]:
    found: dict[str, list[Kept]] = defaultdict(list)
    for entry in worked.entries[OBSERVATIONS]:
        found[entry.measurement or ""].append(entry)
    return found
