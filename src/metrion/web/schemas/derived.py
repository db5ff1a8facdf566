"""Derived quantities and the board of usual ones."""

from __future__ import annotations

from typing import Any

from marshmallow import Schema, fields, validate

from metrion.core.notation import typed_formula, typed_unit
from metrion.core.typed import typed_exact
from metrion.web.schemas.common import NAME, Typed, many, maybe_string, new, string
from metrion.web.schemas.results import (
    BudgetSchema,
    ComparableSchema,
    ComparandFields,
    ComparedSchema,
)
from metrion.web.schemas.working import StepSchema

_PLAIN = {"value": typed_exact, "uncertainty": typed_exact, "unit": typed_unit}


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
    comparable = many(ComparableSchema)
    sentence = maybe_string()
    relative_percent = maybe_string()
    shared_zeros = fields.List(fields.String(), required=True)


class InputField(fields.Raw):
    """The id of a quantity, or an object of value, uncertainty and unit as people type them."""

    def _deserialize(self, value: Any, *given: Any, **more: Any) -> Any:
        if not isinstance(value, dict):
            return value
        return {
            name: _PLAIN.get(name, str)(one) if isinstance(one, str) else one
            for name, one in value.items()
        }


class DerivedFields(Schema):
    """A derived quantity; an input is the id of a quantity or value, uncertainty and unit."""

    name = fields.String(validate=NAME)
    formula = Typed(typed_formula, validate=validate.Length(max=1000))
    unit = Typed(typed_unit, validate=validate.Length(max=100))
    convention = fields.String()
    inputs = fields.Dict(keys=fields.String(), values=InputField())
    compare = fields.Nested(ComparandFields, allow_none=True)


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


NewDerived = new(DerivedFields, "NewDerived")
