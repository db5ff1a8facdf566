"""Answers of the reading desk as the API shows them."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from fractions import Fraction

from metrion.core.desk.desk import Answer, Neighbour, consider, consider_position
from metrion.core.desk.entered import EnteredFigures
from metrion.core.desk.pairing import Pairing, pairing
from metrion.core.desk.passed import Turn
from metrion.core.desk.said.amiss import line_typed, main_typed
from metrion.core.desk.said.judging import settled_by
from metrion.core.desk.said.meanings import key_of
from metrion.core.desk.said.reach import Reach
from metrion.core.desk.said.words import asked_says, meaning_says
from metrion.core.desk.typed import Offer, typed_number
from metrion.core.desk.zero_desk import looks_unlike, zero_finding
from metrion.core.errors import MetrionError
from metrion.core.facts import Fact, fact
from metrion.core.formula.units import unit_ratio
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.drawing import fine_numerals, main_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import numbered, numbered_per, spoken_mark
from metrion.core.quantity.numbered import numbered_checks, numbered_look
from metrion.core.quantity.observations import Sort
from metrion.core.quantity.wrapped_zero import WrappedZero, nearer_to_a_mark, opposite_zero, sides
from metrion.core.quantity.zero import ZeroCheck, zero_error
from metrion.core.scales import Indication
from metrion.views.locale import say, shown
from metrion.views.schemas.desk import (
    AnswerView,
    AskedView,
    FigureView,
    FineFigureView,
    IndicationView,
    NeighbourView,
    OfferView,
    TurnView,
    TypedView,
    UnlikeView,
    WrappedZeroView,
    ZeroFindingView,
)

_FINEST = 1_000_000
"""Denominator to which a slider's place is taken: far finer than any line, and exact to add."""


def answer_view(
    instrument: Instrument,
    body: IndicationView,
    checks: Sequence[ZeroCheck] = (),
    looks: Sequence[ZeroCheck] = (),
    *,
    estimating: Sequence[str] | None = None,
) -> AnswerView:
    """Reading, bounds, neighbours and sentences for what was typed or dragged.

    Args:
        instrument: as its logbook has it, like the checks; the answer is in the unit of its
            numerals.
        looks: earlier looks at the zero that this one should agree with.
        estimating: names of conventions that read between marks; None where there are none to tell.
    """
    kept, instrument = instrument, numbered(instrument)
    sort = body.sort if isinstance(body, TypedView) else Sort.SINGLE
    answer = _answered(kept, body, checks if sort is Sort.SINGLE else None, estimating)
    paired = _paired(kept, answer, body)
    position = answer.main if answer.read is None else answer.read
    finding, reference_fault = _finding(
        instrument, answer, body.reference, numbered_checks(kept, looks)
    )
    return AnswerView(
        seq=body.seq,
        asked=list(_asked(kept, answer, body)),
        meant=_meant(kept, answer),
        whole=answer.heard.whole,
        main=_main_view(instrument, answer),
        fine=_fine_view(instrument, answer, body.fine_as),
        read=_text(instrument, answer.read),
        corrected=_text(instrument, answer.corrected),
        # With a main reading alone the page can already show where the zero line must be.
        position=None if position is None else float(position),
        bounds=[shown(spoken_mark(instrument, b)) for b in answer.bounds]
        if answer.bounds
        else None,
        meets=None if answer.meets is None else float(answer.meets),
        neighbours=[_neighbour_view(one) for one in answer.neighbours],
        sentences=[
            *map(say, paired.sentences if paired else ()),
            *map(say, answer.sentences),
        ],
        between=_text(instrument, paired.value) if paired else None,
        second_turn=answer.second_turn,
        turns=[_turn_view(instrument, turn, answer) for turn in answer.turns],
        finding=finding,
        reference_fault=reference_fault,
    )


def _meant(kept: Instrument, answer: Answer) -> str:
    """Which reading it is, as figures that can be several are told by: in the logbook's unit."""
    if answer.indication is None:
        return ""
    return key_of(numbered_look(answer.indication, 1 / numbered_per(kept)))


def _main_view(instrument: Instrument, answer: Answer) -> FigureView:
    main, heard = answer.main, answer.heard
    return FigureView(
        value=None if main is None else instrument.main_text(main),
        typed=None if main is None else main_typed(instrument, main),
        fault=say(_sentence(heard.main_fault)),
        offers=_offers(heard.main_offers),
    )


def _neighbour_view(one: Neighbour) -> NeighbourView:
    return NeighbourView(one.line, float(one.mark), float(one.miss), say(one.says))


def _turn_view(instrument: Instrument, turn: Turn, answer: Answer) -> TurnView:
    """One of the two turns of a screw, and whether it is the one that was read."""
    return TurnView(
        main=main_typed(instrument, turn.indication.main),
        second_turn=turn.indication.second_turn,
        read=shown(instrument.value_text(turn.read)),
        position=float(turn.read),
        chosen=turn.read == answer.read,
        words=say(turn.says),
    )


def _paired(instrument: Instrument, answer: Answer, body: IndicationView) -> Pairing | None:
    """What the positions entered before and this one come to; None where one is none."""
    if not isinstance(body, TypedView) or body.sort is Sort.SINGLE:
        return None
    earlier = [_typed(instrument, entered, None, body).indication for entered in body.earlier]
    indications = [
        indication for indication in (*earlier, answer.indication) if indication is not None
    ]
    if len(indications) != len(earlier) + 1:
        return None
    tool = numbered(instrument)
    return pairing(tool, indications, body.sort, body.arc, halved=body.halved)


