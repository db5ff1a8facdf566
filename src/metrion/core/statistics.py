"""Mean, median, range and deviations, exact."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction
from math import lcm


def total(values: Sequence[Fraction]) -> Fraction:
    """The sum, over one common denominator (adding fractions one by one is slow)."""
    common = lcm(*{value.denominator for value in values})
    return Fraction(sum(v.numerator * (common // v.denominator) for v in values), common)


def mean(values: Sequence[Fraction]) -> Fraction:
    """The arithmetic mean of one value or more."""
    return total(values) / len(values)


def median(ordered: Sequence[Fraction]) -> Fraction:
    """The middle of values already in order, or the mean of the two in the middle."""
    middle, odd = divmod(len(ordered), 2)
    return ordered[middle] if odd else (ordered[middle - 1] + ordered[middle]) / 2


def half_range(values: Sequence[Fraction]) -> Fraction:
    """Half the distance between the greatest and the least."""
    return (max(values) - min(values)) / 2


def mean_deviation(values: Sequence[Fraction]) -> Fraction:
    """Mean absolute deviation about the mean."""
    middle = mean(values)
    return mean([abs(value - middle) for value in values])


def variance(values: Sequence[Fraction]) -> Fraction:
    """The sample variance (divided by N-1) of two values or more; JCGM 100:2008, 4.2.2."""
    middle = mean(values)
    return total([(value - middle) ** 2 for value in values]) / (len(values) - 1)


def variance_of_mean(values: Sequence[Fraction]) -> Fraction:
    """The square of the standard error of the mean, 0 for a single value; JCGM 100:2008, 4.2.3."""
    return variance(values) / len(values) if len(values) > 1 else Fraction(0)
