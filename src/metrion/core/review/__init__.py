"""Second looks: what an experienced demonstrator would ask to see again. None changes a number."""

from __future__ import annotations

from metrion.core.quantity.measurements import Measurement
from metrion.core.review import apart, pairs, plan, scales, series, slips, zero
from metrion.core.review.flags import Flag, Level, Series, Settlement
from metrion.core.review.remedies import Remedy, remedies
from metrion.core.review.settled import settled

__all__ = ["Flag", "Level", "Remedy", "Settlement", "remedies", "review", "review_pairs", "settled"]

_CHECKS = (*zero.CHECKS, *series.CHECKS, *slips.CHECKS, *scales.CHECKS, *apart.CHECKS, *plan.CHECKS)
"""What raises the flags of a logbook, in the order in which they stand in its results."""


def review(measurement: Measurement) -> tuple[Flag, ...]:
    """Everything about a measurement that deserves a second look."""
    found = Series(measurement)
    return tuple(flag for check in _CHECKS for flag in check(found))


def review_pairs(measurement: Measurement) -> tuple[Flag, ...]:
    """What deserves a second look among pairs beyond the flags of the logbook contract."""
    found = Series(measurement)
    return tuple(flag for check in pairs.CHECKS for flag in check(found))
