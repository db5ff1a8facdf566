"""Exact numbers as they are written in files and typed at the bench."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from decimal import Decimal, localcontext
from fractions import Fraction
from functools import lru_cache

from metrion.core.errors import NotExact

Number = Fraction | float
"""Exact where it can be: what roots and functions give is not."""

_EXACT = re.compile(r"-?[0-9]+(\.[0-9]+)?|-?[0-9]+/[0-9]+")
_LONGEST = 1000
_DIGITS = 17
_ROOT_DIGITS = 40
_LONGEST_DENOMINATOR = 2_048
_DECIMALS = 10**150


@lru_cache(maxsize=4096)
def parse_exact(text: str) -> Fraction:
    """Read a decimal (``"12.35"``) or a fraction (``"1/16"``) without loss.

    Raises:
        NotExact: for anything else, an exponent, a plus sign, blanks, or a zero denominator.

    >>> parse_exact("12.35")
    Fraction(247, 20)
    """
    if not _EXACT.fullmatch(text) or len(text) > _LONGEST:
        raise NotExact(text)
    numerator, slash, denominator = text.partition("/")
    if slash and int(denominator) == 0:
        raise NotExact(text)
    return Fraction(numerator) / int(denominator or 1)


def over_one_denominator(values: Sequence[Fraction]) -> tuple[tuple[int, ...], int]:
    """Numbers as whole numbers over one denominator, which is quick however many there are.

    Exact, unless the denominators have so little in common that theirs would have more than some
    600 digits: then each is taken to 150 decimals, halves away from zero.

    >>> over_one_denominator([Fraction(1, 2), Fraction(2, 3)])
    ((3, 4), 6)
    """
    common = 1
    for denominator in {value.denominator for value in values}:
        common = math.lcm(common, denominator)
        if common.bit_length() > _LONGEST_DENOMINATOR:
            return tuple(_nearest(value, _DECIMALS) for value in values), _DECIMALS
    return tuple(v.numerator * (common // v.denominator) for v in values), common


def _nearest(value: Fraction, denominator: int) -> int:
    twice = 2 * denominator * abs(value.numerator) + value.denominator
    size = twice // (2 * value.denominator)
    return -size if value < 0 else size


def finite_decimals(value: Fraction) -> int | None:
    """The number of decimals that write ``value`` in full, or None where no number does.

    >>> finite_decimals(Fraction(1, 8)), finite_decimals(Fraction(1, 3))
    (3, None)
    """
    denominator = value.denominator
    twos = (denominator & -denominator).bit_length() - 1
    odd = denominator >> twos
    fives = round(math.log(odd, 5))
    return max(twos, fives) if 5**fives == odd else None


def fixed(value: Fraction, decimals: int) -> str:
    """``value`` written with so many decimals; it must be a whole number of the last place.

    A negative number of decimals stands for tens, hundreds …; zero has no minus sign.
    """
    last = 10 ** abs(decimals)
    top = abs(value.numerator) * (last if decimals > 0 else 1)
    whole, left = divmod(top, value.denominator * (1 if decimals > 0 else last))
    if left:
        raise ValueError(f"{value} does not fit {decimals} decimals")
    if decimals > 0:
        digits = str(whole).rjust(decimals + 1, "0")
        text = f"{digits[:-decimals]}.{digits[-decimals:]}"
    else:
        text = str(whole * last)
    return f"-{text}" if value.numerator < 0 else text


def to_text(value: Fraction, digits: int = _DIGITS) -> str:
    """``value`` in full where a finite decimal writes it, else to so many significant digits.

    >>> to_text(Fraction(247, 20)), to_text(Fraction(1, 3))
    ('12.35', '0.33333333333333333')
    """
    decimals = finite_decimals(value)
    if decimals is not None:
        return fixed(value, decimals)
    with localcontext() as context:
        context.prec = digits
        return format(Decimal(value.numerator) / Decimal(value.denominator), "f")


def float_text(value: float) -> str:
    """A binary float to 15 significant digits, without exponent or trailing zeros.

    >>> float_text(0.1 + 0.2)
    '0.3'
    """
    text = format(Decimal(f"{value:.15g}"), "f")
    return text.rstrip("0").rstrip(".") if "." in text else text


def square_root(value: Fraction) -> Fraction:
    """The root of ``value`` (not negative): exact where it is rational, else to 40 digits.

    >>> square_root(Fraction(9, 400))
    Fraction(3, 20)
    """
    if value == 0:
        return Fraction(0)
    top, bottom = math.isqrt(value.numerator), math.isqrt(value.denominator)
    if top * top == value.numerator and bottom * bottom == value.denominator:
        return Fraction(top, bottom)
    size = (value.numerator.bit_length() - value.denominator.bit_length()) // 2
    places = max(_ROOT_DIGITS - int(size * 0.30103), 0)
    scale: int = 10**places
    return Fraction(math.isqrt(value.numerator * scale**2 // value.denominator), scale)
