"""Mean, median and range, exact; the spread of readings is worked out in `working`."""

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
