"""The board of usual derived quantities: formulas ready, with what each blank stands for."""

from __future__ import annotations

from dataclasses import dataclass

_LENGTH, _ANGLE, _MASS, _NUMBER = "mm", "deg", "g", "1"


@dataclass(frozen=True)
class Blank:
    """An input of a recipe.

    Attributes:
        symbol: its symbol in the formula.
        label: what it stands for.
        unit: a unit of its dimension, the one usual for typed-in values.
    """

    symbol: str
    label: str
    unit: str


@dataclass(frozen=True)
class Recipe:
    """A usual derived quantity.

    Attributes:
        id: its name in the API.
        title: what it gives.
        formula: as ``contract`` formulas are written.
        unit: the unit its result is usually given in.
        blanks: its inputs, in the order they are asked for.
    """

    id: str
    title: str
    formula: str
    unit: str
    blanks: tuple[Blank, ...]


def _lengths(**labels: str) -> tuple[Blank, ...]:
    return tuple(Blank(symbol, label, _LENGTH) for symbol, label in labels.items())


BOARD = (
    Recipe("difference", "Difference of two lengths", "a - b", "mm",
           _lengths(a="the larger", b="the smaller")),
    Recipe("wall", "Wall thickness of a tube", "(D - d)/2", "mm",
           _lengths(D="outside diameter", d="inside diameter")),
    Recipe("mean", "Mean of two places", "(a + b)/2", "mm",
           _lengths(a="one place", b="the other place")),
    Recipe("disc", "Area of a disc", "pi*d**2/4", "mm**2", _lengths(d="diameter")),
    Recipe("tube", "Volume of a tube", "pi*(D**2 - d**2)*h/4", "mm**3",
           _lengths(D="outside diameter", d="inside diameter", h="length")),
    Recipe("sphere", "Volume of a sphere", "pi*d**3/6", "mm**3", _lengths(d="diameter")),
    Recipe("slab", "Volume of a slab", "a*b*c", "mm**3",
           _lengths(a="length", b="width", c="thickness")),
    Recipe("density", "Density of a slab that was weighed", "m/(a*b*c)", "g/cm**3",
           (Blank("m", "mass", _MASS), *_lengths(a="length", b="width", c="thickness"))),
    Recipe("items", "How many lie in a stack", "h/t", "1",
           _lengths(h="height of the stack", t="thickness of one")),
    Recipe("grating", "Distance of grating lines from an angle", "k*w/sin(theta)", "um",
           (Blank("k", "order", _NUMBER), Blank("w", "wavelength", "nm"),
            Blank("theta", "angle of that order", _ANGLE))),
    Recipe("lines", "Grating lines to the millimetre", "sin(theta)/(k*w)", "mm**-1",
           (Blank("k", "order", _NUMBER), Blank("w", "wavelength", "nm"),
            Blank("theta", "angle of that order", _ANGLE))),
    Recipe("prism-angle", "Angle of a prism from its reflected images", "R/2", "deg",
           (Blank("R", "angle between the two images", _ANGLE),)),
    Recipe("prism", "Index of a prism from two angles", "sin((A + D)/2)/sin(A/2)", "1",
           (Blank("A", "angle of the prism", _ANGLE), Blank("D", "least deviation", _ANGLE))),
)  # fmt: skip
"""The recipes, the simplest first."""
