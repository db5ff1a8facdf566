"""An entry that a tool understands, for the hints beside its blanks."""

from __future__ import annotations

from metrion.core.desk.lines import line_typed
from metrion.core.desk.marks import main_typed
from metrion.core.instruments.instrument import Instrument, Kind

_MARKS, _STEPS = 6, 3
"""Far enough from zero, and off a mark."""


def example(instrument: Instrument) -> tuple[str, str]:
    """What would be typed for a place a few marks from zero; no fine figure on a plain scale."""
    scale = instrument.scale
    marks = 20 * _MARKS if instrument.kind is Kind.ANGULAR else _MARKS
    at = scale.nearest(marks * scale.main_division + _STEPS * instrument.least_count)
    main = main_typed(instrument, at.main)
    if not scale.has_fine_scale:
        return main, ""
    return main, line_typed(instrument, at.line, instrument.appearance.fine_as)
