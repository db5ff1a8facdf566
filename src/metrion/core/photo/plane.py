"""Both scales in one plane: one projective map for all lines, and how far one scale is off."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from metrion.core.photo.strip import Array

_ROUNDS = 12
_TUKEY = 4.0


@dataclass(frozen=True)
class Marks:
    """Places of lines whose numbers are known.

    Attributes:
        along, off: of each place, in pixels.
        number: the line's, counted along the picture.
        weight: how much it says.
    """

    along: Array
    off: Array
    number: Array
    weight: Array


@dataclass(frozen=True)
class Plane:
    """Main divisions at every place: ``u (d x + e y + 1) = a x + b y + c``.

    Attributes:
        terms: a, b, c, d, e, with x and y in parts of ``size``.
        size: in pixels.
        start: where line 0 of the fine scale lies, in main divisions.
        error: the standard error of that.
        spread: the usual distance of a line from where it should be, in main divisions.
    """

    terms: Array
    size: float
    start: float
    error: float
    spread: float

    def divisions(self, along: Array, off: Array) -> Array:
        """Main divisions at a place."""
        a, b, c, d, e = self.terms
        x, y = along / self.size, off / self.size
        found: Array = (a * x + b * y + c) / (d * x + e * y + 1)
        return found

    def along_of(self, divisions: Array, off: float) -> Array:
        """Where so many main divisions lie along a row."""
        a, b, c, d, e = self.terms
        y = off / self.size
        found: Array = (divisions * (e * y + 1) - b * y - c) / (a - divisions * d) * self.size
        return found

    def aslant(self, ends: Array) -> float:
        """How much wider divisions are at one end of a scale on the edge than at the other.

        Args:
            ends: in main divisions.
        """
        a, _, c, d, _ = self.terms
        pitch = 1 / (a - ends * d) ** 2 * (a - c * d)
        return float(abs(pitch[1] / pitch[0] - 1))


def fitted(main: Marks, fine: Marks, step: float, size: float) -> Plane:
    """The map on which the lines of both scales lie best.

    Args:
        step: between two fine lines, in main divisions, along the picture.
    """
    x = np.concatenate([main.along, fine.along]) / size
    y = np.concatenate([main.off, fine.off]) / size
    is_fine = np.concatenate([np.zeros(len(main.along)), np.ones(len(fine.along))])
    number = np.concatenate([main.number, step * fine.number])
    base = np.concatenate([_even(main.weight), _even(fine.weight)])
    weight, start = base.copy(), 0.0
    whole = np.zeros(6)
    for _ in range(_ROUNDS):
        u = number + start * is_fine
        rows = np.column_stack([x, y, np.ones_like(x), -u * x, -u * y, -is_fine])
        root = np.sqrt(weight)[:, None]
        whole = np.linalg.lstsq(rows * root, number * root[:, 0], rcond=None)[0].astype(float)
        start = float(whole[-1])
        off = rows @ whole - number
        spread = 1.4826 * float(np.median(np.abs(off))) + 1e-6
        weight = base * np.clip(1 - (off / (_TUKEY * spread)) ** 2, 0, None) ** 2
    error = _error(rows, weight, off, 2 * np.round(number) + is_fine)
    return Plane(whole[:-1], size, start, error, spread)


def _error(rows: Array, weight: Array, off: Array, line: Array) -> float:
    """The standard error of the last term, whose lines may each be off as a whole.

    The places along one line are not independent, so their sums are what scatters: the covariance
    is that of clusters.
    """
    inverse = np.linalg.pinv((rows * weight[:, None]).T @ rows)
    _, of = np.unique(line, return_inverse=True)
    sums = np.zeros((of.max() + 1, rows.shape[1]))
    np.add.at(sums, of, rows * (weight * off)[:, None])
    groups = max(len(sums) - rows.shape[1], 1)
    covariance = inverse @ (sums.T @ sums) @ inverse * len(sums) / groups
    return float(np.sqrt(max(covariance[-1, -1], 0.0)))


def _even(weight: Array) -> Array:
    return weight / max(float(np.median(weight)), 1e-12)
