"""``/api/conventions``: the conventions to choose from, built in and of one's own.

Those of one's own are kept for the notebook; a sheet that uses one takes a copy into its logbook,
so that its file is whole and its results stay what they were.
"""

from __future__ import annotations

from typing import Any

from flask.views import MethodView
from flask_smorest import Blueprint

from metrion.core.facts import Name
from metrion.core.uncertainty.conventions import BUILT_IN, Convention
from metrion.core.uncertainty.described import described
from metrion.formats.logbook import parse_own_convention
from metrion.voice.conventions import convention_name
from metrion.web.notebook import OWN_CONVENTIONS, notebook
from metrion.web.schemas import ConventionFields, ConventionSchema, NewConvention
from metrion.web.speaking import refuse, speaker

blueprint = Blueprint("conventions", __name__, url_prefix="/api/conventions")


def _view(convention: Convention, record: dict[str, Any] | None = None) -> dict[str, Any]:
    words = [speaker().sentence(fact) for fact in described(convention)]
    return {
        "id": convention.id,
        "name": convention_name(convention, speaker()),
        "words": words,
        "record": record,
    }


def _listed() -> list[dict[str, Any]]:
    own = notebook().own_conventions()
    found = [_view(convention) for convention in BUILT_IN.values()]
    return found + [
        _view(parse_own_convention(record, kept=True), record) for record in own.values()
    ]


def _keep(record: dict[str, Any]) -> None:
    own = notebook().own_conventions()
    parse_own_convention(record)
    notebook().set({OWN_CONVENTIONS: list({**own, record["id"]: record}.values())})


def _given(body: dict[str, Any]) -> dict[str, Any]:
    return {name: value for name, value in body.items() if value is not None}


@blueprint.get("")
@blueprint.response(200, ConventionSchema(many=True))
def get_conventions() -> list[dict[str, Any]]:
    """Every convention with what it does; the record of those of one's own."""
    return _listed()


@blueprint.post("")
@blueprint.arguments(NewConvention)
@blueprint.response(201, ConventionSchema(many=True))
def add_convention(body: dict[str, Any]) -> list[dict[str, Any]]:
    """Keep a convention of one's own. 409 if its id is taken; 422 with its faults."""
    if body["id"] in notebook().own_conventions():
        refuse(409, "convention-taken", key=Name(body["id"]))
    _keep(_given(body))
    return _listed()


@blueprint.post("/describe")
@blueprint.arguments(ConventionFields)
@blueprint.response(200, ConventionSchema)
def describe_convention(body: dict[str, Any]) -> dict[str, Any]:
    """What a convention would do, in sentences, before it is kept. 422 with its faults."""
    record = {**_given(body), "id": "draft"}
    return _view(parse_own_convention(record), record)


@blueprint.route("/<path:key>")
class ConventionResource(MethodView):
    """One convention of one's own."""

    @blueprint.arguments(ConventionFields)
    @blueprint.response(200, ConventionSchema(many=True))
    def put(self, body: dict[str, Any], key: str) -> list[dict[str, Any]]:
        """Describe it anew; sheets that use it keep the one they were worked out with."""
        _known(key)
        _keep({**_given(body), "id": key})
        return _listed()

    @blueprint.response(200, ConventionSchema(many=True))
    def delete(self, key: str) -> list[dict[str, Any]]:
        """Take it away; sheets that use it keep it."""
        own = _known(key)
        del own[key]
        notebook().set({OWN_CONVENTIONS: list(own.values())})
        return _listed()


def _known(key: str) -> dict[str, dict[str, Any]]:
    own = notebook().own_conventions()
    if key not in own:
        refuse(404, "no-convention-of-your-own", key=Name(key))
    return own
