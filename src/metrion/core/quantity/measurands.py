"""What can be measured of a thing, how each is taken, and which names tell of it."""

from __future__ import annotations

from collections.abc import Collection, Mapping
from dataclasses import dataclass
from enum import StrEnum

from metrion.core.declared import folded
from metrion.core.traits import Kind


class Measurand(StrEnum):
    """What of a thing is measured."""

    OUTSIDE = "outside"
    INSIDE = "inside"
    DEPTH = "depth"
    THICKNESS = "thickness"
    STACK = "stack"
    ENDS = "ends"
    DIFFERENCE = "difference"
    ANGLE = "angle"
    HALF_ANGLE = "half-angle"


@dataclass(frozen=True)
class MeasurandTaken:
    """How it is taken.

    Attributes:
        face: the pair of faces, where a tool has several.
        circular: whether it is read on a circle.
        pairs: whether a reading is of two positions.
        divide_by: what a pair's value is divided by.
        stacked: whether several alike lie on each other.
        count: how many quantities it takes.
    """

    face: str = ""
    circular: bool = False
    pairs: bool = False
    divide_by: int = 1
    stacked: bool = False
    count: int = 1

    def fits(self, kind: Kind) -> bool:
        """Whether a kind of tool takes it; one without faces of its own may have any."""
        traits = kind.traits
        if self.circular or traits.circular:
            return self.circular and traits.circular
        if self.pairs:
            return not traits.turns
        faces = [face.id for face in traits.faces]
        return not faces or self.face in faces


TAKEN: Mapping[Measurand, MeasurandTaken] = {
    Measurand.OUTSIDE: MeasurandTaken("outside"),
    Measurand.INSIDE: MeasurandTaken("inside"),
    Measurand.DEPTH: MeasurandTaken("depth"),
    Measurand.THICKNESS: MeasurandTaken("outside"),
    Measurand.STACK: MeasurandTaken("outside", stacked=True),
    Measurand.ENDS: MeasurandTaken(pairs=True),
    Measurand.DIFFERENCE: MeasurandTaken("outside", count=2),
    Measurand.ANGLE: MeasurandTaken(circular=True),
    Measurand.HALF_ANGLE: MeasurandTaken(circular=True, divide_by=2),
}


def told_by(name: str, words: Mapping[Measurand, Collection[str]]) -> list[Measurand]:
    """What a name says that is measured; half of an angle is no whole one.

    Args:
        words: those that tell of each, folded.
    """
    said = set(folded(name.replace(",", " ").replace("-", " ")).split())
    told = [one for one in Measurand if said & set(words.get(one, ()))]
    if Measurand.HALF_ANGLE in told:
        told = [one for one in told if one is not Measurand.ANGLE]
    return told
