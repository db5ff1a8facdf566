"""A result in other units than its own: converted exactly, and rounded by the same rule."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.conventions.convention import Digits
from metrion.core.conventions.rounding import Rounded, round_result
from metrion.core.formula.units import ANGLE, Unit
from metrion.core.traits import Kind

_LENGTHS = ("mm", "cm", "m", "um", "in")
_ANGLES = ("deg",)
_DENSITIES = ("g/cm**3", "kg/m**3")


def other_units(kind: Kind) -> tuple[str, ...]:
    """The units that a measurement with a kind of instrument can be given in besides."""
    return _ANGLES if kind.traits.circular else _LENGTHS


def units_to_offer(unit: Unit) -> tuple[str, ...]:
    """Other units in which people would like to have a result, its own left out."""
    found: tuple[str, ...] = ()
    if unit.dimension == ANGLE:
        found = ("deg", "arcmin")
    elif unit.text in _DENSITIES:
        found = _DENSITIES
    elif len(unit.powers) == 1 and unit.dimension.length:
        [power] = unit.powers.values()
        found = tuple(one if power == 1 else f"{one}**{power}" for one in _LENGTHS)
    return tuple(one for one in found if one != unit.text)


@dataclass(frozen=True)
class Also(Rounded):
    """A result in another unit; an angle in decimals of a degree, ``18.744° ± 0.002°``."""

    def _sentence(self, after: str) -> str:
        if self.unit == "deg":
            return f"{self.value}° ± {self.uncertainty}°"
        return super()._sentence(after)


def also(
    value: Fraction, uncertainty: Fraction, unit: Unit, others: Sequence[Unit], digits: Digits
) -> list[Also | None]:
    """A result in each of other units; None where it is too large for a double there.

    Args:
        value: in ``unit``, before it is rounded; the uncertainty too.
        digits: figures of the uncertainty.
    """
    return [_in_unit(value, uncertainty, unit, other, digits) for other in others]


def _in_unit(
    value: Fraction, uncertainty: Fraction, unit: Unit, other: Unit, digits: Digits
) -> Also | None:
    try:
        factor = Fraction(unit.factor) / Fraction(other.factor)
        converted, size = value * factor, uncertainty * factor
        float(converted), float(size)
    except OverflowError:
        return None
    found = round_result(converted, size, digits, other.text)
    return Also(found.value, found.uncertainty, found.unit)
