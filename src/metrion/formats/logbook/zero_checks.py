"""Zero checks in a logbook file."""

from __future__ import annotations

from fractions import Fraction

from metrion.core.zero import Phase, ZeroCheck
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.known import Known
from metrion.formats.logbook.looks import parse_look


def parse_zero_check(fields: Fields, known: Known) -> ZeroCheck | None:
    """A zero check, or None with its faults noted."""
    instrument = known.instrument(fields)
    face = fields.text("face")
    phase = fields.choice("phase", Phase)
    reference = fields.not_negative("reference")
    look = parse_look(fields, instrument, estimates=True)
    key = fields.record.get("id")
    if instrument is None or look is None or not isinstance(key, str):
        return None
    return ZeroCheck(
        key, instrument.id, look, face or "", phase or Phase.BEFORE, reference or Fraction(0)
    )
