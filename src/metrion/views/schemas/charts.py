"""Pictures of figures: what is drawn where, every figure from here."""

from __future__ import annotations

from metrion.views.schemas.view import view


@view
class MarkView:
    """A mark of an axis, and the figure at it."""

    at: float
    text: str


@view
class BandView:
    """A value with its uncertainty, from low to high, and in words."""

    label: str
    low: float
    at: float
    high: float
    sentence: str


@view
class BandsView:
    """Bands on one axis, that begins and ends where it says."""

    low: float
    high: float
    marks: list[MarkView]
    bands: list[BandView]


@view
class PointView:
    """A size in the unit of the wish, and the uncertainty in per cent of it."""

    size: float
    percent: float


@view
class CourseView:
    """One tool in a chart: its line, and the way from one thing to what is enough."""

    tool: str
    line: list[PointView]
    path: list[PointView]


@view
class PlanChartView:
    """Per cent against size, both by decades, with what is wanted."""

    unit: str
    sizes: list[MarkView]
    percents: list[MarkView]
    size: float
    percent: float
    courses: list[CourseView]
