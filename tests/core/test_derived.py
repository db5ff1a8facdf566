"""Derived quantities: what cancels, what adds, and what has no value."""

import math
from collections.abc import Mapping
from fractions import Fraction
from typing import Any

import pytest

from metrion.core.conventions.convention import BUILT_IN, Combine, Convention, Family, Spread
from metrion.core.formula import parse_formula
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.units import parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.derived_result import DerivedResult, reduce_derived
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

say = plainly().say

CALIPER = Instrument("cal", "Caliper A", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
ZERO = ZeroCheck("z", "cal", Indication(Fraction(-1), 17))
OTHER_ZERO = ZeroCheck("y", "cal", Indication(Fraction(0), 1))
WHOLE = BUILT_IN["whole-division"]
STANDARD = BUILT_IN["standard"]


def measured(
    key: str, main: int, *lines: int, checks: tuple[ZeroCheck, ...] = (), **more: Any
) -> Measurement:
    observations = tuple(Observation((Indication(Fraction(main), line),)) for line in lines)
    return Measurement(key, key, CALIPER, WHOLE, observations, checks, **more)


def typed(value: str, uncertainty: str, unit: str = "mm") -> TypedValue:
    return TypedValue(Fraction(value), Fraction(uncertainty), parse_unit(unit))


def derived(
    text: str,
    unit: str,
    inputs: Mapping[str, Measurement | TypedValue],
    convention: Convention = WHOLE,
) -> DerivedResult:
    dimensions = {
        symbol: (
            given.unit if isinstance(given, TypedValue) else parse_unit(given.instrument.unit)
        ).dimension
        for symbol, given in inputs.items()
    }
    formula, _ = resolve(parse_formula(text), dimensions)
    return reduce_derived(Derived("d", "d", formula, parse_unit(unit), convention, inputs))


def size(result: DerivedResult) -> Fraction:
    assert result.uncertainty is not None
    return result.uncertainty.size


def test_a_zero_error_shared_by_both_cancels_in_a_difference() -> None:
    outside = measured("D", 6, 3, checks=(ZERO,))
    inside = measured("d", 4, 1, checks=(ZERO,))
    shared = derived("D - d", "mm", {"D": outside, "d": inside})
    # Two readings of one least count each; the look at the zero enters once and takes itself off.
    assert size(shared) == Fraction("0.1")
    apart = derived("D - d", "mm", {"D": outside, "d": measured("d", 4, 1, checks=(OTHER_ZERO,))})
    assert size(apart) == Fraction("0.2")


def test_a_shared_zero_doubles_in_a_sum() -> None:
    inputs = {
        "a": measured("a", 6, 3, checks=(ZERO,)),
        "b": measured("b", 4, 1, checks=(ZERO,)),
    }
    assert size(derived("a + b", "mm", inputs)) == Fraction("0.2")
    standard = derived("a + b", "mm", inputs, STANDARD)
    indication = 0.025 / math.sqrt(3)
    assert math.isclose(
        size(standard), math.sqrt(2 * indication**2 + (2 * indication) ** 2), rel_tol=1e-12
    )


def test_one_measurement_under_two_symbols_enters_once() -> None:
    one = measured("D", 6, 3)
    result = derived("D - e", "mm", {"D": one, "e": one})
    assert (result.value, size(result)) == (0, 0)
    assert result.rounded is not None
    assert result.rounded.text == "(0 ± 0) mm"


def test_limits_add_and_standard_uncertainties_add_in_squares() -> None:
    inputs = {"a": typed("10", "0.3"), "b": typed("4", "0.4")}
    assert size(derived("a - b", "mm", inputs)) == Fraction("0.7")
    assert size(derived("a - b", "mm", inputs, STANDARD)) == Fraction("0.5")
    quadrature = Convention(
        "q", "q", Family.LIMIT, Fraction(1), False, 1, Spread.NONE, Combine.QUADRATURE
    )
    assert size(derived("a - b", "mm", inputs, quadrature)) == Fraction("0.5")


def test_units_are_converted() -> None:
    inputs = {"m": typed("12.6", "0.1", "g"), "a": typed("2", "0", "cm"), "b": typed("10", "0")}
    result = derived("m/(a**2*b)", "g/cm**3", inputs)
    assert result.value == Fraction("3.15")
    assert size(result) == Fraction("0.025")


def test_an_angle_goes_through_trigonometry_in_radians() -> None:
    inputs = {"q": typed("1667", "0", "nm"), "t": typed("480.5", "1", "arcmin")}
    result = derived("q*sin(t)", "nm", inputs)
    angle = math.radians(480.5 / 60)
    assert result.value is not None
    assert math.isclose(result.value, 1667 * math.sin(angle), rel_tol=1e-12)
    slope = 1667 * math.cos(angle) * math.radians(1 / 60)
    assert math.isclose(size(result), slope, rel_tol=1e-12)


def test_a_stack_enters_as_one_item() -> None:
    stack = measured("t", 16, 0, items=16)
    result = derived("t*4", "mm", {"t": stack})
    assert result.value == 4
    assert size(result) == Fraction("0.05") / 4


@pytest.mark.parametrize("text", ["1/(a - a)", "sqrt(b - a)", "a**9*a**9*a**9*a**9*1/(a - a)"])
def test_without_a_value_there_is_no_result(text: str) -> None:
    inputs = {"a": typed("5", "0.1"), "b": typed("4", "0.1")}
    used = {name: inputs[name] for name in parse_formula(text).names}
    dimensions = {name: parse_unit("1").dimension for name in used}
    formula, _ = resolve(parse_formula(text), dimensions)
    bare = {name: TypedValue(v.value, v.uncertainty, parse_unit("1")) for name, v in used.items()}
    result = reduce_derived(Derived("d", "d", formula, parse_unit("1"), WHOLE, bare))
    assert (result.value, result.rounded, result.uncertainty) == (None, None, None)


def test_what_is_derived_from_nothing_is_nothing() -> None:
    assert derived("D*2", "mm", {"D": measured("D", 6)}).value is None


def test_a_zero_that_cancels_is_named() -> None:
    inputs = {
        "D": measured("outer", 8, 9, checks=(ZERO,)),
        "d": measured("inner", 6, 1, checks=(ZERO,)),
    }
    (shared,) = derived("(D - d)/2", "mm", inputs).shared_zeros
    assert say(shared.says) == (
        "outer and inner were corrected by the same zero: its error cancels here."
    )


def test_a_zero_that_enters_once_is_named() -> None:
    inputs = {
        "a": measured("one", 8, 9, checks=(ZERO,)),
        "b": measured("two", 6, 1, checks=(ZERO,)),
    }
    (shared,) = derived("a + b", "mm", inputs).shared_zeros
    assert shared.share == 2
    assert say(shared.says).endswith("its error enters once, not once for each.")


@pytest.mark.parametrize("checks", [(), (OTHER_ZERO,)])
def test_zeros_of_their_own_are_not_shared(checks: tuple[ZeroCheck, ...]) -> None:
    inputs = {"a": measured("one", 8, 9, checks=(ZERO,)), "b": measured("two", 6, 1, checks=checks)}
    assert derived("a - b", "mm", inputs).shared_zeros == ()


def test_nothing_is_shared_by_what_has_no_value() -> None:
    inputs = {"a": measured("one", 8, 9, checks=(ZERO,)), "b": measured("two", 6, checks=(ZERO,))}
    assert derived("a - b", "mm", inputs).shared_zeros == ()


def test_a_measurement_under_two_symbols_shares_no_zero_with_itself() -> None:
    one = measured("one", 8, 9, checks=(ZERO,))
    assert derived("a + b", "mm", {"a": one, "b": one}).shared_zeros == ()
    other = measured("two", 6, 1, checks=(ZERO,))
    inputs = {"a": one, "b": one, "c": other}
    (shared,) = derived("a + b - c", "mm", inputs).shared_zeros
    assert [holder.id for holder in shared.measurements] == ["one", "two"]
