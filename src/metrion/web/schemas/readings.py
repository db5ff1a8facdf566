"""Readings, their second looks, and remarks."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.quantity.observations import Observation
from metrion.web.schemas.common import many, maybe_string, number, string
from metrion.web.schemas.declared import NEW_ID, WHY, taken
from metrion.web.schemas.desk import TypedReadingSchema


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
    index = fields.Integer(required=True, metadata={"description": "Its place, from 0."})
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


_OF_QUANTITY = {"quantity": string(), "typed": fields.Nested(TypedReadingSchema)}
NewReading = taken(
    Observation,
    "NewReading",
    "A reading of a quantity: its figures as a logbook holds them, or ``typed``.",
    also={**NEW_ID, **_OF_QUANTITY},
)
ReadingPatch = taken(Observation, "ReadingPatch", "A change to a reading.", also=WHY)
