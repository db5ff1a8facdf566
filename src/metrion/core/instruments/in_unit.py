"""The description of a tool told in another unit: what was given stays as long as it was."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from metrion.core.errors import NotExact
from metrion.core.exact.numbers import finite_decimals, parse_exact, to_text
from metrion.core.formula.units import unit_ratio
from metrion.core.json import Json, Record
from metrion.core.traits import LengthUnit

_LENGTHS = ("main_division", "pitch", "maker_limit")
_MARKS = ("main", "meets", "reference")


def in_unit(record: Record, unit: LengthUnit) -> Record:
    """A description in another unit of length; what is no number stays as it was typed.

    >>> in_unit({"unit": "mm", "main_division": "1", "range": ["0", "150"]}, LengthUnit.CM)
    {'unit': 'cm', 'main_division': '0.1', 'range': ['0', '15']}
    """
    was = record.get("unit")
    if was not in set(LengthUnit):
        return {**record, "unit": unit.value}
    factor = unit_ratio(str(was), unit)
    ends = record.get("range")
    return {
        **_times(record, _LENGTHS, factor),
        "unit": unit.value,
        **({"range": [_told(end, factor) for end in ends]} if isinstance(ends, list) else {}),
    }


def marks_in_unit(record: Record, looks: Sequence[str], factor: Fraction) -> Record:
    """A reading or a look at the zero, told in another unit; its lines stay.

    Args:
        looks: the names under which a pair has its looks.
        factor: what one of its unit is in the other.
    """
    paired = {name: one for name in looks if isinstance(one := record.get(name), dict)}
    return {
        **_times(record, _MARKS, factor),
        **{name: _times(one, _MARKS, factor) for name, one in paired.items()},
    }


def _times(record: Record, names: Sequence[str], factor: Fraction) -> Record:
    return {**record, **{name: _told(record[name], factor) for name in names if name in record}}


def _told(given: Json, factor: Fraction) -> Json:
    if not isinstance(given, str):
        return given
    try:
        value = parse_exact(given.strip()) * factor
    except NotExact:
        return given
    whole = finite_decimals(value) is not None
    return to_text(value) if whole else f"{value.numerator}/{value.denominator}"
