"""Formulas: what parses, what units combine, and slopes against an independent package."""

import math
from collections.abc import Iterable
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st
from uncertainties import ufloat, umath

from metrion.core.errors import FormulaError, UnitError
from metrion.core.formula import NoValue, check_bounds, evaluate, parse_formula
from metrion.core.formula.derivative import derivative
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.evaluate import one
from metrion.core.formula.expression import Expression
from metrion.core.formula.units import ANGLE, LENGTH, MASS, NONE, Dimension, parse_unit
from metrion.core.formula.values import Value
from metrion.core.formula.written import written


def resolved(text: str, names: Iterable[str]) -> Expression:
    formula, _ = resolve(parse_formula(text), dict.fromkeys(names, NONE))
    assert formula.in_base_units is not None
    return formula.in_base_units


def value_of(text: str, **inputs: Value) -> Value:
    return evaluate(resolved(text, inputs), inputs, tame=True)


def slope_of(text: str, by: str, **inputs: Value) -> float:
    slope = derivative(resolved(text, inputs), by)
    return float(one(evaluate(slope, inputs, tame=True))) if slope else 0.0


@pytest.mark.parametrize(
    ("text", "value"),
    [
        ("2 + 3*4", 14),
        ("-2**2", -4),
        ("2**-1", Fraction(1, 2)),
        ("2**3**2", None),  # the exponent would be 9: allowed, and right associative
        ("(1 + 2)/4", Fraction(3, 4)),
        ("+0.10", Fraction(1, 10)),
        ("4**(1/2)", 2.0),
        ("4**-0.5", 0.5),
        ("6/2/3", 1),
        ("asin(1)*0 + 1*(1)", None),
    ],
)
def test_precedence_is_that_of_python(text: str, value: object) -> None:
    expected = {"2**3**2": 512}.get(text, value)
    if expected is None:
        with pytest.raises(UnitError):  # an angle and a bare number do not add
            value_of(text)
    else:
        assert value_of(text) == expected


@pytest.mark.parametrize(
    "text",
    [
        "", "D +", "D d", "2D", "1e3", "1_000", "D // 2", "D % 2", "D^2", "f(D)", "sin",
        "sin(D, D)", "D if d else 1", "D.real", "[D]", "D ** x", "D ** 10", "D ** 0.25",
        "D ** (1/0)", "lambda: 1", "0x10", "1.", ".5", "D ** pi", "D == 1", "é + 1",
        "9**9**9**9", "(" * 300 + "1" + ")" * 300,
    ],
)  # fmt: skip
def test_what_is_no_formula_is_refused(text: str) -> None:
    with pytest.raises(FormulaError):
        parse_formula(text)


def test_a_symbol_may_be_a_word_of_python() -> None:
    assert value_of("in + True + lambda", **{"in": 1.0, "True": 2.0, "lambda": 3.0}) == 6.0


def test_a_long_sum_is_not_too_deep() -> None:
    assert value_of("+".join(["D"] * 400), D=Fraction(1)) == 400


@pytest.mark.parametrize(
    ("text", "dimension"),
    [
        ("L*L", LENGTH * LENGTH),
        ("m/L**3", MASS / LENGTH ** Fraction(3)),
        ("sqrt(L**2)", LENGTH),
        ("L**0.5*L**0.5", LENGTH),
        ("asin(L/L)", ANGLE),
        ("sin(A)", NONE),
        ("sin(2)", NONE),
        ("A/2", ANGLE),
    ],
)
def test_units_combine(text: str, dimension: Dimension) -> None:
    known = {"L": LENGTH, "m": MASS, "A": ANGLE}
    assert resolve(parse_formula(text), known)[1] == dimension


@pytest.mark.parametrize("text", ["L + m", "L - 1", "sin(L)", "asin(A)", "A + 1", "atan(L)"])
def test_units_that_do_not_combine_are_refused(text: str) -> None:
    with pytest.raises(UnitError):
        resolve(parse_formula(text), {"L": LENGTH, "m": MASS, "A": ANGLE})


@pytest.mark.parametrize(
    "text", ["1/x", "sqrt(y)", "tan(h)", "asin(t)", "sqrt(x)", "x**-2", "acos(o)", "b**9*b**9"]
)
def test_where_value_or_slope_do_not_exist_there_is_none(text: str) -> None:
    inputs = {"x": 0.0, "y": -1.0, "h": math.pi / 2, "t": 2.0, "o": 1.0, "b": 1e200}
    used = {name: inputs[name] for name in parse_formula(text).names}
    (symbol,) = used
    with pytest.raises(NoValue):
        assert value_of(text, **used) or slope_of(text, symbol, **used)


def test_a_constant_needs_no_slope() -> None:
    assert value_of("sqrt(0) + x", x=Fraction(1)) == 1
    assert slope_of("sqrt(0) + x", "x", x=Fraction(1)) == 1


FORMULAS = [
    "(x - y)/2", "x*y*pi/4", "x**2*y**-1.5", "sqrt(x**2 + y**2)", "sin(x)*cos(y)", "tan(x/(1+y))",
    "asin(x/(x+y))/atan(y)", "acos(x/(x+y))*acos(y/(x+y))", "-x/(y - 9)", "x**0.5*y**3",
]  # fmt: skip


