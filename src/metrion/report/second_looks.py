"""What became of each second look, in words: set aside, looked at again, or still open."""

from __future__ import annotations

from contextlib import suppress

from metrion.core.angles import parse_angle
from metrion.core.errors import NotAnAngle
from metrion.core.instruments import Instrument, Kind
from metrion.core.measurements import Measurement
from metrion.core.review import Flag, Settlement, settled

_WORDS = {
    None: "still open",
    Settlement.ZERO_EXACT: "the zero was taken as exact",
    Settlement.PLACES_APART: "the places are reported apart",
    Settlement.STANDS: "looked at again: it stands",
}


def what_became(flag: Flag, measurement: Measurement) -> str:
    """What was done about a flag."""
    how = settled(flag, measurement)
    if how is Settlement.SET_ASIDE and flag.observation is not None:
        return f"set aside: {measurement.observations[flag.observation].excluded}"
    return _WORDS[how]


def main_words(instrument: Instrument, main: str) -> str:
    """A main reading of a file as the rows show it; one that was written otherwise as it is."""
    if instrument.kind is Kind.ANGULAR:
        with suppress(NotAnAngle):
            return instrument.mark_text(parse_angle(main))
    return main
