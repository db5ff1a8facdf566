"""What was said, in words: the reading it was taken for, or what it can be."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from metrion.core.desk.said.judging import Ruling
from metrion.core.desk.said.meanings import Meaning
from metrion.core.desk.said.reach import OTHER_UNIT
from metrion.core.facts import Fact, Figure, Name, either, fact
from metrion.core.instruments.drawing import fine_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import spoken_mark, spoken_worth
from metrion.core.scales import Indication, ScrewScale


def judgement_says(
    instrument: Instrument, said: str, verdict: Ruling, meanings: Sequence[Meaning]
) -> Fact:
    """What becomes of it, in a sentence."""
    readings = [meaning_says(instrument, one) for one in meanings]
    if not readings:
        return fact("said-none", said=Name(said.strip()), tool=Name(instrument.name))
    if verdict is Ruling.ONE:
        return fact("said-one", reading=readings[0])
    return fact("said-ask", said=Name(said.strip()), readings=either(readings), count=len(readings))


def meaning_says(instrument: Instrument, meaning: Meaning) -> Fact:
    """One reading, by mark, line and what it reads."""
    seen = meaning.indication
    mark = Figure(spoken_mark(instrument, seen.main, with_unit=True))
    reads = Figure(spoken_worth(instrument, meaning.reads))
    if not instrument.scale.has_fine_scale:
        return fact("said-mark", reads=reads)
    turn = "second" if seen.second_turn else "first"
    if alike := seen.undecided:
        return fact(
            "said-mark-and-lines", mark=mark, reads=reads, turn=turn,
            first=alike.first, last=alike.last,
        )  # fmt: skip
    numerals = fine_numerals(instrument)
    printed = "numeral" if numerals.at(seen.line) != seen.line else "line"
    numeral = Figure(numerals.text(seen.line))
    line = Figure(seen.line_text)
    return fact(
        "said-mark-and-line", mark=mark, line=line, reads=reads, turn=turn,
        printed=printed, numeral=numeral,
    )  # fmt: skip


def asked_says(instrument: Instrument, meaning: Meaning, *, with_mark: bool = True) -> Fact:
    """What one would point at: the fifth line, or the line printed 5.

    Where the numerals would have to be in another unit, it asks whether they are.

    Args:
        with_mark: whether the mark has to be told as well.
    """
    if meaning.main_way != "other-unit":
        return _pointed_at(instrument, meaning, with_mark=with_mark)
    main = meaning.indication.main
    return fact(
        "asked-other-unit",
        mark=Figure(f"{instrument.mark_text(main)} {instrument.unit}"),
        kind=instrument.kind,
        unit=OTHER_UNIT[instrument.unit],
        line=_pointed_at(instrument, meaning, with_mark=False),
    )


def _pointed_at(instrument: Instrument, meaning: Meaning, *, with_mark: bool) -> Fact:
    seen = meaning.indication
    mark = Figure(spoken_mark(instrument, seen.main, with_unit=True))
    if not instrument.scale.has_fine_scale:
        return fact("asked-mark", mark=mark)
    numeral = Figure(fine_numerals(instrument).text(seen.line))
    ways = ("numeral", "worth", "decimals", "counted-back")
    way = meaning.fine_way if meaning.fine_way in ways else "line"
    worth = instrument.scale.reading(Indication(Fraction(0), seen.line))
    turn = "none"
    if isinstance(instrument.scale, ScrewScale) and instrument.scale.two_turns:
        turn = "second" if seen.second_turn else "first"
    return fact(
        "asked-line", way=way, line=Figure(seen.line_words), numeral=numeral, mark=mark, turn=turn,
        worth=Figure(spoken_worth(instrument, worth)), past="mark" if with_mark else "none",
    )  # fmt: skip
