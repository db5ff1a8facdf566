"""Scales as a camera sees them: each pixel asks what of the tool lies under it."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from metrion.core.camera.flaws import Array, Flaws, developed


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


class _Camera:
    """From the plane of the tool, in main divisions, to pixels and back."""

    def __init__(
        self, size: tuple[int, int], middle: tuple[float, float], pixels: float, flaws: Flaws
    ) -> None:
        width, height = size
        focal = 2.2 * width
        turn, (about_x, about_y) = np.radians(flaws.turned), np.radians(flaws.tilted)
        rotation = _about(2, turn) @ _about(0, about_x) @ _about(1, about_y)
        distance = focal / pixels
        lens = np.array([[focal, 0, width / 2], [0, focal, height / 2], [0, 0, 1.0]])
        moved = np.array([[1, 0, -middle[0]], [0, 1, -middle[1]], [0, 0, 1.0]])

        def seen(below: float) -> Array:
            """The map of a plane so far below that of the main scale."""
            away = np.array([0, 0, distance]) + below * rotation[:, 2]
            columns = np.column_stack([rotation[:, 0], -rotation[:, 1], away])
            found: Array = lens @ columns @ moved
            return found

        self.to_pixels, self.to_lower = seen(0.0), seen(flaws.height)
        self.size = size

    def pixels(self, x: float, y: float, *, lower: bool = False) -> Array:
        """Where a point of the main scale is seen, or of the plane below it."""
        found = (self.to_lower if lower else self.to_pixels) @ np.array([x, y, 1.0])
        seen: Array = found[:2] / found[2]
        return seen

    def plane(self, *, lower: bool = False) -> tuple[Array, Array, Array]:
        """What lies under each pixel, and how large a pixel is there."""
        width, height = self.size
        column, row = np.meshgrid(np.arange(width) + 0.0, np.arange(height) + 0.0)
        a = np.linalg.inv(self.to_lower if lower else self.to_pixels)
        b = np.stack([column, row, np.ones_like(row)])
        x, y, w = np.tensordot(a, b, axes=1)
        pixel = np.abs(np.linalg.det(a)) ** 0.5 / np.abs(w) ** 1.5
        return x / w, y / w, pixel


def _about(axis: int, angle: float) -> Array:
    cos, sin = np.cos(angle), np.sin(angle)
    found = np.eye(3)
    one, two = [at for at in range(3) if at != axis]
    found[one, one], found[one, two], found[two, one], found[two, two] = cos, -sin, sin, cos
    return found


def _ink(off: Array, half: float, pixel: Array) -> Array:
    """How much of a pixel is covered by a line, from how far off its middle the pixel is."""
    return np.clip((half - np.abs(off)) / pixel + 0.5, 0, 1)


def _marks(
    along: Array,
    off_edge: Array,
    pixel: Array,
    half: float,
    lengths: tuple[float, ...],
    first: float,
    last: float,
) -> Array:
    """Lines at whole numbers, longer at tens and fives, from the edge outward."""  # fmt: skip
    nearest = np.round(along)
    tens, fives = np.mod(nearest, 10) == 0, np.mod(nearest, 5) == 0
    length = np.where(tens, lengths[2], np.where(fives, lengths[1], lengths[0]))
    there = (nearest >= first) & (nearest <= last)
    ends = np.clip((length - off_edge) / pixel + 0.5, 0, 1) * np.clip(off_edge / pixel + 0.5, 0, 1)
    return there * ends * _ink(along - nearest, half, pixel)


def _fine_marks(
    along: Array, off_edge: Array, pixel: Array, half: float, step: float, lines: int
) -> Array:
    """The lines of a fine scale, which are as far apart as they are."""
    lengths = (2.4 / step, 3.2 / step, 4.0 / step)
    return _marks(along, off_edge / step, pixel / step, half / step, lengths, 0, lines)


_STROKES = (
    (0.0, 0.45, 0.3, 0.09), (0.3, 0.23, 0.09, 0.27), (0.3, -0.23, 0.09, 0.27),
    (0.0, -0.45, 0.3, 0.09), (-0.3, -0.23, 0.09, 0.27), (-0.3, 0.23, 0.09, 0.27),
    (0.0, 0.0, 0.3, 0.09),
)  # fmt: skip
"""Where the strokes of a numeral lie, and half of their width and height."""
_DRAWN = np.array(
    [[*map(int, f"{code:07b}"[::-1])] for code in (63, 6, 91, 79, 102, 109, 125, 7, 127, 111)],
    dtype=bool,
)
"""Which of them each numeral has."""
_PLACES = 3
_SLEEVE_MARK = 3.0
"""From each mark of a sleeve to the next, in thimble lines."""


def _numerals(number: Array, across: Array, upward: Array) -> Array:
    """Whole numbers in strokes.

    Args:
        number: that each pixel would belong to.
        across, upward: how far the pixel is from its middle, in heights of a numeral.
    """
    found = np.zeros_like(across)
    near = (np.abs(upward) < 0.6) & (np.abs(across) < 0.5 * _PLACES)
    value = np.mod(np.abs(np.round(number[near])), 10**_PLACES).astype(int)
    x, y = across[near], upward[near]
    shift = 0.45 * ((value > 9).astype(int) + (value > 99).astype(int))
    ink = np.zeros(len(value), dtype=bool)
    for place in range(_PLACES):
        figure = value // 10**place % 10
        there = (place == 0) | (value >= 10**place)
        for stroke, (cx, cy, wide, high) in enumerate(_STROKES):
            inside = (np.abs(x - shift + 0.9 * place - cx) < wide) & (np.abs(y - cy) < high)
            ink |= there & _DRAWN[figure, stroke] & inside
    found[near] = ink
    return found


@dataclass(frozen=True)
class _Stand:
    """How a fine scale stands beside a main scale.

    Attributes:
        lines, step: of the fine scale: n, and from each line to the next in main divisions.
        position: where the lines meet, in fine lines.
        first: the main mark that the fine zero has passed, by its place in the picture.
        passed: the same by its number.
        worth: what the numerals of the main scale go up by at every ten marks.
        met: the fine line that meets as it is seen; None where that is the position.
    """

    lines: int
    step: float
    position: float
    first: float
    passed: float
    worth: float = 1.0
    met: float | None = None

    @property
    def meets(self) -> float:
        """The fine line that meets as it is seen."""
        return self.position if self.met is None else self.met

    @property
    def start(self) -> float:
        """The fine zero, in main divisions."""
        return self.first + float(-self.position * (self.step - round(self.step)) % 1.0)

    @property
    def whole(self) -> float:
        """The length of the fine scale, in main divisions."""
        return self.lines * self.step


def photograph_vernier(
    lines: int, step: float, position: float, pixels: float, flaws: Flaws,
    random: np.random.Generator, size: tuple[int, int] = (1600, 1000), passed: int | None = None,
) -> Shot:  # fmt: skip
    """A straight fine scale on a main scale.

    Args:
        lines: of the fine scale, n.
        step: between two fine lines, in main divisions.
        position: where the lines meet, in fine lines.
        pixels: to a main division.
        passed: the main mark that the fine zero has passed; any without it.
    """
    first = float(random.integers(12, 40)) if passed is None else float(passed)
    stand = _Stand(lines, step, position, first, first)
    middle = stand.start + stand.whole * (0.5 + random.uniform(-0.05, 0.05))
    camera = _Camera(size, (middle, random.uniform(-2, 2)), pixels, flaws)
    x, y, pixel = camera.plane()
    ends = (stand.start - 0.22 * stand.whole, stand.start + 1.22 * stand.whole)
    across, up, _ = camera.plane(lower=True) if flaws.height else (x, y, pixel)
    fine = _Fine(across, up, (across > ends[0]) & (across < ends[1]))

    def seen(at: float) -> Array:
        return camera.pixels(at, 0, lower=True)

    if flaws.height:
        stand = replace(stand, met=_met(camera, stand))
    return _taken(stand, x, y, pixel, fine, seen, flaws, random)


def _met(camera: _Camera, stand: _Stand) -> float:
    """The fine line that meets in a picture where one scale lies below the other."""
    # Beyond its ends the fine scale is thought to go on: some line always meets.
    line = np.linspace(-stand.lines, 2 * stand.lines, 24 * stand.lines)
    pixel = np.array([camera.pixels(stand.start + one * stand.step, 0, lower=True) for one in line])
    beneath = np.linalg.inv(camera.to_pixels) @ np.column_stack([pixel, np.ones(len(line))]).T
    passed = beneath[0] / beneath[2] - line * round(stand.step)
    order = np.argsort(passed)
    whole = np.arange(np.ceil(passed.min()), np.floor(passed.max()) + 1)
    meets = np.interp(whole, passed[order], line[order])
    return float(meets[np.argmin(np.abs(meets - stand.lines / 2))])


def photograph_circle(
    lines: int, step: float, position: float, pixels: float, arc: float, flaws: Flaws,
    random: np.random.Generator, size: tuple[int, int] = (1600, 1000), passed: int | None = None,
) -> Shot:  # fmt: skip
    """A fine scale inside a divided circle.

    Args:
        lines: of the fine scale, n.
        step: between two fine lines, in main divisions.
        position: where the lines meet, in fine lines.
        pixels: to a main division, along the edge.
        arc: one main division in radians.
        passed: the main mark that the fine zero has passed; any without it.
    """
    radius, top = 1 / arc, 200.0
    first = top + float(np.floor(-lines * step / 2))
    number = first if passed is None else float(passed)
    stand = _Stand(lines, step, position, first, number, 10 * np.degrees(arc))
    middle = (random.uniform(-0.05, 0.05) * stand.whole, random.uniform(-2, 2))
    camera = _Camera(size, middle, pixels, flaws)
    x, y, pixel = camera.plane()
    along, out = top + np.arctan2(x, y + radius) / arc, np.hypot(x, y + radius) - radius

    def seen(at: float) -> Array:
        angle = (at - top) * arc
        return camera.pixels(radius * np.sin(angle), radius * (np.cos(angle) - 1))

    fine = _Fine(along, out, np.ones(x.shape, dtype=bool))
    return _taken(stand, along, out, pixel, fine, seen, flaws, random)


@dataclass(frozen=True)
class _Fine:
    """The side of the fine scale as each pixel has it.

    Attributes:
        along: how far it is along the edge, in main divisions.
        out: how far it is on the side of the main scale.
        plate: where there is a plate.
    """

    along: Array
    out: Array
    plate: NDArray[np.bool_]


def _taken(
    stand: _Stand, along: Array, out: Array, pixel: Array, below: _Fine,
    seen: Callable[[float], Array], flaws: Flaws, random: np.random.Generator,
) -> Shot:  # fmt: skip
    """Both scales, and the edge between them as a thumb sets it.

    Args:
        along: of each pixel how far it is along the edge, in main divisions.
        out: how far it is on the side of the main scale.
        below: the same of the fine scale.
        seen: the pixel of a place on the edge of the fine scale.
    """
    lines, step = stand.lines, stand.step
    half = min(random.uniform(0.05, 0.11), 4.0 * float(np.median(pixel)))
    main_light, fine_light = random.uniform(0.62, 0.85), random.uniform(0.6, 0.88)
    plate = np.where(below.plate, fine_light, 0.45)
    picture = np.where(out > 0, main_light, plate) + 0.03 * np.sin(along * 0.7 + out)
    main = _marks(along, out, pixel, half, (2.6, 3.6, 4.6), 0, 400)
    number = along + stand.passed - stand.first
    tens = np.round(number / 10)
    main += _numerals(tens * stand.worth, (number - 10 * tens) / 1.8, (out - 6.2) / 1.8)
    shifted = (below.along - stand.start) / step
    fine = _fine_marks(shifted, -below.out, pixel, half, step, lines)
    numbered = (shifted > -2) & (shifted < lines + 2)
    fives = 5 * np.round(shifted / 5)
    fine += numbered * _numerals(fives, (shifted - fives) * step / 1.5, (below.out + 5.4) / 1.5)
    ink = np.where(out > 0, main, fine)
    edge_line = np.clip(1 - np.abs(out) / (pixel * 1.2), 0, 1) * random.uniform(0.0, 0.5)
    picture = picture * (1 - 0.8 * np.clip(ink, 0, 1)) * (1 - edge_line)
    found = developed(picture, flaws, random, seen(stand.start + stand.meets * step))
    inset = random.uniform(-0.04, 0.06) * stand.whole
    edge = np.array([seen(stand.start + inset), seen(stand.start + stand.whole - inset)])
    edge += random.normal(0, flaws.thumb, edge.shape)
    return Shot(found, edge, stand.meets, seen(stand.start))


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
    radius = lines / (2 * np.pi)
    camera = _Camera(size, (random.uniform(-2, 2), random.uniform(-1, 1)), pixels, flaws)
    x, y, pixel = camera.plane()
    datum = radius * np.sin(np.radians(random.uniform(-4, 4)))
    taper = 1 + random.uniform(0.0, 0.02) * np.clip(x, 0, 5)
    around = np.clip(y / (radius * taper), -0.999, 0.999)
    sign = 1.0 if upward else -1.0
    turn = np.arcsin(np.clip(datum / radius, -1, 1)) * radius
    along = sign * (np.arcsin(around) * radius - turn) + position
    half = min(random.uniform(0.07, 0.13), 3.5 / pixels)
    cos = np.sqrt(1 - around**2)
    on_thimble = (x > 0) & (np.abs(y) < radius * taper)
    on_sleeve = (x <= 0) & (np.abs(y) < 0.86 * radius)
    light = random.uniform(0.65, 0.9)
    picture = np.where(on_thimble, light * (0.55 + 0.45 * cos), 0.35)
    picture = np.where(
        on_sleeve,
        light * 0.95 * (0.6 + 0.4 * np.sqrt(1 - np.clip(y / radius, -1, 1) ** 2)),
        picture,
    )
    fives = 5 * np.round(along / 5)
    ink = np.where(
        on_thimble,
        _marks(along + 10 * lines, x, pixel / cos, half, (2.2, 3.2, 3.2), 0, 30 * lines)
        + _numerals(np.mod(fives, lines), (x - 4.9) / 1.1, sign * (along - fives) / 1.1),
        0,
    )
    ink += np.where(on_sleeve, _ink(y - datum, half, pixel), 0)
    mark = x / _SLEEVE_MARK + passed
    ticks = _ink((mark - np.round(mark)) * _SLEEVE_MARK, half, pixel) * (np.round(mark) >= 0)
    ink += np.where(on_sleeve & (y > datum) & (y < datum + 2.0), ticks, 0)
    edge_line = np.clip(1 - np.abs(x) / (pixel * 1.5), 0, 1) * 0.5 * (np.abs(y) < radius)
    picture = picture * (1 - 0.8 * np.clip(ink, 0, 1)) * (1 - edge_line)
    found = developed(picture, flaws, random, camera.pixels(0, datum))
    reach = random.uniform(0.5, 0.9) * radius
    edge = np.array([camera.pixels(0, reach), camera.pixels(0, -reach)])
    edge += random.normal(0, flaws.thumb, edge.shape)
    return Shot(found, edge, position % 5, None, upward)
