"""Readings from a table that somebody made with a spreadsheet: other headings, other signs.

A table is looked through first: its sign between columns, its headings, which column is what. Then
each row is read as if it had been typed at the bench; faults are told by row and column.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from fractions import Fraction
from typing import TypeVar

from metrion.core.desk.lines import typed_line
from metrion.core.desk.marks import typed_main
from metrion.core.desk.typed import typed_number
from metrion.core.errors import MetrionError, shortened
from metrion.core.facts import Argument, Name, fact
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record
from metrion.core.quantity.observations import INDICATIONS, Sort
from metrion.core.scales import Indication, Line, ScrewScale
from metrion.core.scales.base import Undecided
from metrion.formats.csv_table import ReadingsTable
from metrion.formats.faults import Fault
from metrion.formats.logbook.indications import observation_record

_FIRST_TURN = ("", "first", "1st", "no", "n", "false", "0", "-")
_SECOND_TURN = ("second", "2nd", "2", "yes", "y", "true", "x")
_TEXTS = ("place", "excluded", "note", "reader")

_HEADINGS: dict[str, tuple[str, ...]] = {
    "main": ("main", "msr", "sleeve", "fixed", "mark", "position"),
    "fine": ("fine", "line", "vsr", "vernier", "thimble", "coinc", "csr", "circular", "division"),
    "turn": ("turn", "half"),
    "place": ("place", "where", "end", "spot"),
    "excluded": ("excluded", "aside", "reject", "reason"),
    "note": ("note", "remark", "comment"),
    "reader": ("reader", "observer", "by"),
}
_DERIVED = (
    "zero",
    "correct",
    "observed",
    "measurement",
    "total",
    "unit",
    "instrument",
    "name",
    "no.",
)
"""Headings of columns that are worked out, or say nothing of a reading."""


T = TypeVar("T")


class NoTurn(MetrionError):
    """A cell that names neither of the two turns."""

    def __init__(self, text: str) -> None:
        super().__init__("no-turn", text=shortened(text))


def guessed_roles(table: ReadingsTable, instrument: Instrument, sort: Sort) -> list[str]:
    """What each column holds, as far as its heading tells; "" for nothing."""
    # A half mark is a mark too, so the turn is thought of first.
    free = sorted(roles(instrument, sort), key=lambda role: not role.startswith("turn"))
    found = []
    for heading in table.header or [""] * table.width:
        role = next((r for r in free if _speaks_of(heading.lower(), r)), "")
        if role:
            free.remove(role)
        found.append(role)
    if not table.header and table.width == 2 and sort is Sort.SINGLE:
        return ["main", "fine"]
    return found


def _speaks_of(heading: str, role: str) -> bool:
    if any(word in heading for word in _DERIVED):
        return False
    return any(word in heading for word in _HEADINGS[role.split()[0]])


def roles(instrument: Instrument, sort: Sort) -> list[str]:
    """The roles a column may have: figures, numbered for each look, and texts.

    The figures are ``main`` and ``fine``; ``turn`` where a sleeve cannot tell two turns apart.
    """
    names = ("main", "fine", "turn") if _two_turns(instrument) else ("main", "fine")
    indications = range(1, len(INDICATIONS[sort]) + 1)
    return [*(_numbered(name, indication) for indication in indications for name in names), *_TEXTS]


def _numbered(name: str, indication: int) -> str:
    return f"{name} {indication}" if indication > 1 else name


def _two_turns(instrument: Instrument) -> ScrewScale | None:
    """The scale of a screw whose sleeve cannot tell two turns apart."""
    scale = instrument.scale
    return scale if isinstance(scale, ScrewScale) and scale.two_turns else None


@dataclass(frozen=True)
class TableReading:
    """A reading that a row holds.

    Attributes:
        row: of the table, from 0.
        record: as a logbook holds it.
        read: what its first look reads, for people.
        past_half: whether it was read on the second turn of a sleeve that does not show it.
    """

    row: int
    record: Record
    read: str
    past_half: bool


def readings_of(
    table: ReadingsTable,
    columns: Sequence[str],
    instrument: Instrument,
    sort: Sort,
    fine_as: FineAs,
    *,
    estimates: bool,
) -> tuple[list[TableReading], list[Fault]]:
    """Every row as a reading; a row with a fault gives the fault instead.

    Args:
        columns: the role of each column; "" for one that is left.
        fine_as: what the fine column holds: the line, its numeral, its worth.
        estimates: whether fine lines may be estimated.
    """
    places = {role: index for index, role in enumerate(columns) if role}
    wanted = [role for role in roles(instrument, sort) if role not in _TEXTS]
    missing = [role for role in wanted if role not in places and not role.startswith("turn")]
    if missing:
        names = Name(", ".join(role.replace("fine", "line") for role in missing))
        return [], [Fault("", fact("no-column-holds", names=names))]
    reader = _RowReader(table, places, instrument, sort, fine_as, estimates=estimates)
    found: list[TableReading] = []
    faults: list[Fault] = []
    for index, row in enumerate(table.rows):
        reading, wrong = reader.read(index, row)
        faults += wrong
        if reading:
            found.append(reading)
    turns_told = "turn" in places or any(reading.past_half for reading in found)
    if _two_turns(instrument) and found and not turns_told:
        faults.append(Fault("", fact("no-column-with-turns")))
    return found, faults


@dataclass(frozen=True)
class _RowReader:
    table: ReadingsTable
    places: Mapping[str, int]
    instrument: Instrument
    sort: Sort
    fine_as: FineAs
    estimates: bool

    def read(self, index: int, row: tuple[str, ...]) -> tuple[TableReading | None, list[Fault]]:
        """A row as a reading, or what is wrong with it."""
        indications: list[Indication] = []
        faults: list[Fault] = []
        for number in range(1, len(INDICATIONS[self.sort]) + 1):
            main = self._figure(index, row, _numbered("main", number), self._main, faults)
            line = self._figure(index, row, _numbered("fine", number), self._line, faults)
            turn = self._figure(index, row, _numbered("turn", number), _turn, faults)
            if main is not None and line is not None:
                mark, past = main
                indications.append(Indication.seen(mark, line, past or turn is True))
        if faults:
            return None, faults
        texts = {n: row[self.places[n]] for n in _TEXTS if n in self.places and row[self.places[n]]}
        read = self.instrument.with_unit(self.instrument.reading(indications[0]))
        past_half = any(indication.second_turn for indication in indications)
        return TableReading(
            index, {**observation_record(self.instrument, indications), **texts}, read, past_half
        ), []

    def _main(self, cell: str) -> tuple[Fraction, bool]:
        """The mark, and whether a half mark was noted with it that this sleeve does not bear."""
        scale = _two_turns(self.instrument)
        if scale:
            half = typed_number(cell) - scale.pitch
            if half % scale.main_division == 0:
                return half, True
        return typed_main(self.instrument, cell).value, False

    def _line(self, cell: str) -> Line | Undecided:
        return typed_line(self.instrument, cell, self.fine_as, estimates=self.estimates).line

    def _figure(
        self,
        index: int,
        row: tuple[str, ...],
        role: str,
        read: Callable[[str], T],
        faults: list[Fault],
    ) -> T | None:
        """A figure of a row; None where there is no such column, or with its fault noted."""
        if role not in self.places:
            return None
        try:
            return read(row[self.places[role]])
        except MetrionError as error:
            heading = self.table.header[self.places[role]] if self.table.header else role
            about: dict[str, Argument] = {
                "row": self.table.lines[index],
                "column": Name(heading),
                "what": error.says,
            }
            pointer = f"/rows/{index}/{self.places[role]}"
            faults.append(Fault(pointer, fact("in-row-and-column", **about)))
            return None


def _turn(cell: str) -> bool:
    """Whether the second turn was read."""
    word = cell.lower()
    if word in _FIRST_TURN or word in _SECOND_TURN:
        return word in _SECOND_TURN
    raise NoTurn(cell)
