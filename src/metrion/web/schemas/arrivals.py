"""Files that arrive."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.store.arrivals import Decision, Standing
from metrion.web.schemas.common import many, string
from metrion.web.schemas.notebook import FaultSchema


class ArrivalName(Schema):
    """The name of the file that is sent."""

    name = fields.String(load_default="file", validate=validate.Length(max=300))


class DecisionsSchema(ArrivalName):
    """What is to be done with each logbook of a file, in order; the usual thing without any."""

    decision = fields.List(
        fields.String(validate=validate.OneOf(list(Decision))), load_default=list
    )


class ArrivalSchema(Schema):
    """One logbook that arrived, and how it stands to what is here."""

    file = string()
    title = string()
    standing = string(validate=validate.OneOf(list(Standing)))
    usual = string(validate=validate.OneOf(list(Decision)))
    quantities = fields.Integer(required=True)
    readings = fields.Integer(required=True)
    faults = many(FaultSchema)


class TakenSchema(Schema):
    """A sheet that a file has become."""

    id = string()
    title = string()
