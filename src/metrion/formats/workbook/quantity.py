"""The page of a quantity: what was read stands in cells, the rest is worked out by formulas."""

from __future__ import annotations

from fractions import Fraction

from openpyxl import Workbook
from openpyxl.utils import get_column_letter

from metrion.core.exact.numbers import finite_decimals
from metrion.core.facts import Name
from metrion.core.formula.expression import name
from metrion.core.formula.expression import number as literal
from metrion.core.formula.units import parse_unit
from metrion.core.quantity.first_steps import mean_rule
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS, Observation, Sort, observed
from metrion.core.quantity.zero import MEAN_OF_ERRORS, ZeroCheck
from metrion.core.scales import Indication
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.working.model import LIMIT, MEAN, READINGS, ZERO_ERROR, ZERO_ERRORS
from metrion.core.working.steps import Rule
from metrion.core.working.uncertainty import every_rule
from metrion.formats.workbook.page import WorkbookPage, number
from metrion.voice import Speaker
from metrion.voice.conventions import convention_name


class QuantityPage(WorkbookPage):
    """The page of one quantity, from the scales to the result as it is stated."""

    def __init__(self, book: Workbook, measurement: Measurement, speaker: Speaker) -> None:
        super().__init__(book, measurement.label, speaker)
        self.measurement = measurement
        self.instrument = measurement.instrument
        self._fill()

    def _fill(self) -> None:
        self.head(self.measurement.label)
        unit = self.say("workbook-in-unit", unit=Name(self.instrument.unit))
        self.tell(self.say("report-column-instrument"), self.instrument.name, unit)
        self.step(Rule(LEAST_COUNT.word, self.instrument.scale.least_count_by_division()))
        self._zero()
        self._readings()
        if self.measurement.counting:
            self._result()

    def _indication(self, row: int, column: int, indication: Indication) -> str:
        """Main mark and line of a look in cells; the formula of what they read."""
        main, line = (f"{get_column_letter(at)}{row}" for at in (column, column + 1))
        places = finite_decimals(self.instrument.scale.main_division)
        self.figure(row, column, number(indication.main), places)
        if self.instrument.scale.has_fine_scale:
            self.figure(row, column + 1, number(Fraction(indication.line)))
        turn = literal(int(indication.second_turn))
        read = self.instrument.scale.indication(name("main"), name("line"), turn)
        return self.formula(read, {**self.cells, "main": main, "line": line})

    def _zero(self) -> None:
        checks = self.measurement.effective_checks
        if not checks:
            single = self.measurement.sort is Sort.SINGLE
            note = self.say("workbook-zero-none") if single else self.say("desk-cancels")
            self.cells[ZERO_ERROR] = self.put(self.say("report-column-zero-error"), 0, note)
            return
        columns = ("zero-check", "main", "line", "setting-piece", "zero-error")
        self.head(*(self.say_of("workbook", column) for column in columns))
        first = self.row
        for check in checks:
            self.text(self.row, 1, self._checked(check))
            read = self._indication(self.row, 2, check.indication)
            self.figure(self.row, 4, number(check.reference))
            self.figure(self.row, 5, f"={read}-D{self.row}", self.instrument.decimals)
            self.row += 1
        self.listed(ZERO_ERRORS, "E", first, 5)
        self.step(Rule(ZERO_ERROR, MEAN_OF_ERRORS))

    def _checked(self, check: ZeroCheck) -> str:
        """On which faces, and when, the zero was looked at."""
        phase = self.say_of("report-phase", check.phase)
        face = self.speaker.known("face", f"{self.instrument.kind}-{check.face}") or check.face
        return f"{face} {phase}".strip()

    def _readings(self) -> None:
        self.row += 1
        names = INDICATIONS[self.measurement.sort]
        heads = [
            f"{self.say_of('workbook', what)} {tag}".strip()
            for tag in names
            for what in ("main", "line")
        ]
        after_them = ("observed", "corrected", "counts", "excluded")
        after_heads = [self.say_of("workbook", column) for column in after_them]
        self.head(self.say("workbook-place"), *heads, *after_heads)
        first, after = self.row, 2 + 2 * len(names)
        for observation in self.measurement.observations:
            self._observation(observation, after)
        self.listed(READINGS, get_column_letter(after + 2), first, after + 3)
        self.row += 1

    def _observation(self, observation: Observation, after: int) -> None:
        """A row: what was read, what it makes, and whether it counts."""
        row, measurement = self.row, self.measurement
        self.text(row, 1, observation.place)
        reads = {
            f"look_{at}": self._indication(row, 2 + 2 * at, indication)
            for at, indication in enumerate(observation.indications)
        }
        made = observed(self.instrument.kind, [name(key) for key in reads], measurement.arc)
        value, places = f"{get_column_letter(after)}{row}", self.instrument.decimals
        self.figure(row, after, f"={self.formula(made, reads)}", places)
        self.figure(row, after + 1, f"={value}-{self.cells[ZERO_ERROR]}", places)
        if observation.counts:
            self.figure(row, after + 2, f"={value}", places)
        else:
            # A reading that was set aside is text here, which nothing counts.
            self.text(row, after + 2, self.say("workbook-no"))
        self.text(row, after + 3, observation.excluded)
        self.row += 1

    def _result(self) -> None:
        measurement = self.measurement
        self.step(Rule(MEAN, mean_rule(measurement.effective_checks, measurement.divisors)))
        note = self.say(
            "workbook-convention", name=Name(convention_name(measurement.convention, self.speaker))
        )
        for rule in every_rule(measurement.model(measurement.convention)):
            self.step(rule, note if rule.key == LIMIT else "")
        self.stated(self.instrument.unit, measurement.convention.digits)
        self.also_in(parse_unit(self.instrument.unit), measurement.also_in)
