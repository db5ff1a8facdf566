"""What was said is judged in one place: it is one reading, it is asked about, or it is none."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from metrion.core.desk.said.main_figures import Mark
from metrion.core.desk.said.meanings import Hearing, Meaning
from metrion.core.desk.said.reach import Reach
from metrion.core.instruments.appearance import FineAs, MainAs
from metrion.core.instruments.instrument import Instrument

MOST_ASKED = 4


class Verdict(StrEnum):
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

    verdict: Verdict
    meanings: tuple[Meaning, ...]


def judge(
    instrument: Instrument,
    said: str,
    *,
    fine_as: FineAs | None,
    main_as: MainAs | None,
    at_zero: bool = False,
    estimates: bool | None = None,
) -> Judgement:
    """Make every meaning of what was said, and judge them; nothing is preferred in silence.

    Args:
        said: both blanks, joined by a blank.
        fine_as, main_as: what its figures stand for; None where that was not said.
        at_zero: whether the zero is looked at.
        estimates: whether one may read between lines; None for at a zero only.
    """
    estimates = at_zero if estimates is None else estimates
    reach = Reach(instrument, at_zero=at_zero, estimates=estimates)
    hearing = Hearing(reach, fine_as)
    found = hearing.meanings(said)
    inside = [one for one in found if reach.within(one.reads)]
    left = _as_the_tool_says(inside or found, fine_as, main_as)
    if not left:
        return Judgement(Verdict.NONE, ())
    if len(left) > 1:
        return Judgement(Verdict.ASK, tuple(left[:MOST_ASKED]))
    [one] = left
    doubtful = (
        not inside
        or one.main_way == "other-unit"
        or (one.by_decimals and fine_as is not FineAs.WORTH)
        or (fine_as is not None and one.is_digits and fine_as not in one.fine_as)
        or (one.fine_way and _lacks_its_line(reach, hearing.marks(said)))
    )
    return Judgement(Verdict.ASK if doubtful else Verdict.ONE, (one,))


def _as_the_tool_says(
    found: list[Meaning], fine_as: FineAs | None, main_as: MainAs | None
) -> list[Meaning]:
    """What is left where the tool says what its figures stand for, if any meaning is so."""
    if main_as is not None and any(main_as in one.main_ways for one in found):
        others = {str(one) for one in MainAs if one is not main_as}
        found = [one for one in found if not one.main_ways <= others]
    if fine_as is not None and any(fine_as in one.fine_as for one in found):
        found = [one for one in found if one.kept or fine_as in one.fine_as]
    return found


def _lacks_its_line(reach: Reach, marks: list[Mark]) -> bool:
    """Whether what was said may be a main figure alone, of which these are the marks."""
    return any(
        mark.way != "other-unit" and not mark.in_full and reach.within(mark.start) for mark in marks
    )
