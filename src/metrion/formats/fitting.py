"""Which quantity a table of readings fits."""

from __future__ import annotations

from dataclasses import dataclass, replace

from metrion.core.instruments.appearance import FineAs
from metrion.core.quantity.measurements import Measurement
from metrion.formats.csv_table import ReadingsTable, of_quantity, own_rows
from metrion.formats.readings_table import guessed_roles, readings_of

_LOOKED_AT = 40
"""Rows that tell whether a table fits."""


@dataclass(frozen=True, order=True)
class Fit:
    """How well a table fits a quantity; the better one is the greater.

    Attributes:
        named: whether it names the quantity.
        share: of its rows that can be read as readings with its instrument.
        rows: how many rows there are for the quantity; 0 where none can be read.
    """

    named: bool
    share: float
    rows: int


def fit(table: ReadingsTable, quantity: Measurement) -> Fit:
    """How well a table fits a quantity, as far as its headings tell."""
    own = of_quantity(table, quantity.id, quantity.label)
    some = replace(own, rows=own.rows[:_LOOKED_AT], lines=own.lines[:_LOOKED_AT])
    instrument, sort = quantity.instrument, quantity.intended
    fine_as = instrument.appearance.fine_as or FineAs.LINE
    columns = guessed_roles(some, instrument, sort)
    estimates = quantity.convention.estimate
    readings, _ = readings_of(some, columns, instrument, sort, fine_as, estimates=estimates)
    named = bool(own_rows(table, quantity.id, quantity.label))
    return Fit(named, len(readings) / len(some.rows), len(own.rows) if readings else 0)
