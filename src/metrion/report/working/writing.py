"""Lines of a working from its steps: how it is worked out, and what it comes to."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import replace
from fractions import Fraction

from metrion.core.exact.angles import degrees_and_minutes
from metrion.core.exact.numbers import finite_decimals
from metrion.core.formula.expression import Expression, NodeType, number
from metrion.core.formula.notation import unit_after
from metrion.core.formula.values import Value, ValueSeries, rational
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.working.model import READINGS, ZERO_ERROR, ZERO_ERRORS
from metrion.core.working.steps import Step
from metrion.report.lines import EQUALS, Form, Group, Span, Tint, WorkingLine, Written, plain
from metrion.report.working.setting import Page, Printed, as_taken, symbolic
from metrion.voice import Speaker
from metrion.voice.steps import step_label

_ANGLE_DECIMALS = 4
"""Past a ten-thousandth of a minute nothing is read."""


class Writer:
    """Writes one line after the other, and knows what stands on the page already.

    Attributes:
        page: what was printed so far.
        instrument: by which readings are written; None where there are none.
    """

    def __init__(
        self, exact: Mapping[str, Value], speaker: Speaker, instrument: Instrument | None = None
    ) -> None:
        self.page = Page(exact, speaker)
        self.speaker = speaker
        self.instrument = instrument

    def line(self, step: Step, group: Group = Group.RESULT, tint: Tint = Tint.PLAIN) -> Written:
        """How a step is worked out, and its value."""
        assert step.expression is not None
        expression = as_taken(step.expression, self.page.exact)
        how = self.page.set(expression)
        value = step.value
        assert not isinstance(value, str | ValueSeries | None)
        self.page.exact.setdefault(step.key, value)
        text = self._print(step, rational(value), expression, group, tint)
        after = "" if text.endswith("′") else unit_after(step.unit)
        found = Span(f"{text}{after}", tint)
        label = self.speaker.say(step_label(step))
        return Written(step.key, label, _equation(expression, how, found), group)

    def _print(
        self, step: Step, value: Fraction, expression: Expression, group: Group, tint: Tint
    ) -> str:
        text, printed = self._result(step, value, expression, group)
        self.page.numbers[step.key] = Printed(text, printed, step.key, tint)
        return text

    def _result(
        self, step: Step, value: Fraction, expression: Expression, group: Group
    ) -> tuple[str, Fraction]:
        """A reading with the decimals of its instrument; else as following it bears out."""
        instrument = self.instrument
        if step.key == LEAST_COUNT.word and finite_decimals(value) is None:
            return f"{value.numerator}/{value.denominator}", value
        if instrument and group in (Group.READING, Group.ZERO):
            rounded = self._reading(value, expression)
            return self.speaker.numbers.figure(instrument.value_text(rounded)), rounded
        if instrument and instrument.traits.circular and step.key in ("mean", "average"):
            rounded = round(value, _ANGLE_DECIMALS)
            return self.speaker.numbers.figure(
                degrees_and_minutes(rounded, finite_decimals(rounded) or 0)
            ), rounded
        return self.page.result(value, expression)

    def _reading(self, value: Fraction, expression: Expression) -> Fraction:
        """In full; where no decimal writes it, with as many as following its line bears out."""
        if finite_decimals(value) is not None:
            return value
        found = self.page.recomputed(expression)
        for decimals in (6, 5, 4):
            rounded = round(value, decimals)
            if found is None or abs(found - rounded) <= Fraction(1, 2 * 10**decimals):
                break
        return rounded

    def symbolic(self, step: Step) -> Written:
        """A step written with the names of what it is made of, and its value."""
        assert step.expression is not None
        assert not isinstance(step.value, str | ValueSeries | None)
        how = symbolic(step.expression, self._symbol, self.speaker)
        text, printed = self.page.result(rational(step.value), step.expression)
        self.page.numbers[step.key] = Printed(text, printed, step.key)
        found = Span(f"{text}{unit_after(step.unit)}")
        label = self.speaker.say(step_label(step))
        if plain(how) == text:
            return Written(step.key, label, (found,))
        return Written(step.key, label, (*how, EQUALS, found))

    def _symbol(self, word: str) -> WorkingLine:
        return (Span(word.removeprefix("input_"), source=word, form=Form.SYMBOL),)

    def taken_over(self, step: Step) -> None:
        """A step whose lines stand elsewhere: a number, or looks one by one."""
        assert not isinstance(step.value, str | None)
        of_readings, of_zeros = step.key == READINGS, step.key in (ZERO_ERROR, ZERO_ERRORS)
        group = Group.READING if of_readings else Group.ZERO if of_zeros else Group.SCALE
        tint = {Group.READING: Tint.RESULT, Group.ZERO: Tint.ZERO}.get(group, Tint.FINE)
        if not isinstance(step.value, ValueSeries):
            self._print(step, rational(step.value), step.expression or number(0), group, tint)
            return
        stem = "reading" if of_readings else "zero"
        keys = [f"{stem}_{at + 1}" for at in range(len(step.value))]
        # Many are alike: each is written once.
        known: dict[int, Printed] = {}
        for key, numerator in zip(keys, step.value.numerators, strict=True):
            if numerator not in known:
                value = Fraction(numerator, step.value.denominator)
                self._print(replace(step, key=key), value, number(value), group, tint)
                known[numerator] = self.page.numbers[key]
            self.page.numbers[key] = known[numerator].under(key)
        self.listed(step.key, keys)

    def listed(self, key: str, members: Iterable[str]) -> None:
        """Lines that later ones go on from as a list."""
        self.page.lists[key] = [self.page.numbers[member] for member in members]

    def same(self, step: Step, key: str) -> None:
        """A step that takes another one over as it is: it needs no line."""
        self.page.numbers[step.key] = self.page.numbers[key]

    def count(self, step: Step) -> None:
        """A number that stands for how many there are: it needs no line."""
        assert isinstance(step.value, Fraction)
        self.page.numbers[step.key] = Printed(str(step.value), step.value, "")

    def sentence(self, step: Step, source: str) -> Written:
        """The result as it is stated."""
        spans = (Span(self.speaker.numbers.figure(str(step.value)), Tint.RESULT, source),)
        return Written(step.key, self.speaker.say(step_label(step)), spans)


def _equation(expression: Expression, how: WorkingLine, found: Span) -> WorkingLine:
    """What is worked out, and what it comes to; a number taken over leads to where it was found."""
    if expression.type in (NodeType.NAME, NodeType.NUMBER, NodeType.ANGLE):
        return (Span(found.text, found.tint, how[0].source),)
    return (*how, EQUALS, found)
