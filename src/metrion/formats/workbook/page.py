"""A page of a spreadsheet while it is written, from top to bottom."""

from __future__ import annotations

import re
from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction

from openpyxl import Workbook
from openpyxl.styles import Font
from openpyxl.utils import get_column_letter
from openpyxl.worksheet.properties import PageSetupProperties
from openpyxl.worksheet.worksheet import Worksheet

from metrion.core.conventions.convention import Digits
from metrion.core.facts import Name
from metrion.core.formula.expression import Expression, NodeType, fold, name
from metrion.core.formula.units import Unit
from metrion.core.working.model import FREEDOM, MEAN, UNCERTAINTY
from metrion.core.working.steps import Rule, Step
from metrion.formats.cells import cell_formula
from metrion.formats.table import harmless
from metrion.formats.workbook.stating import decimals, first_place, sentence
from metrion.voice import Speaker
from metrion.voice.steps import step_label

_MANY = 10**9
_BOLD = Font(bold=True)
_FORBIDDEN = re.compile(r"[\[\]:*?/\\']")
_NOT_IN_XML = re.compile(r"[\x00-\x08\x0b-\x1f\ud800-\udfff\ufffe\uffff]")
_LONGEST_TITLE = 31
_WIDEST = 60
STATED = "stated"
PER_CENT = "per_cent"
"""The cells of a result as it is stated, and of its relative uncertainty."""


def title_of(label: str, taken: Collection[str], speaker: Speaker) -> str:
    """A title that a spreadsheet takes, and that no other page has."""
    base = _FORBIDDEN.sub(" ", _NOT_IN_XML.sub("", label)).strip()[:_LONGEST_TITLE] or speaker.text(
        "workbook-quantity"
    )
    title, count = base, 1
    while title.lower() in {one.lower() for one in taken}:
        count += 1
        tail = f" {count}"
        title = base[: _LONGEST_TITLE - len(tail)] + tail
    return title


@dataclass
class Listed:
    """A list that stands in a column: where, and the last column that is used beside it."""

    letter: str
    first: int
    last: int
    columns: int


