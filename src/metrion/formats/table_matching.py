"""Which quantity a table of readings fits."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from metrion.core.quantity.measurements import Measurement
from metrion.formats.csv_table import ReadingsTable, of_quantity, own_rows
from metrion.formats.readings_table import guessed_roles, readings_of

_LOOKED_AT = 40
"""Rows that tell whether a table fits."""
_SEARCHED = 100_000
"""Cells from the beginning in which a quantity is looked for by its name."""


@dataclass(frozen=True, order=True)
class TableFit:
    """How well a table fits a quantity; the better one is the greater.

    Attributes:
        named: whether it names the quantity.
        share: of its rows that can be read as readings with its instrument.
        rows: how many rows there are for the quantity; 0 where none can be read.
    """

    named: bool
    share: float
    rows: int


def fit(table: ReadingsTable, quantity: Measurement) -> TableFit:
    """How well a table fits a quantity, as far as its headings tell."""
    sample = _beginning(table, _SEARCHED // max(table.width, 1) + _LOOKED_AT)
    own = own_rows(sample, quantity.id, quantity.label)
    listed = own or range(len(sample.rows))
    some = of_quantity(_rows_of(sample, listed[:_LOOKED_AT]), quantity.id, quantity.label)
    instrument, sort = quantity.instrument, quantity.intended
    columns = guessed_roles(some, instrument, sort)
    estimates = quantity.convention.estimate
    found = readings_of(some, columns, instrument, sort, estimates=estimates)
    # What has to be asked about fits as well.
    readings = len(found.readings) + found.doubtful
    rows = len(own_rows(table, quantity.id, quantity.label)) if own else len(table.rows)
    return TableFit(bool(own), readings / len(some.rows), rows if readings else 0)


def _beginning(table: ReadingsTable, rows: int) -> ReadingsTable:
    return _rows_of(table, range(min(rows, len(table.rows))))


def _rows_of(table: ReadingsTable, places: Sequence[int]) -> ReadingsTable:
    rows, lines = tuple(table.rows[at] for at in places), tuple(table.lines[at] for at in places)
    return replace(table, rows=rows, lines=lines)
