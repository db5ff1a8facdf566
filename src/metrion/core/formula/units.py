"""Units of derived quantities: lengths, masses and angles, joined by ``*`` and ``/``."""

from __future__ import annotations

import math
import re
from collections.abc import Mapping
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache

from metrion.core.errors import UnitError, shortened
from metrion.core.exact.angles import HALF_CIRCLE
from metrion.core.exact.numbers import Number
from metrion.core.facts import Name
from metrion.core.formula.evaluate import PI
from metrion.core.formula.expression import Expression, angle, multiplied, name, number


@dataclass(frozen=True)
class Dimension:
    """Powers of length, mass and angle. Angle is a dimension of its own."""

    length: Fraction = Fraction(0)
    mass: Fraction = Fraction(0)
    angle: Fraction = Fraction(0)

    def __mul__(self, other: Dimension) -> Dimension:
        return Dimension(
            self.length + other.length, self.mass + other.mass, self.angle + other.angle
        )

    def __pow__(self, exponent: Fraction) -> Dimension:
        return Dimension(self.length * exponent, self.mass * exponent, self.angle * exponent)

    def __truediv__(self, other: Dimension) -> Dimension:
        return self * other ** Fraction(-1)


NONE = Dimension()
LENGTH = Dimension(length=Fraction(1))
MASS = Dimension(mass=Fraction(1))
ANGLE = Dimension(angle=Fraction(1))

ARC_MINUTES_PER_RADIAN = 180 * 60 / math.pi

_UNITS: dict[str, tuple[Number, Dimension]] = {
    "mm": (Fraction(1), LENGTH),
    "cm": (Fraction(10), LENGTH),
    "m": (Fraction(1000), LENGTH),
    "in": (Fraction(127, 5), LENGTH),
    "um": (Fraction(1, 1000), LENGTH),
    "nm": (Fraction(1, 1_000_000), LENGTH),
    "g": (Fraction(1), MASS),
    "kg": (Fraction(1000), MASS),
    "arcmin": (Fraction(1), ANGLE),
    "deg": (Fraction(60), ANGLE),
    "rad": (ARC_MINUTES_PER_RADIAN, ANGLE),
}
_FACTOR = r"([a-z]+)(?:\*\*(-?[0-9]{1,3}))?"
_UNIT = re.compile(rf"{_FACTOR}(?:[*/]{_FACTOR})*")


@dataclass(frozen=True)
class Unit:
    """A unit as it is written, its worth and its dimension.

    Attributes:
        text: as written, ``g/cm**3``; ``1`` for a bare number.
        factor: its worth in millimetres, grams and arc minutes.
        dimension: its powers of length, mass and angle.
        powers: the power of each unit in it.
    """

    text: str
    factor: Number
    dimension: Dimension
    powers: Mapping[str, int]

    @property
    def worth(self) -> Expression | None:
        """Its worth as a formula, radians by way of π; None where that is 1."""
        rational, radians = Fraction(1), self.powers.get("rad", 0)
        for unit, exponent in self.powers.items():
            if unit != "rad":
                rational *= Fraction(_UNITS[unit][0]) ** exponent
        one_radian = angle(HALF_CIRCLE) / name(PI)
        terms = [] if rational == 1 and radians else [number(rational)]
        terms += [one_radian] * radians if radians > 0 else []
        whole = multiplied(terms or [number(1)])
        for _ in range(-radians):
            whole = whole / one_radian
        return None if whole == number(1) else whole

    def per(self, other: Unit) -> str:
        """The text of this unit per another one: ``mm**-1``, ``1`` where nothing is left."""
        powers = dict(self.powers)
        for unit, exponent in other.powers.items():
            powers[unit] = powers.get(unit, 0) - exponent
        return _unit_text(powers)

    @property
    def is_angle(self) -> bool:
        """Whether it is one of the plain angle units."""
        return self.text in ("deg", "arcmin", "rad")


@lru_cache(maxsize=512)
def parse_unit(text: str) -> Unit:
    """Read a unit: names joined by ``*`` or ``/``, each optionally ``**k``; or ``1`` alone.

    Raises:
        UnitError: for anything else.

    >>> parse_unit("kg/m**3").factor
    Fraction(1, 1000000)
    """
    if text == "1":
        return Unit("1", Fraction(1), NONE, {})
    if not _UNIT.fullmatch(text):
        raise UnitError("not-a-unit", text=shortened(text))
    factor: Number = Fraction(1)
    dimension = NONE
    exponents: dict[str, int] = {}
    for sign, word, power in re.findall(rf"([*/]?){_FACTOR}", text):
        if word not in _UNITS:
            raise UnitError("unknown-unit", text=shortened(word), known=Name(", ".join(_UNITS)))
        exponent = int(power or 1) * (-1 if sign == "/" else 1)
        worth, powers = _UNITS[word]
        factor = _product(factor, worth, exponent)
        dimension = dimension * powers ** Fraction(exponent)
        exponents[word] = exponents.get(word, 0) + exponent
    return Unit(text, factor, dimension, exponents)


def unit_ratio(of: str, unit: str) -> Fraction:
    """What one of the first unit of length is in the second.

    >>> unit_ratio("mm", "cm")
    Fraction(1, 10)
    """
    return Fraction(parse_unit(of).factor) / Fraction(parse_unit(unit).factor)


def _unit_text(powers: Mapping[str, int]) -> str:
    kept = [(name, power) for name, power in powers.items() if power]
    return "*".join(name if power == 1 else f"{name}**{power}" for name, power in kept) or "1"


def _product(factor: Number, worth: Number, exponent: int) -> Number:
    try:
        return factor * worth**exponent
    except OverflowError:
        raise UnitError("unit-too-large") from None
