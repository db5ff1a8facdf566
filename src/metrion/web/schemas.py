"""What goes over the wire. The front end's types are made from these."""

from __future__ import annotations

from typing import Any

from marshmallow import Schema, fields, validate

from metrion.core.conventions import BUILT_IN
from metrion.core.observations import Arc, Sort

_NAME = validate.Length(min=1, max=200)
_ID = validate.Length(min=1, max=200)


def _text(**more: Any) -> fields.String:
    return fields.String(required=True, **more)


def _maybe_text(**more: Any) -> fields.String:
    return fields.String(required=True, allow_none=True, **more)


def _number(**more: Any) -> fields.Float:
    return fields.Float(required=True, **more)


def _many(schema: type[Schema]) -> fields.List[Any]:
    return fields.List(fields.Nested(schema), required=True)


class SpanSchema(Schema):
    """A piece of a line of working."""

    text = _text()
    tint = _text(validate=validate.OneOf(["plain", "main", "fine", "zero", "result"]))


class StepSchema(Schema):
    """One line of working."""

    label = _text()
    spans = _many(SpanSchema)


class NumeralSchema(Schema):
    """A numeral printed at a fine line."""

    line = fields.Integer(required=True)
    text = _text()


class LinesSchema(Schema):
    """Where the lines of an instrument lie, in its unit."""

    division = _number()
    least_count = _number()
    fine_divisions = fields.Integer(required=True)
    extended = fields.Boolean(required=True)
    places = fields.List(fields.Float(), required=True)
    worths = fields.List(fields.Float(), required=True)
    main_every = fields.Integer(required=True)
    main_step = _number()
    main_unit = _text()
    fine_numerals = _many(NumeralSchema)
    low = _number(allow_none=True)
    high = _number(allow_none=True)
    pitch = _number(allow_none=True)
    two_turns = fields.Boolean(required=True)
    against = fields.Boolean(required=True)


class NoteSchema(Schema):
    """A remark about a scale, and where to put the slide to see it."""

    text = _text()
    warning = fields.Boolean(required=True)
    position = _number(allow_none=True)


class SlideStepSchema(Schema):
    """One step of the slow-motion slide."""

    position = _number()
    lines = fields.List(fields.Integer(), required=True)
    words = _text()


class AppearanceSchema(Schema):
    """What an instrument looks like beyond what its readings need."""

    numerals = _text(validate=validate.OneOf(["mm", "cm"]))
    fine_as = _text(validate=validate.OneOf(["line", "numeral", "worth"]))
    fine_side = _text(validate=validate.OneOf(["above", "below"]))
    half_marks = _text(validate=validate.OneOf(["above", "below"]))
    thimble_numerals = _text(validate=validate.OneOf(["up", "down"]))
    numbered_every = fields.Integer(required=True, allow_none=True)
    second_edge = fields.Boolean(required=True)


class InstrumentSchema(Schema):
    """An instrument, its least count and its lines."""

    id = _text()
    version = fields.Integer(required=True)
    name = _text()
    kind = _text(validate=validate.OneOf(["vernier", "screw", "angular"]))
    unit = _text()
    main_division = _text()
    fine_divisions = fields.Integer(required=True)
    span = fields.Integer(required=True, allow_none=True)
    pitch = _maybe_text()
    numbering = _maybe_text()
    range = fields.List(fields.String(), required=True, allow_none=True)
    maker_limit = _maybe_text()
    fine_as = _text(validate=validate.OneOf(["line", "numeral", "worth"]))
    appearance = fields.Nested(AppearanceSchema, required=True)
    least_count = _text()
    least_count_text = _text()
    pattern = _text()
    derivation = _many(StepSchema)
    notes = _many(NoteSchema)
    lines = fields.Nested(LinesSchema, required=True)
    below_main = _text()
    below_second_turn = fields.Boolean(required=True)


class DescriptionSchema(InstrumentSchema):
    """An instrument worked out before it is kept."""

    useless = fields.Boolean(required=True)
    slide = _many(SlideStepSchema)


