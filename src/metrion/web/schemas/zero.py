"""Zero checks."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.web.schemas.common import maybe_string, new, number, string


class ZeroCheckSchema(Schema):
    """A zero check and the error it shows."""

    id = string()
    version = fields.Integer(required=True)
    instrument = string()
    face = string()
    phase = string(validate=validate.OneOf(["before", "after"]))
    main = string()
    line = string()
    reference = maybe_string()
    error = number()
    error_text = string()
    correction_text = string()
    at = maybe_string()


class ZeroCheckFields(Schema):
    """A zero check; ``main`` and ``fine`` as they would stand in a logbook file."""

    instrument = fields.String()
    face = fields.String(allow_none=True)
    main = fields.String()
    fine = fields.Raw(metadata={"type": ["integer", "string"]})
    second_turn = fields.Boolean(allow_none=True)
    reference = fields.String(allow_none=True)
    phase = fields.String(validate=validate.OneOf(["before", "after"]))


class ZeroCheckPatch(ZeroCheckFields):
    """A change to a zero check; ``why`` goes into its history if its figures change."""

    why = fields.String(validate=validate.Length(max=500))


NewZeroCheck = new(ZeroCheckFields, "NewZeroCheck")
