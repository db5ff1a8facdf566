"""Fits to the middles of lines, most of which are where they should be."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from metrion.core.photo.strip import Array

_TUKEY = 4.0
_ROUNDS = 10
_NO_BETTER = 1e-3
"""No middle of a line is known better than to such a part of what it is counted in."""


def spread_of(off: Array) -> float:
    """The usual size of what is off, whatever the largest are."""
    return 1.4826 * float(np.median(np.abs(off)))


def trusted(off: Array, spread: float) -> Array:
    """How much each counts that is so much off: what is far off, not at all."""
    found: Array = np.clip(1 - (off / (_TUKEY * spread)) ** 2, 0, None) ** 2
    return found


def covariance(rows: Array, weight: Array, off: Array, line: Array, usual: Array) -> Array:
    """The covariance of terms, where each line may be off as a whole.

    The places along one line are not independent, so their sums are what scatters: the covariance
    is that of clusters.

    Args:
        rows: what terms are multiplied by, for each place.
        off: how far each place is from where it should be.
        line: on which each lies.
        usual: what is known of the terms beforehand.
    """
    inverse = np.linalg.pinv((rows * weight[:, None]).T @ rows + usual.T @ usual)
    _, of = np.unique(line, return_inverse=True)
    sums = np.zeros((of.max() + 1, rows.shape[1]))
    np.add.at(sums, of, rows * (weight * off)[:, None])
    groups = max(len(sums) - rows.shape[1], 1)
    found: Array = inverse @ (sums.T @ sums) @ inverse * len(sums) / groups
    return found


def steadied(
    rows_of: Callable[[Array], Array], wanted: Array, line: Array, likely: Array, usual: Array
) -> tuple[Array, Array]:
    """Terms that fit most of what is wanted, whatever the rest is, and their covariance.

    Args:
        rows_of: what terms are multiplied by, where they are about so large.
        line: on which each place lies; places on one line are off together.
        likely, usual: of each term, and how far it usually is from that.
    """
    weight, terms, spread = np.ones_like(wanted), likely, 1.0
    for _ in range(_ROUNDS):
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
