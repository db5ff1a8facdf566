"""Mean, median and range, exact; the spread of readings is worked out in `working`."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from metrion.core.exact.numbers import over_one_denominator


def total(values: Sequence[Fraction]) -> Fraction:
    """The sum (adding fractions one by one is slow)."""
    numerators, denominator = over_one_denominator(values)
    return Fraction(sum(numerators), denominator)


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
