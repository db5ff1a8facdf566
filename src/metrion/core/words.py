"""The words of every course for the same things, with one of them usual here."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class Concept:
    """A thing that courses call by different names.

    Attributes:
        id: its name in settings.
        words: all its names, the usual one first.
        meaning: what it is, in a sentence or two.
    """

    id: str
    words: tuple[str, ...]
    meaning: str


CONCEPTS = (
    Concept(
        "least_count",
        ("least count", "vernier constant", "resolution", "graduation"),
        "The smallest difference two readings can show: what one step of the fine scale is worth.",
    ),
    Concept(
        "main_scale",
        ("main scale", "fixed scale"),
        "The engraved scale on the beam; the last of its marks that the zero line has passed is "
        "the main reading.",
    ),
    Concept(
        "fine_scale",
        ("fine scale", "vernier scale", "sliding scale", "auxiliary scale"),
        "The short scale that slides along the main scale and parts its divisions.",
    ),
    Concept(
        "sleeve",
        ("sleeve", "barrel"),
        "The fixed tube of a screw gauge that bears the main scale along the datum line.",
    ),
    Concept(
        "thimble",
        ("thimble", "drum", "circular scale", "head scale"),
        "The part of a screw gauge that turns; its edge points at the sleeve, its lines part one "
        "turn.",
    ),
    Concept(
        "datum_line",
        ("datum line", "reference line", "index line"),
        "The line along the sleeve at which the thimble is read.",
    ),
    Concept(
        "ratchet",
        ("ratchet", "friction clutch"),
        "It slips once the faces touch, so that every reading is taken with the same force.",
    ),
    Concept(
        "anvil",
        ("anvil", "stud"),
        "The fixed face of a screw gauge, at the end of the frame.",
    ),
    Concept(
        "zero_error",
        ("zero error", "zero reading"),
        "What the tool reads when it should read nothing. The correction is minus the error, "
        "always.",
    ),
    Concept(
        "pitch",
        ("pitch",),
        "How far the spindle travels in one turn. A few courses call the caliper’s main division "
        "so; here it is the screw’s.",
    ),
    Concept(
        "coinciding_line",
        ("line that meets", "coinciding line", "matching line"),
        "The fine line that stands straight against a main mark. Its own number counts; which "
        "mark it meets does not, but is a good check.",
    ),
    Concept(
        "backlash",
        ("backlash", "play"),
        "A worn thread lets the thimble turn a little before the spindle moves: always approach "
        "from the same side.",
    ),
)
"""The glossary, in the order in which it is shown."""

USUAL = {concept.id: concept.words[0] for concept in CONCEPTS}
"""The usual word for every concept."""

CARE = (
    ("Sharp things", "Jaw points, cut edges and burrs are sharp. Keep fingers off them."),
    ("Moving things", "Never measure a moving or turning workpiece."),
    (
        "Force",
        "Do not force a screw, and do not use a caliper as a clamp, scriber or hammer. Turn the "
        "thimble to come near, the ratchet to touch. A forced thimble reads too little and harms "
        "the thread.",
    ),
    ("Glass", "Do not strain glass from inside with the jaws."),
    (
        "Lamps and beams",
        "Discharge lamps carry high voltage, are hot, and some give ultraviolet. Never look into "
        "a laser or at the sun through a telescope.",
    ),
    (
        "The tool itself",
        "Wipe the faces. Release the lock before you move anything. Store it with a gap, off "
        "magnets and heat. The warmth of a hand lengthens steel.",
    ),
    (
        "What it is for",
        "The rules of your lab come first, and the people who know its tools. Not for trade, "
        "medical or safety-critical measurement: that takes a calibrated instrument and an "
        "accredited laboratory.",
    ),
)
"""Care and safety: what, and what to do."""
