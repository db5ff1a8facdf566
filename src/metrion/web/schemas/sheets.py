"""Sheets, and the notebook that lists them."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.report.render.pdf import Paper
from metrion.web.schemas.common import ID, NAME, many, maybe_string, string
from metrion.web.schemas.derived import DerivedSchema
from metrion.web.schemas.instruments import InstrumentSchema
from metrion.web.schemas.quantities import QuantitySchema
from metrion.web.schemas.results import ResultSchema
from metrion.web.schemas.zero import ZeroCheckSchema


class SheetHeadSchema(Schema):
    """What every answer about a sheet begins with."""

    id = string()
    title = string()
    version = fields.Integer(required=True)
    changed_at = string()


class SheetSchema(SheetHeadSchema):
    """A sheet, whole."""

    authors = string()
    date = string()
    aim = string()
    undo = maybe_string()
    redo = maybe_string()
    instruments = many(InstrumentSchema)
    zero_checks = many(ZeroCheckSchema)
    quantities = many(QuantitySchema)
    derived = many(DerivedSchema)


class OrderSchema(Schema):
    """The ids of all entries, in order."""

    instruments = fields.List(fields.String(), required=True)
    zero_checks = fields.List(fields.String(), required=True)
    quantities = fields.List(fields.String(), required=True)
    derived = fields.List(fields.String(), required=True)


class SheetChangeSchema(SheetSchema):
    """A sheet after a change: its entries that changed, and of a quantity its readings that did."""

    since = fields.Integer(
        required=True,
        allow_none=True,
        metadata={"description": "The version that all else is as in; null: nothing is left out."},
    )
    order = fields.Nested(OrderSchema, required=True)


class SummaryResultSchema(ResultSchema):
    """A result as the notebook lists it."""

    id = string()
    name = string()
    symbol = string()
    open_looks = fields.Integer(required=True)


class SheetSummarySchema(SheetHeadSchema):
    """A sheet as the notebook lists it."""

    results = many(SummaryResultSchema)
    instruments = fields.List(fields.String(), required=True)
    damage = maybe_string(metadata={"description": "Why it cannot be worked out."})


class SheetListSchema(Schema):
    """The notebook: sheets, and those in the trash."""

    sheets = many(SheetSummarySchema)
    trash = many(SheetHeadSchema)


class NewSheetSchema(Schema):
    """A new, empty sheet."""

    id = fields.String(validate=ID)
    title = string(validate=NAME)


class SheetPatchSchema(Schema):
    """A new title, or what stands at the head of the report; an empty text takes it away."""

    title = fields.String(validate=NAME)
    authors = fields.String(validate=validate.Length(max=500))
    date = fields.String(validate=validate.Length(max=100))
    aim = fields.String(validate=validate.Length(max=2000))


class WantedSchema(Schema):
    """Which report: of the whole sheet or one quantity, and on which paper."""

    quantity = fields.String(load_default=None, allow_none=True)
    paper = fields.String(load_default="a4", validate=validate.OneOf(list(Paper)))
