"""``/api/board``: usual derived quantities, ready to be filled in."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from flask_smorest import Blueprint

from metrion.core.formula.notation import printed_formula, printed_unit
from metrion.core.quantity.board import BOARD
from metrion.web.schemas import RecipeSchema

blueprint = Blueprint("board", __name__, url_prefix="/api/board")


@blueprint.get("")
@blueprint.response(200, RecipeSchema(many=True))
def get_board() -> list[dict[str, Any]]:
    """Every recipe with its blanks, the simplest first."""
    return [
        {
            **asdict(recipe),
            "formula": printed_formula(recipe.formula),
            "unit": printed_unit(recipe.unit),
        }
        for recipe in BOARD
    ]
