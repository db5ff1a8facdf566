"""The board of usual derived quantities: formulas ready, with what each blank stands for."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

_LENGTH, _ANGLE, _MASS, _NUMBER = "mm", "deg", "g", "1"


class Role(StrEnum):
    """Which size of a thing a blank is for; the first three are faces of a caliper too."""

    OUTSIDE = "outside"
    INSIDE = "inside"
    DEPTH = "depth"
    ANY = "any"


@dataclass(frozen=True)
class Blank:
    """An input of a recipe.

    Attributes:
        symbol: its letter.
        unit: of its dimension, the one usual for typed-in values.
        role: which size it is.
        typed: whether it is usually typed in.
    """

    symbol: str
    unit: str
    role: Role = Role.ANY
    typed: bool = False


@dataclass(frozen=True)
class Recipe:
    """A usual derived quantity.

    Attributes:
        id: its name in the API, and in the catalogue.
        formula: as a logbook writes it.
        unit: the unit its result is usually given in.
        blanks: its inputs, in the order they are asked for.
        falling: symbols whose values fall, where nothing else tells them apart.
    """

    id: str
    formula: str
    unit: str
    blanks: tuple[Blank, ...]
    falling: str = ""


def _lengths(symbols: str) -> tuple[Blank, ...]:
    return tuple(Blank(symbol, _LENGTH) for symbol in symbols)


_D, _INNER_D = Blank("D", _LENGTH, Role.OUTSIDE), Blank("d", _LENGTH, Role.INSIDE)
_H = Blank("h", _LENGTH, Role.DEPTH)
_M = Blank("m", _MASS, typed=True)
_OF_A_GRATING = (
    Blank("k", _NUMBER, typed=True), Blank("w", "nm", typed=True), Blank("theta", _ANGLE),
)  # fmt: skip

BOARD = (
    Recipe("difference", "a - b", "mm", _lengths("ab"), falling="ab"),
    Recipe("wall", "(D - d)/2", "mm", (_D, _INNER_D), falling="Dd"),
    Recipe("mean", "(a + b)/2", "mm", _lengths("ab")),
    Recipe("mean-of-three", "(a + b + c)/3", "mm", _lengths("abc")),
    Recipe("disc", "pi*d**2/4", "mm**2", _lengths("d")),
    Recipe("ring", "pi*(D**2 - d**2)/4", "mm**2", (_D, _INNER_D), falling="Dd"),
    Recipe("plate", "a*b", "mm**2", _lengths("ab"), falling="ab"),
    Recipe("cylinder", "pi*D**2*h/4", "mm**3", (_D, _H)),
    Recipe("tube", "pi*(D**2 - d**2)*h/4", "mm**3", (_D, _INNER_D, _H), falling="Dd"),
    Recipe("sphere", "pi*d**3/6", "mm**3", _lengths("d")),
    Recipe("slab", "a*b*c", "mm**3", _lengths("abc"), falling="abc"),
    Recipe("density-of-volume", "m/V", "g/cm**3", (_M, Blank("V", "cm**3"))),
    Recipe("density-of-rod", "4*m/(pi*D**2*h)", "g/cm**3", (_M, _D, _H)),
    Recipe("density", "m/(a*b*c)", "g/cm**3", (_M, *_lengths("abc")), falling="abc"),
    Recipe("items", "h/t", "1", _lengths("ht"), falling="ht"),
    Recipe("grating", "k*w/sin(theta)", "um", _OF_A_GRATING),
    Recipe("wavelength", "g*sin(theta)/k", "nm",
           (Blank("g", "um"), Blank("theta", _ANGLE), Blank("k", _NUMBER, typed=True))),
    Recipe("lines", "sin(theta)/(k*w)", "mm**-1", _OF_A_GRATING),
    Recipe("prism-angle", "R/2", "deg", (Blank("R", _ANGLE),)),
    Recipe("prism", "sin((A + D)/2)/sin(A/2)", "1", (Blank("A", _ANGLE), Blank("D", _ANGLE))),
)  # fmt: skip
"""The recipes, the simplest first; what they and their blanks are called, the catalogue says."""
