"""The other units that a result is to be given in."""

from __future__ import annotations

from collections.abc import Callable

from metrion.core.errors import UnitError, shortened
from metrion.core.exact.bounds import check_unit
from metrion.core.facts import Name, fact
from metrion.core.formula.units import Unit, parse_unit
from metrion.core.quantity.other_units import other_units
from metrion.formats.faults import child
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.known import Sketch

_NAME = "also_in"


def units_of_length_or_angle(fields: Fields, sketch: Sketch | None) -> tuple[Unit, ...]:
    """Those of a measurement; as much as can be told where its instrument is not known."""
    known = other_units(sketch.kind) if sketch else ()

    def read(text: str) -> Unit:
        if known and text not in known:
            raise UnitError("also-not-offered", unit=shortened(text), known=Name(", ".join(known)))
        return parse_unit(text)

    return _units(fields, sketch.unit if sketch else "", read)


def units_of_derived(fields: Fields, unit: Unit | None) -> tuple[Unit, ...]:
    """Those of a derived quantity; as much as can be told where its own unit is not known."""

    def read(text: str) -> Unit:
        if not fields.faults.kept:
            check_unit(text)
        found = parse_unit(text)
        if unit and found.dimension != unit.dimension:
            raise UnitError("also-no-conversion", unit=shortened(text), own=shortened(unit.text))
        return found

    return _units(fields, unit.text if unit else "", read)


def _units(fields: Fields, own: str, read: Callable[[str], Unit]) -> tuple[Unit, ...]:
    found: dict[str, Unit] = {}
    listed = dict(fields.texts(_NAME, fact("a-unit")))
    each = Fields(
        {place.rpartition("/")[2]: text for place, text in listed.items()},
        child(fields.pointer, _NAME),
        fields.faults,
    )
    seen: set[str] = set()
    for index, text in each.record.items():
        assert isinstance(text, str)
        if text in seen:
            each.fault(index, "also-twice", unit=shortened(text))
        elif text == own:
            each.fault(index, "also-own", unit=shortened(text))
        elif unit := each.parsed(index, read, fact("a-unit")):
            found[text] = unit
        seen.add(text)
    return tuple(found.values())
