"""What a tool can read, as far as it matters to what was said of it."""

from __future__ import annotations

from fractions import Fraction
from functools import cached_property

from metrion.core.exact.angles import FULL_CIRCLE
from metrion.core.exact.numbers import finite_decimals
from metrion.core.formula.units import unit_ratio
from metrion.core.instruments.appearance import PrintedUnit
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, ScrewScale, VernierScale
from metrion.core.scales.base import MOST_UNDECIDED, Undecided

OTHER_UNIT = {"mm": PrintedUnit.CM, "cm": PrintedUnit.MM}
"""The unit that figures may be in, where they are no reading in that of the tool."""

_DIVISIONS = 1_000
"""How far a tool reaches, in main divisions, where that is not known."""


class Reach:
    """What a tool can read; lengths in its unit, angles in arc minutes.

    Attributes:
        tool: the instrument.
        scale: its scale.
        division, least: its main division and its least count.
        screw: the scale, if it is a screw's; else None.
        circle: whether it is divided into degrees.
        plain: whether it has no fine scale.
        any_number: whether a plain scale may be read between its marks.
        between: whether one may read between two fine lines.
        at_zero, estimates: whether the zero is looked at, and whether one may read between lines.
        in_order: whether its fine lines are in order, so that they can be counted back.
    """

    def __init__(self, tool: Instrument, *, at_zero: bool, estimates: bool) -> None:
        self.tool, self.scale = tool, tool.scale
        self.division, self.least = tool.scale.main_division, tool.scale.least_count
        self.screw = tool.scale if isinstance(tool.scale, ScrewScale) else None
        self.circle = tool.traits.circular
        self.plain = not tool.scale.has_fine_scale
        self.in_order = tool.scale.estimable()
        self.any_number = self.plain and (at_zero or estimates)
        self.between = estimates and self.in_order
        self.at_zero, self.estimates = at_zero, estimates

    def of(self, tool: Instrument) -> Reach:
        """What another tool can read, looked at alike."""
        return Reach(tool, at_zero=self.at_zero, estimates=self.estimates)

    @cached_property
    def bounds(self) -> tuple[Fraction, Fraction]:
        """Between what readings lie: one division, or turn, may be missing to the lower end."""
        division = self.division
        widest = max(division, self.screw.pitch) if self.screw else division
        reach = FULL_CIRCLE if self.circle else _DIVISIONS * division
        low, high = self.tool.range or (Fraction(0), reach)
        return low - widest, high

    def within(self, value: Fraction) -> bool:
        """Whether the tool can read that."""
        low, high = self.bounds
        return low <= value <= high

    def per(self, unit: str) -> Fraction:
        return unit_ratio(unit, self.tool.unit)

    @property
    def two_turns(self) -> bool:
        return self.screw is not None and self.screw.two_turns

    def in_full(self, decimals: int, unit: Fraction) -> bool:
        """Whether a figure has all decimals of a reading, where a mark has fewer."""
        least = finite_decimals(self.least / unit)
        mark = finite_decimals(self.division / unit)
        return least is not None and mark is not None and decimals >= least > mark

    def at(self, reads: Fraction) -> Indication | None:
        """The indication that reads just that: the last mark before it, and the lowest line."""
        if (whole := self.on_a_line(reads)) or not self.between:
            return whole
        step = self.screw.pitch if self.screw else self.division
        times, past = divmod(reads, step)
        line = past / self.least
        if (10 * line).denominator > 1:
            return None
        if self.screw:
            return self.screw.indication_at(times * step, line)
        return Indication(times * step, line)

    def on_a_line(self, reads: Fraction) -> Indication | None:
        """The same where a whole line meets."""
        near = self.scale.nearest(reads)
        return near if self.tool.reading(near) == reads else None

    def alike(self, low: Fraction, high: Fraction) -> Indication | None:
        """Lines that seem to meet, from one reading to another before the next mark, or at it."""
        ends = self.scale.undecidable
        if not low < high or ends is None:
            return None
        step = self.screw.pitch if self.screw else self.division
        start = low // step * step
        lines = [(read - start) / self.least for read in (low, high)]
        if isinstance(self.scale, VernierScale) and not self.in_order:
            lines = [self.scale.fine_divisions - line for line in reversed(lines)]
        if any(line.denominator > 1 for line in lines):
            return None
        alike = Undecided(lines[0].numerator, lines[1].numerator)
        if not self.can_be_alike(alike):
            return None
        if not self.screw:
            return Indication.seen(start, alike)
        at = self.screw.indication_at(start, alike.middle)
        return Indication.seen(at.main, alike, at.second_turn)

    def can_be_alike(self, alike: Undecided) -> bool:
        ends = self.scale.undecidable
        return (
            ends is not None
            and ends[0] <= alike.first < alike.last <= ends[1]
            and alike.lines <= MOST_UNDECIDED
        )
