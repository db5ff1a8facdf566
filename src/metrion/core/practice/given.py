"""An answer as people type it."""

from __future__ import annotations

import re
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.desk.typed import plainly_typed, typed_number
from metrion.core.errors import MetrionError
from metrion.core.exact.angles import parse_angle
from metrion.core.formula.units import unit_ratio
from metrion.core.practice.exercise import Exercise, Question

_LENGTH = re.compile(r"(.*?)\s*(mm|cm|m|um|µm|μm|in|inch|inches|\"|″)?", re.DOTALL)
_UNITS = {"µm": "um", "μm": "um", "inch": "in", "inches": "in", '"': "in", "″": "in"}
_NUMBER = r"[0-9]+(?:\.[0-9]+)?|\.[0-9]+"
_ANGLE = re.compile(
    rf"(?P<sign>-?)(?P<degrees>{_NUMBER})\s*(?:°|deg|degrees?)\s*"
    rf"(?:(?P<minutes>{_NUMBER})\s*(?:['′]|min|minutes?|arcmin)?\s*)?"
    rf"(?:(?P<seconds>{_NUMBER})\s*(?:''|[\"″]|s|sec|seconds?)?)?"
)
_SMALL = re.compile(
    rf"(?P<sign>-?)(?:(?P<minutes>{_NUMBER})\s*(?:['′](?!')|min|minutes?|arcmin)\s*)?"
    rf"(?:(?P<seconds>{_NUMBER})\s*(?:''|[\"″]|s|sec|seconds?))?"
)
_AFTER_SIGN = re.compile(r"^([-+])\s+")
_BLANKS = re.compile(r"-?[0-9]+\s+[0-9]{1,2}(\s+[0-9]{1,2})?")
_COLON = re.compile(r"\s*:\s*")
_COLONS = re.compile(r"-?[0-9]+:[0-9]{1,2}(:[0-9]{1,2})?")
_LONGEST = 60


@dataclass(frozen=True)
class Given:
    """An answer that was understood.

    Attributes:
        value: in the unit of the instrument.
        decimals: how many it has; None for an angle.
        form: how an answer of this value is written in full, to see whether it was.
    """

    value: Fraction
    decimals: int | None
    form: str


def understood(exercise: Exercise, text: str) -> Given | None:
    """What an answer says; None where that cannot be told.

    A decimal comma, blanks, a plus sign and the unit are understood. A plain number for an angle
    is degrees, for the least count of a circle minutes.
    """
    plain = _AFTER_SIGN.sub(r"\1", plainly_typed(text)).removeprefix("+")
    if not plain or len(plain) > _LONGEST:
        return None
    try:
        return _angle(exercise, plain) if exercise.angular else _length(exercise, plain)
    except (MetrionError, ValueError):
        return None


def _length(exercise: Exercise, plain: str) -> Given | None:
    match = _LENGTH.fullmatch(plain)
    if not match or not match[1]:
        return None
    value, decimals = typed_number(match[1]), _decimals(match[1])
    own = exercise.instrument.unit
    unit = _UNITS.get(match[2] or own, match[2] or own)
    if unit != own:
        worth = unit_ratio(unit, own)
        value *= worth
        # Decimals move with the point: 0.630 cm has those of 6.30 mm.
        moved = {Fraction(10) ** places: places for places in range(-6, 7)}.get(worth, 0)
        decimals = max(0, decimals - moved)
    return Given(value, decimals, "")


def _decimals(number: str) -> int:
    return len(number.strip().partition(".")[2])


def _angle(exercise: Exercise, plain: str) -> Given | None:
    # Degrees and minutes stand apart by a colon, by blanks, or by both.
    plain = _COLON.sub(":", plain)
    if _BLANKS.fullmatch(plain):
        plain = ":".join(plain.split())
    if _COLONS.fullmatch(plain):
        degrees, _, rest = plain.partition(":")
        padded = ":".join(f"{part:0>2}" for part in rest.split(":"))
        return Given(parse_angle(f"{degrees}:{padded}"), None, f"{int(degrees)}:{padded}")
    match = _ANGLE.fullmatch(plain) or (_SMALL.fullmatch(plain) if not _is_number(plain) else None)
    if match is None:
        minute = exercise.question is Question.LEAST_COUNT
        return Given(typed_number(plain) * (1 if minute else 60), None, "")
    parts = match.groupdict()
    whole_degrees, minutes, seconds = (
        Fraction(parts.get(name) or 0) for name in ("degrees", "minutes", "seconds")
    )
    if (minutes >= 60 and "degrees" in parts) or seconds >= 60:
        return None
    size = whole_degrees * 60 + minutes + seconds / 60
    whole = all(one.denominator == 1 for one in (whole_degrees, minutes, seconds))
    plain_marks = "." not in plain
    form = f"{parts['sign']}{whole_degrees}:{int(minutes):02d}" if whole and plain_marks else ""
    if form and parts.get("seconds"):
        form += f":{int(seconds):02d}"
    return Given(-size if parts["sign"] else size, None, form)


def _is_number(plain: str) -> bool:
    return re.fullmatch(rf"-?(?:{_NUMBER})", plain) is not None
