"""``/api/sheets``: the notebook, its sheets as wholes, and their files."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from datetime import UTC, datetime
from typing import cast

from flask import Response, current_app, request
from sqlalchemy.orm import Session

from metrion.core.json import Record, text_in
from metrion.demo import EXAMPLE, demo_file
from metrion.formats.archive import file_name, write_archive
from metrion.formats.strict_json import read_json
from metrion.notebook.entries import own_convention
from metrion.notebook.evaluation import Memo
from metrion.notebook.notebook import CurrentSheet, state_of
from metrion.notebook.other_windows import ask_before_trash
from metrion.store import Damaged, Stale
from metrion.store.commands import Change
from metrion.store.documents import filed, kept_entries, logbook_file, sheet_text
from metrion.store.entries import SheetEntries
from metrion.store.idempotency import once
from metrion.store.models import Sheet
from metrion.store.records import HEAD, add_rows
from metrion.store.sheets import add_sheet, all_sheets, find_sheet, free_title, take_in
from metrion.views.locale import say, speaker
from metrion.views.present import sheet_summary, sheet_view
from metrion.views.schemas.notebook import MeantView
from metrion.views.schemas.sheets import (
    NewSheetView,
    SheetChangeView,
    SheetHeadView,
    SheetListView,
    SheetPatchSchema,
    SheetSummaryView,
    SheetView,
    WantedView,
)
from metrion.views.schemas.view import schema_of, widened
from metrion.voice import Speaker
from metrion.web.bodies import Blueprint, seen_version
from metrion.web.current import notebook, shown_change
from metrion.web.idempotency import asked, asking_window
from metrion.web.windows import windows

_LISTED = 16_384

blueprint = Blueprint("sheets", __name__, url_prefix="/api/sheets")


@blueprint.get("")
@blueprint.response(200, schema_of(SheetListView))
def list_sheets() -> SheetListView:
    """All sheets with their results, and what is in the trash."""
    return listing()


def listing() -> SheetListView:
    """The notebook as it is listed."""
    with notebook().store.reading() as session:
        return SheetListView(
            sheets=[_listed(session, sheet) for sheet in all_sheets(session)],
            trash=[_head(sheet) for sheet in all_sheets(session, deleted=True)],
        )


def _listed(session: Session, sheet: Sheet) -> SheetSummaryView:
    """A sheet with its results; or with its damage, so that all others are there."""
    try:
        return _summaries().get(
            (*state_of(sheet), speaker()),
            lambda: sheet_summary(notebook().evaluated(session, sheet)),
        )
    except Damaged as damage:
        told = say(damage.reason)
        return widened(
            SheetSummaryView, _head(sheet), results=[], derived=[], instruments=[], damage=told
        )


def _summaries() -> Memo[tuple[str, int, Speaker], SheetSummaryView]:
    """What is listed of each sheet: small, so that all of a long notebook are remembered."""
    found = current_app.extensions.setdefault("summaries", Memo(_LISTED))
    return cast("Memo[tuple[str, int, Speaker], SheetSummaryView]", found)


def _head(sheet: Sheet) -> SheetHeadView:
    authors, date = (text_in(sheet.extra, name) for name in ("authors", "date"))
    changed_at = sheet.changed_at.isoformat()
    return SheetHeadView(sheet.id, sheet.title, sheet.version, changed_at, authors, date)


@blueprint.post("")
@blueprint.arguments(schema_of(NewSheetView))
@blueprint.response(201, schema_of(SheetView))
def create_sheet(body: NewSheetView) -> SheetView:
    """A new, empty sheet. 409 if its id is taken."""
    with notebook().store.writing() as session:
        key = once(session, asked(), lambda: _new_sheet(session, body))
    return sheet_view(notebook().sheet(str(key)))


def _new_sheet(session: Session, body: NewSheetView) -> str:
    """A sheet for which the convention of the notebook holds, by who measures in it."""
    title = free_title(session, body.title) if body.numbered else body.title
    sheet = add_sheet(session, title, body.id)
    settings = notebook().settings()
    known: Record = {"authors": settings.chosen["authors"], "date": body.date}
    head: Record = {"convention": settings.chosen["convention"]}
    head |= {name: value for name, value in known.items() if value}
    sheet.extra = head
    own = own_convention(kept_entries(session, sheet), settings, head)
    add_rows(session, sheet.id, [(one.section, one.after) for one in own if one.after])
    return sheet.id


@blueprint.post("/example")
@blueprint.response(201, schema_of(SheetView))
def add_example() -> SheetView:
    """A finished sheet to look at."""
    with notebook().store.writing() as session:
        key = once(session, asked(), lambda: take_in(session, read_json(demo_file(EXAMPLE))).id)
    return sheet_view(notebook().sheet(str(key)))


@blueprint.get("/<key>")
@blueprint.response(200, schema_of(SheetView))
def get_sheet(key: str) -> SheetView:
    """A sheet with everything it comes to. 404 if there is none; 409 if it is damaged."""
    return sheet_view(notebook().sheet(key))


@blueprint.patch("/<key>")
@blueprint.versioned
@blueprint.arguments(SheetPatchSchema)
@blueprint.response(200, schema_of(SheetView))
def rename_sheet(body: Record, key: str) -> SheetView:
    """A new title, or a new head of its report. 404 if there is no such sheet; 412 if stale."""

    seen = seen_version() if "If-Match" in request.headers else None

    def build(found: CurrentSheet) -> list[Change]:
        if seen not in (None, found.row.version):
            raise Stale
        [before] = found.entries[HEAD]
        record = {n: v for n, v in {**before.record, **body}.items() if v != "" or n == "title"}
        changes = [Change(HEAD, before, replace(before, record=record))]
        if "convention" in body:
            changes += own_convention(found.entries, found.settings, body)
            changes += _following(found.entries)
        return changes

    title = "change-convention" if "convention" in body else "change-head"
    title = "rename" if "title" in body else title
    return sheet_view(notebook().change(key, title, build, asked()).after)


def _following(entries: SheetEntries) -> Iterator[Change]:
    """Everything that names a convention of its own names none any more."""
    for section in ("measurements", "derived"):
        for entry in entries[section]:
            if "convention" in entry.record:
                record = {n: v for n, v in entry.record.items() if n != "convention"}
                yield Change(section, entry, replace(entry, record=record))


@blueprint.delete("/<key>")
@blueprint.arguments(schema_of(MeantView), location="query")
@blueprint.response(204)
def delete_sheet(meant: MeantView, key: str) -> None:
    """Into the trash. 404 if there is no such sheet.

    409 for a window, where another one has it open or changed it within the hour: asks first.
    """
    window = asking_window()
    with notebook().store.writing() as session:
        sheet = find_sheet(session, key)
        if not meant.command:
            is_open = windows().others_show(key, window)
            ask_before_trash(session, sheet, window, is_open=is_open)
        sheet.deleted_at = datetime.now(UTC)


@blueprint.post("/<key>/restore")
@blueprint.response(200, schema_of(SheetView))
def restore_sheet(key: str) -> SheetView:
    """Out of the trash again. 404 if there is no such sheet."""
    with notebook().store.writing() as session:
        find_sheet(session, key, deleted=True).deleted_at = None
    return sheet_view(notebook().sheet(key))


@blueprint.post("/<key>/undo")
@blueprint.arguments(schema_of(MeantView), location="query")
@blueprint.response(200, schema_of(SheetChangeView))
def undo_last(meant: MeantView, key: str) -> SheetChangeView:
    """Take the last change back. 409 if there is none.

    409 for a window, where another one made it: its number asks first.
    """
    return shown_change(notebook().undo(key, asked(), meant.command))


@blueprint.post("/<key>/redo")
@blueprint.arguments(schema_of(MeantView), location="query")
@blueprint.response(200, schema_of(SheetChangeView))
def redo_last(meant: MeantView, key: str) -> SheetChangeView:
    """Make the change again that was taken back last. 409 as for undo."""
    return shown_change(notebook().redo(key, asked(), meant.command))


@blueprint.get("/<key>/logbook")
@blueprint.arguments(schema_of(WantedView), location="query")
@blueprint.response(200, content_type="application/json")
def download_logbook(wanted: WantedView, key: str) -> Response:
    """The sheet, or one quantity of it, as a ``metrion-logbook`` file. 404 if there is none.

    Of a sheet whose records cannot be read any more, the text that is kept of them.
    """
    with notebook().store.reading() as session:
        sheet = find_sheet(session, key)
        name, kind = f"{file_name(sheet.title)}.metrion.json", "application/json"
        try:
            content = logbook_file(session, sheet, wanted.quantity)
        except Damaged:
            name, kind = f"{file_name(sheet.title)}.txt", "text/plain"
            content = sheet_text(session, sheet)
    headers = {"Content-Disposition": f'attachment; filename="{name}"'}
    return Response(content, mimetype=kind, headers=headers)


@blueprint.get("/<key>/archive")
@blueprint.response(200, content_type="application/zip")
def download_archive(key: str) -> Response:
    """The sheet as a ZIP: its logbook, and its photographs beside it. 404 if there is none."""
    with notebook().store.reading() as session:
        sheet = find_sheet(session, key)
        content, name = write_archive([filed(session, sheet)]), file_name(sheet.title)
    headers = {"Content-Disposition": f'attachment; filename="{name}.zip"'}
    return Response(content, mimetype="application/zip", headers=headers)
