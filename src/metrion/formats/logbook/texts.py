"""Fields with a way of writing of their own: figures, coverage, a range."""

from __future__ import annotations

import re
from fractions import Fraction

from metrion.core.errors import NotExact, OutOfBounds
from metrion.core.uncertainty.conventions import Coverage, Digits
from metrion.formats.logbook.fields import Fields

_COVERAGE = re.compile(r"([0-9]{1,300}(?:\.[0-9]{1,300})?)(%?)")
_DIGITS: tuple[Digits, ...] = (1, 2, "1-or-2")


def read_figures(fields: Fields, name: str) -> Digits | None:
    """How many figures an uncertainty has."""
    given: object = fields.record.get(name)
    for digits in _DIGITS:
        if type(given) is type(digits) and given == digits:
            return digits
    state = "is missing; it" if name not in fields else ""
    fields.fault(name, f'{name} {state} must be 1, 2 or "1-or-2"')
    return None


def read_coverage(fields: Fields, name: str) -> Coverage | None:
    """A coverage factor or percentage."""
    what = 'a factor like "2" or a percentage like "95%"'
    text = fields.parsed(name, str, what, required=True)
    if text is None:
        return None
    if match := _COVERAGE.fullmatch(text):
        number = fields.parsed(name, lambda _: fields.read_number(match[1]), what)
        if number is None:
            return None
        percentage = bool(match[2])
        if number > 0 and (number < 100 or not percentage):
            return Coverage(number, percentage)
    fields.fault(name, f"{name} must be {what}, above 0 (a percentage below 100)")
    return None


def read_bounds(fields: Fields, name: str) -> tuple[Fraction, Fraction] | None:
    """Two numbers, the lower first."""
    given = fields.record[name]
    try:
        if isinstance(given, list) and len(given) == 2 and all(isinstance(n, str) for n in given):
            low, high = map(fields.read_number, given)
            if low < high:
                return low, high
    except OutOfBounds as error:
        fields.fault(name, str(error))
        return None
    except NotExact:
        pass
    fields.fault(name, f'{name} must be two numbers, the lower first, like ["0", "150"]')
    return None
