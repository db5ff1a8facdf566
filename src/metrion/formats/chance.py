"""Chance from a seed: hashed from text, so it is the same in every version, on every machine."""

from __future__ import annotations

from random import Random

from metrion.core.bench.rng import Rng
from metrion.core.practice.made import Chance


def chance_of(*seed: object) -> Chance:
    """Whole numbers, one after the other."""
    chance = Random(" ".join(map(str, seed))).random
    return lambda below: int(chance() * below)


def luck_of(seed: int) -> Rng:
    """A number for each name."""
    return lambda name: Random(f"{seed} {name}").random()
