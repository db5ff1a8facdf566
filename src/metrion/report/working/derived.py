"""The working of a derived quantity: the formula, its inputs, and what each contributes."""

from __future__ import annotations

from fractions import Fraction

from metrion.core.budget import derived_budget
from metrion.core.derived import DerivedResult, TypedValue
from metrion.core.formula import Formula
from metrion.core.measurements import Measurement, reduce_measurement
from metrion.core.notation import unit_after
from metrion.core.numbers import to_text
from metrion.report.lines import (
    Group,
    Line,
    Span,
    Step,
    Tint,
    number,
    over,
    power,
    root,
    true_minus,
)
from metrion.report.working.uncertainty import UNCERTAINTY, covered_step, whole_step


def derived_working(result: DerivedResult) -> list[Step]:
    """Every line from the inputs to the sentence; the formula alone while there is no value."""
    derived = result.derived
    steps = [Step("formula", "formula", formula_line(derived.formula))]
    for symbol in sorted(derived.formula.names):
        steps.append(_input(symbol, derived.inputs[symbol]))
    if result.value is None or result.uncertainty is None or result.rounded is None:
        return steps
    unit = derived.unit.text
    value = Span(f"{number(Fraction(result.value))}{unit_after(unit)}", Tint.RESULT, "formula")
    steps.append(Step("value", "value", (value,)))
    shares = derived_budget(result).shares
    for index, share in enumerate(shares):
        found = (Span(f"{number(share.size)}{unit_after(unit)}"),)
        steps.append(Step(f"share-{index}", f"contribution of {share.label}", found))
    terms = [Span(number(share.size), source=f"share-{i}") for i, share in enumerate(shares)]
    factor, size = result.uncertainty.coverage_factor, result.uncertainty.size
    steps.append(whole_step(terms, size / (factor or 1), derived.convention, unit))
    steps += covered_step(factor, size, unit)
    sentence = Span(true_minus(result.rounded.printed), Tint.RESULT, UNCERTAINTY)
    return [*steps, Step("rounded", "rounded to the same place", (sentence,))]


def _input(symbol: str, given: Measurement | TypedValue) -> Step:
    if isinstance(given, TypedValue):
        unit = unit_after(given.unit.text)
        value, uncertainty = Fraction(given.value), given.uncertainty
        text = f"{number(value)}{unit} ± {number(uncertainty)}{unit}, typed in"
        return Step(f"input-{symbol}", symbol, (Span(text),), Group.READING)
    rounded = reduce_measurement(given).rounded
    text = true_minus(rounded.printed) if rounded else "no reading yet"
    spans = (Span(text, Tint.RESULT, f"quantity:{given.id}"), Span(f", {given.label}"))
    return Step(f"input-{symbol}", symbol, spans, Group.READING)


_LOOSE, _PRODUCT, _TIGHT = range(3)
"""How strongly a piece holds together: a sum, a product, or one thing."""


def formula_line(formula: Formula) -> Line:
    """A formula set as mathematics, each symbol leading to its input."""
    stack: list[tuple[Line, int]] = []
    for step in formula.steps:
        if step.kind == "number":
            stack.append(((Span(to_text(step.value)),), _TIGHT))
        elif step.kind == "name":
            word = "π" if step.word == "pi" else step.word
            source = "" if step.word == "pi" else f"input-{step.word}"
            stack.append(((Span(word, source=source),), _TIGHT))
        elif step.kind == "unary":
            stack.append(((Span("−"), *_held(stack.pop(), _PRODUCT)), _LOOSE))
        elif step.kind == "power":
            base = _held(stack.pop(), _TIGHT)
            stack.append(((power(base, true_minus(to_text(step.value))),), _TIGHT))
        elif step.kind == "call":
            stack.append(_called(step.word, stack.pop()[0]))
        else:
            right, left = stack.pop(), stack.pop()
            stack.append(_binary(step.word, left, right))
    return stack.pop()[0]


def _held(piece: tuple[Line, int], strength: int) -> Line:
    """A piece in brackets unless it holds together well enough."""
    line, own = piece
    return line if own >= strength else (Span("("), *line, Span(")"))


def _called(word: str, argument: Line) -> tuple[Line, int]:
    if word == "sqrt":
        return (root(argument),), _TIGHT
    return (Span(f"{word} ("), *argument, Span(")")), _TIGHT


def _binary(sign: str, left: tuple[Line, int], right: tuple[Line, int]) -> tuple[Line, int]:
    if sign == "/":
        return (over(left[0], right[0]),), _TIGHT
    if sign == "*":
        return (*_held(left, _PRODUCT), Span(" × "), *_held(right, _PRODUCT)), _PRODUCT
    minus = sign == "-"
    second = _held(right, _PRODUCT if minus else _LOOSE)
    return (*left[0], Span(" − " if minus else " + "), *second), _LOOSE
