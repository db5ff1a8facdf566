"""Conventions."""

from __future__ import annotations

from marshmallow import Schema, fields

from metrion.core.uncertainty.conventions import Convention
from metrion.web.schemas.common import ID, NAME, string
from metrion.web.schemas.declared import taken

_ABOUT = "A convention of one's own."
_NAMED = {"name": string(validate=NAME)}
ConventionFields = taken(Convention, "ConventionFields", _ABOUT, whole=True, also=_NAMED)
NewConvention = taken(
    Convention, "NewConvention", _ABOUT, whole=True, also={**_NAMED, "id": string(validate=ID)}
)


class ConventionSchema(Schema):
    """A convention: its name, and what it does, in sentences; the record of one's own."""

    id = string()
    name = string()
    words = fields.List(fields.String(), required=True)
    record = fields.Nested(ConventionFields, required=True, allow_none=True)
