"""Fields with a way of writing of their own: figures, coverage, a range."""

from __future__ import annotations

import re
from fractions import Fraction

from metrion.core.codes import MessageCode
from metrion.core.conventions.convention import Coverage, Digits
from metrion.core.errors import NotExact, OutOfBounds
from metrion.core.facts import Name, fact
from metrion.formats.logbook.fields import Fields

_COVERAGE = re.compile(r"([0-9]{1,300}(?:\.[0-9]{1,300})?)(%?)")
_DIGITS: tuple[Digits, ...] = (1, 2, "1-or-2")


def read_figures(fields: Fields, name: str) -> Digits | None:
    """How many figures an uncertainty has."""
    given: object = fields.record.get(name)
    for digits in _DIGITS:
        if type(given) is type(digits) and given == digits:
            return digits
    code: MessageCode = "figures-missing" if name not in fields else "figures-other"
    fields.fault(name, code, field=Name(name))
    return None


def read_coverage(fields: Fields, name: str) -> Coverage | None:
    """A coverage factor or percentage."""
    what = fact("a-coverage")
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
    fields.fault(name, "coverage-out-of-bounds", field=Name(name), what=what)
    return None


def read_bounds(fields: Fields, name: str) -> tuple[Fraction, Fraction] | None:
    """Two numbers, the lower first."""
    given = fields.record[name]
    try:
        texts = [n for n in given if isinstance(n, str)] if isinstance(given, list) else []
        if isinstance(given, list) and len(texts) == len(given) == 2:
            low, high = map(fields.read_number, texts)
            if low < high:
                return low, high
    except OutOfBounds as error:
        fields.note(name, error.says)
        return None
    except NotExact:
        pass
    fields.fault(name, "not-two-numbers", field=Name(name))
    return None
