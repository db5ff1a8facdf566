"""What a report is made of, whatever renders it."""

from __future__ import annotations

from dataclasses import dataclass, replace

from metrion.report.lines import Span, Tint, WorkingLine, Written
from metrion.voice import DecimalSign


@dataclass(frozen=True)
class TextBlock:
    """A paragraph."""

    line: WorkingLine


@dataclass(frozen=True)
class Result:
    """The sentence that states a result."""

    symbol: str
    text: str


@dataclass(frozen=True)
class Steps:
    """Lines of a working."""

    steps: tuple[Written, ...]


@dataclass(frozen=True)
class ReportColumn:
    """A column of a table: its head, the part it holds, and whether it holds figures."""

    head: str
    tint: Tint = Tint.PLAIN
    figures: bool = False


@dataclass(frozen=True)
class Cell:
    """A cell: what it says, and what it said before it was corrected."""

    text: str
    before: str = ""


@dataclass(frozen=True)
class Row:
    """A row of a table; ``struck`` where it does not count, with the reason and other notes."""

    cells: tuple[Cell, ...]
    struck: bool = False
    notes: tuple[str, ...] = ()


@dataclass(frozen=True)
class Table:
    """A table."""

    columns: tuple[ReportColumn, ...]
    rows: tuple[Row, ...]

    def filled(self) -> Table:
        """The table without the columns that have nothing in them."""
        kept = [
            i for i, _ in enumerate(self.columns) if any(row.cells[i].text for row in self.rows)
        ]
        rows = (replace(row, cells=tuple(row.cells[i] for i in kept)) for row in self.rows)
        return Table(tuple(self.columns[i] for i in kept), tuple(rows))


@dataclass(frozen=True)
class Bar:
    """A bar of a budget.

    Attributes:
        label: what it is.
        size: how large, with its unit.
        percent: of the whole.
        percent_text: that in words.
        lost: why it does not count; empty where it does.
    """

    label: str
    size: str
    percent: float
    percent_text: str
    lost: str = ""


@dataclass(frozen=True)
class Bars:
    """A budget."""

    bars: tuple[Bar, ...]


@dataclass(frozen=True)
class PictureBlock:
    """A drawing as SVG, and what it shows."""

    svg: str
    caption: str


@dataclass(frozen=True)
class Contents:
    """A table of the chapters that follow it."""


Block = Contents | TextBlock | Result | Steps | Table | Bars | PictureBlock


@dataclass(frozen=True)
class Section:
    """A part of a report under a heading.

    Attributes:
        title: the heading.
        blocks: what stands under it.
        level: 2 for a chapter, 3 below one.
        whole: whether it is kept on one page.
    """

    title: str
    blocks: tuple[Block, ...]
    level: int = 2
    whole: bool = False


@dataclass(frozen=True)
class Carried:
    """A file that the PDF of a report carries inside."""

    name: str
    content: str | bytes


@dataclass(frozen=True)
class Report:
    """A report to hand in.

    Attributes:
        title: of the sheet.
        facts: names, date, instruments, convention: what stands at the head.
        sections: its parts in order.
        language: that it is written in.
        decimal_sign: of its numbers.
        carries: the logbook that its PDF carries inside, and the pictures beside it.
    """

    title: str
    facts: tuple[tuple[str, str], ...]
    sections: tuple[Section, ...]
    language: str = "en"
    decimal_sign: DecimalSign = DecimalSign.POINT
    carries: tuple[Carried, ...] = ()


def words(text: str) -> TextBlock:
    """A paragraph of plain words."""
    return TextBlock((Span(text),))
