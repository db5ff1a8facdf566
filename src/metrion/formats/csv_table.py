"""A CSV file taken apart: its sign between columns, its headings, its rows."""

from __future__ import annotations

import csv
import re
from codecs import getincrementaldecoder
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from io import BytesIO, TextIOWrapper
from itertools import chain

from metrion.core.facts import Name
from metrion.formats.faults import refusal
from metrion.formats.table import COLUMNS, RUN_BY_SPREADSHEETS

MOST_COLUMNS, MOST_ROWS, LONGEST_CELL, MOST_CELLS = 200, 200_000, 4_000, 3_000_000
"""The bounds of a table; one beyond them is refused whole."""

# Each cell may stand in quotes, each quote in it twice.
_LONGEST_ROW = MOST_COLUMNS * (2 * LONGEST_CELL + 3) + 2
_CHUNK = 1024 * 1024
_LOOKED_AT, _LINES_LOOKED_AT = 64 * 1024, 50
"""How much of a table is looked at to find its sign between columns."""
_BETWEEN = " / "
_KEPT_FROM_RUNNING = tuple(f"'{sign}" for sign in RUN_BY_SPREADSHEETS)
_FIGURE = re.compile(r"[-−]?[0-9][0-9 .,:°′'/½¼¾]*")
_BEGINS_A_FIGURE = re.compile(r"[-−+]?[.,]?[0-9½¼¾]")
"""Of a cell that is no heading: better a fault told than a first reading taken for headings."""
_IDS = COLUMNS[:4]
"""What a table of observations of our own begins with."""
HEADINGS = (
    "main", "line", "mark", "msr", "vsr", "vernier", "thimble", "sleeve", "scale", "coinc",
    "place", "note", "remark", "total", "position", "division",
)  # fmt: skip
"""Words that headings of such tables have."""


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

    @property
    def is_own(self) -> bool:
        """Whether it is a table of observations of our own, whose figures mean one thing."""
        return self.header[: len(_IDS)] == _IDS


def read_table(content: bytes) -> ReadingsTable:
    """Take a CSV file apart, whatever sign it has between its columns.

    Raises:
        Refused: if it is no text, has no rows, or is out of bounds.
    """
    encoding = _encoding(content)
    delimiter = _delimiter(content, encoding)
    cells: list[tuple[str, ...]] = []
    numbers: list[int] = []
    widest = 0
    for number, row in _rows(content, encoding, delimiter):
        if len(cells) == MOST_ROWS:
            raise refusal("table-too-long", most=MOST_ROWS)
        widest = max(widest, len(row))
        # Each row gets as many cells as the widest one has.
        if widest * len(cells) > MOST_CELLS:
            raise refusal("table-of-too-many-cells", most=MOST_CELLS)
        cells.append(tuple(_freed(cell) for cell in row))
        numbers.append(number)
    if not cells:
        raise refusal("table-empty")
    cells = [row + ("",) * (widest - len(row)) for row in cells]
    headed = _is_header(cells[0])
    header, begin = (cells[0], 1) if headed else ((), 0)
    return ReadingsTable(delimiter, header, tuple(cells[begin:]), tuple(numbers[begin:]))


def _is_header(cells: tuple[str, ...]) -> bool:
    """Whether a row has headings: no figures, or words for columns (``1st main``, ``1st line``)."""
    begun = any(map(_BEGINS_A_FIGURE.match, cells))
    filled = [cell.lower() for cell in cells if cell]
    named = sum(any(word in cell for word in HEADINGS) for cell in filled)
    return not begun or (named > 1 and not any(map(_FIGURE.fullmatch, filled)))


@dataclass(frozen=True)
class Mended:
    """A cell as somebody mends it: of a row and a column of a table, from 0."""

    row: int
    column: int
    text: str


