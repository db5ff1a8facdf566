"""``/api/arrivals``: files looked through before anything is stored, then taken in; all out again.

A file is sent as the body, many as ``multipart/form-data``, twice: to be looked through, and with
the decisions. So nothing is kept of a file that is then left.
"""

from __future__ import annotations

from collections.abc import Generator
from dataclasses import replace
from datetime import UTC, datetime

from flask import Response, request
from sqlalchemy.orm import Session

from metrion.core.json import Record, records_in, text_in
from metrion.formats.archive import Filed, LeftOut, is_archive, write_archive
from metrion.formats.collected import Collection, uploaded
from metrion.formats.faults import Fault, Refused
from metrion.formats.handed_in import handed_in
from metrion.notebook.damage import contained
from metrion.notebook.imports import (
    Arrival,
    Decision,
    Taken,
    looked_through,
    passed_over,
    take_all,
    take_back,
)
from metrion.report.blocks import Report, Section, words
from metrion.report.build import Length
from metrion.report.paper import Paper
from metrion.report.render import pdf_file, pdf_of_many
from metrion.store import Damaged
from metrion.store.documents import all_filed
from metrion.store.models import Sheet
from metrion.store.pictures import find_pictures
from metrion.store.sheets import all_sheets
from metrion.views.locale import say, speaker
from metrion.views.present.faults import faults_view
from metrion.views.schemas.imports import (
    ArrivalNameView,
    ArrivalView,
    DecisionsView,
    InAFileView,
    StillHereView,
    TakeBackView,
    TakenView,
)
from metrion.views.schemas.sheets import PrintedView
from metrion.views.schemas.view import schema_of, widened
from metrion.voice import Speaker
from metrion.web.bodies import Blueprint
from metrion.web.clients import still_wanted
from metrion.web.current import notebook
from metrion.web.idempotency import asked
from metrion.web.problems import refuse
from metrion.web.progress import Done, ProgressingWork, with_progress

blueprint = Blueprint("arrivals", __name__, url_prefix="/api")


def _view(found: Arrival) -> ArrivalView:
    return widened(
        ArrivalView,
        _in_a_file(found.document or {"title": found.title}),
        file=found.file,
        standing=found.standing,
        usual=found.usual,
        possible=list(found.possible),
        earlier=found.earlier,
        here=_in_a_file(found.here) if found.here else None,
        faults=faults_view(found.faults),
    )


def _in_a_file(document: Record) -> InAFileView:
    measurements = records_in(document, "measurements")
    return InAFileView(
        title=text_in(document, "title"),
        authors=text_in(document, "authors"),
        date=text_in(document, "date"),
        quantities=len(measurements),
        readings=sum(len(records_in(one, "observations")) for one in measurements),
    )


@blueprint.post("/arrivals")
@blueprint.arguments(schema_of(ArrivalNameView), location="query")
@blueprint.response(200, schema_of(ArrivalView)(many=True))
def look_through(given: ArrivalNameView) -> object:
    """What files would bring: logbooks, PDFs that carry some, ZIPs of these. Nothing is stored.

    422 if it is one file that cannot be opened; what is wrong with one of many, or with a logbook,
    is told with it. How far it is, is told line by line to who accepts ``application/x-ndjson``.
    """
    return with_progress(_looking(_collected(given.name)))


def _looking(files: Collection) -> ProgressingWork:
    found = yield from _arriving(files)
    return [_view(one) for one in found]


def _collected(name: str) -> Collection:
    """What was sent, out of its ZIPs. Raises as a `Collection` does."""
    # First as a whole, by which a request is known again.
    content = request.get_data()
    if request.mimetype == "multipart/form-data":
        sent = uploaded(
            Filed("", "", one.read(), one.filename or name) for one in request.files.getlist("file")
        )
        return Collection(sent.files, sent.passed_over, still_wanted())
    # What lies in the only one bears its own name.
    only = Filed("", "", content, "" if is_archive(content) else name)
    return Collection([only], wanted=still_wanted())


def _arriving(files: Collection) -> Generator[Done, None, list[Arrival]]:
    """Every logbook of the files, then what is none; tells how many files are looked through."""
    found: list[Arrival] = []
    with notebook().store.reading() as session:
        for one in looked_through(session, files.logbooks()):
            found.append(one)
            yield Done(len(found), max(len(found), len(files.files)))
    return [*found, *passed_over(files.passed_over)]


