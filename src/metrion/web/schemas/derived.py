"""Derived quantities and the board of usual ones."""

from __future__ import annotations

from marshmallow import Schema, fields

from metrion.core.quantity.derived import Derived
from metrion.web.schemas.common import many, maybe_string, string
from metrion.web.schemas.declared import NEW_ID, taken
from metrion.web.schemas.results import (
    BudgetSchema,
    ComparedSchema,
)
from metrion.web.schemas.working import StepSchema


class DerivedInputSchema(Schema):
    """What stands for a symbol: a quantity of the sheet, or a typed-in value."""

    symbol = string()
    quantity = maybe_string()
    value = maybe_string()
    uncertainty = maybe_string()
    unit = maybe_string()
    words = string()


class DerivedSchema(Schema):
    """A derived quantity of a sheet: its formula, its inputs in words, its result."""

    id = string()
    version = fields.Integer(required=True)
    name = string()
    formula = string()
    unit = string()
    convention = string()
    convention_name = string()
    inputs = many(DerivedInputSchema)
    working = many(StepSchema)
    budget = fields.Nested(BudgetSchema, required=True)
    compared = fields.Nested(ComparedSchema, required=True, allow_none=True)
    dimension = string()
    sentence = maybe_string()
    relative_percent = maybe_string()
    shared_zeros = fields.List(fields.String(), required=True)


_ABOUT = "A derived quantity; an input is the id of a quantity or value, uncertainty and unit."
DerivedFields = taken(Derived, "DerivedFields", _ABOUT)
NewDerived = taken(Derived, "NewDerived", _ABOUT, also=NEW_ID)


class BlankSchema(Schema):
    """An input of a recipe."""

    symbol = string()
    label = string()
    unit = string()


class RecipeSchema(Schema):
    """A usual derived quantity, ready to be filled in."""

    id = string()
    title = string()
    formula = string()
    unit = string()
    blanks = many(BlankSchema)
