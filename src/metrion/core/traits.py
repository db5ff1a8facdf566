"""What each kind of instrument is: whoever differs by kind asks here, by the name of the trait."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from enum import StrEnum
from functools import cache
from typing import assert_never


class Kind(StrEnum):
    """The kinds of instrument."""

    VERNIER = "vernier"
    SCREW = "screw"
    ANGULAR = "angular"
    PLAIN = "plain"

    @property
    def traits(self) -> Traits:
        """What instruments of this kind are."""
        return _traits(self)


class LengthUnit(StrEnum):
    """The units of lengths that an instrument can have."""

    MM = "mm"
    CM = "cm"
    IN = "in"


class AngleUnit(StrEnum):
    """The unit of a divided circle."""

    ARCMIN = "arcmin"


class Drawing(StrEnum):
    """How the scales of an instrument are drawn."""

    BEAM = "beam"
    THIMBLE = "thimble"
    CIRCLE = "circle"
    RULE = "rule"


@dataclass(frozen=True)
class Face:
    """A pair of faces that measures something of its own, and has a zero of its own.

    Attributes:
        id: what a logbook calls it.
        closes: whether the faces can close on each other; otherwise a setting piece is needed.
    """

    id: str
    closes: bool


@dataclass(frozen=True)
class Traits:
    """What instruments of a kind are.

    Attributes:
        units: the units that their descriptions can be in.
        circular: whether their readings are angles: they come round again, are written in degrees
            and minutes, are taken in pairs and through two windows, and have no range.
        fine_scale: whether there is a fine scale to be read besides the main one.
        turns: whether the fine scale turns past an edge, as a thimble does.
        slides: whether the fine scale slides along a straight main scale.
        stacks: whether several pieces can be measured as one.
        drawing: how their scales are drawn.
        parts: their parts by their places in the drawing, in the order in which they are named.
        faces: their faces.
    """

    units: type[StrEnum]
    circular: bool
    fine_scale: bool
    turns: bool
    slides: bool
    stacks: bool
    drawing: Drawing
    parts: tuple[str, ...]
    faces: tuple[Face, ...]

    @property
    def closes(self) -> bool:
        """Whether faces of theirs close on each other, so that the zero can be looked at."""
        return any(face.closes for face in self.faces)


@cache
def _traits(kind: Kind) -> Traits:
    match kind:
        case Kind.VERNIER:
            return Traits(
                LengthUnit, circular=False, fine_scale=True, turns=False, slides=True, stacks=True,
                drawing=Drawing.BEAM,
                parts=("outside", "inside", "depth", "lock", "relief", "beam", "slide"),
                faces=(Face("outside", True), Face("inside", False), Face("depth", True)),
            )  # fmt: skip
        case Kind.SCREW:
            return Traits(
                LengthUnit, circular=False, fine_scale=True, turns=True, slides=False, stacks=True,
                drawing=Drawing.THIMBLE,
                parts=("frame", "anvil", "spindle", "lock", "sleeve", "thimble", "ratchet"),
                faces=(Face("outside", True),),
            )  # fmt: skip
        case Kind.ANGULAR:
            return Traits(
                AngleUnit, circular=True, fine_scale=True, turns=False, slides=False, stacks=False,
                drawing=Drawing.CIRCLE,
                parts=("circle", "arm", "window1", "window2", "magnifier"),
                faces=(),
            )  # fmt: skip
        case Kind.PLAIN:
            return Traits(
                LengthUnit, circular=False, fine_scale=False, turns=False, slides=False,
                stacks=True, drawing=Drawing.RULE, parts=("edge", "marks"), faces=(),
            )  # fmt: skip
        case _:
            assert_never(kind)


def kinds(has: Callable[[Traits], bool]) -> tuple[Kind, ...]:
    """The kinds that have a trait.

    >>> kinds(lambda one: one.turns)
    (<Kind.SCREW: 'screw'>,)
    """
    return tuple(kind for kind in Kind if has(kind.traits))
