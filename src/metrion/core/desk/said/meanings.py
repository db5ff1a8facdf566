"""Every meaning that what stands in the blanks can have on a tool, before any is judged."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.desk.said.fine_figures import FineAmount, FineFigures
from metrion.core.desk.said.main_figures import MainFigures, MeantMark, Whole
from metrion.core.desk.said.reach import Reach
from metrion.core.desk.said.spelling import LONGEST, plainly, spelled, split_figures, split_range
from metrion.core.exact.numbers import to_text
from metrion.core.instruments.appearance import FineAs
from metrion.core.scales import Indication, Line
from metrion.core.scales.base import Undecided, is_multiple


@dataclass(frozen=True)
class Meaning:
    """A reading that was said, or may have been.

    Attributes:
        indication: what is read, as a logbook holds it.
        reads: what that reads, in the unit of the instrument.
        main_way: how the main figure, or the whole reading, was taken: ``engraved``, ``unit``,
            ``typed``, ``other-unit`` or ``degrees``.
        fine_way: how the fine figure was taken; ``whole`` or ``several`` where the reading was
            said as one; empty on a plain scale.
        main_ways: the main ways that come to the same marks, its own among them.
        fine_as: what the fine figure stands for, in all ways that come to the same marks.
        kept: whether what the tool says of its fine figures does not touch it.
        is_digits: whether the fine figure was typed in digits alone.
        by_decimals: whether these were taken for the last decimals.
    """

    indication: Indication
    reads: Fraction
    main_way: str
    fine_way: str
    main_ways: frozenset[str]
    fine_as: frozenset[FineAs] = frozenset()
    kept: bool = False
    is_digits: bool = False
    by_decimals: bool = False

    @property
    def way(self) -> str:
        """How it was taken: ``engraved+line``."""
        return f"{self.main_way}+{self.fine_way}" if self.fine_way else self.main_way

    @property
    def key(self) -> str:
        """What tells it from every other meaning of the same figures: mark, line and turn."""
        return key_of(self.indication)

    def along_with(self, other: Meaning) -> Meaning:
        """The same marks, which another way comes to as well."""
        return replace(
            self,
            main_ways=self.main_ways | other.main_ways,
            fine_as=self.fine_as | other.fine_as,
            kept=self.kept or other.kept,
        )


def key_of(seen: Indication) -> str:
    """Mark, line and turn of an indication: ``6 + 3``."""
    turn = ", second turn" if seen.second_turn else ""
    return f"{to_text(seen.main)} + {seen.line_text}{turn}"


class Hearing:
    """What is said of a tool; lengths in its unit, angles in arc minutes.

    Args:
        reach: what the tool can read.
        fine_as: what its fine figures stand for; None where that was not said.
    """

    def __init__(self, reach: Reach, fine_as: FineAs | None) -> None:
        self._reach = reach
        self._mains, self._fines = MainFigures(reach), FineFigures(reach, fine_as)

    def marks(self, said: str) -> list[MeantMark]:
        """All marks that may have been said as a main figure alone."""
        return self._mains.marks(self._plainly(said)) if len(said) <= LONGEST else []

    def meanings(self, said: str) -> list[Meaning]:
        """All readings that may have been said, in the order in which they are told.

        Args:
            said: both blanks, joined by a blank.
        """
        if len(said) > LONGEST:
            return []
        found: dict[tuple[Fraction, Line | Undecided, bool], Meaning] = {}
        for one in self._all(self._plainly(said)):
            seen = one.indication
            key = seen.main, seen.undecided or seen.line, seen.second_turn
            found[key] = found[key].along_with(one) if key in found else one
        return list(found.values())

    def _plainly(self, said: str) -> str:
        return plainly(said, length=not self._reach.circle)

    def _all(self, text: str) -> Iterator[Meaning]:
        """Every meaning, the same marks as often as they are said in other ways."""
        if self._reach.plain:
            for mark in self._mains.marks(text):
                yield Meaning(Indication(mark.at), mark.at, mark.way, "", frozenset({mark.way}))
            return
        for main, fine in split_figures(text):
            for mark in self._mains.marks(main):
                yield from self._with_fine(mark, fine)
        for whole in self._mains.wholes(text):
            seen = self._reach.at(whole.reads)
            if seen and (seen.line != 0 or whole.in_full):
                yield self._of_whole(whole, seen, "whole")
        for first, last in split_range(text):
            yield from self._from_to(first, last)

    def _of_whole(self, whole: Whole, seen: Indication, way: str) -> Meaning:
        reads = self._reach.tool.reading(seen)
        return Meaning(seen, reads, whole.way, way, frozenset({whole.way}), kept=True)

    def _from_to(self, first: str, last: str) -> Iterator[Meaning]:
        """A reading that lies between two, both from one mark to the next."""
        low_unit, high_unit = _unit_of(first), _unit_of(last)
        for low in self._mains.wholes(first, high_unit):
            for high in self._mains.wholes(last, low_unit):
                alike = self._reach.alike(low.reads, high.reads) if low.way == high.way else None
                if alike:
                    yield self._of_whole(low, alike, "several")

    def _with_fine(self, mark: MeantMark, text: str) -> Iterator[Meaning]:
        back, bare = text.startswith("-"), text.removeprefix("-")
        if mark.below and not back:
            for amount in self._fines.amounts(mark, bare) if self._reach.in_order else ():
                if seen := self._reach.at(-self._size(amount)):
                    yield self._meaning(mark, amount, seen, bare, back=True)
            above = replace(mark, turn=False) if self._reach.two_turns else mark
            for each in (self._below_zero(mark), above):
                yield from self._forward(each, bare)
        elif back:
            for amount in self._fines.amounts(mark, bare):
                for seen in self._counted_back(mark, amount):
                    yield self._meaning(mark, amount, seen, bare, back=True)
        else:
            yield from self._forward(mark, bare)

    def _forward(self, mark: MeantMark, text: str) -> Iterator[Meaning]:
        for amount in self._fines.amounts(mark, text):
            for seen in self._placed(mark, amount):
                yield self._meaning(mark, amount, seen, text)
        yield from self._several(mark, text)

    def _meaning(
        self,
        mark: MeantMark,
        amount: FineAmount,
        seen: Indication,
        text: str,
        *,
        back: bool = False,
    ) -> Meaning:
        return Meaning(
            seen,
            self._reach.tool.reading(seen),
            mark.way,
            "counted-back" if back else "several" if seen.undecided else amount.way,
            frozenset({mark.way}),
            amount.fine_as,
            amount.kept,
            text.isdecimal() and text.isascii(),
            amount.way == "decimals",
        )

    def _below_zero(self, mark: MeantMark) -> MeantMark:
        """The mark, or turn, below zero."""
        if not (screw := self._reach.screw):
            at = mark.at - self._reach.division
            return replace(mark, at=at, start=at)
        turn = screw.indication_at(-screw.pitch, 0)
        return replace(mark, at=turn.main, start=-screw.pitch, turn=turn.second_turn)

    def _several(self, mark: MeantMark, text: str) -> Iterator[Meaning]:
        """Neighbouring lines that cannot be told apart."""
        for first, last in split_range(text):
            unit = _unit_of(last, circle=self._reach.circle)
            if unit and not _unit_of(first, circle=self._reach.circle):
                first += unit
            lows = list(self._fines.figures(mark, first))
            highs = list(self._fines.figures(mark, last, last=True))
            for low in lows:
                for high in highs:
                    if low.way != high.way or low.from_degrees != high.from_degrees:
                        continue
                    for seen in self._alike_at(mark, low, high):
                        yield self._meaning(mark, low, seen, text)

    def _alike_at(self, mark: MeantMark, low: FineAmount, high: FineAmount) -> Iterator[Indication]:
        if low.line is None or high.line is None:
            seen = self._reach.alike(mark.start + low.worth, mark.start + high.worth)
            if seen:
                yield seen
            return
        alike = Undecided(int(low.line), int(high.line))
        if self._reach.can_be_alike(alike):
            for turn in self._turns(mark):
                yield Indication.seen(mark.at, alike, turn)

    def _turns(self, mark: MeantMark) -> tuple[bool, ...]:
        """The turns that a line can be in."""
        if not self._reach.two_turns:
            return (False,)
        return (False, True) if mark.turn is None else (mark.turn,)

    def _placed(self, mark: MeantMark, amount: FineAmount) -> Iterator[Indication]:
        """Where a fine figure lies beside its mark."""
        screw = self._reach.screw
        unsaid = amount.from_degrees or self._reach.two_turns or (mark.below and mark.start < 0)
        if amount.line is None:
            if seen := self._reach.on_a_line(mark.start + amount.worth):
                yield seen if unsaid else replace(seen, main=mark.at)
        elif screw and mark.below and mark.start < 0:
            yield screw.indication_at(mark.start, amount.line)
        else:
            for turn in self._turns(mark):
                yield Indication(mark.at, amount.line, turn)

    def _size(self, amount: FineAmount) -> Fraction:
        """What it is worth where lines are in order."""
        return amount.worth if amount.line is None else amount.line * self._reach.least

    def _counted_back(self, mark: MeantMark, amount: FineAmount) -> Iterator[Indication]:
        """Where it lies counted back from the mark, and below zero from the one before that."""
        if not self._reach.in_order:
            return
        size, start = self._size(amount), mark.start
        if not self._reach.screw or is_multiple(start, self._reach.screw.pitch):
            ends = [start - size]
            if start == -self._reach.division:
                ends.append(-size)
            for end in ends:
                if seen := self._reach.at(end):
                    yield seen


def _unit_of(text: str, *, circle: bool = False) -> str:
    """The unit that stands behind a figure; empty where none does."""
    if circle:
        return text[-1] if text[-1:] in ("'", '"') and text[:-1].isdecimal() else ""
    number = spelled(text)
    return number.unit if number else ""
