"""What settles a second look: a choice of the student, or a look again."""

from __future__ import annotations

from enum import StrEnum

from metrion.core.quantity.measurements import Measurement
from metrion.core.review.flags import Flag


class Settlement(StrEnum):
    """How a second look was answered."""

    ZERO_EXACT = "zero-exact"
    ZERO_TAKEN_OVER = "zero-taken-over"
    PLACES_APART = "places-apart"
    SET_ASIDE = "set-aside"
    STANDS = "stands"


def settled(flag: Flag, measurement: Measurement) -> Settlement | None:
    """How a flag about a measurement was answered; None while it is open."""
    if flag.code == "zero-unchecked" and measurement.zero_exact:
        return Settlement.ZERO_EXACT
    if flag.code == "zero-other-face" and measurement.zero_taken_over:
        return Settlement.ZERO_TAKEN_OVER
    if flag.code == "place-effect" and measurement.places_apart:
        return Settlement.PLACES_APART
    looked = measurement.looked_again
    if flag.observation is not None:
        about = measurement.observations[flag.observation]
        if not about.counts:
            return Settlement.SET_ASIDE
        looked = about.noted.looked_again
    return Settlement.STANDS if flag.code in looked else None
