"""The two blanks of the equation as they fill: what they mean so far, or what is amiss."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction
from typing import TypeVar

from metrion.core.desk.said.amiss import fine_amiss, main_amiss
from metrion.core.desk.said.judging import FigureOptions, Ruling, judge
from metrion.core.desk.said.main_figures import MeantMark, unit_of_way
from metrion.core.desk.said.meanings import Hearing, Meaning
from metrion.core.desk.said.reach import Reach
from metrion.core.desk.said.spelling import plainly, spelled
from metrion.core.desk.typed import Offer
from metrion.core.facts import Fact, Figure, Name, coded, fact
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import spoken_mark, spoken_unit
from metrion.core.scales import Indication, Line
from metrion.core.scales.base import Undecided


@dataclass(frozen=True)
class Heard:
    """What stands in the blanks, understood as far as it goes.

    Attributes:
        indication: the reading, once there is one.
        main, line: the mark and the line, as soon as one is known.
        asked: the readings that it may be, where it has to be asked about.
        main_fault, fine_fault: what is wrong with a blank; None if nothing.
        main_offers, fine_offers: what could be typed there instead.
        says: what was taken for what, where that is not what stands there.
        whole: whether the reading was said as one, and is still to be seen as mark and line.
    """

    indication: Indication | None = None
    main: Fraction | None = None
    line: Line | Undecided | None = None
    asked: tuple[Meaning, ...] = ()
    main_fault: Fact | None = None
    fine_fault: Fact | None = None
    main_offers: tuple[Offer, ...] = ()
    fine_offers: tuple[Offer, ...] = ()
    says: tuple[Fact, ...] = ()
    whole: bool = False


NOTHING_HEARD = Heard()


def hear(
    instrument: Instrument,
    main: str,
    fine: str,
    told: FigureOptions,
    *,
    at_zero: bool,
    estimates: bool,
    estimating: Sequence[str] | None = None,
) -> Heard:
    """Understand what stands in the blanks; empty ones are not yet typed.

    Args:
        told: what the tool and the student have said beside the figures.
        at_zero: whether the zero is looked at.
        estimates: whether one may read between the finest lines.
        estimating: names of conventions that do, where the one in force does not; None where that
            cannot be told.
    """
    main, fine = main.strip(), fine.strip()
    if not instrument.scale.has_fine_scale:
        fine = ""
    reach = Reach(instrument, at_zero=at_zero, estimates=estimates)
    if not main:
        return Heard(line=_line_alone(reach, fine, told)) if fine else NOTHING_HEARD
    marks = Hearing(reach, told.fine_as).marks(main)
    inside = [mark for mark in marks if reach.within(mark.start)] or marks
    judged = judge(reach, f"{main} {fine}".strip(), told)
    if judged.verdict is Ruling.ONE:
        [one] = judged.meanings
        return _heard(instrument, one, main, fine, told)
    if instrument.scale.has_fine_scale and not fine and inside:
        return _heard_mark(instrument, inside, main)
    if judged.verdict is Ruling.ASK:
        return Heard(
            main=_only(one.indication.main for one in judged.meanings),
            line=_only(one.indication.undecided or one.indication.line for one in judged.meanings),
            asked=judged.meanings,
        )
    amiss = Heard(main=_only(mark.at for mark in inside))
    if not marks:
        fault, offers = main_amiss(instrument, main, estimating)
        amiss = Heard(main_fault=fault, main_offers=offers)
    if marks or (fine and judge(reach, f"0 {fine}", told).verdict is Ruling.NONE):
        fault, offers = fine_amiss(instrument, fine, told.fine_as, estimates=estimates)
        if reach.circle and _holds_more(instrument, fine):
            # Degrees in one blank, minutes and line in the other.
            fault, offers = main_amiss(instrument, f"{main} {fine}".rpartition(" ")[0])[0], ()
        amiss = replace(amiss, fine_fault=fault, fine_offers=offers)
    return amiss


def _heard_mark(instrument: Instrument, marks: list[MeantMark], main: str) -> Heard:
    """A main figure whose line is still to come."""
    at = _only(mark.at for mark in marks)
    if at is None:
        return NOTHING_HEARD
    return Heard(main=at, says=tuple(_main_taken(instrument, marks[0].way, at, main)))


_T = TypeVar("_T")


def _only(values: Iterable[_T]) -> _T | None:
    """The one value that all are; None where they differ."""
    found = set(values)
    return found.pop() if len(found) == 1 else None


def _line_alone(reach: Reach, fine: str, told: FigureOptions) -> Line | Undecided | None:
    """The line before there is a mark, where it can be but one."""
    judged = judge(reach, f"0 {fine}", replace(told, meant=""))
    if judged.verdict is not Ruling.ONE or judged.meanings[0].fine_way == "counted-back":
        return None
    seen = judged.meanings[0].indication
    return seen.undecided or seen.line


def _heard(
    instrument: Instrument, one: Meaning, main: str, fine: str, told: FigureOptions
) -> Heard:
    seen = one.indication
    return Heard(
        seen,
        seen.main,
        seen.undecided or seen.line,
        says=tuple(_taken(instrument, one, main, fine, told)),
        whole=instrument.scale.has_fine_scale and (not fine or _holds_more(instrument, fine)),
    )


def _holds_more(instrument: Instrument, fine: str) -> bool:
    """Whether the fine blank holds more than a fine figure: a part of the mark too."""
    text = plainly(fine, length=not instrument.traits.circular)
    return spelled(text) is None and ("+" in text or " " in text)


def _taken(
    instrument: Instrument, one: Meaning, main: str, fine: str, told: FigureOptions
) -> Iterator[Fact]:
    """What was taken for what, where that is not what stands there."""
    seen, scale = one.indication, instrument.scale
    if scale.has_fine_scale and not fine:
        mark = Figure(spoken_mark(instrument, seen.main, with_unit=True))
        yield fact("typed-whole", typed=Name(main), mark=mark, line=Figure(seen.line_words))
        return
    yield from _main_taken(instrument, one.main_way, seen.main, main)
    if one.fine_way == "counted-back":
        back = -(one.reads - seen.main - scale.main_division) / scale.least_count
        if back.denominator == 1 and 0 < back <= scale.fine_divisions:
            lines = scale.fine_divisions
            yield fact(
                "typed-counted-back", back=back.numerator, lines=lines, line=Fraction(seen.line)
            )
    elif one.fine_way in ("line", "numeral", "worth", "decimals") and not (
        one.fine_as & {told.fine_as or FineAs.LINE}
    ):
        yield coded("typed-as", one.fine_way)


def _main_taken(instrument: Instrument, way: str, mark: Fraction, main: str) -> Iterator[Fact]:
    circle = instrument.traits.circular
    text = plainly(main, length=not circle)
    if circle:
        if "." in text:
            value = Figure(instrument.mark_text(mark))
            yield fact("typed-angle", typed=Figure(text), value=value)
        return
    number = spelled(text)
    unit = unit_of_way(instrument, way, number.unit if number else "")
    if unit != spoken_unit(instrument):
        as_typed = main.replace(",", ".")
        typed = as_typed if number and number.unit else f"{as_typed} {unit}"
        value = Figure(spoken_mark(instrument, mark, with_unit=True))
        yield fact("typed-mark", typed=Figure(typed), value=value)
