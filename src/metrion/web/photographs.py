"""Photographs of a reading: asked after it was made, and kept with it as evidence.

A picture is sent as the body, twice: to be asked, and to be kept. So nothing is kept of one that is
then left; what is asked is the very picture that would be kept.
"""

from __future__ import annotations

from dataclasses import replace

import numpy as np
from flask import Response, request

from metrion.core.instruments.appearance import Growth
from metrion.core.photo.said import PhotoStatement
from metrion.formats.asked_pictures import Shown, answer_of, edge_in, shown_in
from metrion.notebook.evidence import (
    PhotographedLook,
    keep_photograph,
    kept_photograph,
    look_of,
    remove_photograph,
)
from metrion.store import NotHere
from metrion.store.pictures import find_picture
from metrion.store.sheets import find_sheet
from metrion.views.present.photographs import says_view
from metrion.views.schemas.photographs import EdgeView, PhotographAskedView, PhotographSaysView
from metrion.views.schemas.sheets import SheetChangeView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint, seen_version
from metrion.web.clients import still_wanted
from metrion.web.current import notebook, shown_change
from metrion.web.idempotency import asked as asked_once

blueprint = Blueprint("photographs", __name__, url_prefix="/api/sheets/<sheet>")


@blueprint.post("/instruments/<path:instrument>/edge")
@blueprint.response(200, schema_of(EdgeView))
def propose_edge(sheet: str, instrument: str) -> EdgeView:
    """Where the edge between both scales may lie in a picture, for a thumb to correct.

    404 for a tool that is not here; 422 for what is no picture.
    """
    for tool in notebook().sheet(sheet).results.logbook.instruments:
        if tool.id == instrument:
            ends = edge_in(request.get_data(), tool, still_wanted())
            return EdgeView(*(round(float(one), 1) for one in ends.ravel()))
    raise NotHere("instrument", instrument)


def _view(look: PhotographedLook, found: PhotoStatement) -> PhotographSaysView:
    return says_view(found, found.answer.laid, look.instrument, look.observation, look.look)


def _shown(asked: PhotographAskedView, look: PhotographedLook) -> Shown:
    """What the picture that is sent shows of a look."""
    ends = np.array([[asked.x1, asked.y1], [asked.x2, asked.y2]])
    upward = asked.thimble is Growth.UP
    content, tool = request.get_data(), look.instrument
    return shown_in(content, tool, ends, upward=upward, wanted=still_wanted())


@blueprint.post("/readings/<reading>/photograph")
@blueprint.arguments(schema_of(PhotographAskedView), location="query")
@blueprint.response(200, schema_of(PhotographSaysView))
def ask(asked: PhotographAskedView, sheet: str, reading: str) -> PhotographSaysView:
    """What a photograph says to a reading that was made; the picture is the body. Nothing is kept.

    The drawing that lies over it is in pixels of the picture as it was sent.
    """
    look = look_of(notebook().sheet(sheet), reading, asked.look)
    shown = _shown(asked, look)
    found, told = shown.evidence, look.said(shown.answer)
    laid = told.answer.laid
    if laid:
        told = replace(
            told, answer=replace(told.answer, laid=laid.within(found.corner, found.scale))
        )
    return _view(look, told)


@blueprint.post("/readings/<reading>/photographs")
@blueprint.versioned
@blueprint.arguments(schema_of(PhotographAskedView), location="query")
@blueprint.response(201, schema_of(SheetChangeView))
def keep(asked: PhotographAskedView, sheet: str, reading: str) -> SheetChangeView:
    """Keep a photograph with a reading as evidence, and what it says; the picture is the body.

    412 if the reading was changed meanwhile; 422 if the sheet has too many.
    """
    version, look = seen_version(), look_of(notebook().sheet(sheet), reading, asked.look)
    # Read before the sheet's turn is taken: it takes as long as many changes.
    shown, once = _shown(asked, look), asked_once()
    return shown_change(
        keep_photograph(
            notebook(), sheet, reading, version, look, shown, Growth(asked.thimble), once
        )
    )


@blueprint.get("/readings/<reading>/photographs/<strip>")
@blueprint.response(200, schema_of(PhotographSaysView))
def ask_again(sheet: str, reading: str, strip: str) -> PhotographSaysView:
    """What a photograph that was kept says to the reading as it stands now.

    The drawing that lies over it is in pixels of the strip. 404 if it, or its picture, is not here.
    """
    look, photograph, content = kept_photograph(notebook(), sheet, reading, strip)
    edge = np.array(photograph.ends or [0.0] * 4).reshape(2, 2)
    upward = photograph.thimble != Growth.DOWN
    answer = answer_of(content, look.instrument, edge, upward=upward, wanted=still_wanted())
    return _view(look, look.said(answer))


@blueprint.delete("/readings/<reading>/photographs/<strip>")
@blueprint.versioned
@blueprint.response(200, schema_of(SheetChangeView))
def take_away(sheet: str, reading: str, strip: str) -> SheetChangeView:
    """Take a photograph away from its reading; undo brings it back. 404 if it is not here."""
    return shown_change(remove_photograph(notebook(), sheet, reading, seen_version(), strip))


@blueprint.get("/pictures/<name>")
@blueprint.response(200, content_type="image/jpeg")
def picture(sheet: str, name: str) -> Response:
    """A picture that readings refer to, by the SHA-256 of its bytes. 404 if it is not here."""
    with notebook().store.reading() as session:
        content = find_picture(session, find_sheet(session, sheet), name)
    # What goes by its checksum is never another one.
    headers = {"Cache-Control": "private, max-age=31536000, immutable"}
    return Response(content, mimetype="image/jpeg", headers=headers)
