"""A reading that was said, and what it was taken for: a line of JSON each."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from metrion.core.desk.said.judging import Judgement, Told, judge
from metrion.core.desk.said.reach import Reach
from metrion.core.exact.numbers import to_text
from metrion.core.instruments.appearance import FineAs, MainAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Json, Record
from metrion.formats.faults import Faults, Refused, refusal
from metrion.formats.logbook.fields import Fields
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
    told: Told

    def judged(self) -> Judgement:
        """What it was taken for."""
        reach = Reach(self.tool, at_zero=self.at_zero, estimates=self.at_zero)
        return judge(reach, self.text, self.told)


def parse_said(record: Json) -> Said:
    """Read what was said.

    Raises:
        Refused: with everything that is wrong with it.
    """
    if not isinstance(record, dict):
        raise refusal("said-nothing")
    faults = Faults()
    given: Record = {name: value for name, value in record.items() if value is not None}
    fields = Fields(given, "", faults)
    told = fields.object("instrument")
    tool = parse_instrument(told, Known()) if told else None
    text = fields.text("said", _LONGEST_SAID, required="said" not in given)
    at = fields.choice("at", _At)
    fine_as, main_as = fields.choice("fine_as", FineAs), fields.choice("main_as", MainAs)
    if faults or tool is None or text is None:
        raise Refused(faults)
    return Said(
        tool,
        text,
        at is _At.ZERO,
        Told(
            fine_as if "fine_as" in record else tool.appearance.fine_as,
            main_as if "main_as" in record else tool.appearance.main_as,
        ),
    )


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
