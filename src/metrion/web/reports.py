"""``/api/sheets/<sheet>/report…``: what is handed in, and the tables for other programs."""

from __future__ import annotations

from datetime import UTC, datetime
from functools import partial

from flask import Response

from metrion.formats.archive import file_name
from metrion.formats.forms import FORMS, HandedOn, SheetForm
from metrion.formats.handed_in import handed_in
from metrion.notebook.damage import contained
from metrion.store.pictures import find_pictures
from metrion.store.sheets import find_sheet
from metrion.views.locale import speaker
from metrion.views.schemas.sheets import WantedView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook

blueprint = Blueprint("reports", __name__, url_prefix="/api/sheets/<sheet>")


def _handed_on(sheet: str, wanted: WantedView, *, carries: bool) -> HandedOn:
    """The sheet, worked out. 404 for a sheet or quantity that is not here.

    Args:
        carries: whether its form carries the pictures of readings, seen in it or not.
    """
    with notebook().store.reading() as session:
        found = find_sheet(session, sheet)
        worked = notebook().evaluated(session, found)
        document = worked.whole.document
        needed = carries or wanted.photographs
        pictures = find_pictures(session, found, document) if needed else {}
    if wanted.quantity is not None:
        worked.quantity(wanted.quantity)
    date = datetime.now(UTC).date().isoformat()
    made = partial(
        handed_in, worked.results, document, speaker(),
        date=date, quantity=wanted.quantity, length=wanted.length,
        pictures=pictures, shown=wanted.photographs,
    )  # fmt: skip
    logbook = worked.whole.logbook
    return HandedOn(made, worked.results, logbook, speaker(), wanted.quantity, wanted.paper)


def _offer(form: SheetForm) -> None:
    """Answer at the address of a form."""

    @contained()
    def written(wanted: WantedView, sheet: str) -> Response:
        found = _handed_on(sheet, wanted, carries=form.carries)
        answer = Response(form.write(found), mimetype=form.media_type)
        if form.label:
            name = f"{file_name(found.kept.title)}{form.ends}"
            answer.headers["Content-Disposition"] = f'attachment; filename="{name}"'
        return answer

    written.__name__ = form.key.replace("-", "_")
    written.__doc__ = f"The sheet or one quantity of it: {form.about}."
    answered = blueprint.response(200, content_type=form.media_type)(written)
    asked = blueprint.arguments(schema_of(WantedView), location="query")(answered)
    blueprint.get(f"/{form.address}")(asked)


for _form in FORMS.values():
    _offer(_form)
