"""Evenly spaced lines as a wave: where each column of a strip lies among them.

Not one line but all of them say where a scale stands: the local phase of the darkness is counted
along the edge, whatever lines are missing, longer, or scratched.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy import ndimage

from metrion.core.arrays import Array
from metrion.core.photo.strip import Strip

_WINDOW = 1.1
"""Over how many lines the phase is taken, standard deviation of the weights."""
_WEAK = 0.45
"""A band with less of the wave than this part of the best one has no lines of its own."""


@dataclass(frozen=True)
class WaveBand:
    """Some rows of a strip together.

    Attributes:
        off: how far above the edge, in pixels.
        dark: darkness of each column; NaN where it is blinded.
    """

    off: float
    dark: Array


@dataclass(frozen=True)
class Counted:
    """Where columns of a band lie among the lines of a scale.

    Attributes:
        along, off: the places, in pixels.
        count: lines and parts of one from an arbitrary first one.
        weight: how much of a wave there is.
    """

    along: Array
    off: Array
    count: Array
    weight: Array


def bands_of(strip: Strip, low: float, high: float, rows: int) -> list[WaveBand]:
    """The rows between two distances from the edge, so many together."""
    chosen = np.flatnonzero((strip.off >= min(low, high)) & (strip.off <= max(low, high)))
    found = []
    for begin in range(0, len(chosen) - rows + 1, rows):
        part = chosen[begin : begin + rows]
        with np.errstate(invalid="ignore"):
            dark = np.mean(strip.dark[part], axis=0)
        found.append(WaveBand(float(np.mean(strip.off[part])), dark))
    return found


def pitch_of(bands: list[WaveBand], shortest: float, longest: float) -> tuple[float, float]:
    """The distance of neighbouring lines, and how clearly it stands out (1 is not at all)."""
    size = 1 << (len(bands[0].dark) * 8 - 1).bit_length()
    power = np.zeros(size // 2 + 1)
    for band in bands:
        dark = np.nan_to_num(band.dark - np.nanmean(band.dark))
        power += np.abs(np.fft.rfft(dark * np.hanning(len(dark)), size)) ** 2
    frequency = np.fft.rfftfreq(size)
    tried = np.geomspace(shortest, longest, 400)
    # The first three harmonics: numerals and long lines have periods of their own.
    found = sum(np.interp(order / tried, frequency, power) for order in (1, 2, 3))
    found = found - 0.7 * np.interp(0.5 / tried, frequency, power)
    best = int(np.argmax(found))
    return float(tried[best]), float(found[best] / max(np.median(found), 1e-12))


def power_of(bands: list[WaveBand], pitch: float) -> float:
    """How much of the darkness comes and goes at such a distance."""
    found = 0.0
    for band in bands:
        dark = np.nan_to_num(band.dark - np.nanmean(band.dark)) * np.hanning(len(band.dark))
        found += abs(np.sum(dark * np.exp(-2j * np.pi * np.arange(len(dark)) / pitch))) ** 2
    return float(found)


def counted(bands: list[WaveBand], along: Array, pitch: float) -> list[Counted]:
    """Each band with its lines counted, all of them from the same line; best bands only."""
    waves = [_wave(band, along, pitch) for band in bands]
    strength = np.array([float(np.mean(np.abs(wave))) for wave in waves])
    best = int(np.argmax(strength))
    kept: dict[int, Counted] = {}
    for at in (best, *range(best + 1, len(bands)), *range(best - 1, -1, -1)):
        if strength[at] < _WEAK * strength[best]:
            continue
        count = along / pitch + np.unwrap(np.angle(waves[at])) / (2 * np.pi)
        weight = np.abs(waves[at])
        if kept:
            nearest = kept[min(kept, key=lambda other: abs(other - at))]
            both = weight * nearest.weight
            off = np.sum(both * (count - nearest.count)) / max(np.sum(both), 1e-12)
            count = count - np.round(off)
        kept[at] = Counted(along, np.full_like(along, bands[at].off), count, weight)
    return [kept[at] for at in sorted(kept)]


def _wave(band: WaveBand, along: Array, pitch: float) -> Array:
    blind = np.isnan(band.dark)
    dark = np.where(blind, 0.0, np.clip(band.dark, -0.3, 1.0))
    dark = dark - ndimage.uniform_filter1d(dark, max(3, int(2 * pitch)))
    turned = np.where(blind, 0.0, dark) * np.exp(-2j * np.pi * along / pitch)
    sigma = _WINDOW * pitch
    smooth: Array = ndimage.gaussian_filter1d(turned.real, sigma) + 1j * ndimage.gaussian_filter1d(
        turned.imag, sigma
    )
    return smooth


def line_centres(
    band: WaveBand, along: Array, predicted: Array, reach: float
) -> Iterator[tuple[int, float, float]]:
    """Near each predicted place the middle of the darkness: number, place, how much there is."""
    step = float(along[1] - along[0])
    middle, total = np.array(predicted, dtype=np.float64), np.zeros(len(predicted))
    left = np.flatnonzero(np.isfinite(middle))
    for _ in range(3):
        low = np.ceil((middle[left] - reach - along[0]) / step).astype(int)
        count = np.floor((middle[left] + reach - along[0]) / step).astype(int) + 1 - low
        fits = (low >= 0) & (low + count <= len(along)) & (count >= 3)
        left, low, count = left[fits], low[fits], count[fits]
        if not len(left):
            return
        column = np.arange(count.max())
        inside = column < count[:, None]
        at = np.minimum(low[:, None] + column, len(along) - 1)
        dark, x = band.dark[at], along[at]
        ground = _ground_of(np.where(inside, dark, np.inf), np.maximum(2, count // 3))
        off = np.clip((x - middle[left, None]) / reach, -1, 1)
        weight = np.clip(dark - ground[:, None], 0, None) * np.cos(off * np.pi / 2) * inside
        # Where it is blinded there is neither a middle nor a sum.
        total[left] = weight.sum(axis=1)
        middle[left] = (weight * x).sum(axis=1) / np.maximum(total[left], 1e-12)
        good = (total[left] > 1e-6) & (np.abs(middle[left] - predicted[left]) <= reach)
        left = left[good]
    for one in left:
        yield int(one), float(middle[one]), float(total[one] * step)


def _ground_of(dark: Array, few: NDArray[np.integer]) -> Array:
    """The mean of the few least values of each row."""
    least = np.cumsum(np.sort(dark, axis=1), axis=1)
    found: Array = least[np.arange(len(dark)), few - 1] / few
    return found
