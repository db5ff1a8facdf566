"""Fits to the middles of lines, most of which are where they should be."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from metrion.core.arrays import Array

_TUKEY = 4.0
_ROUNDS = 12


@dataclass(frozen=True)
class Fit:
    """Terms that fit most of what is wanted, whatever the rest is.

    Attributes:
        terms, covariance: of each.
        spread: the usual distance of what is wanted from what they give.
    """

    terms: Array
    covariance: Array
    spread: float


def steadied(
    system: Callable[[Array], tuple[Array, Array]], line: Array, likely: Array, usual: Array,
    *, least: float, weight: Array | float = 1.0,
) -> Fit:  # fmt: skip
    """Fit terms to the middles of lines, most of which are where they should be.

    Args:
        system: what terms are multiplied by, and what that should give, where they are about so
            large.
        line: on which each place lies; places on one line are off together.
        likely, usual: of each term, and how far it usually is from that.
        least: no middle is known better.
        weight: how much each place counts.
    """
    counts, terms, spread = weight * np.ones_like(line), likely, 1.0
    for _ in range(_ROUNDS):
        rows, wanted = system(terms)
        beforehand = np.diag(spread / usual)
        root = np.sqrt(counts)
        terms = np.linalg.lstsq(
            np.vstack([rows * root[:, None], beforehand]),
            np.concatenate([wanted * root, beforehand @ likely]), rcond=None,
        )[0].astype(float)  # fmt: skip
        off = wanted - rows @ terms
        spread = 1.4826 * float(np.median(np.abs(off))) + least
        # What is far off does not count at all.
        counts = weight * np.clip(1 - (off / (_TUKEY * spread)) ** 2, 0, None) ** 2
    return Fit(terms, _covariance(rows, counts, off, line, beforehand), spread)


def _covariance(rows: Array, weight: Array, off: Array, line: Array, usual: Array) -> Array:
    """The covariance of terms, where each line may be off as a whole.

    The places along one line are not independent, so their sums are what scatters: the covariance
    is that of clusters.
    """
    inverse = np.linalg.pinv((rows * weight[:, None]).T @ rows + usual.T @ usual)
    _, of = np.unique(line, return_inverse=True)
    sums = np.zeros((of.max() + 1, rows.shape[1]))
    np.add.at(sums, of, rows * (weight * off)[:, None])
    groups = max(len(sums) - rows.shape[1], 1)
    found: Array = inverse @ (sums.T @ sums) @ inverse * len(sums) / groups
    return found
