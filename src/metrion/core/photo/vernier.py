"""A fine scale beside a main scale, straight or round: where their lines meet in a picture."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from metrion.core.photo.laid import Mark, marks
from metrion.core.photo.plane import Marks, Plane, fitted
from metrion.core.photo.strip import Array, Edge, Strip, strip_of
from metrion.core.photo.waves import Band, Counted, bands_of, counted, line_centres, pitch_of

_GUARD = 3.0
"""Pixels on either side of the edge that may belong to the other scale."""


@dataclass(frozen=True)
class Place:
    """Where the fine scale stands in a picture.

    Attributes:
        fraction: how far its zero is past a main line, in main divisions.
        error: the standard error of that.
        zeros: for each way the fine lines may be numbered its probability, and how far the zero
            is then past a main line.
        zero: where the likeliest zero lies, in pixels.
        start: where it lies, in main divisions from some main line.
        aslant: how much wider lines are apart at one end of the fine scale than at the other, as
            a part; a camera that looks along the scale sees them so.
        main, rail: lines of the main scale, and places along the fine scale.
        clear: how clearly the lines of main and fine scale stand out.
    """

    fraction: float
    error: float
    zeros: tuple[tuple[float, float], ...]
    zero: Array
    start: float
    aslant: float
    main: tuple[Mark, ...]
    rail: tuple[Mark, ...]
    clear: tuple[float, float]


def place_of(
    picture: Array, ends: Array, lines: int, step: float, arc: float = 0.0
) -> Place | None:
    """Where a fine scale stands; None where too little can be made out.

    Args:
        ends: of the edge over the fine scale, in pixels, the left one first.
        lines: n of the fine scale.
        step: from each fine line to the next, in main divisions; negative if they run to the left.
        arc: of a circle, one main division in radians; 0 where the scale is straight.
    """
    edge = Edge(ends[0], ends[1])
    guess = edge.length / (lines * abs(step))
    reach = float(np.clip(3.2 * guess, 24, 160))
    beyond = 0.5 * edge.length
    strip = strip_of(picture, edge, above=reach, below=reach, beyond=beyond, smooth=3 * guess)
    rows = max(2, int(guess / 8))
    upper = bands_of(strip, _GUARD, reach, rows)
    lower = bands_of(strip, -_GUARD, -reach, rows)
    pitch, main_clear = pitch_of(_near(upper, 2), 0.7 * guess, 1.8 * guess)
    if arc:
        edge = Edge(ends[0], ends[1], pitch / arc)
        strip = strip_of(picture, edge, above=reach, below=reach, beyond=beyond, smooth=3 * pitch)
        upper, lower = bands_of(strip, _GUARD, reach, rows), bands_of(strip, -_GUARD, -reach, rows)
    wanted = pitch * abs(step)
    fine_pitch, fine_clear = pitch_of(_near(lower, 2), 0.8 * wanted, 1.25 * wanted)
    inside = (strip.along >= -0.06 * edge.length) & (strip.along <= 1.06 * edge.length)
    main_waves = counted(upper, strip.along, pitch)
    fine_waves = counted(lower, strip.along, fine_pitch)
    upper, lower = _lined(upper, main_waves), _lined(lower, fine_waves)
    main = _samples(main_waves, pitch, np.ones_like(inside))
    fine = _samples(fine_waves, fine_pitch, inside)
    if len(main.along) < 8 or len(fine.along) < 8:
        return None
    plane = fitted(main, fine, abs(step), edge.length)
    for _ in range(2):
        main = _centres(upper, strip, plane, pitch, 0.0, 1.0)
        fine = _centres(lower, strip, plane, fine_pitch, plane.start, abs(step))
        if len(main.along) < 8 or len(fine.along) < 8:
            return None
        plane = fitted(main, fine, abs(step), edge.length)
    return _numbered(strip, edge, lower, plane, lines, step, (main_clear, fine_clear))


def _near(bands: list[Band], part: int) -> list[Band]:
    """Those next to the edge, where all lines are."""
    return sorted(bands, key=lambda band: abs(band.off))[: max(3, len(bands) // part)]


def _lined(bands: list[Band], waves: list[Counted]) -> list[Band]:
    """Those in which the lines of a scale were counted."""
    offs = {float(wave.off[0]) for wave in waves}
    return [band for band in bands if band.off in offs]


def _samples(bands: list[Counted], pitch: float, inside: NDArray[np.bool_]) -> Marks:
    """Columns half a line apart, where there is a wave."""
    every = max(1, int(pitch / 2))
    along, off, count, weight = (
        np.concatenate([getattr(band, name)[::every][inside[::every]] for band in bands])
        for name in ("along", "off", "count", "weight")
    )
    good = weight > 0.25 * np.median(weight)
    return Marks(along[good], off[good], count[good], weight[good] ** 2)


def _centres(
    bands: list[Band], strip: Strip, plane: Plane, pitch: float, start: float, step: float
) -> Marks:
    """The middles of lines, each with its number, near where they are predicted."""
    found: list[tuple[float, float, float, float]] = []
    for band in bands:
        ends = plane.divisions(strip.along[[0, -1]], np.full(2, band.off))
        low, high = np.sort((ends - start) / step)
        numbers = np.arange(np.ceil(low), np.floor(high) + 1)
        if not 2 < len(numbers) < 2000:
            continue
        predicted = plane.along_of(start + step * numbers, band.off)
        for at, place, much in line_centres(band, strip.along, predicted, 0.32 * pitch):
            found.append((place, band.off, float(numbers[at]), much))
    if not found:
        empty = np.zeros(0)
        return Marks(empty, empty, empty, empty)
    along, off, number, weight = np.array(found).T
    good = weight > 0.35 * np.percentile(weight, 75)
    return Marks(
        along[good], off[good], number[good], np.minimum(weight[good], np.median(weight[good]))
    )


def _numbered(
    strip: Strip, edge: Edge, lower: list[Band], plane: Plane, lines: int, step: float,
    clear: tuple[float, float],
) -> Place:  # fmt: skip
    """Which of the fine lines is the zero: where lines are that none is beyond."""
    size = abs(step)
    near = _near(lower, 3)
    seen_ends = plane.divisions(strip.along[[0, -1]], np.full(2, -_GUARD))
    low, high = np.sort((seen_ends - plane.start) / size)
    numbers = np.arange(np.ceil(low), np.floor(high) + 1)
    seen = np.zeros((len(near), len(numbers)))
    for row, band in enumerate(near):
        places = plane.along_of(plane.start + size * numbers, band.off)
        half = plane.along_of(plane.start + size * (numbers + 0.5), band.off)
        seen[row] = _at(band, strip.along, places) - 0.5 * (
            _at(band, strip.along, half) + _at(band, strip.along, 2 * places - half)
        )
    with np.errstate(invalid="ignore"):
        dark = np.nanmedian(seen, axis=0)
    logs = _ends(dark, lines, numbers, plane, edge, size)
    best = np.exp(logs - logs.max())
    odds = best / best.sum()
    zeros = []
    for at in np.argsort(odds)[::-1][:5]:
        first = numbers[at] if step > 0 else numbers[at] + lines
        place = plane.start + size * first
        zeros.append((float(odds[at]), float(place)))
    start = zeros[0][1]
    ends = np.sort(np.array([start, start + step * lines]))
    whole = np.arange(np.ceil(seen_ends.min()), np.floor(seen_ends.max()) + 1)
    beside = np.arange(ends[0] - 1.5, ends[1] + 1.5, size / 2)
    [zero] = marks(np.array([start]), edge, plane.along_of, -1)
    return Place(
        fraction=float(zeros[0][1] % 1.0), error=plane.error,
        zeros=tuple((odd, place % 1.0) for odd, place in zeros),
        zero=np.array([zero.x, zero.y]), start=start, aslant=plane.aslant(ends),
        main=tuple(marks(whole, edge, plane.along_of, 1)),
        rail=tuple(marks(beside, edge, plane.along_of, -1)), clear=clear,
    )  # fmt: skip


def _at(band: Band, along: Array, places: Array) -> Array:
    """Darkness at places; NaN outside of the strip."""
    return np.interp(places, along, band.dark, left=np.nan, right=np.nan)


def _ends(dark: Array, lines: int, numbers: Array, plane: Plane, edge: Edge, size: float) -> Array:
    """For each line, how likely it is the first one of the fine scale (logarithms)."""
    inside = dark[np.isfinite(dark)]
    there = float(np.percentile(inside, 60))
    spread = max(0.12 * there, 1e-3)
    places = np.nan_to_num(dark, nan=there / 2)
    # Glare and dirt may hide a line, or feign one.
    is_line = np.logaddexp(
        np.log(0.9) - 0.5 * ((places - there) / (2.5 * spread)) ** 2, np.log(0.02)
    )
    is_none = np.logaddexp(np.log(0.9) - 0.5 * (places / (2.0 * spread)) ** 2, np.log(0.02))
    gain = np.where(np.isfinite(dark), is_line - is_none, 0.0)
    total = np.concatenate([[0.0], np.cumsum(gain)])
    found = np.full(len(numbers), -np.inf)
    # The thumb set its ends near those of the scale.
    middle = plane.divisions(np.array([edge.length / 2]), np.zeros(1))[0]
    for at in range(len(numbers) - lines):
        centre = plane.start + size * (numbers[at] + lines / 2)
        off = (centre - middle) / (size * lines)
        found[at] = total[at + lines + 1] - total[at] - 0.5 * (off / 0.12) ** 2
    if not np.isfinite(found).any():
        found[:] = 0.0
    return found
