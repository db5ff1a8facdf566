"""What a result was to stand beside, as it was noted; for the record only."""

from __future__ import annotations

from metrion.core.declared import (
    NOTHING,
    Rest,
    Text,
    WrittenUnit,
    declared,
    entry,
    rest,
)


@entry()
class Beside:
    """Another result of the sheet, or an expected value as it was written.

    Attributes:
        quantity: id of a measurement; empty if it is none.
        derived: id of a derived quantity; empty if it is none.
        value, uncertainty, unit: of an expected value, as they were written.
        rest: what else is noted of it.
    """

    quantity: str = declared(Text(), default="", for_the_record=True)
    derived: str = declared(Text(), default="", for_the_record=True)
    value: str = declared(Text(), default="", for_the_record=True)
    uncertainty: str = declared(Text(), default="", for_the_record=True)
    unit: str = declared(WrittenUnit(), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)
