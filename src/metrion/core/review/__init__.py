"""Second looks: what an experienced demonstrator would ask to see again. None changes a number."""

from __future__ import annotations

from metrion.core.quantity.measurements import Measurement
from metrion.core.review.flags import Flag, Level, Series
from metrion.core.review.pairs import half_over_90, sweep_slip
from metrion.core.review.scales import lines_disagree, mark_contradicts_line, out_of_range
from metrion.core.review.series import (
    few_readings,
    identical_readings,
    place_effect,
    windows_disagree,
)
from metrion.core.review.settled import Settlement, settled
from metrion.core.review.slips import slips_and_outlier
from metrion.core.review.zero import (
    zero_drift,
    zero_other_face,
    zero_unchecked,
    zero_wrapped,
)

__all__ = ["Flag", "Level", "Settlement", "review", "review_pairs", "settled"]

_CHECKS = (
    zero_unchecked,
    zero_other_face,
    zero_wrapped,
    zero_drift,
    few_readings,
    identical_readings,
    slips_and_outlier,
    mark_contradicts_line,
    lines_disagree,
    out_of_range,
    place_effect,
    windows_disagree,
)


def review(measurement: Measurement) -> tuple[Flag, ...]:
    """Everything about a measurement that deserves a second look."""
    series = Series(measurement)
    return tuple(flag for check in _CHECKS for flag in check(series))


def review_pairs(measurement: Measurement) -> tuple[Flag, ...]:
    """What deserves a second look among pairs beyond the flags of the logbook contract."""
    series = Series(measurement)
    return (*half_over_90(series), *sweep_slip(series))
