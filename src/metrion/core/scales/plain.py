"""Plain scales: a ruler, or a display with digits; there is nothing fine to read."""

from __future__ import annotations

from fractions import Fraction
from math import ceil

from metrion.core.declared import Exact, Sign, declared, entry
from metrion.core.formula.expression import Expression, number
from metrion.core.scales.base import Indication, Line


@entry()
class PlainScale:
    """A scale that is read at its marks.

    Attributes:
        main_division: the distance of its marks, or what the last digit of a display is worth.
    """

    main_division: Fraction = declared(Exact(Sign.POSITIVE))

    has_fine_scale = False
    fine_divisions = 1
    last_line = 0
    pattern_name = "plain"
    undecidable = None

    def least_count_by_division(self) -> Expression:
        """The main division itself."""
        return number(self.main_division)

    @property
    def least_count(self) -> Fraction:
        """The main division itself."""
        return self.main_division

    @property
    def mark(self) -> Fraction:
        """One mark counted too often changes the reading by one division."""
        return self.main_division

    def estimable(self) -> bool:
        """There are no fine lines to estimate between."""
        return False

    def has_line(self, line: Line) -> bool:
        """The one line there is is where the reading is taken."""
        return line == 0

    def indication(self, main: Expression, line: Expression, turn: Expression) -> Expression:
        """The main reading."""
        return main

    def reading(self, indication: Indication) -> Fraction:
        """The main reading."""
        return indication.main

    def one_mark_on(self, indication: Indication, step: int) -> Indication:
        """One division further (1) or back (-1)."""
        return Indication(indication.main + step * self.main_division)

    def nearest(self, position: Fraction) -> Indication:
        """The mark that is nearest (the lower of two equally near)."""
        return Indication(ceil(position / self.main_division - Fraction(1, 2)) * self.main_division)
