"""Positions of a pair while they are being entered: what lies between them, and which way round.

Through two windows a position is two looks, one in each window, before the next position is taken.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.angles import FULL_CIRCLE, HALF_CIRCLE
from metrion.core.instruments import Instrument, Kind
from metrion.core.observations import (
    WINDOWS_APART,
    Arc,
    Observation,
    Sort,
    observed_value,
    sweeps,
)
from metrion.core.scales import Look

ZERO_CANCELS = "In the difference of two positions the zero cancels: it need not be looked at."

ORDER = {
    Sort.SINGLE: (0,),
    Sort.PAIR: (0, 1),
    Sort.WINDOWS: (0, 2, 1, 3),
}
"""Where each look, in the order of entering, stands in an observation (a, b, a2, b2)."""


@dataclass(frozen=True)
class Pairing:
    """What the positions entered so far come to.

    Attributes:
        value: the length |second - first|, or the mean angle swept; None until all are there.
        sentences: what to say about it.
    """

    value: Fraction | None
    sentences: tuple[str, ...]


def pairing(instrument: Instrument, looks: Sequence[Look], sort: Sort, arc: Arc) -> Pairing:
    """The looks of one observation in the order they are entered, the last one just entered."""
    found = _window_words(instrument, looks) if sort is Sort.WINDOWS else []
    if len(looks) < len(ORDER[sort]):
        return Pairing(None, tuple(found))
    placed = sorted(zip(ORDER[sort], looks, strict=True), key=lambda pair: pair[0])
    observation = Observation(tuple(look for _, look in placed))
    value = observed_value(instrument, observation, arc)
    if instrument.kind is Kind.ANGULAR:
        found = [*_arc_words(instrument, observation, arc), *found]
    elif value == 0:
        found = ["Both positions read the same: nothing lies between them."]
    return Pairing(value, tuple(found))


def off_opposite(first: Fraction, second: Fraction) -> Fraction:
    """By how much two windows are not 180° apart, in arc minutes from -180° to below 180°.

    A few minutes mean that the circle turns off its own middle; the mean of both windows is free
    of it.

    >>> off_opposite(Fraction(30 * 60), Fraction(210 * 60 + 4))
    Fraction(4, 1)
    """
    return (second - first) % FULL_CIRCLE - HALF_CIRCLE


def _arc_words(instrument: Instrument, observation: Observation, arc: Arc) -> list[str]:
    """Both arcs where the one that counts is not the plain difference of the two figures."""
    first, second = (instrument.reading(look) for look in observation.looks[:2])
    swept = sweeps(instrument, observation, arc)[0]
    if swept == abs(second - first):
        return []
    other = instrument.with_unit(FULL_CIRCLE - swept)
    return [
        f"The arc runs through the zero of the circle: {instrument.with_unit(swept)}. "
        f"The other way round it would be {other}."
    ]


def _window_words(instrument: Instrument, looks: Sequence[Look]) -> list[str]:
    """How the two windows agree at the position whose second window was entered last."""
    if len(looks) % 2:
        return []
    off = off_opposite(*(instrument.reading(look) for look in looks[-2:]))
    if abs(off) < WINDOWS_APART:
        return [f"The windows are {instrument.with_unit(HALF_CIRCLE + off)} apart, as they should."]
    division = instrument.scale.main_division
    marks = round(abs(off) / division)
    likely = ""
    if marks and abs(abs(off) - marks * division) < division / 4:
        count = "one main mark" if marks == 1 else f"{marks} main marks"
        likely = f" That is about {count}: one of them was read {count} too high or too low."
    return [
        f"The windows should be 180° apart within a few minutes, and are "
        f"{instrument.with_unit(HALF_CIRCLE + off)}.{likely} Look at both again."
    ]
