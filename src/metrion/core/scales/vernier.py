"""Verniers, straight or round: n fine lines over m main divisions, numbered either way."""

from __future__ import annotations

from enum import StrEnum
from fractions import Fraction
from functools import cached_property
from math import ceil, gcd

from metrion.core.bounds import MOST_FINE_DIVISIONS, MOST_SPAN
from metrion.core.declared import (
    Choice,
    Count,
    Exact,
    Sign,
    declared,
    entry,
)
from metrion.core.errors import UselessScale
from metrion.core.scales.base import Line, Look


class Numbering(StrEnum):
    """Which way the numbers of the fine lines grow, compared with the main scale."""

    WITH = "with"
    AGAINST = "against"


class Pattern(StrEnum):
    """How the coincidences of a fine scale follow each other; see `VernierScale.pattern`."""

    USELESS = "useless"
    DIRECT = "direct"
    RETROGRADE = "retrograde"
    REPEATING = "repeating"
    SCRAMBLED = "scrambled"


@entry()
class VernierScale:
    """A fine scale that slides along a main scale.

    Attributes:
        main_division: distance s of neighbouring main marks (mm, cm, in; arc minutes on a circle).
        fine_divisions: number n of fine divisions.
        span: number m of main divisions that the n fine divisions cover.
        numbering: whether the fine lines are numbered with or against the main scale.
    """

    main_division: Fraction = declared(Exact(Sign.POSITIVE))
    fine_divisions: int = declared(Count(MOST_FINE_DIVISIONS))
    span: int = declared(Count(MOST_SPAN))
    numbering: Numbering = declared(Choice(Numbering), default=Numbering.WITH)

    def refuse_useless(self) -> None:
        """Raise `UselessScale` if every line coincides at once: it can be drawn, but not read."""
        if self.pattern is Pattern.USELESS:
            raise UselessScale(self.fine_divisions, self.span)

    @property
    def fine_division(self) -> Fraction:
        """The width of one fine division: m·s/n."""
        return self.span * self.main_division / self.fine_divisions

    @property
    def least_count(self) -> Fraction:
        """s·gcd(n, m)/n: the smallest step between two positions at which lines coincide."""
        return self.main_division * gcd(self.fine_divisions, self.span) / self.fine_divisions

    @property
    def mark(self) -> Fraction:
        """One main division."""
        return self.main_division

    @property
    def last_line(self) -> int:
        """Line n, which meets a mark whenever line 0 does."""
        return self.fine_divisions

    @property
    def main_divisions_compared(self) -> int:
        """The whole number q of main divisions that one fine division is compared with.

        The nearest to m/n, at least 1, the smaller of two equally near: 1 on an ordinary scale,
        2 on an extended one.
        """
        return max(1, ceil(Fraction(self.span, self.fine_divisions) - Fraction(1, 2)))

    @property
    def by_difference(self) -> Fraction:
        """First textbook route: q main divisions less one fine division, without sign."""
        return abs(self.main_divisions_compared * self.main_division - self.fine_division)

    @property
    def by_division(self) -> Fraction:
        """Second textbook route: one main division over the number of fine divisions."""
        return self.main_division / self.fine_divisions

    @cached_property
    def pattern(self) -> Pattern:
        """The first that fits: useless, direct, retrograde, repeating, scrambled.

        Direct scales (n lines on n-1 marks, extended ones on 2n-1) are read in the order of the
        lines, retrograde ones (n on n+1) in reverse order; on repeating ones more than one line
        coincides; on scrambled ones every fraction occurs, but in no order.
        """
        n = self.fine_divisions
        if self.span % n == 0:
            return Pattern.USELESS
        if self._parts(1) == 1:
            return Pattern.DIRECT
        if self._parts(1) == n - 1:
            return Pattern.RETROGRADE
        return Pattern.REPEATING if gcd(n, self.span) > 1 else Pattern.SCRAMBLED

    def _parts(self, line: int) -> int:
        """How many n-th parts of a main division ``line`` adds when it meets a mark."""
        sign = 1 if self.numbering is Numbering.AGAINST else -1
        return sign * line * self.span % self.fine_divisions

    def fraction(self, line: Line) -> Fraction:
        """The part of a main division (0 to below 1) that ``line`` adds; line n says 0 again.

        Estimated lines, on direct scales only, add their share k/n.
        """
        if isinstance(line, int):
            return Fraction(self._parts(line), self.fine_divisions)
        return Fraction(0) if line == self.fine_divisions else line / self.fine_divisions

    def estimable(self) -> bool:
        """Between two lines there is something to estimate only where they are in order."""
        return self.pattern is Pattern.DIRECT

    def has_line(self, line: Line) -> bool:
        """Lines run from 0 to n."""
        return 0 <= line <= self.fine_divisions

    def reading(self, look: Look) -> Fraction:
        """main + f(k)·s, where main is the last mark that the fine zero has passed.

        >>> VernierScale(Fraction(1), 20, 39).reading(Look(Fraction(6), 3))
        Fraction(123, 20)
        """
        return look.main + self.fraction(look.line) * self.main_division

    def line_position(self, line: int) -> Fraction:
        """How far ``line`` lies from the fine zero, along the main scale (negative if against)."""
        sign = -1 if self.numbering is Numbering.AGAINST else 1
        return sign * line * self.fine_division

    def meets(self, look: Look) -> Fraction:
        """The main mark that a whole line meets in this look: reading + place of the line."""
        return self.reading(look) + self.line_position(int(look.line))

    def lines_that_meet(self, look: Look) -> list[int]:
        """All lines that meet a mark in this look; line 0 comes with line n."""
        parts = self._parts(int(look.line))
        return [line for line in range(self.fine_divisions + 1) if self._parts(line) == parts]

    def one_mark_on(self, look: Look, step: int) -> Look:
        """The look with the same line, its main reading one mark further (1) or back (-1)."""
        return Look(look.main + step * self.main_division, look.line)

    @cached_property
    def _line_of_step(self) -> dict[int, int]:
        """The first line that adds so many least counts."""
        lines: dict[int, int] = {}
        for line in range(self.fine_divisions):
            lines.setdefault(self._parts(line) // gcd(self.fine_divisions, self.span), line)
        return lines

    def nearest(self, position: Fraction) -> Look:
        """The look with a whole line whose reading is nearest (the lower of two equally near)."""
        steps = ceil(position / self.least_count - Fraction(1, 2))
        marks, step = divmod(steps, len(self._line_of_step))
        return Look(marks * self.main_division, self._line_of_step[step])
