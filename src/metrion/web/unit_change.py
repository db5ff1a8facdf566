"""Another unit for a tool with which something was read: the same lengths, or the same figures."""

from __future__ import annotations

from dataclasses import replace
from typing import cast

from sqlalchemy.orm import Session

from metrion.core.exact.units import unit_ratio
from metrion.core.facts import Name
from metrion.core.instruments.in_unit import marks_in_unit
from metrion.core.json import Json, Record
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.traits import LengthUnit
from metrion.store.commands import Change
from metrion.store.documents import entries
from metrion.store.models import Sheet
from metrion.store.records import OBSERVATIONS, Kept
from metrion.web.schemas.declared import Told, WhatWasRead
from metrion.web.speaking import refuse, speaker


def what_was_read(
    session: Session, found: Sheet, tool: Kept, told: Told, *, at: str
) -> list[Change]:
    """What becomes of the readings and zero looks of a tool whose unit is told otherwise.

    422 where there are some, and it was not said whether their lengths stay or their figures.

    Args:
        tool: as it was.
        told: what is to change of it.
        at: when, for the history of what is converted.
    """
    was, unit = str(tool.record.get("unit")), str(told.record.get("unit"))
    if was == unit or not {was, unit} <= set(LengthUnit):
        return []
    measured = [
        one.id
        for one in entries(session, found, "measurements")
        if one.record.get("instrument") == tool.id
    ]
    looks = {
        "zero_checks": [
            one
            for one in entries(session, found, "zero_checks")
            if one.record.get("instrument") == tool.id
        ],
        OBSERVATIONS: [
            one for one in entries(session, found, OBSERVATIONS) if one.measurement in measured
        ],
    }
    if any(looks.values()) and not told.what_was_read:
        refuse(422, "what-was-read-unsaid", was=Name(was), unit=Name(unit))
    if told.what_was_read != WhatWasRead.SAME_LENGTHS:
        return []
    why = speaker().text("history-other-unit", was=Name(was), unit=Name(unit))
    return [
        Change(section, one, replace(one, record=_converted(one.record, was, unit, at, why)))
        for section, kept in looks.items()
        for one in kept
    ]


def _converted(record: Record, was: str, unit: str, at: str, why: str) -> Record:
    figures = ("main", "fine", "second_turn", *PAIR_INDICATIONS)
    before = {name: record[name] for name in figures if name in record}
    history = cast(list[Json], record.get("history") or [])
    told = marks_in_unit(record, PAIR_INDICATIONS, unit_ratio(was, unit))
    return {**told, "history": [*history, {**before, "at": at, "why": why}]}
