"""``/api/measurands``: what can be measured of a thing, and what its name says of that."""

from __future__ import annotations

from metrion.core.quantity.measurands import TAKEN, Measurand, told_by
from metrion.core.traits import Kind
from metrion.views.locale import speaker
from metrion.views.schemas.measurands import MeasurandView, ThingView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint

blueprint = Blueprint("measurands", __name__, url_prefix="/api/measurands")


@blueprint.get("")
@blueprint.arguments(schema_of(ThingView), location="query")
@blueprint.response(200, schema_of(MeasurandView)(many=True))
def get_measurands(given: ThingView) -> list[MeasurandView]:
    """Everything that can be measured of a thing, with how it is taken and would be called."""
    own = speaker()
    words = {one: own.text_of("measurand-words", one).split() for one in Measurand}
    told = told_by(given.thing, words)
    return [
        MeasurandView(
            id=one,
            label=own.text_of("measurand", one),
            name=own.text_of("measurand-name", one, thing=given.thing),
            face=taken.face,
            pairs=taken.pairs,
            divide_by=taken.divide_by,
            stacked=taken.stacked,
            count=taken.count,
            kinds=[str(kind) for kind in Kind if taken.fits(kind)],
            told=one in told,
        )
        for one, taken in TAKEN.items()
    ]
