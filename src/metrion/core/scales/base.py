"""What every scale can do, and what one indication of it takes down."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from typing import Protocol

from metrion.core.declared import (
    Boolean,
    FineLine,
    MainMark,
    declared,
    entry,
)
from metrion.core.exact.numbers import to_text
from metrion.core.formula.expression import Expression, NodeType, Part, call, name, number
from metrion.core.traits import kinds

Line = int | Fraction
"""A fine line: an ``int`` where a line meets, a ``Fraction`` where one estimated between lines."""


MOST_UNDECIDED = 5
"""The most neighbouring lines that can be taken for each other."""


@dataclass(frozen=True, slots=True)
class Undecided:
    """Neighbouring whole lines that cannot be told apart: all of them seem to meet.

    Attributes:
        first, last: the lower and the higher end.
    """

    first: int
    last: int

    @property
    def lines(self) -> int:
        """How many they are."""
        return self.last - self.first + 1

    @property
    def middle(self) -> Fraction:
        """The line that is read for them."""
        return Fraction(self.first + self.last, 2)

    @property
    def text(self) -> str:
        """As a logbook holds them: ``15-16``."""
        return f"{self.first}-{self.last}"


@entry(slots=True)
class Indication:
    """One indication of the scales: what the eye saw, before any arithmetic.

    Attributes:
        main: the main reading, in the unit of the instrument.
        line: the fine line; of lines that cannot be told apart, the middle.
        second_turn: on a screw whose sleeve marks are two pitches apart, whether the thimble is
            in the second turn past the mark.
        undecided: the lines that cannot be told apart, if there are several.
    """

    main: Fraction = declared(MainMark())
    line: Line = declared(FineLine(), name="fine", default=0)
    second_turn: bool = declared(Boolean(), default=False, only=kinds(lambda one: one.turns))
    undecided: Undecided | None = None

    @classmethod
    def seen(cls, main: Fraction, line: Line | Undecided, second_turn: bool = False) -> Indication:
        """The one where this line was seen to meet, or these."""
        if isinstance(line, Undecided):
            return cls(main, line.middle, second_turn, line)
        return cls(main, line, second_turn)

    @property
    def lines(self) -> int:
        """How many lines seem to meet."""
        return self.undecided.lines if self.undecided else 1

    @property
    def seen_lines(self) -> tuple[Line, ...]:
        """All lines that seem to meet."""
        alike = self.undecided
        return tuple(range(alike.first, alike.last + 1)) if alike else (self.line,)

    @property
    def line_words(self) -> str:
        """The line as people write it: ``15–16`` for lines that cannot be told apart."""
        return self.line_text.replace("-", "–") if self.undecided else self.line_text

    @property
    def line_text(self) -> str:
        """The line as a logbook holds it: ``15``, ``26.4`` or ``15-16``."""
        return self.undecided.text if self.undecided else to_text(Fraction(self.line))


class ScaleProtocol(Protocol):
    """A main scale with a fine scale; lengths in the instrument's unit, angles in arc minutes."""

    @property
    def main_division(self) -> Fraction:
        """The distance between neighbouring main marks."""

    @property
    def has_fine_scale(self) -> bool:
        """Whether there is a fine scale; else one may read between the main marks."""

    @property
    def pattern_name(self) -> str:
        """How its coincidences follow each other, in a word."""

    @property
    def fine_divisions(self) -> int:
        """The number of divisions of the fine scale; 1 where there is none."""

    @property
    def least_count(self) -> Fraction:
        """The smallest difference that two readings can show."""

    @property
    def mark(self) -> Fraction:
        """What a reading changes by when one mark too many is counted."""

    @property
    def last_line(self) -> int:
        """The highest number that a whole fine line can have."""

    @property
    def undecidable(self) -> tuple[int, int] | None:
        """From which line to which neighbours read alike; None where they are not in order."""

    def estimable(self) -> bool:
        """Whether a position between two fine lines has a meaning."""

    def has_line(self, line: Line) -> bool:
        """Whether the fine scale has this line."""

    def least_count_by_division(self) -> Expression:
        """The least count as a formula of what can be counted and measured on the scales."""

    def indication(self, main: Expression, line: Expression, turn: Expression) -> Expression:
        """What an indication reads, as a formula.

        Args:
            main: the main mark, or a list of them; like all that follows.
            line: the fine line.
            turn: 1 in the second turn past the mark, else 0.
        """

    def reading(self, indication: Indication) -> Fraction:
        """What the indication reads."""

    def one_mark_on(self, indication: Indication, step: int) -> Indication:
        """The indication with the same line that reads one mark more (``step`` 1) or less (-1)."""

    def nearest(self, position: Fraction) -> Indication:
        """The one with whole lines whose reading is nearest to ``position`` (lower if tied)."""


LEAST_COUNT = name("least_count")
"""The least count, in formulas."""


def indication_of(
    scale: ScaleProtocol, indication: Indication, main: Expression | None = None
) -> Expression:
    """What it reads, as a formula of the least count; ``main`` as it is to be written."""
    return scale.indication(
        main or number(indication.main, Part.MAIN),
        _line(indication),
        number(int(indication.second_turn)),
    )


def _line(indication: Indication) -> Expression:
    if not (alike := indication.undecided):
        return number(indication.line, Part.FINE)
    return (number(alike.first, Part.FINE) + number(alike.last, Part.FINE)) / number(2)


def is_list(line: Expression) -> bool:
    """Whether it stands for the lines of many looks."""
    return line.type is NodeType.NAME


def cut_to(line: Expression, divisions: int) -> Expression:
    """A line, which at the end of its scale says what the first one says."""
    end = number(divisions)
    if is_list(line):
        return call("modulo", line, end)
    return line - end if line.type is NodeType.NUMBER and line.value >= divisions else line


def is_multiple(value: Fraction, step: Fraction) -> bool:
    """Whether ``value`` is a whole number of ``step``."""
    return (value / step).denominator == 1
