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
    off_opposite,
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


def pairing(
    instrument: Instrument, looks: Sequence[Look], sort: Sort, arc: Arc, *, halved: bool = False
) -> Pairing:
    """The looks of one observation in the order they are entered, the last one just entered.

    Args:
        halved: whether half of what is swept is wanted, as for a deflection.
    """
    found = _window_words(instrument, looks) if sort is Sort.WINDOWS else []
    if len(looks) < len(ORDER[sort]):
        return Pairing(None, tuple(found))
    placed = sorted(zip(ORDER[sort], looks, strict=True), key=lambda pair: pair[0])
    observation = Observation(tuple(look for _, look in placed))
    value = observed_value(instrument, observation, arc)
    if instrument.kind is Kind.ANGULAR:
        found = [*_arc_words(instrument, observation, arc), *found]
        if halved:
            found.insert(0, half_words(instrument, value))
    elif value == 0:
        found = ["Both positions read the same: nothing lies between them."]
    return Pairing(value, tuple(found))


def half_words(instrument: Instrument, value: Fraction) -> str:
    """Half of what is swept; over 90° it is no deflection, with the likely cause."""
    half = instrument.with_unit(value / 2)
    if value <= HALF_CIRCLE:
        return f"Half of it is {half}."
    return (
        f"Half of it would be {half}, and a deflection is never over 90°: the wrong arc was "
        f"taken. The other one gives {instrument.with_unit((FULL_CIRCLE - value) / 2)}."
    )


def _arc_words(instrument: Instrument, observation: Observation, arc: Arc) -> list[str]:
    """Both arcs where it matters: through the zero of the circle, or more than half of it."""
    first, second = (instrument.reading(look) for look in observation.looks[:2])
    swept = sweeps(instrument, observation, arc)[0]
    if swept == abs(second - first) and swept <= HALF_CIRCLE:
        return []
    through = "runs through the zero of the circle" if swept != abs(second - first) else "is taken"
    taken, other = instrument.with_unit(swept), instrument.with_unit(FULL_CIRCLE - swept)
    over = " (that one is over 180°)" if swept < HALF_CIRCLE else ", the shorter one"
    return [f"The arc {through}: {taken}. The other way round it would be {other}{over}."]


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
