"""Readings from a table."""

from __future__ import annotations

from dataclasses import field

from metrion.web.schemas.notebook import FaultView
from metrion.web.schemas.view import view


@view
class ColumnsView:
    """How a table is to be read.

    What each column holds, in order, without any what the headings tell; cells that were mended,
    each as ``row/column/text``; and whether the rows that have no fault are to be taken without
    the others.
    """

    column: list[str] = field(default_factory=list)
    mend: list[str] = field(default_factory=list)
    good_only: bool = False


@view
class TableRowView:
    """A row of a table, its number from 0; what its first look reads, empty if it has a fault."""

    at: int
    cells: list[str]
    reads: str


@view
class TableView:
    """How a table would be read: its first rows and the faulty ones, what its columns hold."""

    header: list[str]
    rows: list[TableRowView]
    count: int
    good: int
    columns: list[str]
    roles: list[str]
    faults: list[FaultView]


@view
class FitView:
    """A quantity that a table fits: how many of its rows it would take."""

    sheet: str
    sheet_title: str
    quantity: str
    label: str
    instrument: str
    rows: int
