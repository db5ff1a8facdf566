"""A simulated camera: photographs of scales, as arrays, with the flaws that photographs have."""

from metrion.core.camera.at_bench import photograph_bench
from metrion.core.camera.flaws import Flaws
from metrion.core.camera.lens import Shot
from metrion.core.camera.pictures import photograph_circle, photograph_vernier
from metrion.core.camera.screw import photograph_screw

__all__ = [
    "Flaws",
    "Shot",
    "photograph_bench",
    "photograph_circle",
    "photograph_screw",
    "photograph_vernier",
]
