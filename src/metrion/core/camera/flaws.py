"""What comes between the scales and a picture of them: the way it is held, light, dirt, noise."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy import ndimage

from metrion.core.arrays import Array


@dataclass(frozen=True)
class Flaws:
    """How a picture is taken.

    Attributes:
        turned: of the picture, in degrees.
        tilted: of the camera about the line of the scale and across it, in degrees.
        blur: its standard deviation in pixels.
        noise: its standard deviation, of 1 from black to white.
        glare: how many bright patches there are.
        over_coincidence: whether one of them lies where the lines meet.
        shadow: how much darker one side is, from 0 to 1.
        dirt: how many scratches there are.
        thumb: how many pixels the ends of the edge are off, standard deviation.
        height: how far a fine scale lies below a main scale, in main divisions.
    """

    turned: float = 0.0
    tilted: tuple[float, float] = (0.0, 0.0)
    blur: float = 0.8
    noise: float = 0.01
    glare: int = 0
    over_coincidence: bool = False
    shadow: float = 0.0
    dirt: int = 0
    thumb: float = 0.0
    height: float = 0.0


def developed(picture: Array, flaws: Flaws, random: np.random.Generator, meets: Array) -> Array:
    """A clean picture with light, dirt, blur and noise laid over it.

    Args:
        picture: brightness from 0 to 1.
        meets: where the lines meet, in pixels.
    """
    height, width = picture.shape
    y, x = np.mgrid[0:height, 0:width].astype(float)
    found = picture.copy()
    for _ in range(flaws.dirt):
        found -= _scratch(x, y, random)
    if flaws.shadow:
        angle = random.uniform(0, 2 * np.pi)
        along = (x - width / 2) * np.cos(angle) + (y - height / 2) * np.sin(angle)
        soft = random.uniform(0.02, 0.3) * width
        found *= 1 - flaws.shadow / (1 + np.exp(-along / soft))
    for at in range(flaws.glare):
        middle = meets if flaws.over_coincidence and at == 0 else None
        found += _glare(x, y, random, middle)
    found = ndimage.gaussian_filter(np.clip(found, 0.02, 1.0), flaws.blur)
    found += random.normal(0, flaws.noise, found.shape)
    lit: Array = np.clip(found, 0, 1)
    return lit


def _scratch(x: Array, y: Array, random: np.random.Generator) -> Array:
    height, width = x.shape
    cx, cy, angle = (
        random.uniform(0, width),
        random.uniform(0.3, 0.7) * height,
        random.uniform(0, np.pi),
    )
    along = (x - cx) * np.cos(angle) + (y - cy) * np.sin(angle)
    across = -(x - cx) * np.sin(angle) + (y - cy) * np.cos(angle)
    size, half = random.uniform(10, 120), random.uniform(0.5, 1.5)
    strength = random.uniform(-0.35, 0.5)
    found: Array = (np.abs(along) < size) * np.clip(half + 0.5 - np.abs(across), 0, 1)
    return strength * found


def _glare(x: Array, y: Array, random: np.random.Generator, middle: Array | None) -> Array:
    height, width = x.shape
    if middle is None:
        middle = np.array([random.uniform(0.1, 0.9) * width, random.uniform(0.35, 0.65) * height])
    wide, high = random.uniform(0.02, 0.07) * width, random.uniform(0.03, 0.12) * height
    patch = ((x - middle[0]) / wide) ** 2 + ((y - middle[1]) / high) ** 2
    found: Array = np.exp(-patch)
    return random.uniform(0.8, 1.8) * found
