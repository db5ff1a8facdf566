from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.errors import NotAnAngle, NotExact
from metrion.core.exact.angles import angle_text, degrees_and_minutes, parse_angle
from metrion.core.exact.numbers import fixed, float_text, parse_exact, square_root, to_text
from tests.said import saying
from tests.strategies import decimals


@pytest.mark.parametrize(
    ("text", "value"),
    [
        ("12.35", Fraction(1235, 100)),
        ("-0.5", Fraction(-1, 2)),
        ("007", Fraction(7)),
        ("1/16", Fraction(1, 16)),
        ("-3/4", Fraction(-3, 4)),
        ("0.1", Fraction(1, 10)),
    ],
)
def test_exact_numbers_are_read_without_loss(text: str, value: Fraction) -> None:
    assert parse_exact(text) == value


@pytest.mark.parametrize(
    "text",
    [
        "",
        "+1",
        "1e3",
        " 1",
        "1 ",
        "1.",
        ".5",
        "1,5",
        "1/0",
        "1/-2",
        "--1",
        "٣",
        "1_0",
        "1/2/3",
        "nan",
    ],
)
def test_anything_else_is_no_exact_number(text: str) -> None:
    with pytest.raises(NotExact, check=saying("is not a number")):
        parse_exact(text)


def test_a_number_of_thousands_of_digits_is_refused_and_not_a_crash() -> None:
    with pytest.raises(NotExact):
        parse_exact("9" * 5000)


@given(decimals())
def test_a_finite_decimal_is_written_in_full(value: Fraction) -> None:
    assert parse_exact(to_text(value)) == value


@given(st.fractions(max_denominator=10**6))
def test_other_numbers_are_written_to_twelve_figures_and_more(value: Fraction) -> None:
    assert abs(parse_exact(to_text(value)) - value) <= abs(value) / 10**12


@pytest.mark.parametrize(
    ("value", "decimals_", "text"),
    [
        (Fraction(73, 10), 2, "7.30"),
        (Fraction(-1, 20), 2, "-0.05"),
        (Fraction(0), 1, "0.0"),
        (Fraction(1200), -2, "1200"),
        (Fraction(5), 0, "5"),
    ],
)
def test_a_number_of_decimals_is_kept(value: Fraction, decimals_: int, text: str) -> None:
    assert fixed(value, decimals_) == text


def test_a_number_is_never_rounded_to_fit_decimals() -> None:
    with pytest.raises(ValueError, match="does not fit"):
        fixed(Fraction(1, 3), 2)


@pytest.mark.parametrize(
    ("value", "text"),
    [(0.1 + 0.2, "0.3"), (1e-7, "0.0000001"), (-2.50, "-2.5"), (1e21, "1" + "0" * 21)],
)
def test_floats_are_written_without_exponent(value: float, text: str) -> None:
    assert float_text(value) == text


@given(st.fractions(min_value=0, max_denominator=10**4))
def test_the_root_of_a_square_is_exact(value: Fraction) -> None:
    assert square_root(value**2) == value


@given(st.fractions(min_value=Fraction(1, 10**9), max_value=10**9))
def test_other_roots_are_good_to_thirty_digits(value: Fraction) -> None:
    assert abs(square_root(value) ** 2 - value) <= value / 10**30


@pytest.mark.parametrize(
    ("text", "minutes"),
    [
        ("214:30", Fraction(214 * 60 + 30)),
        ("7:05:30", Fraction(851, 2)),
        ("0:5", Fraction(5)),
        ("-12:30", Fraction(-750)),
        ("-0:30", Fraction(-30)),
    ],
)
def test_angles_are_read_as_arc_minutes(text: str, minutes: Fraction) -> None:
    assert parse_angle(text) == minutes


@pytest.mark.parametrize(
    "text", ["12", "12:60", "12:5:60", "12:", ":30", "12:005", "1.5:30", "+1:00"]
)
def test_anything_else_is_no_angle(text: str) -> None:
    with pytest.raises(NotAnAngle):
        parse_angle(text)


@given(st.integers(-(10**7), 10**7))
def test_an_angle_comes_back_as_it_was_written(seconds: int) -> None:
    assert parse_angle(angle_text(Fraction(seconds, 60))) == Fraction(seconds, 60)


@pytest.mark.parametrize(
    ("minutes", "decimals_", "text"),
    [
        (Fraction(1158), 1, "19°18.0′"),
        (Fraction(-61), 0, "-1°1′"),
        (Fraction(5, 2), 1, "0°2.5′"),
        (Fraction(1160), -1, "19°20′"),
    ],
)
def test_angles_for_people(minutes: Fraction, decimals_: int, text: str) -> None:
    assert degrees_and_minutes(minutes, decimals_) == text
