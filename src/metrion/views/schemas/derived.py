"""Derived quantities and the board of usual ones."""

from __future__ import annotations

from typing import Annotated

from metrion.core.quantity.derived import Derived
from metrion.views.schemas.charts import BandsView
from metrion.views.schemas.declared import NEW_ID, taken
from metrion.views.schemas.results import AlsoView, BudgetView, ComparedView
from metrion.views.schemas.view import view
from metrion.views.schemas.working import StepView


@view
class DerivedInputView:
    """What stands for a symbol: a quantity of the sheet, or a typed-in value."""

    symbol: str
    quantity: Annotated[str | None, "Of this id; or else an earlier derived quantity of it."]
    value: str | None
    uncertainty: str | None
    unit: str | None
    words: str


@view
class DerivedView:
    """A derived quantity of a sheet: its formula, its inputs in words, its result."""

    id: str
    version: int
    name: str
    formula: str
    unit: str
    convention: str
    convention_name: str
    inputs: list[DerivedInputView]
    working: list[StepView]
    budget: BudgetView
    compared: ComparedView | None
    subtracted: BandsView | None
    dimension: str
    convention_note: str
    sentence: str | None
    also: list[AlsoView]
    relative_percent: str | None
    shared_zeros: list[str]


_ABOUT = "A derived quantity; an input is an id or value, uncertainty and unit."
DerivedFields = taken(Derived, "DerivedFields", _ABOUT)
NewDerived = taken(Derived, "NewDerived", _ABOUT, also=NEW_ID)


@view
class BlankView:
    """An input of a recipe."""

    symbol: str
    label: str
    unit: str
    dimension: Annotated[str, "That of what can stand there, as results tell theirs."]
    found: Annotated[str | None, "The id of what of the sheet stands there."]


@view
class RecipeView:
    """A usual derived quantity, ready to be filled in."""

    id: str
    title: str
    formula: str
    unit: str
    blanks: list[BlankView]