@given(st.sampled_from(FORMULAS), st.floats(0.1, 1.4), st.floats(0.1, 1.4))
def test_value_and_slopes_agree_with_the_uncertainties_package(
    text: str, x: float, y: float
) -> None:
    value = value_of(text, x=x, y=y)
    a, b = ufloat(x, 1), ufloat(y, 1)
    names = {
        name: getattr(umath, name) for name in ("sqrt", "sin", "cos", "tan", "asin", "acos", "atan")
    }
    expected = eval(text, {**names, "pi": math.pi, "x": a, "y": b})
    # Angles are worked with in arc minutes here, bare numbers there are radians.
    scale = 180 * 60 / math.pi
    factor = {"asin(x/(x+y))/atan(y)": 1.0, "acos(x/(x+y))*acos(y/(x+y))": scale**2}.get(text, 1.0)
    assert math.isclose(
        float(one(value)), expected.nominal_value * factor, rel_tol=1e-9, abs_tol=1e-12
    )
    for name, variable in (("x", a), ("y", b)):
        slope = expected.derivatives[variable] * factor
        found = slope_of(text, name, x=x, y=y)
        assert math.isclose(found, slope, rel_tol=1e-8, abs_tol=1e-9 * factor)


@pytest.mark.parametrize(
    ("text", "slope"),
    [
        ("x*x*y", "2*y*x"),
        ("y/x", "-1*y/x**2"),
        ("(x - y)/2", "1/2"),
        ("sqrt(x)", "0.5/sqrt(x)"),
        ("x**-9", "-9/(x**9*x)"),
        ("sin(2*x)", "cos(2*x)*2"),
        ("-(x*y)", "-y"),
    ],
)
def test_a_derivative_is_written_out(text: str, slope: str) -> None:
    found = derivative(parse_formula(text).tree, "x")
    assert found is not None
    assert written(found) == slope


def test_the_derivative_of_the_longest_chains_stays_short() -> None:
    for text in ("*".join(["x"] * 250), "*-".join(["x"] * 166), "*".join(["sin(x)"] * 71)):
        slope = derivative(parse_formula(text).tree, "x")
        assert slope is not None
        assert len(written(slope)) < 200_000


@pytest.mark.parametrize(
    ("text", "factor", "dimension"),
    [
        ("mm", 1, LENGTH),
        ("cm**3", 1000, LENGTH ** Fraction(3)),
        ("kg/m**3", Fraction(1, 10**6), MASS / LENGTH ** Fraction(3)),
        ("1", 1, NONE),
        ("g*mm**-2", 1, MASS / LENGTH ** Fraction(2)),
        ("deg", 60, ANGLE),
        ("in*in/mm", Fraction(127, 5) ** 2, LENGTH),
    ],
)
def test_units(text: str, factor: Fraction, dimension: Dimension) -> None:
    unit = parse_unit(text)
    assert (unit.factor, unit.dimension) == (factor, dimension)


@pytest.mark.parametrize(
    "text", ["", "ft", "mm ", "mm^2", "1/mm", "mm*", "mm**", "mm**2.5", "mm*1", "MM"]
)
def test_what_is_no_unit_is_refused(text: str) -> None:
    with pytest.raises(UnitError):
        parse_unit(text)


NINE_NINTHS = "(" * 9 + "1/9" + ")**9" * 9
"""55 characters that stand for a number of 10^8 digits."""


@pytest.mark.parametrize(
    "part",
    [
        "10**9**2", "10**9**2**1", "1/10**9**2", "(10**9)**9*(10**9)**9*(10**9)**9*(10**9)**9",
        "(10**9)**9/(1/10**9)**9/(1/10**9)**9/(1/10**9)**9", NINE_NINTHS, "1" + "0" * 301,
        "0." + "0" * 300 + "1", "-(100**9)**9*(100**9)**9", "(1/100**9)**9*(1/100**9)**9",
        "(10**9)**(1/2)*(10**9)**9*(10**9)**9*(10**9)**9*(10**9)**6.5", "1*(2 - 2 + 10**9**2)",
    ],
)  # fmt: skip
@pytest.mark.parametrize("formula", ["{}*x", "x + {}", "{}", "sin({})", "x*0*({})"])
def test_a_number_or_a_part_made_of_numbers_beyond_reach_is_refused(
    part: str, formula: str
) -> None:
    with pytest.raises(FormulaError):
        check_bounds(parse_formula(formula.format(part)))


@pytest.mark.parametrize(
    "text",
    [
        "x*1" + "0" * 300, "(10**5)**6*((10**9)**9)**3*(10**9)**3", "x/0", "0*x", "(1/9)**9*x",
        "(-2)**0.5*x", "0**-1*x", "(100001/100003)**9**1", "x**9", "x - (2 - 2)",
        "((((1.01**9)**9)**9)**(1/2))*x",
    ],
)  # fmt: skip
def test_parts_within_reach_are_allowed(text: str) -> None:
    check_bounds(parse_formula(text))


@pytest.mark.parametrize("inner", ["1/9", "100001/100003", "9"])
@pytest.mark.parametrize("formula", ["{}", "x**{}", "x**(0*{} + 2)"])
def test_no_nesting_of_powers_keeps_the_machine_busy(inner: str, formula: str) -> None:
    part = "(" * 30 + inner + ")**9" * 30
    with pytest.raises(FormulaError):
        check_bounds(parse_formula(formula.format(part)))
