"""Scales: where their lines lie, and what a main reading with a fine line is worth."""

from metrion.core.scales.base import Line, Look, Scale
from metrion.core.scales.plain import PlainScale
from metrion.core.scales.screw import ScrewScale
from metrion.core.scales.vernier import Numbering, Pattern, VernierScale

__all__ = [
    "Line", "Look", "Numbering", "Pattern", "PlainScale", "Scale", "ScrewScale", "VernierScale",
]  # fmt: skip
