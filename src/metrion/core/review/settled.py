"""What settles a second look: a choice of the student, or a look again."""

from __future__ import annotations

from metrion.core.quantity.measurements import Measurement
from metrion.core.review.flags import Flag, Settlement


def settled(flag: Flag, measurement: Measurement) -> Settlement | None:
    """How a flag about a measurement was answered; None while it is open."""
    if flag.choice and getattr(measurement, flag.choice.field):
        return flag.choice.settlement
    if flag.observation is not None and not measurement.observations[flag.observation].counts:
        return Settlement.SET_ASIDE
    return Settlement.STANDS if flag.code in looked_again(flag, measurement) else None


def looked_again(flag: Flag, measurement: Measurement) -> tuple[str, ...]:
    """The codes of flags that were settled by another look, about the same as this one."""
    if flag.observation is None:
        return measurement.looked_again
    return measurement.observations[flag.observation].noted.looked_again