@blueprint.post("/arrivals/take")
@blueprint.arguments(schema_of(DecisionsView), location="query")
@blueprint.response(201, schema_of(TakenView)(many=True))
def take_files(given: DecisionsView) -> object:
    """Take in what was decided, all or nothing, and say what became of each logbook.

    Without decisions files with a faulty logbook are refused whole. 422 for a file with faults that
    is not to be left; 412 if stale.

    How far it is, is told line by line to who accepts ``application/x-ndjson``.
    """
    return with_progress(_taking(_collected(given.name), given.decision))


def _taking(files: Collection, decisions: list[Decision]) -> ProgressingWork:
    found = yield from _arriving(files)
    if decisions and len(decisions) != len(found):
        refuse(422, "decide-on-each", count=len(found))
    decided = list(zip(found, decisions or _usual(found), strict=True))
    # Nothing is told from here on: who is slow to listen must not keep others from writing.
    taken = take_all(notebook(), decided, asked())
    return schema_of(TakenView)(many=True).load(taken)


def _usual(found: list[Arrival]) -> list[Decision]:
    """The usual thing with each, if none has faults: else it is for the user to say."""
    if faults := [_in_file(one, fault, len(found)) for one in found for fault in one.faults]:
        raise Refused(faults)
    return [one.usual for one in found]


def _in_file(arrived: Arrival, fault: Fault, files: int) -> Fault:
    return fault if files == 1 else replace(fault, pointer=f"{arrived.file}#{fault.pointer}")


@blueprint.post("/arrivals/undo")
@blueprint.arguments(schema_of(TakeBackView))
@blueprint.response(200, schema_of(StillHereView))
def undo_taking(given: TakeBackView) -> StillHereView:
    """Take files out again that were taken in at once: new sheets go to the trash.

    One that was changed since is left, and told.
    """
    taken = [Taken(one.id, one.version, one.decision) for one in given.taken]
    return StillHereView(take_back(notebook(), taken, asked()))


@blueprint.get("/notebook.pdf")
@blueprint.arguments(schema_of(PrintedView), location="query")
@blueprint.response(200, content_type="application/pdf")
def notebook_report(wanted: PrintedView) -> Response:
    """The reports of all sheets in one PDF, by title."""
    own = speaker()
    with notebook().store.reading() as session:
        sheets = sorted(all_sheets(session), key=lambda sheet: sheet.title)
        reports = [_report(session, sheet, wanted.length, own) for sheet in sheets]
    content = _printed(reports, wanted.paper, own)
    headers = {"Content-Disposition": 'attachment; filename="metrion-notebook.pdf"'}
    return Response(content, mimetype="application/pdf", headers=headers)


def _report(session: Session, sheet: Sheet, length: Length, speaker: Speaker) -> Report:
    """The report of a sheet; of a damaged one, that it is damaged."""
    date = datetime.now(UTC).date().isoformat()
    try:
        with contained():
            worked = notebook().evaluated(session, sheet)
            document = worked.whole.document
            pictures = find_pictures(session, sheet, document)
            return handed_in(
                worked.results, document, speaker, date=date, length=length, pictures=pictures
            )
    except Damaged as damage:
        return _told(sheet.title or speaker.text("report-untitled"), damage, speaker)


def _told(title: str, damage: Damaged, speaker: Speaker) -> Report:
    told = words(speaker.text("sentence", phrase=damage.says))
    section = Section(speaker.text("untitled-damaged"), (told,))
    return Report(title, (), (section,), speaker.language)


def _printed(reports: list[Report], paper: Paper, speaker: Speaker) -> bytes:
    """All reports; one that cannot be set does not keep the others from being printed."""
    title = speaker.text("notebook-title")
    try:
        with contained():
            return pdf_of_many(title, reports, paper)
    except Damaged:
        return pdf_of_many(title, [_settable(report, speaker) for report in reports], paper)


def _settable(report: Report, speaker: Speaker) -> Report:
    try:
        with contained():
            pdf_file(report)
    except Damaged as damage:
        return _told(report.title, damage, speaker)
    return report


@blueprint.get("/archive")
@blueprint.response(200, content_type="application/zip")
def archive() -> Response:
    """Every sheet of the notebook in one ZIP with a manifest, which tells what had to be left."""
    with notebook().store.reading() as session:
        found = all_filed(session, all_sheets(session))
        missing = [LeftOut(one.id, one.title, say(why)) for one, why in found.left_out]
    content = write_archive(found.whole, missing)
    headers = {"Content-Disposition": 'attachment; filename="metrion-notebook.zip"'}
    return Response(content, mimetype="application/zip", headers=headers)
