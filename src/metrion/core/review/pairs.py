"""Pairs that do not belong: half a sweep too large, or a mark missed at one of the positions.

The logbook contract has no flags for these: they are shown and reported, and are no part of its
results.
"""

from __future__ import annotations

from collections.abc import Iterator

from metrion.core.exact.angles import HALF_CIRCLE
from metrion.core.facts import fact
from metrion.core.quantity.observations import half_words
from metrion.core.review.flags import Flag, Level, Series
from metrion.core.review.misread import misread_indication
from metrion.core.review.slips import Others, off_by_a_mark

_SLIP_READINGS = 3


def half_over_90(series: Series) -> Iterator[Flag]:
    """Half a sweep that is too large for a deflection: the wrong arc was taken."""
    instrument = series.measurement.instrument
    if not instrument.traits.circular or series.measurement.divide_by != 2:
        return
    for index in series.counting:
        value = series.measurement.observed[index]
        if value > HALF_CIRCLE:
            says = fact("half-over-90", at=index + 1, half=half_words(instrument, value))
            yield Flag("half-over-90", Level.WARNING, says, index)


def sweep_slip(series: Series) -> Iterator[Flag]:
    """One of three or more pairs that is just one main mark off."""
    if series.single or len(series.values) < _SLIP_READINGS:
        return
    others = Others(series.values)
    for rank, index in enumerate(series.counting):
        if off := off_by_a_mark(series, others, rank):
            yield _slip(series, index, "more" if off > 0 else "less")


def _slip(series: Series, index: int, side: str) -> Flag:
    instrument = series.measurement.instrument
    misread = misread_indication(series, index)
    wrong = fact("wrong-somewhere")
    if misread:
        wrong = fact("wrong-look", indication=misread.which, mark=misread.questioned(instrument))
    mark = series.figure(instrument.scale.mark)
    says = fact("sweep-slip", at=index + 1, mark=mark, side=side, wrong=wrong)
    suggestion = misread.suggestion(instrument) if misread else {}
    return Flag("sweep-slip", Level.WARNING, says, index, suggestion)


CHECKS = (half_over_90, sweep_slip)
