"""Conventions of one's own in a logbook file."""

from __future__ import annotations

import re
from fractions import Fraction

from metrion.core.conventions import (
    BUILT_IN,
    Combine,
    Convention,
    Coverage,
    Digits,
    Family,
    Spread,
)
from metrion.formats.logbook.fields import Fields

_COVERAGE = re.compile(r"([0-9]{1,300}(?:\.[0-9]{1,300})?)(%?)")
_DIGITS: tuple[Digits, ...] = (1, 2, "1-or-2")


def parse_convention(fields: Fields) -> Convention | None:
    """A convention, or None with its faults noted."""
    key = fields.record.get("id")
    if isinstance(key, str) and key in BUILT_IN:
        fields.fault("id", f'"{key}" is built in; a convention of your own needs another id')
    name = fields.text("name")
    family = fields.choice("family", Family, required=True)
    limit = fields.positive("reading_limit", required=True)
    zero_look = fields.flag("zero_look", required=True)
    digits = _digits(fields)
    estimate = fields.flag("estimate")
    limits = family is Family.LIMIT
    spread = fields.choice("spread", Spread, required=True) if limits else Spread.NONE
    combine = fields.choice("combine", Combine, required=True) if limits else Combine.LARGER
    unused = Coverage(Fraction(1))
    coverage = _coverage(fields) if family is Family.STANDARD else unused
    if (
        family is None or limit is None or zero_look is None or digits is None
        or spread is None or combine is None or coverage is None or not isinstance(key, str)
    ):  # fmt: skip
        return None
    return Convention(
        key, name or key, family, limit, zero_look, digits, spread, combine, coverage,
        estimate or False,
    )  # fmt: skip


def _digits(fields: Fields) -> Digits | None:
    given: object = fields.record.get("digits")
    for digits in _DIGITS:
        if type(given) is type(digits) and given == digits:
            return digits
    state = "is missing; it" if "digits" not in fields else ""
    fields.fault("digits", f'digits {state} must be 1, 2 or "1-or-2"')
    return None


def _coverage(fields: Fields) -> Coverage | None:
    what = 'a factor like "2" or a percentage like "95%"'
    text = fields.parsed("coverage", str, what, required=True)
    if text is None:
        return None
    if match := _COVERAGE.fullmatch(text):
        number = fields.parsed("coverage", lambda _: fields.read_number(match[1]), what)
        if number is None:
            return None
        percentage = bool(match[2])
        if number > 0 and (number < 100 or not percentage):
            return Coverage(number, percentage)
    fields.fault("coverage", f"coverage must be {what}, above 0 (a percentage below 100)")
    return None
