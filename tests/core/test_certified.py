"""Statistics against certified values: NIST StRD, univariate, the sets NumAcc1 to NumAcc4.

Their data follow a rule, so that they can be written down from it; mean and standard deviation are
certified to all digits (NIST Statistical Reference Datasets).
"""

from fractions import Fraction

import pytest

from metrion.core.conventions.convention import Spread
from tests.core.spread import worked


def accuracy(first: str, step: str, pairs: int) -> list[Fraction]:
    """One value, then pairs of (value - step, value + step) around it."""
    middle, away = Fraction(first), Fraction(step)
    return [middle, *[middle + sign * away for _ in range(pairs) for sign in (-1, 1)]]


SETS = {
    "NumAcc1": ([Fraction(v) for v in (10000001, 10000003, 10000002)], "10000002", "1"),
    "NumAcc2": (accuracy("1.2", "0.1", 500), "1.2", "0.1"),
    "NumAcc3": (accuracy("1000000.2", "0.1", 500), "1000000.2", "0.1"),
    "NumAcc4": (accuracy("10000000.2", "0.1", 500), "10000000.2", "0.1"),
}


@pytest.mark.parametrize("name", SETS)
def test_mean_and_standard_deviation_to_all_certified_digits(name: str) -> None:
    values, certified_mean, certified_deviation = SETS[name]
    assert len(values) in (3, 1001)
    mean, deviation = worked(values, Spread.STANDARD_ERROR)
    assert mean == Fraction(certified_mean)
    assert deviation == Fraction(certified_deviation)
