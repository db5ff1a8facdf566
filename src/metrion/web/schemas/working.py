"""The working, line by line."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.report import Form, Group, Tint
from metrion.web.schemas.common import many, string


class SpanSchema(Schema):
    """A piece of a line of working."""

    form = string(validate=validate.OneOf(list(Form)))
    text = string()
    tint = string(validate=validate.OneOf(list(Tint)))
    source = string()
    first = fields.List(fields.Nested(lambda: SpanSchema()), required=True)
    second = fields.List(fields.Nested(lambda: SpanSchema()), required=True)


class StepSchema(Schema):
    """One line of working; its numbers name the key of the line they come from."""

    key = string()
    group = string(validate=validate.OneOf(list(Group)))
    label = string()
    reading = fields.Integer(
        required=True,
        allow_none=True,
        metadata={"description": "Of a reading's line, its number in the quantity, from 0."},
    )
    spans = many(SpanSchema)
