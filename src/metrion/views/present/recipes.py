"""The board of usual derived quantities as the API shows it."""

from __future__ import annotations

from fractions import Fraction

from metrion.core.formula.notation import printed_formula, printed_unit
from metrion.core.formula.units import parse_unit
from metrion.core.logbook import Results
from metrion.core.quantity.derived import unit_of
from metrion.core.quantity.recipe_matching import BlankCandidate, matched
from metrion.core.quantity.recipes import BOARD, Recipe, Role
from metrion.views.locale import shown, speaker
from metrion.views.present.budget import dimension_text
from metrion.views.schemas.derived import BlankView, RecipeView


def board_view(results: Results | None = None) -> list[RecipeView]:
    """Every recipe with its blanks, the simplest first; of a sheet, with what stands in them."""
    found = _candidates(results) if results else []
    speaks: dict[Role, list[str]] = {
        role: speaker().text_of("size-words", role).split() for role in Role if role is not Role.ANY
    }
    return [_recipe_view(one, matched(one, found, speaks)) for one in BOARD]


def _recipe_view(recipe: Recipe, found: dict[str, str]) -> RecipeView:
    return RecipeView(
        id=recipe.id,
        title=speaker().text_of("recipe", recipe.id),
        formula=shown(printed_formula(recipe.formula)),
        unit=printed_unit(recipe.unit),
        blanks=[
            BlankView(
                symbol=blank.symbol,
                label=speaker().text_of("recipe", f"{recipe.id}.{blank.symbol}"),
                unit=blank.unit,
                dimension=dimension_text(parse_unit(blank.unit)),
                found=found.get(blank.symbol),
            )
            for blank in recipe.blanks
        ],
    )


def _candidates(results: Results) -> list[BlankCandidate]:
    """Everything of a sheet that can stand in a blank."""
    measured = [
        BlankCandidate(
            id=one.id,
            dimension=unit_of(one).dimension,
            name=one.label,
            thing=one.thing,
            letter=one.symbol,
            face=one.face,
            value=None if one.mean is None else one.mean * Fraction(unit_of(one).factor),
        )
        for one in results.logbook.measurements
    ]
    derived = [
        BlankCandidate(
            id=found.derived.id,
            dimension=found.derived.unit.dimension,
            name=found.derived.label,
            value=None if found.value is None else found.value * found.derived.unit.factor,
        )
        for found in results.derived
    ]
    return [*measured, *derived]
