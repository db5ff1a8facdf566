"""Quantities of a sheet."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.observations import Arc, Sort
from metrion.web.schemas.common import NAME, many, new, number, string
from metrion.web.schemas.readings import FlagSchema, HintSchema, ReadingSchema
from metrion.web.schemas.results import (
    BudgetSchema,
    ComparableSchema,
    ComparandFields,
    ComparedSchema,
    PlaceSchema,
    ResultSchema,
    SaidSchema,
)
from metrion.web.schemas.working import StepSchema


class QuantitySchema(Schema):
    """A quantity with its readings, result, working and second looks."""

    id = string()
    version = fields.Integer(required=True)
    name = string()
    symbol = string()
    instrument = string()
    unit = string()
    face = string()
    items = fields.Integer(required=True)
    divide_by = fields.Integer(required=True)
    sort = string(validate=validate.OneOf(list(Sort)))
    arc = string(validate=validate.OneOf(list(Arc)))
    zero = fields.List(fields.String(), required=True)
    zero_exact = fields.Boolean(required=True)
    zero_error = number()
    zero_text = string()
    zero_words = string()
    estimates = fields.Boolean(required=True)
    convention = string()
    convention_name = string()
    readings = many(ReadingSchema)
    result = fields.Nested(ResultSchema, required=True)
    working = many(StepSchema)
    budget = fields.Nested(BudgetSchema, required=True)
    compared = fields.Nested(ComparedSchema, required=True, allow_none=True)
    comparable = many(ComparableSchema)
    flags = many(FlagSchema)
    others = many(SaidSchema)
    places = many(PlaceSchema)
    places_apart = fields.Boolean(required=True)
    hints = many(HintSchema)
    advice = string()


class QuantityFields(Schema):
    """A quantity; a null takes a field away."""

    name = fields.String(validate=NAME)
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
    compare = fields.Nested(ComparandFields, allow_none=True)
    looked_again = fields.List(fields.String())


NewQuantity = new(QuantityFields, "NewQuantity")
