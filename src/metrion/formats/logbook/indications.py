"""One indication of the scales, wherever it stands in a file."""

from __future__ import annotations

import re
from collections.abc import Sequence
from fractions import Fraction

from metrion.core.errors import ScaleError
from metrion.core.facts import fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record
from metrion.core.quantity.observations import PAIR_INDICATIONS
from metrion.core.scales import Indication, Line, ScrewScale
from metrion.core.scales.base import Undecided
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.known import Sketch

_ALIKE = re.compile(r"([0-9]{1,12})-([0-9]{1,12})")
_DECIMAL = re.compile(r"-?[0-9]{1,300}(\.[0-9]{1,300})?")


def indication_record(instrument: Instrument, indication: Indication) -> Record:
    """An indication as a logbook holds it."""
    found: Record = {"main": instrument.main_text(indication.main)}
    scale = instrument.scale
    if scale.has_fine_scale:
        whole = not indication.undecided and Fraction(indication.line).denominator == 1
        found["fine"] = int(indication.line) if whole else indication.line_text
    if isinstance(scale, ScrewScale) and scale.two_turns:
        found["second_turn"] = indication.second_turn
    return found


def observation_record(instrument: Instrument, indications: Sequence[Indication]) -> Record:
    """Those of an observation as a logbook holds them: one, or those of a pair by name."""
    records = [indication_record(instrument, indication) for indication in indications]
    return records[0] if len(records) == 1 else dict(zip(PAIR_INDICATIONS, records, strict=False))


def parse_indication(
    fields: Fields, instrument: Instrument | None, sketch: Sketch | None, *, estimates: bool
) -> Indication | None:
    """An indication, or None with its faults noted.

    Args:
        fields: the object that holds ``main``, ``fine`` and ``second_turn``.
        instrument: what was looked at; None if that is not known, or has faults of its own.
        sketch: what can be told of it all the same.
        estimates: whether positions between lines may be estimated.
    """
    main = _main(fields, instrument, sketch, estimates)
    # Without a tool nobody knows what a line may be; a plain scale has none.
    unchecked = sketch is None or not sketch.kind.traits.fine_scale
    line = 0 if unchecked else _line(fields, instrument, estimates)
    second_turn = None
    if sketch and sketch.kind.traits.turns:
        second_turn = fields.flag("second_turn")
    if main is None or line is None or instrument is None:
        return None
    return Indication.seen(main, line, second_turn or False)


def _main(
    fields: Fields, instrument: Instrument | None, sketch: Sketch | None, estimates: bool
) -> Fraction | None:
    if sketch is None:
        fields.text("main", required=True)
        return None
    if sketch.kind.traits.circular:
        main = fields.parsed("main", fields.read_angle, fact("wanted-angle-text"), required=True)
    else:
        main = fields.exact("main", required=True)
    try:
        if main is not None and instrument is not None:
            instrument.check_main(main, estimates=estimates)
    except ScaleError as error:
        fields.note("main", error.says)
        return None
    return main


def _line(
    fields: Fields, instrument: Instrument | None, estimates: bool
) -> Line | Undecided | None:
    given = fields.record.get("fine")
    line: Line | Undecided | None
    if not isinstance(given, str):
        line = fields.integer("fine", required=True)
    elif alike := _ALIKE.fullmatch(given):
        line = Undecided(*map(int, alike.groups()))
    else:
        line = _estimate(fields, given)
    if line is None or instrument is None:
        return None
    try:
        if isinstance(line, Undecided):
            instrument.check_undecided(line)
        else:
            instrument.check_line(line, estimates=estimates)
    except ScaleError as error:
        fields.note("fine", error.says)
        return None
    return line


def _estimate(fields: Fields, given: str) -> Fraction | None:
    if not _DECIMAL.fullmatch(given):
        fields.fault("fine", "not-a-line")
        return None
    return fields.parsed("fine", fields.read_number, fact("an-estimate"))
