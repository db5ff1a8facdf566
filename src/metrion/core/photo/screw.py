"""A thimble beside its datum line: where the line meets the lines of the thimble in a picture."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import ndimage

from metrion.core.photo.laid import Mark, marks
from metrion.core.photo.strip import Array, Edge, Strip, strip_of
from metrion.core.photo.waves import Band, Counted, bands_of, counted, line_centres, pitch_of

_GUARD = 4.0
_LINES = 6.0
"""So many thimble lines on either side of the datum line tell where it meets them."""
_LEAST_CENTRES = 12
_ROWS = 40
"""So many rows along the datum line tell its direction."""
_LEAST_SEEN = 0.25
"""Of the rows along the datum line: where fewer can be seen there is none to find."""
LONG = 5
"""Every so many thimble lines one is longer."""


@dataclass(frozen=True)
class Met:
    """Where the datum line meets the thimble lines.

    Attributes:
        count: thimble lines and parts of one downward in the picture, from some line.
        error: the standard error of that.
        longs: for each line of five its probability to be a long one.
        pitch: pixels to a thimble line.
        clear: how clearly the thimble lines and the datum line stand out.
        aslant: from how far round the thimble the camera looks, in degrees from the datum line.
        datum, rail: the datum line, and places along the edge of the thimble.
    """

    count: float
    error: float
    longs: tuple[float, ...]
    pitch: float
    clear: tuple[float, float]
    aslant: float
    datum: Mark
    rail: tuple[Mark, ...]


def met_at(picture: Array, ends: Array, lines: int) -> Met | None:
    """Where the datum line of a sleeve meets the thimble; None where too little can be made out.

    Args:
        ends: of the edge of the thimble, in pixels; the thimble lies to the right of it.
        lines: n of the thimble.
    """
    top, bottom = sorted(ends, key=lambda end: float(end[1]))
    edge = Edge(np.asarray(top), np.asarray(bottom))
    guess = np.pi * edge.length / lines
    reach = float(np.clip(6 * guess, 30, 260))
    strip = strip_of(
        picture, edge, above=reach, below=2.4 * reach, beyond=0.3 * edge.length, smooth=3 * guess
    )
    datum = _datum(strip, guess, edge.length)
    if datum is None:
        return None
    thimble = bands_of(strip, _GUARD, reach, max(2, int(guess / 8)))
    near = thimble[-max(3, len(thimble) // 3) :]
    window = np.abs(strip.along - datum.place) < 9 * guess
    cut = [Band(band.off, band.dark[window]) for band in near]
    pitch, clear = pitch_of(cut, 0.45 * guess, 1.9 * guess)
    found = _centres(strip, near, counted(near, strip.along, pitch), datum.place, pitch)
    if found is None:
        return None
    fan, error = found
    [on_edge] = marks(np.zeros(1), edge, datum.along_of, -1)
    return Met(
        count=fan.count(0.0, 0.0), error=float(np.hypot(error, datum.error / pitch)),
        longs=_longs(strip, thimble, fan), pitch=pitch, clear=(clear, datum.clear),
        aslant=fan.aslant(lines), datum=on_edge, rail=fan.rail(edge),
    )  # fmt: skip


@dataclass(frozen=True)
class _Datum:
    """The one line along the sleeve: where it meets the edge, and how surely."""

    place: float
    slope: float
    error: float
    clear: float

    def along_of(self, at: Array, off: float) -> Array:
        """Where it is along the row so far above the edge."""
        return self.place + self.slope * off + at


def _datum(strip: Strip, guess: float, length: float) -> _Datum | None:
    sleeve = bands_of(strip, -_GUARD, strip.off[-1], 5)
    if len(sleeve) < 4:
        return None
    blind = np.array([np.isnan(band.dark) for band in sleeve])
    dark = np.array([np.nan_to_num(band.dark) for band in sleeve])
    dark = dark - ndimage.uniform_filter1d(dark, max(3, int(2 * guess)), axis=1)
    smooth = ndimage.gaussian_filter1d(dark, max(0.8, 0.06 * guess), axis=1)
    smooth[blind] = np.nan
    inside = (strip.along > -0.05 * length) & (strip.along < 1.05 * length)
    some = slice(None, None, max(1, len(sleeve) // _ROWS))
    offs = [band.off for band in sleeve]
    much, place, slope = _steady(strip, offs[some], smooth[some], inside)
    found = []
    for band in sleeve:
        where = np.array([place + slope * band.off])
        centres = line_centres(band, strip.along, where, 0.3 * guess)
        found += [(band.off, centre) for _, centre, _ in centres]
    if len(found) < 4 or much <= 0:
        return None
    off, centre = np.array(found).T
    terms, error = _steadied(np.column_stack([np.ones_like(off), off]), centre, 0.02)
    return _Datum(
        float(terms[0]), float(terms[1]), error, much / (float(np.nanstd(smooth[:, inside])) + 1e-6)
    )


def _steady(
    strip: Strip, offs: Sequence[float], dark: Array, inside: NDArray[np.bool_]
) -> tuple[float, float, float]:
    """The line that is there in all rows; marks of the sleeve are only in some."""
    best = (-np.inf, 0.0, 0.0)
    for slope in np.linspace(-0.35, 0.35, 57):
        moved = np.array(
            [
                np.interp(strip.along + slope * off, strip.along, row)
                for off, row in zip(offs, dark, strict=True)
            ]
        )
        seen = inside & (np.isfinite(moved).mean(axis=0) > _LEAST_SEEN)
        profile = np.full(len(inside), -np.inf)
        profile[seen] = _percentile(moved[:, seen], 0.3)
        at = int(np.argmax(profile))
        if profile[at] > best[0]:
            best = (float(profile[at]), float(strip.along[at]), float(slope))
    return best


def _percentile(rows: Array, part: float) -> Array:
    """What so great a part of each column is below, of what is seen in it."""
    ordered = np.sort(rows, axis=0)
    place = part * (np.isfinite(ordered).sum(axis=0) - 1)
    low = np.floor(place).astype(int)
    columns = np.arange(rows.shape[1])
    one, next_one = ordered[low, columns], ordered[np.ceil(place).astype(int), columns]
    found: Array = one + (place - low) * (next_one - one)
    return found


def _steadied(rows: Array, wanted: Array, least: float) -> tuple[Array, float]:
    """Terms that fit most of what is wanted, whatever the rest is; the error of the first.

    Args:
        least: what is wanted is known no better than this.
    """
    weight, terms = np.ones_like(wanted), np.zeros(rows.shape[1])
    for _ in range(10):
        root = np.sqrt(weight)[:, None]
        terms = np.linalg.lstsq(rows * root, wanted * root[:, 0], rcond=None)[0].astype(float)
        away = wanted - rows @ terms
        spread = 1.4826 * float(np.median(np.abs(away))) + least
        weight = np.clip(1 - (away / (4 * spread)) ** 2, 0, None) ** 2
    covariance = np.linalg.pinv((rows * weight[:, None]).T @ rows)
    return terms, spread * float(np.sqrt(max(covariance[0, 0], 0.0)))


@dataclass(frozen=True)
class _Fan:
    """The lines of a thimble about the datum line: farther apart in its middle, and like a fan."""

    terms: Array
    place: float
    pitch: float

    @staticmethod
    def rows(x: Array, off: Array) -> Array:
        """What its terms are multiplied by."""
        return np.column_stack([np.ones_like(x), x, x**2, x**3, off, x * off])

    def count(self, x: float, off: float) -> float:
        """Lines at a place, counted downward in the picture; in pitches from the datum line."""
        return float((self.rows(np.array([x]), np.array([off])) @ self.terms)[0])

    def places(self, off: float) -> tuple[Array, Array]:
        """The lines about the datum line and where they are, so far off the edge in pixels."""
        grid, rising = self._rising(off)
        numbers = np.arange(np.ceil(rising[0]), np.floor(rising[-1]) + 1)
        return numbers, self.place + self.pitch * np.interp(numbers, rising, grid)

    def _rising(self, off: float) -> tuple[Array, Array]:
        """Places in pitches from the datum line, and how many lines were counted there."""
        grid = np.linspace(-_LINES - 2, _LINES + 2, 800)
        count = self.rows(grid, np.full_like(grid, off / self.pitch)) @ self.terms
        return grid, np.maximum.accumulate(count)

    def aslant(self, lines: int) -> float:
        """From how far round a thimble of so many lines it is seen, in degrees from the datum line.

        A round surface seen from straight above has its lines widest apart there.
        """
        first, second = self.terms[1], 2 * self.terms[2]
        tangent = second / first**2 * lines / (2 * np.pi)
        return float(abs(np.degrees(np.arctan(tangent))))

    def rail(self, edge: Edge) -> tuple[Mark, ...]:
        """Places along the edge, half a line apart, counted from the datum line."""
        at = np.arange(-_LINES, _LINES + 0.25, 0.5)
        met = self.count(0.0, 0.0)

        def along_of(at: Array, off: float) -> Array:
            grid, rising = self._rising(off)
            return self.place + self.pitch * np.interp(at + met, rising, grid)

        return tuple(marks(at, edge, along_of, 1))


def _centres(
    strip: Strip, bands: list[Band], waves: list[Counted], place: float, pitch: float
) -> tuple[_Fan, float] | None:
    """The middles of the lines about the datum line, and the fan on which they lie."""
    found: list[tuple[float, float, float]] = []
    base = float(np.floor(np.interp(place, strip.along, waves[len(waves) // 2].count)))
    by_off = {band.off: band for band in bands}
    for wave in waves:
        rising = np.maximum.accumulate(wave.count - base)
        reach = _LINES * pitch
        low, high = np.interp([place - reach, place + reach], strip.along, rising)
        numbers = np.arange(np.ceil(low), np.floor(high) + 1)
        predicted = np.interp(numbers, rising, strip.along)
        band = by_off[float(wave.off[0])]
        for at, centre, _ in line_centres(band, strip.along, predicted, 0.3 * pitch):
            found.append((centre, band.off, float(numbers[at])))
    if len(found) < _LEAST_CENTRES:
        return None
    y, off, number = np.array(found).T
    terms, error = _steadied(_Fan.rows((y - place) / pitch, off / pitch), number, 1e-4)
    return _Fan(terms, place, pitch), error


def _longs(strip: Strip, thimble: list[Band], fan: _Fan) -> tuple[float, ...]:
    """Which of five lines is the long one: where lines still are when the others have ended."""
    seen = np.full((len(thimble), LONG), np.nan)
    for row, band in enumerate(thimble):
        numbers, places = fan.places(band.off)
        dark = np.interp(places, strip.along, band.dark)
        for side in (-0.5, 0.5):
            beside = places + side * fan.pitch
            dark = dark - 0.5 * np.interp(beside, strip.along, band.dark)
        for residue in range(LONG):
            own = dark[np.mod(numbers, LONG) == residue]
            if np.isfinite(own).any():
                seen[row, residue] = np.nanmedian(own)
    usual = float(np.nanpercentile(seen, 80))
    rows = max(3, int(fan.pitch / 6))
    smooth = ndimage.uniform_filter1d(np.nan_to_num(seen), rows, axis=0)
    others = [np.max(np.delete(smooth, residue, axis=1), axis=1) for residue in range(LONG)]
    contrast = np.max(smooth - np.array(others).T, axis=0) / max(usual, 1e-6)
    odds = np.exp(np.clip(contrast, -1, 1.2) * 9)
    return tuple(float(one) for one in odds / odds.sum())
