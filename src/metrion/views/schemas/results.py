"""Results, budgets, comparisons, and what other conventions say."""

from __future__ import annotations

from typing import Annotated

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
