"""Results, budgets, comparisons, and what other conventions say."""

from __future__ import annotations

from typing import Annotated

from metrion.core.quantity.zero import Phase
from metrion.views.schemas.charts import BandsView
from metrion.views.schemas.view import Key, view


@view
class ResultView:
    """What a quantity comes to; None until a reading counts."""

    count: int
    sentence: str | None
    mean: float | None
    low: float | None
    high: float | None
    relative_percent: str | None


@view
class AlsoView:
    """A unit that a result can be given in besides its own; the sentence where it is chosen."""

    unit: str
    name: str
    chosen: bool
    sentence: str | None


@view
class PlaceView:
    """What the readings at one place come to; the place is empty where none was noted."""

    place: str
    count: int
    sentence: str | None


@view
class PlaceLeftView:
    """Planned readings that are missing at a place; at any where it is null."""

    place: str | None
    count: int


@view
class ReadingPlanView:
    """What was planned of a quantity, and how far that is carried out."""

    places: list[str]
    each: int
    zero: list[Phase]
    made: int
    of: int
    left: list[PlaceLeftView]
    zero_left: list[Phase]
    says: Annotated[str, "What is still to do; empty if nothing is."]


@view
class SaidView:
    """What one convention says of the same readings, and why it may differ."""

    id: str
    name: str
    sentence: str | None
    why: str


@view
class ShareView:
    """One bar of a budget."""

    label: str
    size: str
    percent: float
    percent_words: str
    lost: bool


@view
class BudgetView:
    """What an uncertainty is made of, and what that means."""

    shares: list[ShareView]
    sentences: list[str]


@view
class ComparedView:
    """A result beside what it was compared with, in words, and as bands where both have values."""

    quantity: str | None
    derived: str | None
    value: str
    uncertainty: str
    unit: str
    beside: Annotated[str, Key("with")]
    sentences: list[str]
    bands: BandsView | None
