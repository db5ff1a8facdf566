"""The lines of a thimble as a camera sees lines along a round body: like a fan."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from metrion.core.arrays import Array
from metrion.core.photo.fit import steadied
from metrion.core.photo.overlay import Mark, marks
from metrion.core.photo.strip import Edge
from metrion.core.photo.waves import Counted, WaveBand, line_centres

_ROUND, _DEEP = np.array([0.2, 0.4, 0.4]), np.array([0.1, 0.1])
"""How far terms of a fan usually are from those of a thimble that faces a camera far away: of its
radius as it is seen and of where the datum line is on it; of a camera that is not so far away."""
_LOOKS = (0.6, 0.8, 1.0)
"""What part of the lines is looked at first, and then, where those let expect the others."""
_LEAST_CENTRES = 12
_NO_BETTER = 1e-3
"""Ways to the next line: no middle of a line is known better."""


@dataclass(frozen=True)
class Fan:
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


def fan_of(
    bands: list[WaveBand], waves: list[Counted], lines: int, place: float, pitch: float, most: float
) -> Fan | None:
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

        def expected(off: float, most: float, fan: Fan = fan) -> tuple[Array, Array]:
            numbers = fan.numbers(most)
            return numbers, fan.places(numbers, off)

    return fan


def _fitted(found: Array, lines: int, place: float, pitch: float) -> Fan:
    """The fan of lines that were found.

    Args:
        found: of each place how far along and off the edge it is, and the number of its line.
    """
    along, off, number = found.T
    x, y = (along - place) / pitch, off / pitch
    radius = lines / (2 * np.pi)
    likely = np.array([radius, 0, 0, 0, 0, 0, 0])
    usual = np.array([*_ROUND * radius, *_DEEP, np.inf, np.inf])
    fit = steadied(
        lambda terms: (Fan.rows(number, lines, x, y, terms), x), number, likely, usual,
        least=_NO_BETTER,
    )  # fmt: skip
    return Fan(lines, place, pitch, fit.terms, fit.covariance)
