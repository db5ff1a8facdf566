"""A drawing of both scales as they lie in a picture, to be laid over it."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np

from metrion.core.arrays import Array
from metrion.core.photo.strip import Edge

_LENGTH = 20.0
"""So many pixels from the edge the direction of a line is taken."""


@dataclass(frozen=True)
class Mark:
    """A place on the edge from which a line may start.

    Attributes:
        at: where it is along the scale, in main divisions; at a thimble in its lines, downward
            from the datum line.
        x, y: in the picture, in pixels.
        out_x, out_y: from there along the line, away from the edge; of length 1.
    """

    at: float
    x: float
    y: float
    out_x: float
    out_y: float


@dataclass(frozen=True)
class Laid:
    """Where the lines of both scales lie in a picture.

    Where line q meets (of those that may, the nearest to ``position``), fine line k lies at
    ``start + k step - (q - position) drift`` along ``rail``.

    Attributes:
        position: the fine line that meets, and parts of one.
        start: where fine line 0 lies, as it was found.
        step: from each fine line to the next.
        drift: how far the fine scale moves when the next line meets.
        main: lines of the main scale; of a sleeve its datum line.
        rail: places along the fine scale, in order.
    """

    position: float
    start: float
    step: float
    drift: float
    main: tuple[Mark, ...]
    rail: tuple[Mark, ...]

    def within(self, corner: tuple[float, float], scale: float) -> Laid:
        """The same in the picture that this one was cut from.

        Args:
            corner: where this one begins in that, in its pixels.
            scale: pixels of this one to a pixel of that.
        """
        x, y = corner
        return self._with(lambda one: replace(one, x=one.x / scale + x, y=one.y / scale + y))

    def turned_over(self, height: int) -> Laid:
        """The same in a picture of this height that is turned over, top to bottom."""
        return self._with(lambda one: replace(one, y=height - 1 - one.y, out_y=-one.out_y))

    def _with(self, change: Callable[[Mark], Mark]) -> Laid:
        main, rail = (tuple(map(change, marks)) for marks in (self.main, self.rail))
        return replace(self, main=main, rail=rail)


def marks(
    at: Array, edge: Edge, along_of: Callable[[Array, float], Array], side: int
) -> list[Mark]:
    """Places on an edge.

    Args:
        at: along the scale.
        along_of: where these are, in pixels along a row so far above the edge.
        side: 1 above the edge, -1 below it.
    """
    ends = []
    for off in (0.0, side * _LENGTH):
        along = along_of(at, off)
        x, y = edge.at(along[None, :], np.full((1, len(at)), off))
        ends.append(np.column_stack([x[0], y[0]]))
    out = ends[1] - ends[0]
    out /= np.linalg.norm(out, axis=1, keepdims=True)
    found = np.column_stack([at, ends[0], out])
    return [Mark(*map(float, one)) for one in found if np.isfinite(one).all()]
