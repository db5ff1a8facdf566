"""Formulas and units as people write them."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.desk.typed import typed_exact
from metrion.core.errors import FormulaError
from metrion.core.formula import parse_formula
from metrion.core.formula.notation import (
    printed_formula,
    printed_unit,
    typed_formula,
    typed_unit,
    unit_after,
)
from metrion.core.formula.units import parse_unit
from metrion.core.quantity.recipes import BOARD
from metrion.voice import plainly

NAMES = st.sampled_from(["mm", "cm", "m", "in", "g", "kg", "nm", "um", "deg", "arcmin", "rad"])
FACTORS = st.tuples(NAMES, st.integers(-12, 12)).map(lambda one: f"{one[0]}**{one[1]}") | NAMES
UNITS = st.lists(st.tuples(st.sampled_from("*/"), FACTORS), min_size=1, max_size=4).map(
    lambda parts: "".join(sign + factor for sign, factor in parts)[1:]
)
LEAVES = st.sampled_from(["a", "pipe", "x_1", "pi", "2", "0.5", "12"])
FORMULAS = st.recursive(
    LEAVES,
    lambda inner: st.one_of(
        st.tuples(inner, st.sampled_from(["+", " - ", "*", " / "]), inner).map("".join),
        st.tuples(inner, st.sampled_from(["2", "-1", "3", "0.5", "(1/2)", "-(1/2)"])).map(
            lambda one: f"({one[0]})**{one[1]}"
        ),
        inner.map("sqrt({})".format),
        inner.map("-({})".format),
    ),
    max_leaves=8,
)


@given(UNITS)
def test_a_printed_unit_can_be_typed_again(unit: str) -> None:
    assert "**" not in printed_unit(unit)
    assert typed_unit(printed_unit(unit)) == unit
    assert typed_unit(unit) == unit
    parse_unit(typed_unit(printed_unit(unit)))


@given(FORMULAS)
def test_a_printed_formula_can_be_typed_again(formula: str) -> None:
    printed = printed_formula(formula)
    assert not set("*-") & set(printed)
    assert parse_formula(typed_formula(printed)).tree == parse_formula(formula).tree
    assert typed_formula(formula) == formula


@pytest.mark.parametrize("recipe", BOARD, ids=lambda recipe: recipe.id)
def test_every_recipe_of_the_board_reads_the_same(recipe) -> None:
    assert typed_formula(printed_formula(recipe.formula)) == recipe.formula
    assert typed_unit(printed_unit(recipe.unit)) == recipe.unit


@pytest.mark.parametrize(
    ("typed", "held"),
    [
        ("π · d^2 ÷ 4", "pi * d**2 / 4"),
        ("√(a² + b²) − 0,5", "sqrt(a**2 + b**2) - 0.5"),
        ("x⁻¹ × y", "x**-1 * y"),
        ("sin(θ", "sin(θ"),
    ],
)
def test_formulas_as_they_are_typed(typed: str, held: str) -> None:
    assert typed_formula(typed) == held


@pytest.mark.parametrize(
    ("typed", "held"),
    [
        ("µm", "um"), ("μm²", "um**2"), ("kg / m3", "kg/m**3"), ("g·cm⁻³", "g*cm**-3"),
        ("cm^2", "cm**2"), ("°", "deg"), ("1", "1"), (" mm ", "mm"), ("", ""),
    ],
)  # fmt: skip
def test_units_as_they_are_typed(typed: str, held: str) -> None:
    assert typed_unit(typed) == held


@pytest.mark.parametrize(
    ("typed", "held"),
    [
        ("12,50", "12.50"), (" .5 ", "0.5"), ("1 ½", "1.5"), ("31:30", "31:30"),
        ("31° 5′", "31:05"), ("1/3", "1/3"), ("about 4", "about 4"), ("", ""),
    ],
)  # fmt: skip
def test_values_as_they_are_typed(typed: str, held: str) -> None:
    assert typed_exact(typed) == held


@pytest.mark.parametrize(
    ("unit", "after"), [("mm**3", " mm³"), ("deg", "°"), ("arcmin", "′"), ("1", ""), ("%", " %")]
)
def test_the_unit_after_a_number(unit: str, after: str) -> None:
    assert unit_after(unit) == after


@pytest.mark.parametrize(
    ("typed", "held"),
    [
        ("πD²h/4", "pi*D**2*h/4"), ("π D² h / 4", "pi*D**2*h / 4"),
        ("(D²−d²)", "(D**2-d**2)"), ("2(a+b)c", "2*(a+b)*c"), ("(a)(b)", "(a)*(b)"),
        ("4/3 π r³", "4/3*pi*r**3"), ("1/2 a(b+c)", "1/2*a*(b+c)"), ("h (D-d)", "h*(D-d)"),
        ("√(a²+b²)", "sqrt(a**2+b**2)"), ("√2a", "√2a"), ("√2 · a", "sqrt(2) * a"),
        ("2 sin t", "2*sin(t)"), ("sin t / k", "sin(t) / k"), ("sin t cos t", "sin(t)*cos(t)"),
        ("a²3", "a**2*3"), ("x^2y", "x**2*y"), ("a b", "a*b"), ("0,5a", "0.5*a"),
        ("(a/b)c", "(a/b)*c"), ("pi r**2", "pi*r**2"), ("2*-a", "2*-a"),
        # Unclear, so as they are: how far does the slash reach, and how far the function?
        ("m/πr²h", "m/πr²h"), ("4/3πr³", "4/3πr³"), ("m/2r", "m/2r"), ("a/b c", "a/b c"),
        ("m/(a)(b)", "m/(a)(b)"), ("m/r²h", "m/r²h"), ("m/sin(a)b", "m/sin(a)b"),
        ("sin 2t", "sin 2t"), ("sin t²", "sin t²"), ("sin t(a)", "sin t(a)"),
        # No products: what is no formula, and functions that are not known.
        ("sen(x)", "sen(x)"), ("2e5", "2e5"), ("a + ", "a +"), ("", ""), ("a $ b", "a $ b"),
    ],
)  # fmt: skip
def test_a_formula_as_on_paper(typed: str, held: str) -> None:
    assert typed_formula(typed) == held


@given(FORMULAS, st.sampled_from(["", " "]))
def test_a_product_without_its_sign_is_the_same_product(formula: str, between: str) -> None:
    for second in ("(q)", "q"):
        spelt = typed_formula(f"({formula}){between}{second}")
        assert parse_formula(spelt).tree == parse_formula(f"({formula})*{second}").tree


@pytest.mark.parametrize(
    ("typed", "said"),
    [
        ("m/πr²h", "where π meets r in the formula, it is not clear what is meant"),
        ("sin 2t", "where sin meets 2 in the formula"), ("(a+b", "not closed: (a+b"),
        ("a+b) - 2", "not opened: a+b)"), ("a +", "something is missing in the formula after +"),
        ("*a", "before *"), ("a + * b", "before *"), ("2**", "after **"), ("sen(x)", "sen(…)"),
        ("a $ b", "holds something other than"),
    ],
)  # fmt: skip
def test_a_fault_is_told_by_what_stands_there(typed: str, said: str) -> None:
    with pytest.raises(FormulaError) as error:
        parse_formula(typed_formula(typed))
    assert said in plainly().say(error.value.says)
