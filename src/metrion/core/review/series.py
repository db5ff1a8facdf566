"""Second looks at a series as a whole."""

from __future__ import annotations

from collections.abc import Iterator

from metrion.core.facts import fact
from metrion.core.review.flags import Flag, Level, Series

_ENOUGH = 3


def few_readings(series: Series) -> Iterator[Flag]:
    """Fewer than three observations count."""
    count = len(series.values)
    if count < _ENOUGH:
        yield Flag("few-readings", Level.INFO, fact("few-readings", count=count))


def identical_readings(series: Series) -> Iterator[Flag]:
    """Three or more, all equal."""
    if len(series.values) >= _ENOUGH and len(set(series.values)) == 1:
        yield Flag("identical-readings", Level.INFO, fact("identical-readings"))


CHECKS = (few_readings, identical_readings)
