"""The parts and the faces of each kind of instrument; what they are for, the catalogue says."""

from __future__ import annotations

from dataclasses import dataclass

from metrion.core.instruments.instrument import Kind


@dataclass(frozen=True)
class Face:
    """A pair of faces that measures something of its own, and has a zero of its own.

    Attributes:
        id: what a logbook calls it.
        closes: whether the faces can close on each other; otherwise a setting piece is needed.
    """

    id: str
    closes: bool


PARTS: dict[Kind, tuple[str, ...]] = {
    Kind.VERNIER: ("outside", "inside", "depth", "lock", "relief", "beam", "slide"),
    Kind.SCREW: ("frame", "anvil", "spindle", "lock", "sleeve", "thimble", "ratchet"),
    Kind.ANGULAR: ("circle", "arm", "window1", "window2", "magnifier"),
    Kind.PLAIN: ("edge", "marks"),
}
"""The parts of every kind by their places in the drawing, in the order in which they are named."""

FACES: dict[Kind, tuple[Face, ...]] = {
    Kind.VERNIER: (Face("outside", True), Face("inside", False), Face("depth", True)),
    Kind.SCREW: (Face("outside", True),),
    Kind.ANGULAR: (),
    Kind.PLAIN: (),
}
"""The faces of every kind."""
