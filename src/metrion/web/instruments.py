"""``/api/instruments``: common fine scales, and any description worked out before it is kept."""

from __future__ import annotations

from typing import Any

from flask_smorest import Blueprint

from metrion.core.instruments import Instrument
from metrion.formats.logbook import FORMAT, VERSION, parse_logbook
from metrion.store.records import Kept
from metrion.web.present import instrument_view
from metrion.web.schemas import InstrumentFields, InstrumentSchema, PatternSchema
from metrion.web.shelf import SHELF

blueprint = Blueprint("instruments", __name__, url_prefix="/api/instruments")


def _described(record: dict[str, Any]) -> dict[str, Any]:
    return instrument_view(_parsed(record), Kept(record["id"], record, 0, 0))


def _parsed(record: dict[str, Any]) -> Instrument:
    document = {"format": FORMAT, "version": VERSION, "instruments": [record]}
    return parse_logbook(document).instruments[0]


@blueprint.get("/shelf")
@blueprint.response(200, PatternSchema(many=True))
def shelf() -> list[dict[str, Any]]:
    """Common patterns to start from, worked out."""
    return [
        {
            "id": pattern.id,
            "title": pattern.title,
            "description": pattern.description,
            "record": pattern.record,
            "instrument": _described({"id": pattern.id, "name": pattern.title, **pattern.record}),
        }
        for pattern in SHELF
    ]


@blueprint.post("/describe")
@blueprint.arguments(InstrumentFields)
@blueprint.response(200, InstrumentSchema)
def describe(body: dict[str, Any]) -> dict[str, Any]:
    """A description worked out without keeping it. 422 with its faults."""
    record = {name: value for name, value in body.items() if value is not None}
    return _described({"id": "draft", "name": "this instrument", **record})
