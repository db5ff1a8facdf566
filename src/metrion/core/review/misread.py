"""Which indication of a pair was misread by a mark: the others say where it stood before."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.facts import Figure
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.review.flags import Series
from metrion.core.scales import Indication

_READINGS = 3
_NEAR = Fraction(2, 5)
"""Marks within which an indication stands where those of the others do."""


@dataclass(frozen=True)
class Misread:
    """The one indication of an observation that stands a mark off.

    Attributes:
        name: as a logbook calls it: ``a``, ``b``, ``a2`` or ``b2``.
        which: which it is: of a pair ``a`` or ``b``, through two windows also ``a2``, ``b2``.
        indication: as it was read.
        likely: the main reading that would bring it where those of the others stand.
    """

    name: str
    which: str
    indication: Indication
    likely: Fraction

    def questioned(self, instrument: Instrument) -> Figure:
        """The mark of which one has to ask whether the zero line had passed it."""
        return Figure(instrument.mark_text(max(self.indication.main, self.likely)))

    def suggestion(self, instrument: Instrument) -> Record:
        """The indication as it would be, as a logbook holds it."""
        look = self.indication
        fine = look.line if isinstance(look.line, int) else look.line_text
        return {self.name: {"main": instrument.main_text(self.likely), "fine": fine}}


def misread_indication(series: Series, index: int) -> Misread | None:
    """The one indication that stands a mark off, if there is just one.

    It takes three readings to say which of them is off.
    """
    scale = series.measurement.instrument.scale
    indications = series.observation(index).indications
    if len(series.counting) < _READINGS or scale.mark != scale.main_division:
        return None
    offs = [_off(series, index, place) / scale.mark for place in range(len(indications))]
    wrong = [place for place, off in enumerate(offs) if abs(off) > _NEAR]
    if len(wrong) != 1 or abs(abs(offs[wrong[0]]) - 1) > _NEAR:
        return None
    (place,) = wrong
    name = PAIR_INDICATIONS[place]
    which = name if len(indications) == 2 else f"{name}-window"
    step = -scale.mark if offs[place] > 0 else scale.mark
    return Misread(name, which, indications[place], indications[place].main + step)


def _off(series: Series, index: int, place: int) -> Fraction:
    """How far an indication lies from the middle of where it stood in all that count."""
    indications = series.observation(index).indications
    off = series.measurement.instrument.reading(indications[place]) - series.middles[place]
    return series.shorter(off)
