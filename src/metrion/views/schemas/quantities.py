"""Quantities of a sheet."""

from __future__ import annotations

from typing import Annotated

from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Arc, Sort
from metrion.views.schemas.declared import NEW_ID, taken
from metrion.views.schemas.readings import FlagView, HintView, ReadingView
from metrion.views.schemas.results import (
    AlsoView,
    BudgetView,
    ComparedView,
    PlaceView,
    ReadingPlanView,
    ResultView,
)
from metrion.views.schemas.view import view
from metrion.views.schemas.working import StepView


@view
class QuantityView:
    """A quantity: what it comes to and, where it is ``whole``, how that came about."""

    id: str
    version: int
    name: str
    symbol: str
    thing: Annotated[str, "What it was measured on; empty where that is not said."]
    instrument: str
    unit: str
    face: str
    items: int
    divide_by: int
    sort: Sort
    arc: Arc
    zero: list[str]
    also: list[AlsoView]
    zero_exact: bool
    zero_taken_over: bool
    zero_error: float
    zero_text: str
    zero_words: str
    estimates: bool
    convention: str
    convention_name: str
    reading_count: int
    photographs: Annotated[int, "How many its readings have together."]
    result: ResultView
    dimension: str
    flags: list[FlagView]
    places_apart: bool
    plan: Annotated[ReadingPlanView | None, "None where nothing was planned."]
    simulated: Annotated[str, "The part of a simulated bench that it is of; else empty."]
    whole: Annotated[
        bool, "Whether what follows is told; of a quantity in brief, it is asked for by itself."
    ]
    readings: list[ReadingView]
    working: list[StepView]
    budget: BudgetView
    compared: ComparedView | None
    places: list[PlaceView]
    hints: list[HintView]
    advice: str


NewQuantity = taken(Measurement, "NewQuantity", "A new quantity, without readings.", also=NEW_ID)
QuantityFields = taken(Measurement, "QuantityFields", "A change to a quantity.")
