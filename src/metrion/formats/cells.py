"""Expressions as the formulas of a spreadsheet."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from fractions import Fraction

from metrion.core.formula.evaluate import PI
from metrion.core.formula.expression import Expression, NodeType, fold

_HAIR = "0.000000001"
"""Added before a number is cut off, so that a whole one that is not quite one stays whole."""
_FUNCTIONS = frozenset(
    {"max", "min", "sqrt", "abs", "sum", "count", "sin", "cos", "tan", "asin", "acos", "atan"}
)
"""Those that are called alike there, in capitals."""


def cell_formula(
    expression: Expression, cells: Mapping[str, str], column: Callable[[Expression], str]
) -> str:
    """An expression as the formula of a cell, without its equals sign.

    Args:
        cells: the cell of each name; of a list, its range.
        column: the range of a column that is made for a list to be worked out element by element.
    """

    def text(piece: Expression, operands: list[str]) -> str:
        match piece.type:
            case NodeType.NUMBER | NodeType.ANGLE:
                return _number(piece.value)
            case NodeType.NAME:
                return "PI()" if piece.word == PI else cells[piece.word]
            case NodeType.NEGATIVE:
                return f"(-{operands[0]})"
            case NodeType.POWER:
                return f"({operands[0]})^({_number(piece.value)})"
            case NodeType.CALL:
                return _called(piece, operands, column)
        return f"({operands[0]}{piece.type}{operands[1]})"

    return fold(expression, text)


def _called(piece: Expression, operands: list[str], column: Callable[[Expression], str]) -> str:
    if piece.word == "sum" and piece.operands[0].type is not NodeType.NAME:
        return f"SUM({column(piece.operands[0])})"
    if piece.word == "modulo":
        of, by = operands
        return f"({of}-{by}*INT({of}/{by}+{_HAIR}))"
    if piece.word == "floor":
        return f"INT({operands[0]}+{_HAIR})"
    if piece.word == "student":
        return f"TINV(1-{operands[0]},{operands[1]})"
    if piece.word == "normal":
        return f"NORMSINV(1-(1-{operands[0]})/2)"
    assert piece.word in _FUNCTIONS, piece.word
    return f"{piece.word.upper()}({','.join(operands)})"


def _number(value: Fraction) -> str:
    """A number in full, or as a fraction that the spreadsheet divides.

    Raises:
        OverflowError: for one that no spreadsheet can hold.
    """
    float(value)
    if value.denominator == 1:
        return str(value.numerator) if value >= 0 else f"({value.numerator})"
    exact = repr(float(value))
    if "e" not in exact and Fraction(exact) == value:
        return exact if value >= 0 else f"({exact})"
    return f"({value.numerator}/{value.denominator})"
