"""``/api/board``: usual derived quantities, ready to be filled in."""

from __future__ import annotations

from metrion.core.formula.notation import printed_formula, printed_unit
from metrion.core.quantity.recipes import BOARD
from metrion.views.locale import shown, speaker
from metrion.views.schemas.derived import BlankView, RecipeView
from metrion.views.schemas.view import schema_of
from metrion.web.bodies import Blueprint

blueprint = Blueprint("board", __name__, url_prefix="/api/board")


@blueprint.get("")
@blueprint.response(200, schema_of(RecipeView)(many=True))
def get_board() -> list[RecipeView]:
    """Every recipe with its blanks, the simplest first."""
    return [
        RecipeView(
            id=recipe.id,
            title=speaker().text_of("recipe", recipe.id),
            formula=shown(printed_formula(recipe.formula)),
            unit=printed_unit(recipe.unit),
            blanks=[
                BlankView(symbol, speaker().text_of("recipe", f"{recipe.id}.{symbol}"), unit)
                for symbol, unit in recipe.blanks.items()
            ],
        )
        for recipe in BOARD
    ]
