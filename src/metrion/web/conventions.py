"""``/api/conventions``: the conventions to choose from, built in and of one's own.

Those of one's own are kept for the notebook; a sheet that uses one takes a copy into its logbook,
so that its file is whole and its results stay what they were.
"""

from __future__ import annotations

from flask.views import MethodView

from metrion.core.conventions.convention import BUILT_IN, Combine, Convention, Spread
from metrion.core.conventions.described import described
from metrion.core.facts import fact
from metrion.core.json import Record
from metrion.formats.logbook import parse_own_convention
from metrion.notebook.patches import EntryPatch
from metrion.views.locale import say, speaker
from metrion.views.schemas.conventions import (
    CombineChoiceView,
    ConventionChoicesView,
    ConventionFields,
    ConventionView,
    NewConvention,
    SpreadChoiceView,
)
from metrion.views.schemas.view import schema_of
from metrion.voice.conventions import convention_name
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook
from metrion.web.idempotency import asked

blueprint = Blueprint("conventions", __name__, url_prefix="/api/conventions")


def _view(convention: Convention, record: Record | None = None) -> ConventionView:
    words = [speaker().sentence(fact) for fact in described(convention)]
    return ConventionView(
        id=convention.id,
        name=convention_name(convention, speaker()),
        words=words,
        record=record,
    )


def _listed() -> list[ConventionView]:
    own = notebook().settings().own_conventions
    found = [_view(convention) for convention in BUILT_IN.values()]
    return found + [
        _view(parse_own_convention(record, kept=True), record) for record in own.values()
    ]


@blueprint.get("")
@blueprint.response(200, schema_of(ConventionView)(many=True))
def get_conventions() -> list[ConventionView]:
    """Every convention with what it does; the record of those of one's own."""
    return _listed()


@blueprint.get("/choices")
@blueprint.response(200, schema_of(ConventionChoicesView))
def get_choices() -> ConventionChoicesView:
    """What a convention of limits may choose: how scatter is taken, and how parts are combined."""
    return ConventionChoicesView(
        spread=[
            SpreadChoiceView(one, say(fact("convention-scatter-choice", spread=str(one))))
            for one in Spread
        ],
        combine=[
            CombineChoiceView(one, say(fact("convention-combine-choice", combine=str(one))))
            for one in Combine
        ],
    )


@blueprint.post("")
@blueprint.arguments(NewConvention)
@blueprint.response(201, schema_of(ConventionView)(many=True))
def add_convention(told: EntryPatch) -> list[ConventionView]:
    """Keep a convention of one's own. 409 if its id is taken; 422 with its faults."""
    notebook().add_convention(told.id or "", told.given, asked())
    return _listed()


@blueprint.post("/describe")
@blueprint.arguments(ConventionFields)
@blueprint.response(200, schema_of(ConventionView))
def describe_convention(told: EntryPatch) -> ConventionView:
    """What a convention would do, in sentences, before it is kept. 422 with its faults."""
    record = {**told.given, "id": "draft"}
    return _view(parse_own_convention(record), record)


@blueprint.route("/<path:key>")
class ConventionResource(MethodView):
    """One convention of one's own."""

    @blueprint.arguments(ConventionFields)
    @blueprint.response(200, schema_of(ConventionView)(many=True))
    def put(self, told: EntryPatch, key: str) -> list[ConventionView]:
        """Describe it anew; sheets that use it keep the one they were worked out with."""
        notebook().amend_convention(key, told.given)
        return _listed()

    @blueprint.response(200, schema_of(ConventionView)(many=True))
    def delete(self, key: str) -> list[ConventionView]:
        """Take it away; sheets that use it keep it."""
        notebook().remove_convention(key)
        return _listed()
