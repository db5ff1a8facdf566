"""Rounding a result to its uncertainty, and the sentence that states both."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from math import floor

from metrion.core.conventions.convention import Digits
from metrion.core.exact.angles import degrees_and_minutes
from metrion.core.exact.figures import first_place, round_half_away
from metrion.core.exact.numbers import finite_decimals, fixed, float_text, to_text
from metrion.core.formula.notation import unit_after


@dataclass(frozen=True)
class Rounded:
    """A value and its uncertainty, rounded to the same place.

    Attributes:
        value: the value as text, trailing zeros kept.
        uncertainty: the uncertainty as text.
        unit: the unit of both, as a logbook holds it.
    """

    value: str
    uncertainty: str
    unit: str

    @property
    def text(self) -> str:
        """Both with their unit as a logbook holds it, ``(12.21 ± 0.03) mm**2``."""
        return self._sentence(f" {self.unit}")

    @property
    def printed(self) -> str:
        """Both with their unit as people write it, ``(12.21 ± 0.03) mm²``."""
        return self._sentence(unit_after(self.unit))

    def _sentence(self, after: str) -> str:
        if self.unit == "arcmin":
            places = len(self.value.partition(".")[2])
            return f"{degrees_and_minutes(Fraction(self.value), places)} ± {self.uncertainty}′"
        both = f"{self.value} ± {self.uncertainty}"
        return both if self.unit == "1" else f"({both}){after}"


def round_uncertainty(uncertainty: Fraction, digits: Digits) -> tuple[Fraction, int]:
    """A positive uncertainty rounded to its figures, and the place it was rounded to.

    Where rounding carries into a new decade it is rounded again there: 0.096 to one figure
    is 0.1, 0.0996 to two is 0.10.
    """
    first = first_place(uncertainty)
    if digits == "1-or-2":
        figures = 2 if floor(uncertainty / Fraction(10) ** first) == 1 else 1
    else:
        figures = digits
    place = first - figures + 1
    rounded = round_half_away(uncertainty, place)
    if first_place(rounded) > first:
        place += 1
        rounded = round_half_away(uncertainty, place)
    return rounded, place


def two_figures(size: Fraction, unit: str) -> str:
    """A positive size or 0 to two figures with its unit, for a sentence.

    >>> two_figures(Fraction(1, 30), "mm"), two_figures(Fraction(5), "arcmin")
    ('0.033 mm', '5.0′')
    """
    number = "0"
    if size:
        rounded, place = round_uncertainty(size, 2)
        number = fixed(rounded, -place)
    return f"{number}{unit_after(unit)}"


def round_result(value: Fraction, uncertainty: Fraction, digits: Digits, unit: str) -> Rounded:
    """Round both to the place of the uncertainty and write the sentence.

    An uncertainty of 0 is written ``0``, with the value in full.
    """
    if uncertainty == 0:
        return _unrounded(value, unit)
    rounded, place = round_uncertainty(uncertainty, digits)
    kept = round_half_away(value, place)
    return Rounded(fixed(kept, -place), fixed(rounded, -place), unit)


def _unrounded(value: Fraction, unit: str) -> Rounded:
    decimals = finite_decimals(value)
    # Past what a double can tell apart, decimals of a computed value mean nothing.
    exact = decimals is not None and decimals <= 15
    return Rounded(to_text(value) if exact else float_text(float(value)), "0", unit)
