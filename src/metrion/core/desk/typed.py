"""Numbers as they are typed at the bench, where a comma is as good as a point."""

from __future__ import annotations

import re
from contextlib import suppress
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.errors import NotExact, OutOfBounds
from metrion.core.exact.bounds import check_length, check_number
from metrion.core.exact.numbers import parse_exact, to_text
from metrion.core.facts import Fact

_GLYPHS = {"½": "1/2", "¼": "1/4", "¾": "3/4"}
_MIXED = re.compile(r"(-?)(?:([0-9]+)(?: +|-))?([0-9]+/[0-9]+)|(-?)([0-9]*) *([½¼¾])")
_OPEN = re.compile(r"(-?)(?:\.([0-9]+)|([0-9]+)\.)")
_ANGLE = re.compile(r"(-?[0-9]+)° *([0-9]{1,2}) *[′']?")


@dataclass(frozen=True)
class Offer:
    """Something else to type, in one tap.

    Attributes:
        text: what would be typed.
        says: what it would mean.
    """

    text: str
    says: Fact


def typed_number(text: str) -> Fraction:
    """A number as people type it: ``6,5``, ``.5``, ``1½``, ``1 1/2``, ``1-1/2``, ``−0.5``.

    Raises:
        NotExact: for anything else.
        OutOfBounds: for one that is too long, too large or too small.
    """
    check_length(text)
    value = _number(text)
    check_number(text, value)
    return value


def _number(text: str) -> Fraction:
    plain = plainly_typed(text)
    if match := _MIXED.fullmatch(plain):
        sign, whole, part = match.groups()[:3] if match[3] else match.groups()[3:]
        size = parse_exact(whole or "0") + parse_exact(_GLYPHS.get(part, part))
        return -size if sign else size
    if match := _OPEN.fullmatch(plain):
        sign, decimals, whole = match.groups()
        return parse_exact(f"{sign}{whole or 0}.{decimals or 0}")
    return parse_exact(plain)


def plainly_typed(text: str) -> str:
    """A text with points for commas and plain signs."""
    return text.strip().replace(",", ".").replace("−", "-")


def typed_exact(text: str) -> str:
    """A value that was typed as a logbook holds it; what is none stays what it is.

    >>> typed_exact("0,50"), typed_exact("−½"), typed_exact("31°30′")
    ('0.50', '-0.5', '31:30')
    """
    plain = plainly_typed(text)
    if "°" in plain and (angle := _ANGLE.fullmatch(plain)):
        return f"{angle[1]}:{angle[2]:0>2}"
    try:
        parse_exact(plain)
    except NotExact:
        with suppress(NotExact, OutOfBounds):
            return to_text(typed_number(plain))
    return plain
