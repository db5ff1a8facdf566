"""A tool: its scale with a name, a unit, a range and what its maker promises."""

from __future__ import annotations

from contextlib import suppress
from fractions import Fraction
from functools import cached_property
from typing import assert_never

from metrion.core.declared import (
    NOTHING,
    Bounds,
    Choice,
    Exact,
    Id,
    Inline,
    LengthOrAngle,
    Rest,
    ScaleOfKind,
    Sign,
    Text,
    declared,
    entry,
    rest,
)
from metrion.core.errors import (
    NoSuchLine,
    NotAMark,
    NotAnAngle,
    NotEstimable,
    NotExact,
    NotUndecided,
    NoWholeSeconds,
)
from metrion.core.exact.angles import angle_text, degrees_and_minutes, parse_angle
from metrion.core.exact.numbers import finite_decimals, fixed, parse_exact, to_text
from metrion.core.facts import Name, fact
from metrion.core.formula.expression import Expression, Part, angle
from metrion.core.formula.units import unit_ratio
from metrion.core.instruments.appearance import Appearance
from metrion.core.scales import Indication, Line, PlainScale, Scale, ScrewScale, VernierScale
from metrion.core.scales.base import MOST_UNDECIDED, Undecided, indication_of, is_multiple
from metrion.core.traits import Kind, Traits, kinds


def scale_type(kind: Kind) -> type[Scale]:
    """The scale that each kind has."""
    match kind:
        case Kind.VERNIER | Kind.ANGULAR:
            return VernierScale
        case Kind.SCREW:
            return ScrewScale
        case Kind.PLAIN:
            return PlainScale
        case _:
            assert_never(kind)


_MOST_REMEMBERED = 10_000


