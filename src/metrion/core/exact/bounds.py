"""How large what is taken in may be, so that nothing that arrives can exhaust a machine.

The bounds hold for new input. What was kept before they were set stays readable.
"""

from __future__ import annotations

import re
import unicodedata
from fractions import Fraction

from metrion.core.errors import OutOfBounds, shortened
from metrion.core.facts import Name

MOST_FINE_DIVISIONS = 1_000
MOST_SPAN = 2_000
MOST_ALIKE = 1_000_000
"""Items in a stack, and what a pair is divided by."""

LARGEST_EXPONENT = 9
"""Of a unit, and of a power in a formula; the least is its opposite."""

LONGEST_FORMULA = 500
DEEPEST_BRACKETS = 32

LARGEST_FILE = 64 * 1024 * 1024
"""Of a file, in bytes."""

LARGEST_PACKED = 256 * 1024 * 1024
"""Of a file in which there are others, and of all these together, in bytes."""

DEEPEST_NESTING = 32
"""Of objects and lists in a file, its own counting as 1."""

LARGEST_UNKNOWN = 64 * 1024
"""Of a field that is not known, as JSON without blanks in UTF-8."""

MOST_NAMED_CHECKS = 100
"""Zero checks that one measurement names."""

MOST_OBSERVATIONS = 200_000
"""In all measurements of a logbook."""

LONGEST_NUMBER = 40
_LONGEST_PART = 12
_TOO_LARGE = 10**12
_LEAST = Fraction(1, 10**12)
LONGEST_ID = 64
_NOT_IN_AN_ID = set("/\\?#%")
_NOT_IN_XML = {"\ufffe", "\uffff"}
_POWER = re.compile(r"\*\*-?([0-9]+)")


def check_number(text: str, value: Fraction) -> None:
    """Refuse a number that is written too long, or is too large or too small.

    Args:
        text: as it was written; an angle too.
        value: what it says; an angle in arc minutes.

    Raises:
        OutOfBounds: with what is allowed.
    """
    check_length(text)
    if "/" in text and any(len(part.lstrip("-")) > _LONGEST_PART for part in text.split("/")):
        raise OutOfBounds("fraction-too-long", text=shortened(text), most=_LONGEST_PART)
    if abs(value) >= _TOO_LARGE:
        raise OutOfBounds("number-too-large", text=shortened(text))
    if 0 < abs(value) < _LEAST:
        raise OutOfBounds("number-too-small", text=shortened(text))


def check_length(text: str) -> None:
    """Refuse the text of a number that is too long to be one. Raises `OutOfBounds`."""
    if len(text) > LONGEST_NUMBER:
        raise OutOfBounds(
            "number-too-long", text=shortened(text), count=len(text), most=LONGEST_NUMBER
        )


def check_id(key: str) -> None:
    """Refuse an id that could not stand in an address. Raises `OutOfBounds`."""
    if not 1 <= len(key) <= LONGEST_ID:
        raise OutOfBounds("id-too-long", most=LONGEST_ID, count=len(key))
    if key in (".", "..") or any(map(_barred, key)):
        raise OutOfBounds("not-an-id", key=Name(key))


def _barred(sign: str) -> bool:
    return sign in _NOT_IN_AN_ID or sign.isspace() or unicodedata.category(sign) == "Cc"


def check_text(text: str, most: int) -> None:
    """Refuse text that is too long, or holds what no output of ours can carry.

    Raises:
        OutOfBounds: for too many characters, a control character but tab and line feed, or one
            that XML cannot hold.
    """
    if len(text) > most:
        raise OutOfBounds("text-too-long", text=shortened(text), count=len(text), most=most)
    if text.isprintable():
        return
    for sign in text:
        if sign not in "\t\n" and (unicodedata.category(sign) == "Cc" or sign in _NOT_IN_XML):
            raise OutOfBounds(
                "text-with-odd-sign", text=shortened(text), sign=Name(f"{ord(sign):04X}")
            )


def check_unit(text: str) -> None:
    """Refuse a unit with too large a power. Raises `OutOfBounds`."""
    if any(int(power) > LARGEST_EXPONENT for power in _POWER.findall(text)):
        raise OutOfBounds("unit-power-too-large", most=LARGEST_EXPONENT)
