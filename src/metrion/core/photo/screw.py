"""A thimble beside its datum line: where the line meets the lines of the thimble in a picture."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import ndimage

from metrion.core.arrays import Array
from metrion.core.photo.fan import fan_of
from metrion.core.photo.fit import steadied
from metrion.core.photo.long_lines import longs_of
from metrion.core.photo.overlay import Mark, marks
from metrion.core.photo.strip import Brightness, Edge, Strip, strip_of
from metrion.core.photo.waves import WaveBand, bands_of, counted, line_centres, pitch_of, power_of

_GUARD = 4.0
_LINES, _PART = 8.0, 1 / 7
"""So many thimble lines on either side of the datum line tell where it meets them; of a thimble
of few lines this part of all, since what is farther round is seen too much from the side."""
_SHORT, _SHORTEST = 1.9, 3.4
"""From here on an edge was set along a part of the thimble only: lines are so many times wider
apart than if it were all of it; and at most."""
_BENT = 0.03
"""By what part of the whole way round the edge may be off its chord."""
_ROWS = 40
"""So many rows along the datum line tell its direction."""
_NO_OUTLINE = 0.06
"""Of the edge, at either end, where no datum line is."""
_LONE, _NO_BETTER = 0.015, 1e-3
"""In pixels: a lone line is told no better, however long it is; and its middle in a row."""
_LEAST_SEEN = 0.25
"""Of the rows along the datum line: where fewer can be seen there is none to find."""


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


def met_at(picture: Brightness, ends: Array, lines: int) -> Met | None:
    """Where the datum line of a sleeve meets the thimble; None where too little can be made out.

    Args:
        ends: of the edge of the thimble, in pixels; the thimble lies to the right of it.
        lines: n of the thimble.
    """
    top, bottom = sorted(ends, key=lambda end: float(end[1]))
    edge = Edge(np.asarray(top), np.asarray(bottom))
    guess = np.pi * edge.length / lines
    found = _met(picture, edge, guess, lines)
    if found is not None and found.pitch > _SHORT * guess:
        return _met(picture, edge, found.pitch, lines) or found
    return found


def _met(picture: Brightness, edge: Edge, guess: float, lines: int) -> Met | None:
    """See `met_at`.

    Args:
        guess: pixels to a thimble line.
    """
    reach = float(np.clip(6 * guess, 30, 260))
    strip = strip_of(
        picture,
        edge,
        above=1.6 * reach,
        below=2.4 * reach,
        beyond=0.3 * edge.length,
        smooth=3 * guess,
    )
    datum = _datum(strip, guess, edge.length)
    if datum is None:
        return None
    # Seen from the side the edge is bent: between its ends it is elsewhere by part of a radius.
    bent, most = _BENT * lines * guess, min(_LINES, _PART * lines)
    near = bands_of(strip, -bent, reach / 3 + bent, max(2, int(guess / 8)))
    window = np.abs(strip.along - datum.place) < 1.5 * most * guess
    cut = [WaveBand(band.off, band.dark[window]) for band in near]
    pitch, clear = pitch_of(cut, 0.45 * guess, _SHORT * guess)
    wider = pitch_of(cut, _SHORT * guess, _SHORTEST * guess)
    if power_of(cut, wider[0]) > power_of(cut, pitch):
        pitch, clear = wider
    fan = fan_of(near, counted(near, strip.along, pitch), lines, datum.place, pitch, most)
    if fan is None:
        return None
    [on_edge] = marks(np.zeros(1), edge, datum.along_of, -1)
    return Met(
        count=fan.met, error=float(np.hypot(fan.error, datum.error / pitch)),
        longs=longs_of(strip, fan, fan.numbers(most)), pitch=pitch, clear=(clear, datum.clear),
        aslant=fan.aslant, datum=on_edge, rail=fan.rail(edge, most),
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
    # Toward its ends the outline of the sleeve is near, which is no line.
    inside = (strip.along > _NO_OUTLINE * length) & (strip.along < (1 - _NO_OUTLINE) * length)
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
    rows, row = np.column_stack([np.ones_like(off), off]), np.arange(1.0 * len(off))
    fit = steadied(lambda _: (rows, centre), row, np.zeros(2), np.full(2, np.inf), least=_NO_BETTER)
    clear = much / (float(np.nanstd(smooth[:, inside])) + 1e-6)
    error = float(np.hypot(np.sqrt(fit.covariance[0, 0]), _LONE))
    return _Datum(float(fit.terms[0]), float(fit.terms[1]), error, clear)


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
