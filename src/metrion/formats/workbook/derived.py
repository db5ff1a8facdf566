"""The page of a derived quantity: its formula, its inputs, and what each contributes."""

from __future__ import annotations

from collections.abc import Mapping

from openpyxl import Workbook

from metrion.core.facts import Name
from metrion.core.formula.expression import name
from metrion.core.formula.notation import printed_formula, printed_unit
from metrion.core.quantity.derived import InputSource, TypedValue, input_key
from metrion.core.quantity.derived_result import DerivedResult
from metrion.core.quantity.measurements import Measurement
from metrion.core.working.model import MEAN
from metrion.core.working.steps import Rule, Step
from metrion.core.working.uncertainty import combination
from metrion.formats.workbook.page import WorkbookPage
from metrion.formats.workbook.quantity import QuantityPage
from metrion.voice import Speaker
from metrion.voice.conventions import convention_name

_TYPED = "component_typed_"


class DerivedPage(WorkbookPage):
    """The page of one derived quantity, alive: it follows the pages of what it is made of."""

    def __init__(
        self,
        book: Workbook,
        found: DerivedResult,
        measured: Mapping[str, QuantityPage],
        earlier: Mapping[str, DerivedPage],
        speaker: Speaker,
    ) -> None:
        super().__init__(book, found.derived.name or found.derived.id, speaker)
        self.found = found
        self.derived = found.derived
        self.measured = measured
        self.earlier = earlier
        self._fill()

    def _fill(self) -> None:
        derived = self.derived
        self.head(derived.name or derived.id)
        unit = self.say("workbook-in-unit", unit=Name(printed_unit(derived.unit.text)))
        formula = self.speaker.numbers.figure(printed_formula(derived.formula.text))
        self.tell(self.say("step-formula"), formula, "" if derived.unit.text == "1" else unit)
        for tag, entering in derived.every_input.items():
            self._input(tag, entering.given)
        if self.found.rounded:
            self._result()

    def _input(self, symbol: str, given: InputSource) -> None:
        """An input: what its own page comes to, or what was typed in, with its uncertainty."""
        key = input_key(symbol)
        if isinstance(given, TypedValue):
            unit = self.say("workbook-in-unit", unit=Name(printed_unit(given.unit.text)))
            self.cells[key] = self.put(symbol, float(given.value), unit)
            doubt = self.say("workbook-uncertainty-of", symbol=Name(symbol))
            self.cells[_typed_key(symbol)] = self.put(doubt, float(given.uncertainty))
            return
        pages: Mapping[str, QuantityPage | DerivedPage]
        pages = self.measured if isinstance(given, Measurement) else self.earlier
        page = pages[given.id]
        if MEAN in page.cells:
            value = f"={page.from_elsewhere(page.cells[MEAN])}"
            note = self.say("workbook-from", page=Name(page.page.title))
            self.cells[key] = self.put(symbol, value, note)
        else:
            self.tell(symbol, self.say("no-reading-yet"))

    def _result(self) -> None:
        derived, components = self.derived, self.found.components
        # Whatever scatters may do so after a reading is changed.
        scattered = [one for one in components if one.freedom is not None]
        terms = [name(one.key) for one in components]
        combined = list(combination(terms, scattered, derived.convention))
        elsewhere = {input_key(tag) for tag in derived.every_input} | {r.key for r in combined}
        for step in self.found.working.steps:
            if step.key not in elsewhere:
                self._worked_out(step)
        note = self.say(
            "workbook-convention", name=Name(convention_name(derived.convention, self.speaker))
        )
        for rule in combined:
            self.step(rule, note)
            note = ""
        self.stated(derived.unit.text, derived.convention.digits)
        self.also_in(derived.unit, derived.also_in)

    def _worked_out(self, step: Step) -> None:
        """A step from the cells before it, or of a measurement from those of its own page."""
        expression = step.expression
        assert expression is not None
        if step.key.startswith(_TYPED):
            # What was typed in stands in a cell of its own.
            share, _ = expression.operands
            expression = share * name(_typed_key(step.key.removeprefix(_TYPED)))
        rule = Rule(step.key, expression, label=step.label)
        if step.of:
            formula = self.measured[step.of].formula_from_elsewhere(expression)
            self.cells[step.key] = self.put(self.label(rule), f"={formula}")
        else:
            self.step(rule)


def _typed_key(symbol: str) -> str:
    return f"typed_{symbol}"
