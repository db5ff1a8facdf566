"""What became of each second look, in words: set aside, looked at again, or still open."""

from __future__ import annotations

from metrion.core.facts import Fact, Name, coded, fact
from metrion.core.quantity.measurements import Measurement
from metrion.core.review import Flag, Settlement, settled


def what_became(flag: Flag, measurement: Measurement) -> Fact:
    """What was done about a flag."""
    how = settled(flag, measurement)
    if how is Settlement.SET_ASIDE and flag.observation is not None:
        return fact("set-aside", why=Name(measurement.observations[flag.observation].excluded))
    return coded("look", how or "open")
