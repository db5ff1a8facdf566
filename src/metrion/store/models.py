"""Tables. The columns of an entry bear the names its fields have in a logbook file."""

from __future__ import annotations

from datetime import datetime
from enum import StrEnum
from typing import Any, ClassVar

from sqlalchemy import ForeignKey, ForeignKeyConstraint, Text, UniqueConstraint
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

from metrion.store.types import ExactText, JsonText, UtcTime


class Base(DeclarativeBase):
    """Root of all tables."""

    type_annotation_map: ClassVar = {str: Text, datetime: UtcTime, dict[str, Any]: JsonText}


class Sheet(Base):
    """One investigation; ``version`` grows with every change to anything in it."""

    __tablename__ = "sheets"

    id: Mapped[str] = mapped_column(primary_key=True)
    title: Mapped[str]
    version: Mapped[int]
    created_at: Mapped[datetime]
    changed_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]
    extra: Mapped[dict[str, Any]]


class Entry(Base):
    """What the entries of a sheet have in common.

    ``extra`` keeps the fields that have no column of their own, or whose value a column cannot
    hold (a field without meaning for the kind is not checked, so it may be anything).
    """

    __abstract__ = True

    sheet_id: Mapped[str] = mapped_column(
        ForeignKey("sheets.id", ondelete="CASCADE"), primary_key=True
    )
    id: Mapped[str] = mapped_column(primary_key=True)
    position: Mapped[int]
    version: Mapped[int]
    extra: Mapped[dict[str, Any]]


def _of_instrument() -> ForeignKeyConstraint:
    return ForeignKeyConstraint(
        ["sheet_id", "instrument"],
        ["instruments.sheet_id", "instruments.id"],
        deferrable=True,
        initially="DEFERRED",
    )


class InstrumentRow(Entry):
    """An instrument as described."""

    __tablename__ = "instruments"

    name: Mapped[str | None]
    kind: Mapped[str | None]
    unit: Mapped[str | None]
    main_division: Mapped[str | None] = mapped_column(ExactText)
    pitch: Mapped[str | None] = mapped_column(ExactText)
    fine_divisions: Mapped[int | None]
    span: Mapped[int | None]
    numbering: Mapped[str | None]
    range: Mapped[Any | None] = mapped_column(JsonText)
    maker_limit: Mapped[str | None] = mapped_column(ExactText)


class ZeroCheckRow(Entry):
    """A zero check as it was seen."""

    __tablename__ = "zero_checks"
    __table_args__ = (_of_instrument(),)

    instrument: Mapped[str | None]
    face: Mapped[str | None]
    main: Mapped[str | None] = mapped_column(ExactText)
    fine: Mapped[Any | None] = mapped_column(JsonText)
    second_turn: Mapped[bool | None]
    reference: Mapped[str | None] = mapped_column(ExactText)
    phase: Mapped[str | None]


class ConventionRow(Entry):
    """A convention of one's own."""

    __tablename__ = "conventions"

    name: Mapped[str | None]
    family: Mapped[str | None]
    reading_limit: Mapped[str | None] = mapped_column(ExactText)
    zero_look: Mapped[bool | None]
    spread: Mapped[str | None]
    combine: Mapped[str | None]
    coverage: Mapped[str | None]
    digits: Mapped[Any | None] = mapped_column(JsonText)
    estimate: Mapped[bool | None]


class MeasurementRow(Entry):
    """A quantity measured directly."""

    __tablename__ = "measurements"
    __table_args__ = (_of_instrument(),)

    name: Mapped[str | None]
    symbol: Mapped[str | None]
    instrument: Mapped[str | None]
    face: Mapped[str | None]
    items: Mapped[int | None]
    divide_by: Mapped[int | None]
    arc: Mapped[str | None]
    zero: Mapped[Any | None] = mapped_column(JsonText)
    convention: Mapped[str | None]


class ObservationRow(Entry):
    """An observation as it was read; ``a`` to ``b2`` hold the looks of a pair."""

    __tablename__ = "observations"
    __table_args__ = (
        ForeignKeyConstraint(
            ["sheet_id", "measurement"],
            ["measurements.sheet_id", "measurements.id"],
            deferrable=True,
            initially="DEFERRED",
        ),
    )

    measurement: Mapped[str]
    main: Mapped[str | None] = mapped_column(ExactText)
    fine: Mapped[Any | None] = mapped_column(JsonText)
    second_turn: Mapped[bool | None]
    meets: Mapped[str | None] = mapped_column(ExactText)
    a: Mapped[Any | None] = mapped_column(JsonText)
    b: Mapped[Any | None] = mapped_column(JsonText)
    a2: Mapped[Any | None] = mapped_column(JsonText)
    b2: Mapped[Any | None] = mapped_column(JsonText)
    place: Mapped[str | None]
    excluded: Mapped[str | None]


class DerivedRow(Entry):
    """A quantity made of others."""

    __tablename__ = "derived"

    name: Mapped[str | None]
    formula: Mapped[str | None]
    unit: Mapped[str | None]
    convention: Mapped[str | None]
    inputs: Mapped[Any | None] = mapped_column(JsonText)


class State(StrEnum):
    """Where a command stands: done, undone, or undone and overtaken by a later one."""

    DONE = "done"
    UNDONE = "undone"
    DROPPED = "dropped"


class CommandRow(Base):
    """One thing a person did to a sheet; ``key`` makes doing it twice impossible."""

    __tablename__ = "commands"
    __table_args__ = (UniqueConstraint("sheet_id", "key"),)

    id: Mapped[int] = mapped_column(primary_key=True, autoincrement=True)
    sheet_id: Mapped[str] = mapped_column(ForeignKey("sheets.id", ondelete="CASCADE"))
    key: Mapped[str]
    title: Mapped[str]
    at: Mapped[datetime]
    state: Mapped[str]


class ChangeRow(Base):
    """What a command did to one entry: the state before and after, None where it is not there."""

    __tablename__ = "changes"

    id: Mapped[int] = mapped_column(primary_key=True, autoincrement=True)
    command_id: Mapped[int] = mapped_column(ForeignKey("commands.id", ondelete="CASCADE"))
    section: Mapped[str]
    entry_id: Mapped[str]
    before: Mapped[Any | None] = mapped_column(JsonText)
    after: Mapped[Any | None] = mapped_column(JsonText)


class ToolRow(Base):
    """A tool of the student's own, as it is taken into new sheets."""

    __tablename__ = "tools"

    id: Mapped[str] = mapped_column(primary_key=True)
    position: Mapped[int]
    version: Mapped[int]
    record: Mapped[dict[str, Any]]


class SettingRow(Base):
    """One setting of the notebook."""

    __tablename__ = "settings"

    name: Mapped[str] = mapped_column(primary_key=True)
    value: Mapped[Any] = mapped_column(JsonText)


SECTIONS: dict[str, type[Entry]] = {
    "instruments": InstrumentRow,
    "zero_checks": ZeroCheckRow,
    "conventions": ConventionRow,
    "measurements": MeasurementRow,
    "observations": ObservationRow,
    "derived": DerivedRow,
}
"""The tables of entries, in an order in which each refers to earlier ones only."""
