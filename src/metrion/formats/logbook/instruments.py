"""Instruments in a logbook file."""

from __future__ import annotations

from fractions import Fraction
from typing import assert_never

from metrion.core.errors import UnreadableSleeve, UselessScale
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import PlainScale, Scale, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.formats.logbook.declared import Values, read_fields
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.known import Known, Sketch


def parse_instrument(fields: Fields, known: Known, *, drawn: bool = False) -> Instrument | None:
    """An instrument, or None with its faults noted.

    Args:
        drawn: whether it is only to be drawn, so that a useless fine scale is no fault.
    """
    kind = fields.choice("kind", Kind, required=True)
    if kind is None:
        return None
    given = read_fields(Instrument, fields, kind)
    unit = fields.choice("unit", kind.traits.units, required=True)
    if fields.key:
        likely = next(iter(kind.traits.units))
        known.sketches.setdefault(fields.key, Sketch(kind, str(unit or likely)))
    found = given.pop("scale")
    scale = _scale(kind, fields, found, drawn)
    if unit is None or scale is None or "id" not in given:
        return None
    given["name"] = given.get("name") or given["id"]
    return Instrument(**given, unit=str(unit), scale=scale)


def _scale(kind: Kind, fields: Fields, found: Values, drawn: bool) -> Scale | None:
    match kind:
        case Kind.PLAIN:
            return PlainScale(**found) if found else None
        case Kind.SCREW:
            return _screw(fields, found)
        case Kind.VERNIER | Kind.ANGULAR:
            return _vernier(fields, found, drawn)
        case _:
            assert_never(kind)


def _vernier(fields: Fields, found: Values, drawn: bool) -> Scale | None:
    if not {"fine_divisions", "span"} <= found.keys():
        return None
    # Whether the fine scale is useless does not hang on the size of the main division.
    scale = VernierScale(**{"main_division": Fraction(1), **found})
    try:
        if not drawn:
            scale.refuse_useless()
    except UselessScale as error:
        fields.note("span", error.says)
        return None
    return scale if "main_division" in found else None


def _screw(fields: Fields, found: Values) -> Scale | None:
    if not {"pitch", "main_division"} <= found.keys():
        return None
    try:
        # Whether the sleeve fits the pitch does not hang on the thimble.
        scale = ScrewScale(**{"fine_divisions": 1, **found})
    except UnreadableSleeve as error:
        fields.note("main_division", error.says)
        return None
    return scale if "fine_divisions" in found else None
