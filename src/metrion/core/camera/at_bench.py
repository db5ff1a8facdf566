"""The tool in the hand at a simulated bench, as a camera sees it from straight above."""

from __future__ import annotations

from math import floor, radians
from typing import assert_never

import numpy as np

from metrion.core.bench.bench import Bench
from metrion.core.camera.flaws import Flaws
from metrion.core.camera.lens import Shot
from metrion.core.camera.pictures import photograph_circle, photograph_vernier
from metrion.core.camera.screw import photograph_screw
from metrion.core.scales import PlainScale, ScrewScale, VernierScale

_FINE_SCALE_PIXELS = 800.0
"""The fine scale takes about half of the picture."""
_THIMBLE_PIXELS = 700.0
"""A thimble is so many pixels across."""


def photograph_bench(bench: Bench, random: np.random.Generator) -> Shot | None:
    """A picture of the scales as they stand; None where there is no fine scale."""
    scale = bench.instrument.scale
    match scale:
        case ScrewScale():
            return _of_thimble(bench, scale, random)
        case VernierScale():
            return _of_fine_scale(bench, scale, random)
        case PlainScale():
            return None
        case _:
            assert_never(scale)


def _of_thimble(bench: Bench, scale: ScrewScale, random: np.random.Generator) -> Shot:
    turned = bench.at / float(scale.pitch) % 1.0
    return photograph_screw(
        scale.fine_divisions, turned * scale.fine_divisions,
        _THIMBLE_PIXELS * np.pi / scale.fine_divisions, _flaws(random), random,
        passed=bench.at / float(scale.main_division),
    )  # fmt: skip


def _of_fine_scale(bench: Bench, scale: VernierScale, random: np.random.Generator) -> Shot:
    lines, step = scale.fine_divisions, scale.span / scale.fine_divisions
    stands = bench.at / float(scale.main_division)
    beat = step - round(step)
    position = -(stands % 1.0) / beat % lines
    pixels, flaws = _FINE_SCALE_PIXELS / scale.span, _flaws(random)
    if bench.instrument.traits.circular:
        arc = radians(float(scale.main_division) / 60)
        return photograph_circle(
            lines, step, position, pixels, arc, flaws, random, passed=floor(stands)
        )
    return photograph_vernier(lines, step, position, pixels, flaws, random, passed=floor(stands))


def _flaws(random: np.random.Generator) -> Flaws:
    """A picture as a careful hand takes it."""
    return Flaws(
        turned=random.uniform(-5, 5), tilted=(random.uniform(-8, 8), random.uniform(-8, 8)),
        blur=random.uniform(0.7, 1.3), noise=random.uniform(0.005, 0.02),
        glare=int(random.integers(0, 2)), shadow=random.uniform(0, 0.4),
        dirt=int(random.integers(0, 6)),
    )  # fmt: skip
