"""Quantities of a sheet."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Arc, Sort
from metrion.web.schemas.common import many, number, string
from metrion.web.schemas.declared import NEW_ID, taken
from metrion.web.schemas.readings import FlagSchema, HintSchema, ReadingSchema
from metrion.web.schemas.results import (
    BudgetSchema,
    ComparedSchema,
    PlaceSchema,
    ResultSchema,
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
    reading_count = fields.Integer(required=True)
    readings = many(ReadingSchema)
    result = fields.Nested(ResultSchema, required=True)
    working = many(StepSchema)
    budget = fields.Nested(BudgetSchema, required=True)
    compared = fields.Nested(ComparedSchema, required=True, allow_none=True)
    dimension = string()
    flags = many(FlagSchema)
    places = many(PlaceSchema)
    places_apart = fields.Boolean(required=True)
    hints = many(HintSchema)
    advice = string()


NewQuantity = taken(Measurement, "NewQuantity", "A new quantity, without readings.", also=NEW_ID)
QuantityFields = taken(Measurement, "QuantityFields", "A change to a quantity.")