def mended(table: ReadingsTable, cells: Iterable[Mended]) -> ReadingsTable:
    """A table with some of its cells mended.

    Raises:
        Refused: for a cell that it has not.
    """
    rows = [list(row) for row in table.rows]
    for cell in cells:
        if not (0 <= cell.row < len(rows) and 0 <= cell.column < table.width):
            raise refusal("no-such-cell", row=cell.row, column=cell.column)
        rows[cell.row][cell.column] = cell.text.strip()
    return replace(table, rows=tuple(map(tuple, rows)))


class _Lines:
    """The lines of a file, each and all of one row no longer than a row may be."""

    def __init__(self, content: bytes, encoding: str) -> None:
        self._text = TextIOWrapper(BytesIO(content), encoding, newline="")
        self.row = 0
        """The characters since the row began."""

    def __iter__(self) -> Iterator[str]:
        while line := self._text.readline(_LONGEST_ROW + 1):
            self.row += len(line)
            if self.row > _LONGEST_ROW:
                raise refusal("table-of-long-rows", most=_LONGEST_ROW)
            yield line


def _rows(content: bytes, encoding: str, delimiter: str) -> Iterator[tuple[int, list[str]]]:
    """The rows that are not blank, one by one, each with its number in the file.

    Raises:
        Refused: if one is out of bounds.
    """
    lines = _Lines(content, encoding)
    try:
        for number, row in enumerate(csv.reader(lines, delimiter=delimiter), 1):
            lines.row = 0
            if len(row) > MOST_COLUMNS:
                raise refusal("table-too-wide", most=MOST_COLUMNS)
            if any(len(cell) > LONGEST_CELL for cell in row):
                raise refusal("table-of-long-cells", most=LONGEST_CELL)
            if any(cell.strip() for cell in row):
                yield number, row
    except csv.Error as error:
        raise refusal("table-unreadable", reason=Name(str(error))) from None


def _freed(cell: str) -> str:
    """A cell without the sign that keeps a spreadsheet from running it as a formula."""
    cell = cell.strip()
    return cell[1:] if cell.startswith(_KEPT_FROM_RUNNING) else cell


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


def of_quantity(table: ReadingsTable, quantity: str, label: str = "") -> ReadingsTable:
    """A table as a quantity takes it.

    Of a table that holds several quantities, its own rows: by its id in a table of observations
    of our own, else where a column has its label. And a column for each position of a pair, where
    both were written in one cell.
    """
    own = own_rows(table, quantity, label) or range(len(table.rows))
    rows, lines = tuple(table.rows[i] for i in own), tuple(table.lines[i] for i in own)
    return _parted(replace(table, rows=rows, lines=lines))


def own_rows(table: ReadingsTable, quantity: str, label: str) -> Sequence[int]:
    """The rows that name a quantity; none where none does."""
    columns = range(table.width)
    if table.is_own:
        columns, label = range(1), quantity
    for column in columns:
        found = [at for at, row in enumerate(table.rows) if label and row[column] == label]
        if found:
            return found
    return ()


def _encoding(content: bytes) -> str:
    if b"\0" not in content:
        for encoding in ("utf-8-sig", "cp1252"):
            decoder = getincrementaldecoder(encoding)()
            try:
                for begin in range(0, len(content), _CHUNK):
                    decoder.decode(content[begin : begin + _CHUNK])
                decoder.decode(b"", final=True)
            except UnicodeDecodeError:
                continue
            return encoding
    raise refusal("table-no-text")


def _delimiter(content: bytes, encoding: str) -> str:
    """The sign that parts most lines into the same number of columns, at least two."""
    beginning = content[:_LOOKED_AT].decode(encoding, "replace")
    lines = [line for line in beginning.splitlines() if line.strip()][:_LINES_LOOKED_AT]

    def score(sign: str) -> tuple[int, int]:
        counts = [len(next(csv.reader([line], delimiter=sign), [])) for line in lines]
        usual = max(set(counts), key=counts.count) if counts else 1
        return (counts.count(usual) if usual > 1 else 0, usual)

    # A comma may be the sign of decimals, so it is thought of last.
    return max(";\t,", key=score)
