"""``/api/now``: what windows ask again and again, to follow what happens elsewhere."""

from __future__ import annotations

from metrion.store.models import Sheet
from metrion.web.bodies import Blueprint
from metrion.web.notebook import notebook
from metrion.web.schemas import NowView, WindowView, schema_of

blueprint = Blueprint("now", __name__, url_prefix="/api/now")


@blueprint.get("")
@blueprint.arguments(schema_of(WindowView), location="query")
@blueprint.response(200, schema_of(NowView))
def now(window: WindowView) -> NowView:
    """In which state the notebook is, and the sheet that a window shows."""
    if window.at:
        notebook().open_at = window.at
    state = notebook().store.state()
    with notebook().store.reading() as session:
        sheet = session.get(Sheet, window.sheet) if window.sheet else None
        return NowView(state, sheet.version if sheet else None)
