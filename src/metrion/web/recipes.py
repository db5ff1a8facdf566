"""``/api/board`` and ``/api/sheets/<key>/board``: usual derived quantities, to be filled in."""

from __future__ import annotations

from metrion.notebook.damage import contained
from metrion.views.present.recipes import board_view
from metrion.views.schemas.derived import RecipeView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint
from metrion.web.current import notebook

blueprint = Blueprint("board", __name__, url_prefix="/api")


@blueprint.get("/board")
@blueprint.response(200, schema_of(RecipeView)(many=True))
def get_board() -> list[RecipeView]:
    """Every recipe with its blanks, the simplest first."""
    return board_view()


@blueprint.get("/sheets/<key>/board")
@blueprint.response(200, schema_of(RecipeView)(many=True))
@contained()
def get_board_of_sheet(key: str) -> list[RecipeView]:
    """The same, with what of a sheet stands in the blanks. 404 if it is not here."""
    return board_view(notebook().sheet(key).results)
