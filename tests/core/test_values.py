"""Exact roots and lists of numbers: each operation against the plain numbers it stands for."""

import math
import sys
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.formula.evaluate import NoValue, evaluate, exact
from metrion.core.formula.expression import call, name, number
from metrion.core.formula.values import Root, ValueSeries, rational, root

NUMBERS = st.fractions(min_value=-50, max_value=50, max_denominator=40)
SQUARES = st.integers(2, 60).filter(lambda n: math.isqrt(n) ** 2 != n).map(Fraction)
ROOTS = st.builds(Root, SQUARES, st.booleans())
LISTS = st.lists(NUMBERS, min_size=1, max_size=6)


def close(one: object, other: float) -> bool:
    return float(one) == pytest.approx(other, rel=1e-12, abs=1e-12)  # type: ignore[arg-type]


@given(ROOTS, NUMBERS)
def test_a_root_beside_a_number(one: Root, other: Fraction) -> None:
    a, b = float(one), float(other)
    assert close(one + other, a + b)
    assert close(other + one, a + b)
    assert close(one - other, a - b)
    assert close(other - one, b - a)
    assert close(one * other, a * b)
    assert close(other * one, a * b)
    assert close(one * b, a * b)
    assert close(-one, -a)
    assert close(abs(one), abs(a))
    assert (one < other, one > other) == (a < b, a > b)
    assert close(other / one, b / a)
    if other:
        assert close(one / other, a / b)
        assert close(one / b, a / b)


@given(ROOTS, ROOTS, st.integers(0, 5))
def test_two_roots_and_powers(one: Root, other: Root, power: int) -> None:
    a, b = float(one), float(other)
    assert close(one * other, a * b)
    assert close(one / other, a / b)
    assert close(one + other, a + b)
    assert (one < other, one > other) == (a < b, a > b)
    assert close(one**power, a**power)
    # A square of a root is rational again, exactly.
    assert one * one == one.square


def test_a_root_that_is_rational_is_no_root() -> None:
    assert root(Fraction(9, 4)) == Fraction(3, 2)
    assert root(Fraction(9, 4), negative=True) == Fraction(-3, 2)
    assert root(Fraction(2)) == Root(Fraction(2), False)
    assert Root(Fraction(2), True) * 0 == 0
    with pytest.raises(ValueError, match="root of a negative number"):
        root(Fraction(-1))
    digits = rational(Root(Fraction(2), True))
    assert digits < 0
    assert abs(digits**2 - 2) < Fraction(1, 10**38)


@given(LISTS, NUMBERS, st.fractions(min_value=1, max_value=9, max_denominator=8))
def test_a_list_acts_element_by_element(
    values: list[Fraction], other: Fraction, by: Fraction
) -> None:
    series = ValueSeries.of(values)
    assert list(series) == values
    assert list(series + other) == [one + other for one in values]
    assert list(other + series) == [one + other for one in values]
    assert list(series - other) == [one - other for one in values]
    assert list(other - series) == [other - one for one in values]
    assert list(series * other) == [one * other for one in values]
    assert list(other * series) == [one * other for one in values]
    assert list(series / by) == [one / by for one in values]
    assert list(series**3) == [one**3 for one in values]
    assert list(-series) == [-one for one in values]
    assert list(abs(series)) == [abs(one) for one in values]
    assert list(series.floor()) == [math.floor(one) for one in values]
    assert list(series.modulo(by)) == [one % by for one in values]
    assert (series.sum(), series.least(), series.greatest()) == (
        sum(values), min(values), max(values),
    )  # fmt: skip


@given(LISTS)
def test_two_lists_of_one_length(values: list[Fraction]) -> None:
    one, other = ValueSeries.of(values), ValueSeries.of([value / 3 + 1 for value in values])
    pairs = list(zip(one, other, strict=True))
    assert list(one + other) == [a + b for a, b in pairs]
    assert list(one - other) == [a - b for a, b in pairs]
    assert list(one * other) == [a * b for a, b in pairs]
    with pytest.raises(ValueError, match="different lengths"):
        one + ValueSeries.of([*values, Fraction(1)])


@given(LISTS, NUMBERS)
def test_the_extremes_of_lists_and_of_several(values: list[Fraction], other: Fraction) -> None:
    known = {"list": ValueSeries.of(values), "other": other}
    assert evaluate(call("max", name("list")), known) == max(values)
    assert evaluate(call("min", name("list")), known) == min(values)
    assert evaluate(call("max", name("other")), known) == other
    assert evaluate(call("min", name("other"), number(0)), known) == min(other, 0)
    several = evaluate(call("max", name("list"), name("other")), known)
    assert isinstance(several, ValueSeries)
    assert list(several) == [max(one, other) for one in values]


def test_floor_and_modulo_of_one_number() -> None:
    assert exact(call("floor", number(Fraction(-7, 2)))) == -4
    assert exact(call("modulo", number(Fraction(-7, 2)), number(3))) == Fraction(5, 2)


def test_a_number_too_large_has_no_value() -> None:
    largest = number(Fraction(sys.float_info.max))
    assert evaluate(largest, {}, tame=True) == Fraction(sys.float_info.max)
    for beyond in (largest * number(2), call("sqrt", number(2)) * largest, -largest - largest):
        with pytest.raises(NoValue):
            evaluate(beyond, {}, tame=True)


def test_a_number_of_too_many_digits_goes_on_as_a_float() -> None:
    third = number(Fraction(1, 3**2000))
    assert isinstance(evaluate(third, {}, tame=True), Fraction)
    assert isinstance(evaluate(number(Fraction(1, 3**3000)), {}, tame=True), float)
