"""Instruments in a logbook file."""

from __future__ import annotations

from enum import StrEnum
from fractions import Fraction

from metrion.core.bounds import MOST_FINE_DIVISIONS, MOST_SPAN
from metrion.core.errors import NotExact, OutOfBounds, UnreadableSleeve, UselessScale
from metrion.core.instruments import Instrument, Kind
from metrion.core.scales import Numbering, Scale, ScrewScale, VernierScale
from metrion.formats.logbook.fields import Fields


class _LengthUnit(StrEnum):
    MM = "mm"
    CM = "cm"
    IN = "in"


class _AngleUnit(StrEnum):
    ARCMIN = "arcmin"


def parse_instrument(fields: Fields, *, drawn: bool = False) -> Instrument | None:
    """An instrument, or None with its faults noted.

    Args:
        drawn: whether it is only to be drawn, so that a useless fine scale is no fault.
    """
    name = fields.text("name")
    kind = fields.choice("kind", Kind, required=True)
    limit = fields.not_negative("maker_limit")
    if kind is None:
        fields.count("fine_divisions", MOST_FINE_DIVISIONS, required=True)
        fields.positive("main_division", required=True)
        return None
    units = _AngleUnit if kind is Kind.ANGULAR else _LengthUnit
    unit = fields.choice("unit", units, required=True)
    scale = _screw(fields) if kind is Kind.SCREW else _vernier(fields, drawn)
    bounds = None if kind is Kind.ANGULAR else _range(fields)
    key = fields.record.get("id")
    if unit is None or scale is None or not isinstance(key, str):
        return None
    return Instrument(key, name or key, kind, str(unit), scale, bounds, limit or Fraction(0))


def _vernier(fields: Fields, drawn: bool) -> Scale | None:
    division = fields.positive("main_division", required=True)
    lines = fields.count("fine_divisions", MOST_FINE_DIVISIONS, required=True)
    span = fields.count("span", MOST_SPAN, required=True)
    numbering = fields.choice("numbering", Numbering) or Numbering.WITH
    if lines is None or span is None:
        return None
    try:
        # Whether the fine scale is useless does not hang on the size of the main division.
        scale = VernierScale(division or Fraction(1), lines, span, numbering)
        if not drawn:
            scale.refuse_useless()
    except UselessScale as error:
        fields.fault("span", str(error))
        return None
    return scale if division else None


def _screw(fields: Fields) -> Scale | None:
    pitch = fields.positive("pitch", required=True)
    lines = fields.count("fine_divisions", MOST_FINE_DIVISIONS, required=True)
    division = fields.positive("main_division", required=True)
    if pitch is None or division is None:
        return None
    try:
        scale = ScrewScale(pitch, lines or 1, division)
    except UnreadableSleeve as error:
        fields.fault("main_division", str(error))
        return None
    return scale if lines else None


def _range(fields: Fields) -> tuple[Fraction, Fraction] | None:
    if "range" not in fields:
        return None
    given = fields.record["range"]
    try:
        if isinstance(given, list) and len(given) == 2 and all(isinstance(n, str) for n in given):
            low, high = map(fields.read_number, given)
            if low < high:
                return low, high
    except OutOfBounds as error:
        fields.fault("range", str(error))
        return None
    except NotExact:
        pass
    fields.fault("range", 'range must be two numbers, the lower first, like ["0", "150"]')
    return None
