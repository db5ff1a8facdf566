"""A fine scale beside a main scale, straight or round: where their lines meet in a picture."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from metrion.core.arrays import Array
from metrion.core.photo.overlay import Mark, marks
from metrion.core.photo.plane import LinePattern, Marks, Plane, fitted
from metrion.core.photo.strip import Brightness, Edge, Strip, strip_of
from metrion.core.photo.waves import Counted, WaveBand, bands_of, counted, line_centres, pitch_of

_GUARD = 3.0
"""Pixels on either side of the edge that may belong to the other scale."""
_MOSTLY = 70
"""Per cent of the rows near the edge; where it was set askew, a line is only in some of them."""
_LOOKS, _LEAST = 2, 8
"""So many times lines are looked for where the others let expect them; so many there must be."""
_SLIPPED = 0.02
"""Lines that are farther off than so many main divisions have been miscounted."""
_PART, _PARTS = 0.3, (0.15, 0.4, 0.6, 0.85)
"""Parts of the edge on which they are counted then: their middles, and how far to either side."""
_LOWER = 0.003
"""By what part a fine scale that lies lower looks smaller: its depth over the distance."""


_MOST_LINES = 2_000
"""No picture shows more lines of a scale; where more are counted, none was understood."""


@dataclass(frozen=True)
class ZeroLine:
    """One way in which the fine lines of a picture may be numbered.

    Attributes:
        odds: the probability of it.
        number: of the line that is then the zero, as lines were counted in the picture.
        plane: in which they lie.
        against: whether they are numbered against the picture.
    """

    odds: float
    number: float
    plane: Plane
    against: bool

    @property
    def start(self) -> float:
        """Where the zero lies, in main divisions from some main line."""
        return self.plane.start + self.plane.step * self.number

    @property
    def step(self) -> float:
        """From each fine line to the next as they are seen, in main divisions."""
        return -self.plane.step if self.against else self.plane.step

    def error(self, line: float) -> float:
        """The standard error of where a fine line lies, in main divisions."""
        return self.plane.error(self.number + (-line if self.against else line))

    def meets(self, lines: int) -> float:
        """The fine line that meets: of those where lines would, the nearest to the middle."""
        beat = self.step - round(self.step)
        period, first = 1 / abs(beat), -(self.start % 1.0) / beat
        return first + period * round((lines / 2 - first) / period)


@dataclass(frozen=True)
class LinePlace:
    """Where the fine scale stands in a picture.

    Attributes:
        zeros: the ways in which its lines may be numbered, the likeliest first.
        zero: where the likeliest zero lies, in pixels.
        aslant: how much wider lines are apart at one end of the fine scale than at the other, as
            a part; a camera that looks along the scale sees them so.
        main, rail: lines of the main scale, and places along the fine scale.
        clear: how clearly the lines of main and fine scale stand out.
    """

    zeros: tuple[ZeroLine, ...]
    zero: Array
    aslant: float
    main: tuple[Mark, ...]
    rail: tuple[Mark, ...]
    clear: tuple[float, float]


def place_of(
    picture: Brightness, ends: Array, lines: int, step: float, arc: float = 0.0
) -> LinePlace | None:
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
    if arc and 2 * pitch / arc <= edge.length:
        # No circle of such marks is as large as the edge that was set.
        return None
    if arc:
        edge = Edge(ends[0], ends[1], pitch / arc)
        strip = strip_of(picture, edge, above=reach, below=reach, beyond=beyond, smooth=3 * pitch)
        upper, lower = bands_of(strip, _GUARD, reach, rows), bands_of(strip, -_GUARD, -reach, rows)
    wanted = pitch * abs(step)
    fine_pitch, fine_clear = pitch_of(_near(lower, 2), 0.8 * wanted, 1.25 * wanted)
    main = _Side.of(upper, strip.along, pitch)
    fine = _Side.of(lower, strip.along, fine_pitch)
    plane = _plane(main, fine, abs(step), LinePattern(edge, arc))
    if plane is None:
        return None
    against = step < 0
    return _numbered(
        strip, edge, fine.bands, plane, lines, (main_clear, fine_clear), against=against
    )


def _near(bands: list[WaveBand], part: int) -> list[WaveBand]:
    """Those next to the edge, where all lines are."""
    return sorted(bands, key=lambda band: abs(band.off))[: max(3, len(bands) // part)]


@dataclass(frozen=True)
class _Side:
    """What is on one side of the edge: a scale.

    Attributes:
        bands: those in which its lines were counted.
        waves: the same, counted.
        along: their columns.
        pitch: pixels from each line to the next.
    """

    bands: list[WaveBand]
    waves: list[Counted]
    along: Array
    pitch: float

    @classmethod
    def of(cls, bands: list[WaveBand], along: Array, pitch: float) -> _Side:
        """The lines in bands, counted."""
        waves = counted(bands, along, pitch)
        offs = {float(wave.off[0]) for wave in waves}
        return cls([band for band in bands if band.off in offs], waves, along, pitch)

    def samples(self, part: NDArray[np.bool_]) -> Marks:
        """Columns half a line apart in a part of all, where there is a wave."""
        every = max(1, int(self.pitch / 2))
        along, off, count, weight = (
            np.concatenate([getattr(wave, name)[::every][part[::every]] for wave in self.waves])
            for name in ("along", "off", "count", "weight")
        )
        good = weight > 0.25 * np.median(weight)
        return Marks(along[good], off[good], count[good], weight[good] ** 2)

    def centres(self, part: NDArray[np.bool_], plane: Plane, start: float, step: float) -> Marks:
        """The middles of lines in a part of all, each with its number, near where they should be.

        Args:
            start, step: where line 0 lies, and from each line to the next, in main divisions.
        """
        found: list[tuple[float, float, float, float]] = []
        for band in self.bands:
            ends = plane.divisions(self.along[part][[0, -1]], np.full(2, band.off))
            low, high = np.sort((ends - start) / step)
            if not 2 < high - low < _MOST_LINES:
                continue
            numbers = np.arange(np.ceil(low), np.floor(high) + 1)
            predicted = plane.along_of(start + step * numbers, band.off)
            reach = 0.32 * self.pitch
            for at, middle, much in line_centres(band, self.along, predicted, reach):
                found.append((middle, band.off, float(numbers[at]), much))
        if not found:
            empty = np.zeros(0)
            return Marks(empty, empty, empty, empty)
        place, off, number, weight = np.array(found).T
        good = weight > 0.35 * np.percentile(weight, 75)
        usual = np.minimum(weight[good], np.median(weight[good]))
        return Marks(place[good], off[good], number[good], usual)


def _plane(main: _Side, fine: _Side, step: float, ruling: LinePattern) -> Plane | None:
    """The plane of both scales; None where too few lines are found."""
    part = main.along / ruling.edge.length
    # Beyond the fine scale are the ends of its plate, which are no lines.
    inside = (part >= -0.06) & (part <= 1.06)

    def placed(of_main: Marks, of_fine: Marks) -> Plane | None:
        if min(len(of_main.along), len(of_fine.along)) < _LEAST:
            return None
        return fitted(of_main, of_fine, step, ruling, _LOWER)

    def counted_on(some: NDArray[np.bool_]) -> Plane | None:
        return placed(main.samples(some), fine.samples(some & inside))

    def looked_at(plane: Plane | None) -> Plane | None:
        for _ in range(_LOOKS):
            if plane is not None:
                lines = main.centres(np.ones_like(inside), plane, 0.0, 1.0)
                plane = placed(lines, fine.centres(inside, plane, plane.start, plane.step))
        return plane

    plane = looked_at(counted_on(np.ones_like(inside)))
    if plane is None or plane.spread > _SLIPPED:
        # Counted across what is blinded, lines may be miscounted: then not across it.
        parts = [counted_on(np.abs(part - at) < _PART) for at in _PARTS]
        best = min(filter(None, parts), key=lambda one: one.spread, default=None)
        if best is not None and best.spread < _SLIPPED:
            return looked_at(best)
    return plane


def _numbered(
    strip: Strip, edge: Edge, lower: list[WaveBand], plane: Plane, lines: int,
    clear: tuple[float, float], *, against: bool,
) -> LinePlace | None:  # fmt: skip
    """Which of the fine lines is the zero: where lines are that none is beyond; None outside."""
    size = plane.step
    near = _near(lower, 2)
    seen_ends = plane.divisions(strip.along[[0, -1]], np.full(2, -_GUARD))
    low, high = np.sort((seen_ends - plane.start) / size)
    if not high - low < _MOST_LINES or not np.ptp(seen_ends) < _MOST_LINES:
        return None
    numbers = np.arange(np.ceil(low), np.floor(high) + 1)
    seen = np.zeros((len(near), len(numbers)))
    for row, band in enumerate(near):
        places = plane.along_of(plane.start + size * numbers, band.off)
        half = plane.along_of(plane.start + size * (numbers + 0.5), band.off)
        seen[row] = _at(band, strip.along, places) - 0.5 * (
            _at(band, strip.along, half) + _at(band, strip.along, 2 * places - half)
        )
    with np.errstate(invalid="ignore"):
        dark = np.nanpercentile(seen, _MOSTLY, axis=0)
    logs = _ends(dark, lines, numbers, plane, edge, size)
    best = np.exp(logs - logs.max())
    odds = best / best.sum()
    zeros = tuple(
        ZeroLine(float(odds[at]), float(numbers[at] + (lines if against else 0)), plane, against)
        for at in np.argsort(odds)[::-1][:5]
    )
    start, first = zeros[0].start, numbers[int(np.argmax(odds))]
    ends = plane.start + size * np.array([first, first + lines])
    whole = np.arange(np.ceil(seen_ends.min()), np.floor(seen_ends.max()) + 1)
    beside = np.arange(ends[0] - 1.5, ends[1] + 1.5, size / 2)
    seen_zero = marks(np.array([start]), edge, plane.along_of, -1)
    if not seen_zero:
        return None
    zero = seen_zero[0]
    return LinePlace(
        zeros=zeros, zero=np.array([zero.x, zero.y]), aslant=plane.aslant(ends),
        main=tuple(marks(whole, edge, plane.along_of, 1)),
        rail=tuple(marks(beside, edge, plane.along_of, -1)), clear=clear,
    )  # fmt: skip


def _at(band: WaveBand, along: Array, places: Array) -> Array:
    """Darkness at places; NaN outside of the strip."""
    return np.interp(places, along, band.dark, left=np.nan, right=np.nan)


def _usual(some: Array, part: float, dark: Array) -> float:
    """What so many of a hundred are below, of some places that can be seen; else of all."""
    seen = some[np.isfinite(some)]
    return float(np.percentile(seen if len(seen) > 2 else dark[np.isfinite(dark)], part))


def _ends(dark: Array, lines: int, numbers: Array, plane: Plane, edge: Edge, size: float) -> Array:
    """For each line, how likely it is the first one of the fine scale (logarithms)."""
    # The thumb set its ends near those of the scale.
    middle = plane.divisions(np.array([edge.length / 2]), np.zeros(1))[0]
    far = np.abs(plane.start + size * numbers - middle) / (size * lines)
    there = _usual(dark[far < 0.45], 60, dark)
    spread = max(0.12 * there, 1e-3)
    stray = np.clip(2 * _usual(np.abs(dark[far > 0.65]), 70, dark), 0.8 * spread, 2 * spread)
    places = np.nan_to_num(dark, nan=there / 2)
    # Glare and dirt may hide a line, or feign one.
    is_line = np.logaddexp(
        np.log(0.9) - 0.5 * ((places - there) / (2.5 * spread)) ** 2, np.log(0.02)
    )
    is_none = np.logaddexp(np.log(0.9) - 0.5 * (places / stray) ** 2, np.log(0.02))
    gain = np.where(np.isfinite(dark), is_line - is_none, 0.0)
    total = np.concatenate([[0.0], np.cumsum(gain)])
    found = np.full(len(numbers), -np.inf)
    for at in range(len(numbers) - lines):
        centre = plane.start + size * (numbers[at] + lines / 2)
        off = (centre - middle) / (size * lines)
        found[at] = total[at + lines + 1] - total[at] - 0.5 * (off / 0.12) ** 2
    if not np.isfinite(found).any():
        found[:] = 0.0
    return found
