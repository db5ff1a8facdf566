"""``/api/now``: what windows ask again and again, to follow what happens elsewhere."""

from __future__ import annotations

from metrion.store.models import Sheet
from metrion.views.schemas.notebook import NowView, WindowView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook
from metrion.web.idempotency import asking_window
from metrion.web.sessions import (
    SAME_ORIGIN,
    begin_session,
    is_here,
    marked_as_from,
    own_session,
    sessions,
)
from metrion.web.windows import windows

blueprint = Blueprint("now", __name__, url_prefix="/api/now")


@blueprint.get("")
@blueprint.arguments(schema_of(WindowView), location="query")
@blueprint.response(200, schema_of(NowView))
def now(window: WindowView) -> NowView:
    """In which state the notebook is, and the sheet that a window shows.

    Where somebody looks counts for the session of the window alone.
    """
    if window.at:
        _note(window.at)
    windows().note(asking_window(), window.sheet, hidden=window.hidden)
    state = notebook().store.state()
    with notebook().store.reading() as session:
        sheet = session.get(Sheet, window.sheet) if window.sheet else None
        return NowView(state, sheet.version if sheet else None)


def _note(path: str) -> None:
    key = own_session()
    # A page that was open before the server was started anew goes on.
    if key is None and marked_as_from() == SAME_ORIGIN:
        key = begin_session()
    if key is not None:
        sessions().show(key, path, here=is_here())
