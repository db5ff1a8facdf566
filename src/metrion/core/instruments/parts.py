"""The parts of each kind of instrument: what they are for and how to handle them."""

from __future__ import annotations

from dataclasses import dataclass

from metrion.core.instruments.instrument import Kind


@dataclass(frozen=True)
class InstrumentPart:
    """A part.

    Attributes:
        id: its place in the drawing.
        name: the usual word for it.
        purpose: what it is for.
        handling: how to handle it; may be empty.
    """

    id: str
    name: str
    purpose: str
    handling: str = ""


@dataclass(frozen=True)
class Face:
    """A pair of faces that measures something of its own, and has a zero of its own.

    Attributes:
        id: what a logbook calls it.
        name: what it is.
        measures: what it takes.
        closes: whether the faces can close on each other; otherwise a setting piece is needed.
    """

    id: str
    name: str
    measures: str
    closes: bool


PARTS: dict[Kind, tuple[InstrumentPart, ...]] = {
    Kind.VERNIER: (
        InstrumentPart(
            "outside", "outside jaws", "They take an object between them: its outside size.",
            "Close them gently and square; their points are sharp.",
        ),
        InstrumentPart(
            "inside", "inside jaws", "They spread in a hole: its inside size.",
            "Rock them until the reading is greatest; never strain glass with them.",
        ),
        InstrumentPart(
            "depth", "depth rod", "It comes out of the end of the beam: how deep a hole is.",
            "Set the end of the beam flat over the hole.",
        ),
        InstrumentPart(
            "lock", "lock", "It holds the slide while you draw the object out and read.",
            "Release it before you move the slide.",
        ),
        InstrumentPart(
            "relief", "relief of the jaws", "A notch that keeps burrs from lifting the object.",
            "Measure a step or a groove with the narrow tips.",
        ),
        InstrumentPart("beam", "main scale", "Its marks are counted up to the fine zero."),
        InstrumentPart(
            "slide", "fine scale", "One of its lines meets a mark and tells the part between.",
            "Bring it to the eyes and the light; look straight at it.",
        ),
    ),
    Kind.SCREW: (
        InstrumentPart(
            "frame", "frame", "It holds the two faces at each other.",
            "Hold it here, not at the faces: the warmth of the hand lengthens steel.",
        ),
        InstrumentPart("anvil", "anvil", "The face that stands still.", "Wipe it before closing."),
        InstrumentPart("spindle", "spindle", "The face that comes towards the object."),
        InstrumentPart(
            "lock", "lock", "It holds the spindle while you read.",
            "Release it before you turn the thimble.",
        ),
        InstrumentPart("sleeve", "sleeve", "Its marks are counted up to the edge of the thimble."),
        InstrumentPart(
            "thimble", "thimble", "Its line at the datum line tells the part of a turn.",
            "Turn it to come near, not to touch.",
        ),
        InstrumentPart(
            "ratchet", "ratchet", "It slips when the faces touch: always the same force.",
            "Turn it until it slips or clicks, always from the same side.",
        ),
    ),
    Kind.ANGULAR: (
        InstrumentPart("circle", "circle", "It is divided all round, and stays where it is."),
        InstrumentPart(
            "arm", "telescope arm", "It is turned to the light and carries the fine scales.",
            "Clamp it, then bring the cross-hair on with the slow screw, from one side.",
        ),
        InstrumentPart(
            "window1", "first window", "Here the circle is read against a fine scale.",
            "Read both windows at every position.",
        ),
        InstrumentPart(
            "window2", "second window", "It lies opposite; the mean of both is free of the "
            "off-centre error.",
        ),
        InstrumentPart(
            "magnifier", "magnifier", "It shows the fine lines large enough to tell which meets.",
            "Look straight through it.",
        ),
    ),
    Kind.PLAIN: (
        InstrumentPart(
            "edge", "edge", "It lies along what is measured.",
            "Look straight from above, so that the marks are not seen aslant.",
        ),
        InstrumentPart(
            "marks", "marks", "The reading is taken at the nearest, or estimated between two.",
            "Begin at a mark inside the scale: the end of a rule is worn first.",
        ),
    ),
}  # fmt: skip
"""The parts of every kind, in the order in which they are named."""

FACES: dict[Kind, tuple[Face, ...]] = {
    Kind.VERNIER: (
        Face("outside", "outside jaws", "outside sizes", closes=True),
        Face("inside", "inside jaws", "holes and gaps", closes=False),
        Face("depth", "depth rod", "depths", closes=True),
    ),
    Kind.SCREW: (Face("outside", "anvil and spindle", "outside sizes", closes=True),),
    Kind.ANGULAR: (),
    Kind.PLAIN: (),
}
"""The faces of every kind."""

KIND_CARE: dict[Kind, str] = {
    Kind.VERNIER: (
        "Jaw points and cut edges are sharp. Never measure anything that moves or turns, and keep "
        "to the rules of your lab."
    ),
    Kind.SCREW: (
        "Turn the thimble to come near and the ratchet to touch; never force it. Keep to the rules "
        "of your lab."
    ),
    Kind.ANGULAR: (
        "Discharge lamps carry high voltage, are hot, and some give ultraviolet. Never look into a "
        "laser or at the sun through a telescope. Keep to the rules of your lab."
    ),
    Kind.PLAIN: "Look at it straight from above. Keep to the rules of your lab.",
}
"""What to mind with every kind, shortly."""
