"""Pairs that do not belong: half a sweep too large, or a mark missed at one of the positions.

The logbook contract has no flags for these: they are shown and reported, and are no part of its
results.
"""

from __future__ import annotations

from collections.abc import Iterator
from fractions import Fraction
from typing import Any

from metrion.core.angles import FULL_CIRCLE, HALF_CIRCLE
from metrion.core.instruments import Kind
from metrion.core.pairing import half_words
from metrion.core.review.flags import Flag, Level, Series
from metrion.core.review.slips import Others, off_by_a_mark
from metrion.core.scales import Look
from metrion.core.statistics import median

_POSITIONS = {"a": "first", "b": "second"}
_SLIP_READINGS = 3
_NEAR = Fraction(2, 5)
"""Marks within which a position is where those of the others are."""


def half_over_90(series: Series) -> Iterator[Flag]:
    """Half a sweep that is too large for a deflection: the wrong arc was taken."""
    instrument = series.measurement.instrument
    if instrument.kind is not Kind.ANGULAR or series.measurement.divide_by != 2:
        return
    for index in series.counting:
        value = series.measurement.observed[index]
        if value > HALF_CIRCLE:
            message = f"Reading {index + 1}: {half_words(instrument, value)}"
            yield Flag("half-over-90", Level.WARNING, message, index)


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
    mark = instrument.with_unit(instrument.scale.mark)
    message = f"Reading {index + 1} is one main mark ({mark}) {side} than the others: "
    found = _position_off(series, index)
    if found is None:
        message += (
            "at one of its positions a mark was missed, or taken that was not passed yet. "
            "Look again."
        )
        return Flag("sweep-slip", Level.WARNING, message, index)
    name, look, likely = found
    message += (
        f"its {_POSITIONS[name]} position stands one mark from those of the others. Had the zero "
        f"line passed {instrument.mark_text(max(look.main, likely))}?"
    )
    line = look.line if isinstance(look.line, int) else instrument.main_text(look.line)
    position: dict[str, Any] = {"main": instrument.main_text(likely), "fine": line}
    return Flag("sweep-slip", Level.WARNING, message, index, {name: position})


def _position_off(series: Series, index: int) -> tuple[str, Look, Fraction] | None:
    """The one position that stands a mark from where it stood in the others, if there is one.

    Returns:
        Its name, the look, and the main reading that would bring it there.
    """
    scale = series.measurement.instrument.scale
    looks = series.observation(index).looks
    if len(looks) != len(_POSITIONS) or scale.mark != scale.main_division:
        return None
    offs = [_off(series, index, place) / scale.mark for place in range(len(looks))]
    wrong = [place for place, off in enumerate(offs) if abs(off) > _NEAR]
    if len(wrong) != 1 or abs(abs(offs[wrong[0]]) - 1) > _NEAR:
        return None
    (place,) = wrong
    step = -scale.mark if offs[place] > 0 else scale.mark
    return tuple(_POSITIONS)[place], looks[place], looks[place].main + step


def _off(series: Series, index: int, place: int) -> Fraction:
    """How far a position lies from the middle of where it stood in the others."""
    instrument = series.measurement.instrument
    own = instrument.reading(series.observation(index).looks[place])
    rest = (
        instrument.reading(series.observation(other).looks[place]) - own
        for other in series.counting
        if other != index
    )
    if instrument.kind is Kind.ANGULAR:
        rest = ((one + HALF_CIRCLE) % FULL_CIRCLE - HALF_CIRCLE for one in rest)
    return -median(sorted(rest))
