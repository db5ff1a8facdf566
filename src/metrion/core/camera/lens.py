"""From a tool to the pixels of a picture, and back."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from metrion.core.arrays import Array
from metrion.core.camera.flaws import Flaws


@dataclass(frozen=True)
class Shot:
    """A picture, and what a thumb set on it.

    Attributes:
        picture: brightness from 0 to 1, row by row.
        edge: both ends of the edge over the fine scale, in pixels.
        position: where the lines meet, in fine lines: the truth.
        zero: where the fine zero lies, in pixels; on a screw None.
        upward: on a screw, whether the thimble counts upward in the picture.
    """

    picture: Array
    edge: Array
    position: float
    zero: Array | None = None
    upward: bool = True


class Camera:
    """From a tool, in main divisions, to pixels and back: x along it, y upward, and below."""

    def __init__(
        self, size: tuple[int, int], middle: tuple[float, float], pixels: float, flaws: Flaws
    ) -> None:
        width, height = size
        self.focal = 2.2 * width
        turn, (about_x, about_y) = np.radians(flaws.turned), np.radians(flaws.tilted)
        rotation = _about(2, turn) @ _about(0, about_x) @ _about(1, about_y)
        lens = np.array([[self.focal, 0, width / 2], [0, self.focal, height / 2], [0, 0, 1.0]])
        distance = self.focal / pixels
        moved = np.array([[1, 0, -middle[0]], [0, 1, -middle[1]], [0, 0, 1.0]])

        def seen(below: float) -> Array:
            """The map of a plane so far below that of the main scale."""
            away = np.array([0, 0, distance]) + below * rotation[:, 2]
            columns = np.column_stack([rotation[:, 0], -rotation[:, 1], away])
            found: Array = lens @ columns @ moved
            return found

        self._seen, self._size = seen, size
        inverse = rotation.T @ np.linalg.inv(lens)
        self._direction = inverse * np.array([[1.0], [-1.0], [1.0]])
        away = rotation.T @ np.array([0, 0, -distance])
        self._from = np.array([away[0] + middle[0], -away[1] + middle[1], away[2]])

    def pixels(self, x: float, y: float, below: float = 0.0) -> Array:
        """Where a point of the tool is seen."""
        found = self._seen(below) @ np.array([x, y, 1.0])
        seen: Array = found[:2] / found[2]
        return seen

    def along_body(self, radius: float, axis: float) -> tuple[Array, Array, Array]:
        """Where each pixel sees a round body that lies along x.

        Args:
            axis: how far below the plane of the tool its middle is.

        Returns:
            x, how far round from the upper side, upward, in radians, and how far away it is; not
            finite where it is not seen.
        """
        x, y, z = np.tensordot(self._direction, self._grid(), axes=1)
        ox, oy, oz = self._from
        oz = oz - axis
        square, mixed = y**2 + z**2, oy * y + oz * z
        with np.errstate(invalid="ignore"):
            away = (-mixed - np.sqrt(mixed**2 - square * (oy**2 + oz**2 - radius**2))) / square
        return ox + away * x, np.arctan2(oy + away * y, -(oz + away * z)), away

    def _grid(self) -> Array:
        width, height = self._size
        column, row = np.meshgrid(np.arange(width) + 0.0, np.arange(height) + 0.0)
        return np.stack([column, row, np.ones_like(row)])

    def beneath(self, pixel: Array) -> tuple[float, float]:
        """The point of the plane of the main scale that is seen at a pixel."""
        x, y, w = np.linalg.inv(self._seen(0.0)) @ np.append(pixel, 1.0)
        return x / w, y / w

    def plane(self, below: float = 0.0) -> tuple[Array, Array, Array]:
        """What of a plane lies under each pixel, and how large a pixel is there."""
        a = np.linalg.inv(self._seen(below))
        x, y, w = np.tensordot(a, self._grid(), axes=1)
        pixel = np.abs(np.linalg.det(a)) ** 0.5 / np.abs(w) ** 1.5
        return x / w, y / w, pixel


def _about(axis: int, angle: float) -> Array:
    cos, sin = np.cos(angle), np.sin(angle)
    found = np.eye(3)
    one, two = [at for at in range(3) if at != axis]
    found[one, one], found[one, two], found[two, one], found[two, two] = cos, -sin, sin, cos
    return found
