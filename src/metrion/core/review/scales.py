"""Readings that contradict their own scale, or leave its range."""

from __future__ import annotations

from collections.abc import Iterator

from metrion.core.exact.numbers import to_text
from metrion.core.facts import Name, fact
from metrion.core.review.flags import Flag, Level, Series
from metrion.core.scales import ScrewScale, VernierScale


def mark_contradicts_line(series: Series) -> Iterator[Flag]:
    """On a sleeve finer than the pitch: the last mark passed is not the one that was noted."""
    scale = series.measurement.instrument.scale
    if not (series.single and isinstance(scale, ScrewScale) and scale.finer_sleeve):
        return
    for index in series.counting:
        indication = series.observation(index).indications[0]
        last = scale.last_mark(indication)
        if last != indication.main:
            yield Flag(
                "mark-contradicts-line",
                Level.WARNING,
                fact(
                    "mark-contradicts-line",
                    at=index + 1,
                    thimble_at=indication.line * scale.least_count,
                    last=last,
                    main=indication.main,
                ),
                index,
                {"main": to_text(last)},
            )


def lines_disagree(series: Series) -> Iterator[Flag]:
    """The mark that the line was seen to meet does not lead back to the reading."""
    scale = series.measurement.instrument.scale
    if not (series.single and isinstance(scale, VernierScale)):
        return
    for index in series.counting:
        observation = series.observation(index)
        indication = observation.indications[0]
        if observation.meets is None or not isinstance(indication.line, int):
            continue
        read = scale.reading(indication)
        back = observation.meets - scale.line_position(indication.line)
        if back != read:
            yield Flag(
                "lines-disagree",
                Level.WARNING,
                fact(
                    "lines-disagree",
                    at=index + 1,
                    line=indication.line,
                    meets=observation.meets,
                    back=series.figure(back),
                    read=series.figure(read),
                ),
                index,
            )


def out_of_range(series: Series) -> Iterator[Flag]:
    """An observation, counted or excluded, outside what the instrument is made for."""
    instrument = series.measurement.instrument
    if not series.single or instrument.range is None:
        return
    low, high = instrument.range
    for index, value in enumerate(series.measurement.observed):
        if not instrument.can_reach(value):
            yield Flag(
                "out-of-range",
                Level.WARNING,
                fact(
                    "out-of-range",
                    at=index + 1,
                    value=series.figure(value),
                    tool=Name(instrument.name),
                    low=low,
                    high=series.figure(high),
                ),
                index,
            )


CHECKS = (mark_contradicts_line, lines_disagree, out_of_range)
