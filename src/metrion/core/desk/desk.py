"""The reading desk: what is typed, or where a slider stands, answered while it is being entered.

It warns and explains; it never refuses a reading that the scale can show.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field, replace
from fractions import Fraction
from math import floor
from typing import TypeVar

from metrion.core.desk.lines import TypedLine, counted_back, typed_line
from metrion.core.desk.marks import TypedMark, in_another_unit, typed_main
from metrion.core.desk.pairing import ZERO_CANCELS
from metrion.core.desk.passed import Turn, near_mark, turns
from metrion.core.desk.typed import Offer, Unclear, plainly_typed
from metrion.core.errors import MetrionError
from metrion.core.exact.numbers import to_text
from metrion.core.facts import Argument, Fact, Figure, Name, fact
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.drawing import engraved_text, fine_numerals
from metrion.core.instruments.instrument import Instrument, Kind
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
    """What the desk knows of an entry, complete or not. Lengths in the unit of the instrument.

    Attributes:
        main: the main reading, if there is a valid one.
        line: the fine line, if there is a valid one, or those that seem to meet.
        main_fault, line_fault: what is wrong with what was typed; None if nothing.
        main_offers, line_offers: what could be typed instead.
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
    main_fault: Fact | None = None
    line_fault: Fact | None = None
    main_offers: tuple[Offer, ...] = ()
    line_offers: tuple[Offer, ...] = ()
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
        """The indication, once both figures are there."""
        if self.main is None or self.line is None:
            return None
        return Indication.seen(self.main, self.line, self.second_turn)


def consider(
    instrument: Instrument,
    main: str,
    fine: str,
    fine_as: FineAs | None = None,
    checks: Sequence[ZeroCheck] | None = (),
    *,
    estimates: bool = False,
    second_turn: bool = False,
) -> Answer:
    """Answer what has been typed so far; empty texts are not yet typed.

    ``checks`` is None for a position of a pair, where the zero cancels.
    """
    tried = _Tried()
    typed = tried.main(
        lambda: typed_main(instrument, main, engraved=True, estimates=estimates), main
    )
    value = typed.value if typed else None
    line: Line | Undecided | None = None
    if not instrument.scale.has_fine_scale:
        line = 0 if main.strip() else None
    elif back := _BACK.fullmatch(plainly_typed(fine)):
        there = tried.back(instrument, value, int(back[1]), second_turn)
        if there:
            value, line, second_turn = there.main, there.line, there.second_turn
    elif fine.strip():
        read = tried.line(lambda: typed_line(instrument, fine, fine_as, estimates=estimates))
        line = read.line if read else None
    if value is not None and not instrument.can_reach(value):
        tried.main_offers = tuple(in_another_unit(instrument, main))
    answer = _answer(instrument, value, line, second_turn, checks)
    return replace(
        answer,
        main_fault=tried.main_fault,
        line_fault=tried.line_fault,
        main_offers=tried.main_offers,
        line_offers=tried.line_offers,
        sentences=(*tried.said, *answer.sentences),
    )


_BACK = re.compile(r"- *([0-9]{1,4})")


class _Tried:
    """What was typed, and what came of understanding it."""

    def __init__(self) -> None:
        self.said: list[Fact] = []
        self.main_fault: Fact | None = None
        self.line_fault: Fact | None = None
        self.main_offers: tuple[Offer, ...] = ()
        self.line_offers: tuple[Offer, ...] = ()

    def main(self, understand: Callable[[], TypedMark], text: str) -> TypedMark | None:
        """The main reading; None where nothing was typed, or with what is wrong noted."""
        if not text.strip():
            return None
        try:
            return self._noted(understand())
        except MetrionError as error:
            self.main_fault, self.main_offers = _wrong(error)
            return None

    def line(self, understand: Callable[[], TypedLine]) -> TypedLine | None:
        """The fine reading; None with what is wrong noted."""
        try:
            return self._noted(understand())
        except MetrionError as error:
            self.line_fault, self.line_offers = _wrong(error)
            return None

    def back(
        self, instrument: Instrument, main: Fraction | None, lines: int, turn: bool
    ) -> Indication | None:
        """Lines counted back; None before there is a mark to count from, or with what is wrong."""
        if main is None:
            return None
        try:
            there = counted_back(instrument, main, lines, turn)
        except MetrionError as error:
            self.line_fault, self.line_offers = _wrong(error)
            return None
        if lines:
            line, many = Fraction(there.line), instrument.scale.fine_divisions
            self.said.append(fact("typed-counted-back", back=lines, lines=many, line=line))
        return there

    def _noted(self, typed: _Typed) -> _Typed:
        if typed.says:
            self.said.append(typed.says)
        return typed


_Typed = TypeVar("_Typed", TypedMark, TypedLine)


def _wrong(error: MetrionError) -> tuple[Fact, tuple[Offer, ...]]:
    offers = error.offers if isinstance(error, Unclear) else ()
    return fact("sentence", phrase=error.says), offers


def consider_position(
    instrument: Instrument, position: Fraction, checks: Sequence[ZeroCheck] | None = ()
) -> Answer:
    """Answer a fine zero that was put at ``position``: the nearest reading the scale can show."""
    indication = instrument.scale.nearest(position)
    return _answer(instrument, indication.main, indication.line, indication.second_turn, checks)


def _answer(
    instrument: Instrument,
    main: Fraction | None,
    line: Line | Undecided | None,
    second_turn: bool,
    checks: Sequence[ZeroCheck] | None,
) -> Answer:
    read = corrected = bounds = meets = None
    neighbours: tuple[Neighbour, ...] = ()
    indication = None
    if main is not None:
        bounds = (main, main + instrument.scale.main_division)
    if main is not None and line is not None:
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
        angular = instrument.kind is Kind.ANGULAR
        distance = instrument.with_unit(abs(miss)) if angular else instrument.value_text(abs(miss))
        at = instrument.value_text(mark) if angular else engraved_text(instrument, mark)
        side = "right" if miss > 0 else "left" if miss else "meets"
        says = fact(f"neighbour-{side}", distance=Figure(distance), mark=Figure(at))
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
        low, high = (Figure(engraved_text(instrument, bound)) for bound in bounds)
        code = "edge-between" if instrument.kind is Kind.SCREW else "zero-line-between"
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
    printed = "" if numeral == to_text(number) else "-printed"
    if printed:
        about["numeral"] = Figure(numeral)
    if worth == 0:
        last = "-last" if isinstance(scale, VernierScale) else ""
        return fact(f"line-adds-nothing{last}{printed}", **about)
    return fact(f"line-worth{printed}", **about, worth=Figure(instrument.with_unit(worth)))


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
    tool = "gauge" if instrument.kind is Kind.SCREW else "tool"
    side = "much" if error > 0 else "little" if error else "none"
    return fact(f"zero-reads-{side}", tool=tool, size=Figure(instrument.with_unit(abs(error))))
