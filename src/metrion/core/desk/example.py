"""An entry that a tool understands, for the hints beside its blanks."""

from __future__ import annotations

from itertools import count

from metrion.core.desk.said.amiss import line_typed, main_typed
from metrion.core.instruments.drawing import engraved_unit, fine_numerals
from metrion.core.instruments.instrument import Instrument

_MARKS, _STEPS = 6, 3
"""Far enough from zero, and off a mark."""


def example(instrument: Instrument) -> tuple[str, str]:
    """What would be typed for a place a few marks from zero; no fine figure on a plain scale."""
    scale = instrument.scale
    marks = 20 * _MARKS if instrument.traits.circular else _MARKS
    if instrument.kept_unit or engraved_unit(instrument) != instrument.unit:
        # Whole centimetres could be millimetres.
        marks = 10 * _MARKS + 2
    numerals = fine_numerals(instrument)
    # Below 1 a numeral could be a worth.
    steps = next(step for step in count(_STEPS) if numerals.at(step) > 1)
    at = scale.nearest(marks * scale.main_division + steps * instrument.least_count)
    main = main_typed(instrument, at.main)
    if not scale.has_fine_scale:
        return main, ""
    return main, line_typed(instrument, at.line, instrument.appearance.fine_as)
