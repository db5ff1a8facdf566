"""Pictures of figures as the API shows them."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from fractions import Fraction

from metrion.core.conventions.convention import Convention
from metrion.core.conventions.rounding import round_result
from metrion.core.exact.angles import degrees_and_minutes
from metrion.core.exact.numbers import finite_decimals, to_text
from metrion.core.formula.notation import unit_after
from metrion.core.planning.chart import Course, PlanChart, Point
from metrion.core.planning.plan import Wish
from metrion.core.quantity.bands import Band, axis_for
from metrion.views.locale import shown
from metrion.views.schemas.charts import (
    BandsView,
    BandView,
    CourseView,
    MarkView,
    PlanChartView,
    PointView,
)


def bands_view(
    named: Sequence[tuple[str, Band]], unit: str, convention: Convention
) -> BandsView | None:
    """Results on one axis, each by its name; None without any."""
    if not named:
        return None
    axis = axis_for([band for _, band in named])
    return BandsView(
        low=float(axis.low),
        high=float(axis.high),
        marks=_marks(axis.marks, unit),
        bands=[_band_view(label, band, unit, convention) for label, band in named],
    )


def _band_view(label: str, band: Band, unit: str, convention: Convention) -> BandView:
    stated = round_result(band.value, band.uncertainty, convention.digits, unit)
    low, at, high = (float(each) for each in (band.low, band.value, band.high))
    return BandView(label, low, at, high, shown(stated.printed))


def _marks(at: Sequence[Fraction], unit: str) -> list[MarkView]:
    """Marks with their figures to the decimals that all of them need."""
    places = max((finite_decimals(each) or 0 for each in at), default=0)

    def written(each: Fraction) -> str:
        if unit == "arcmin":
            return degrees_and_minutes(each, places)
        return f"{float(each):.{places}f}{unit_after(unit)}"

    return [MarkView(float(each), shown(written(each))) for each in at]


def plan_chart_view(chart: PlanChart, wish: Wish) -> PlanChartView:
    """The chart of a plan."""
    return PlanChartView(
        unit=wish.unit,
        sizes=_each(chart.sizes),
        percents=_each(chart.percents),
        size=float(wish.size),
        percent=float(wish.percent),
        courses=[_course_view(course) for course in chart.courses],
    )


def _each(marks: Iterable[Fraction]) -> list[MarkView]:
    return [MarkView(float(each), shown(to_text(each))) for each in marks]


def _course_view(course: Course) -> CourseView:
    return CourseView(
        tool=course.plan.instrument.id,
        line=_points(course.line),
        path=_points(course.path),
    )


def _points(points: Iterable[Point]) -> list[PointView]:
    return [PointView(float(point.size), float(point.percent)) for point in points]
