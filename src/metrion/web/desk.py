"""``/api/sheets/<sheet>/look``: what is being entered, answered while it is typed or dragged."""

from __future__ import annotations

from metrion.core.instruments.instrument import Instrument
from metrion.notebook import EvaluatedSheet
from metrion.store import NotHere
from metrion.views.locale import speaker
from metrion.views.present import answer_view
from metrion.views.schemas.desk import AnswerView, TypedView
from metrion.views.schemas.view import schema_of
from metrion.voice.conventions import convention_name
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook

blueprint = Blueprint("desk", __name__, url_prefix="/api/sheets/<sheet>/look")


@blueprint.post("")
@blueprint.arguments(schema_of(TypedView))
@blueprint.response(200, schema_of(AnswerView))
def look(body: TypedView, sheet: str) -> AnswerView:
    """Reading, bounds, neighbours and sentences for an entry. Nothing is stored.

    404 if there is no such sheet or instrument.
    """
    worked = notebook().sheet(sheet)
    instrument = _instrument(worked, body.instrument)
    logbook = worked.whole.logbook
    checks, looks = (
        [check for check in logbook.zero_checks if check.id in ids]
        for ids in (body.zero, body.looks)
    )
    own = [*logbook.conventions, *notebook().conventions()]
    estimating = dict.fromkeys(convention_name(one, speaker()) for one in own if one.estimate)
    return answer_view(instrument, body, checks, looks, estimating=tuple(estimating))


def _instrument(worked: EvaluatedSheet, key: str) -> Instrument:
    for instrument in worked.whole.logbook.instruments:
        if instrument.id == key:
            return instrument
    raise NotHere("instrument", key)
