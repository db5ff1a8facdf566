"""A thimble beside a sleeve as a camera sees them: round, one a little thinner than the other."""

from __future__ import annotations

import numpy as np

from metrion.core.arrays import Array
from metrion.core.camera.flaws import Flaws, developed
from metrion.core.camera.ink import ink_of, marks, numerals
from metrion.core.camera.lens import Camera, Shot

_SLEEVE_MARK = 3.0
"""From each mark of a sleeve to the next, in thimble lines."""
_SLEEVE = 0.96
"""Its radius, of that of the thimble at its edge."""
_LONG = 5
"""Every so many thimble lines one is longer and bears a numeral."""


def photograph_screw(
    lines: int, position: float, pixels: float, flaws: Flaws, random: np.random.Generator,
    *, upward: bool = True, size: tuple[int, int] = (1600, 1000), passed: float = 0.0,
) -> Shot:  # fmt: skip
    """A thimble beside a sleeve, its edge upright.

    Args:
        lines: of the whole thimble, n.
        position: of the datum line among the thimble lines.
        pixels: to a thimble line, in the middle.
        passed: what of the sleeve is open, in its marks.
    """
    radius, sign = lines / (2 * np.pi), 1.0 if upward else -1.0
    camera = Camera(size, (random.uniform(-2, 2), random.uniform(-1, 1)), pixels, flaws)
    datum = np.radians(random.uniform(-4, 4))
    half = min(random.uniform(0.07, 0.13), 3.5 / pixels)
    light = random.uniform(0.65, 0.9)
    x, round_it, away = camera.along_body(radius, radius)
    facing, pixel = np.maximum(np.cos(round_it), 0.05), away / camera.focal
    on_thimble = x > 0
    along = sign * (round_it - datum) * radius + position
    fives = _LONG * np.round(along / _LONG)
    ink = np.where(
        on_thimble,
        marks(along + 10 * lines, x, pixel / facing, half, (2.2, 3.2, 3.2), 0, 30 * lines)
        + numerals(np.mod(fives, lines), (x - 4.9) / 1.1, sign * (along - fives) / 1.1),
        0,
    )
    picture = np.where(on_thimble, light * (0.55 + 0.45 * facing), 0.35)
    x_sleeve, round_sleeve, away = camera.along_body(_SLEEVE * radius, radius)
    on_sleeve, pixel = ~on_thimble & (x_sleeve <= 0), away / camera.focal
    beside = _SLEEVE * radius * (round_sleeve - datum)
    picture = np.where(
        on_sleeve, light * 0.95 * (0.6 + 0.4 * np.maximum(np.cos(round_sleeve), 0)), picture
    )
    mark = x_sleeve / _SLEEVE_MARK + passed
    ticks = ink_of((mark - np.round(mark)) * _SLEEVE_MARK, half, pixel) * (np.round(mark) >= 0)
    ticks = np.where((beside > 0) & (beside < 2.0), ticks, 0)
    ink = np.where(on_sleeve, ink_of(beside, half, pixel) + ticks, ink)
    picture = picture * (1 - 0.8 * np.clip(np.nan_to_num(ink), 0, 1))
    met = _met(camera, radius, datum)
    found = developed(picture, flaws, random, camera.pixels(0, radius * np.sin(datum)))
    reach = np.arcsin(random.uniform(0.5, 0.9))
    edge = np.array([_on_body(camera, radius, radius, 0.0, at) for at in (reach, -reach)])
    edge += random.normal(0, flaws.thumb, edge.shape)
    seen = position + sign * (met - datum) * radius
    return Shot(found, edge, seen % _LONG, None, upward)


def _on_body(camera: Camera, radius: float, axis: float, x: float, round_it: float) -> Array:
    """The pixel of a place on a round body whose middle is so far below the plane of the tool."""
    return camera.pixels(x, radius * np.sin(round_it), axis - radius * np.cos(round_it))


def _met(camera: Camera, radius: float, datum: float) -> float:
    """How far round a thimble its line would be that meets the datum line as it is seen."""
    near, far = (_on_body(camera, _SLEEVE * radius, radius, x, datum) for x in (-1.0, -9.0))
    across = np.array([near[1] - far[1], far[0] - near[0]])
    round_it = datum + np.linspace(-0.3, 0.3, 601)
    place = np.array([_on_body(camera, radius, radius, 0.0, at) for at in round_it])
    off = (place - near) @ across
    off = off * np.sign(off[-1] - off[0])
    return float(np.interp(0.0, off, round_it))
