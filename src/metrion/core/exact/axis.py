"""Where an axis is marked: at round numbers, or at decades."""

from __future__ import annotations

from fractions import Fraction
from math import ceil, floor

from metrion.core.exact.figures import first_place

_ROUND = (1, 2, 5, 10)
_WIDE = 3
"""Decades from which on the marks between them would stand too close."""


def round_marks(low: Fraction, high: Fraction, most: int = 6) -> list[Fraction]:
    """At most so many marks from ``low`` to ``high``, in equal steps of 1, 2 or 5 and zeros.

    >>> [str(mark) for mark in round_marks(Fraction(0), Fraction(7), 5)]
    ['0', '2', '4', '6']
    """
    narrowest = (high - low) / most
    decade = Fraction(10) ** first_place(narrowest)
    step = next(decade * each for each in _ROUND if decade * each >= narrowest)
    first, last = ceil(low / step), floor(high / step)
    return [step * count for count in range(first, last + 1)][:most]


def decade_marks(low: int, high: int) -> list[Fraction]:
    """The powers of ten from one exponent to another; between few of them, 2 and 5 of each too.

    >>> [str(mark) for mark in decade_marks(-1, 1)]
    ['1/10', '1/5', '1/2', '1', '2', '5', '10']
    """
    each = _ROUND[:1] if high - low > _WIDE else _ROUND[:-1]
    marks = [Fraction(10) ** place * digit for place in range(low, high) for digit in each]
    return [*marks, Fraction(10) ** high]
