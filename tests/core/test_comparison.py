"""A result beside an expected value or another result."""

from dataclasses import replace
from fractions import Fraction

import pytest

from metrion.core.conventions.convention import BUILT_IN, Convention
from metrion.core.errors import UnitError
from metrion.core.formula import parse_formula
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.units import LENGTH, parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.comparison import compare
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, PlainScale, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly
from tests.said import saying

say = plainly().say

CALIPER = Instrument("c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
WHOLE, HALF, STANDARD, AT_95 = BUILT_IN.values()
ZERO = ZeroCheck("z", "c", Indication(Fraction(0), 2))


def measured(
    key: str, *lines: int, convention: Convention = HALF, zero: bool = False
) -> Measurement:
    """Readings of 6 mm and so many lines of 0.05 mm."""
    observations = tuple(Observation((Indication(Fraction(6), line),)) for line in lines)
    checks = (ZERO,) if zero else ()
    return Measurement(key, key, CALIPER, convention, observations, checks)


def typed(value: str, uncertainty: str = "0", unit: str = "mm") -> TypedValue:
    return TypedValue(Fraction(value), Fraction(uncertainty), parse_unit(unit))


def test_deviation_and_percentage_of_an_expected_value_in_another_unit() -> None:
    found = compare(measured("m", 4), typed("0.61", unit="cm"))
    assert found is not None
    assert found.deviation == Fraction("0.1")
    assert found.percent == 100 * Fraction("0.1") / Fraction("6.1")
    assert found.normalised_error == 4
    assert say(found.sentences[0]) == "It is 0.10 mm more than that, 1.6 %."
    assert "4 times as much: the two do not agree" in say(found.sentences[1])


@pytest.mark.parametrize(
    ("convention", "expected", "said"),
    [
        (HALF, "6.225", "the two agree"),
        (HALF, "6.226", "the two do not agree"),
        (STANDARD, "6.22", "agree; two values differ by so much often enough"),
        (STANDARD, "6.235", "look at both again"),
        (STANDARD, "6.25", "do not agree; chance alone hardly ever"),
        (AT_95, "6.22", "the two agree"),
        (AT_95, "6.23", "do not agree at this coverage"),
    ],
)
def test_the_verdict_is_that_of_the_convention(
    convention: Convention, expected: str, said: str
) -> None:
    found = compare(measured("m", 4, convention=convention), typed(expected))
    assert found is not None
    assert said in say(found.sentences[-1])


def test_limits_add_and_standard_uncertainties_add_as_squares() -> None:
    limits = compare(measured("m", 4), measured("n", 6))
    squares = compare(measured("m", 4, convention=STANDARD), measured("n", 6, convention=STANDARD))
    assert limits is not None
    assert squares is not None
    assert limits.uncertainty == Fraction("0.05")
    assert float(squares.uncertainty) == pytest.approx(0.025 * (2 / 3) ** 0.5)


def test_a_zero_that_both_share_cancels() -> None:
    one = measured("m", 4, convention=WHOLE, zero=True)
    other = measured("n", 6, convention=WHOLE, zero=True)
    found = compare(one, other)
    assert found is not None
    assert found.uncertainty == Fraction("0.1")
    apart = compare(one, replace(other, checks=(replace(ZERO, id="y"),)))
    assert apart is not None
    assert apart.uncertainty == Fraction("0.2")


def test_the_same_value_and_nothing_to_compare_with() -> None:
    same = compare(measured("m", 4), typed("6.2"))
    assert same is not None
    assert (same.deviation, same.percent, say(same.sentences[0])) == (0, 0, "It is exactly that.")
    assert compare(measured("m"), typed("6.2")) is None
    zero = compare(measured("m", 4), typed("0"))
    assert zero is not None
    assert zero.percent is None


def test_how_much_finer_one_tool_is_than_another_is_said() -> None:
    ruler = Instrument("r", "Ruler", Kind.PLAIN, "cm", PlainScale(Fraction("0.1")))
    seen = (Observation((Indication(Fraction("0.6"), 0),)),)
    coarse, fine = Measurement("n", "n", ruler, HALF, seen), measured("m", 4)
    ways = {(coarse, fine): "larger", (fine, coarse): "smaller"}
    for (own, other), way in ways.items():
        found = compare(own, other)
        assert found is not None
        assert f"is 20 times {way} than that of" in say(found.sentences[-1])
    for other in (measured("n", 6), typed("6.1", "0.5")):
        alike = compare(fine, other)
        assert alike is not None
        assert "Its uncertainty" not in say(alike.sentences[-1])


def test_a_length_is_not_compared_with_a_mass() -> None:
    with pytest.raises(UnitError, check=saying("g cannot be compared with mm")):
        compare(measured("m", 4), typed("6", unit="g"))


def twice(measurement: Measurement) -> Derived:
    formula, _ = resolve(parse_formula("2*D"), {"D": LENGTH})
    unit = parse_unit("mm")
    return Derived("d", "twice", formula, unit, measurement.convention, {"D": measurement})


def test_a_derived_quantity_beside_an_expected_value() -> None:
    derived = twice(measured("m", 4))
    found = compare(derived, typed("1.2", "0.01", "cm"))
    assert found is not None
    assert found.deviation == Fraction("0.4")
    assert found.uncertainty == Fraction("0.15")
    with pytest.raises(UnitError):
        compare(derived, typed("1", unit="deg"))
    empty = replace(derived, inputs={"D": measured("m")})
    assert compare(empty, typed("12")) is None


def test_what_a_derived_quantity_and_another_have_in_common_cancels() -> None:
    length = measured("m", 4, convention=WHOLE, zero=True)
    itself = compare(twice(length), twice(length))
    assert itself is not None
    assert (itself.deviation, itself.uncertainty, itself.normalised_error) == (0, 0, None)
    # 2 D - D = D, with the uncertainty of D: its own reading and its zero once.
    beside = compare(twice(length), length)
    assert beside is not None
    assert beside.deviation == length.mean
    assert beside.uncertainty == Fraction("0.1")
    other = compare(length, twice(measured("n", 4, convention=WHOLE)))
    assert other is not None
    assert other.uncertainty == Fraction("0.2")


def test_the_convention_of_the_first_decides() -> None:
    found = compare(measured("m", 4), twice(measured("n", 4, convention=WHOLE)))
    assert found is not None
    assert found.uncertainty == Fraction("0.075")


def test_the_percentage_of_a_negative_value_keeps_the_side() -> None:
    found = compare(measured("m", 4), typed("-6.2"))
    assert found is not None
    assert (found.deviation, found.percent) == (Fraction("12.4"), 200)
    less = compare(measured("m", 4), typed("12.4"))
    assert less is not None
    assert less.percent == -50
