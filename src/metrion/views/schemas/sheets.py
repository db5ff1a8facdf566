"""Sheets, and the notebook that lists them."""

from __future__ import annotations

from typing import Annotated

from marshmallow import Schema, fields, validate

from metrion.report.build import Length
from metrion.report.paper import Paper
from metrion.views.schemas.common import ID, NAME, PRINTABLE
from metrion.views.schemas.derived import DerivedView
from metrion.views.schemas.instruments import InstrumentView
from metrion.views.schemas.quantities import QuantityView
from metrion.views.schemas.results import ResultView
from metrion.views.schemas.view import view
from metrion.views.schemas.zero import ZeroCheckView


@view
class SheetHeadView:
    """What every answer about a sheet begins with."""

    id: str
    title: str
    version: int
    changed_at: str
    authors: str
    date: str


@view
class InUseView:
    """A convention by which results of a sheet are stated."""

    id: str
    name: str


@view
class SheetView(SheetHeadView):
    """A sheet, whole."""

    aim: str
    simulated: Annotated[str, "The seed of a simulated bench; empty where it was a real one."]
    convention: Annotated[str | None, "What holds for all that names none; None: each names one."]
    conventions: list[InUseView]
    undo: str | None
    redo: str | None
    instruments: list[InstrumentView]
    zero_checks: list[ZeroCheckView]
    quantities: list[QuantityView]
    derived: list[DerivedView]


@view
class OrderView:
    """The ids of all entries, in order."""

    instruments: list[str]
    zero_checks: list[str]
    quantities: list[str]
    derived: list[str]


@view
class SheetChangeView(SheetView):
    """A sheet after a change: its entries that changed, and of a quantity its readings that did."""

    since: Annotated[int | None, "The version that all else is as in; null: nothing is left out."]
    order: OrderView


@view
class SummaryResultView(ResultView):
    """A result as the notebook lists it."""

    id: str
    name: str
    symbol: str
    thing: str
    open_looks: int


@view
class SummaryDerivedView:
    """A derived quantity as the notebook lists it."""

    id: str
    name: str
    sentence: str | None


@view
class SheetSummaryView(SheetHeadView):
    """A sheet as the notebook lists it."""

    results: list[SummaryResultView]
    derived: list[SummaryDerivedView]
    instruments: list[str]
    damage: Annotated[str | None, "Why it cannot be worked out."]


@view
class SheetListView:
    """The notebook: sheets, and those in the trash."""

    sheets: list[SheetSummaryView]
    trash: list[SheetHeadView]


@view
class NewSheetView:
    """A new, empty sheet."""

    title: Annotated[str, NAME, PRINTABLE]
    id: Annotated[str | None, ID] = None
    date: Annotated[
        str, NAME, PRINTABLE, "Of the day it is begun, as its report is to have it."
    ] = ""
    numbered: Annotated[bool, "Whether a number follows its title where that is taken."] = False


class SheetPatchSchema(Schema):
    """A new title, or what stands at the head of the report; an empty text takes it away.

    A ``convention`` holds for every quantity of the sheet from then on.
    """

    title = fields.String(validate=NAME)
    authors = fields.String(validate=validate.Length(max=500))
    date = fields.String(validate=validate.Length(max=100))
    aim = fields.String(validate=validate.Length(max=2000))
    convention = fields.String(validate=validate.Length(min=1, max=100))


@view
class SheetFormView:
    """A form in which a sheet is handed on."""

    address: Annotated[str, "Below that of the sheet."]
    label: str
    printed: Annotated[bool, "Whether it is for a printer; else for other programs."]


@view
class PrintedView:
    """How a report is wanted: how long, and on which paper."""

    length: Length = Length.FULL
    paper: Paper = Paper.A4


@view
class WantedView(PrintedView):
    """Which report of a sheet: of all of it or one quantity."""

    quantity: str | None = None
    photographs: Annotated[bool, "Whether photographs of readings are to be seen in it."] = False
