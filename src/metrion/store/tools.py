"""The student's own tools: descriptions kept for every sheet to come."""

from __future__ import annotations

from collections.abc import Sequence

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from metrion.core.json import Record
from metrion.formats.logbook import FORMAT, VERSION, parse_for_notebook
from metrion.store.entries import new_id
from metrion.store.errors import NotHere, Stale, TakenId
from metrion.store.models import ToolRow


def all_tools(session: Session) -> Sequence[ToolRow]:
    """The tools, in the order in which they were described."""
    return session.scalars(select(ToolRow).order_by(ToolRow.position, ToolRow.id)).all()


def add_tool(session: Session, record: Record, key: str | None = None) -> ToolRow:
    """Keep a new tool.

    Raises:
        Refused: if its description makes no scale.
        TakenId: if its id is in use.
    """
    key = key or new_id()
    if session.get(ToolRow, key):
        raise TakenId("tool", key)
    last = session.scalar(select(func.max(ToolRow.position)))
    row = ToolRow(id=key, position=0 if last is None else last + 1, version=1, record={})
    _describe(row, record)
    session.add(row)
    return row


def find_tool(session: Session, key: str, version: int | None = None) -> ToolRow:
    """The tool with this id, and this version if it is given. Raises `NotHere`, `Stale`."""
    row = session.get(ToolRow, key)
    if row is None:
        raise NotHere("tool", key)
    if version not in (None, row.version):
        raise Stale
    return row


def amend_tool(row: ToolRow, record: Record) -> None:
    """Describe a tool anew. Raises `Refused` if that makes no scale."""
    _describe(row, record)
    row.version += 1


def complete_tool(session: Session, key: str, fields: Record) -> None:
    """Fields that a tool keeps where it does not say them yet; nothing if there is no such tool."""
    row = session.get(ToolRow, key)
    if row is not None and any(name not in row.record for name in fields):
        amend_tool(row, {**fields, **row.record})


def _describe(row: ToolRow, record: Record) -> None:
    described = {**record, "id": row.id}
    parse_for_notebook({"format": FORMAT, "version": VERSION, "instruments": [described]})
    row.record = described
