"""What of a sheet stands in the blanks of a recipe."""

from __future__ import annotations

from collections.abc import Collection, Iterator, Mapping, Sequence
from dataclasses import dataclass

from metrion.core.declared import folded
from metrion.core.exact.numbers import Number
from metrion.core.formula.units import Dimension, parse_unit
from metrion.core.quantity.recipes import Blank, Recipe, Role


@dataclass(frozen=True)
class BlankCandidate:
    """What of a sheet may stand in a blank.

    Attributes:
        id: of the measurement, or of the derived quantity.
        dimension: of its value.
        name: what it is called.
        thing: what it was measured on; may be empty.
        letter: its own; may be empty.
        face: it was taken with; may be empty.
        value: in base units; None where it has none yet.
    """

    id: str
    dimension: Dimension
    name: str
    thing: str = ""
    letter: str = ""
    face: str = ""
    value: Number | None = None


_LETTER, _FACE, _WORD, _THING = 8, 4, 2, 1


def matched(
    recipe: Recipe, found: Sequence[BlankCandidate], says: Mapping[Role, Collection[str]]
) -> dict[str, str]:
    """What of a sheet stands in the blanks of a recipe, by their symbols; each at most once.

    A letter tells most, then the faces, then the name, then that others are of the same thing. What
    contradicts a blank does not stand there, nor anything where a value is usually typed in.

    Args:
        found: what there is, in the order of the sheet.
        says: words of names that tell of a size, folded.
    """
    blanks = [blank for blank in recipe.blanks if not blank.typed]
    chosen: dict[str, BlankCandidate] = {}
    while True:
        thing = next((one.thing for one in chosen.values() if one.thing), "")
        left = [
            (_score(blank, one, says) + _THING * bool(thing and one.thing == thing), blank, one)
            for blank in blanks
            for one in found
            if blank.symbol not in chosen
            and one not in chosen.values()
            and one.dimension == parse_unit(blank.unit).dimension
        ]
        fitting = [each for each in left if each[0] >= 0]
        if not fitting:
            return {symbol: one.id for symbol, one in _fallen(recipe, chosen, says)}
        # The first of the best: max keeps the order of blanks, then that of the sheet.
        _, blank, one = max(fitting, key=lambda each: each[0])
        chosen[blank.symbol] = one


def _score(blank: Blank, one: BlankCandidate, says: Mapping[Role, Collection[str]]) -> int:
    """How much tells that it stands there; below 0 where something speaks against it."""
    score = _LETTER * (one.letter == blank.symbol)
    if blank.role is Role.ANY:
        return score
    words = set(folded(one.name).replace(",", " ").split())
    told = {role for role, said in says.items() if words & set(said)}
    if one.face:
        fits = one.face == blank.role or (blank.role is Role.DEPTH and one.face != Role.INSIDE)
        score += (_FACE if one.face == blank.role else 0) if fits else -_FACE
    if told:
        score += _WORD if blank.role in told else -_WORD
    return score


def _fallen(
    recipe: Recipe, chosen: Mapping[str, BlankCandidate], says: Mapping[Role, Collection[str]]
) -> Iterator[tuple[str, BlankCandidate]]:
    """The same, larger values first where nothing but the value tells blanks apart."""
    blanks = {blank.symbol: blank for blank in recipe.blanks}
    alike = [
        symbol
        for symbol in recipe.falling
        if symbol in chosen and chosen[symbol].value is not None
        if len({_score(blanks[other], chosen[symbol], says) for other in recipe.falling}) == 1
    ]
    by_size = sorted((chosen[symbol] for symbol in alike), key=_size, reverse=True)
    yield from {**chosen, **dict(zip(alike, by_size, strict=True))}.items()


def _size(one: BlankCandidate) -> Number:
    assert one.value is not None
    return one.value
