"""``/api/tools``: the student's own tools, kept apart from the sheets they are used in."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from contextlib import suppress

from flask.views import MethodView

from metrion.core.instruments.numbered import numbered
from metrion.formats.logbook import read_drawn_instrument
from metrion.notebook.damage import contained
from metrion.notebook.patches import EntryPatch
from metrion.store import Damaged
from metrion.store.idempotency import once
from metrion.store.models import ToolRow
from metrion.store.records import EntryVersion
from metrion.store.tools import add_tool, all_tools, amend_tool, find_tool
from metrion.views.present import instrument_view
from metrion.views.schemas.instruments import InstrumentFields, NewTool, ToolView
from metrion.views.schemas.view import schema_of, widened
from metrion.web.bodies import Blueprint, seen_version
from metrion.web.current import notebook
from metrion.web.idempotency import asked

blueprint = Blueprint("tools", __name__, url_prefix="/api/tools")


def _view(row: ToolRow) -> ToolView:
    entry = EntryVersion(row.id, row.record, row.position, row.version)
    instrument = read_drawn_instrument(row.record, kept=True)
    return widened(ToolView, instrument_view(numbered(instrument), entry))


def _shown(rows: Iterable[ToolRow]) -> Iterator[ToolView]:
    """The tools that can be drawn; what is wrong with another one is left to who looks for it."""
    for row in rows:
        with suppress(Damaged), contained():
            yield _view(row)


@blueprint.get("")
@blueprint.response(200, schema_of(ToolView)(many=True))
def list_tools() -> list[ToolView]:
    """All tools, worked out."""
    with notebook().store.reading() as session:
        return list(_shown(all_tools(session)))


@blueprint.post("")
@blueprint.arguments(NewTool)
@blueprint.response(201, schema_of(ToolView))
def keep_tool(told: EntryPatch) -> ToolView:
    """Keep a new tool. 409 if its id is taken; 422 if its numbers make no scale."""
    with notebook().store.writing() as session:
        key = once(session, asked(), lambda: add_tool(session, told.given, told.id).id)
        return _view(find_tool(session, str(key)))


@blueprint.route("/<key>")
class ToolResource(MethodView):
    """One tool."""

    @blueprint.versioned
    @blueprint.arguments(InstrumentFields)
    @blueprint.response(200, schema_of(ToolView))
    def patch(self, told: EntryPatch, key: str) -> ToolView:
        """Describe it anew; sheets keep the description they were begun with. 412 if stale."""
        with notebook().store.writing() as session:
            row = find_tool(session, key, seen_version())
            amend_tool(row, told.given)
            return _view(row)

    @blueprint.versioned
    @blueprint.response(204)
    def delete(self, key: str) -> None:
        """Take it off the shelf; sheets that use it keep it. 412 if stale."""
        with notebook().store.writing() as session:
            session.delete(find_tool(session, key, seen_version()))
