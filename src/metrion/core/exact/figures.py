"""Significant figures: where the first one stands, and rounding to a place."""

from __future__ import annotations

from fractions import Fraction
from math import floor

from metrion.core.exact.numbers import to_text


def first_place(value: Fraction) -> int:
    """The power of ten of the first significant figure of a positive value.

    >>> first_place(Fraction(7, 100)), first_place(Fraction(420))
    (-2, 2)
    """
    place = len(str(value.numerator)) - len(str(value.denominator))
    while Fraction(10) ** place > value:
        place -= 1
    while Fraction(10) ** (place + 1) <= value:
        place += 1
    return place


def round_half_away(value: Fraction, place: int) -> Fraction:
    """``value`` to a whole number of ``10**place``, halves away from zero."""
    step = Fraction(10) ** place
    size = floor(abs(value) / step + Fraction(1, 2)) * step
    return -size if value < 0 else size


def to_figures(value: Fraction, figures: int) -> str:
    """A number to so many figures for a sentence, in plain digits however large it is.

    >>> to_figures(Fraction(3416), 2), to_figures(Fraction(1, 3), 2), to_figures(Fraction(2), 2)
    ('3400', '0.33', '2')
    """
    if not value:
        return "0"
    return to_text(round_half_away(value, first_place(abs(value)) - figures + 1))
