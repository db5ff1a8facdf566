"""A pair of positions while it is being entered: what lies between them, and which way round."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.angles import FULL_CIRCLE
from metrion.core.instruments import Instrument, Kind
from metrion.core.observations import Arc, sweep
from metrion.core.scales import Look

ZERO_CANCELS = "In the difference of two positions the zero cancels: it need not be looked at."


@dataclass(frozen=True)
class Pairing:
    """What a pair comes to.

    Attributes:
        first: what the first position reads, in the unit of the instrument.
        value: the length |second - first|, or the angle swept.
        sentences: what to say about it.
    """

    first: Fraction
    value: Fraction
    sentences: tuple[str, ...]


def pairing(instrument: Instrument, first: Look, second: Look, arc: Arc) -> Pairing:
    """The pair of two looks, the second just entered."""
    start, end = instrument.reading(first), instrument.reading(second)
    if instrument.kind is Kind.ANGULAR:
        value = sweep(start, end, arc)
        return Pairing(start, value, tuple(_arc_words(instrument, start, end, value)))
    value = abs(end - start)
    if value == 0:
        return Pairing(start, value, ("Both positions read the same: nothing lies between them.",))
    return Pairing(start, value, ())


def _arc_words(
    instrument: Instrument, start: Fraction, end: Fraction, value: Fraction
) -> list[str]:
    """Both arcs where the one that counts is not the plain difference of the two figures."""
    if value == abs(end - start):
        return []
    other = instrument.with_unit(FULL_CIRCLE - value)
    return [
        f"The arc runs through the zero of the circle: {instrument.with_unit(value)}. "
        f"The other way round it would be {other}."
    ]
