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
class InAFileView:
    """What a sheet holds, as its file says."""

    title: str
    authors: str
    date: str
    quantities: int
    readings: int


@view
class ArrivalView(InAFileView):
    """One logbook that arrived, and how it stands to what is here."""

    file: str
    standing: Standing
    usual: Decision
    possible: list[Decision]
    here: Annotated[InAFileView | None, "The same sheet as it is here."]
    earlier: Annotated[str, "The file before it that is the same sheet, where both came at once."]
    faults: list[FaultView]


@view
class TakenView:
    """What became of a logbook of a file: a sheet, or nothing where it was left."""

    id: str | None
    version: Annotated[int, "Of the sheet, as it then was; 0 for one that was left."]
    title: str
    file: str
    decision: Decision


@view
class TakenSheetView:
    """A sheet that was taken in, as `TakenView` told of it."""

    id: str
    version: int
    decision: Decision


@view
class TakeBackView:
    """What is to be taken out again."""

    taken: Annotated[list[TakenSheetView], validate.Length(max=10_000)]


@view
class StillHereView:
    """Which sheets could not be taken out, since they were changed meanwhile: their ids."""

    left: list[str]
