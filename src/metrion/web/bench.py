"""``/api/bench``: a simulated bench, for those without a tool."""

from __future__ import annotations

from collections.abc import Iterator

import numpy as np
from flask import Response

from metrion.core.bench.acts import Simulated, parse_simulated
from metrion.core.bench.bench import Bench
from metrion.core.bench.catalogue import INSTRUMENTS, fits, part_truth
from metrion.core.bench.reveal import reveal
from metrion.core.bench.transitions import benched
from metrion.core.camera import photograph_bench
from metrion.core.facts import fact
from metrion.core.json import Record
from metrion.core.quantity.measurements import reduce_measurement
from metrion.formats.chance import luck_of
from metrion.formats.exercise import instrument_record
from metrion.formats.pictures import written_picture
from metrion.store.commands import Change
from metrion.store.entries import SheetEntries, new_id
from metrion.store.idempotency import once
from metrion.store.sheets import take_in
from metrion.views.locale import say
from metrion.views.present import sheet_view
from metrion.views.present.bench import drawer_view, revealed_view, standing_view
from metrion.views.schemas.bench import (
    BeginView,
    DoneView,
    DrawerView,
    RevealedView,
    SnapView,
    StandingView,
)
from metrion.views.schemas.sheets import SheetChangeView, SheetView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook, shown_change
from metrion.web.idempotency import asked
from metrion.web.problems import refuse

blueprint = Blueprint("bench", __name__, url_prefix="/api/bench")


@blueprint.get("")
@blueprint.response(200, schema_of(DrawerView))
def drawer() -> DrawerView:
    """The tools at the bench, and the parts in its drawer."""
    return drawer_view()


@blueprint.post("/stand")
@blueprint.arguments(schema_of(DoneView))
@blueprint.response(200, schema_of(StandingView))
def stand(done: DoneView) -> StandingView:
    """How a bench stands after all that was done at it. 422 where that cannot be done."""
    found, bench = _bench(done.simulated)
    return standing_view(found, bench)


@blueprint.post("/photograph")
@blueprint.arguments(schema_of(SnapView))
@blueprint.response(200, content_type="image/jpeg")
def photograph(snap: SnapView) -> Response:
    """What the simulated camera sees of a bench. 422 where the tool has no fine scale."""
    found, bench = _bench(snap.simulated)
    random = np.random.default_rng([found.seed, len(found.acts), snap.shot])
    shot = photograph_bench(bench, random)
    if shot is None:
        refuse(422, "photograph-no-fine-scale")
    return Response(written_picture(shot.picture).content, mimetype="image/jpeg")


def _bench(text: str) -> tuple[Simulated, Bench]:
    found = parse_simulated(text)
    return found, benched(luck_of(found.seed), found.acts)


@blueprint.post("/sheets")
@blueprint.arguments(schema_of(BeginView))
@blueprint.response(201, schema_of(SheetView))
def begin(given: BeginView) -> SheetView:
    """A new sheet, marked simulated, with one quantity to measure at its bench."""
    document: Record = {
        "format": "metrion-logbook",
        "version": 1,
        "title": say(fact("bench-sheet", seed=given.seed)),
        "simulated": str(given.seed),
        "convention": notebook().settings().chosen["convention"],
        "instruments": [_tool_record(given)],
        "measurements": [{"id": new_id(), "observations": [], **_quantity_record(given)}],
    }
    with notebook().store.writing() as session:
        key = once(session, asked(), lambda: take_in(session, document, given.id).id)
    return sheet_view(notebook().sheet(str(key)))


@blueprint.post("/sheets/<sheet>/quantities")
@blueprint.arguments(schema_of(BeginView))
@blueprint.response(201, schema_of(SheetChangeView))
def begin_another(given: BeginView, sheet: str) -> SheetChangeView:
    """Another quantity at the bench of a sheet. 404 if there is no such sheet."""

    def build(entries: SheetEntries) -> Iterator[Change]:
        tool = _tool_record(given)
        key = str(tool["id"])
        if not entries.has("instruments", key):
            yield Change("instruments", None, entries.new("instruments", tool, key=key))
        quantity = entries.new("measurements", _quantity_record(given), key=given.id)
        yield Change("measurements", None, quantity)

    return shown_change(
        notebook().change(
            sheet, "add-measurements", lambda found: list(build(found.entries)), asked()
        )
    )


def _tool_record(given: BeginView) -> Record:
    if not fits(given.tool, given.part):
        refuse(422, "bench-does-not-fit", part=str(given.part), tool=str(given.tool))
    return instrument_record(INSTRUMENTS[given.tool]) | {
        "name": say(fact("bench-simulated-tool", tool=given.tool))
    }


def _quantity_record(given: BeginView) -> Record:
    angular = INSTRUMENTS[given.tool].traits.circular
    face: Record = {} if angular else {"face": "outside"}
    items = part_truth(given.part, luck_of(given.seed)).items
    stack: Record = {"items": items} if items > 1 else {}
    name = say(fact("bench-part", part=given.part))
    tool = INSTRUMENTS[given.tool].id
    return {"name": name, "instrument": tool, "simulated": str(given.part), **face, **stack}


@blueprint.post("/sheets/<sheet>/quantities/<path:key>/reveal")
@blueprint.response(200, schema_of(RevealedView))
def revealed(sheet: str, key: str) -> RevealedView:
    """A result beside the truth, and what each habit cost. 422 if there is nothing to reveal."""
    result = reduce_measurement(notebook().sheet(sheet).kept_quantity(key))
    found = reveal(luck_of, result)
    if found is None:
        refuse(422, "bench-nothing-to-reveal")
    return revealed_view(found, result)
