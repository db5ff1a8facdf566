"""Zero checks in a logbook file."""

from __future__ import annotations

from metrion.core.quantity.zero import ZeroCheck
from metrion.formats.logbook.declared import read_fields
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.indications import parse_indication
from metrion.formats.logbook.known import Known


def parse_zero_check(fields: Fields, known: Known) -> ZeroCheck | None:
    """A zero check, or None with its faults noted."""
    instrument = known.instrument(fields)
    sketch = known.sketch(fields)
    given = read_fields(ZeroCheck, fields, sketch.kind if sketch else "")
    indication = parse_indication(fields, instrument, sketch, estimates=True)
    named = fields.record.get("instrument")
    if fields.key and isinstance(named, str):
        known.made_on.setdefault(fields.key, named)
    if instrument is None or indication is None or "id" not in given:
        return None
    return ZeroCheck(**given, instrument=instrument.id, indication=indication)
