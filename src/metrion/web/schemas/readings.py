"""Readings, their second looks, and remarks."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.web.schemas.common import many, maybe_string, new, number, string


class EarlierSchema(Schema):
    """Figures of a reading before it was changed."""

    main = string()
    line = string()
    at = string()
    why = string()


class ReadingSchema(Schema):
    """One reading."""

    id = string()
    version = fields.Integer(required=True)
    place = string()
    approach = string()
    reader = string()
    note = string()
    meets = string()
    excluded = string()
    main = string()
    line = string()
    position = number()
    positions = fields.List(fields.Float(), required=True)
    read = string()
    corrected = string()
    value = number()
    at = maybe_string()
    history = many(EarlierSchema)


class FlagSchema(Schema):
    """Something that deserves a second look."""

    code = string()
    level = string(validate=validate.OneOf(["info", "warning"]))
    message = string()
    observation = fields.Integer(required=True, allow_none=True)
    suggestion = fields.Dict(keys=fields.String(), values=fields.Raw(), required=True)
    suggested = string()
    zero_check = maybe_string()
    settled = fields.Boolean(required=True)
    without = maybe_string()


class HintSchema(Schema):
    """A remark about the series, beyond the flags."""

    code = string()
    message = string()


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

    quantity = string()


NewReading = new(QuantityReading, "NewReading")
