"""A thimble beside its datum line: where the line meets the lines of the thimble in a picture."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import ndimage

from metrion.core.photo.fit import covariance, spread_of, trusted
from metrion.core.photo.laid import Mark, marks
from metrion.core.photo.strip import Array, Edge, Strip, strip_of
from metrion.core.photo.waves import Band, Counted, bands_of, counted, line_centres, pitch_of

_GUARD = 4.0
_LINES, _PART = 8.0, 1 / 7
"""So many thimble lines on either side of the datum line tell where it meets them; of a thimble
of few lines this part of all, since what is farther round is seen too much from the side."""
_BENDS, _SLANTS = np.linspace(-1.0, 1.0, 21), np.linspace(-1.2, 1.2, 25)
"""In lines: by how much an edge seen from the side may be bent there, and set aslant."""
_UNUSUAL = 0.05
"""By so much less likely is an edge that is bent by a line."""
_BENT = 0.03
"""By what part of the whole way round the edge may be off its chord."""
_HALF, _TELLING = 0.45, 9.0
"""How telling it is where lines are longer than others by that part of the way to the next line."""
_LONGER, _FADED = 0.3, 0.3
"""How much longer a long line is at least, in ways to the next; a line less dark is faded."""
_NO_BETTER = 1e-3
"""No middle of a line is known better than to such a part of what it is counted in."""
_ROUND, _DEEP = np.array([0.2, 0.4, 0.4]), np.array([0.1, 0.1])
"""How far terms of a fan usually are from those of a thimble that faces a camera far away: of its
radius as it is seen and of where the datum line is on it; of a camera that is not so far away."""
_LOOKS = (0.6, 0.8, 1.0)
"""What part of the lines is looked at first, and then, where those let expect the others."""
_LEAST_CENTRES = 12
_ROWS = 40
"""So many rows along the datum line tell its direction."""
_NO_OUTLINE = 0.06
"""Of the edge, at either end, where no datum line is."""
_LONE = 0.015
"""In pixels: a lone line is told no better, however long it is."""
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
    cut = [Band(band.off, band.dark[window]) for band in near]
    pitch, clear = pitch_of(cut, 0.45 * guess, 1.9 * guess)
    fan = _fan(near, counted(near, strip.along, pitch), lines, datum.place, pitch, most)
    if fan is None:
        return None
    [on_edge] = marks(np.zeros(1), edge, datum.along_of, -1)
    return Met(
        count=fan.met, error=float(np.hypot(fan.error, datum.error / pitch)),
        longs=_longs(strip, fan, fan.numbers(most)), pitch=pitch, clear=(clear, datum.clear),
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
    terms, known = _steadied(lambda _: rows, centre, row, np.zeros(2), np.full(2, np.inf))
    clear = much / (float(np.nanstd(smooth[:, inside])) + 1e-6)
    return _Datum(
        float(terms[0]), float(terms[1]), float(np.hypot(np.sqrt(known[0, 0]), _LONE)), clear
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


def _steadied(
    rows_of: Callable[[Array], Array], wanted: Array, line: Array, likely: Array, usual: Array
) -> tuple[Array, Array]:
    """Terms that fit most of what is wanted, whatever the rest is, and their covariance.

    Args:
        rows_of: what terms are multiplied by, where they are about so large.
        line: on which each place lies; places on one line are off together.
        likely, usual: of each term, and how far it usually is from that.
    """
    weight, terms, spread = np.ones_like(wanted), likely, 1.0
    for _ in range(10):
        rows, beforehand = rows_of(terms), np.diag(spread / usual)
        root = np.sqrt(weight)[:, None]
        terms = np.linalg.lstsq(
            np.vstack([rows * root, beforehand]),
            np.concatenate([wanted * root[:, 0], beforehand @ likely]), rcond=None,
        )[0].astype(float)  # fmt: skip
        off = wanted - rows @ terms
        spread = spread_of(off) + _NO_BETTER
        weight = trusted(off, spread)
    return terms, covariance(rows, weight, off, line, beforehand)


@dataclass(frozen=True)
class _Fan:
    """The lines of a thimble about the datum line, as a camera sees lines along a round body.

    Line k of n, at an angle of ``2 pi k / n`` round the thimble, is seen where
    ``x (1 + d sin + e cos) = w + f y (1 + d sin + e cos) - g w y`` with
    ``w = a sin + b cos + c``: one perspective for the round edge, one point for all directions.

    Attributes:
        lines: n of the thimble.
        place, pitch: of the datum line along the edge, and of the lines there, in pixels; x and y
            are counted from that place in those.
        terms: a to g.
        known: the covariance of those.
    """

    lines: int
    place: float
    pitch: float
    terms: Array
    known: Array

    @staticmethod
    def rows(number: Array, lines: int, x: Array, y: Array, terms: Array) -> Array:
        """What terms are multiplied by where they are about so large, to have x."""
        sin, cos = _round(number, lines)
        a, b, c, d, e, *_ = terms
        whole, deep = a * sin + b * cos + c, 1 + d * sin + e * cos
        return np.column_stack(
            [sin, cos, np.ones_like(x), -x * sin, -x * cos, y * deep, -y * whole]
        )

    @property
    def _apart(self) -> tuple[float, float]:
        """How far round the datum line is from line 0 and from what faces the camera."""
        a, b, c, *_ = self.terms
        facing = -float(np.arcsin(np.clip(c / np.hypot(a, b), -1, 1)))
        return facing - float(np.arctan2(b, a)), facing

    @property
    def met(self) -> float:
        """The line and parts of one that the datum line meets."""
        return self._apart[0] * self.lines / (2 * np.pi)

    @property
    def error(self) -> float:
        """The standard error of that."""
        sin, cos = np.sin(self._apart[0]), np.cos(self._apart[0])
        part = np.array([sin, cos, 1.0, 0, 0, 0, 0])
        steep = 2 * np.pi / self.lines * (self.terms[0] * cos - self.terms[1] * sin)
        return float(np.sqrt(max(part @ self.known @ part, 0.0)) / steep)

    @property
    def aslant(self) -> float:
        """From how far round the thimble it is seen, in degrees from the datum line."""
        return float(abs(np.degrees(self._apart[1])))

    def numbers(self, most: float) -> Array:
        """The lines about the datum line, so many on either side."""
        return np.arange(np.ceil(self.met - most), np.floor(self.met + most) + 1)

    def places(self, numbers: Array, off: float) -> Array:
        """Where lines are along the edge, so far off it in pixels."""
        sin, cos = _round(numbers, self.lines)
        a, b, c, d, e, f, g = self.terms
        x, y = (a * sin + b * cos + c) / (1 + d * sin + e * cos), off / self.pitch
        found: Array = self.place + self.pitch * (x + y * (f - g * x))
        return found

    def rail(self, edge: Edge, most: float) -> tuple[Mark, ...]:
        """Places along the edge, half a line apart, counted from the datum line."""
        at = np.arange(-most, most + 0.25, 0.5)
        return tuple(marks(at, edge, lambda at, off: self.places(at + self.met, off), 1))


def _round(number: Array, lines: int) -> tuple[Array, Array]:
    """Sine and cosine of how far round a thimble lines are."""
    angle = 2 * np.pi / lines * number
    return np.sin(angle), np.cos(angle)


def _fan(
    bands: list[Band], waves: list[Counted], lines: int, place: float, pitch: float, most: float
) -> _Fan | None:
    """The fan on which the middles of the lines about the datum line lie."""
    middle = waves[len(waves) // 2]
    base = float(np.floor(np.interp(place, middle.along, middle.count)))
    counts = {float(wave.off[0]): np.maximum.accumulate(wave.count - base) for wave in waves}
    lined, along = [band for band in bands if band.off in counts], middle.along

    def as_counted(off: float, most: float) -> tuple[Array, Array]:
        reach = most * pitch
        low, high = np.interp([place - reach, place + reach], along, counts[off])
        numbers = np.arange(np.ceil(low), np.floor(high) + 1)
        return numbers, np.interp(numbers, counts[off], along)

    expected = as_counted
    for part in _LOOKS:
        found = [
            (centre, band.off, float(numbers[at]))
            for band in lined
            for numbers, predicted in [expected(band.off, part * most)]
            for at, centre, _ in line_centres(band, along, predicted, 0.3 * pitch)
        ]
        if len(found) < _LEAST_CENTRES:
            return None
        fan = _fitted(np.array(found), lines, place, pitch)
        if abs(fan.terms[2]) > np.hypot(fan.terms[0], fan.terms[1]):
            return None

        def expected(off: float, most: float, fan: _Fan = fan) -> tuple[Array, Array]:
            numbers = fan.numbers(most)
            return numbers, fan.places(numbers, off)

    return fan


def _fitted(found: Array, lines: int, place: float, pitch: float) -> _Fan:
    """The fan of lines that were found.

    Args:
        found: of each place how far along and off the edge it is, and the number of its line.
    """
    along, off, number = found.T
    x, y = (along - place) / pitch, off / pitch
    radius = lines / (2 * np.pi)
    likely = np.array([radius, 0, 0, 0, 0, 0, 0])
    usual = np.array([*_ROUND * radius, *_DEEP, np.inf, np.inf])
    terms, known = _steadied(
        lambda terms: _Fan.rows(number, lines, x, y, terms), x, number, likely, usual
    )
    return _Fan(lines, place, pitch, terms, known)


def _longs(strip: Strip, fan: _Fan, numbers: Array) -> tuple[float, ...]:
    """Which of five lines is the long one: all others end together, and it ends later.

    What is blinded speaks for neither; where no other line is long, it is the blinded one.
    """
    _, dark = _beginning_together(*_along_lines(strip, fan, numbers), fan, numbers)
    full = np.nanmedian(dark[: max(2, int(fan.pitch))], axis=0)
    usual = np.nanmedian(full)
    seen = dark / np.where(full > _FADED * usual, full, usual)
    is_line, is_none = (np.nan_to_num(np.minimum(off**2, 1.0)) for off in (seen - 1, seen))
    begun = np.zeros((1, len(numbers)))
    # What speaks against each line if it ends at a row: lines missed before, and seen after.
    against = np.vstack([begun, np.cumsum(is_line, axis=0)]) + np.vstack(
        [np.cumsum(is_none[::-1], axis=0)[::-1], begun]
    )
    later = int(_LONGER * fan.pitch)
    least = []
    for residue in range(LONG):
        long = np.mod(numbers, LONG) == residue
        own = np.minimum.accumulate(against[::-1, long].sum(axis=1))[::-1]
        least.append(float(np.min(against[: len(own) - later, ~long].sum(axis=1) + own[later:])))
    worse = (np.array(least) - min(least)) / (_HALF * fan.pitch * len(numbers) / LONG)
    odds = np.exp(-_TELLING * np.minimum(worse, 1.2))
    return tuple(float(one) for one in odds / odds.sum())


def _along_lines(strip: Strip, fan: _Fan, numbers: Array) -> tuple[Array, Array]:
    """How much darker each line of a fan is than what is beside it.

    Returns:
        the rows, from the sleeve to the thimble, and the darkness of each row by line.
    """
    off = strip.off[::-1]
    dark = np.zeros((len(off), len(numbers)))
    for row, (place, across) in enumerate(zip(off, strip.dark[::-1], strict=True)):
        for beside, part in ((0.0, 1.0), (-0.5, -0.5), (0.5, -0.5)):
            at = fan.places(numbers + beside, float(place))
            dark[row] += part * np.interp(at, strip.along, across)
    return off, dark


def _beginning_together(off: Array, dark: Array, fan: _Fan, numbers: Array) -> tuple[Array, Array]:
    """The same from where the lines begin: on an edge that is bent, and set aslant by a thumb."""
    at = fan.places(numbers, 0.0) - fan.place
    part = at / np.max(np.abs(at))
    slant, bend = (fan.pitch * each.ravel() for each in np.meshgrid(_SLANTS, _BENDS))
    moved = slant[:, None] * part + bend[:, None] * part**2
    # Where all begin together, their mean rises most.
    wide = max(2, int(fan.pitch))
    rise = np.zeros((len(off), 1))
    rise[:wide], rise[-wide:] = 1, -1
    waves = np.fft.rfft(np.nan_to_num(dark), axis=0) * np.conj(np.fft.rfft(rise, axis=0))
    turn = 2j * np.pi * np.fft.rfftfreq(len(off))[:, None]
    means = np.array([(waves * np.exp(turn * one)).mean(axis=1) for one in moved])
    risen = np.fft.irfft(means, len(off), axis=1)
    best = int(np.argmax(risen.max(axis=1) * (1 - _UNUSUAL * (slant**2 + bend**2) / fan.pitch**2)))
    begin = int(np.argmax(risen[best]))
    together = [
        np.interp(off[begin:] + far, off, one, right=np.nan)
        for far, one in zip(moved[best], dark.T, strict=True)
    ]
    return off[begin:], np.array(together).T