class ToolSchema(InstrumentSchema):
    """A tool of the student's own, with the record that describes it."""

    record = fields.Dict(keys=fields.String(), values=fields.Raw(), required=True)


class ZeroCheckSchema(Schema):
    """A zero check and the error it shows."""

    id = _text()
    version = fields.Integer(required=True)
    instrument = _text()
    face = _text()
    phase = _text(validate=validate.OneOf(["before", "after"]))
    main = _text()
    line = _text()
    reference = _maybe_text()
    error = _number()
    error_text = _text()
    correction_text = _text()
    at = _maybe_text()


class EarlierSchema(Schema):
    """Figures of a reading before it was changed."""

    main = _text()
    line = _text()
    at = _text()
    why = _text()


class ReadingSchema(Schema):
    """One reading."""

    id = _text()
    version = fields.Integer(required=True)
    place = _text()
    approach = _text()
    reader = _text()
    note = _text()
    meets = _text()
    excluded = _text()
    main = _text()
    line = _text()
    position = _number()
    read = _text()
    corrected = _text()
    value = _number()
    at = _maybe_text()
    history = _many(EarlierSchema)


class ResultSchema(Schema):
    """What a quantity comes to; None until a reading counts."""

    count = fields.Integer(required=True)
    sentence = _maybe_text()
    mean = _number(allow_none=True)
    low = _number(allow_none=True)
    high = _number(allow_none=True)
    relative_percent = _maybe_text()


class FlagSchema(Schema):
    """Something that deserves a second look."""

    code = _text()
    level = _text(validate=validate.OneOf(["info", "warning"]))
    message = _text()
    observation = fields.Integer(required=True, allow_none=True)
    suggestion = fields.Dict(keys=fields.String(), values=fields.Raw(), required=True)
    settled = fields.Boolean(required=True)
    without = _maybe_text()


class HintSchema(Schema):
    """A remark about the series, beyond the flags."""

    code = _text()
    message = _text()


class PlaceSchema(Schema):
    """What the readings at one place come to; the place is empty where none was noted."""

    place = _text()
    count = fields.Integer(required=True)
    sentence = _maybe_text()


class SaidSchema(Schema):
    """What one school says of the same readings, and why it may differ."""

    id = _text()
    name = _text()
    sentence = _maybe_text()
    why = _text()


class ConventionSchema(Schema):
    """A school: its name, and what it does, in sentences."""

    id = _text()
    name = _text()
    words = fields.List(fields.String(), required=True)


class QuantitySchema(Schema):
    """A quantity with its readings, result, working and second looks."""

    id = _text()
    version = fields.Integer(required=True)
    name = _text()
    symbol = _text()
    instrument = _text()
    unit = _text()
    face = _text()
    items = fields.Integer(required=True)
    divide_by = fields.Integer(required=True)
    sort = _text(validate=validate.OneOf(list(Sort)))
    arc = _text(validate=validate.OneOf(list(Arc)))
    zero = fields.List(fields.String(), required=True)
    zero_exact = fields.Boolean(required=True)
    zero_error = _number()
    zero_text = _text()
    zero_words = _text()
    estimates = fields.Boolean(required=True)
    convention = _text()
    convention_name = _text()
    readings = _many(ReadingSchema)
    result = fields.Nested(ResultSchema, required=True)
    working = _many(StepSchema)
    flags = _many(FlagSchema)
    others = _many(SaidSchema)
    places = _many(PlaceSchema)
    places_apart = fields.Boolean(required=True)
    hints = _many(HintSchema)
    advice = _text()


class DerivedInputSchema(Schema):
    """What stands for a symbol: a quantity of the sheet, or a typed-in value."""

    symbol = _text()
    quantity = _maybe_text()
    value = _maybe_text()
    uncertainty = _maybe_text()
    unit = _maybe_text()
    words = _text()


class DerivedSchema(Schema):
    """A derived quantity of a sheet: its formula, its inputs in words, its result."""

    id = _text()
    version = fields.Integer(required=True)
    name = _text()
    formula = _text()
    unit = _text()
    convention_name = _text()
    inputs = _many(DerivedInputSchema)
    sentence = _maybe_text()
    relative_percent = _maybe_text()
    shared_zeros = fields.List(fields.String(), required=True)


