"""``/api/trash``: sheets that were thrown away."""

from __future__ import annotations

from metrion.store.sheets import all_sheets
from metrion.views.schemas.sheets import SheetListView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook
from metrion.web.sheets import listing

blueprint = Blueprint("trash", __name__, url_prefix="/api/trash")


@blueprint.delete("")
@blueprint.response(200, schema_of(SheetListView))
def empty_trash() -> SheetListView:
    """Do away with all sheets in the trash, for good; backups still have them."""
    with notebook().store.writing() as session:
        for sheet in all_sheets(session, deleted=True):
            session.delete(sheet)
    return listing()
