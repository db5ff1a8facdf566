"""How figures are spelled at the bench: one way of writing for the many in which they are typed."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.errors import MetrionError
from metrion.core.exact.bounds import check_number
from metrion.core.exact.numbers import parse_exact

LONGEST = 200
"""The most characters that one reading is said in."""

_SIGNS = str.maketrans({
    "−": "-", "–": "-", "×": "*", "x": "*", "·": "*",
    "′": "'", "’": "'", "″": '"', "”": '"', "º": "°",
})  # fmt: skip
_HALVES = {
    chr(code): unicodedata.normalize("NFKC", chr(code)).replace("⁄", "/")
    for code in (0xBC, 0xBD, 0xBE, *range(0x2150, 0x215F))
}
"""½ and its like, each as a fraction."""

_GLYPHS = "".join(_HALVES)
_NUMBER = re.compile(rf"([0-9]+) ([0-9]+/[0-9]+)|([0-9]*) ?([{_GLYPHS}])|([0-9]+/[0-9]+)"
                     r"|([0-9]*\.[0-9]+|[0-9]+)")  # fmt: skip
_UNIT = re.compile(r"(mm|cm|in)$")
_MINUTES = re.compile(r"(.+)'")
_SECONDS = re.compile(r"(.+)\"")
_BOTH = re.compile(r"(.+)' ?(.+)\"")
_PART = r"[0-9]{1,2}(?:\.[0-9]+)?"
_WHOLE_PART = "[0-9]{1,2}"
_ANGLES = [
    re.compile(pattern)
    for pattern in (
        r"([0-9]+)°?",
        rf"([0-9]+):({_PART})",
        rf"([0-9]+):({_WHOLE_PART}):({_PART})",
        rf"([0-9]+)(?:°| |° )({_PART})'",
        rf"([0-9]+)°({_PART})",
        rf"([0-9]+)(?:°| |° )({_WHOLE_PART})' ?({_PART})\"",
        rf"([0-9]+)(?:°| |° )({_WHOLE_PART})'({_PART})",
        r"([0-9]+)\.([0-9]{2})",
    )
]
_MARK_ONLY = re.compile(r"([0-9]+)°? ([0-9]{2})")
_DEGREES = re.compile(r"([0-9]*\.[0-9]+)°?")
_SIXTY = 60


def plainly(said: str, *, length: bool) -> str:
    """A reading that was said, in one spelling: blanks, signs, points and units.

    Args:
        length: whether it is a length, on which two strokes are inches.

    >>> plainly("  6,05 – 6,10 ", length=True), plainly("5 + ½ + .28", length=True)
    ('6.05-6.10', '5+½+.28')
    """
    text = " ".join(said.split()).lower()
    text = re.sub(",(?=[0-9])", ".", text).translate(_SIGNS).replace("''", '"')
    if length:
        text = text.replace('"', "in")
    text = re.sub(r" ?([+*]) ?", r"\1", text)
    text = re.sub(r" (?=mm|cm|in|[°'\"])", "", text)
    text = re.sub("^- ", "-", text.removeprefix("+"))
    return re.sub(rf"(?<=[0-9{_GLYPHS}a-z°'\"])(?: - |- )", "-", text)


@dataclass(frozen=True, slots=True)
class Spelled:
    """A number as it was typed.

    Attributes:
        value: the number.
        decimals: digits behind its point.
        has_point, has_fraction: how it is written.
        unit: the unit behind it; empty where there is none.
        below: whether a minus stands before it, which zero can have too.
    """

    value: Fraction
    decimals: int = 0
    has_point: bool = False
    has_fraction: bool = False
    unit: str = ""
    below: bool = False

    @property
    def is_digits(self) -> bool:
        """Whether it is written in digits alone."""
        return not (self.has_point or self.has_fraction or self.unit or self.below)


def spelled(text: str) -> Spelled | None:
    """A number, with a minus or a unit of length or without; None for anything else."""
    below = text.startswith("-")
    bare = text[1:] if below else text
    unit = match[1] if (match := _UNIT.search(bare)) else ""
    number = _spelled(bare.removesuffix(unit))
    if number is None:
        return None
    value = -number.value if below else number.value
    return Spelled(value, number.decimals, number.has_point, number.has_fraction, unit, below)


def _spelled(text: str) -> Spelled | None:
    match = _NUMBER.fullmatch(text)
    if not match:
        return None
    whole, part, before, glyph, fraction, decimal = match.groups()
    try:
        if decimal:
            value = parse_exact(f"0{decimal}" if decimal.startswith(".") else decimal)
            check_number(text, value)
            _, point, behind = decimal.partition(".")
            return Spelled(value, len(behind), bool(point))
        broken = parse_exact(part or fraction or _HALVES[glyph])
        value = parse_exact(whole or before or "0") + broken
        check_number(part or fraction or text, value)
    except MetrionError:
        return None
    # Beside a whole number only what is below 1 is a fraction of one.
    return Spelled(value, has_fraction=True) if not whole or broken < 1 else None


def minutes(text: str) -> Fraction | None:
    """Minutes and seconds by their signs, ``5'30"``, in arc minutes; None for anything else."""
    for pattern, parts in ((_BOTH, (1, _SIXTY)), (_MINUTES, (1,)), (_SECONDS, (_SIXTY,))):
        if match := pattern.fullmatch(text):
            numbers = [_spelled(group) for group in match.groups()]
            if all(numbers):
                return sum(
                    (number.value / part for number, part in zip(numbers, parts, strict=True)
                     if number),
                    Fraction(0),
                )  # fmt: skip
    return None


