"""A CSV file taken apart: its sign between columns, its headings, its rows."""

from __future__ import annotations

import csv
import re
from collections.abc import Sequence
from dataclasses import dataclass, replace
from io import StringIO
from itertools import chain

from metrion.core.facts import Name
from metrion.formats.faults import refusal
from metrion.formats.table import COLUMNS

LARGEST_ROWS = 100_000
_BETWEEN = " / "
_FIGURE = re.compile(r"[-−]?[0-9][0-9 .,:°′'/½¼¾]*")
_BEGINS_A_FIGURE = re.compile(r"[-−+]?[.,]?[0-9½¼¾]")
"""Of a cell that is no heading: better a fault told than a first reading taken for headings."""
_IDS = COLUMNS[:4]
"""What a table of observations of our own begins with."""


@dataclass(frozen=True)
class ReadingsTable:
    """A table as it was made.

    Attributes:
        delimiter: the sign between its columns.
        header: the headings; empty if it has none.
        rows: the cells of each row, as many as there are columns.
        lines: the line of the file on which each row stands.
    """

    delimiter: str
    header: tuple[str, ...]
    rows: tuple[tuple[str, ...], ...]
    lines: tuple[int, ...]

    @property
    def width(self) -> int:
        """How many columns it has."""
        return max((len(row) for row in (self.header, *self.rows)), default=0)


def read_table(content: bytes) -> ReadingsTable:
    """Take a CSV file apart, whatever sign it has between its columns.

    Raises:
        Refused: if it is no text, has no rows, or too many.
    """
    text = _decoded(content)
    delimiter = _delimiter(text)
    try:
        lines = list(csv.reader(StringIO(text, newline=""), delimiter=delimiter))
    except csv.Error as error:
        raise refusal("table-unreadable", reason=Name(str(error))) from None
    numbered = [(number, row) for number, row in enumerate(lines, 1) if any(c.strip() for c in row)]
    if not numbered:
        raise refusal("table-empty")
    if len(numbered) > LARGEST_ROWS:
        raise refusal("table-too-long", most=LARGEST_ROWS)
    width = max(len(row) for _, row in numbered)
    cells = [tuple(_freed(c) for c in row) + ("",) * (width - len(row)) for _, row in numbered]
    headed = not any(map(_BEGINS_A_FIGURE.match, cells[0]))
    header, rows = (cells[0], cells[1:]) if headed else ((), cells)
    numbers = tuple(number for number, _ in numbered[1 if headed else 0 :])
    return ReadingsTable(delimiter, tuple(header), tuple(rows), numbers)


def _freed(cell: str) -> str:
    """A cell without the sign that keeps a spreadsheet from running it as a formula."""
    return re.sub(r"^'(?=[=+\-@])", "", cell.strip())


def _parted(table: ReadingsTable) -> ReadingsTable:
    """A table with a column for each position of a pair, where both were written in one cell."""
    columns = [_positions([row[place] for row in table.rows]) for place in range(table.width)]
    header = tuple(
        heading
        for heading, parts in zip(table.header, columns, strict=False)
        for _ in range(len(parts))
    )
    rows = tuple(zip(*(part for parts in columns for part in parts), strict=True))
    return replace(table, header=header, rows=rows)


def _positions(cells: Sequence[str]) -> list[Sequence[str]]:
    """The figures of each position; the cells as they are where they hold anything else."""
    pieces = [cell.split(_BETWEEN) for cell in cells]
    counts = {len(one) for one in pieces}
    if len(counts) != 1 or counts == {1} or not all(map(_FIGURE.fullmatch, chain(*pieces))):
        return [cells]
    return list(zip(*pieces, strict=True))


def of_quantity(table: ReadingsTable, quantity: str) -> ReadingsTable:
    """A table as a quantity takes it.

    Of a table of observations that holds several quantities, its own rows; and a column for each
    position of a pair, where both were written in one cell.
    """
    kept: Sequence[int] = range(len(table.rows))
    if tuple(table.header[: len(_IDS)]) == _IDS:
        own = [place for place in kept if table.rows[place][0] == quantity]
        kept = own or kept
    rows, lines = tuple(table.rows[i] for i in kept), tuple(table.lines[i] for i in kept)
    return _parted(replace(table, rows=rows, lines=lines))


def _decoded(content: bytes) -> str:
    for encoding in ("utf-8-sig", "cp1252"):
        try:
            text = content.decode(encoding)
        except UnicodeDecodeError:
            continue
        if "\0" not in text:
            return text
    raise refusal("table-no-text")


def _delimiter(text: str) -> str:
    """The sign that parts most lines into the same number of columns, at least two."""
    lines = [line for line in text.splitlines() if line.strip()][:50]

    def score(sign: str) -> tuple[int, int]:
        counts = [len(next(csv.reader([line], delimiter=sign), [])) for line in lines]
        usual = max(set(counts), key=counts.count) if counts else 1
        return (counts.count(usual) if usual > 1 else 0, usual)

    # A comma may be the sign of decimals, so it is thought of last.
    return max(";\t,", key=score)
