"""Scales: where their lines lie, and what a main reading with a fine line is worth."""

from metrion.core.scales.base import Indication, Line
from metrion.core.scales.plain import PlainScale
from metrion.core.scales.screw import ScrewScale
from metrion.core.scales.vernier import Numbering, Pattern, VernierScale

Scale = VernierScale | ScrewScale | PlainScale
"""Every scale there is; each satisfies `ScaleProtocol`."""

__all__ = [
    "Indication",
    "Line",
    "Numbering",
    "Pattern",
    "PlainScale",
    "Scale",
    "ScrewScale",
    "VernierScale",
]  # fmt: skip
