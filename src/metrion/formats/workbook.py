"""The readings as a spreadsheet (XLSX) whose formulas are alive.

Each quantity has a page: what was read stands in cells, everything else is worked out from them by
formulas, by the same rules as here.
"""

from __future__ import annotations

import re
from collections.abc import Iterable
from fractions import Fraction
from io import BytesIO
from typing import Any

from openpyxl import Workbook
from openpyxl.styles import Font
from openpyxl.worksheet.worksheet import Worksheet

from metrion.core.conventions import Combine, Convention, Family, Spread
from metrion.core.instruments import Kind
from metrion.core.measurements import Measurement
from metrion.core.observations import Arc, Sort
from metrion.core.scales import Look, Numbering, ScrewScale, VernierScale
from metrion.core.zero import ZeroCheck
from metrion.formats.table import harmless

_BOLD = Font(bold=True)
_FORBIDDEN = re.compile(r"[\[\]:*?/\\']")
_LONGEST_TITLE = 31


def workbook_file(measurements: Iterable[Measurement]) -> bytes:
    """An XLSX file with one page for each quantity; one empty page without any."""
    book = Workbook()
    book.remove(book.active)
    titles: set[str] = set()
    for measurement in measurements:
        page = book.create_sheet(_title(measurement.label, titles))
        titles.add(page.title.lower())
        _Page(page, measurement).fill()
    if not book.worksheets:
        book.create_sheet("No quantity yet")
    packed = BytesIO()
    book.save(packed)
    return packed.getvalue()


def _title(name: str, taken: set[str]) -> str:
    """A title that a spreadsheet takes, and that no other page has."""
    base = _FORBIDDEN.sub(" ", name).strip()[:_LONGEST_TITLE] or "Quantity"
    title, count = base, 1
    while title.lower() in taken:
        count += 1
        tail = f" {count}"
        title = base[: _LONGEST_TITLE - len(tail)] + tail
    return title


