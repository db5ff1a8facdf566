"""Tables. What an entry holds stands in its record, as a logbook file has it."""

from __future__ import annotations

from datetime import datetime
from enum import StrEnum
from typing import ClassVar

from sqlalchemy import ForeignKey, Index, LargeBinary, Text, UniqueConstraint
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column

from metrion.core.json import Json, Record
from metrion.store.types import JsonText, UtcTime


class Base(DeclarativeBase):
    """Root of all tables."""

    type_annotation_map: ClassVar = {str: Text, datetime: UtcTime, Record: JsonText}


class Sheet(Base):
    """One investigation; ``version`` grows with every change to anything in it."""

    __tablename__ = "sheets"

    id: Mapped[str] = mapped_column(primary_key=True)
    title: Mapped[str]
    version: Mapped[int]
    created_at: Mapped[datetime]
    changed_at: Mapped[datetime]
    deleted_at: Mapped[datetime | None]
    extra: Mapped[Record]


class EntryRow(Base):
    """An entry of a sheet as it was written: what the eye saw, and all that was noted of it.

    ``record`` is the text of the JSON object that a logbook file holds for it; what is in it, the
    reader of such files says. ``measurement`` is that of an observation, None for other entries.
    """

    __tablename__ = "entries"
    __table_args__ = (Index("in_order", "sheet_id", "section", "position"),)

    sheet_id: Mapped[str] = mapped_column(
        ForeignKey("sheets.id", ondelete="CASCADE"), primary_key=True
    )
    section: Mapped[str] = mapped_column(primary_key=True)
    id: Mapped[str] = mapped_column(primary_key=True)
    position: Mapped[int]
    version: Mapped[int]
    measurement: Mapped[str | None]
    record: Mapped[Record]


class PictureRow(Base):
    """A picture that readings of a sheet refer to by ``name``, the SHA-256 of its bytes."""

    __tablename__ = "pictures"

    sheet_id: Mapped[str] = mapped_column(
        ForeignKey("sheets.id", ondelete="CASCADE"), primary_key=True
    )
    name: Mapped[str] = mapped_column(primary_key=True)
    at: Mapped[datetime]
    content: Mapped[bytes] = mapped_column(LargeBinary)


class State(StrEnum):
    """Where a command stands: done, undone, or undone and overtaken by a later one."""

    DONE = "done"
    UNDONE = "undone"
    DROPPED = "dropped"


class CommandRow(Base):
    """One thing a person did to a sheet; ``window`` did it, or took it back last."""

    __tablename__ = "commands"
    __table_args__ = (UniqueConstraint("sheet_id", "key"),)

    id: Mapped[int] = mapped_column(primary_key=True, autoincrement=True)
    sheet_id: Mapped[str] = mapped_column(ForeignKey("sheets.id", ondelete="CASCADE"))
    key: Mapped[str]
    title: Mapped[str]
    at: Mapped[datetime]
    state: Mapped[str]
    window: Mapped[str] = mapped_column(server_default="")


class ChangeRow(Base):
    """What a command did to one entry: the state before and after, None where it is not there."""

    __tablename__ = "changes"

    id: Mapped[int] = mapped_column(primary_key=True, autoincrement=True)
    command_id: Mapped[int] = mapped_column(ForeignKey("commands.id", ondelete="CASCADE"))
    section: Mapped[str]
    entry_id: Mapped[str]
    before: Mapped[Record | None] = mapped_column(JsonText)
    after: Mapped[Record | None] = mapped_column(JsonText)


class ToolRow(Base):
    """A tool of the student's own, as it is taken into new sheets."""

    __tablename__ = "tools"

    id: Mapped[str] = mapped_column(primary_key=True)
    position: Mapped[int]
    version: Mapped[int]
    record: Mapped[Record]


class RequestRow(Base):
    """A request that was carried out: ``key`` makes doing it twice impossible."""

    __tablename__ = "requests"

    key: Mapped[str] = mapped_column(primary_key=True)
    fingerprint: Mapped[str]
    answer: Mapped[Json] = mapped_column(JsonText, nullable=True)
    at: Mapped[datetime]


class SettingRow(Base):
    """One setting of the notebook."""

    __tablename__ = "settings"

    name: Mapped[str] = mapped_column(primary_key=True)
    value: Mapped[Json] = mapped_column(JsonText)


class AttemptRow(Base):
    """The first answer to an exercise of practice; an empty one where it was shown instead."""

    __tablename__ = "attempts"

    id: Mapped[int] = mapped_column(primary_key=True, autoincrement=True)
    exercise: Mapped[str] = mapped_column(unique=True)
    skill: Mapped[str]
    given: Mapped[str]
    verdict: Mapped[str]
    slips: Mapped[Json] = mapped_column(JsonText)
    seconds: Mapped[float]
    at: Mapped[datetime]
