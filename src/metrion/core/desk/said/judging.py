"""What was said is judged in one place: it is one reading, it is asked about, or it is none."""

from __future__ import annotations

from dataclasses import dataclass, replace
from enum import StrEnum

from metrion.core.desk.said.main_figures import MeantMark
from metrion.core.desk.said.meanings import Hearing, Meaning
from metrion.core.desk.said.reach import OTHER_UNIT, Reach
from metrion.core.instruments.appearance import FineAs, MainAs, PrintedUnit
from metrion.core.instruments.instrument import Instrument

MOST_ASKED = 4


class Ruling(StrEnum):
    """What becomes of what was said."""

    ONE = "one"
    ASK = "ask"
    NONE = "none"


@dataclass(frozen=True)
class Judgement:
    """What was said, judged.

    Attributes:
        verdict: whether it is one reading, has to be asked about, or is none.
        meanings: the reading; or those that are asked about.
    """

    verdict: Ruling
    meanings: tuple[Meaning, ...]


@dataclass(frozen=True)
class FigureOptions:
    """What was said beside the figures.

    Attributes:
        fine_as, main_as: what figures stand for; None where that was not said.
        numerals: the unit that the numerals of the main scale turned out to stand for.
        second_turn: whether the thimble is in the second turn past the mark; None if not said.
        meant: the `Meaning.key` that was answered when it was asked about; empty if it was not.
    """

    fine_as: FineAs | None = None
    main_as: MainAs | None = None
    second_turn: bool | None = None
    meant: str = ""
    numerals: PrintedUnit | None = None

    def on(self, tool: Instrument) -> Instrument:
        """The tool, numbered in the unit that was answered."""
        if self.numerals is None:
            return tool
        return replace(tool, appearance=replace(tool.appearance, numerals=self.numerals))

    def else_by(self, tool: Instrument) -> FigureOptions:
        """The same, with what the tool says where nothing else was said."""
        look = tool.appearance
        return replace(
            self, fine_as=self.fine_as or look.fine_as, main_as=self.main_as or look.main_as
        )


NOTHING_TOLD = FigureOptions()


def judge(reach: Reach, said: str, told: FigureOptions) -> Judgement:
    """Make every meaning of what was said, and judge them; nothing is preferred in silence.

    Args:
        reach: what the tool can read.
        said: both blanks, joined by a blank.
        told: what was said beside them.
    """
    if told.meant:
        found = Hearing(reach, told.fine_as).meanings(said)
        if meant := [one for one in found if one.key == told.meant]:
            return Judgement(Ruling.ONE, tuple(meant))
    return _judged(reach, said, told)


def _judged(reach: Reach, said: str, told: FigureOptions) -> Judgement:
    fine_as = told.fine_as
    hearing = Hearing(reach, fine_as)
    found = hearing.meanings(said)
    inside = [one for one in found if reach.within(one.reads)]
    left = _as_told(inside or found, told)
    if not left:
        return Judgement(Ruling.NONE, ())
    if len(left) > 1:
        return Judgement(Ruling.ASK, tuple(left[:MOST_ASKED]))
    [one] = left
    doubtful = (
        not inside
        or one.main_way == "other-unit"
        or (one.by_decimals and fine_as is not FineAs.WORTH)
        or (fine_as is not None and one.is_digits and fine_as not in one.fine_as)
        or (one.fine_way and _lacks_its_line(reach, hearing.marks(said)))
    )
    return Judgement(Ruling.ASK if doubtful else Ruling.ONE, (one,))


def settled_by(reach: Reach, said: str, told: FigureOptions, meant: Meaning) -> FigureOptions:
    """What the tool would have to say for this to be its one meaning.

    As told, if nothing does; but for the unit of its numerals, which is said whatever is left.

    Args:
        said: what was asked about.
        told: what the tool said when it was.
        meant: the meaning that is wanted.
    """
    fine = next((one for one in FineAs if one in meant.fine_as), None)
    main = next((one for one in MainAs if one == meant.main_way), None)
    if other := OTHER_UNIT[reach.tool.unit] if meant.main_way == "other-unit" else None:
        main, told = MainAs.ENGRAVED, replace(told, numerals=other, main_as=MainAs.ENGRAVED)
        reach = reach.of(told.on(reach.tool))
    for answer in (
        told,
        replace(told, fine_as=fine),
        replace(told, main_as=main),
        replace(told, fine_as=fine, main_as=main),
    ):
        judged = _judged(reach, said, answer)
        if judged.verdict is Ruling.ONE and judged.meanings[0].key == meant.key:
            return answer
    return told


def _as_told(found: list[Meaning], told: FigureOptions) -> list[Meaning]:
    """What is left where it was told what figures stand for, if any meaning is so."""
    turn, fine_as = told.second_turn, told.fine_as
    if turn is not None and any(one.indication.second_turn is turn for one in found):
        found = [one for one in found if one.indication.second_turn is turn]
    if told.main_as is not None and any(told.main_as in one.main_ways for one in found):
        others = {str(one) for one in MainAs if one is not told.main_as}
        found = [one for one in found if not one.main_ways <= others]
    if fine_as is not None and any(fine_as in one.fine_as for one in found):
        found = [one for one in found if one.kept or fine_as in one.fine_as]
    return found


def _lacks_its_line(reach: Reach, marks: list[MeantMark]) -> bool:
    """Whether what was said may be a main figure alone, of which these are the marks."""
    return any(
        mark.way != "other-unit" and not mark.in_full and reach.within(mark.start) for mark in marks
    )
