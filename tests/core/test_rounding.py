from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.conventions.convention import Digits
from metrion.core.conventions.rounding import round_result, round_uncertainty
from metrion.core.exact.figures import first_place, round_half_away


@pytest.mark.parametrize(
    ("uncertainty", "digits", "rounded"),
    [
        ("0.055", 1, "0.06"),
        ("0.096", 1, "0.1"),
        ("0.0996", 2, "0.10"),
        ("0.14", "1-or-2", "0.14"),
        ("0.195", "1-or-2", "0.20"),
        ("0.24", "1-or-2", "0.2"),
        ("0.096", "1-or-2", "0.1"),
        ("0.5", 1, "0.5"),
        ("12.5", 1, "10"),
        ("15", 1, "20"),
        ("25", 1, "30"),
        ("0.0045", 1, "0.005"),
    ],
)
def test_figures_of_the_uncertainty(uncertainty: str, digits: Digits, rounded: str) -> None:
    result = round_result(Fraction(1), Fraction(uncertainty), digits, "mm")
    assert result.uncertainty == rounded


@pytest.mark.parametrize(
    ("value", "uncertainty", "digits", "unit", "text"),
    [
        ("6.325", "0.055", 1, "mm", "(6.33 ± 0.06) mm"),
        ("-6.325", "0.055", 1, "mm", "(-6.33 ± 0.06) mm"),
        ("12.2", "0.03", 1, "mm", "(12.20 ± 0.03) mm"),
        ("-0.004", "0.03", 1, "mm", "(0.00 ± 0.03) mm"),
        ("1234", "26", 1, "cm", "(1230 ± 30) cm"),
        ("1.5", "0.02", 1, "1", "1.50 ± 0.02"),
        ("1158", "0.5", 1, "arcmin", "19°18.0′ ± 0.5′"),
        ("-1158", "0.5", 1, "arcmin", "-19°18.0′ ± 0.5′"),
        ("890", "20", 1, "arcmin", "14°50′ ± 20′"),
        ("1.25", "0", 1, "mm", "(1.25 ± 0) mm"),
    ],
)
def test_the_sentence(value: str, uncertainty: str, digits: Digits, unit: str, text: str) -> None:
    assert round_result(Fraction(value), Fraction(uncertainty), digits, unit).text == text


@given(st.fractions(Fraction(1, 10**6), 10**6), st.sampled_from([1, 2, "1-or-2"]))
def test_rounding_moves_an_uncertainty_by_at_most_half_its_last_place(
    uncertainty: Fraction, digits: Digits
) -> None:
    rounded, place = round_uncertainty(uncertainty, digits)
    assert abs(rounded - uncertainty) <= Fraction(10) ** place / 2
    assert first_place(rounded) - place in (0, 1)


@given(st.fractions(-1000, 1000), st.integers(-4, 2))
def test_halves_go_away_from_zero_alike_on_both_sides(value: Fraction, place: int) -> None:
    assert round_half_away(-value, place) == -round_half_away(value, place)
