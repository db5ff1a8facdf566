"""What an amendment does to an entry: to its history, and to what was settled of it."""

from __future__ import annotations

from dataclasses import replace
from datetime import UTC, datetime

from metrion.core.json import Json, Record
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.notebook.patches import EntryPatch
from metrion.store.records import EntryVersion

_SCALE = ("main", "fine", "second_turn", *PAIR_INDICATIONS)


def now() -> str:
    """This moment, as a logbook notes it."""
    return datetime.now(UTC).isoformat(timespec="seconds")


def figures_of(record: Record) -> Record:
    """What was read of the scales."""
    return {name: record[name] for name in _SCALE if name in record}


def with_history(before: Record, after: Record, why: str) -> Record:
    """A record with the figures that it had before in its history.

    Args:
        why: they were changed.
    """
    history = before.get("history")
    earlier: Json = {**figures_of(before), "at": now(), "why": why}
    return {**after, "history": [*(history if isinstance(history, list) else []), earlier]}


def amended(entry: EntryVersion, patch: EntryPatch) -> EntryVersion:
    """An entry with changed fields; figures that were read and change go into its history."""
    record = {**entry.record, **patch.record}
    read = figures_of(entry.record)
    if read and read != figures_of(record):
        record = with_history(entry.record, record, patch.why)
        # What was settled was settled for the old figures.
        record.pop("looked_again", None)
    return replace(entry, record=without_nulls(record))


def without_nulls(record: Record) -> Record:
    """A record without the fields that are null, those of its looks included."""
    return {
        name: without_nulls(value)
        if name in PAIR_INDICATIONS and isinstance(value, dict)
        else value
        for name, value in record.items()
        if value is not None
    }