@entry()
class Instrument:
    """A tool as its owner described it by looking and counting.

    Attributes:
        id: its id in the logbook.
        name: what people call it.
        kind: vernier, screw, angular or plain.
        unit: ``mm``, ``cm`` or ``in``; ``arcmin`` for angles.
        scale: main and fine scale, in that unit.
        range: lowest and highest reading it is made for, if known.
        maximum_permissible_error: as the maker gives it, 0 if unknown.
        number: what is engraved on it to tell it from its like; for the record only.
        appearance: what it looks like; for the record only.
        rest: what else its entry has.
        kept_unit: the unit of its logbook, where it is told in that of its numerals.
    """

    id: str = declared(Id())
    name: str = declared(Text(), required=False)
    kind: Kind = declared(Choice(Kind))
    unit: str = declared(LengthOrAngle())
    scale: Scale = declared(ScaleOfKind())
    range: tuple[Fraction, Fraction] | None = declared(
        Bounds(), default=None, only=kinds(lambda one: not one.circular)
    )
    maximum_permissible_error: Fraction = declared(
        Exact(Sign.NOT_NEGATIVE), default=Fraction(0), name="maker_limit"
    )
    number: str = declared(Text(), default="", for_the_record=True)
    appearance: Appearance = declared(Inline(Appearance), default=Appearance())
    rest: Rest = rest(default=NOTHING)
    kept_unit: str = ""

    @property
    def traits(self) -> Traits:
        """What instruments of its kind are."""
        return self.kind.traits

    @property
    def least_count(self) -> Fraction:
        """The least count of its scale, in its unit."""
        return self.scale.least_count

    @cached_property
    def decimals(self) -> int | None:
        """As many decimals as the least count has; None where it is no finite decimal."""
        return finite_decimals(self.least_count)

    def value_text(self, value: Fraction) -> str:
        """A reading with the decimals that the least count allows (more only where it has more)."""
        needed, allowed = finite_decimals(value), self.decimals
        if needed is None:
            value, needed = Fraction(round(value * 10**6), 10**6), 6
        decimals = max(needed, allowed or 0)
        if self.traits.circular:
            return degrees_and_minutes(value, decimals)
        return fixed(value, decimals)

    def with_unit(self, value: Fraction) -> str:
        """A reading or a difference of readings, with its unit."""
        if self.traits.circular:
            return self.value_text(value) if abs(value) >= 60 else f"{to_text(value)}′"
        return f"{self.value_text(value)} {self.unit}"

    def main_text(self, main: Fraction) -> str:
        """A main reading as a logbook keeps it."""
        if self.traits.circular:
            return angle_text(main)
        return to_text(main * unit_ratio(self.unit, self.kept_unit or self.unit))

    def main_of(self, text: str) -> Fraction | None:
        """The main reading that a logbook keeps so; None where it was written otherwise."""
        if self.traits.circular:
            with suppress(NotAnAngle):
                return parse_angle(text)
            return None
        with suppress(NotExact):
            return parse_exact(text) * unit_ratio(self.kept_unit or self.unit, self.unit)
        return None

    def check_marks(self) -> None:
        """Raise `NoWholeSeconds` if an angle cannot be written for each of its marks."""
        if self.traits.circular and (60 * self.scale.main_division).denominator != 1:
            raise NoWholeSeconds(to_text(self.scale.main_division))

    def mark_text(self, main: Fraction) -> str:
        """A main reading for people: ``161°00′`` on a circle, the plain number elsewhere."""
        if self.traits.circular:
            return degrees_and_minutes(main, finite_decimals(main) or 0, padded=True)
        return to_text(main)

    def main_words(self, main: str) -> str:
        """A main reading of a logbook for people; one that was written otherwise as it is."""
        found = self.main_of(main)
        return main if found is None else self.mark_text(found)

    def check_main(self, main: Fraction, *, estimates: bool = False) -> None:
        """Raise `NotAMark` if ``main`` is no mark of the main scale.

        Args:
            estimates: whether one may read between the marks, where there is no fine scale.
        """
        division = self.scale.main_division
        if estimates and not self.scale.has_fine_scale:
            return
        if not is_multiple(main, division):
            unit = "′" if self.traits.circular else f" {self.unit}"
            raise NotAMark(self.main_text(main), self.name, f"{to_text(division)}{unit}")

    def check_line(self, line: Line, *, estimates: bool) -> None:
        """Raise if the fine scale has no such line, or if it cannot be or was not to be estimated.

        Args:
            estimates: whether the convention in force estimates between lines.

        Raises:
            NotEstimable: an estimated line where only whole lines count.
            NoSuchLine: a line outside the fine scale.
        """
        text = to_text(Fraction(line))
        if isinstance(line, Fraction):
            if not self.scale.estimable():
                raise NotEstimable(text, fact("lines-not-in-order", tool=Name(self.name)))
            if not estimates:
                raise NotEstimable(text, fact("convention-without-estimates"))
        if not self.scale.has_line(line):
            raise NoSuchLine(text, self.name, str(self.scale.last_line))

    def check_undecided(self, alike: Undecided) -> None:
        """Raise `NotUndecided` if these lines cannot be taken for each other."""
        ends = self.scale.undecidable
        lines, about = Name(alike.text), {"tool": Name(self.name)}
        if ends is None:
            raise NotUndecided("undecided-not-in-order", line=lines, **about)
        if not alike.first < alike.last:
            raise NotUndecided("undecided-backwards", line=lines)
        if alike.lines > MOST_UNDECIDED:
            raise NotUndecided("undecided-too-many", line=lines, most=MOST_UNDECIDED)
        if alike.first < ends[0] or alike.last > ends[1]:
            first, last = ends
            raise NotUndecided("undecided-off-scale", line=lines, first=first, last=last, **about)

    def indication(self, indication: Indication) -> Expression:
        """What an indication of this instrument reads, as a formula of its least count."""
        main = angle(indication.main, Part.MAIN) if self.traits.circular else None
        return indication_of(self.scale, indication, main)

    def can_reach(self, value: Fraction) -> bool:
        """Whether a reading lies in its range; any does where that is not known."""
        return not self.range or self.range[0] <= value <= self.range[1]

    @cached_property
    def _read(self) -> dict[tuple[int, int, Line, bool], Fraction]:
        """What indications have read: most are taken again and again."""
        return {}

    def reading(self, indication: Indication) -> Fraction:
        """What an indication of this instrument reads, in its unit, before any correction."""
        key = (
            indication.main.numerator,
            indication.main.denominator,
            indication.line,
            indication.second_turn,
        )
        read = self._read.get(key)
        if read is None:
            if len(self._read) == _MOST_REMEMBERED:
                self._read.clear()
            read = self._read[key] = self.scale.reading(indication)
        return read
