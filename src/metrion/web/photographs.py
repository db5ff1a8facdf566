"""Photographs of a reading: asked after it was made, and kept with it as evidence.

A picture is sent as the body, twice: to be asked, and to be kept. So nothing is kept of one that is
then left; what is asked is the very picture that would be kept.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import UTC, datetime

import numpy as np
from flask import Response, request
from sqlalchemy.orm import Session

from metrion.core.declared import fields_of
from metrion.core.instruments.appearance import Growth
from metrion.core.json import Json, Record, text_in
from metrion.core.photo.answer import Answer
from metrion.core.photo.said import Said, said
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import INDICATIONS, Observation
from metrion.core.quantity.photographs import Photograph
from metrion.formats.asked_pictures import Shown, answer_of, edge_in, shown_in
from metrion.formats.pictures import Evidence
from metrion.store import NotHere, Stale
from metrion.store.commands import Change, Step
from metrion.store.models import Sheet
from metrion.store.pictures import (
    MOST_PHOTOGRAPHS,
    PHOTOGRAPHS,
    find_picture,
    photographs_in,
)
from metrion.store.records import OBSERVATIONS, Kept
from metrion.store.sheets import find_entry, find_sheet
from metrion.web.bodies import Blueprint
from metrion.web.clients import still_wanted
from metrion.web.entries import seen_version
from metrion.web.notebook import Worked, notebook
from metrion.web.present import change_view
from metrion.web.present.photographs import says_view
from metrion.web.schemas import (
    EdgeView,
    PhotographAskedView,
    PhotographSaysView,
    SheetChangeView,
    schema_of,
)
from metrion.web.speaking import refuse

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


@dataclass(frozen=True)
class _Shown:
    """A look of a reading that a photograph shows."""

    measurement: Measurement
    observation: Observation
    look: str

    @property
    def at(self) -> int:
        """Which of the looks."""
        return INDICATIONS[self.observation.sort].index(self.look)

    def said(self, answer: Answer) -> Said:
        """What a picture says to who has read the look."""
        tool, own = self.measurement.instrument, self.observation.indications[self.at]
        return said(answer, own, tool.scale, estimates=self.measurement.convention.estimate)

    def view(self, found: Said) -> PhotographSaysView:
        """The same for the page."""
        tool, answer = self.measurement.instrument, found.answer
        return says_view(found, answer.laid, tool, self.observation, self.look)


def _shown(worked: Worked, reading: str, look: str | None = None) -> _Shown:
    """The look that is asked about, or the first.

    404 for a reading that is not here; 422 if it has no such look.
    """
    kept = next((one for one in worked.entries[OBSERVATIONS] if one.id == reading), None)
    if kept is None or kept.measurement is None:
        raise NotHere("reading", reading)
    own = [one for one in worked.entries[OBSERVATIONS] if one.measurement == kept.measurement]
    measurement = worked.quantity(kept.measurement)
    observation = measurement.observations[own.index(kept)]
    if not measurement.instrument.scale.has_fine_scale:
        refuse(422, "photograph-no-fine-scale")
    looks = INDICATIONS[observation.sort]
    if look is not None and look not in looks:
        refuse(422, "photograph-no-look")
    return _Shown(measurement, observation, looks[0] if look is None else look)


def _asked(asked: PhotographAskedView, shown: _Shown) -> Shown:
    """What the picture that is sent shows of a look."""
    ends = np.array([[asked.x1, asked.y1], [asked.x2, asked.y2]])
    upward = asked.thimble is Growth.UP
    tool = shown.measurement.instrument
    return shown_in(request.get_data(), tool, ends, upward=upward, wanted=still_wanted())


@blueprint.post("/readings/<reading>/photograph")
@blueprint.arguments(schema_of(PhotographAskedView), location="query")
@blueprint.response(200, schema_of(PhotographSaysView))
def ask(asked: PhotographAskedView, sheet: str, reading: str) -> PhotographSaysView:
    """What a photograph says to a reading that was made; the picture is the body. Nothing is kept.

    The drawing that lies over it is in pixels of the picture as it was sent.
    """
    shown = _shown(notebook().sheet(sheet), reading, asked.look)
    asked_of = _asked(asked, shown)
    found, told = asked_of.evidence, shown.said(asked_of.answer)
    laid = told.answer.laid
    if laid:
        told = replace(
            told, answer=replace(told.answer, laid=laid.within(found.corner, found.scale))
        )
    return shown.view(told)


@blueprint.post("/readings/<reading>/photographs")
@blueprint.versioned
@blueprint.arguments(schema_of(PhotographAskedView), location="query")
@blueprint.response(201, schema_of(SheetChangeView))
def keep(asked: PhotographAskedView, sheet: str, reading: str) -> SheetChangeView:
    """Keep a photograph with a reading as evidence, and what it says; the picture is the body.

    412 if the reading was changed meanwhile; 422 if the sheet has too many.
    """
    version, seen = seen_version(), _shown(notebook().sheet(sheet), reading, asked.look)
    # Read before the sheet's turn is taken: it takes as long as many changes.
    asked_of = _asked(asked, seen)
    found = asked_of.evidence

    def plan(session: Session, entry: Sheet) -> Step:
        worked = notebook().worked(session, entry)
        before = find_entry(session, entry, OBSERVATIONS, reading, version)
        shown = _shown(worked, reading, asked.look)
        if shown.measurement.instrument != seen.measurement.instrument:
            raise Stale
        _room(worked.whole.document, shown.observation, found)
        record = _record(asked, found, shown, shown.said(asked_of.answer))
        after = _with(before, [*_records(before), record])
        pictures = (found.strip, found.whole)
        return Step("add-photograph", [Change(OBSERVATIONS, before, after)], pictures=pictures)

    return change_view(notebook().apply(sheet, plan))


def _room(document: Record, observation: Observation, found: Evidence) -> None:
    """Whether there is room for one more. Raises `Problem`."""
    if any(one.strip == found.strip.name for one in observation.noted.photographs):
        refuse(422, "photograph-here")
    if len([*photographs_in(document)]) >= MOST_PHOTOGRAPHS:
        refuse(422, "photograph-too-many", most=MOST_PHOTOGRAPHS)


def _record(asked: PhotographAskedView, found: Evidence, shown: _Shown, told: Said) -> Record:
    screw = shown.measurement.instrument.traits.turns
    kept = replace(
        told.noted, strip=found.strip.name, whole=found.whole.name,
        edge=" ".join(f"{one:.1f}" for one in found.edge.ravel()),
        thimble=str(asked.thimble) if screw else "", look=asked.look,
        at=datetime.now(UTC).isoformat(timespec="seconds"),
    )  # fmt: skip
    named = {one.name: getattr(kept, one.name) for one in fields_of(Photograph)}
    return {name: str(value) for name, value in named.items() if value}


def _records(entry: Kept) -> list[Json]:
    found = entry.record.get(PHOTOGRAPHS)
    return found if isinstance(found, list) else []


def _with(entry: Kept, photographs: list[Json]) -> Kept:
    others = {name: value for name, value in entry.record.items() if name != PHOTOGRAPHS}
    return replace(entry, record={**others, PHOTOGRAPHS: photographs} if photographs else others)


@blueprint.get("/readings/<reading>/photographs/<strip>")
@blueprint.response(200, schema_of(PhotographSaysView))
def ask_again(sheet: str, reading: str, strip: str) -> PhotographSaysView:
    """What a photograph that was kept says to the reading as it stands now.

    The drawing that lies over it is in pixels of the strip. 404 if it, or its picture, is not here.
    """
    with notebook().store.reading() as session:
        entry = find_sheet(session, sheet)
        worked, content = notebook().worked(session, entry), find_picture(session, entry, strip)
    observation = _shown(worked, reading).observation
    photograph = next((one for one in observation.noted.photographs if one.strip == strip), None)
    if photograph is None:
        raise NotHere("picture", strip)
    edge = np.array(photograph.ends or [0.0] * 4).reshape(2, 2)
    shown = _shown(worked, reading, photograph.look)
    upward, tool = photograph.thimble != Growth.DOWN, shown.measurement.instrument
    answer = answer_of(content, tool, edge, upward=upward, wanted=still_wanted())
    return shown.view(shown.said(answer))


@blueprint.delete("/readings/<reading>/photographs/<strip>")
@blueprint.versioned
@blueprint.response(200, schema_of(SheetChangeView))
def take_away(sheet: str, reading: str, strip: str) -> SheetChangeView:
    """Take a photograph away from its reading; undo brings it back. 404 if it is not here."""
    version = seen_version()

    def plan(session: Session, entry: Sheet) -> Step:
        before = find_entry(session, entry, OBSERVATIONS, reading, version)
        left = [
            one
            for one in _records(before)
            if not (isinstance(one, dict) and text_in(one, "strip") == strip)
        ]
        if len(left) == len(_records(before)):
            raise NotHere("picture", strip)
        return Step("remove-photograph", [Change(OBSERVATIONS, before, _with(before, left))])

    return change_view(notebook().apply(sheet, plan))


@blueprint.get("/pictures/<name>")
@blueprint.response(200, content_type="image/jpeg")
def picture(sheet: str, name: str) -> Response:
    """A picture that readings refer to, by the SHA-256 of its bytes. 404 if it is not here."""
    with notebook().store.reading() as session:
        content = find_picture(session, find_sheet(session, sheet), name)
    # What goes by its checksum is never another one.
    headers = {"Cache-Control": "private, max-age=31536000, immutable"}
    return Response(content, mimetype="image/jpeg", headers=headers)
