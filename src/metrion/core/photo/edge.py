"""Where the edge between two scales may lie in a picture: a proposal, for a thumb to correct."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from math import radians

import numpy as np
from numpy.typing import NDArray
from scipy import ndimage

from metrion.core.arrays import Array
from metrion.core.instruments.instrument import Instrument
from metrion.core.photo.strip import Brightness, is_over, turned_over
from metrion.core.scales import ScrewScale, VernierScale

_WIDEST = 1600
"""Pictures are looked at no larger than this."""
_SMALLEST = 80
"""Nothing is looked for in a picture of fewer pixels a side."""
_ROWS = 2
"""So many rows are taken together."""
_STEEPEST = 0.26
"""The slope of an edge at its most."""
_BLOCK = 32
_LINED = 75
"""Blocks of columns in which a scale may be the fourth part: their upper quartile tells."""
_APART = 3
"""Rows above and below an edge that are compared, in rows taken together."""
_SHIFTS = range(-4, 5)
_NEAR, _FAR = 6, 14
"""So many rows on either side of an edge are looked at, and of the edge of a thimble."""


@dataclass(frozen=True)
class _Course:
    """How an edge runs: at row + slope x + bend x² / 2, with x from the middle of the picture."""

    row: float
    slope: float
    bend: float
    score: float


def proposed_edge(picture: Brightness, tool: Instrument) -> Array:
    """Both ends of the edge over the fine scale, in pixels, the left or upper one first.

    Where no scales are seen it lies across the middle: somebody will move it.
    """
    if min(picture.shape) < _SMALLEST:
        height, width = picture.shape
        return np.array([[0.25 * width, 0.5 * height], [0.75 * width, 0.5 * height]])
    if is_over(tool):
        return turned_over(_proposed(picture[::-1], tool), len(picture))
    return _proposed(picture, tool)


def _proposed(picture: Brightness, tool: Instrument) -> Array:
    """See `proposed_edge`; the main scale lies above the fine one."""
    screw = isinstance(tool.scale, ScrewScale)
    upright = picture.T if screw else picture
    size = max(1.0, upright.shape[1] / _WIDEST)
    small = ndimage.zoom(upright, 1 / size, order=1) if size > 1.05 else upright
    fine = _fine(small)
    found = _by_start(fine) if screw else _by_change(fine, _bends(tool, small.shape[1]))
    low, high = _span(fine, found)
    along = np.array([low, high]) - fine.shape[1] / 2
    rows = (found.row + found.slope * along + found.bend * along**2 / 2) * _ROWS + 0.5
    ends = np.column_stack([np.array([low, high]), rows]) * size
    found_ends: Array = ends[:, ::-1] if screw else ends
    return found_ends


def _fine(picture: Brightness) -> Array:
    """What changes quickly along the rows, a few rows taken together."""
    rows = picture.shape[0] // _ROWS
    small = picture[: rows * _ROWS].reshape(rows, _ROWS, -1).mean(axis=1)
    smooth = ndimage.gaussian_filter1d(small, 0.8, axis=1)
    found: Array = smooth - ndimage.uniform_filter1d(smooth, 21, axis=1)
    # What is very strong (the rim of something) counts no more than a line.
    most = 3 * float(np.percentile(np.abs(found), 90)) + 1e-6
    return np.clip(found, -most, most)


def _bends(tool: Instrument, width: int) -> list[float]:
    """How an edge may be bent, in rows taken together."""
    if not tool.traits.circular or not isinstance(tool.scale, VernierScale):
        return [0.0]
    scale = tool.scale
    turned = scale.span * radians(float(scale.main_division) / 60)
    return [turned / (part * width) / _ROWS for part in (0.4, 0.57, 0.8)]


def _straightened(fine: Array, slope: float, bend: float) -> Array:
    """A picture in which an edge of such a course is a row."""
    height, width = fine.shape
    along = np.arange(width) - width / 2
    down = np.round(slope * along + bend * along**2 / 2).astype(int)
    rows = np.arange(height)[:, None] + down[None, :]
    seen: Array = fine[np.clip(rows, 0, height - 1), np.arange(width)[None, :]]
    return np.where((rows >= 0) & (rows < height), seen, 0.0)


def _blocks(straight: Array) -> Array:
    """How much changes in blocks of columns."""
    width = straight.shape[1] // _BLOCK * _BLOCK
    squares = straight[:, :width] ** 2
    found: Array = squares.reshape(len(straight), -1, _BLOCK).mean(axis=2)
    return found


def _sides(straight: Array, reach: int) -> tuple[Array, Array]:
    """How much there is of lines above and below each row, so many rows far."""
    much = np.percentile(_blocks(straight), _LINED, axis=1)
    total = np.concatenate([[0.0], np.cumsum(much)])
    at = np.arange(len(much))
    above = (total[at] - total[np.clip(at - reach, 0, None)]) / reach
    below = (total[np.clip(at + 1 + reach, None, len(much))] - total[at + 1]) / reach
    return above, below


def _slopes(about: float, reach: float, count: int) -> Iterable[float]:
    return np.linspace(about - reach, about + reach, count) / _ROWS


def _by_change(fine: Array, bends: list[float]) -> _Course:
    """Where lines are on both sides, which do not go on from one to the other."""

    def best(slopes: Iterable[float], bends: Iterable[float]) -> _Course:
        return max(_changes(fine, slopes, bends), key=lambda one: one.score)

    found = best(_slopes(0.0, _STEEPEST, 27), bends)
    bend = found.bend
    finer = [bend * part for part in (0.85, 1.0, 1.18)] if bend else [0.0]
    return best(_slopes(found.slope * _ROWS, _STEEPEST / 13, 9), finer)


def _changes(fine: Array, slopes: Iterable[float], bends: Iterable[float]) -> Iterator[_Course]:
    for bend in bends:
        for slope in slopes:
            straight = _straightened(fine, slope, bend)
            above, below = _sides(straight, _NEAR)
            lined = np.minimum(above, below)
            # Only where there are lines is it worth to look whether they go on.
            likely = np.argsort(lined)[-60:]
            likely = likely[(likely > _APART) & (likely < len(lined) - _APART)]
            if not len(likely):
                yield _Course(len(fine) / 2, slope, bend, 0.0)
                continue
            score = lined[likely] * (1 - _alike(straight, likely))
            at = int(np.argmax(score))
            yield _Course(float(likely[at]), slope, bend, float(score[at]))


def _alike(straight: Array, rows: NDArray[np.integer]) -> Array:
    """How far what is above each row goes on below it, wherever its lines lean."""
    above = straight[rows - _APART] + straight[rows - _APART + 1]
    below = straight[rows + _APART] + straight[rows + _APART - 1]
    both = np.sqrt((above**2).sum(axis=1) * (below**2).sum(axis=1)) + 1e-9
    found = [(above * np.roll(below, shift, axis=1)).sum(axis=1) / both for shift in _SHIFTS]
    most: Array = np.max(found, axis=0)
    return most


def _by_start(fine: Array) -> _Course:
    """Where lines begin that are not on the other side: those of a thimble right of its edge."""

    def best(slopes: Iterable[float]) -> _Course:
        return max(_starts(fine, slopes), key=lambda one: one.score)

    found = best(_slopes(0.0, _STEEPEST, 27))
    return best(_slopes(found.slope * _ROWS, _STEEPEST / 13, 9))


def _starts(fine: Array, slopes: Iterable[float]) -> Iterator[_Course]:
    for slope in slopes:
        above, below = _sides(_straightened(fine, slope, 0.0), _FAR)
        score = (below - 1.5 * above)[_FAR:-_FAR]
        at = int(np.argmax(score))
        yield _Course(float(at + _FAR), slope, 0.0, float(score[at]))


def _span(fine: Array, course: _Course) -> tuple[float, float]:
    """From where to where there are lines below an edge, in columns."""
    straight = _straightened(fine, course.slope, course.bend)
    row, width = int(course.row), fine.shape[1]
    blocks = _blocks(straight[row + 2 : row + 14])
    if not blocks.size:
        return 0.25 * width, 0.75 * width
    much = ndimage.uniform_filter1d(np.sqrt(np.median(blocks, axis=0)), 3)
    lined = much > 0.5 * np.percentile(much, 85)
    labels, count = ndimage.label(ndimage.binary_closing(lined, np.ones(5)))
    if not count:
        return 0.25 * width, 0.75 * width
    longest = 1 + int(
        np.argmax(ndimage.sum_labels(np.ones_like(much), labels, range(1, count + 1)))
    )
    inside = np.flatnonzero(labels == longest)
    return float(inside[0] * _BLOCK), float((inside[-1] + 1) * _BLOCK)
