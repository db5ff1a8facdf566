"""Screws: a thimble of n divisions whose one turn travels one pitch along the sleeve."""

from __future__ import annotations

from dataclasses import replace
from fractions import Fraction
from functools import cached_property
from math import ceil

from metrion.core.declared import (
    Count,
    Exact,
    Sign,
    declared,
    entry,
)
from metrion.core.errors import UnreadableSleeve
from metrion.core.exact.bounds import MOST_FINE_DIVISIONS
from metrion.core.exact.numbers import to_text
from metrion.core.formula.evaluate import exact
from metrion.core.formula.expression import Expression, NodeType, call, number
from metrion.core.scales.base import LEAST_COUNT, Indication, Line, indication_of, is_multiple


@entry()
class ScrewScale:
    """A screw with its sleeve and thimble.

    Attributes:
        pitch: travel of one turn.
        fine_divisions: number n of thimble divisions.
        main_division: distance of neighbouring sleeve marks: the pitch, twice the pitch, or a
            whole part of it.

    Raises:
        UnreadableSleeve: for any other distance of the sleeve marks.
    """

    pitch: Fraction = declared(Exact(Sign.POSITIVE))
    fine_divisions: int = declared(Count(MOST_FINE_DIVISIONS))
    main_division: Fraction = declared(Exact(Sign.POSITIVE))

    has_fine_scale = True
    pattern_name = "screw"

    def __post_init__(self) -> None:
        if not (self.two_turns or is_multiple(self.pitch, self.main_division)):
            raise UnreadableSleeve(to_text(self.main_division), to_text(self.pitch))

    @property
    def two_turns(self) -> bool:
        """Whether the thimble goes round twice from one sleeve mark to the next."""
        return self.main_division == 2 * self.pitch

    @property
    def finer_sleeve(self) -> bool:
        """Whether the sleeve has several marks to one turn."""
        return self.main_division < self.pitch

    def least_count_by_division(self) -> Expression:
        """pitch/n."""
        return number(self.pitch) / number(self.fine_divisions)

    @cached_property
    def least_count(self) -> Fraction:
        """What one thimble line is worth."""
        return exact(self.least_count_by_division())

    @property
    def mark(self) -> Fraction:
        """One turn counted too often changes the reading by one pitch."""
        return self.pitch

    @property
    def last_line(self) -> int:
        """Line n-1; after it comes 0 again."""
        return self.fine_divisions - 1

    def estimable(self) -> bool:
        """Tenths between two thimble lines can always be estimated."""
        return True

    @property
    def undecidable(self) -> tuple[int, int] | None:
        """From line 0 to the next turn's."""
        return 0, self.fine_divisions

    def has_line(self, line: Line) -> bool:
        """Whole lines run from 0 to n-1, estimated ones up to below n."""
        return 0 <= line < self.fine_divisions

    def turn_start(self, indication: Indication) -> Fraction:
        """Where the turn began that the thimble is in: the mark that counts."""
        return exact(self._turn_start(number(indication.main), number(int(indication.second_turn))))

    def _turn_start(self, main: Expression, turn: Expression) -> Expression:
        """With sleeve marks two pitches apart the second turn starts one pitch past the mark.

        With several marks to a turn only those a whole pitch apart count.
        """
        pitch = number(self.pitch)
        if self.two_turns:
            if turn.type is not NodeType.NUMBER:
                return main + turn * pitch
            return main + pitch if turn.value else main
        if not self.finer_sleeve or (main.type is NodeType.NUMBER and not main.value % self.pitch):
            return main
        return main - call("modulo", main, pitch)

    def indication(self, main: Expression, line: Expression, turn: Expression) -> Expression:
        """Start of the turn + k·pitch/n."""
        return self._turn_start(main, turn) + line * LEAST_COUNT

    def reading(self, indication: Indication) -> Fraction:
        """Start of the turn + k·pitch/n.

        >>> half = ScrewScale(Fraction(1, 2), 50, Fraction(1, 2))
        >>> half.reading(Indication(Fraction(9, 2), 38))
        Fraction(122, 25)
        """
        return exact(indication_of(self, indication), least_count=self.least_count)

    def indication_at(self, turn_start: Fraction, line: Line) -> Indication:
        """The one whose turn starts there (a whole number of pitches) and that shows ``line``."""
        if self.two_turns:
            main = turn_start // self.main_division * self.main_division
            return Indication(main, line, second_turn=turn_start != main)
        past = line * self.least_count // self.main_division * self.main_division
        return Indication(turn_start + past, line)

    def one_mark_on(self, indication: Indication, step: int) -> Indication:
        """The indication with the same thimble line one turn further (1) or back (-1)."""
        if self.two_turns:
            start = self.turn_start(indication) + step * self.pitch
            at = self.indication_at(start, indication.line)
            return replace(indication, main=at.main, second_turn=at.second_turn)
        return replace(indication, main=indication.main + step * self.pitch)

    def last_mark(self, indication: Indication) -> Fraction:
        """The last sleeve mark at or before the reading."""
        return self.reading(indication) // self.main_division * self.main_division

    def nearest(self, position: Fraction) -> Indication:
        """The one with a whole line whose reading is nearest (the lower of two equally near)."""
        steps = ceil(position / self.least_count - Fraction(1, 2))
        turns, line = divmod(steps, self.fine_divisions)
        return self.indication_at(turns * self.pitch, line)
