"""Positions of a pair while they are being entered: what lies between them, and which way round.

Through two windows a position is two indications, one in each window, before the next is taken.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.exact.angles import FULL_CIRCLE, HALF_CIRCLE
from metrion.core.facts import Fact, Figure, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.observations import (
    WINDOWS_APART,
    Arc,
    Observation,
    Sort,
    half_words,
    observed_value,
    off_opposite,
    sweeps,
)
from metrion.core.scales import Indication

ZERO_CANCELS = fact("zero-cancels-in-pairs")

ORDER = {
    Sort.SINGLE: (0,),
    Sort.PAIR: (0, 1),
    Sort.WINDOWS: (0, 2, 1, 3),
}
"""Where each indication, in the order of entering, stands in an observation (a, b, a2, b2)."""


@dataclass(frozen=True)
class Pairing:
    """What the positions entered so far come to.

    Attributes:
        value: the length |second - first|, or the mean angle swept; None until all are there.
        sentences: what to say about it.
    """

    value: Fraction | None
    sentences: tuple[Fact, ...]


def pairing(
    instrument: Instrument,
    indications: Sequence[Indication],
    sort: Sort,
    arc: Arc,
    *,
    halved: bool = False,
) -> Pairing:
    """The indications of one observation in the order they are entered, the last one just entered.

    Args:
        halved: whether half of what is swept is wanted, as for a deflection.
    """
    found = _windows(instrument, indications) if sort is Sort.WINDOWS else []
    if len(indications) < len(ORDER[sort]):
        return Pairing(None, tuple(found))
    placed = sorted(zip(ORDER[sort], indications, strict=True), key=lambda pair: pair[0])
    observation = Observation(tuple(indication for _, indication in placed))
    value = observed_value(instrument, observation, arc)
    if instrument.traits.circular:
        found = [*_arc(instrument, observation, arc), *found]
        if halved:
            found.insert(0, half_words(instrument, value))
    elif value == 0:
        found = [fact("nothing-between")]
    return Pairing(value, tuple(found))


def _arc(instrument: Instrument, observation: Observation, arc: Arc) -> list[Fact]:
    """Both arcs where it matters: through the zero of the circle, or more than half of it."""
    first, second = (instrument.reading(indication) for indication in observation.indications[:2])
    swept = sweeps(instrument, observation, arc)[0]
    through = swept != abs(second - first)
    if not through and swept <= HALF_CIRCLE:
        return []
    return [
        fact(
            "arc-through-zero" if through else "arc-taken",
            taken=Figure(instrument.with_unit(swept)),
            other=Figure(instrument.with_unit(FULL_CIRCLE - swept)),
            longer="other" if swept < HALF_CIRCLE else "taken",
        )
    ]


def _windows(instrument: Instrument, indications: Sequence[Indication]) -> list[Fact]:
    """How the two windows agree at the position whose second window was entered last."""
    if len(indications) % 2:
        return []
    off = off_opposite(*(instrument.reading(indication) for indication in indications[-2:]))
    apart = Figure(instrument.with_unit(HALF_CIRCLE + off))
    if abs(off) < WINDOWS_APART:
        return [fact("windows-opposite", apart=apart)]
    division = instrument.scale.main_division
    marks = round(abs(off) / division)
    if marks and abs(abs(off) - marks * division) < division / 4:
        return [fact("windows-marks-off", apart=apart, marks=marks)]
    return [fact("windows-off", apart=apart)]
