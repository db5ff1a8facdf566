"""Formulas of derived quantities: read, and held to their bounds."""

from __future__ import annotations

import ast
import math
import re
from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction
from itertools import pairwise

from metrion.core.errors import FormulaError, shortened
from metrion.core.exact.bounds import DEEPEST_BRACKETS, LARGEST_EXPONENT, LONGEST_FORMULA
from metrion.core.exact.numbers import Number, parse_exact
from metrion.core.facts import Name
from metrion.core.formula.evaluate import PI
from metrion.core.formula.expression import Expression, NodeType, fold

FUNCTIONS = ("sqrt", "sin", "cos", "tan", "asin", "acos", "atan")
RESERVED = (PI, *FUNCTIONS)
SYMBOL = re.compile(r"[A-Za-z_][A-Za-z0-9_]*")

_NAME = r"(?<![\w.])[A-Za-z_][A-Za-z0-9_]*"
_NUMBER = r"(?<![\w.])[0-9]+(?:\.[0-9]+)?(?![\w.])"
_TOKEN = re.compile(rf"({_NAME})|({_NUMBER})|[-+*/()]|\s", re.ASCII)
_OPERATORS: dict[type[ast.AST], str] = {
    ast.Add: "+",
    ast.Sub: "-",
    ast.Mult: "*",
    ast.Div: "/",
}
_DECADES = 300
_LARGEST = Fraction(10**_DECADES)
_EXACT_BITS = 4096
"""Beyond so many bits a part made of numbers is worked out as a float."""


@dataclass(frozen=True)
class Formula:
    """A formula that parses.

    Attributes:
        text: as it was written.
        tree: as an expression of its input symbols.
        in_base_units: the same for inputs in millimetres, grams and arc minutes, which gives its
            value in those; set by `resolve`.
    """

    text: str
    tree: Expression
    in_base_units: Expression | None = None

    @property
    def names(self) -> set[str]:
        """The input symbols it uses."""
        return self.tree.names - {PI}


def parse_formula(text: str) -> Formula:
    """Read a formula; precedence as in Python.

    Raises:
        FormulaError: if it does not parse, calls something that is no function, or holds an
            exponent that is no constant whole or half number from -9 to 9.
    """
    if _TOKEN.sub("", text):
        raise _unclear(text) or FormulaError("formula-with-odd-sign", text=shortened(text))
    # Names and numbers travel through Python's parser as marked names: so a symbol may be one of
    # its keywords, and a number keeps every digit.
    marked = _TOKEN.sub(_marked, text)
    try:
        tree = ast.parse(" ".join(marked.split()), mode="eval")
        return Formula(text, _tree(tree.body))
    except (SyntaxError, RecursionError, MemoryError):
        raise (
            _unclear(text) or FormulaError("formula-not-understood", text=shortened(text))
        ) from None


_PIECE = re.compile(
    r"(?P<operand>[A-Za-z_][A-Za-z0-9_]*|[0-9.]+|π)|[⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+|\*\*|\S",
)
_QUOTED = 12
"""Characters of a formula that are quoted beside what is wrong."""


def _unclear(text: str) -> FormulaError | None:
    """What is wrong with the signs of a formula, by what stands there; None if nothing is."""
    pieces = list(_PIECE.finditer(text))
    for before, piece in pairwise([None, *pieces, None]):
        first, second = before and before[0], piece and piece[0]
        whole = before is not None and (before["operand"] is not None or first in _ENDS)
        begins = piece is not None and (piece["operand"] is not None or second == "√")
        if whole and begins:
            about = {"first": Name(str(first)), "second": Name(str(second))}
            return FormulaError("formula-meets", **about)
        if not whole and second in _GO_ON:
            return FormulaError("formula-lacks", where="before", sign=Name(str(second)))
        if first in _SIGNS and second is None:
            return FormulaError("formula-lacks", where="after", sign=Name(str(first)))
    return _unbalanced(text, pieces)


_ENDS = frozenset({")", *"⁰¹²³⁴⁵⁶⁷⁸⁹"})
_SIGNS = frozenset({"+", "-", "*", "/", "**"})
_GO_ON = frozenset({"*", "/", "**", ")"})


def _unbalanced(text: str, pieces: Sequence[re.Match[str]]) -> FormulaError | None:
    opened: list[int] = []
    for piece in pieces:
        if piece[0] == "(":
            opened.append(piece.start())
        elif piece[0] == ")" and opened:
            opened.pop()
        elif piece[0] == ")":
            return FormulaError("formula-closes", text=Name(text[: piece.end()][-_QUOTED:]))
    if not opened:
        return None
    return FormulaError("formula-opens", text=Name(text[opened[-1] :][:_QUOTED]))


def _marked(token: re.Match[str]) -> str:
    name, number = token.groups()
    if name:
        return f"name_{name}"
    return f"number_{number.replace('.', '_')}" if number else token.group()


def _read(word: str) -> str | Fraction:
    """A marked name as the name or the number it stands for."""
    kind, _, text = word.partition("_")
    return text if kind == "name" else parse_exact(text.replace("_", "."))


@dataclass(frozen=True)
class _Acting:
    """What acts on the operands that were read before it."""

    type: NodeType
    operands: int
    word: str = ""
    value: Fraction = Fraction(0)


def _tree(root: ast.expr) -> Expression:
    """Walk without recursion: a node is met once to put its operands before it, then built."""
    waiting: list[ast.expr | _Acting] = [root]
    built: list[Expression] = []
    while waiting:
        node = waiting.pop()
        if isinstance(node, _Acting):
            operands = tuple(built[len(built) - node.operands :])
            del built[len(built) - node.operands :]
            built.append(Expression(node.type, operands, node.word, node.value))
        else:
            waiting.extend(reversed(_operands_first(node)))
    return built.pop()


