"""Numbers as they are typed at the bench, where a comma is as good as a point."""

from __future__ import annotations

import re
from collections.abc import Iterable
from contextlib import suppress
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.errors import MetrionError, NotExact, OutOfBounds
from metrion.core.exact.bounds import check_length, check_number
from metrion.core.exact.numbers import parse_exact, to_text
from metrion.core.exact.units import parse_unit
from metrion.core.facts import Fact
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.instrument import Instrument

_GLYPHS = {"½": "1/2", "¼": "1/4", "¾": "3/4"}
_MIXED = re.compile(r"(-?)(?:([0-9]+)(?: +|-))?([0-9]+/[0-9]+)|(-?)([0-9]*) *([½¼¾])")
_OPEN = re.compile(r"(-?)(?:\.([0-9]+)|([0-9]+)\.)")
_ANGLE = re.compile(r"(-?[0-9]+)° *([0-9]{1,2}) *[′']?")
_MINUTES = re.compile(r"(.*[0-9½¼¾]) *[′'](?: *([0-9]{1,2}) *[″\"])?")
_WITH_UNIT = re.compile(r"(.*[0-9.½¼¾]) *(mm|cm|m|um|µm|μm|in|inch|inches|\"|″)")
_UNITS = {"µm": "um", "μm": "um", "inch": "in", "inches": "in", '"': "in", "″": "in"}


@dataclass(frozen=True)
class Offer:
    """Something else to type, in one tap.

    Attributes:
        text: what would be typed.
        says: what it would mean.
        fine_as: what the fine blank is to stand for from then on; None where that stays.
    """

    text: str
    says: Fact
    fine_as: FineAs | None = None


class Unclear(MetrionError):
    """A figure that the scale does not have, or that could be two, with what is possible."""

    def __init__(self, says: Fact, offers: Iterable[Offer]) -> None:
        super().__init__(says.code, **says.about)
        self.offers = tuple(offers)


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


@dataclass(frozen=True)
class TypedLength:
    """A length that was typed.

    Attributes:
        value: in the unit of the instrument.
        unit: the unit it was typed in.
        named: whether that was typed with it.
    """

    value: Fraction
    unit: str
    named: bool


def typed_minutes(text: str) -> Fraction | None:
    """An angle typed as minutes, and seconds: ``12′``, ``6′30″``; None for anything else."""
    check_length(text)
    match = _MINUTES.fullmatch(text.strip())
    return typed_number(match[1]) + Fraction(int(match[2] or 0), 60) if match else None


def has_unit(text: str) -> bool:
    """Whether a length was typed with its unit: ``5.2cm``, ``0.5 in``."""
    return _WITH_UNIT.fullmatch(text.strip()) is not None


def typed_length(instrument: Instrument, text: str, usual: str) -> TypedLength:
    """A length, with its unit or without.

    Args:
        usual: the unit it has where none is typed.

    Raises:
        NotExact, OutOfBounds: as `typed_number`.
    """
    check_length(text)
    match = _WITH_UNIT.fullmatch(text.strip())
    unit = _UNITS.get(match[2], match[2]) if match else usual
    number = typed_number(match[1] if match else text)
    value = (
        number * Fraction(parse_unit(unit).factor) / Fraction(parse_unit(instrument.unit).factor)
    )
    check_number(text, value)
    return TypedLength(value, unit, match is not None)
