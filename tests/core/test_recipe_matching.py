"""What of a sheet stands in the blanks of a recipe, and what does not."""

from fractions import Fraction
from typing import Any

import pytest

from metrion.core.formula.units import parse_unit
from metrion.core.quantity.recipe_matching import BlankCandidate, matched
from metrion.core.quantity.recipes import BOARD, Role

RECIPES = {recipe.id: recipe for recipe in BOARD}
SAYS = {
    Role.OUTSIDE: ["outside", "diameter"], Role.INSIDE: ["inner", "bore"],
    Role.DEPTH: ["length", "depth"],
}  # fmt: skip
LENGTH, ANGLE, VOLUME = (parse_unit(unit).dimension for unit in ("mm", "deg", "cm**3"))


def one(key: str, size: int | None, dimension: Any = LENGTH, **more: str) -> BlankCandidate:
    value = None if size is None else Fraction(size)
    return BlankCandidate(key, dimension, **{"name": key, **more}, value=value)


def found(recipe: str, *candidates: BlankCandidate) -> dict[str, str]:
    return matched(RECIPES[recipe], candidates, SAYS)


FACES = (
    one("deep", 30, face="depth"), one("in", 6, face="inside"), one("out", 8, face="outside"),
)  # fmt: skip


def test_by_the_faces_whatever_the_order() -> None:
    wanted = {"D": "out", "d": "in", "h": "deep"}
    assert found("tube", *FACES) == found("tube", *reversed(FACES)) == wanted
    assert found("cylinder", *FACES) == {"D": "out", "h": "deep"}


def test_a_letter_tells_more_than_the_faces() -> None:
    lettered = (one("x", 8, face="outside"), one("y", 9, face="outside", letter="D"))
    assert found("cylinder", *lettered) == {"D": "y", "h": "x"}


def test_by_names_where_the_faces_do_not_tell() -> None:
    named = (
        one("a", 40, face="outside", name="Rod, length"), one("b", 8, face="outside", name="Rod"),
    )  # fmt: skip
    assert found("cylinder", *named) == {"D": "b", "h": "a"}


def test_what_contradicts_its_blank_is_left_to_be_chosen() -> None:
    # It is called inner, and was taken with the outside jaws: that is asked, not guessed.
    outside = one("a", 8, face="outside"), one("b", 6, face="outside", name="Bore")
    assert found("wall", *outside) == {"D": "a"}


def test_the_larger_comes_first_where_only_the_value_tells() -> None:
    small, large = one("s", 6), one("l", 8)
    assert found("difference", small, large) == {"a": "l", "b": "s"}
    assert found("difference", small, one("none", None)) == {"a": "s", "b": "none"}
    assert found("mean", small, large) == {"a": "s", "b": "l"}
    lettered = one("s", 6, letter="a")
    assert found("difference", large, lettered) == {"a": "s", "b": "l"}


def test_others_of_the_same_thing_come_first() -> None:
    things = (
        one("o1", 9, face="outside", thing="spar"), one("i2", 6, face="inside", thing="ferrule"),
        one("o2", 8, face="outside", thing="ferrule", letter="D"),
        one("i1", 7, face="inside", thing="spar"),
    )  # fmt: skip
    assert found("wall", *things) == {"D": "o2", "d": "i2"}
    assert found("wall", things[3], *things[:3]) == {"D": "o2", "d": "i2"}


@pytest.mark.parametrize(
    ("recipe", "wanted"),
    [
        ("grating", {"theta": "angle"}), ("density-of-volume", {"V": "volume"}),
        ("wavelength", {"g": "out", "theta": "angle"}), ("prism", {"A": "angle"}),
    ],
)  # fmt: skip
def test_only_what_has_the_dimension_and_is_not_usually_typed(
    recipe: str, wanted: dict[str, str]
) -> None:
    others = one("angle", 900, ANGLE), one("volume", 12, VOLUME)
    assert found(recipe, FACES[2], *others) == wanted
    assert found(recipe) == {}
