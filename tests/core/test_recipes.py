"""The board: every recipe can be worked out as it stands, in its unit."""

from fractions import Fraction

import pytest

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.formula import parse_formula
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.units import parse_unit
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.derived_result import DerivedResult, reduce_derived
from metrion.core.quantity.recipes import BOARD, Recipe

RECIPES = {recipe.id: recipe for recipe in BOARD}


def worked(recipe: Recipe, **values: str) -> DerivedResult:
    units = {blank.symbol: parse_unit(blank.unit) for blank in recipe.blanks}
    formula, _ = resolve(
        parse_formula(recipe.formula), {s: unit.dimension for s, unit in units.items()}
    )
    inputs = {
        symbol: TypedValue(Fraction(values[symbol]), Fraction("0.01"), unit)
        for symbol, unit in units.items()
    }
    unit = parse_unit(recipe.unit)
    return reduce_derived(Derived("x", recipe.id, formula, unit, BUILT_IN["standard"], inputs))


def test_no_recipe_twice() -> None:
    assert len(RECIPES) == len(BOARD)


@pytest.mark.parametrize("recipe", BOARD, ids=lambda recipe: recipe.id)
def test_the_blanks_are_the_names_of_the_formula(recipe: Recipe) -> None:
    symbols = [blank.symbol for blank in recipe.blanks]
    assert set(symbols) == parse_formula(recipe.formula).names
    assert len(symbols) == len(set(symbols))
    assert set(recipe.falling) <= set(symbols)


@pytest.mark.parametrize(
    ("recipe", "values", "expected"),
    [
        ("difference", {"a": "8.5", "b": "6.25"}, 2.25),
        ("wall", {"D": "8.5", "d": "6.5"}, 1.0),
        ("mean", {"a": "8.5", "b": "6.5"}, 7.5),
        ("mean-of-three", {"a": "8.5", "b": "6.5", "c": "9"}, 8),
        ("disc", {"d": "20"}, 314.159265359),
        ("ring", {"D": "10", "d": "8"}, 28.2743338823),
        ("plate", {"a": "30", "b": "20"}, 600),
        ("cylinder", {"D": "20", "h": "10"}, 3141.59265359),
        ("tube", {"D": "10", "d": "8", "h": "100"}, 2827.43338823),
        ("sphere", {"d": "20"}, 4188.79020479),
        ("slab", {"a": "30", "b": "20", "c": "5"}, 3000),
        ("density", {"m": "8.1", "a": "30", "b": "20", "c": "5"}, 2.7),
        ("density-of-volume", {"m": "27", "V": "10"}, 2.7),
        # 20 mm across and 10 mm high: 3.14 cubic centimetres
        ("density-of-rod", {"m": "24.5", "D": "20", "h": "10"}, 7.79859221),
        ("items", {"h": "12", "t": "0.5"}, 24),
        # 589 nm at 20 degrees in the second order
        ("grating", {"k": "2", "w": "589", "theta": "20"}, 3.44425211),
        ("lines", {"k": "2", "w": "589", "theta": "20"}, 290.338830),
        ("wavelength", {"g": "3.44425211", "theta": "20", "k": "2"}, 589),
        ("prism-angle", {"R": "120"}, 60),
        ("prism", {"A": "60", "D": "38.9333333"}, 1.52006),
    ],
)
def test_each_gives_what_it_says(recipe: str, values: dict[str, str], expected: float) -> None:
    found = worked(RECIPES[recipe], **values)
    assert found.value is not None
    assert found.rounded is not None
    assert float(found.value) == pytest.approx(expected, rel=1e-4)
