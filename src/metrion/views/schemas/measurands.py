"""What can be measured of a thing."""

from __future__ import annotations

from typing import Annotated

from marshmallow import validate

from metrion.core.quantity.measurands import Measurand
from metrion.views.schemas.view import view


@view
class ThingView:
    """A thing, as it is called."""

    thing: Annotated[str, validate.Length(max=200)] = ""


@view
class MeasurandView:
    """Something that can be measured of a thing."""

    id: Measurand
    label: str
    name: Annotated[str, "What a quantity of this thing would be called."]
    face: str
    pairs: bool
    divide_by: int
    stacked: Annotated[bool, "Whether several alike lie on each other."]
    count: Annotated[int, "How many quantities it takes."]
    kinds: Annotated[list[str], "The kinds of tools that take it."]
    told: Annotated[bool, "Whether the name of the thing says so."]
