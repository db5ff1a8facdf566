"""Second looks at what was planned."""

from __future__ import annotations

from collections.abc import Iterator

from metrion.core.facts import Fact, Name, fact
from metrion.core.quantity.reading_plan import PlanProgress
from metrion.core.review.flags import Flag, Level, Series


def plan_left(series: Series) -> Iterator[Flag]:
    """Readings or looks at the zero that were planned are missing, and some were taken."""
    progress = series.measurement.progress
    if progress and series.measurement.observations and (left := left_to_do(progress)):
        yield Flag("plan-left", Level.INFO, left)


def left_to_do(progress: PlanProgress) -> Fact | None:
    """Everything that is missing, one after the other; None where nothing is."""
    if progress.done:
        return None
    readings = tuple(
        fact("plan-left-anywhere", count=left.count)
        if left.place is None
        else fact("plan-left-at", count=left.count, place=Name(left.place))
        for left in progress.left
    )
    looks = tuple(fact("plan-left-zero", phase=phase) for phase in progress.zero_left)
    return fact("plan-left", what=readings + looks)


CHECKS = (plan_left,)