class _Page:
    """One page while it is written: known cells by name, then rows from top to bottom."""

    def __init__(self, page: Worksheet, measurement: Measurement) -> None:
        self.page = page
        self.measurement = measurement
        self.instrument = measurement.instrument
        self.row = 1
        self.cells: dict[str, str] = {}

    def fill(self) -> None:
        """Everything, from the scales to the rounded uncertainty."""
        self._scales()
        self._zero()
        self._readings()
        if self.measurement.counting:
            self._result(self.measurement.convention)
        self.page.column_dimensions["A"].width = 34

    def _put(self, name: str, label: str, value: Any, note: str = "") -> None:
        """A line with a label, a value in column B that later formulas call by ``name``."""
        self.page.cell(self.row, 1, harmless(label))
        self.page.cell(self.row, 2, value)
        if note:
            self.page.cell(self.row, 3, harmless(note))
        self.cells[name] = f"$B${self.row}"
        self.row += 1

    def _head(self, *texts: str) -> None:
        for column, text in enumerate(texts, start=1):
            self.page.cell(self.row, column, harmless(text)).font = _BOLD
        self.row += 1

    def _scales(self) -> None:
        instrument, scale = self.instrument, self.instrument.scale
        self._head(self.measurement.label)
        self._put("tool", "instrument", harmless(instrument.name), f"in {instrument.unit}")
        self._put("s", "main division", _number(scale.main_division))
        self._put("n", "fine divisions", scale.fine_divisions)
        if isinstance(scale, VernierScale):
            self._put("m", "main divisions they cover", scale.span)
            count = scale.least_count / (scale.main_division / scale.fine_divisions)
            times = f"*{count}" if count != 1 else ""
            self._put("L", "least count", f"={self.cells['s']}/{self.cells['n']}{times}")
        elif isinstance(scale, ScrewScale):
            self._put("p", "pitch", _number(scale.pitch))
            self._put("L", "least count", f"={self.cells['p']}/{self.cells['n']}")

    def _read(self, main: str, line: str, look: Look) -> str:
        """The formula of one look, from the cells of its main mark and its line."""
        scale, c = self.instrument.scale, self.cells
        if isinstance(scale, ScrewScale):
            start = main
            if scale.finer_sleeve:
                # A hair more, so that a whole number that is not quite one is not cut off.
                start = f"INT({main}/{c['p']}+0.000000001)*{c['p']}"
            turn = f"+{c['p']}" if look.second_turn else ""
            return f"{start}{turn}+{line}*{c['p']}/{c['n']}"
        assert isinstance(scale, VernierScale)
        if scale.estimable():
            return f"{main}+MOD({line}/{c['n']},1)*{c['s']}"
        # Whole lines: the remainder of whole numbers is exact where that of fractions is not.
        steps = f"{line}*{c['m']}"
        if scale.numbering is Numbering.WITH:
            steps = f"{c['n']}*{c['m']}-{steps}"
        return f"{main}+MOD({steps},{c['n']})/{c['n']}*{c['s']}"

    def _zero(self) -> None:
        checks = self.measurement.effective_checks
        if not checks:
            self._put("z", "zero error", 0, "none looked at" if self._single() else "cancels")
            return
        self._head("zero check", "main", "line", "setting piece", "reads too much by")
        first = self.row
        for check in checks:
            self._zero_row(check)
        errors = f"$E${first}:$E${self.row - 1}"
        self.cells["errors"] = errors
        self._put("z", "zero error", f"=AVERAGE({errors})")

    def _zero_row(self, check: ZeroCheck) -> None:
        row, look = self.row, check.look
        self.page.cell(row, 1, harmless(f"{check.face} {check.phase}".strip()))
        self.page.cell(row, 2, _number(look.main))
        self.page.cell(row, 3, _number(Fraction(look.line)))
        self.page.cell(row, 4, _number(check.reference))
        self.page.cell(row, 5, f"={self._read(f'B{row}', f'C{row}', look)}-D{row}")
        self.row += 1

    def _single(self) -> bool:
        return self.measurement.sort is Sort.SINGLE

    def _readings(self) -> None:
        self.row += 1
        looks = {Sort.SINGLE: 1, Sort.PAIR: 2, Sort.WINDOWS: 4}[self.measurement.sort]
        names = ("", " 2", " window 2", " 2 window 2")
        heads = [f"{what}{name}" for name in names[:looks] for what in ("main", "line")]
        self._head("place", *heads, "observed", "corrected", "counts", "set aside because")
        first, column = self.row, 2 + 2 * looks
        for index, observation in enumerate(self.measurement.observations):
            row = self.row
            self.page.cell(row, 1, harmless(observation.place))
            reads = []
            for place, look in enumerate(observation.looks):
                main, line = _column(2 + 2 * place), _column(3 + 2 * place)
                self.page[f"{main}{row}"] = _number(look.main)
                self.page[f"{line}{row}"] = _number(Fraction(look.line))
                reads.append(self._read(f"{main}{row}", f"{line}{row}", look))
            observed, corrected = _column(column), _column(column + 1)
            self.page[f"{observed}{row}"] = f"={self._observed(reads, index)}"
            self.page[f"{corrected}{row}"] = f"={observed}{row}-{self.cells['z']}"
            # A reading that was set aside is text here, which no average counts.
            counts = f"={observed}{row}" if observation.counts else "no"
            self.page[f"{_column(column + 2)}{row}"] = counts
            self.page[f"{_column(column + 3)}{row}"] = harmless(observation.excluded)
            self.row += 1
        letter = _column(column + 2)
        self.cells["x"] = f"${letter}${first}:${letter}${max(self.row - 1, first)}"
        self.row += 1

    def _observed(self, reads: list[str], index: int) -> str:
        """One look as it reads; of pairs, what lies between, in two windows the mean."""
        if len(reads) == 1:
            return reads[0]
        sweeps = [self._between(a, b) for a, b in zip(reads[::2], reads[1::2], strict=True)]
        return sweeps[0] if len(sweeps) == 1 else f"({'+'.join(sweeps)})/2"

    def _between(self, first: str, second: str) -> str:
        if self.instrument.kind is not Kind.ANGULAR:
            return f"ABS({second}-({first}))"
        forward = f"MOD({second}-({first}),21600)"
        if self.measurement.arc is Arc.FORWARD:
            return forward
        return f"MIN({forward},21600-{forward})"

    def _result(self, convention: Convention) -> None:
        x, c = self.cells["x"], self.cells
        self._put("N", "readings that count", f"=COUNT({x})")
        self._put("D", "divided by", self.measurement.divisor)
        self._put("mean", "mean", f"=(AVERAGE({x})-{c['z']})/{c['D']}")
        self._put(
            "h", "limit of one look", f"={_number(convention.reading_limit)}*{c['L']}",
            f"convention: {convention.name}",
        )  # fmt: skip
        self._put("M", "maker's limit", _number(self.instrument.maker_limit))
        if convention.family is Family.STANDARD:
            self._standard(convention)
        else:
            self._limit(convention)
        c = self.cells
        self._put("percent", "per cent of the mean", f"=100*{c['U']}/ABS({c['mean']})")

    def _limit(self, convention: Convention) -> None:
        c, x = self.cells, self.cells["x"]
        self._put("A", "reading limit", f"={min(self.measurement.looks, 2)}*{c['h']}")
        measure = {
            Spread.NONE: "0",
            Spread.HALF_RANGE: f"(MAX({x})-MIN({x}))/2",
            Spread.MEAN_DEVIATION: f"AVEDEV({x})",
            Spread.STANDARD_ERROR: f"STDEV({x})/SQRT({c['N']})",
        }[convention.spread]
        alone = len(self.measurement.counting) < 2
        self._put("H", "scatter", "=0" if alone else f"={measure}")
        zero = "0"
        if convention.zero_look and self.measurement.effective_checks:
            zero = f"MAX({c['h']},(MAX({c['errors']})-MIN({c['errors']}))/2)"
        self._put("Z", "zero look", f"={zero}")
        a, h, z, m = (self.cells[name] for name in "AHZM")
        whole = {
            Combine.LARGER: f"MAX({a},{h})+{z}+{m}",
            Combine.SUM: f"{a}+{h}+{z}+{m}",
            Combine.QUADRATURE: f"SQRT({a}^2+{h}^2+{z}^2+{m}^2)",
        }[convention.combine]
        self._put("U", "uncertainty before rounding", f"=({whole})/{c['D']}")

    def _standard(self, convention: Convention) -> None:
        c, x = self.cells, self.cells["x"]
        share = {1: "1/3", 2: "2/3", 4: "1/3"}[self.measurement.looks]
        self._put("A", "reading part", f"={c['h']}*SQRT({share})")
        several = len(self.measurement.counting) > 1
        self._put("H", "scatter", f"=STDEV({x})/SQRT({c['N']})" if several else "=0")
        looked = convention.zero_look and bool(self.measurement.effective_checks)
        self._put("Z", "zero look", f"={c['h']}/SQRT(3)" if looked else "=0")
        checks = len(self.measurement.effective_checks)
        scattered = looked and checks > 1
        errors = c.get("errors", "")
        spread = f"=STDEV({errors})/SQRT({checks})" if scattered else "=0"
        self._put("Y", "scatter of the zero looks", spread)
        self._put("W", "maker's part", f"={c['M']}/SQRT(3)")
        squares = "+".join(f"{self.cells[name]}^2" for name in "AHZYW")
        self._put("u", "standard uncertainty", f"=SQRT({squares})/{c['D']}")
        self._put("k", "coverage factor", self._factor(convention, squares, scattered))
        self._put("U", "uncertainty before rounding", f"={self.cells['k']}*{self.cells['u']}")

    def _factor(self, convention: Convention, squares: str, scattered: bool) -> Any:
        """The number itself; or Student's factor, with its degrees of freedom on a line above."""
        coverage, c = convention.coverage, self.cells
        if not coverage.percentage:
            return _number(coverage.number)
        freedom = len(self.measurement.counting) - 1
        terms = [f"{c['H']}^4/{freedom}"] if freedom else []
        if scattered:
            terms.append(f"{c['Y']}^4/{len(self.measurement.effective_checks) - 1}")
        below = "+".join(terms) or "0"
        many = 10**9
        self._put("f", "degrees of freedom",
                  f"=IF(({below})=0,{many},MIN({many},INT(({squares})^2/MAX({below},1E-300))))",
                  f"{many} stands for infinitely many")  # fmt: skip
        tail = _number(1 - coverage.number / 100)
        return f"=TINV({tail},{self.cells['f']})"


def _column(number: int) -> str:
    return "ABCDEFGHIJKLMNOPQRSTUVWXYZ"[number - 1]


def _number(value: Fraction) -> int | float:
    return int(value) if value.denominator == 1 else float(value)
