"""Results as bands on one axis: where they lie, how wide they are, whether they meet."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.exact.axis import round_marks
from metrion.core.formula import Expression
from metrion.core.formula.expression import NodeType
from metrion.core.quantity.derived import Derived, by_itself
from metrion.core.quantity.derived_result import DerivedResult, reduce_derived

_MARGIN = Fraction(1, 12)


@dataclass(frozen=True)
class Band:
    """A value with its uncertainty.

    Attributes:
        value: in the unit of the axis.
        uncertainty: in that unit, not negative.
    """

    value: Fraction
    uncertainty: Fraction

    @property
    def low(self) -> Fraction:
        """Where it begins."""
        return self.value - self.uncertainty

    @property
    def high(self) -> Fraction:
        """Where it ends."""
        return self.value + self.uncertainty


@dataclass(frozen=True)
class Axis:
    """What bands are seen on, in their unit.

    Attributes:
        low: where it begins.
        high: where it ends.
        marks: where it is marked.
    """

    low: Fraction
    high: Fraction
    marks: Sequence[Fraction]


def axis_for(bands: Sequence[Band]) -> Axis:
    """An axis that holds all of the bands, with a margin."""
    low, high = min(band.low for band in bands), max(band.high for band in bands)
    margin = (high - low) * _MARGIN or abs(low) / 10 or Fraction(1)
    return Axis(low - margin, high + margin, round_marks(low - margin, high + margin))


def band_of(found: DerivedResult) -> Band | None:
    """A result as a band; None where it has no value."""
    if found.value is None or found.uncertainty is None:
        return None
    return Band(Fraction(found.value), found.uncertainty.size)


def subtracted(derived: Derived) -> Mapping[str, Band]:
    """The two inputs of a difference by their symbols, each in the unit of the difference.

    A difference may be divided by a number (a wall is half of one). Empty for any other formula,
    and where an input has no value.
    """
    symbols = _subtracted(derived.formula.tree)
    if len(symbols) != 2:
        return {}
    found = {symbol: _alone(derived, symbol) for symbol in symbols}
    return {symbol: band for symbol, band in found.items() if band} if all(found.values()) else {}


def _subtracted(tree: Expression) -> tuple[str, ...]:
    if tree.type is NodeType.OVER and tree.operands[1].type is NodeType.NUMBER:
        tree = tree.operands[0]
    names = tuple(piece.word for piece in tree.operands if piece.type is NodeType.NAME)
    return names if tree.type is NodeType.MINUS and names[:1] != names[1:] else ()


def _alone(derived: Derived, symbol: str) -> Band | None:
    """An input by itself, stated by the convention of what it is subtracted for."""
    given = derived.inputs[symbol]
    alone = by_itself(given, derived.convention)
    return band_of(reduce_derived(replace(alone, unit=derived.unit)))
