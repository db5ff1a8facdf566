"""What is noted beside an indication, for the record only: how, when and by whom it was taken."""

from __future__ import annotations

from enum import StrEnum

from metrion.core.declared import (
    NOTHING,
    PROSE,
    Choice,
    Codes,
    Entries,
    LooseIndications,
    Rest,
    Text,
    declared,
    entry,
    rest,
)
from metrion.core.quantity.photographs import Photograph

BENCH = 20_000
"""The most characters of what was done at a bench."""


class Approach(StrEnum):
    """From which side the faces came to touch."""

    OPENING = "opening"
    CLOSING = "closing"


@entry()
class Earlier:
    """Figures as they were before they were changed.

    Attributes:
        indications: main reading and fine line of each indication, as they were written.
        at: when they were changed.
        why: the reason that was given.
        rest: what else is noted of it.
    """

    indications: tuple[tuple[str, str], ...] = declared(LooseIndications(), default=())
    at: str = declared(Text(), default="", for_the_record=True)
    why: str = declared(Text(PROSE), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)


@entry()
class Noted:
    """What is noted beside an indication.

    Attributes:
        at: when it was taken (ISO 8601, UTC).
        note: a remark.
        reader: who read it.
        approach: from which side; None if that was not noted.
        history: the figures it had before, the first ones first.
        looked_again: codes of flags about it that were settled.
        simulated: what was done at a simulated bench before; empty at a real one.
        photographs: that were taken of it, and what they said.
    """

    at: str = declared(Text(), default="", for_the_record=True)
    note: str = declared(Text(PROSE), default="", for_the_record=True)
    reader: str = declared(Text(), default="", for_the_record=True)
    approach: Approach | None = declared(Choice(Approach), default=None, for_the_record=True)
    history: tuple[Earlier, ...] = declared(Entries(Earlier), default=(), for_the_record=True)
    looked_again: tuple[str, ...] = declared(Codes(), default=(), for_the_record=True)
    simulated: str = declared(Text(BENCH), default="", for_the_record=True)
    photographs: tuple[Photograph, ...] = declared(
        Entries(Photograph), default=(), for_the_record=True
    )


NOTHING_NOTED = Noted()
