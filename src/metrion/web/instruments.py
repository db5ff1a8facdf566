"""``/api/instruments``: the shelf, and any description worked out before it is kept."""

from __future__ import annotations

from fractions import Fraction

from metrion.core.desk.typed import typed_number
from metrion.core.exact.figures import to_figures
from metrion.core.exact.numbers import to_text
from metrion.core.instruments.in_unit import in_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import numbered
from metrion.core.instruments.pitch import PitchTrial, find_pitch
from metrion.core.json import Record
from metrion.core.scales import Pattern, VernierScale
from metrion.core.traits import LengthUnit
from metrion.formats.logbook import read_drawn_instrument
from metrion.notebook.patches import EntryPatch
from metrion.store.records import EntryVersion
from metrion.views.locale import say, shown, speaker
from metrion.views.present import answer_view, instrument_view, slide_view
from metrion.views.schemas.desk import AnswerView, DraftIndicationView
from metrion.views.schemas.instruments import (
    DescriptionView,
    InstrumentFields,
    InstrumentView,
    InUnitView,
    PatternView,
    PitchSheetView,
    PitchView,
)
from metrion.views.schemas.view import schema_of, widened
from metrion.web.bodies import Blueprint
from metrion.web.presets import SHELF

blueprint = Blueprint("instruments", __name__, url_prefix="/api/instruments")


def _drafted(given: Record) -> tuple[Instrument, EntryVersion]:
    record = {"name": speaker().text("this-tool"), **given, "id": "draft"}
    return read_drawn_instrument(record), EntryVersion("draft", record, 0, 0)


def _described(given: Record) -> InstrumentView:
    instrument, entry = _drafted(given)
    return instrument_view(numbered(instrument), entry)


@blueprint.get("/shelf")
@blueprint.response(200, schema_of(PatternView)(many=True))
def shelf() -> list[PatternView]:
    """Common patterns to start from, worked out."""
    return [
        PatternView(
            id=pattern.id,
            title=title,
            description=speaker().text_of("shelf", f"{pattern.id}.description"),
            record=pattern.record,
            instrument=_described({"name": title, **pattern.record}),
        )
        for pattern in SHELF
        for title in (speaker().text_of("shelf", pattern.id),)
    ]


@blueprint.post("/describe")
@blueprint.arguments(InstrumentFields)
@blueprint.response(200, schema_of(DescriptionView))
def describe(told: EntryPatch) -> DescriptionView:
    """A description worked out without keeping it. 422 with its faults.

    A useless fine scale is no fault here: it is drawn, and said to be useless.
    """
    instrument = numbered(_drafted(told.given)[0])
    scale = instrument.scale
    return widened(
        DescriptionView,
        _described(told.given),
        useless=isinstance(scale, VernierScale) and scale.pattern is Pattern.USELESS,
        slide=slide_view(instrument),
    )


@blueprint.post("/in-unit")
@blueprint.arguments(schema_of(InUnitView))
@blueprint.response(200, InstrumentFields)
def told_in_unit(body: InUnitView) -> Record:
    """A description in another unit: every length in it is converted. Nothing is kept."""
    return in_unit(body.record.given, LengthUnit(body.unit))


@blueprint.post("/look")
@blueprint.arguments(schema_of(DraftIndicationView))
@blueprint.response(200, schema_of(AnswerView))
def look(body: DraftIndicationView) -> AnswerView:
    """What a described instrument reads, typed or dragged. 422 if it makes no scale."""
    return answer_view(_drafted(body.record.given)[0], body)


@blueprint.post("/pitch")
@blueprint.arguments(schema_of(PitchSheetView))
@blueprint.response(200, schema_of(PitchView))
def pitch(body: PitchSheetView) -> PitchView:
    """The pitch worksheet worked out. 422 if a figure is no number."""
    trials = [
        PitchTrial(trial.turns, typed_number(trial.before), typed_number(trial.after))
        for trial in body.trials
    ]
    found = find_pitch(trials, body.unit)
    best = found.usual or found.mean
    return PitchView(
        pitches=[_short(trial.pitch) for trial in trials],
        mean=_short(found.mean),
        spread=_short(found.spread),
        usual=None if found.usual is None else to_text(found.usual),
        least_count=_short(best / body.fine_divisions),
        warnings=[say(warning) for warning in found.warnings],
    )


def _short(value: Fraction) -> str:
    text = to_text(value)
    return shown(text if len(text) <= 8 else to_figures(value, 5))
