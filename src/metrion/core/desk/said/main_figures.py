"""Main figures as they are said, and readings that are said as one number."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from fractions import Fraction
from typing import NamedTuple, TypeVar

from metrion.core.desk.said.reach import OTHER_UNIT, Reach
from metrion.core.desk.said.spelling import Spelled, spelled, spelled_angles, split_figures
from metrion.core.exact.numbers import finite_decimals
from metrion.core.instruments.drawing import engraved_unit, main_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales.base import is_multiple


@dataclass(frozen=True)
class MeantMark:
    """A main figure that was said.

    Attributes:
        at: the mark.
        way: how it was taken.
        unit: the unit it was said in, in units of the instrument.
        start: what the fine figure adds to: the mark, or the turn that was told.
        turn: whether it is the second turn past the mark; None where that was not told.
        in_full: whether it was said with all decimals, or seconds, that a reading has.
        bare: whether it was whole degrees alone.
        below: whether it was a zero with a minus.
    """

    at: Fraction
    way: str
    unit: Fraction = Fraction(1)
    start: Fraction = Fraction(0)
    turn: bool | None = None
    in_full: bool = False
    bare: bool = False
    below: bool = False


class Whole(NamedTuple):
    """A reading that was said as one number.

    Attributes:
        reads: the reading.
        way: how it was taken.
        in_full: whether all decimals, or seconds, were said.
    """

    reads: Fraction
    way: str
    in_full: bool


def unit_of_way(instrument: Instrument, way: str, typed: str) -> str:
    """The unit that a length was said in.

    Args:
        way: how it was taken.
        typed: the unit behind it, if one was.
    """
    units = {"engraved": engraved_unit(instrument), "typed": typed}
    return units.get(way) or (
        OTHER_UNIT[instrument.unit] if way == "other-unit" else instrument.unit
    )


_T = TypeVar("_T")


class MainFigures:
    """What main figures, and whole readings, can mean on a tool."""

    def __init__(self, reach: Reach) -> None:
        self._reach = reach

    def marks(self, text: str) -> list[MeantMark]:
        """Every mark that a main figure can be."""
        if self._reach.circle:
            return list(self._angle_marks(text))
        found = []
        number = spelled(text)
        if number:
            step = None if self._reach.any_number else self._reach.division
            found += self._by_units(
                number,
                lambda way, unit: self._number_marks(number, way, unit),
                self._within_mark,
                step,
            )
        if self._reach.screw:
            for first, second in split_figures(text):
                found += self._marks_in_two(spelled(first), spelled(second))
        return found

    def _within_mark(self, mark: MeantMark) -> bool:
        return self._reach.within(mark.start)

    def _angle_marks(self, text: str) -> Iterator[MeantMark]:
        for angle in spelled_angles(text, mark=True):
            if is_multiple(angle.value, self._reach.division):
                way = "degrees" if angle.by_decimals else "engraved"
                below = angle.below and angle.value == 0
                yield MeantMark(
                    angle.value, way, start=angle.value,
                    in_full=angle.in_full, bare=angle.bare, below=below,
                )  # fmt: skip

    def _by_units(
        self,
        number: Spelled,
        meant: Callable[[str, Fraction], list[_T]],
        within: Callable[[_T], bool],
        step: Fraction | None = None,
    ) -> list[_T]:
        """What a number means in each unit that it can have.

        Args:
            meant: what it means in a unit, by the name of the way.
            within: whether a meaning lies within the range.
            step: what tells how many decimals it can have; None for any number of them.
        """
        if number.unit:
            return meant("typed", self._reach.per(number.unit))
        engraved, own = engraved_unit(self._reach.tool), self._reach.tool.unit
        units = {"engraved": engraved} | ({"unit": own} if own != engraved else {})
        found = {way: meant(way, self._reach.per(unit)) for way, unit in units.items()}
        inside = {way: any(map(within, each)) for way, each in found.items()}
        if all(inside.values()) and len(units) == 2 and step is not None:
            more = {
                way: (places := finite_decimals(step / self._reach.per(unit))) is not None
                and number.decimals > places
                for way, unit in units.items()
            }
            if not all(more.values()):
                found = {way: each for way, each in found.items() if not more[way]}
        other = OTHER_UNIT.get(own) if engraved == own else None
        if other and not any(inside.values()):
            found["other-unit"] = [
                one for one in meant("other-unit", self._reach.per(other)) if within(one)
            ]
        return [one for each in found.values() for one in each]

    def _number_marks(self, number: Spelled, way: str, unit: Fraction) -> list[MeantMark]:
        value = number.value * unit
        told = MeantMark(
            value, way, unit, value,
            in_full=number.has_point and self._reach.in_full(number.decimals, unit),
            below=number.below and value == 0,
        )  # fmt: skip
        found = []
        if self._reach.any_number or is_multiple(value, self._reach.division):
            found.append(told)
        if self._reach.screw and self._reach.two_turns:
            before = value - self._reach.screw.pitch
            if is_multiple(before, self._reach.division):
                found.append(replace(told, at=before, turn=True))
        return found

    def _marks_in_two(self, first: Spelled | None, second: Spelled | None) -> list[MeantMark]:
        """A mark of a sleeve, said as its numeral and what lies behind that."""
        if not first or not second or first.below or second.below:
            return []
        if first.unit and second.unit and first.unit != second.unit:
            return []
        number = replace(
            second,
            decimals=max(first.decimals, second.decimals),
            unit=first.unit or second.unit,
        )
        return self._by_units(
            number,
            lambda way, unit: self._behind(first.value * unit, second.value * unit, number, way,
                                           unit),
            self._within_mark,
            self._reach.division,
        )  # fmt: skip

    def _behind(
        self, numeral: Fraction, past: Fraction, number: Spelled, way: str, unit: Fraction
    ) -> list[MeantMark]:
        division = self._reach.division
        distance = main_numerals(self._reach.tool).every * division
        if not self._reach.screw or not is_multiple(numeral, distance):
            return []
        at = MeantMark(
            numeral, way, unit, numeral + past,
            in_full=number.has_point and self._reach.in_full(number.decimals, unit),
        )  # fmt: skip
        if self._reach.two_turns and past in (0, self._reach.screw.pitch):
            return [replace(at, turn=past > 0)]
        if 0 < past < distance and is_multiple(past, division):
            return [replace(at, at=numeral + past)]
        return []

    def wholes(self, text: str, unit: str = "") -> list[Whole]:
        """Every reading that one number can be; in ``unit``, if none stands behind it."""
        if self._reach.circle:
            return [
                Whole(angle.value, "degrees" if angle.by_decimals else "engraved", angle.in_full)
                for angle in spelled_angles(text)
                if self._reach.at(angle.value)
            ]
        number = spelled(text)
        if not number:
            return []
        if unit and not number.unit:
            number = replace(number, unit=unit)

        def meant(way: str, per: Fraction) -> list[Whole]:
            reads = number.value * per
            full = number.has_point and self._reach.in_full(number.decimals, per)
            return [Whole(reads, way, full)] if self._reach.at(reads) else []

        step = None if self._reach.between else self._reach.least
        return self._by_units(number, meant, lambda whole: self._reach.within(whole.reads), step)
