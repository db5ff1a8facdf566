"""What courses call by different names; the words themselves are in the catalogue of the voice."""

from __future__ import annotations

CONCEPTS = (
    "least_count", "main_scale", "fine_scale", "sleeve", "thimble", "datum_line", "ratchet",
    "anvil", "zero_error", "pitch", "coinciding_line", "backlash", "main_division", "lock",
    "resolution", "precision", "accuracy", "sensitivity",
)  # fmt: skip
"""The glossary, in the order in which it is shown."""

CARE = ("sharp", "moving", "force", "glass", "lamps", "tool", "purpose")
"""What care and safety are about, in the order in which they are shown."""
