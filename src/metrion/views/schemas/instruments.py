"""Instruments: as they are described, drawn and kept; patterns and pitch sheets."""

from __future__ import annotations

from typing import Annotated, Literal

from marshmallow import validate

from metrion.core.instruments.appearance import FineAs, Growth, MainAs, PrintedUnit, Side
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record
from metrion.core.traits import Drawing, Kind
from metrion.notebook.patches import EntryPatch
from metrion.views.schemas.declared import NEW_ID, WHAT_WAS_READ, taken
from metrion.views.schemas.view import view
from metrion.views.schemas.working import StepView


@view
class NumeralView:
    """A numeral printed at a fine line."""

    line: int
    text: str


@view
class LinesView:
    """Where the lines of an instrument lie, in its unit."""

    division: float
    least_count: float
    fine_divisions: int
    extended: bool
    places: list[float]
    worths: list[float]
    main_every: int
    main_step: float
    main_unit: str
    fine_numerals: list[NumeralView]
    numerals_differ: bool
    low: float | None
    high: float | None
    pitch: float | None
    two_turns: bool
    against: bool


@view
class NoteView:
    """A remark about a scale, and where to put the slide to see it."""

    text: str
    warning: bool
    position: float | None


@view
class SlideStepView:
    """One step of the slow-motion slide."""

    position: float
    lines: list[int]
    words: str


@view
class AppearanceView:
    """What an instrument looks like beyond what its readings need."""

    numerals: PrintedUnit | None
    fine_as: FineAs | None
    main_as: MainAs | None
    fine_side: Side
    half_marks: Side
    thimble_numerals: Growth
    numbered_every: int | None
    marks_early: float
    display: bool
    second_edge: bool


@view
class TraitsView:
    """What instruments of its kind are."""

    circular: bool
    fine_scale: bool
    turns: bool
    slides: bool
    stacks: bool
    closes: bool
    drawing: Drawing


@view
class InstrumentView:
    """An instrument, its least count and its lines, in the unit that it is numbered in.

    ``unit_text`` is what is written after its figures, nothing after angles; ``kept_unit`` is the
    unit of its description, in which setting pieces are given.
    """

    id: str
    version: int
    name: str
    kind: Kind
    traits: TraitsView
    unit: str
    unit_text: str
    kept_unit: str
    main_division: str
    fine_divisions: int
    span: int | None
    pitch: str | None
    numbering: str | None
    range: list[str] | None
    maker_limit: str | None
    fine_as: FineAs | None
    main_as: MainAs | None
    appearance: AppearanceView
    least_count: str
    least_count_text: str
    pattern: str
    derivation: list[StepView]
    notes: list[NoteView]
    lines: LinesView
    engraved_unit: str
    example_main: str
    example_fine: str
    below_main: str
    below_second_turn: bool
    record: Record


@view
class DescriptionView(InstrumentView):
    """An instrument worked out before it is kept."""

    useless: bool
    slide: list[SlideStepView]


@view
class ToolView(InstrumentView):
    """A tool of the student's own."""


_ABOUT = "An instrument as the student describes it."
InstrumentFields = taken(Instrument, "InstrumentFields", _ABOUT)
InstrumentPatch = taken(Instrument, "InstrumentPatch", _ABOUT, also=WHAT_WAS_READ)
NewTool = taken(Instrument, "NewTool", _ABOUT, also=NEW_ID)
NewInstrument = taken(Instrument, "NewInstrument", _ABOUT, also=NEW_ID)


@view
class InUnitView:
    """A description that is to be told in another unit."""

    record: Annotated[EntryPatch, InstrumentFields]
    unit: Literal["mm", "cm", "in"]


@view
class PatternView:
    """A common fine scale to start from."""

    id: str
    title: str
    description: str
    instrument: InstrumentView
    record: Record


@view
class TrialView:
    """Whole turns counted, and what the sleeve showed before and after, as typed."""

    turns: Annotated[int, validate.Range(min=1, max=1000)]
    before: str
    after: str


@view
class PitchSheetView:
    """Trials of the pitch, and the divisions of the thimble."""

    unit: Literal["mm", "cm", "in"]
    fine_divisions: Annotated[int, validate.Range(min=1)]
    trials: Annotated[list[TrialView], validate.Length(min=1, max=100)]


@view
class PitchView:
    """What the trials say."""

    pitches: list[str]
    mean: str
    spread: str
    usual: str | None
    least_count: str
    warnings: list[str]
