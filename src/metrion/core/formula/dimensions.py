"""Whether the units of a formula combine, and the formula with its units made explicit."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from fractions import Fraction

from metrion.core.errors import FormulaError, UnitError
from metrion.core.exact.angles import HALF_CIRCLE
from metrion.core.facts import Name
from metrion.core.formula.evaluate import PI
from metrion.core.formula.expression import Expression, NodeType, angle, call, fold, name
from metrion.core.formula.parse import Formula
from metrion.core.formula.units import ANGLE, NONE, Dimension

_Measured = tuple[Expression, Dimension]


def resolve(formula: Formula, dimensions: Mapping[str, Dimension]) -> tuple[Formula, Dimension]:
    """Check that the units combine; the formula with its trigonometry told what it takes.

    Args:
        dimensions: the dimension of every input symbol.

    Returns:
        The formula to evaluate, and the dimension of what it gives.

    Raises:
        FormulaError: if it names something that is no input.
        UnitError: if the units cannot be combined.
    """
    if unknown := sorted(formula.names - dimensions.keys()):
        raise FormulaError("formula-names-no-input", names=Name(", ".join(unknown)))

    def measured(piece: Expression, operands: list[_Measured]) -> _Measured:
        whole = replace(piece, operands=tuple(operand for operand, _ in operands))
        found = [dimension for _, dimension in operands]
        match piece.type:
            case NodeType.NAME:
                return whole, dimensions.get(piece.word, NONE)
            case NodeType.NUMBER:
                return whole, NONE
            case NodeType.NEGATIVE:
                return whole, found[0]
            case NodeType.POWER:
                return whole, found[0] ** piece.value
            case NodeType.CALL:
                return _in_radians(whole, found[0]), _called(piece.word, found[0])
        return whole, _combined(piece.type, *found)

    tree, dimension = fold(formula.tree, measured)
    return replace(formula, in_base_units=tree), dimension


def _in_radians(whole: Expression, argument: Dimension) -> Expression:
    """A function of an angle, or one that gives one: between arc minutes and radians."""
    if whole.word.startswith("a"):
        return whole * angle(HALF_CIRCLE) / name(PI)
    if whole.word != "sqrt" and argument == ANGLE:
        return call(whole.word, whole.operands[0] * name(PI) / angle(HALF_CIRCLE))
    return whole


def _combined(operator: str, left: Dimension, right: Dimension) -> Dimension:
    if operator == "*":
        return left * right
    if operator == "/":
        return left / right
    if left != right:
        raise UnitError("units-do-not-match", operator=Name(operator))
    return left


def _called(function: str, argument: Dimension) -> Dimension:
    if function == "sqrt":
        return argument ** Fraction(1, 2)
    if function.startswith("a"):
        if argument != NONE:
            raise UnitError("function-takes-bare-number", function=Name(function))
        return ANGLE
    if argument not in (ANGLE, NONE):
        raise UnitError("function-takes-angle", function=Name(function))
    return NONE
