"""What became of each second look: set aside, corrected, looked at again, or still open."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from contextlib import suppress
from typing import Any

from metrion.core.angles import parse_angle
from metrion.core.errors import NotAnAngle
from metrion.core.instruments import Instrument, Kind
from metrion.core.measurements import Measurement
from metrion.core.review import Flag

Record = Mapping[str, Any]
"""A measurement or an observation as a logbook file holds it."""


def is_settled(
    flag: Flag, measurement: Measurement, record: Record, observations: Sequence[Record]
) -> bool:
    """Whether a flag has been answered.

    Args:
        record: of the measurement.
        observations: the records of its observations, in order.
    """
    return what_became(flag, measurement, record, observations) != ""


def what_became(
    flag: Flag, measurement: Measurement, record: Record, observations: Sequence[Record]
) -> str:
    """What was done about a flag, in words; empty while it is open."""
    if flag.code == "zero-unchecked" and record.get("zero_exact") is True:
        return "the zero was taken as exact"
    if flag.code == "place-effect" and record.get("places_apart") is True:
        return "the places are reported apart"
    about = record
    if flag.observation is not None:
        reason = measurement.observations[flag.observation].excluded
        if reason:
            return f"set aside: {reason}"
        about = observations[flag.observation]
    looked = about.get("looked_again")
    if isinstance(looked, list) and flag.code in looked:
        return "looked at again: it stands"
    return ""


def earlier_figures(observation: Record) -> list[Record]:
    """The figures a reading had before it was changed, the first ones first."""
    history = observation.get("history")
    return [one for one in history if isinstance(one, dict)] if isinstance(history, list) else []


def main_words(instrument: Instrument, main: str) -> str:
    """A main reading of a file as the rows show it; one that was written otherwise as it is."""
    if instrument.kind is Kind.ANGULAR:
        with suppress(NotAnAngle):
            return instrument.mark_text(parse_angle(main))
    return main
