"""Lines of mathematics: what is too wide is written out, what is negative says so once."""

import json
import re
from typing import Any

import pytest
from hypothesis import given

from metrion.core.formula import parse_formula
from metrion.core.formula.derivative import derivative
from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook
from metrion.report import Form, Span, Written, derived_working, plain
from metrion.report.lines import WIDEST, WorkingLine, brackets, over, power, root, sign
from metrion.report.working.setting import symbolic
from metrion.voice import plainly
from tests.strategies import formulas

LONG = (Span("a" * 30), sign("+"), Span("b" * 30))


def forms(line: WorkingLine) -> list[Form]:
    return [span.form for span in line]


def test_what_is_too_wide_for_a_line_is_written_out_and_may_break() -> None:
    short = (Span("a"), sign("+"), Span("b"))
    assert forms(over(short, short)) == [Form.OVER]
    assert plain(over(LONG, short)) == f"({plain(LONG)}) / (a + b)"
    assert Form.OVER not in forms(over(LONG, short))
    assert plain(root(LONG)) == f"√({plain(LONG)})"
    assert forms(root(short)) == [Form.ROOT]
    # The bracket that ends a base bears its power.
    *_, last = power(brackets(LONG), "3")
    assert (last.form, plain((last,))) == (Form.POWER, ")^3")


def test_brackets_grow_with_what_stands_in_them() -> None:
    assert forms(brackets((Span("a"),))) == [Form.TEXT] * 3
    assert forms(brackets(over((Span("a"),), (Span("b"),)))) == [Form.BRACKETS]


@given(formulas())
def test_nothing_that_no_line_can_break_is_too_wide(formula: str) -> None:
    tree = parse_formula(formula).tree
    for expression in (tree, derivative(tree, "x")):
        if expression is not None:
            line = symbolic(expression, lambda word: (Span(word, form=Form.SYMBOL),), plainly())
            assert max(len(plain((span,))) for span in line) <= 4 * WIDEST
            assert all(_widest(span) <= WIDEST for span in line)
            assert "−−" not in plain(line)


def _widest(span: Span) -> float:
    """The signs of it that stand side by side."""
    above, below = sum(map(_widest, span.first)), sum(map(_widest, span.second))
    wide = len(span.text) - sum(sign in " .,°′|()" for sign in span.text) / 2
    return wide + (max(above, below) if span.form is Form.OVER else above + below)


def derived(formula: str, **inputs: Any) -> dict[str, Written]:
    document = json.loads(demo_file("spare-parts"))
    typed = {"value": "2.5", "uncertainty": "0.1", "unit": "mm"}
    document["derived"] = [
        {"id": "x", "formula": formula, "unit": "mm", "convention": "standard",
         "inputs": {**dict.fromkeys(inputs, typed), **inputs}},
    ]  # fmt: skip
    (found,) = reduce_logbook(parse_logbook(document)).derived
    return {step.key: step for step in derived_working(found, plainly())}


MM = {"value": "2.5", "uncertainty": "0.1", "unit": "mm"}


def test_derivatives_are_set_as_such() -> None:
    steps = derived("a**2/b - c", a=MM, b=MM, c=MM)
    assert plain(steps["formula"].spans) == "f = a² / b − c"
    assert plain(steps["sensitivity_a"].spans) == "(∂f) / (∂a) = (2 × a) / b = 2"
    assert plain(steps["sensitivity_b"].spans) == "(∂f) / (∂b) = −a² / b² = −1"
    assert plain(steps["sensitivity_c"].spans) == "(∂f) / (∂c) = −1"
    assert steps["sensitivity_a"].spans[0].form is Form.OVER


def test_the_letter_of_a_result_is_none_of_its_inputs() -> None:
    assert plain(derived("f + y", f=MM, y=MM)["formula"].spans) == "Q = f + y"


@pytest.mark.parametrize(
    ("formula", "printed"),
    [
        ("-a*b", "−a × b"), ("a - -b", "a + b"), ("a*-b", "−a × b"), ("-a/-b", "a / b"),
        ("-(a + b)", "−(a + b)"), ("--a", "a"), ("-(a - b)/c", "−(a − b) / c"),
        ("a - b/-c", "a + b / c"), ("(-a)**2", "(−a)²"),
    ],
)  # fmt: skip
def test_signs_stand_before_what_they_turn_round(formula: str, printed: str) -> None:
    tree = parse_formula(formula).tree
    line = symbolic(tree, lambda word: (Span(word, form=Form.SYMBOL),), plainly())
    assert plain(line) == printed
    values = {"a": 2.5, "b": 1.25, "c": -3.0}
    assert _worth(printed, values) == pytest.approx(_worth(formula, values))


def _worth(text: str, values: dict[str, float]) -> float:
    typed = re.sub("²", "**2", text).replace("−", "-").replace("×", "*").replace("√", "sqrt")
    return float(eval(typed, {"__builtins__": {}}, values))
