"""A tool told in the unit that its numerals stand for, as one reads it.

A logbook keeps marks in the unit of its description; people see, type and write them as they are
engraved, unless they said that their figures are in that of the description. Whatever is shown is
worked out from the tool told so; what is kept never changes.
"""

from __future__ import annotations

from dataclasses import replace
from fractions import Fraction
from typing import assert_never

from metrion.core.exact.numbers import to_text
from metrion.core.formula.units import unit_ratio
from metrion.core.instruments.appearance import MainAs
from metrion.core.instruments.drawing import engraved_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import PlainScale, Scale, ScrewScale, VernierScale


def spoken_unit(tool: Instrument) -> str:
    """The unit of its numerals, or its own where figures were said to be in that."""
    if tool.traits.circular or tool.appearance.main_as is MainAs.UNIT:
        return tool.unit
    return engraved_unit(tool)


def numbered(tool: Instrument) -> Instrument:
    """The tool in the unit that is spoken of it; the same one where that is its own."""
    unit = spoken_unit(tool)
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
    """What one of its unit is in the one that is spoken."""
    return unit_ratio(tool.unit, spoken_unit(tool))


def spoken_worth(tool: Instrument, value: Fraction) -> str:
    """A reading or a difference of readings in the unit that is spoken, with that unit."""
    return numbered(tool).with_unit(value * numbered_per(tool))


def spoken_mark(tool: Instrument, main: Fraction, *, with_unit: bool = False) -> str:
    """A mark as one says it: 5.2 on a beam numbered in centimetres, for 52 mm."""
    if tool.traits.circular:
        return tool.mark_text(main)
    return to_text(main * numbered_per(tool)) + (f" {spoken_unit(tool)}" if with_unit else "")


def _scale_times(scale: Scale, per: Fraction) -> Scale:
    division = scale.main_division * per
    match scale:
        case ScrewScale():
            return replace(scale, main_division=division, pitch=scale.pitch * per)
        case VernierScale() | PlainScale():
            return replace(scale, main_division=division)
        case _:
            assert_never(scale)
