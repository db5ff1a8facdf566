"""``/api/board``: usual derived quantities, ready to be filled in."""

from __future__ import annotations

from typing import Any

from flask_smorest import Blueprint

from metrion.core.formula.notation import printed_formula, printed_unit
from metrion.core.quantity.board import BOARD
from metrion.web.schemas import RecipeSchema
from metrion.web.speaking import shown, speaker

blueprint = Blueprint("board", __name__, url_prefix="/api/board")


@blueprint.get("")
@blueprint.response(200, RecipeSchema(many=True))
def get_board() -> list[dict[str, Any]]:
    """Every recipe with its blanks, the simplest first."""
    return [
        {
            "id": recipe.id,
            "title": speaker().text(f"recipe-{recipe.id}"),
            "formula": shown(printed_formula(recipe.formula)),
            "unit": printed_unit(recipe.unit),
            "blanks": [
                {
                    "symbol": symbol,
                    "label": speaker().text(f"recipe-{recipe.id}.{symbol}"),
                    "unit": unit,
                }
                for symbol, unit in recipe.blanks.items()
            ],
        }
        for recipe in BOARD
    ]
