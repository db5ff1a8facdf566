"""Zero checks."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.core.quantity.zero import ZeroCheck
from metrion.web.schemas.common import maybe_string, number, string
from metrion.web.schemas.declared import NEW_ID, WHY, taken


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


_ABOUT = "A zero check; ``main`` and ``fine`` as they would stand in a logbook file."
NewZeroCheck = taken(ZeroCheck, "NewZeroCheck", _ABOUT, also=NEW_ID)
ZeroCheckPatch = taken(ZeroCheck, "ZeroCheckPatch", "A change to a zero check.", also=WHY)