class SheetHeadSchema(Schema):
    """What every answer about a sheet begins with."""

    id = _text()
    title = _text()
    version = fields.Integer(required=True)
    changed_at = _text()


class SheetSchema(SheetHeadSchema):
    """A sheet, whole."""

    undo = _maybe_text()
    redo = _maybe_text()
    instruments = _many(InstrumentSchema)
    zero_checks = _many(ZeroCheckSchema)
    quantities = _many(QuantitySchema)
    derived = _many(DerivedSchema)


class SummaryResultSchema(ResultSchema):
    """A result as the notebook lists it."""

    id = _text()
    name = _text()
    symbol = _text()
    open_looks = fields.Integer(required=True)


class SheetSummarySchema(SheetHeadSchema):
    """A sheet as the notebook lists it."""

    results = _many(SummaryResultSchema)
    instruments = fields.List(fields.String(), required=True)


class SheetListSchema(Schema):
    """The notebook: sheets, and those in the trash."""

    sheets = _many(SheetSummarySchema)
    trash = _many(SheetHeadSchema)


class NewSheetSchema(Schema):
    """A new, empty sheet."""

    id = fields.String(validate=_ID)
    title = _text(validate=_NAME)


class SheetPatchSchema(Schema):
    """A new title."""

    title = _text(validate=_NAME)


class InstrumentFields(Schema):
    """An instrument as the student describes it; what its numbers must be is the core's to say."""

    name = fields.String(validate=_NAME)
    kind = fields.String()
    unit = fields.String()
    main_division = fields.String()
    pitch = fields.String()
    fine_divisions = fields.Integer(strict=True)
    span = fields.Integer(strict=True)
    numbering = fields.String()
    range = fields.List(fields.String(), allow_none=True)
    maker_limit = fields.String(allow_none=True)
    numerals = fields.String(validate=validate.OneOf(["mm", "cm"]))
    fine_as = fields.String(validate=validate.OneOf(["line", "numeral", "worth"]))
    fine_side = fields.String(validate=validate.OneOf(["above", "below"]))
    half_marks = fields.String(validate=validate.OneOf(["above", "below"]))
    thimble_numerals = fields.String(validate=validate.OneOf(["up", "down"]))
    numbered_every = fields.Integer(
        strict=True, allow_none=True, validate=validate.Range(min=1, max=1000)
    )
    second_edge = fields.Boolean()


class ZeroCheckFields(Schema):
    """A zero check; ``main`` and ``fine`` as they would stand in a logbook file."""

    instrument = fields.String()
    face = fields.String(allow_none=True)
    main = fields.String()
    fine = fields.Raw(metadata={"type": ["integer", "string"]})
    second_turn = fields.Boolean(allow_none=True)
    reference = fields.String(allow_none=True)
    phase = fields.String(validate=validate.OneOf(["before", "after"]))


class QuantityFields(Schema):
    """A quantity; a null takes a field away."""

    name = fields.String(validate=_NAME)
    symbol = fields.String(validate=validate.Length(max=20))
    instrument = fields.String()
    face = fields.String(allow_none=True)
    items = fields.Integer(strict=True)
    zero = fields.List(fields.String())
    zero_exact = fields.Boolean(allow_none=True)
    pairs = fields.Boolean(allow_none=True)
    windows = fields.Boolean(allow_none=True)
    divide_by = fields.Integer(strict=True, allow_none=True)
    arc = fields.String(allow_none=True, validate=validate.OneOf(list(Arc)))
    places_apart = fields.Boolean(allow_none=True)
    convention = fields.String()
    looked_again = fields.List(fields.String())


class DerivedFields(Schema):
    """A derived quantity; an input is the id of a quantity or value, uncertainty and unit."""

    name = fields.String(validate=_NAME)
    formula = fields.String(validate=validate.Length(max=1000))
    unit = fields.String(validate=validate.Length(max=100))
    convention = fields.String()
    inputs = fields.Dict(keys=fields.String(), values=fields.Raw())