def _operands_first(node: ast.expr) -> list[ast.expr | _Acting]:
    match node:
        case ast.Name(id=word):
            return [_operand(_read(word))]
        case ast.UnaryOp(op=ast.UAdd(), operand=operand):
            return [operand]
        case ast.UnaryOp(op=ast.USub(), operand=operand):
            return [operand, _Acting(NodeType.NEGATIVE, 1)]
        case ast.BinOp(left=base, op=ast.Pow(), right=exponent):
            return [base, _Acting(NodeType.POWER, 1, value=_exponent(exponent))]
        case ast.BinOp(left=left, op=operator, right=right) if type(operator) in _OPERATORS:
            return [left, right, _Acting(NodeType(_OPERATORS[type(operator)]), 2)]
        case ast.Call(func=ast.Name(id=word), args=[argument], keywords=[]):
            if _read(word) in FUNCTIONS:
                return [argument, _Acting(NodeType.CALL, 1, str(_read(word)))]
            raise FormulaError(
                "no-function", text=shortened(str(_read(word))), known=Name(", ".join(FUNCTIONS))
            )
    raise FormulaError("formula-with-other-things")


def _operand(word: str | Fraction) -> _Acting:
    if isinstance(word, Fraction):
        return _Acting(NodeType.NUMBER, 0, value=word)
    if word in FUNCTIONS:
        raise FormulaError("function-without-brackets", function=Name(word))
    return _Acting(NodeType.NAME, 0, word)


def _exponent(node: ast.expr) -> Fraction:
    try:
        value = Fraction(_constant_value(node))
    except (ArithmeticError, RecursionError, ValueError):
        raise FormulaError("exponent-without-value") from None
    if (2 * value).denominator != 1 or abs(value) > LARGEST_EXPONENT:
        raise FormulaError("exponent-out-of-bounds", most=LARGEST_EXPONENT)
    return value


def _constant_value(node: ast.expr) -> Number:
    match node:
        case ast.Name(id=word) if isinstance(number := _read(word), Fraction):
            return number
        case ast.UnaryOp(op=ast.UAdd(), operand=operand):
            return _constant_value(operand)
        case ast.UnaryOp(op=ast.USub(), operand=operand):
            return -_constant_value(operand)
        case ast.BinOp(left=base, op=ast.Pow(), right=exponent):
            return _powered(_constant_value(base), _exponent(exponent))
        case ast.BinOp(left=left, op=operator, right=right) if type(operator) in _OPERATORS:
            sign = _OPERATORS[type(operator)]
            return _calculated(sign, _constant_value(left), _constant_value(right))
    raise FormulaError("exponent-not-constant")


def check_bounds(formula: Formula) -> None:
    """Refuse a formula that is too long or too deep, or holds too large or too small a number.

    Parts made of numbers alone count as numbers. New formulas are checked; those that were kept
    before there were bounds are worked out as far as a double goes.

    Raises:
        FormulaError: with what is allowed.
    """
    if len(formula.text) > LONGEST_FORMULA:
        raise FormulaError("formula-too-long", count=len(formula.text), most=LONGEST_FORMULA)
    depth = deepest = 0
    for sign in formula.text:
        depth += {"(": 1, ")": -1}.get(sign, 0)
        deepest = max(deepest, depth)
    if deepest > DEEPEST_BRACKETS:
        raise FormulaError("formula-too-deep", count=deepest, most=DEEPEST_BRACKETS)
    try:
        fold(formula.tree, _constant)
    except OverflowError:
        raise FormulaError("formula-number-too-large", decades=_DECADES) from None


def _constant(piece: Expression, operands: Sequence[Number | None]) -> Number | None:
    """What a piece makes of numbers; None where it has no value, or not numbers alone.

    Raises:
        OverflowError: for a number out of bounds.
    """
    if piece.type is NodeType.NUMBER:
        return _bounded(piece.value)
    if piece.type in (NodeType.NAME, NodeType.CALL) or None in operands:
        return None
    numbers = [number for number in operands if number is not None]
    try:
        if piece.type is NodeType.NEGATIVE:
            return -numbers[0]
        if piece.type is NodeType.POWER:
            return _powered(numbers[0], piece.value)
        return _calculated(piece.type, *numbers)
    except (ZeroDivisionError, ValueError):
        return None


def _calculated(operator: str, a: Number, b: Number) -> Number:
    if operator in "+-":
        return _bounded(a + b if operator == "+" else a - b)
    return _bounded(a * b if operator == "*" else a / b)


def _powered(base: Number, exponent: Fraction) -> Number:
    """A power of a constant: its size is judged before it grows."""
    if base and abs(exponent * math.log10(_size(base))) > _DECADES + 1:
        raise OverflowError
    if exponent.denominator != 1:
        # A root of less than nothing is a `ValueError`.
        return _bounded(math.sqrt(base) ** exponent.numerator)
    short = isinstance(base, float) or _bits(base) * abs(exponent) <= _EXACT_BITS
    return _bounded((base if short else float(base)) ** exponent.numerator)


def _bounded(value: Number) -> Number:
    if value and not 1 / _LARGEST <= _size(value) <= _LARGEST:
        raise OverflowError
    long = isinstance(value, Fraction) and _bits(value) > _EXACT_BITS
    return float(value) if long else value


def _size(value: Number) -> Number:
    return -value if value < 0 else value


def _bits(value: Fraction) -> int:
    return value.numerator.bit_length() + value.denominator.bit_length()
