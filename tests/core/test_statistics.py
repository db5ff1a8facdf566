"""Against the standard library, which works the same things out its own way."""

import statistics
from fractions import Fraction

from hypothesis import given
from hypothesis import strategies as st

from metrion.core.statistics import half_range, mean, mean_deviation, median, variance
from tests.strategies import decimals

SERIES = st.lists(decimals(), min_size=2, max_size=12)


@given(SERIES)
def test_mean_and_variance(values: list[Fraction]) -> None:
    assert mean(values) == statistics.mean(values)
    assert variance(values) == statistics.variance(values)


@given(SERIES)
def test_median_and_range(values: list[Fraction]) -> None:
    assert median(sorted(values)) == statistics.median(values)
    assert 2 * half_range(values) == sorted(values)[-1] - sorted(values)[0]


def test_mean_deviation_of_a_series_done_by_hand() -> None:
    values = [Fraction(n) for n in ("6.3", "6.35", "6.3", "6.45")]
    assert mean_deviation(values) == Fraction("0.05")
