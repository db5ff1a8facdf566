"""Against the standard library, which works the same things out its own way."""

import statistics
from fractions import Fraction

from hypothesis import given
from hypothesis import strategies as st

from metrion.core.conventions.convention import Spread
from metrion.core.exact.statistics import half_range, mean, median
from tests.core.spread import worked
from tests.strategies import decimals

SERIES = st.lists(decimals(), min_size=2, max_size=12)


@given(SERIES)
def test_mean_and_variance(values: list[Fraction]) -> None:
    found, deviation = worked(values, Spread.STANDARD_ERROR)
    assert found == mean(values) == statistics.mean(values)
    # A root is kept to 40 digits.
    assert abs(deviation**2 - statistics.variance(values)) <= deviation**2 / 10**30


@given(SERIES)
def test_median_and_range(values: list[Fraction]) -> None:
    assert median(sorted(values)) == statistics.median(values)
    assert 2 * half_range(values) == sorted(values)[-1] - sorted(values)[0]
    assert worked(values, Spread.HALF_RANGE)[1] == half_range(values)


def test_mean_deviation_of_a_series_done_by_hand() -> None:
    values = [Fraction(n) for n in ("6.3", "6.35", "6.3", "6.45")]
    assert worked(values, Spread.MEAN_DEVIATION)[1] == Fraction("0.05")