def _answered(
    instrument: Instrument,
    body: IndicationView,
    checks: Sequence[ZeroCheck] | None,
    estimating: Sequence[str] | None,
) -> Answer:
    if body.position is not None:
        position = Fraction(body.position).limit_denominator(_FINEST)
        return consider_position(instrument, position, checks)
    return _typed(instrument, body, checks, body, estimating)


def _typed(
    instrument: Instrument,
    entered: EnteredFigures,
    checks: Sequence[ZeroCheck] | None,
    body: IndicationView,
    estimating: Sequence[str] | None = None,
) -> Answer:
    return consider(
        instrument,
        entered.main,
        entered.fine,
        entered.told,
        checks,
        estimates=body.estimates,
        at_zero=body.reference is not None,
        estimating=None if body.estimates else estimating,
    )


def _asked(instrument: Instrument, answer: Answer, body: IndicationView) -> Iterator[AskedView]:
    """The readings that it can be, each with what settles that it is this one."""
    at_zero = body.reference is not None
    reach = Reach(body.told.on(instrument), at_zero=at_zero, estimates=body.estimates)
    said = f"{body.main.strip()} {body.fine.strip()}".strip()
    asked = body.told.else_by(instrument)
    several = len({one.indication.main for one in answer.heard.asked}) > 1
    tool, per = numbered(instrument), numbered_per(instrument)
    for one in answer.heard.asked:
        told = settled_by(reach, said, asked, one)
        seen = one.indication
        line = line_typed(tool, seen.line, told.fine_as)
        yield AskedView(
            meant=one.key,
            main=main_typed(tool, seen.main * per),
            fine=seen.line_text if seen.undecided else line,
            words=say(asked_says(instrument, one, with_mark=several)),
            says=say(meaning_says(instrument, one)),
            read=shown(tool.value_text(one.reads * per)),
            position=float(one.reads * per),
            line=float(seen.line),
            second_turn=seen.second_turn,
            main_step=float(main_numerals(told.on(instrument)).step),
            fine_as=told.fine_as if told != asked else None,
            main_as=told.main_as if told != asked else None,
            numerals=told.numerals if told != asked else None,
        )


def _fine_view(instrument: Instrument, answer: Answer, fine_as: FineAs | None) -> FineFigureView:
    line, fault, offers = (
        answer.line,
        say(_sentence(answer.heard.fine_fault)),
        _offers(answer.heard.fine_offers),
    )
    if line is None:
        return FineFigureView(None, None, fault, offers, seen=[], numeral=None, worth=None)
    seen = Indication.seen(Fraction(0), line)
    text = seen.line_text
    return FineFigureView(
        value=text,
        typed=text if seen.undecided else line_typed(instrument, seen.line, fine_as),
        fault=fault,
        offers=offers,
        seen=[float(one) for one in seen.seen_lines],
        numeral=fine_numerals(instrument).text(seen.line),
        worth=shown(instrument.value_text(instrument.reading(seen))),
    )


def _sentence(fault: Fact | None) -> Fact | None:
    return fact("sentence", phrase=fault) if fault else None


def _offers(offers: Sequence[Offer]) -> list[OfferView]:
    return [OfferView(one.text, say(one.says)) for one in offers]


def _text(instrument: Instrument, value: Fraction | None) -> str | None:
    return None if value is None else shown(instrument.value_text(value))


def _finding(
    instrument: Instrument, answer: Answer, typed: str | None, looks: Sequence[ZeroCheck]
) -> tuple[ZeroFindingView | None, str]:
    """What a look at the zero comes to, where a reference (0 for closed faces) makes it one."""
    if typed is None:
        return None, ""
    try:
        reference = typed_number(typed or "0")
    except MetrionError as error:
        return None, say(fact("sentence", phrase=error.says))
    if reference < 0:
        return None, say(fact("sentence", phrase=fact("setting-piece-negative")))
    if answer.indication is None:
        return None, ""
    reference *= unit_ratio(instrument.kept_unit or instrument.unit, instrument.unit)
    found = zero_finding(instrument, answer.indication, reference)
    view = ZeroFindingView(
        error=float(found.error),
        unlike=[
            UnlikeView(look.id, float(zero_error(instrument, [look])), say(says))
            for look, says in looks_unlike(instrument, found.error, looks)
        ],
        words=say(found.says),
        ways=[say(way) for way in found.ways],
        advice=say(found.advice),
        wrapped=_either_view(instrument, found.wrapped, nearer_to_a_mark(instrument))
        if found.wrapped
        else None,
        opposite=_either_view(instrument, opposite_zero(instrument, found.error, reference), None)
        if found.error
        else None,
    )
    return view, ""


def _either_view(
    instrument: Instrument, wrapped: WrappedZero, nearer: Fact | None
) -> WrappedZeroView:
    """The two that a look at the zero can be, and what is odd about it."""
    likely, kept = sides(instrument, wrapped)
    return WrappedZeroView(
        main=main_typed(instrument, wrapped.indication.main),
        second_turn=wrapped.indication.second_turn,
        words=say(fact("which-zero", nearer=nearer)) if nearer else "",
        likely=say(likely),
        kept=say(kept),
    )
