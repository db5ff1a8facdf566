"""Files that arrive."""

from __future__ import annotations

from dataclasses import field
from typing import Annotated

from marshmallow import validate

from metrion.notebook.imports import Decision, Standing
from metrion.views.schemas.notebook import FaultView
from metrion.views.schemas.view import view


@view
class ArrivalNameView:
    """The name of the file that is sent."""

    name: Annotated[str, validate.Length(max=300)] = "file"


@view
class DecisionsView(ArrivalNameView):
    """What is to be done with each logbook of a file, in order; the usual thing without any."""

    decision: list[Decision] = field(default_factory=list)


@view
class ArrivalView:
    """One logbook that arrived, and how it stands to what is here."""

    file: str
    title: str
    standing: Standing
    usual: Decision
    quantities: int
    readings: int
    faults: list[FaultView]


@view
class TakenView:
    """What became of a logbook of a file: a sheet, or nothing where it was left."""

    id: str | None
    title: str
    file: str
    decision: Decision
