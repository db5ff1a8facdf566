"""A tool told in the unit that its numerals stand for, as one reads it.

A logbook keeps marks in the unit of its description; people see, type and write them as they are
engraved. Whatever is shown is worked out from the tool told so; what is kept never changes.
"""

from __future__ import annotations

from dataclasses import replace
from fractions import Fraction

from metrion.core.exact.units import unit_ratio
from metrion.core.instruments.drawing import engraved_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import PlainScale, Scale, ScrewScale, VernierScale


def numbered(tool: Instrument) -> Instrument:
    """The tool in the unit of its numerals; the same one where that is its own."""
    unit = engraved_unit(tool)
    if unit == tool.unit:
        return tool
    per = unit_ratio(tool.unit, unit)
    return replace(
        tool,
        unit=unit,
        scale=_scale_times(tool.scale, per),
        range=(tool.range[0] * per, tool.range[1] * per) if tool.range else None,
        maximum_permissible_error=tool.maximum_permissible_error * per,
        kept_unit=tool.unit,
    )


def numbered_per(tool: Instrument) -> Fraction:
    """What one of its unit is in the unit of its numerals."""
    return unit_ratio(tool.unit, engraved_unit(tool))


def engraved_worth(tool: Instrument, value: Fraction) -> str:
    """A reading or a difference of readings in the unit of its numerals, with that unit."""
    return numbered(tool).with_unit(value * numbered_per(tool))


def _scale_times(scale: Scale, per: Fraction) -> Scale:
    division = scale.main_division * per
    if isinstance(scale, ScrewScale):
        return replace(scale, main_division=division, pitch=scale.pitch * per)
    assert isinstance(scale, VernierScale | PlainScale)
    return replace(scale, main_division=division)
