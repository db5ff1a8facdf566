"""Scales as a camera sees them: each pixel asks what of the tool lies under it."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from metrion.core.arrays import Array
from metrion.core.camera.flaws import Flaws, developed
from metrion.core.camera.ink import fine_marks, marks, numerals
from metrion.core.camera.lens import Camera, Shot


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
    camera = Camera(size, (middle, random.uniform(-2, 2)), pixels, flaws)
    x, y, pixel = camera.plane()
    ends = (stand.start - 0.22 * stand.whole, stand.start + 1.22 * stand.whole)
    across, up, _ = camera.plane(flaws.height) if flaws.height else (x, y, pixel)
    fine = _Fine(across, up, (across > ends[0]) & (across < ends[1]))

    def seen(at: float) -> Array:
        return camera.pixels(at, 0, flaws.height)

    def beside(pixel: Array) -> float:
        return camera.beneath(pixel)[0]

    if flaws.height:
        stand = replace(stand, met=_met(stand, seen, beside))
    return _taken(stand, x, y, pixel, fine, seen, flaws, random)


def _met(stand: _Stand, seen: Callable[[float], Array], beside: Callable[[Array], float]) -> float:
    """The fine line that meets in a picture where one scale lies below the other.

    Args:
        seen: the pixel of a place on the edge of the fine scale.
        beside: where along the main scale a pixel lies.
    """
    # Beyond its ends the fine scale is thought to go on: some line always meets.
    line = np.linspace(-stand.lines, 2 * stand.lines, 24 * stand.lines)
    place = np.array([beside(seen(stand.start + one * stand.step)) for one in line])
    passed = place - line * round(stand.step)
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
    camera = Camera(size, middle, pixels, flaws)

    def round_the_middle(x: Array, y: Array) -> tuple[Array, Array]:
        return top + np.arctan2(x, y + radius) / arc, np.hypot(x, y + radius) - radius

    def seen(at: float) -> Array:
        angle = (at - top) * arc
        out = radius * (np.cos(angle) - 1)
        return camera.pixels(radius * np.sin(angle), out, flaws.height)

    def beside(pixel: Array) -> float:
        return float(round_the_middle(*map(np.asarray, camera.beneath(pixel)))[0])

    x, y, pixel = camera.plane()
    along, out = round_the_middle(x, y)
    lower = round_the_middle(*camera.plane(flaws.height)[:2]) if flaws.height else (along, out)
    fine = _Fine(*lower, np.ones(x.shape, dtype=bool))
    if flaws.height:
        stand = replace(stand, met=_met(stand, seen, beside))
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
    main = marks(along, out, pixel, half, (2.6, 3.6, 4.6), 0, 400)
    number = along + stand.passed - stand.first
    tens = np.round(number / 10)
    main += numerals(tens * stand.worth, (number - 10 * tens) / 1.8, (out - 6.2) / 1.8)
    shifted = (below.along - stand.start) / step
    fine = fine_marks(shifted, -below.out, pixel, half, step, lines)
    numbered = (shifted > -2) & (shifted < lines + 2)
    fives = 5 * np.round(shifted / 5)
    fine += numbered * numerals(fives, (shifted - fives) * step / 1.5, (below.out + 5.4) / 1.5)
    ink = np.where(out > 0, main, fine)
    edge_line = np.clip(1 - np.abs(out) / (pixel * 1.2), 0, 1) * random.uniform(0.0, 0.5)
    picture = picture * (1 - 0.8 * np.clip(ink, 0, 1)) * (1 - edge_line)
    found = developed(picture, flaws, random, seen(stand.start + stand.meets * step))
    inset = random.uniform(-0.04, 0.06) * stand.whole
    edge = np.array([seen(stand.start + inset), seen(stand.start + stand.whole - inset)])
    edge += random.normal(0, flaws.thumb, edge.shape)
    return Shot(found, edge, stand.meets, seen(stand.start))
