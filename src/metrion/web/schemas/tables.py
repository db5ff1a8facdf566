"""Readings from a table."""

from __future__ import annotations

from dataclasses import field

from metrion.core.instruments.appearance import FineAs
from metrion.web.schemas.notebook import FaultView
from metrion.web.schemas.view import view


@view
class ColumnsView:
    """What each column holds, in order; without any, what the headings tell."""

    column: list[str] = field(default_factory=list)
    fine_as: FineAs = FineAs.LINE


@view
class TableView:
    """How a table would be read: its first rows, what its columns hold, what is wrong."""

    header: list[str]
    rows: list[list[str]]
    count: int
    columns: list[str]
    roles: list[str]
    readings: list[str]
    faults: list[FaultView]