class FiguresSchema(Schema):
    """One look at the scales, as it would stand in a logbook file."""

    main = fields.String()
    fine = fields.Raw(metadata={"type": ["integer", "string"]})
    second_turn = fields.Boolean(allow_none=True)


class ReadingFields(FiguresSchema):
    """A reading: its one look, or those of a pair, ``a2`` and ``b2`` through a second window."""

    a = fields.Nested(FiguresSchema)
    b = fields.Nested(FiguresSchema)
    a2 = fields.Nested(FiguresSchema)
    b2 = fields.Nested(FiguresSchema)
    place = fields.String(allow_none=True, validate=validate.Length(max=100))
    excluded = fields.String(allow_none=True, validate=validate.Length(max=500))
    note = fields.String(allow_none=True, validate=validate.Length(max=1000))
    approach = fields.String(allow_none=True, validate=validate.OneOf(["opening", "closing"]))
    reader = fields.String(allow_none=True, validate=validate.Length(max=100))
    meets = fields.String(allow_none=True)
    looked_again = fields.List(fields.String())


class ReadingPatch(ReadingFields):
    """A change to a reading; ``why`` goes into its history if its figures change."""

    why = fields.String(validate=validate.Length(max=500))


class QuantityReading(ReadingFields):
    """A reading with the quantity it is one of."""

    quantity = _text()


def _new(schema: type[Schema], name: str) -> type[Schema]:
    """The schema for a new entry: the client makes the id, so that sending twice adds once."""
    return type(name, (schema,), {"id": fields.String(validate=_ID)})


NewTool = _new(InstrumentFields, "NewTool")
NewInstrument = _new(InstrumentFields, "NewInstrument")
NewZeroCheck = _new(ZeroCheckFields, "NewZeroCheck")
NewQuantity = _new(QuantityFields, "NewQuantity")
NewDerived = _new(DerivedFields, "NewDerived")
NewReading = _new(QuantityReading, "NewReading")


class EnteredSchema(Schema):
    """Figures as they were typed into the equation."""

    main = fields.String(load_default="")
    fine = fields.String(load_default="")
    fine_as = fields.String(
        load_default="line", validate=validate.OneOf(["line", "numeral", "worth"])
    )
    second_turn = fields.Boolean(load_default=False)


class LookSchema(EnteredSchema):
    """What has been typed so far, or where the slider stands (``position``)."""

    seq = fields.Integer(required=True)
    position = fields.Float(allow_none=True, load_default=None)
    estimates = fields.Boolean(load_default=False)
    reference = fields.String(allow_none=True, load_default=None)


class TypedSchema(LookSchema):
    """An entry at the desk of a sheet.

    A ``reference`` makes it a look at the zero. ``sort`` says how many looks make the reading, and
    ``earlier`` holds those that have been entered before this one.
    """

    instrument = _text()
    zero = fields.List(fields.String(), load_default=list)
    sort = fields.String(load_default="single", validate=validate.OneOf(list(Sort)))
    arc = fields.String(load_default="shorter", validate=validate.OneOf(list(Arc)))
    earlier = fields.List(
        fields.Nested(EnteredSchema), load_default=list, validate=validate.Length(max=3)
    )


class DraftLookSchema(LookSchema):
    """An entry on an instrument that is only being described."""

    record = fields.Nested(InstrumentFields, required=True)


class ZeroFindingSchema(Schema):
    """What a look at the zero comes to."""

    error = _number()
    words = _text()
    ways = fields.List(fields.String(), required=True)
    advice = _text()


class NeighbourSchema(Schema):
    """A line beside the coinciding one."""

    line = fields.Integer(required=True)
    mark = _number()
    miss = _number()
    words = _text()


class FigureSchema(Schema):
    """One blank of the equation: its value as a file would hold it, or what is wrong."""

    value = _maybe_text()
    fault = _text()


class FineFigureSchema(FigureSchema):
    """The fine blank, with the other two ways to say the same."""

    numeral = _maybe_text()
    worth = _maybe_text()


