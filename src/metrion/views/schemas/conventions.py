"""Conventions."""

from __future__ import annotations

from typing import Annotated

from marshmallow import fields

from metrion.core.conventions.convention import Combine, Convention, Spread
from metrion.core.json import Record
from metrion.views.schemas.common import ID, NAME
from metrion.views.schemas.declared import taken
from metrion.views.schemas.view import view

_ABOUT = "A convention of one's own."
_NAMED = {"name": fields.String(required=True, validate=NAME)}
ConventionFields = taken(Convention, "ConventionFields", _ABOUT, whole=True, also=_NAMED)
NewConvention = taken(
    Convention,
    "NewConvention",
    _ABOUT,
    whole=True,
    also={**_NAMED, "id": fields.String(required=True, validate=ID)},
)


@view
class ConventionView:
    """A convention: its name, and what it does, in sentences; the record of one's own."""

    id: str
    name: str
    words: list[str]
    record: Annotated[Record | None, ConventionFields]


@view
class SpreadChoiceView:
    """A way to take scatter."""

    value: Spread
    label: str


@view
class CombineChoiceView:
    """A way to put limit and scatter together."""

    value: Combine
    label: str


@view
class ConventionChoicesView:
    """What a convention of limits may choose."""

    spread: list[SpreadChoiceView]
    combine: list[CombineChoiceView]
