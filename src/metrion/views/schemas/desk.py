"""The reading desk: what is entered, and the answer."""

from __future__ import annotations

from dataclasses import field
from typing import Annotated

from marshmallow import validate

from metrion.core.desk.entered import EnteredFigures
from metrion.core.instruments.appearance import FineAs, MainAs, PrintedUnit
from metrion.core.quantity.observations import Arc, Sort
from metrion.notebook.patches import EntryPatch
from metrion.views.schemas.instruments import InstrumentFields
from metrion.views.schemas.view import view


@view
class IndicationView(EnteredFigures):
    """What has been typed so far, or where the slider stands (``position``)."""

    seq: int = field(kw_only=True)
    position: float | None = None
    estimates: bool = False
    reference: str | None = None


@view
class DraftIndicationView(IndicationView):
    """An entry on an instrument that is only being described."""

    record: Annotated[EntryPatch, InstrumentFields] = field(kw_only=True)


@view
class TypedView(IndicationView):
    """An entry at the desk of a sheet.

    A ``reference`` makes it a look at the zero, and ``looks`` are the ids of earlier ones of the
    same faces and phase that it should agree with. ``sort`` says how many looks make the reading,
    and ``earlier`` holds those that have been entered before this one.
    """

    instrument: str = field(kw_only=True)
    zero: list[str] = field(default_factory=list)
    looks: list[str] = field(default_factory=list)
    sort: Sort = Sort.SINGLE
    arc: Arc = Arc.SHORTER
    halved: bool = False
    earlier: Annotated[list[EnteredFigures], validate.Length(max=3)] = field(default_factory=list)


@view
class WrappedZeroView:
    """What a look at the zero is likely mistaken for: the figures that it would have, and words."""

    main: str
    second_turn: bool
    words: str
    likely: str
    kept: str


@view
class UnlikeView:
    """An earlier look at the same zero that said something else."""

    id: str
    error: float
    words: str


@view
class ZeroFindingView:
    """What a look at the zero comes to.

    ``unlike`` are earlier looks that it does not agree with; ``opposite`` is the one as far off the
    other way, for who had said that it is off so; null where it is not off.
    """

    error: float
    unlike: list[UnlikeView]
    words: str
    ways: list[str]
    advice: str
    wrapped: WrappedZeroView | None
    opposite: WrappedZeroView | None


@view
class NeighbourView:
    """A line beside the coinciding one."""

    line: int
    mark: float
    miss: float
    words: str


@view
class OfferView:
    """What could be typed instead, and what it would mean."""

    text: str
    words: str


@view
class AskedView:
    """One of the readings that figures can be, where they can be several.

    ``main`` and ``fine`` are its figures as the page's tool has them typed.
    ``fine_as``, ``main_as`` and ``numerals`` are what the tool would have to say for it to be the
    one; where that is nothing new, ``meant`` says which was chosen. ``main_step`` is what a numeral
    of the main scale grows by then.
    """

    meant: str
    main: str
    fine: str
    words: str
    says: str
    read: str
    position: float
    line: float
    second_turn: bool
    main_step: float
    fine_as: FineAs | None
    main_as: MainAs | None
    numerals: PrintedUnit | None


@view
class FigureView:
    """One blank of the equation: as a file would hold it, and as it is typed; or what is wrong."""

    value: str | None
    typed: str | None
    fault: str
    offers: list[OfferView]


@view
class FineFigureView(FigureView):
    """The fine blank, with the other two ways to say the same, and the lines seen to meet."""

    seen: list[float]
    numeral: str | None
    worth: str | None


@view
class TurnView:
    """One of the two turns of a screw that show the same thimble line."""

    main: str
    second_turn: bool
    read: str
    position: float
    chosen: bool
    words: str


@view
class AnswerView:
    """What the desk knows of an entry.

    ``asked`` has the readings that it can be, where it can be several; ``meant`` tells the one that
    it is, ``whole`` whether that was said in one and is still to be seen as mark and line.
    """

    seq: int
    asked: list[AskedView]
    meant: str
    whole: bool
    main: FigureView
    fine: FineFigureView
    read: str | None
    corrected: str | None
    position: float | None
    bounds: list[str] | None
    meets: float | None
    neighbours: list[NeighbourView]
    sentences: list[str]
    second_turn: bool
    turns: list[TurnView]
    between: str | None
    reference_fault: str
    finding: ZeroFindingView | None
