"""A reading that was said, and what it was taken for: a line of JSON each."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from metrion.core.desk.said.judging import FigureOptions, Judgement, judge
from metrion.core.desk.said.reach import Reach
from metrion.core.exact.numbers import to_text
from metrion.core.instruments.appearance import FineAs, MainAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Json, Record
from metrion.formats.logbook.fields import Fields, read_alone
from metrion.formats.logbook.indications import indication_record
from metrion.formats.logbook.instruments import parse_instrument
from metrion.formats.logbook.known import Known

_LONGEST_SAID = 1_000
_DIGITS = 15


class _At(StrEnum):
    READING = "reading"
    ZERO = "zero"


@dataclass(frozen=True)
class Said:
    """A reading that was said.

    Attributes:
        tool: that was read.
        text: what stands in both blanks, joined by a blank.
        at_zero: whether its zero was looked at.
        told: what its figures stand for.
    """

    tool: Instrument
    text: str
    at_zero: bool
    told: FigureOptions

    def judged(self) -> Judgement:
        """What it was taken for."""
        reach = Reach(self.tool, at_zero=self.at_zero, estimates=self.at_zero)
        return judge(reach, self.text, self.told)


def parse_said(record: Json) -> Said:
    """Read what was said.

    Raises:
        Refused: with everything that is wrong with it.
    """
    names = record.keys() if isinstance(record, dict) else ()

    def read(fields: Fields) -> Said | None:
        told = fields.object("instrument")
        tool = parse_instrument(told, Known()) if told else None
        text = fields.text("said", _LONGEST_SAID, required="said" not in fields)
        at = fields.choice("at", _At)
        fine_as, main_as = fields.choice("fine_as", FineAs), fields.choice("main_as", MainAs)
        if tool is None or text is None:
            return None
        # A null says that nothing was said; what is left out is the tool's to say.
        own = tool.appearance
        told_so = FigureOptions(
            fine_as if "fine_as" in names else own.fine_as,
            main_as if "main_as" in names else own.main_as,
        )
        return Said(tool, text, at is _At.ZERO, told_so)

    return read_alone(record, "said-nothing", read)


def judgement_record(said: Said, judgement: Judgement, words: str) -> Record:
    """What it was taken for.

    Args:
        words: the same in a sentence.
    """
    readings: list[Json] = [
        {
            **indication_record(said.tool, one.indication),
            "reads": to_text(one.reads, _DIGITS),
            "as": one.way,
        }
        for one in judgement.meanings
    ]
    return {"verdict": str(judgement.verdict), "readings": readings, "words": words}
