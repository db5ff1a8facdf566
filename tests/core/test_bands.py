"""Results as bands on one axis."""

from fractions import Fraction

import pytest

from metrion.core.formula import parse_formula
from metrion.core.formula.units import parse_unit
from metrion.core.quantity.bands import Band, axis_for, subtracted
from metrion.core.quantity.comparison import compare
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.measurements import Measurement
from tests.core.test_comparison import HALF, measured, typed


def derived(formula: str, unit: str, **given: Measurement | TypedValue) -> Derived:
    resolved = parse_formula(formula)
    return Derived("d", "", resolved, parse_unit(unit), HALF, given)


def test_a_comparison_has_both_in_the_unit_of_the_first() -> None:
    found = compare(measured("m", 4), typed("0.61", "0.01", unit="cm"))
    assert found is not None
    assert found.bands == (
        Band(Fraction("6.2"), Fraction("0.025")),
        Band(Fraction("6.1"), Fraction("0.1")),
    )


@pytest.mark.parametrize("formula", ["a - b", "(a - b)/2", "(a - b)/(4)"])
def test_a_difference_is_two_bands_in_its_own_unit(formula: str) -> None:
    given = {"a": measured("m", 4), "b": typed("0.5", "0.01", unit="cm")}
    found = subtracted(derived(formula, "cm", **given))
    assert found == {
        "a": Band(Fraction("0.62"), Fraction("0.0025")),
        "b": Band(Fraction("0.5"), Fraction("0.01")),
    }


@pytest.mark.parametrize("formula", ["a + b", "a - a", "2*a - b", "(a - b)*a/b", "a/b", "a - 1*b"])
def test_nothing_else_is(formula: str) -> None:
    given = {"a": typed("2", unit="1"), "b": typed("1", unit="1")}
    assert subtracted(derived(formula, "1", **given)) == {}


def test_without_a_value_there_is_no_band() -> None:
    assert subtracted(derived("a - b", "mm", a=measured("m"), b=typed("1"))) == {}


def test_an_axis_has_room_around_bands_even_where_they_are_one_point() -> None:
    for band in (
        Band(Fraction(5), Fraction(1)),
        Band(Fraction(5), Fraction(0)),
        Band(Fraction(0), Fraction(0)),
    ):
        axis = axis_for([band])
        assert axis.low < band.low <= band.high < axis.high
        assert axis.marks
        assert all(axis.low <= mark <= axis.high for mark in axis.marks)
