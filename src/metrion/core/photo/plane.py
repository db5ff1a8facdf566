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
        step: from each fine line to the next as they are seen: what lies lower looks smaller.
        centre: the fine line about which that was found.
        covariance: of where that line lies, and of the step as a part of itself.
        spread: the usual distance of a line from where it should be, in main divisions.
    """

    terms: Array
    size: float
    start: float
    step: float
    centre: float
    covariance: Array
    spread: float

    def error(self, line: float) -> float:
        """The standard error of where a fine line lies, in main divisions."""
        part = np.array([1.0, self.step * (line - self.centre)])
        return float(np.sqrt(max(part @ self.covariance @ part, 0.0)))

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


def fitted(main: Marks, fine: Marks, step: float, size: float, stretch: float) -> Plane:
    """The map on which the lines of both scales lie best.

    Args:
        step: between two fine lines as they are made, in main divisions, along the picture.
        stretch: by what part the fine scale usually looks smaller or larger than it is made.
    """
    x = np.concatenate([main.along, fine.along]) / size
    y = np.concatenate([main.off, fine.off]) / size
    is_fine = np.concatenate([np.zeros(len(main.along)), np.ones(len(fine.along))])
    number = np.concatenate([main.number, step * fine.number])
    centre = float(np.mean(fine.number))
    beside = is_fine * (number - step * centre)
    base = np.concatenate([_even(main.weight), _even(fine.weight)])
    weight, spread, whole = base.copy(), stretch, np.zeros(7)
    for _ in range(_ROUNDS):
        u = number + whole[5] * is_fine + whole[6] * beside
        rows = np.column_stack([x, y, np.ones_like(x), -u * x, -u * y, -is_fine, -beside])
        root = np.sqrt(weight)[:, None]
        usual = np.zeros((1, 7))
        usual[0, 6] = spread / stretch
        wanted = np.concatenate([number * root[:, 0], [0.0]])
        whole = np.linalg.lstsq(np.vstack([rows * root, usual]), wanted, rcond=None)[0].astype(
            float
        )
        off = rows @ whole - number
        spread = 1.4826 * float(np.median(np.abs(off))) + 1e-6
        weight = base * np.clip(1 - (off / (_TUKEY * spread)) ** 2, 0, None) ** 2
    covariance = _covariance(rows, weight, off, 2 * np.round(number) + is_fine, usual)
    start = whole[5] - whole[6] * step * centre
    return Plane(
        whole[:5], size, float(start), float(step * (1 + whole[6])), centre, covariance, spread
    )


def _covariance(rows: Array, weight: Array, off: Array, line: Array, usual: Array) -> Array:
    """The covariance of the last two terms, where each line may be off as a whole.

    The places along one line are not independent, so their sums are what scatters: the covariance
    is that of clusters.

    Args:
        usual: what is known of the terms beforehand.
    """
    inverse = np.linalg.pinv((rows * weight[:, None]).T @ rows + usual.T @ usual)
    _, of = np.unique(line, return_inverse=True)
    sums = np.zeros((of.max() + 1, rows.shape[1]))
    np.add.at(sums, of, rows * (weight * off)[:, None])
    groups = max(len(sums) - rows.shape[1], 1)
    covariance = inverse @ (sums.T @ sums) @ inverse * len(sums) / groups
    found: Array = covariance[-2:, -2:]
    return found


def _even(weight: Array) -> Array:
    return weight / max(float(np.median(weight)), 1e-12)
