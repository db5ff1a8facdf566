"""Lines and numerals of scales: how much of each pixel is covered by them."""

from __future__ import annotations

import numpy as np

from metrion.core.arrays import Array


def ink_of(off: Array, half: float, pixel: Array) -> Array:
    """How much of a pixel is covered by a line, from how far off its middle the pixel is."""
    return np.clip((half - np.abs(off)) / pixel + 0.5, 0, 1)


def marks(
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
    return there * ends * ink_of(along - nearest, half, pixel)


def fine_marks(
    along: Array, off_edge: Array, pixel: Array, half: float, step: float, lines: int
) -> Array:
    """The lines of a fine scale, which are as far apart as they are."""
    lengths = (2.4 / step, 3.2 / step, 4.0 / step)
    return marks(along, off_edge / step, pixel / step, half / step, lengths, 0, lines)


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


def numerals(number: Array, across: Array, upward: Array) -> Array:
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
