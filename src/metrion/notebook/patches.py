"""What somebody says of an entry: new, or otherwise than it was."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum

from metrion.core.desk.entered import AnsweredFigures, TypedReading
from metrion.core.json import Record


class WhatWasRead(StrEnum):
    """What stays of readings when the unit of their tool is told otherwise."""

    SAME_LENGTHS = "same-lengths"
    SAME_FIGURES = "same-figures"


@dataclass(frozen=True)
class EntryPatch:
    """What is said of an entry.

    Attributes:
        record: its fields as a logbook has them; one that is to go is None.
        id: of a new entry, if its maker gave it one.
        quantity: (readings, zero checks) that it belongs to, or that is to use it.
        typed: (readings) its figures as they were typed.
        answered: what was said of the figures of its tool while they were entered.
        replaces: (zero checks) the earlier looks in whose place it comes.
        what_was_read: (instruments) what becomes of what was read when its unit is another one.
        why: the reason of a change.
    """

    record: Record
    id: str | None = None
    quantity: str = ""
    typed: TypedReading | None = None
    answered: AnsweredFigures | None = None
    replaces: Sequence[str] = ()
    what_was_read: str = ""
    why: str = ""

    @property
    def given(self) -> Record:
        """The fields that say something."""
        return {name: value for name, value in self.record.items() if value is not None}

    @property
    def as_answered(self) -> Record:
        """What was answered of the figures of its tool, as an instrument keeps it."""
        said = self.typed.answered if self.typed else self.answered
        return said.as_kept if said else {}
