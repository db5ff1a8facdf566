"""What chance decides at a bench, by the name of what it decides."""

from __future__ import annotations

from collections.abc import Callable
from math import cos, log, pi, sqrt

Rng = Callable[[str], float]
"""A number from 0 to below 1 for a name, each as likely; always the same for the same name."""


def between(luck: Rng, name: str, low: float, high: float) -> float:
    """A number between two, each as likely."""
    return low + (high - low) * luck(name)


def scattered(luck: Rng, name: str) -> float:
    """A normal number of mean 0 and standard deviation 1.

    Source: G. E. P. Box and M. E. Muller, Ann. Math. Statist. 29 (1958) 610.
    """
    size, turn = luck(f"{name} size"), luck(f"{name} turn")
    return sqrt(-2 * log(1 - size)) * cos(2 * pi * turn)
