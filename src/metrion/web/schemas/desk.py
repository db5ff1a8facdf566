"""The reading desk: what is entered, and the answer."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.quantity.observations import Arc, Sort
from metrion.core.scales import Indication
from metrion.web.schemas.common import many, maybe_string, number, string
from metrion.web.schemas.declared import taken
from metrion.web.schemas.instruments import InstrumentFields


class EnteredSchema(Schema):
    """Figures as they were typed into the equation."""

    main = fields.String(load_default="")
    fine = fields.String(load_default="")
    fine_as = fields.String(
        load_default="line", validate=validate.OneOf(["line", "numeral", "worth"])
    )
    second_turn = fields.Boolean(load_default=False)


class TypedReadingSchema(EnteredSchema):
    """A reading as it was typed: its one look, or those of a pair by their names."""

    a = fields.Nested(EnteredSchema)
    b = fields.Nested(EnteredSchema)
    a2 = fields.Nested(EnteredSchema)
    b2 = fields.Nested(EnteredSchema)


class IndicationSchema(EnteredSchema):
    """What has been typed so far, or where the slider stands (``position``)."""

    seq = fields.Integer(required=True)
    position = fields.Float(allow_none=True, load_default=None)
    estimates = fields.Boolean(load_default=False)
    reference = fields.String(allow_none=True, load_default=None)


class TypedSchema(IndicationSchema):
    """An entry at the desk of a sheet.

    A ``reference`` makes it a look at the zero. ``sort`` says how many looks make the reading, and
    ``earlier`` holds those that have been entered before this one.
    """

    instrument = string()
    zero = fields.List(fields.String(), load_default=list)
    sort = fields.String(load_default="single", validate=validate.OneOf(list(Sort)))
    arc = fields.String(load_default="shorter", validate=validate.OneOf(list(Arc)))
    halved = fields.Boolean(load_default=False)
    earlier = fields.List(
        fields.Nested(EnteredSchema), load_default=list, validate=validate.Length(max=3)
    )


class DraftIndicationSchema(IndicationSchema):
    """An entry on an instrument that is only being described."""

    record = fields.Nested(InstrumentFields, required=True)


WrappedZeroSchema = taken(
    Indication,
    "WrappedZero",
    "What a look at the zero is likely mistaken for: the figures that it would have, and words.",
    also={"words": string(), "likely": string(), "kept": string()},
)


class ZeroFindingSchema(Schema):
    """What a look at the zero comes to."""

    error = number()
    words = string()
    ways = fields.List(fields.String(), required=True)
    advice = string()
    wrapped = fields.Nested(WrappedZeroSchema, required=True, allow_none=True)


class NeighbourSchema(Schema):
    """A line beside the coinciding one."""

    line = fields.Integer(required=True)
    mark = number()
    miss = number()
    words = string()


class FigureSchema(Schema):
    """One blank of the equation: its value as a file would hold it, or what is wrong."""

    value = maybe_string()
    fault = string()


class FineFigureSchema(FigureSchema):
    """The fine blank, with the other two ways to say the same."""

    numeral = maybe_string()
    worth = maybe_string()


class TurnSchema(Schema):
    """One of the two turns of a screw that show the same thimble line."""

    main = string()
    second_turn = fields.Boolean(required=True)
    read = string()
    position = number()
    chosen = fields.Boolean(required=True)
    words = string()


class AnswerSchema(Schema):
    """What the desk knows of an entry."""

    seq = fields.Integer(required=True)
    main = fields.Nested(FigureSchema, required=True)
    fine = fields.Nested(FineFigureSchema, required=True)
    read = maybe_string()
    corrected = maybe_string()
    position = number(allow_none=True)
    bounds = fields.List(fields.String(), required=True, allow_none=True)
    meets = number(allow_none=True)
    neighbours = many(NeighbourSchema)
    sentences = fields.List(fields.String(), required=True)
    second_turn = fields.Boolean(required=True)
    turns = many(TurnSchema)
    between = maybe_string()
    reference_fault = string()
    finding = fields.Nested(ZeroFindingSchema, required=True, allow_none=True)
