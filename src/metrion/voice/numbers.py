"""How numbers are written for people: the one place that knows decimal signs and minus signs."""

from __future__ import annotations

import re
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction

from metrion.core.conventions.rounding import two_figures
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Amount

_POINT = re.compile(r"(?<=[0-9])\.(?=[0-9])")


class DecimalSign(StrEnum):
    """What stands before the decimals."""

    POINT = "point"
    COMMA = "comma"


@dataclass(frozen=True)
class Numbers:
    """Writes numbers, with or without a unit, for one reader.

    Attributes:
        decimal_sign: what stands before the decimals.
    """

    decimal_sign: DecimalSign = DecimalSign.POINT

    def figure(self, text: str) -> str:
        """A number as we work with it, with nothing but its unit: its signs as the reader has them.

        >>> Numbers(DecimalSign.COMMA).figure("-0.15 mm")
        '−0,15 mm'
        """
        signed = text.replace("-", "−")
        return _POINT.sub(",", signed) if self.decimal_sign is DecimalSign.COMMA else signed

    def number(self, value: Fraction) -> str:
        """A number in full."""
        return self.figure(to_text(value))

    def amount(self, amount: Amount) -> str:
        """A number with its unit, to two figures."""
        return self.figure(two_figures(amount.value, amount.unit))
