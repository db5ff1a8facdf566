"""Angles as degrees, minutes and seconds; worked with as exact arc minutes."""

from __future__ import annotations

import re
from fractions import Fraction

from metrion.core.errors import NotAnAngle
from metrion.core.exact.numbers import fixed

FULL_CIRCLE = Fraction(360 * 60)
"""One turn, in arc minutes."""

HALF_CIRCLE = FULL_CIRCLE / 2
"""Half a turn, in arc minutes."""

_ANGLE = re.compile(r"(-?)([0-9]{1,300}):([0-9]{1,2})(?::([0-9]{1,2}))?")


def parse_angle(text: str) -> Fraction:
    """Read ``"214:30"`` or ``"7:05:30"`` as arc minutes; a minus sign holds for the whole.

    Raises:
        NotAnAngle: for anything else, or minutes or seconds of 60 and more.

    >>> parse_angle("7:05:30")
    Fraction(851, 2)
    """
    match = _ANGLE.fullmatch(text)
    if not match:
        raise NotAnAngle(text)
    sign, degrees, minutes, seconds = match.groups()
    if int(minutes) > 59 or int(seconds or 0) > 59:
        raise NotAnAngle(text)
    size = int(degrees) * 60 + int(minutes) + Fraction(int(seconds or 0), 60)
    return -size if sign else size


def angle_text(minutes: Fraction) -> str:
    """Arc minutes as a logbook writes them: ``"214:30"``, with seconds where they are needed.

    Raises:
        ValueError: if ``minutes`` is no whole number of seconds.
    """
    seconds = abs(minutes) * 60
    if seconds.denominator != 1:
        raise ValueError(f"{minutes} arc minutes is no whole number of seconds")
    rest, second = divmod(seconds.numerator, 60)
    degree, minute = divmod(rest, 60)
    tail = f":{second:02d}" if second else ""
    return f"{'-' if minutes < 0 else ''}{degree}:{minute:02d}{tail}"


def degrees_and_minutes(minutes: Fraction, decimals: int, *, padded: bool = False) -> str:
    """Arc minutes for people, ``19°18.0′``: the sign before the degrees.

    Args:
        padded: whether minutes have two places, ``10°05′``, as marks do.
    """
    degree = abs(minutes) // 60
    sign = "-" if minutes < 0 else ""
    rest = abs(minutes) - degree * 60
    # A place of tens or hundreds of minutes still shows the minutes that are left over.
    text = fixed(rest, max(decimals, 0))
    return f"{sign}{degree}°{'0' if padded and rest < 10 else ''}{text}′"
