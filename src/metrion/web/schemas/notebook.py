"""Settings of the notebook, and errors."""

from __future__ import annotations

from marshmallow import Schema, fields, validate

from metrion.web.schemas.view import view


class SettingsSchema(Schema):
    """The settings of the notebook."""

    theme = fields.String(validate=validate.OneOf(["light", "dark", "system"]))
    decimal_sign = fields.String(validate=validate.OneOf(["point", "comma"]))
    single_keys = fields.Boolean()
    words = fields.Dict(keys=fields.String(), values=fields.String())
    convention = fields.String()
    language = fields.String()


@view
class FaultView:
    """One thing that is wrong, and where."""

    pointer: str
    message: str


@view
class ErrorView:
    """The shape of every error."""

    message: str
    faults: list[FaultView]
