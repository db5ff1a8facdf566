"""Settings of the notebook, and errors."""

from __future__ import annotations

from dataclasses import field
from typing import Annotated

from marshmallow import Schema, fields, validate

from metrion.views.schemas.common import PRINTABLE
from metrion.views.schemas.view import view


class SettingsSchema(Schema):
    """The settings of the notebook."""

    theme = fields.String(validate=validate.OneOf(["light", "dark", "system"]))
    decimal_sign = fields.String(validate=validate.OneOf(["point", "comma"]))
    single_keys = fields.Boolean()
    words = fields.Dict(keys=fields.String(), values=fields.String())
    convention = fields.String()
    language = fields.String()
    authors = fields.String(validate=[validate.Length(max=500), PRINTABLE])


@view
class WindowView:
    """A window that asks: the sheet it shows, and where it is if somebody looks at it."""

    sheet: Annotated[str, validate.Length(max=200)] = ""
    at: Annotated[str, validate.Regexp(r"/(?![/\\])[\x21-\x7e]{0,500}\Z|\Z")] = ""
    hidden: Annotated[bool, "Whether nobody sees it at the moment."] = False


@view
class MeantView:
    """What is meant, though it is another window's: as `asks` of the error told."""

    command: Annotated[str, validate.Length(max=40)] = ""


@view
class NowView:
    """The state of the notebook, another after each change; and the version of a sheet."""

    state: str
    version: int | None


@view
class FaultView:
    """One thing that is wrong, and where."""

    pointer: str
    message: str


@view
class UseView:
    """An entry that uses what was to be removed, and what it is called."""

    section: str
    id: str
    name: str


@view
class ErrorView:
    """The shape of every error; only what is refused because it is used says by what.

    What is another window's asks first.
    """

    message: str
    faults: list[FaultView]
    uses: list[UseView] = field(default_factory=list)
    asks: Annotated[str, "What to send as `command` where it is meant all the same."] = ""


@view
class AccessView:
    """Whether the notebook can be reached from beyond this machine, and so needs a pass phrase."""

    gated: bool


@view
class CodeView:
    """A code by which a phone comes in: its address, and that as a picture which cameras read."""

    address: str
    minutes: int
    picture: str
