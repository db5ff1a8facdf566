"""The reading desk: what is typed, or where a slider stands, answered while it is being entered.

It warns and explains; it never refuses a reading that the scale can show.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, field, replace
from fractions import Fraction
from math import floor

from metrion.core.codes import MessageCode
from metrion.core.desk.pairing import ZERO_CANCELS
from metrion.core.desk.passed import Turn, near_mark, turns
from metrion.core.desk.said.hear import NOTHING_HEARD, Heard, hear
from metrion.core.desk.said.judging import NOTHING_TOLD, FigureOptions
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Argument, Fact, Figure, Name, coded, fact
from metrion.core.instruments.drawing import fine_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import numbered, numbered_per, spoken_mark
from metrion.core.quantity.numbered import numbered_checks
from metrion.core.quantity.zero import ZeroCheck, zero_error
from metrion.core.scales import Indication, Line, VernierScale
from metrion.core.scales.base import Undecided


@dataclass(frozen=True)
class Neighbour:
    """A fine line beside the coinciding one, and how it misses.

    Attributes:
        line: the line.
        mark: the main mark nearest to it.
        miss: how far it lies past that mark (negative: short of it).
        says: the miss in words, ``0.05 right of 10``.
    """

    line: int
    mark: Fraction
    miss: Fraction
    says: Fact


@dataclass(frozen=True)
class Answer:
    """What the desk knows of an entry, complete or not.

    Lengths are in the unit that the tool is numbered in; what was heard is in that of its logbook.

    Attributes:
        main: the main reading, if there is a valid one.
        line: the fine line, if there is a valid one, or those that seem to meet.
        heard: what was typed, understood: faults and offers, and what has to be asked.
        read: what it reads; None until both are there.
        corrected: that less the zero error.
        bounds: the two marks the reading must lie between.
        meets: the main mark that the line meets.
        neighbours: the lines left and right of it; of several that seem to meet, their ends too.
        sentences: what to say about it.
        second_turn: whether the thimble is in the second turn past the mark.
        turns: on a screw, the turn that was read and the one it can be confused with.
    """

    main: Fraction | None = None
    line: Line | Undecided | None = None
    heard: Heard = NOTHING_HEARD
    read: Fraction | None = None
    corrected: Fraction | None = None
    bounds: tuple[Fraction, Fraction] | None = None
    meets: Fraction | None = None
    neighbours: tuple[Neighbour, ...] = ()
    sentences: tuple[Fact, ...] = field(default=())
    second_turn: bool = False
    turns: tuple[Turn, ...] = ()

    @property
    def indication(self) -> Indication | None:
        """The indication, once both figures are there and mean one reading."""
        if self.main is None or self.line is None or self.read is None:
            return None
        return Indication.seen(self.main, self.line, self.second_turn)


def consider(
    instrument: Instrument,
    main: str,
    fine: str,
    told: FigureOptions = NOTHING_TOLD,
    checks: Sequence[ZeroCheck] | None = (),
    *,
    estimates: bool = False,
    at_zero: bool = False,
    estimating: Sequence[str] | None = None,
) -> Answer:
    """Answer what has been typed so far; empty texts are not yet typed.

    Args:
        told: what the tool and the student have said beside the figures.
        checks: None for a position of a pair, where the zero cancels.
        estimates: whether one may read between the finest lines.
        at_zero: whether the zero is looked at.
        estimating: names of conventions that read between marks, where the one in force does not.
    """
    told = told.else_by(instrument)
    tool, per = numbered(instrument), numbered_per(instrument)
    heard = hear(
        told.on(instrument), main, fine, told,
        at_zero=at_zero, estimates=estimates, estimating=estimating,
    )  # fmt: skip
    turn = heard.indication.second_turn if heard.indication else bool(told.second_turn)
    line = heard.line
    if not instrument.scale.has_fine_scale:
        line = 0 if main.strip() and heard.main is not None else None
    whole = heard.indication is not None or not heard.asked
    at = None if heard.main is None else heard.main * per
    shown = None if checks is None else numbered_checks(instrument, checks)
    answer = _answer(tool, at, line, turn, shown, whole=whole)
    return replace(answer, heard=heard, sentences=(*heard.says, *answer.sentences))


def consider_position(
    instrument: Instrument, position: Fraction, checks: Sequence[ZeroCheck] | None = ()
) -> Answer:
    """Answer a fine zero that was put at ``position``: the nearest reading the scale can show."""
    tool = numbered(instrument)
    seen = tool.scale.nearest(position)
    shown = None if checks is None else numbered_checks(instrument, checks)
    return _answer(tool, seen.main, seen.line, seen.second_turn, shown)


def _answer(
    instrument: Instrument,
    main: Fraction | None,
    line: Line | Undecided | None,
    second_turn: bool,
    checks: Sequence[ZeroCheck] | None,
    *,
    whole: bool = True,
) -> Answer:
    read = corrected = bounds = meets = None
    neighbours: tuple[Neighbour, ...] = ()
    indication = None
    if main is not None:
        bounds = (main, main + instrument.scale.main_division)
    if whole and main is not None and line is not None:
        indication = Indication.seen(main, line, second_turn)
        read = instrument.reading(indication)
        corrected = read - zero_error(instrument, checks or ())
        if isinstance(instrument.scale, VernierScale) and not isinstance(line, Fraction):
            neighbours = _neighbours(instrument, instrument.scale, indication)
            meets = instrument.scale.meets(indication) if isinstance(line, int) else None
    sentences = tuple(_sentences(instrument, main, line, indication, bounds, checks))
    return Answer(
        main, line, read=read, corrected=corrected, bounds=bounds, meets=meets,
        neighbours=neighbours, sentences=sentences, second_turn=second_turn,
        turns=turns(instrument, indication) if indication else (),
    )  # fmt: skip


def _neighbours(
    instrument: Instrument, scale: VernierScale, indication: Indication
) -> tuple[Neighbour, ...]:
    found = []
    read = scale.reading(indication)
    alike = indication.undecided or Undecided(int(indication.line), int(indication.line))
    ends = (alike.first, alike.last) if indication.undecided else ()
    for line in sorted({alike.first - 1, *ends, alike.last + 1}):
        if not scale.has_line(line):
            continue
        place = read + scale.line_position(line)
        mark = floor(place / scale.main_division + Fraction(1, 2)) * scale.main_division
        miss = place - mark
        angular = instrument.traits.circular
        distance = instrument.with_unit(abs(miss)) if angular else instrument.value_text(abs(miss))
        at = instrument.value_text(mark) if angular else spoken_mark(instrument, mark)
        side = "right" if miss > 0 else "left" if miss else "meets"
        says = coded("neighbour", side, distance=Figure(distance), mark=Figure(at))
        found.append(Neighbour(line, mark, miss, says))
    return tuple(found)


def _sentences(
    instrument: Instrument,
    main: Fraction | None,
    line: Line | Undecided | None,
    indication: Indication | None,
    bounds: tuple[Fraction, Fraction] | None,
    checks: Sequence[ZeroCheck] | None,
) -> list[Fact]:
    found = []
    fine = instrument.scale.has_fine_scale
    if fine and line is not None:
        found.append(
            _alike(instrument, line) if isinstance(line, Undecided) else _line(instrument, line)
        )
    if fine and bounds:
        low, high = (Figure(spoken_mark(instrument, bound)) for bound in bounds)
        code: MessageCode = "edge-between" if instrument.traits.turns else "zero-line-between"
        found.append(fact(code, low=low, high=high))
    if indication is not None:
        found += _indication(instrument, indication)
    if main is not None or line is not None:
        found.append(ZERO_CANCELS if checks is None else zero_says(instrument, checks))
    return found


def _indication(instrument: Instrument, indication: Indication) -> Iterator[Fact]:
    """What to look at again: where the tool cannot be, no mark near by is worth a word."""
    if instrument.range and not instrument.can_reach(instrument.reading(indication)):
        low, high = instrument.range
        most = Figure(instrument.with_unit(high))
        yield fact("that-is-out-of-range", tool=Name(instrument.name), low=low, high=most)
    elif near := near_mark(instrument, indication):
        yield near


def _line(instrument: Instrument, line: Line) -> Fact:
    scale = instrument.scale
    worth = scale.reading(Indication(Fraction(0), line))
    numeral, number = fine_numerals(instrument).text(line), Fraction(line)
    about: dict[str, Argument] = {"line": number}
    printed = numeral != to_text(number)
    if printed:
        about["numeral"] = Figure(numeral)
    code: MessageCode
    if worth:
        about["worth"] = Figure(instrument.with_unit(worth))
        code = "line-worth-printed" if printed else "line-worth"
    elif isinstance(scale, VernierScale):
        code = "line-adds-nothing-last-printed" if printed else "line-adds-nothing-last"
    else:
        code = "line-adds-nothing-printed" if printed else "line-adds-nothing"
    return fact(code, **about)


def _alike(instrument: Instrument, alike: Undecided) -> Fact:
    """Several lines that seem to meet: what is read, and how much wider that look is."""
    worth = instrument.scale.reading(Indication(Fraction(0), alike.middle))
    half = Fraction(alike.lines, 2) * instrument.least_count
    return fact(
        "lines-undecided",
        first=alike.first,
        last=alike.last,
        middle=alike.middle,
        worth=Figure(instrument.with_unit(worth)),
        half=Figure(instrument.with_unit(half)),
    )


def zero_says(instrument: Instrument, checks: Sequence[ZeroCheck]) -> Fact:
    """What the zero does to every reading."""
    if not checks:
        return fact("zero-not-looked-at")
    error = zero_error(instrument, checks)
    tool = "gauge" if instrument.traits.turns else "tool"
    side = "much" if error > 0 else "little" if error else "none"
    return coded("zero-reads", side, tool=tool, size=Figure(instrument.with_unit(abs(error))))
