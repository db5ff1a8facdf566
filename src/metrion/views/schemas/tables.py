"""Readings from a table."""

from __future__ import annotations

from dataclasses import field

from metrion.core.instruments.appearance import FineAs, MainAs
from metrion.views.schemas.notebook import FaultView
from metrion.views.schemas.view import view


@view
class ColumnsView:
    """How a table is to be read.

    What each column holds, in order, without any what the headings tell; cells that were mended,
    each as ``row/column/text``; whether the rows that have no fault are to be taken without the
    others; and what the figures of its columns stand for, where that was asked.
    """

    column: list[str] = field(default_factory=list)
    mend: list[str] = field(default_factory=list)
    good_only: bool = False
    fine_as: FineAs | None = None
    main_as: MainAs | None = None


@view
class TableRowView:
    """A row of a table, its number from 0; what its first look reads, empty if it has a fault."""

    at: int
    cells: list[str]
    reads: str


@view
class ColumnAskedView:
    """What has to be said of a column before its cells mean one reading each."""

    role: str
    choices: list[str]


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
    asked: list[ColumnAskedView]


@view
class FitView:
    """A quantity that a table fits: how many of its rows it would take."""

    sheet: str
    sheet_title: str
    quantity: str
    label: str
    instrument: str
    rows: int
