"""Readings from a table."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.web.schemas.common import many
from metrion.web.schemas.notebook import FaultSchema


class ColumnsSchema(Schema):
    """What each column holds, in order; without any, what the headings tell."""

    column = fields.List(fields.String(), load_default=list)
    fine_as = fields.String(
        load_default="line", validate=validate.OneOf(["line", "numeral", "worth"])
    )


class TableSchema(Schema):
    """How a table would be read: its first rows, what its columns hold, what is wrong."""

    header = fields.List(fields.String(), required=True)
    rows = fields.List(fields.List(fields.String()), required=True)
    count = fields.Integer(required=True)
    columns = fields.List(fields.String(), required=True)
    roles = fields.List(fields.String(), required=True)
    readings = fields.List(fields.String(), required=True)
    faults = many(FaultSchema)
