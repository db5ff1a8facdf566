"""Conventions."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.conventions import Combine, Family, Spread
from metrion.web.schemas.common import ID, NAME, string


class ConventionSchema(Schema):
    """A school: its name, and what it does, in sentences; the record of one's own."""

    id = string()
    name = string()
    words = fields.List(fields.String(), required=True)
    record = fields.Nested(lambda: ConventionFields(), required=True, allow_none=True)


class ConventionFields(Schema):
    """A convention of one's own; what its fields may hold is the logbook's to say."""

    name = string(validate=NAME)
    family = string(validate=validate.OneOf(list(Family)))
    reading_limit = string()
    zero_look = fields.Boolean(required=True)
    digits = fields.Raw(required=True, metadata={"type": ["integer", "string"]})
    spread = fields.String(allow_none=True, validate=validate.OneOf(list(Spread)))
    combine = fields.String(allow_none=True, validate=validate.OneOf(list(Combine)))
    coverage = fields.String(allow_none=True)
    estimate = fields.Boolean(allow_none=True)


class NewConvention(ConventionFields):
    """A new convention of one's own, with the id the client made for it."""

    id = string(validate=ID)
