"""Readings, their second looks, and remarks."""

from __future__ import annotations

from typing import Annotated

from marshmallow import fields

from metrion.core.desk.entered import TypedReading
from metrion.core.json import Record
from metrion.core.quantity.observations import Observation
from metrion.core.review import Level
from metrion.core.review.remedies import RemedyAct, Target
from metrion.views.schemas.declared import ANSWERED, NEW_ID, WHY, taken
from metrion.views.schemas.photographs import PhotographView
from metrion.views.schemas.view import schema_of, view


@view
class EarlierView:
    """Figures of a reading before it was changed."""

    main: str
    line: str
    at: str
    why: str


@view
class LookView:
    """What one look of a reading saw; its line is empty where there is no fine scale."""

    main: str
    line: str


@view
class FiguresView:
    """What readings of the same marks and lines have in common."""

    main: str
    line: str
    looks: Annotated[list[LookView], "In the order a, b, a2, b2 where there are several."]
    position: float
    positions: list[float]
    read: str
    corrected: str
    value: float


@view
class ReadingView(FiguresView):
    """One reading."""

    id: str
    version: int
    index: Annotated[int, "Its place, from 0."]
    place: str
    approach: str
    reader: str
    note: str
    meets: str
    excluded: str
    at: str | None
    simulated: Annotated[str, "What was done at a simulated bench before; else empty."]
    history: list[EarlierView]
    photographs: list[PhotographView]


@view
class RemedyView:
    """What can be done about it: fields to change, or what the page has a form for."""

    act: RemedyAct
    target: Target
    label: str
    fields: Annotated[Record, "What is changed by it, as in a change of the target."]
    why: Annotated[str, "What is noted beside the change; may be empty."]


@view
class FlagView:
    """Something that deserves a second look."""

    code: str
    level: Level
    message: str
    observation: int | None
    zero_check: str | None
    settled: bool
    remedies: list[RemedyView]
    without: str | None


@view
class HintView:
    """A remark about the series, beyond the flags."""

    code: str
    message: str


_OF_QUANTITY = {
    "quantity": fields.String(required=True),
    "typed": fields.Nested(schema_of(TypedReading)),
}
NewReading = taken(
    Observation,
    "NewReading",
    "A reading of a quantity: its figures as a logbook holds them, or ``typed``.",
    also={**NEW_ID, **_OF_QUANTITY},
)
ReadingPatch = taken(
    Observation, "ReadingPatch", "A change to a reading.", also={**WHY, **ANSWERED}
)
