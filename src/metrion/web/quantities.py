"""``/api/sheets/<sheet>/quantities/<key>/…``: what is asked of a quantity when it is looked at."""

from __future__ import annotations

from metrion.core.conventions.convention import BUILT_IN, Convention
from metrion.core.logbook import Logbook
from metrion.core.planning.compared import said_by
from metrion.core.quantity.measurements import reduce_measurement
from metrion.notebook.damage import contained
from metrion.report import working
from metrion.views.locale import say, shown, speaker
from metrion.views.present import whole_quantity
from metrion.views.present.instruments import steps_view
from metrion.views.schemas.quantities import QuantityView
from metrion.views.schemas.results import SaidView
from metrion.views.schemas.view import schema_of
from metrion.views.schemas.working import StepView
from metrion.voice.conventions import convention_name
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook

blueprint = Blueprint(
    "quantities", __name__, url_prefix="/api/sheets/<sheet>/quantities/<path:key>"
)


@blueprint.get("")
@blueprint.response(200, schema_of(QuantityView))
def get_quantity(sheet: str, key: str) -> QuantityView:
    """A quantity, whole. 404 if it is not here."""
    return whole_quantity(notebook().sheet(sheet), key)


@blueprint.get("/working")
@blueprint.response(200, schema_of(StepView)(many=True))
@contained()
def whole_working(sheet: str, key: str) -> list[StepView]:
    """Every line from the scales to the sentence. 404 if there is no such quantity."""
    measurement = notebook().sheet(sheet).quantity(key)
    return steps_view(working(reduce_measurement(measurement), speaker()))


@blueprint.get("/others")
@blueprint.response(200, schema_of(SaidView)(many=True))
@contained()
def what_others_say(sheet: str, key: str) -> list[SaidView]:
    """What each convention says of the same readings; its own among them. 404 if it is not here."""
    worked = notebook().sheet(sheet)
    return [
        SaidView(
            id=said.convention.id,
            name=convention_name(said.convention, speaker()),
            sentence=shown(said.result.rounded.printed) if said.result.rounded else None,
            why=say(said.why),
        )
        for said in said_by(worked.quantity(key), offered(worked.results.logbook))
    ]


def offered(logbook: Logbook) -> list[Convention]:
    """The conventions a quantity may take: built in, of this sheet, and of the notebook."""
    of_sheet = {convention.id for convention in logbook.conventions}
    others = [one for one in notebook().conventions() if one.id not in of_sheet]
    return [*BUILT_IN.values(), *logbook.conventions, *others]
