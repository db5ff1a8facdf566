"""Readings from a table that somebody made with a spreadsheet: other headings, other signs.

A table is looked through first: its sign between columns, its headings, which column is what. Then
each row is read as if it had been typed at the bench; faults are told by row and column.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from metrion.core.desk.said.hear import hear
from metrion.core.desk.said.judging import NOTHING_TOLD, FigureOptions, Ruling, judge
from metrion.core.desk.said.reach import Reach
from metrion.core.desk.said.words import judgement_says
from metrion.core.errors import MetrionError, shortened
from metrion.core.facts import Fact, Name, fact
from metrion.core.instruments.appearance import FineAs, MainAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record
from metrion.core.quantity.observations import INDICATIONS, Sort
from metrion.core.scales import Indication, ScrewScale
from metrion.formats.csv_table import ReadingsTable
from metrion.formats.faults import Fault
from metrion.formats.logbook.indications import observation_record

_FIRST_TURN = ("", "first", "1st", "no", "n", "false", "0", "-")
_SECOND_TURN = ("second", "2nd", "2", "yes", "y", "true", "x")
_FIGURES = ("main", "fine", "turn")
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


@dataclass(frozen=True)
class Column:
    """A question about what a column holds, asked once for the table.

    Attributes:
        role: ``main`` or ``fine``.
        choices: what its figures can stand for.
    """

    role: str
    choices: tuple[FineAs, ...] | tuple[MainAs, ...]


@dataclass(frozen=True)
class TableFound:
    """What a table comes to.

    Attributes:
        readings: of the rows that are readings.
        faults: of the others, and of the table as a whole.
        asked: what has to be said of its columns first.
        doubtful: how many rows can be read in several ways, in the unit that is engraved.
    """

    readings: list[TableReading]
    faults: list[Fault]
    asked: list[Column]
    doubtful: int = 0


def readings_of(
    table: ReadingsTable,
    columns: Sequence[str],
    instrument: Instrument,
    sort: Sort,
    told: FigureOptions = NOTHING_TOLD,
    *,
    estimates: bool,
) -> TableFound:
    """Every row as a reading; a row with a fault gives the fault instead.

    Args:
        columns: the role of each column; "" for one that is left.
        told: what its figures stand for, where that was said.
        estimates: whether fine lines may be estimated.
    """
    places = {role: index for index, role in enumerate(columns) if role}
    wanted = [role for role in roles(instrument, sort) if role not in _TEXTS]
    missing = [role for role in wanted if role not in places and not role.startswith("turn")]
    if missing:
        names = Name(", ".join(role.replace("fine", "line") for role in missing))
        return TableFound([], [Fault("", fact("no-column-holds", names=names))], [])
    if table.is_own:
        told = FigureOptions(FineAs.LINE, MainAs.UNIT)
    reach = Reach(instrument, at_zero=False, estimates=estimates)
    reader = _RowReader(table, places, reach, sort, told.else_by(instrument))
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
    return TableFound(found, faults, list(reader.asked()), reader.doubtful_rows)


class _RowReader:
    """Reads rows, and notes what has to be asked about.

    Args:
        places: the column of each role.
        told: what figures stand for, where that was said.
    """

    def __init__(
        self,
        table: ReadingsTable,
        places: Mapping[str, int],
        reach: Reach,
        sort: Sort,
        told: FigureOptions,
    ) -> None:
        self._table, self._places, self._reach = table, places, reach
        self._sort, self._told = sort, told
        self._doubtful: list[tuple[str, FigureOptions]] = []
        self.doubtful_rows = 0
        self._fitting = False

    def asked(self) -> Iterator[Column]:
        """What would settle the cells that can be read in several ways."""
        if self._told.main_as is None:
            mains = tuple(one for one in MainAs if self._settles(main_as=one))
            if mains:
                yield Column("main", mains)
        if self._told.fine_as is None:
            fines = tuple(one for one in FineAs if self._settles(fine_as=one))
            if fines:
                yield Column("fine", fines)

    def _settles(self, **answer: Any) -> bool:
        """Whether an answer leaves less to ask of everything that is doubtful."""
        for said, told in self._doubtful:
            before = judge(self._reach, said, told)
            after = judge(self._reach, said, replace(told, **answer))
            fewer = len(after.meanings) < len(before.meanings)
            if not fewer and after.verdict is not Ruling.ONE:
                return False
        return bool(self._doubtful)

    def read(self, index: int, row: tuple[str, ...]) -> tuple[TableReading | None, list[Fault]]:
        """A row as a reading, or what is wrong with it."""
        tool = self._reach.tool
        indications: list[Indication] = []
        faults: list[Fault] = []
        self._fitting = False
        for number in range(1, len(INDICATIONS[self._sort]) + 1):
            cells = {name: self._cell(row, _numbered(name, number)) for name in _FIGURES}
            seen, wrong = self._look(cells)
            indications += seen
            faults += [
                self._fault(index, _numbered(name, number), fault) for name, fault in wrong.items()
            ]
        self.doubtful_rows += self._fitting
        if faults:
            return None, faults
        texts = {name: cell for name in _TEXTS if (cell := self._cell(row, name))}
        read = tool.with_unit(tool.reading(indications[0]))
        past_half = any(indication.second_turn for indication in indications)
        record: Record = {**observation_record(tool, indications), **texts}
        return TableReading(index, record, read, past_half), []

    def _cell(self, row: tuple[str, ...], role: str) -> str:
        return row[self._places[role]] if role in self._places else ""

    def _look(self, cells: Mapping[str, str]) -> tuple[list[Indication], dict[str, Fact]]:
        """One look, or what is wrong with which of its cells."""
        tool, main, fine = self._reach.tool, cells["main"], cells["fine"]
        try:
            turn = _turn(cells["turn"]) if _two_turns(tool) else None
        except NoTurn as error:
            return [], {"turn": error.says}
        told = replace(self._told, second_turn=turn)
        heard = hear(tool, main, fine, told, at_zero=False, estimates=self._reach.between)
        if heard.indication:
            return [heard.indication], {}
        if heard.asked:
            said = f"{main} {fine}"
            self._doubtful.append((said, told))
            self._fitting = self._fitting or any(
                one.main_way != "other-unit" for one in heard.asked
            )
            return [], {"fine": judgement_says(tool, said, Ruling.ASK, heard.asked)}
        wrong = {"main": heard.main_fault, "fine": heard.fine_fault}
        if not any(wrong.values()):
            wrong = {"fine": fact("line-missing")} if main else {"main": fact("main-missing")}
        return [], {name: fault for name, fault in wrong.items() if fault}

    def _fault(self, index: int, role: str, says: Fact) -> Fault:
        place = self._places.get(role, 0)
        heading = self._table.header[place] if self._table.header else role
        about = fact(
            "in-row-and-column", row=self._table.lines[index], column=Name(heading), what=says
        )
        return Fault(f"/rows/{index}/{place}", about)


def _turn(cell: str) -> bool:
    """Whether the second turn was read."""
    word = cell.lower()
    if word in _FIRST_TURN or word in _SECOND_TURN:
        return word in _SECOND_TURN
    raise NoTurn(cell)
