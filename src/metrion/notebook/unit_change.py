"""Another unit for a tool with which something was read: the same lengths, or the same figures."""

from __future__ import annotations

from dataclasses import replace

from metrion.core.facts import Name
from metrion.core.formula.units import unit_ratio
from metrion.core.instruments.in_unit import marks_in_unit
from metrion.core.json import Record
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.traits import LengthUnit
from metrion.notebook.amendments import with_history
from metrion.notebook.errors import NotPossible
from metrion.notebook.patches import EntryPatch, WhatWasRead
from metrion.store.commands import Change
from metrion.store.entries import SheetEntries
from metrion.store.records import OBSERVATIONS, EntryVersion
from metrion.voice import Speaker


def what_was_read(
    entries: SheetEntries, tool: EntryVersion, patch: EntryPatch, speaker: Speaker
) -> list[Change]:
    """What becomes of the readings and zero looks of a tool whose unit is told otherwise.

    Args:
        tool: as it was.
        patch: what is to change of it.
        speaker: who says in the history why it was converted.

    Raises:
        NotPossible: where there are some, and it was not said whether their lengths stay or their
            figures.
    """
    was, unit = str(tool.record.get("unit")), str(patch.record.get("unit"))
    if was == unit or not {was, unit} <= set(LengthUnit):
        return []
    measured = {
        one.id for one in entries["measurements"] if one.record.get("instrument") == tool.id
    }
    looks = {
        "zero_checks": [
            one for one in entries["zero_checks"] if one.record.get("instrument") == tool.id
        ],
        OBSERVATIONS: [one for one in entries[OBSERVATIONS] if one.measurement in measured],
    }
    if any(looks.values()) and not patch.what_was_read:
        raise NotPossible("what-was-read-unsaid", was=Name(was), unit=Name(unit))
    if patch.what_was_read != WhatWasRead.SAME_LENGTHS:
        return []
    why = speaker.text("history-other-unit", was=Name(was), unit=Name(unit))
    return [
        Change(section, one, replace(one, record=_converted(one.record, was, unit, why)))
        for section, kept in looks.items()
        for one in kept
    ]


def _converted(record: Record, was: str, unit: str, why: str) -> Record:
    told = marks_in_unit(record, PAIR_INDICATIONS, unit_ratio(was, unit))
    return with_history(record, told, why)
