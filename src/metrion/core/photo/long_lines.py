"""Which lines of a thimble are the long ones, wherever its edge is and whatever is blinded."""

from __future__ import annotations

import numpy as np

from metrion.core.arrays import Array
from metrion.core.photo.fan import Fan
from metrion.core.photo.strip import Strip

LONG = 5
"""Every so many thimble lines one is longer."""

_BENDS, _SLANTS = np.linspace(-1.0, 1.0, 21), np.linspace(-1.2, 1.2, 25)
"""In lines: by how much an edge seen from the side may be bent there, and set aslant."""
_UNUSUAL = 0.05
"""By so much less likely is an edge that is bent by a line."""
_HALF, _TELLING = 0.45, 9.0
"""How telling it is where lines are longer than others by that part of the way to the next line."""
_LONGER, _FADED = 0.3, 0.3
"""How much longer a long line is at least, in ways to the next; a line less dark is faded."""


def longs_of(strip: Strip, fan: Fan, numbers: Array) -> tuple[float, ...]:
    """Which of five lines is the long one: all others end together, and it ends later.

    What is blinded speaks for neither; where no other line is long, it is the blinded one.
    """
    _, dark = _beginning_together(*_along_lines(strip, fan, numbers), fan, numbers)
    later = int(_LONGER * fan.pitch)
    if len(dark) <= later:
        return (1 / LONG,) * LONG
    full = np.nanmedian(dark[: max(2, int(fan.pitch))], axis=0)
    usual = np.nanmedian(full)
    seen = dark / np.where(full > _FADED * usual, full, usual)
    is_line, is_none = (np.nan_to_num(np.minimum(off**2, 1.0)) for off in (seen - 1, seen))
    begun = np.zeros((1, len(numbers)))
    # What speaks against each line if it ends at a row: lines missed before, and seen after.
    against = np.vstack([begun, np.cumsum(is_line, axis=0)]) + np.vstack(
        [np.cumsum(is_none[::-1], axis=0)[::-1], begun]
    )
    least = []
    for residue in range(LONG):
        long = np.mod(numbers, LONG) == residue
        own = np.minimum.accumulate(against[::-1, long].sum(axis=1))[::-1]
        least.append(float(np.min(against[: len(own) - later, ~long].sum(axis=1) + own[later:])))
    worse = (np.array(least) - min(least)) / (_HALF * fan.pitch * len(numbers) / LONG)
    odds = np.exp(-_TELLING * np.minimum(worse, 1.2))
    return tuple(float(one) for one in odds / odds.sum())


def _along_lines(strip: Strip, fan: Fan, numbers: Array) -> tuple[Array, Array]:
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


def _beginning_together(off: Array, dark: Array, fan: Fan, numbers: Array) -> tuple[Array, Array]:
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
