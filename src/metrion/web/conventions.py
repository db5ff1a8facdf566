"""``/api/conventions``: the conventions to choose from, built in and of one's own.

Those of one's own are kept for the notebook; a sheet that uses one takes a copy into its logbook,
so that its file is whole and its results stay what they were.
"""

from __future__ import annotations

from collections.abc import Callable

from flask.views import MethodView

from metrion.core.facts import Name
from metrion.core.json import Record
from metrion.core.uncertainty.conventions import BUILT_IN, Convention
from metrion.core.uncertainty.described import described
from metrion.formats.logbook import parse_own_convention
from metrion.voice.conventions import convention_name
from metrion.web.bodies import Blueprint
from metrion.web.notebook import notebook
from metrion.web.schemas import ConventionFields, ConventionView, NewConvention, schema_of
from metrion.web.schemas.declared import Told
from metrion.web.speaking import refuse, speaker

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
    own = notebook().own_conventions()
    found = [_view(convention) for convention in BUILT_IN.values()]
    return found + [
        _view(parse_own_convention(record, kept=True), record) for record in own.values()
    ]


def _keep(key: str, given: Record, check: Callable[[dict[str, Record]], None]) -> None:
    record = {**given, "id": key}
    parse_own_convention(record)

    def put(own: dict[str, Record]) -> None:
        check(own)
        own[key] = record

    notebook().change_conventions(put)


@blueprint.get("")
@blueprint.response(200, schema_of(ConventionView)(many=True))
def get_conventions() -> list[ConventionView]:
    """Every convention with what it does; the record of those of one's own."""
    return _listed()


@blueprint.post("")
@blueprint.arguments(NewConvention)
@blueprint.response(201, schema_of(ConventionView)(many=True))
def add_convention(told: Told) -> list[ConventionView]:
    """Keep a convention of one's own. 409 if its id is taken; 422 with its faults."""
    key = told.id or ""

    def check(own: dict[str, Record]) -> None:
        if key in own:
            refuse(409, "convention-taken", key=Name(key))

    _keep(key, told.given, check)
    return _listed()


@blueprint.post("/describe")
@blueprint.arguments(ConventionFields)
@blueprint.response(200, schema_of(ConventionView))
def describe_convention(told: Told) -> ConventionView:
    """What a convention would do, in sentences, before it is kept. 422 with its faults."""
    record = {**told.given, "id": "draft"}
    return _view(parse_own_convention(record), record)


@blueprint.route("/<path:key>")
class ConventionResource(MethodView):
    """One convention of one's own."""

    @blueprint.arguments(ConventionFields)
    @blueprint.response(200, schema_of(ConventionView)(many=True))
    def put(self, told: Told, key: str) -> list[ConventionView]:
        """Describe it anew; sheets that use it keep the one they were worked out with."""
        _keep(key, told.given, lambda own: _known(own, key))
        return _listed()

    @blueprint.response(200, schema_of(ConventionView)(many=True))
    def delete(self, key: str) -> list[ConventionView]:
        """Take it away; sheets that use it keep it."""

        def take_away(own: dict[str, Record]) -> None:
            _known(own, key)
            del own[key]

        notebook().change_conventions(take_away)
        return _listed()


def _known(own: dict[str, Record], key: str) -> None:
    if key not in own:
        refuse(404, "no-convention-of-your-own", key=Name(key))
