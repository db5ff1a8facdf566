"""``/api/planner``: which tool, how many readings, how large a stack for a wanted percentage."""

from __future__ import annotations

from collections.abc import Sequence
from contextlib import suppress

from metrion.core.conventions.convention import BUILT_IN, Convention
from metrion.core.conventions.rounding import two_figures
from metrion.core.desk.typed import typed_number
from metrion.core.facts import Name
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Record
from metrion.core.planning.chart import plan_chart
from metrion.core.planning.plan import Plan, Wish, plans
from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_own_convention, read_drawn_instrument
from metrion.store.tools import all_tools
from metrion.views.locale import say, shown, speaker
from metrion.views.present.charts import plan_chart_view
from metrion.views.schemas.charts import PlanChartView
from metrion.views.schemas.planner import PlanView, WishView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook
from metrion.web.presets import SHELF
from metrion.web.problems import refuse

_COMMON = "common-"
"""What the ids of common tools begin with here: one's own may be kept under theirs."""

blueprint = Blueprint("planner", __name__, url_prefix="/api/planner")


@blueprint.post("")
@blueprint.arguments(schema_of(WishView))
@blueprint.response(200, schema_of(PlanView)(many=True))
def plan(body: WishView) -> list[PlanView]:
    """A plan for each of the student's tools, and for the common ones.

    422 for figures that are no numbers above 0, or an unknown convention.
    """
    return [_view(found) for found in plans(_wish(body), _tools())]


@blueprint.post("/chart")
@blueprint.arguments(schema_of(WishView))
@blueprint.response(200, schema_of(PlanChartView))
def chart(body: WishView) -> PlanChartView:
    """The same plans to be seen: for each tool, per cent against size.

    422 as above.
    """
    wish = _wish(body)
    return plan_chart_view(plan_chart(wish, plans(wish, _tools())), wish)


def _wish(body: WishView) -> Wish:
    size, percent = (typed_number(text) for text in (body.size, body.percent))
    scatter = typed_number(body.scatter or "0")
    for name, value in (("size", size), ("percent", percent)):
        if value <= 0:
            refuse(422, "must-be-above-0", what=name)
    return Wish(size, body.unit, percent, _convention(body.convention), abs(scatter))


def _convention(key: str) -> Convention:
    own = notebook().settings().own_conventions
    if key in own:
        return parse_own_convention(own[key], kept=True)
    if key not in BUILT_IN:
        refuse(422, "no-convention", key=Name(key))
    return BUILT_IN[key]


def _tools() -> list[Instrument]:
    """The tools that are kept, then the common ones that none of those is."""
    with notebook().store.reading() as session:
        records = [row.record for row in all_tools(session)]
    common = [
        {"id": f"{_COMMON}{one.id}", "name": speaker().text_of("shelf", one.id), **one.record}
        for one in SHELF
    ]
    own, others = _readable(records), _readable(common)
    # One that reads as one's own does is no other tool.
    known = {(tool.scale, tool.unit, tool.range) for tool in own}
    return own + [tool for tool in others if (tool.scale, tool.unit, tool.range) not in known]


def _readable(records: Sequence[Record]) -> list[Instrument]:
    found = []
    for record in records:
        # With a tool that was kept beyond the bounds nothing can be planned.
        with suppress(Refused):
            found.append(read_drawn_instrument(record))
    return found


def _view(found: Plan) -> PlanView:
    tool = found.instrument
    fits = found.uncertainty is not None and found.percent is not None
    return PlanView(
        tool=tool.id,
        name=tool.name,
        own=not tool.id.startswith(_COMMON),
        least_count_text=shown(tool.with_unit(tool.least_count)),
        verdict=found.verdict,
        uncertainty=shown(two_figures(found.uncertainty, tool.unit)) if found.uncertainty else None,
        percent=shown(two_figures(found.percent, "%")) if fits and found.percent else None,
        readings=found.readings,
        items=found.items,
        reasons=[say(reason) for reason in found.reasons],
    )
