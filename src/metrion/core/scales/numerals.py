"""The numerals printed at fine lines: not always the number of the line."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.exact.numbers import finite_decimals, to_text

_GLYPHS = {Fraction(1, 2): "½", Fraction(1, 4): "¼", Fraction(3, 4): "¾"}


@dataclass(frozen=True)
class Numerals:
    """A numeral at every so many lines, growing by a fixed step.

    Attributes:
        every: lines from one numeral to the next.
        step: what a numeral grows by.
    """

    every: int
    step: Fraction

    def at(self, line: Fraction | int) -> Fraction:
        """The numeral at a line, also where none is printed: half way from 1 to 2 is 1½."""
        return line * self.step / self.every

    def line(self, numeral: Fraction) -> Fraction:
        """The line that a numeral stands at; no whole number where it stands at none."""
        return numeral * self.every / self.step

    def text(self, line: Fraction | int) -> str:
        """The numeral at a line as people write it.

        >>> Numerals(2, Fraction(1)).text(3)
        '1½'
        """
        value = self.at(line)
        whole, part = divmod(value, 1)
        if part in _GLYPHS:
            return f"{whole or ''}{_GLYPHS[part]}"
        return to_text(value) if finite_decimals(value) is not None else str(value)

    def printed(self, last_line: int) -> dict[int, str]:
        """The numerals that stand on the scale, by line."""
        return {line: self.text(line) for line in range(0, last_line + 1, self.every)}


def usual_numerals(fine_divisions: int, *, tenths: bool) -> Numerals:
    """The numerals that a fine scale of so many divisions usually bears.

    Args:
        fine_divisions: number of divisions.
        tenths: whether ten numerals go to a main division where they can (calipers); otherwise
            the number of the line stands at every fifth line.
    """
    if tenths and fine_divisions % 10 == 0:
        return Numerals(fine_divisions // 10, Fraction(1))
    if fine_divisions % 5 == 0:
        return Numerals(5, Fraction(5))
    return Numerals(1, Fraction(1))