class TurnSchema(Schema):
    """One of the two turns of a screw that show the same thimble line."""

    main = _text()
    second_turn = fields.Boolean(required=True)
    read = _text()
    position = _number()
    chosen = fields.Boolean(required=True)
    words = _text()


class AnswerSchema(Schema):
    """What the desk knows of an entry."""

    seq = fields.Integer(required=True)
    main = fields.Nested(FigureSchema, required=True)
    fine = fields.Nested(FineFigureSchema, required=True)
    read = _maybe_text()
    corrected = _maybe_text()
    position = _number(allow_none=True)
    bounds = fields.List(fields.String(), required=True, allow_none=True)
    meets = _number(allow_none=True)
    neighbours = _many(NeighbourSchema)
    sentences = fields.List(fields.String(), required=True)
    second_turn = fields.Boolean(required=True)
    turns = _many(TurnSchema)
    between = _maybe_text()
    reference_fault = _text()
    finding = fields.Nested(ZeroFindingSchema, required=True, allow_none=True)


class PatternSchema(Schema):
    """A common fine scale to start from."""

    id = _text()
    title = _text()
    description = _text()
    instrument = fields.Nested(InstrumentSchema, required=True)
    record = fields.Dict(keys=fields.String(), values=fields.Raw(), required=True)


class TrialSchema(Schema):
    """Whole turns counted, and what the sleeve showed before and after, as typed."""

    turns = fields.Integer(required=True, strict=True, validate=validate.Range(min=1, max=1000))
    before = _text()
    after = _text()


class PitchSheetSchema(Schema):
    """Trials of the pitch, and the divisions of the thimble."""

    unit = _text(validate=validate.OneOf(["mm", "cm", "in"]))
    fine_divisions = fields.Integer(required=True, strict=True, validate=validate.Range(min=1))
    trials = fields.List(
        fields.Nested(TrialSchema), required=True, validate=validate.Length(min=1, max=100)
    )


class PitchSchema(Schema):
    """What the trials say."""

    pitches = fields.List(fields.String(), required=True)
    mean = _text()
    spread = _text()
    usual = _maybe_text()
    least_count = _text()
    warnings = fields.List(fields.String(), required=True)


class ConceptSchema(Schema):
    """A thing that courses call by different names, the usual one first."""

    id = _text()
    words = fields.List(fields.String(), required=True)
    meaning = _text()


class CareSchema(Schema):
    """A piece of care and safety."""

    title = _text()
    text = _text()


class PartSchema(Schema):
    """A part of an instrument."""

    id = _text()
    name = _text()
    purpose = _text()
    handling = _text()


class FaceSchema(Schema):
    """A pair of faces with a zero of its own."""

    id = _text()
    name = _text()
    measures = _text()
    closes = fields.Boolean(required=True)


class KindSchema(Schema):
    """The parts and faces of a kind of instrument."""

    kind = _text()
    care = _text()
    parts = _many(PartSchema)
    faces = _many(FaceSchema)


class WordsSchema(Schema):
    """Glossary, care, and the parts of every kind."""

    concepts = _many(ConceptSchema)
    care = _many(CareSchema)
    kinds = _many(KindSchema)


class SettingsSchema(Schema):
    """The settings of the notebook."""

    theme = fields.String(validate=validate.OneOf(["light", "dark", "system"]))
    decimal_sign = fields.String(validate=validate.OneOf(["point", "comma"]))
    single_keys = fields.Boolean()
    words = fields.Dict(keys=fields.String(), values=fields.String())
    convention = fields.String(validate=validate.OneOf(list(BUILT_IN)))


class FaultSchema(Schema):
    """One thing that is wrong, and where."""

    pointer = _text()
    message = _text()


class ErrorSchema(Schema):
    """The shape of every error."""

    message = _text()
    faults = _many(FaultSchema)


class BlankSchema(Schema):
    """An input of a recipe."""

    symbol = _text()
    label = _text()
    unit = _text()


class RecipeSchema(Schema):
    """A usual derived quantity, ready to be filled in."""

    id = _text()
    title = _text()
    formula = _text()
    unit = _text()
    blanks = _many(BlankSchema)
