"""The board of usual derived quantities: formulas ready, with what each blank stands for."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

_LENGTH, _ANGLE, _MASS, _NUMBER = "mm", "deg", "g", "1"


@dataclass(frozen=True)
class Recipe:
    """A usual derived quantity.

    Attributes:
        id: its name in the API, and in the catalogue.
        formula: as a logbook writes it.
        unit: the unit its result is usually given in.
        blanks: its inputs, in the order they are asked for: the symbol of each, and a unit of its
            dimension, the one usual for typed-in values.
    """

    id: str
    formula: str
    unit: str
    blanks: Mapping[str, str]


def _lengths(symbols: str) -> dict[str, str]:
    return dict.fromkeys(symbols, _LENGTH)


_OF_A_GRATING = {"k": _NUMBER, "w": "nm", "theta": _ANGLE}

BOARD = (
    Recipe("difference", "a - b", "mm", _lengths("ab")),
    Recipe("wall", "(D - d)/2", "mm", _lengths("Dd")),
    Recipe("mean", "(a + b)/2", "mm", _lengths("ab")),
    Recipe("disc", "pi*d**2/4", "mm**2", _lengths("d")),
    Recipe("tube", "pi*(D**2 - d**2)*h/4", "mm**3", _lengths("Ddh")),
    Recipe("sphere", "pi*d**3/6", "mm**3", _lengths("d")),
    Recipe("slab", "a*b*c", "mm**3", _lengths("abc")),
    Recipe("density", "m/(a*b*c)", "g/cm**3", {"m": _MASS, **_lengths("abc")}),
    Recipe("items", "h/t", "1", _lengths("ht")),
    Recipe("grating", "k*w/sin(theta)", "um", _OF_A_GRATING),
    Recipe("lines", "sin(theta)/(k*w)", "mm**-1", _OF_A_GRATING),
    Recipe("prism-angle", "R/2", "deg", {"R": _ANGLE}),
    Recipe("prism", "sin((A + D)/2)/sin(A/2)", "1", {"A": _ANGLE, "D": _ANGLE}),
)
"""The recipes, the simplest first; what they and their blanks are called, the catalogue says."""
