"""Fine figures as they are said: lines, numerals, worths, last decimals and places between."""

from __future__ import annotations

from collections.abc import Iterator
from fractions import Fraction
from typing import NamedTuple

from metrion.core.desk.said.main_figures import MeantMark
from metrion.core.desk.said.reach import Reach
from metrion.core.desk.said.spelling import Spelled, minutes, spelled
from metrion.core.exact.numbers import finite_decimals
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.drawing import engraved_unit, fine_numerals
from metrion.core.scales import Line
from metrion.core.scales.base import is_multiple

_LINES = frozenset({FineAs.LINE})
_NUMERALS = frozenset({FineAs.NUMERAL})
_WORTHS = frozenset({FineAs.WORTH})


class FineAmount(NamedTuple):
    """A fine figure that was said: a line, or what it adds to the mark.

    Attributes:
        way: how it was taken.
        fine_as: what it then stands for.
        line: the line, if it is one.
        worth: what it adds, else.
        from_degrees: whether the mark is the one before what it adds.
        kept: whether a unit was typed, or the least count.
    """

    way: str
    fine_as: frozenset[FineAs]
    line: Line | None = None
    worth: Fraction = Fraction(0)
    from_degrees: bool = False
    kept: bool = False


class FineFigures:
    """What fine figures can mean on a tool, beside a mark.

    Args:
        fine_as: what they stand for on it; None where that was not said.
    """

    def __init__(self, reach: Reach, fine_as: FineAs | None) -> None:
        self._reach, self._fine_as = reach, fine_as

    def amounts(self, mark: MeantMark, text: str) -> Iterator[FineAmount]:
        """Everything that a fine figure for one line can be, beside that mark."""
        figures = list(self.figures(mark, text))
        yield from figures
        yield from self._lines_times(text)
        number = spelled(text)
        if not (self._reach.between and number and number.decimals == 1) or number.unit:
            return
        line = number.value
        if line.denominator > 1 and self._reach.scale.has_line(line):
            worths = [one.worth for one in figures if one.way == "worth"]
            if not any(
                line * unit in worths and self._reach.in_full(1, unit) for unit in self._units(mark)
            ):
                yield FineAmount("estimated", _LINES, line)

    def _units(self, mark: MeantMark) -> list[Fraction]:
        """The units that a worth without one can have behind that mark."""
        return (
            [Fraction(1)] if self._reach.circle else list(dict.fromkeys((mark.unit, Fraction(1))))
        )

    def figures(self, mark: MeantMark, text: str, *, last: bool = False) -> Iterator[FineAmount]:
        """What one number can be: a line, a numeral, a worth, or last decimals.

        Args:
            last: whether it is the higher end of several, which the next mark can be.
        """
        number = spelled(text)
        if number and (number.below or (number.unit and self._reach.circle)):
            return
        found = False
        if number and not number.unit:
            for way, fine_as, line in self._lines(number):
                if line.denominator == 1 and self._is_line(line, last=last):
                    found = True
                    yield FineAmount(way, fine_as, line.numerator)
        for amount in self._worths(mark, text, number, last=last):
            found = True
            yield amount
        if number and number.is_digits and not self._reach.circle:
            yield from self._decimals(mark, text, number, alone=not found, last=last)

    def _is_line(self, line: Fraction, *, last: bool) -> bool:
        return self._reach.scale.has_line(line.numerator) or (
            last and line == self._reach.scale.fine_divisions
        )

    def _lines(self, number: Spelled) -> Iterator[tuple[str, frozenset[FineAs], Fraction]]:
        yield "line", _LINES, number.value
        if not 0 < number.value < 1 or self._fine_as is FineAs.NUMERAL:
            yield "numeral", _NUMERALS, fine_numerals(self._reach.tool).line(number.value)

    def _worths(
        self, mark: MeantMark, text: str, number: Spelled | None, *, last: bool
    ) -> Iterator[FineAmount]:
        """What it can be worth, in each unit that it can have."""
        typed = minutes(text) if self._reach.circle else None
        if typed is not None:
            worths, kept = [typed], True
        elif not number:
            return
        elif number.unit:
            worths, kept = [number.value * self._reach.per(number.unit)], True
        else:
            kept = False
            broken = number.has_point or number.has_fraction
            if self._reach.circle and mark.bare and number.is_digits and len(text) == 2:
                yield from self._of_degrees(mark, number.value)
            if not (broken or number.value < 1 or self._fine_as is FineAs.WORTH):
                return
            worths = [number.value * unit for unit in self._units(mark)]
        small = _WORTHS | _NUMERALS if number and number.value < 1 else _WORTHS
        for worth in worths:
            if self._before_next(mark, worth, last=last):
                yield FineAmount("worth", small, worth=worth, kept=kept)

    def _of_degrees(self, mark: MeantMark, worth: Fraction) -> Iterator[FineAmount]:
        """Minutes behind whole degrees: 341°25′, where 20′ is the last mark."""
        value = mark.start + worth
        if self._reach.on_a_line(value) and not is_multiple(value, self._reach.division):
            yield FineAmount("worth", _WORTHS, worth=worth, from_degrees=True)

    def _decimals(
        self, mark: MeantMark, text: str, number: Spelled, *, alone: bool, last: bool
    ) -> Iterator[FineAmount]:
        """Digits that may be the last decimals of the reading: 36 for 0.36."""
        least, division = self._reach.least, self._reach.division
        places = finite_decimals(least)
        top = (division - least) * 10 ** (places or 0)
        if places is None or top.denominator > 1 or len(text) != len(str(top)):
            return
        numerals = fine_numerals(self._reach.tool)
        if numerals.line(Fraction(1)) == 1 and not (
            alone or text.startswith("0") or self._fine_as is FineAs.WORTH
        ):
            return
        worth = number.value / 10**places
        if self._before_next(mark, worth, last=last):
            yield FineAmount("decimals", _WORTHS, worth=worth)

    def _before_next(self, mark: MeantMark, worth: Fraction, *, last: bool) -> bool:
        """Whether a reading so far past a mark, or turn, lies before the next, or at it."""
        end = self._end(mark)
        value = mark.start + worth
        if last and value == end:
            return True
        return worth >= 0 and value < end and self._reach.on_a_line(value) is not None

    def _end(self, mark: MeantMark) -> Fraction:
        """The next mark; the next turn, where the turn was told."""
        if self._reach.screw and mark.turn is not None:
            return mark.start + self._reach.screw.pitch
        return mark.at + self._reach.division

    def _lines_times(self, text: str) -> Iterator[FineAmount]:
        """A line that was said as so many least counts."""
        first, star, second = text.partition("*")
        if not star or not self._reach.in_order:
            return
        for count, least in ((first, second), (second, first)):
            line = spelled(count)
            if (
                line and not line.unit and not line.below and line.value.denominator == 1
                and self._reach.scale.has_line(line.value.numerator)
                and self._reach.least in self._as_least(least)
            ):  # fmt: skip
                yield FineAmount("lines-times", _LINES, line.value.numerator, kept=True)

    def _as_least(self, text: str) -> list[Fraction]:
        """What a least count that was said can be."""
        typed = minutes(text) if self._reach.circle else None
        if typed is not None:
            return [typed]
        number = spelled(text)
        if not number or (number.unit and self._reach.circle):
            return []
        if number.unit:
            return [number.value * self._reach.per(number.unit)]
        engraved = (
            Fraction(1) if self._reach.circle else self._reach.per(engraved_unit(self._reach.tool))
        )
        return [number.value * engraved, number.value]
