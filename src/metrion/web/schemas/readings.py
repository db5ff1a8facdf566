"""Readings, their second looks, and remarks."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.observations import Observation
from metrion.web.schemas.common import many, maybe_string, number, string
from metrion.web.schemas.declared import NEW_ID, WHY, taken


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


_OF_QUANTITY = {"quantity": string()}
NewReading = taken(
    Observation, "NewReading", "A reading of a quantity, of one look or several by their names.",
    also={**NEW_ID, **_OF_QUANTITY},
)  # fmt: skip
ReadingPatch = taken(Observation, "ReadingPatch", "A change to a reading.", also=WHY)
