"""Instruments: as they are described, drawn and kept; patterns and pitch sheets."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.instruments.instrument import Instrument, Kind
from metrion.web.schemas.common import many, maybe_string, number, string
from metrion.web.schemas.declared import NEW_ID, taken
from metrion.web.schemas.working import StepSchema


class NumeralSchema(Schema):
    """A numeral printed at a fine line."""

    line = fields.Integer(required=True)
    text = string()


class LinesSchema(Schema):
    """Where the lines of an instrument lie, in its unit."""

    division = number()
    least_count = number()
    fine_divisions = fields.Integer(required=True)
    extended = fields.Boolean(required=True)
    places = fields.List(fields.Float(), required=True)
    worths = fields.List(fields.Float(), required=True)
    main_every = fields.Integer(required=True)
    main_step = number()
    main_unit = string()
    fine_numerals = many(NumeralSchema)
    low = number(allow_none=True)
    high = number(allow_none=True)
    pitch = number(allow_none=True)
    two_turns = fields.Boolean(required=True)
    against = fields.Boolean(required=True)


class NoteSchema(Schema):
    """A remark about a scale, and where to put the slide to see it."""

    text = string()
    warning = fields.Boolean(required=True)
    position = number(allow_none=True)


class SlideStepSchema(Schema):
    """One step of the slow-motion slide."""

    position = number()
    lines = fields.List(fields.Integer(), required=True)
    words = string()


class AppearanceSchema(Schema):
    """What an instrument looks like beyond what its readings need."""

    numerals = string(validate=validate.OneOf(["mm", "cm"]))
    fine_as = string(validate=validate.OneOf(["line", "numeral", "worth"]))
    fine_side = string(validate=validate.OneOf(["above", "below"]))
    half_marks = string(validate=validate.OneOf(["above", "below"]))
    thimble_numerals = string(validate=validate.OneOf(["up", "down"]))
    numbered_every = fields.Integer(required=True, allow_none=True)
    second_edge = fields.Boolean(required=True)


class InstrumentSchema(Schema):
    """An instrument, its least count and its lines."""

    id = string()
    version = fields.Integer(required=True)
    name = string()
    kind = string(validate=validate.OneOf(list(Kind)))
    unit = string()
    main_division = string()
    fine_divisions = fields.Integer(required=True)
    span = fields.Integer(required=True, allow_none=True)
    pitch = maybe_string()
    numbering = maybe_string()
    range = fields.List(fields.String(), required=True, allow_none=True)
    maker_limit = maybe_string()
    fine_as = string(validate=validate.OneOf(["line", "numeral", "worth"]))
    appearance = fields.Nested(AppearanceSchema, required=True)
    least_count = string()
    least_count_text = string()
    pattern = string()
    derivation = many(StepSchema)
    notes = many(NoteSchema)
    lines = fields.Nested(LinesSchema, required=True)
    below_main = string()
    below_second_turn = fields.Boolean(required=True)


class DescriptionSchema(InstrumentSchema):
    """An instrument worked out before it is kept."""

    useless = fields.Boolean(required=True)
    slide = many(SlideStepSchema)


class ToolSchema(InstrumentSchema):
    """A tool of the student's own, with the record that describes it."""

    record = fields.Dict(keys=fields.String(), values=fields.Raw(), required=True)


_ABOUT = "An instrument as the student describes it."
InstrumentFields = taken(Instrument, "InstrumentFields", _ABOUT)
NewTool = taken(Instrument, "NewTool", _ABOUT, also=NEW_ID)
NewInstrument = taken(Instrument, "NewInstrument", _ABOUT, also=NEW_ID)


class PatternSchema(Schema):
    """A common fine scale to start from."""

    id = string()
    title = string()
    description = string()
    instrument = fields.Nested(InstrumentSchema, required=True)
    record = fields.Dict(keys=fields.String(), values=fields.Raw(), required=True)


class TrialSchema(Schema):
    """Whole turns counted, and what the sleeve showed before and after, as typed."""

    turns = fields.Integer(required=True, strict=True, validate=validate.Range(min=1, max=1000))
    before = string()
    after = string()


class PitchSheetSchema(Schema):
    """Trials of the pitch, and the divisions of the thimble."""

    unit = string(validate=validate.OneOf(["mm", "cm", "in"]))
    fine_divisions = fields.Integer(required=True, strict=True, validate=validate.Range(min=1))
    trials = fields.List(
        fields.Nested(TrialSchema), required=True, validate=validate.Length(min=1, max=100)
    )


class PitchSchema(Schema):
    """What the trials say."""

    pitches = fields.List(fields.String(), required=True)
    mean = string()
    spread = string()
    usual = maybe_string()
    least_count = string()
    warnings = fields.List(fields.String(), required=True)