class WorkbookPage:
    """Rows from top to bottom, and the cells that later formulas call by a key.

    Attributes:
        page: what is written to.
        cells: the cell of each key; of a list, its range.
        lists: where the lists stand.
    """

    def __init__(self, book: Workbook, label: str, speaker: Speaker) -> None:
        self.page: Worksheet = book.create_sheet(title_of(label, book.sheetnames, speaker))
        # On paper it is as wide as a page, whatever its height.
        self.page.page_setup.orientation = "landscape"
        self.page.page_setup.fitToHeight = 0
        self.page.sheet_properties.pageSetUpPr = PageSetupProperties(fitToPage=True)
        self.speaker = speaker
        self.say, self.say_of = speaker.text, speaker.text_of
        self.row = 1
        self.cells: dict[str, str] = {}
        self.lists: dict[str, Listed] = {}

    def from_elsewhere(self, cell: str) -> str:
        """A cell or a range of this page as other pages call it."""
        return f"'{self.page.title}'!{cell}"

    @property
    def seen_from_elsewhere(self) -> Mapping[str, str]:
        """The cells of this page as other pages call them."""
        return {key: self.from_elsewhere(cell) for key, cell in self.cells.items()}

    def text(self, row: int, column: int, text: str, *, bold: bool = False) -> None:
        """A text in a cell, such as a cell may hold."""
        # What was kept before there were bounds may hold odd signs.
        cell = self.page.cell(row, column, harmless(_NOT_IN_XML.sub("\ufffd", text)))
        if bold:
            cell.font = _BOLD

    def figure(self, row: int, column: int, value: object, places: int | None = None) -> None:
        """A number or a formula in a cell, with its zeros kept to so many decimals."""
        cell = self.page.cell(row, column, value)
        if places is not None:
            cell.number_format = f"0.{'0' * places}" if places else "0"

    def put(self, label: str, value: object, note: str = "", places: int | None = None) -> str:
        """A line with a label, a number or a formula in column B and a note; the cell of it."""
        self.text(self.row, 1, label)
        self.widen(1, len(label))
        self.figure(self.row, 2, value, places)
        if note:
            self.text(self.row, 3, note)
        self.row += 1
        return f"$B${self.row - 1}"

    def tell(self, label: str, text: str, note: str = "") -> None:
        """A line with a label and a text."""
        for column, each in enumerate((label, text, note), start=1):
            if each:
                self.text(self.row, column, each)
        self.row += 1

    def head(self, *texts: str) -> None:
        """A line of headings."""
        for column, text in enumerate(texts, start=1):
            self.text(self.row, column, text, bold=True)
            if column > 1:
                self.widen(column, len(text) + 3)
        self.row += 1

    def widen(self, column: int, signs: int) -> None:
        """Make a column so many signs wide, if it is narrower."""
        own = self.page.column_dimensions[get_column_letter(column)]
        own.width = max(own.width, min(signs, _WIDEST))

    def step(self, rule: Rule, note: str = "") -> None:
        """A step of a working as a formula that later ones call by its key."""
        formula = self.formula(rule.expression)
        if rule.key == FREEDOM:
            # Where nothing scatters there is nothing to divide by.
            formula = f"IFERROR(MIN({_MANY},{formula}),{_MANY})"
            note = self.say("workbook-infinitely-many", number=_MANY)
        self.cells[rule.key] = self.put(self.label(rule), f"={formula}", note)

    def formula(self, expression: Expression, cells: Mapping[str, str] | None = None) -> str:
        """An expression as the formula of a cell; of the cells of this page without any others."""
        return cell_formula(expression, self.cells if cells is None else cells, self.column)

    def formula_from_elsewhere(self, expression: Expression) -> str:
        """An expression of what stands on this page as the formula of a cell of another one."""

        def column(elements: Expression) -> str:
            return self.from_elsewhere(self.column(elements))

        return cell_formula(expression, self.seen_from_elsewhere, column)

    def label(self, rule: Rule) -> str:
        """What a step is called."""
        if rule.key == MEAN and not rule.label:
            return self.say("workbook-mean")
        return self.speaker.say(step_label(Step(rule.key, None, None, "", label=rule.label)))

    def column(self, elements: Expression) -> str:
        """A column beside a list, for what is worked out from each of its elements."""
        (word,) = elements.names & self.lists.keys()
        of = self.lists[word]
        of.columns += 1
        letter = get_column_letter(of.columns)
        self.text(of.first - 1, of.columns, self.say("workbook-from-each"), bold=True)
        cells = dict(self.cells)

        def of_all(piece: Expression, operands: list[Expression]) -> Expression:
            """A sum or a count within it is that of the whole list."""
            whole = replace(piece, operands=tuple(operands))
            if piece.type is not NodeType.CALL or operands[0] != name(word):
                return whole
            cells[f"{piece.word} of all"] = self.formula(whole)
            return name(f"{piece.word} of all")

        each = fold(elements, of_all)
        for row in range(of.first, of.last + 1):
            one = f"{of.letter}{row}"
            formula = self.formula(each, {**cells, word: one})
            # What was set aside is text, here too.
            self.page[f"{letter}{row}"] = f'=IF(ISNUMBER({one}),{formula},"")'
        return f"${letter}${of.first}:${letter}${of.last}"

    def listed(self, key: str, letter: str, first: int, columns: int) -> None:
        """A list that stands in a column, from a row to the last."""
        last = max(self.row - 1, first)
        self.lists[key] = Listed(letter, first, last, columns)
        self.cells[key] = f"${letter}${first}:${letter}${last}"

    def stated(self, unit: str, digits: Digits) -> None:
        """The result as it is stated, and its relative uncertainty, from its two cells."""
        value, size = self.cells[MEAN], self.cells[UNCERTAINTY]
        self.cells[PER_CENT] = self.put(self.say("workbook-relative"), f"=100*{size}/ABS({value})")
        first = self.put(self.say("workbook-first-place"), f"={first_place(size)}")
        places = self.put(self.say("workbook-decimals"), f"={decimals(size, first, digits)}")
        told = f"={sentence(value, size, places, unit)}"
        self.cells[STATED] = self.put(self.say("workbook-stated"), told)

    def also_in(self, own: Unit, others: Sequence[Unit]) -> None:
        """Value and uncertainty in other units."""
        for unit in others:
            about, factor = {"unit": Name(unit.text)}, float(own.factor) / float(unit.factor)
            for code, key in (("mean", MEAN), ("uncertainty", UNCERTAINTY)):
                label = self.say_of("workbook", f"{code}-in", **about)
                self.put(label, f"={self.cells[key]}*{factor!r}")


def number(value: Fraction) -> int | float:
    """A number as a cell holds it."""
    return int(value) if value.denominator == 1 else float(value)
