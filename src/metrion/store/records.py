"""Rows as the records that a logbook file holds, and back."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache
from typing import Any

from sqlalchemy import Boolean, Column, Integer, inspect

from metrion.store.models import SECTIONS, Entry, Sheet
from metrion.store.types import ExactText, JsonText, is_exact

_OWN = {"sheet_id", "id", "position", "version", "extra", "measurement"}


@dataclass(frozen=True)
class Kept:
    """An entry of a sheet: its record, and what the store knows besides.

    Attributes:
        id: the id of the entry.
        record: its fields as in a logbook file.
        position: its place among its like.
        version: grows with every change.
        measurement: of an observation, the measurement it belongs to.
    """

    id: str
    record: dict[str, Any]
    position: int
    version: int
    measurement: str | None = None


HEAD = "head"
"""The section of what stands at the head of a sheet: its title, and fields kept for the record."""


def head_of(sheet: Sheet) -> Kept:
    """What stands at the head of a sheet, as an entry of its own."""
    return Kept(sheet.id, {"title": sheet.title, **sheet.extra}, 0, sheet.version)


def fill_head(sheet: Sheet, record: dict[str, Any]) -> None:
    """Write a head into its sheet."""
    sheet.title = record["title"]
    sheet.extra = {name: value for name, value in record.items() if name != "title"}


@cache
def _columns(table: type[Entry]) -> dict[str, Column[Any]]:
    columns = inspect(table).columns
    return {column.key: column for column in columns if column.key not in _OWN}


def _holds(column: Column[Any], value: object) -> bool:
    """Whether a column can hold a value just as it is."""
    if value is None:
        return False
    if isinstance(column.type, JsonText):
        return True
    if isinstance(column.type, ExactText):
        return is_exact(value)
    if isinstance(column.type, Boolean):
        return isinstance(value, bool)
    if isinstance(column.type, Integer):
        return isinstance(value, int) and not isinstance(value, bool) and abs(value) < 2**63
    return isinstance(value, str)


def kept(row: Entry) -> Kept:
    """A row as an entry; ids stand first, then fields with a column, then the others."""
    section = row.__tablename__
    record: dict[str, Any] = {} if section == "observations" else {"id": row.id}
    for name in _columns(type(row)):
        value = getattr(row, name)
        if value is not None:
            record[name] = value
    record.update(row.extra)
    parent = getattr(row, "measurement", None)
    return Kept(row.id, record, row.position, row.version, parent)


def fill(row: Entry, record: dict[str, Any]) -> None:
    """Write a record into a row: columns take what they can hold, ``extra`` the rest."""
    columns = _columns(type(row))
    extra = {}
    for name, value in record.items():
        known = name == "id" and row.__tablename__ != "observations"
        if not known and not (name in columns and _holds(columns[name], value)):
            extra[name] = value
    for name, column in columns.items():
        value = record.get(name)
        setattr(row, name, value if name not in extra and _holds(column, value) else None)
    row.extra = extra


def new_row(section: str, sheet_id: str, entry: Kept) -> Entry:
    """A row for an entry."""
    table = SECTIONS[section]
    row = table(
        sheet_id=sheet_id, id=entry.id, position=entry.position, version=entry.version, extra={}
    )
    if entry.measurement is not None:
        row.measurement = entry.measurement  # type: ignore[attr-defined]
    fill(row, entry.record)
    return row
