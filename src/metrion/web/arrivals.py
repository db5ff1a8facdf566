"""``/api/arrivals``: files looked through before anything is stored, then taken in; all out again.

A file is sent as the body, twice: to be looked through, and with the decisions. So nothing is kept
of a file that is then left.
"""

from __future__ import annotations

from datetime import UTC, datetime
from typing import Any

from flask import Response, request
from flask_smorest import Blueprint

from metrion.formats.archive import write_archive
from metrion.formats.faults import Refused
from metrion.report.build import build_report
from metrion.report.render import pdf_of_many
from metrion.report.render.pdf import Paper
from metrion.store.arrivals import Arrival, Decision, arrivals, take
from metrion.store.documents import filed, sheet_document
from metrion.store.sheets import all_sheets
from metrion.web.notebook import notebook
from metrion.web.schemas import (
    ArrivalName,
    ArrivalSchema,
    DecisionsSchema,
    TakenSchema,
    WantedSchema,
)

blueprint = Blueprint("arrivals", __name__, url_prefix="/api")


def _view(arrival: Arrival) -> dict[str, Any]:
    document = arrival.document or {}
    measurements = document.get("measurements", [])
    return {
        "file": arrival.file,
        "title": arrival.title,
        "standing": str(arrival.standing),
        "usual": str(arrival.usual),
        "quantities": len(measurements),
        "readings": sum(len(one["observations"]) for one in measurements),
        "faults": [{"pointer": f.pointer, "message": f.message} for f in arrival.faults],
    }


@blueprint.post("/arrivals")
@blueprint.arguments(ArrivalName, location="query")
@blueprint.response(200, ArrivalSchema(many=True))
def look_through(given: dict[str, Any]) -> list[dict[str, Any]]:
    """What a logbook file, or a ZIP of many, would bring. Nothing is stored.

    422 if it is a ZIP that cannot be understood; what is wrong with a logbook is told with it.
    """
    with notebook().store.reading() as session:
        return [_view(one) for one in arrivals(session, request.get_data(), given["name"])]


@blueprint.post("/arrivals/take")
@blueprint.arguments(DecisionsSchema, location="query")
@blueprint.response(201, TakenSchema(many=True))
def take_files(given: dict[str, Any]) -> list[dict[str, Any]]:
    """Take in what was decided, all or nothing. 422 for a file with faults; 412 if stale."""
    with notebook().store.writing() as session:
        found = arrivals(session, request.get_data(), given["name"])
        decisions = [Decision(one) for one in given["decision"]] or [one.usual for one in found]
        if len(found) == 1 and found[0].faults:
            raise Refused(found[0].faults)
        taken = []
        for arrival, decision in zip(found, decisions, strict=False):
            sheet = take(session, arrival, decision)
            if sheet is not None:
                taken.append({"id": sheet.id, "title": sheet.title})
        return taken


@blueprint.get("/notebook.pdf")
@blueprint.arguments(WantedSchema, location="query")
@blueprint.response(200, content_type="application/pdf")
def notebook_report(wanted: dict[str, Any]) -> Response:
    """The reports of all sheets in one PDF, by title."""
    with notebook().store.reading() as session:
        sheets = sorted(all_sheets(session), key=lambda sheet: sheet.title)
        date = datetime.now(UTC).date().isoformat()
        reports = [
            build_report(
                notebook().worked(session, sheet).results, sheet_document(session, sheet), date=date
            )
            for sheet in sheets
        ]
    content = pdf_of_many("Notebook", reports, Paper(wanted["paper"]))
    headers = {"Content-Disposition": 'attachment; filename="metrion-notebook.pdf"'}
    return Response(content, mimetype="application/pdf", headers=headers)


@blueprint.get("/archive")
@blueprint.response(200, content_type="application/zip")
def archive() -> Response:
    """Every sheet of the notebook in one ZIP with a manifest."""
    with notebook().store.reading() as session:
        content = write_archive(filed(session, sheet) for sheet in all_sheets(session))
    headers = {"Content-Disposition": 'attachment; filename="metrion-notebook.zip"'}
    return Response(content, mimetype="application/zip", headers=headers)
