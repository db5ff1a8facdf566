"""The working of a derived quantity: the formula, its inputs, and what each contributes."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from fractions import Fraction
from string import ascii_letters

from metrion.core.formula.notation import unit_after
from metrion.core.formula.values import ValueSeries, rational
from metrion.core.quantity.derived import Derived, InputSource, TypedValue, input_key
from metrion.core.quantity.derived_result import DerivedResult
from metrion.core.quantity.measurements import Measurement, reduce_measurement
from metrion.core.working.model import MEAN, ROUNDED, UNCERTAINTY
from metrion.core.working.steps import Step
from metrion.report.lines import EQUALS, Form, Group, Span, Tint, WorkingLine, Written, over
from metrion.report.working.measured import written_out
from metrion.report.working.setting import Printed, symbolic
from metrion.report.working.writing import Writer
from metrion.voice import Speaker
from metrion.voice.steps import step_label

_OWN_SYMBOLS = ("f", "y", "Q", *ascii_letters)


def derived_working(result: DerivedResult, speaker: Speaker) -> list[Written]:
    """Every line from the inputs to the sentence; the formula alone while there is no value."""
    return list(_lines(result, speaker))


def _lines(result: DerivedResult, speaker: Speaker) -> Iterator[Written]:
    derived = result.derived
    own = Span(_own_symbol(derived), form=Form.SYMBOL)
    formula = (own, EQUALS, *formula_line(derived, speaker))
    yield Written("formula", speaker.text("step-formula"), formula)
    writer = Writer(result.working.values, speaker)
    inputs = {input_key(tag): one.given for tag, one in derived.every_input.items()}
    for step in result.working.steps:
        if step.key in inputs:
            yield _input(writer, step, inputs[step.key])
        elif step.value == 0 and step.key.startswith(("part_", "component_")):
            # What contributes nothing is not written.
            writer.page.numbers[step.key] = Printed("0", Fraction(0), "")
        elif step.of:
            yield _part(writer, step, derived)
        elif step.key.startswith("sensitivity_"):
            yield _sensitivity(writer, step, own)
        else:
            tint = Tint.RESULT if step.key in (MEAN, UNCERTAINTY) else Tint.PLAIN
            yield writer.line(step, Group.RESULT, tint)
    if result.rounded:
        yield writer.sentence(Step(ROUNDED, None, result.rounded.printed, ""), UNCERTAINTY)


def _sensitivity(writer: Writer, step: Step, own: Span) -> Written:
    """How fast the value changes with an input: the partial derivative, and what it comes to."""
    line = writer.symbolic(step)
    symbol = step.key.removeprefix("sensitivity_")
    changes = over((Span("∂"), own), (Span("∂"), Span(symbol, form=Form.SYMBOL)))
    return replace(line, spans=(*changes, EQUALS, *line.spans))


def formula_line(derived: Derived, speaker: Speaker) -> WorkingLine:
    """A formula set as mathematics, each symbol leading to its input."""
    return symbolic(derived.formula.tree, lambda word: _leading(word, input_key(word)), speaker)


def _leading(word: str, source: str) -> WorkingLine:
    return (Span(word, source=source, form=Form.SYMBOL),)


def _own_symbol(derived: Derived) -> str:
    """A letter for what is derived that none of its inputs has."""
    free = [letter for letter in _OWN_SYMBOLS if letter not in derived.inputs]
    return str(free[0]) if free else _OWN_SYMBOLS[0]


def _input(writer: Writer, step: Step, given: InputSource) -> Written:
    """The value of an input, as its own working has it."""
    label = writer.speaker.say(step_label(step))
    if step.value is None:
        return Written(
            step.key, label, (Span(writer.speaker.text("no-reading-yet")),), Group.READING
        )
    assert not isinstance(step.value, str | ValueSeries)
    text, printed = writer.page.result(rational(step.value), None)
    writer.page.numbers[step.key] = Printed(text, printed, step.key)
    unit = unit_after(step.unit)
    if isinstance(given, TypedValue):
        doubt, _ = writer.page.result(given.uncertainty, None)
        return Written(step.key, label, (Span(f"{text}{unit} ± {doubt}{unit}"),), Group.READING)
    section = "quantity" if isinstance(given, Measurement) else "derived"
    found = Span(f"{text}{unit}", Tint.RESULT, f"{section}:{given.id}")
    return Written(step.key, label, (found,), Group.READING)


def _part(writer: Writer, step: Step, derived: Derived) -> Written:
    """A component of a measurement, from the lines of its own working."""
    given = next(
        one.given
        for one in derived.every_input.values()
        if isinstance(one.given, Measurement) and one.given.id == step.of
    )
    own = written_out(reduce_measurement(given), writer.speaker)[1]
    line = own.line(step)
    writer.page.numbers[step.key] = own.page.numbers[step.key]
    elsewhere = f"quantity:{given.id}"
    return Written(step.key, line.label, tuple(_from(span, elsewhere) for span in line.spans))


def _from(span: Span, source: str) -> Span:
    """A piece whose numbers come from the working of another quantity."""
    first = tuple(_from(one, source) for one in span.first)
    second = tuple(_from(one, source) for one in span.second)
    return Span(span.text, span.tint, source if span.source else "", span.form, first, second)