@dataclass(frozen=True, slots=True)
class SpelledAngle:
    """An angle as it was typed.

    Attributes:
        value: in arc minutes.
        by_decimals: whether it was degrees with decimals.
        bare: whether it was whole degrees alone.
        in_full: whether its seconds were typed.
        below: whether a minus stands before it, which zero can have too.
    """

    value: Fraction
    by_decimals: bool = False
    bare: bool = False
    in_full: bool = False
    below: bool = False


def spelled_angles(text: str, *, mark: bool = False) -> Iterator[SpelledAngle]:
    """All angles that a text can be.

    Args:
        mark: whether only a mark is meant, whose minutes can stand behind a blank.
    """
    below = text.startswith("-")
    bare = text[1:] if below else text
    patterns = [*_ANGLES, _MARK_ONLY] if mark else _ANGLES
    parts = next((match.groups() for one in patterns if (match := one.fullmatch(bare))), None)
    found = []
    if parts and all(Fraction(part) < _SIXTY for part in parts[1:]):
        size = sum(
            (Fraction(part) * _SIXTY / _SIXTY**place for place, part in enumerate(parts)),
            Fraction(0),
        )
        found.append(SpelledAngle(size, bare=len(parts) == 1, in_full=len(parts) > 2))
    if match := _DEGREES.fullmatch(bare):
        found.append(SpelledAngle(Fraction(f"0{match[1]}") * _SIXTY, by_decimals=True))
    for angle in found:
        try:
            check_number(text, angle.value)
        except MetrionError:
            continue
        value = -angle.value if below else angle.value
        yield SpelledAngle(value, angle.by_decimals, angle.bare, angle.in_full, below)


def split_range(text: str) -> Iterator[tuple[str, str]]:
    """Both ends of what was said to lie between two figures: ``15-16``."""
    for place in range(1, len(text) - 1):
        if text[place] == "-":
            yield text[:place], text[place + 1 :]


def split_figures(text: str) -> Iterator[tuple[str, str]]:
    """What may be the main and the fine figure, wherever there is a blank or a plus."""
    for place in range(1, len(text) - 1):
        if text[place] in " +":
            yield text[:place], text[place + 1 :]
