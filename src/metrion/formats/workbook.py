"""The readings as a spreadsheet (XLSX) whose formulas are alive.

Each quantity has a page: what was read stands in cells, everything else is worked out from them by
formulas, by the same rules as here.
"""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass
from fractions import Fraction
from io import BytesIO

from openpyxl import Workbook
from openpyxl.styles import Font
from openpyxl.utils import get_column_letter
from openpyxl.worksheet.worksheet import Worksheet

from metrion.core.exact.units import parse_unit
from metrion.core.facts import Name
from metrion.core.formula.expression import Expression, name, number
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS, Observation, Sort, observed
from metrion.core.quantity.zero import MEAN_OF_ERRORS, ZeroCheck
from metrion.core.scales import Indication
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.working.model import (
    FREEDOM,
    LIMIT,
    MEAN,
    READINGS,
    UNCERTAINTY,
    ZERO_ERROR,
    ZERO_ERRORS,
)
from metrion.core.working.readings import mean_rule
from metrion.core.working.steps import Rule, Step
from metrion.core.working.uncertainty import every_rule
from metrion.formats.cells import cell_formula
from metrion.formats.table import harmless
from metrion.voice import Speaker, plainly
from metrion.voice.conventions import convention_name
from metrion.voice.steps import step_label

_MANY = 10**9
_BOLD = Font(bold=True)
_FORBIDDEN = re.compile(r"[\[\]:*?/\\']")
_NOT_IN_XML = re.compile(r"[\x00-\x08\x0b-\x1f\ud800-\udfff\ufffe\uffff]")
_LONGEST_TITLE = 31


def workbook_file(measurements: Iterable[Measurement], speaker: Speaker | None = None) -> bytes:
    """An XLSX file with one page for each quantity; see `workbook`."""
    return xlsx_file(workbook(measurements, speaker))


def xlsx_file(book: Workbook) -> bytes:
    """A workbook as an XLSX file."""
    packed = BytesIO()
    book.save(packed)
    return packed.getvalue()


def workbook(measurements: Iterable[Measurement], speaker: Speaker | None = None) -> Workbook:
    """A page for each quantity; one empty page without any.

    Args:
        speaker: in whose words its labels are; plainly without one.
    """
    speaker = speaker or plainly()
    book = Workbook()
    book.remove(book.active)
    titles: set[str] = set()
    for measurement in measurements:
        page = book.create_sheet(_title(measurement.label, titles, speaker))
        titles.add(page.title.lower())
        _Page(page, measurement, speaker).fill()
    if not book.worksheets:
        book.create_sheet(_title(speaker.text("workbook-no-quantity"), titles, speaker))
    return book


def _cell(text: str) -> str:
    """A text as a cell may hold it; what was kept before there were bounds may hold odd signs."""
    return harmless(_NOT_IN_XML.sub("\ufffd", text))


def _title(name: str, taken: set[str], speaker: Speaker) -> str:
    """A title that a spreadsheet takes, and that no other page has."""
    base = _FORBIDDEN.sub(" ", _NOT_IN_XML.sub("", name)).strip()[:_LONGEST_TITLE] or speaker.text(
        "workbook-quantity"
    )
    title, count = base, 1
    while title.lower() in taken:
        count += 1
        tail = f" {count}"
        title = base[: _LONGEST_TITLE - len(tail)] + tail
    return title


