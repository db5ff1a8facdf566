"""Verniers, straight or round: n fine lines over m main divisions, numbered either way."""

from __future__ import annotations

from dataclasses import replace
from enum import StrEnum
from fractions import Fraction
from functools import cached_property
from math import ceil, gcd

from metrion.core.declared import (
    Choice,
    Count,
    Exact,
    Sign,
    declared,
    entry,
)
from metrion.core.errors import UselessScale
from metrion.core.exact.bounds import MOST_FINE_DIVISIONS, MOST_SPAN
from metrion.core.formula.evaluate import exact
from metrion.core.formula.expression import Expression, NodeType, call, name, number
from metrion.core.scales.base import LEAST_COUNT, Indication, Line, cut_to, indication_of, is_list

FINE_DIVISION = name("fine_division")
"""The width of one fine division, in formulas."""


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

    has_fine_scale = True

    @property
    def pattern_name(self) -> str:
        """The name of its pattern."""
        return str(self.pattern)

    def refuse_useless(self) -> None:
        """Raise `UselessScale` if every line coincides at once: it can be drawn, but not read."""
        if self.pattern is Pattern.USELESS:
            raise UselessScale(self.fine_divisions, self.span)

    @cached_property
    def fine_division(self) -> Fraction:
        """The width of one fine division."""
        return exact(self.fine_division_rule())

    def least_count_by_division(self) -> Expression:
        """s/n, times the lines that coincide at once, gcd(n, m), where that is more than one."""
        over = number(self.main_division) / number(self.fine_divisions)
        together = gcd(self.fine_divisions, self.span)
        return over if together == 1 else number(together) * over

    def fine_division_rule(self) -> Expression:
        """The width of one fine division: m·s/n."""
        return number(self.span) * number(self.main_division) / number(self.fine_divisions)

    def least_count_by_difference(self) -> Expression:
        """|q·s - m·s/n|: what a fine division is short of whole main divisions, or longer."""
        division, fine = number(self.main_division), FINE_DIVISION
        several = self.main_divisions_compared
        whole = number(several) * division if several > 1 else division
        longer = several * self.main_division >= self.fine_division
        return whole - fine if longer else fine - whole

    @cached_property
    def least_count(self) -> Fraction:
        """The smallest step between two positions at which lines coincide."""
        return exact(self.least_count_by_division())

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
        return exact(self.least_count_by_difference(), fine_division=self.fine_division)

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
        if self.parts(1) == 1:
            return Pattern.DIRECT
        if self.parts(1) == n - 1:
            return Pattern.RETROGRADE
        return Pattern.REPEATING if gcd(n, self.span) > 1 else Pattern.SCRAMBLED

    def parts(self, line: int) -> int:
        """How many n-th parts of a main division ``line`` adds when it meets a mark."""
        sign = 1 if self.numbering is Numbering.AGAINST else -1
        return sign * line * self.span % self.fine_divisions

    def estimable(self) -> bool:
        """Between two lines there is something to estimate only where they are in order."""
        return self.pattern is Pattern.DIRECT

    @property
    def undecidable(self) -> tuple[int, int] | None:
        """Where lines are in order; in reverse order line 0 stands beside none that reads alike."""
        first = {Pattern.DIRECT: 0, Pattern.RETROGRADE: 1}.get(self.pattern)
        return None if first is None else (first, self.fine_divisions)

    def has_line(self, line: Line) -> bool:
        """Lines run from 0 to n."""
        return 0 <= line <= self.fine_divisions

    def indication(self, main: Expression, line: Expression, turn: Expression) -> Expression:
        """main + f(line)·s, where main is the last mark that the fine zero has passed.

        In order, line k adds k least counts; in reverse order n - k of them; else what k fine
        divisions are short of a whole main division (against the scale: are longer).
        """
        n = number(self.fine_divisions)
        if self.pattern is Pattern.DIRECT:
            return main + cut_to(line, self.fine_divisions) * LEAST_COUNT
        if self.pattern is Pattern.RETROGRADE:
            if is_list(line):
                return main + call("modulo", n - line, n) * LEAST_COUNT
            nought = line.type is NodeType.NUMBER and line.value == 0
            return main + (line if nought else n - line) * LEAST_COUNT
        fine = line * number(self.span) / n
        short = fine if self.numbering is Numbering.AGAINST else -fine
        return main + call("modulo", short, number(1)) * number(self.main_division)

    def reading(self, indication: Indication) -> Fraction:
        """What the indication reads.

        >>> VernierScale(Fraction(1), 20, 39).reading(Indication(Fraction(6), 3))
        Fraction(123, 20)
        """
        return exact(indication_of(self, indication), least_count=self.least_count)

    def line_position(self, line: int) -> Fraction:
        """How far ``line`` lies from the fine zero, along the main scale (negative if against)."""
        sign = -1 if self.numbering is Numbering.AGAINST else 1
        return sign * line * self.fine_division

    def meets(self, indication: Indication) -> Fraction:
        """The main mark that a whole line meets in this look: reading + place of the line."""
        return self.reading(indication) + self.line_position(int(indication.line))

    def lines_that_meet(self, indication: Indication) -> list[int]:
        """All lines that meet a mark in this look; line 0 comes with line n."""
        parts = self.parts(int(indication.line))
        return [line for line in range(self.fine_divisions + 1) if self.parts(line) == parts]

    def one_mark_on(self, indication: Indication, step: int) -> Indication:
        """The indication with the same line, its main reading one mark further (1) or back (-1)."""
        return replace(indication, main=indication.main + step * self.main_division)

    @cached_property
    def _line_of_step(self) -> dict[int, int]:
        """The first line that adds so many least counts."""
        lines: dict[int, int] = {}
        for line in range(self.fine_divisions):
            lines.setdefault(self.parts(line) // gcd(self.fine_divisions, self.span), line)
        return lines

    def nearest(self, position: Fraction) -> Indication:
        """The one with a whole line whose reading is nearest (the lower of two equally near)."""
        steps = ceil(position / self.least_count - Fraction(1, 2))
        marks, step = divmod(steps, len(self._line_of_step))
        return Indication(marks * self.main_division, self._line_of_step[step])
