"""The neighbourhood of the edge, taken out of a picture and straightened."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import ndimage

from metrion.core.arrays import Array
from metrion.core.instruments.appearance import Side
from metrion.core.instruments.instrument import Instrument

Brightness = NDArray[np.float32] | NDArray[np.float64]
"""Of a picture, from 0 to 1; in single precision it takes half as much memory."""

_BRIGHT = 0.4
"""Skewness of the brightness from which lines are bright ones."""


def is_over(tool: Instrument) -> bool:
    """Whether the fine scale of a tool lies above its main scale: then all is turned over."""
    return tool.appearance.fine_side is Side.ABOVE and not tool.traits.turns


def turned_over(points: Array, height: int) -> Array:
    """Points of a picture of this height where they are once it is turned over, top to bottom."""
    return np.column_stack([points[:, 0], height - 1 - points[:, 1]])


@dataclass(frozen=True)
class Strip:
    """Darkness beside an edge.

    Attributes:
        dark: by rows, the highest above the edge first, and columns along it; about 0 where there
            is no line, whatever the light; NaN outside of the picture and where it is blinded.
        off: of each row, how far above the edge it is, in pixels.
        along: of each column, how far it is from the first end, in pixels.
    """

    dark: Array
    off: Array
    along: Array


@dataclass(frozen=True)
class Edge:
    """The edge between two scales in a picture: straight, or an arc about a centre.

    Attributes:
        first, last: its ends, in pixels.
        radius: of the arc in pixels; 0 where it is straight. Its centre is below the edge, on the
            side of the fine scale.
    """

    first: Array
    last: Array
    radius: float = 0.0

    @property
    def length(self) -> float:
        """Along it, in pixels."""
        half = self._chord / 2
        return 2 * (self.radius * float(np.arcsin(half / self.radius)) if self.radius else half)

    @property
    def direction(self) -> Array:
        """Along the chord."""
        return (self.last - self.first) / self._chord

    @property
    def up(self) -> Array:
        """To the side of the main scale."""
        return np.array([self.direction[1], -self.direction[0]])

    def at(self, along: Array, off: Array) -> tuple[Array, Array]:
        """Where in the picture a place is: so far along the edge, so far above it."""
        right, up = self.flat(along, off)
        found = (
            self.first[:, None, None]
            + self.direction[:, None, None] * right
            + self.up[:, None, None] * up
        )
        return found[0], found[1]

    def flat(self, along: Array, off: Array) -> tuple[Array, Array]:
        """The same in pixels along the chord from the first end, and above it."""
        if not self.radius:
            return along, off
        angle, out = (along - self.length / 2) / self.radius, self.radius + off
        return self._chord / 2 + out * np.sin(angle), out * np.cos(angle) - self._sunk

    def crossed(self, right: Array, up: Array, whole: Array, off: float) -> Array:
        """How far along a row so far above the edge each line crosses it.

        Args:
            right, up, whole: of each line: ``right x + up y = whole``, as `flat` has x and y.
        """
        if not self.radius:
            straight: Array = (whole - up * off) / right
            return straight
        beside = whole - right * self._chord / 2 + up * self._sunk
        out = (self.radius + off) * np.hypot(right, up)
        angle: Array = np.arcsin(beside / out * np.sign(right)) - np.arctan(up / right)
        return self.length / 2 + self.radius * angle

    @property
    def _chord(self) -> float:
        return float(np.linalg.norm(self.last - self.first))

    @property
    def _sunk(self) -> float:
        """How far the centre of the arc is below the chord."""
        return float(np.sqrt(self.radius**2 - self._chord**2 / 4))


def strip_of(
    picture: Brightness, edge: Edge, *, above: float, below: float, beyond: float, smooth: float
) -> Strip:
    """Take the neighbourhood of an edge out of a picture.

    Args:
        above, below: how far, in pixels.
        beyond: how far past both ends, in pixels.
        smooth: over how many pixels along the edge the light is judged.
    """
    off = np.arange(np.floor(above), -np.floor(below) - 1, -1.0)
    along = np.arange(-np.floor(beyond), np.floor(edge.length + beyond) + 1)
    x, y = edge.at(along[None, :] + 0 * off[:, None], off[:, None] + 0 * along[None, :])
    light = ndimage.map_coordinates(
        picture, [y, x], output=np.float64, order=1, mode="constant", cval=np.nan
    )
    if _has_bright_lines(light, smooth):
        light = 1 - light
    return Strip(_darkness(light, smooth), off, along)


def _has_bright_lines(light: Array, smooth: float) -> bool:
    """Whether lines are brighter than what is between them: then what stands out is bright."""
    filled = np.where(np.isnan(light), np.nanmedian(light), light)
    filled = ndimage.gaussian_filter1d(filled, 0.8, axis=1)
    fine = filled - ndimage.uniform_filter1d(filled, max(3, int(smooth / 2)), axis=1)
    spread = np.std(fine, axis=1) + 1e-6
    skewed = np.mean(fine**3, axis=1) / spread**3
    # Rows with lines have the most in them.
    lined = spread >= np.percentile(spread, 60)
    return bool(np.median(skewed[lined]) > _BRIGHT)


def _darkness(light: Array, smooth: float) -> Array:
    """How much darker each point is than the ground about it, as a part of that."""
    outside = np.isnan(light)
    filled = np.where(outside, np.nanmedian(light), light)
    ground = _ground(filled, smooth)
    dark = (ground - filled) / np.maximum(ground, 0.05)
    blinded = ground > 0.97
    return np.where(outside | blinded, np.nan, dark)


def _ground(light: Array, smooth: float) -> Array:
    """The brightness between the lines, judged on a coarser grid: it changes slowly."""
    down, across = 3, max(1, int(smooth / 16))
    coarse = light[::down, ::across]
    size = max(3, int(smooth / across) | 1)
    ground = ndimage.percentile_filter(coarse, 75, size=(1, size))
    ground = ndimage.uniform_filter(ground, size=(1, size))
    rows, columns = light.shape
    at = np.meshgrid(np.arange(rows) / down, np.arange(columns) / across, indexing="ij")
    found: Array = ndimage.map_coordinates(ground, at, order=1, mode="nearest")
    return found