class _Page:
    """One page while it is written: known cells by key, then rows from top to bottom."""

    def __init__(self, page: Worksheet, measurement: Measurement, speaker: Speaker) -> None:
        self.page = page
        self.speaker = speaker
        self.say = speaker.text
        self.measurement = measurement
        self.instrument = measurement.instrument
        self.row = 1
        self.cells: dict[str, str] = {}
        self.lists: dict[str, _List] = {}

    def fill(self) -> None:
        """Everything, from the scales to the uncertainty, each step as a formula."""
        self._head(self.measurement.label)
        unit = self.say("workbook-in-unit", unit=Name(self.instrument.unit))
        self._put(self.say("report-column-instrument"), _cell(self.instrument.name), unit)
        self._step(Rule(LEAST_COUNT.word, self.instrument.scale.least_count_by_division()))
        self._zero()
        self._readings()
        if self.measurement.counting:
            self._result()
        self.page.column_dimensions["A"].width = 34

    def _put(self, label: str, value: object, note: str = "") -> str:
        """A line with a label, a value in column B and a note; the cell of the value."""
        self.page.cell(self.row, 1, _cell(label))
        self.page.cell(self.row, 2, value)
        if note:
            self.page.cell(self.row, 3, _cell(note))
        self.row += 1
        return f"$B${self.row - 1}"

    def _head(self, *texts: str) -> None:
        for column, text in enumerate(texts, start=1):
            self.page.cell(self.row, column, _cell(text)).font = _BOLD
        self.row += 1

    def _step(self, rule: Rule, note: str = "") -> None:
        """A step of the working as a formula that later ones call by its key."""
        formula = cell_formula(rule.expression, self.cells, self._column)
        if rule.key == FREEDOM:
            # Where nothing scatters there is nothing to divide by.
            formula = f"IFERROR(MIN({_MANY},{formula}),{_MANY})"
            note = self.say("workbook-infinitely-many", number=_MANY)
        self.cells[rule.key] = self._put(self._label(rule), f"={formula}", note)

    def _label(self, rule: Rule) -> str:
        if rule.key == MEAN:
            return self.say("workbook-mean")
        return self.speaker.say(step_label(Step(rule.key, None, None, "", label=rule.label)))

    def _column(self, elements: Expression) -> str:
        """A column beside a list, for what is worked out from each of its elements."""
        (word,) = elements.names & self.lists.keys()
        of = self.lists[word]
        of.columns += 1
        letter = get_column_letter(of.columns)
        for row in range(of.first, of.last + 1):
            one = f"{of.letter}{row}"
            formula = cell_formula(elements, {**self.cells, word: one}, self._column)
            # What was set aside is text, here too.
            self.page[f"{letter}{row}"] = f'=IF(ISNUMBER({one}),{formula},"")'
        return f"${letter}${of.first}:${letter}${of.last}"

    def _listed(self, key: str, letter: str, first: int, columns: int) -> None:
        last = max(self.row - 1, first)
        self.lists[key] = _List(letter, first, last, columns)
        self.cells[key] = f"${letter}${first}:${letter}${last}"

    def _indication(self, row: int, column: int, indication: Indication) -> str:
        """Main mark and line of a look in cells; the formula of what they read."""
        main, line = (f"{get_column_letter(at)}{row}" for at in (column, column + 1))
        self.page[main] = _number(indication.main)
        if self.instrument.scale.has_fine_scale:
            self.page[line] = _number(Fraction(indication.line))
        turn = number(int(indication.second_turn))
        read = self.instrument.scale.indication(name("main"), name("line"), turn)
        return cell_formula(read, {**self.cells, "main": main, "line": line}, self._column)

    def _zero(self) -> None:
        checks = self.measurement.effective_checks
        if not checks:
            single = self.measurement.sort is Sort.SINGLE
            note = "workbook-none-looked-at" if single else "desk-cancels"
            self._put(self.say("report-column-zero-error"), 0, self.say(note))
            return
        columns = ("zero-check", "main", "line", "setting-piece", "reads-too-much-by")
        self._head(*(self.say(f"workbook-{column}") for column in columns))
        first = self.row
        for check in checks:
            self.page.cell(self.row, 1, _cell(self._checked(check)))
            read = self._indication(self.row, 2, check.indication)
            self.page.cell(self.row, 4, _number(check.reference))
            self.page.cell(self.row, 5, f"={read}-D{self.row}")
            self.row += 1
        self._listed(ZERO_ERRORS, "E", first, 5)
        self._step(Rule(ZERO_ERROR, MEAN_OF_ERRORS))

    def _checked(self, check: ZeroCheck) -> str:
        """On which faces, and when, the zero was looked at."""
        phase = self.say(f"report-phase-{check.phase}")
        kind = self.instrument.kind
        code = f"face-{kind}-{check.face}"
        face = self.say(code) if self.speaker.knows(code) else check.face
        return f"{face} {phase}".strip()

    def _readings(self) -> None:
        self.row += 1
        names = INDICATIONS[self.measurement.sort]
        heads = [
            f"{self.say(f'workbook-{what}')} {tag}".strip()
            for tag in names
            for what in ("main", "line")
        ]
        after_them = ("observed", "corrected", "counts", "set-aside-because")
        after_heads = [self.say(f"workbook-{column}") for column in after_them]
        self._head(self.say("workbook-place"), *heads, *after_heads)
        first, after = self.row, 2 + 2 * len(names)
        for observation in self.measurement.observations:
            self._observation(observation, after)
        self._listed(READINGS, get_column_letter(after + 2), first, after + 3)
        self.row += 1

    def _observation(self, observation: Observation, after: int) -> None:
        """A row: what was read, what it makes, and whether it counts."""
        row, measurement = self.row, self.measurement
        self.page.cell(row, 1, _cell(observation.place))
        reads = {
            f"look_{at}": self._indication(row, 2 + 2 * at, indication)
            for at, indication in enumerate(observation.indications)
        }
        made = observed(self.instrument.kind, [name(key) for key in reads], measurement.arc)
        value = f"{get_column_letter(after)}{row}"
        self.page[value] = f"={cell_formula(made, reads, self._column)}"
        zero = self.cells.get(ZERO_ERROR, "0")
        self.page.cell(row, after + 1, f"={value}-{zero}")
        # A reading that was set aside is text here, which nothing counts.
        self.page.cell(
            row, after + 2, f"={value}" if observation.counts else self.say("workbook-no")
        )
        self.page.cell(row, after + 3, _cell(observation.excluded))
        self.row += 1

    def _result(self) -> None:
        measurement = self.measurement
        self._step(Rule(MEAN, mean_rule(measurement.effective_checks, measurement.divisors)))
        note = self.say(
            "workbook-convention", name=Name(convention_name(measurement.convention, self.speaker))
        )
        for rule in every_rule(measurement.model(measurement.convention)):
            self._step(rule, note if rule.key == LIMIT else "")
        mean, size = self.cells[MEAN], self.cells[UNCERTAINTY]
        label = self.say("workbook-per-cent-of-the-mean")
        self._put(label, f"=100*{size}/ABS({mean})")
        own = Fraction(parse_unit(self.instrument.unit).factor)
        for unit in measurement.also_in:
            about, factor = {"unit": Name(unit.text)}, _number(own / Fraction(unit.factor))
            self._put(self.say("workbook-mean-in", **about), f"={mean}*{factor!r}")
            self._put(self.say("workbook-uncertainty-in", **about), f"={size}*{factor!r}")


@dataclass
class _List:
    """A list that stands in a column: where, and the last column that is used beside it."""

    letter: str
    first: int
    last: int
    columns: int


def _number(value: Fraction) -> int | float:
    return int(value) if value.denominator == 1 else float(value)
