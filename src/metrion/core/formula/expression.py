"""Expressions: what is worked out, as a tree that can be evaluated, derived, set and exported.

Each reader of an expression is a `fold`: numbers (`evaluate`), text (`written`), a derivative, a
spreadsheet's formula, mathematics on the page. Walking never recurses, so no nesting is too deep.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from typing import TypeVar

_T = TypeVar("_T")


class NodeType(StrEnum):
    """What a piece of an expression is."""

    NUMBER = "number"
    ANGLE = "angle"
    NAME = "name"
    LIST = "list"
    NEGATIVE = "negative"
    PLUS = "+"
    MINUS = "-"
    TIMES = "*"
    OVER = "/"
    POWER = "**"
    CALL = "call"


class Part(StrEnum):
    """What a number is, for those who write it."""

    NONE = ""
    MAIN = "main"
    FINE = "fine"


@dataclass(frozen=True, slots=True)
class Expression:
    """A piece of an expression, with the pieces it acts on.

    Attributes:
        type: what it is.
        operands: the pieces it acts on, in order.
        word: a name, or the function that is called.
        value: of a number, of an angle (in arc minutes), or the exponent of a power.
        part: what a number is: a main reading, a fine line.
    """

    type: NodeType
    operands: tuple[Expression, ...] = ()
    word: str = ""
    value: Fraction = Fraction(0)
    part: Part = Part.NONE

    def __add__(self, other: Expression) -> Expression:
        return Expression(NodeType.PLUS, (self, other))

    def __sub__(self, other: Expression) -> Expression:
        return Expression(NodeType.MINUS, (self, other))

    def __mul__(self, other: Expression) -> Expression:
        return Expression(NodeType.TIMES, (self, other))

    def __truediv__(self, other: Expression) -> Expression:
        return Expression(NodeType.OVER, (self, other))

    def __neg__(self) -> Expression:
        return Expression(NodeType.NEGATIVE, (self,))

    def __pow__(self, exponent: Fraction | int) -> Expression:
        return Expression(NodeType.POWER, (self,), value=Fraction(exponent))

    @property
    def names(self) -> set[str]:
        """The names in it."""
        return {piece.word for piece in pieces(self) if piece.type is NodeType.NAME}


def number(value: Fraction | int, part: Part = Part.NONE) -> Expression:
    """A number."""
    exact = value if isinstance(value, Fraction) else Fraction(value)
    return Expression(NodeType.NUMBER, value=exact, part=part)


def angle(arc_minutes: Fraction | int, part: Part = Part.NONE) -> Expression:
    """An angle, written in degrees and minutes."""
    return Expression(NodeType.ANGLE, value=Fraction(arc_minutes), part=part)


def name(word: str) -> Expression:
    """A name: an input of a formula, or the key of a step."""
    return Expression(NodeType.NAME, word=word)


def listed(items: Sequence[Expression]) -> Expression:
    """A list."""
    return Expression(NodeType.LIST, tuple(items))


def call(function: str, *arguments: Expression) -> Expression:
    """A function of something."""
    return Expression(NodeType.CALL, arguments, word=function)


def added(terms: Sequence[Expression]) -> Expression:
    """The sum of one term or more, from left to right."""
    whole, *others = terms
    for term in others:
        whole = whole + term
    return whole


def multiplied(factors: Sequence[Expression]) -> Expression:
    """The product of one factor or more, from left to right."""
    whole, *others = factors
    for factor in others:
        whole = whole * factor
    return whole


def pieces(root: Expression) -> Iterator[Expression]:
    """Every piece of an expression, operands before what acts on them (without recursion)."""
    waiting: list[tuple[Expression, bool]] = [(root, False)]
    while waiting:
        piece, seen = waiting.pop()
        if seen or not piece.operands:
            yield piece
            continue
        waiting.append((piece, True))
        waiting.extend((operand, False) for operand in reversed(piece.operands))


def fold(root: Expression, of: Callable[[Expression, list[_T]], _T]) -> _T:
    """What ``of`` makes of a piece and of what it made of its operands, for the whole."""
    done: list[_T] = []
    for piece in pieces(root):
        count = len(piece.operands)
        operands = done[len(done) - count :]
        del done[len(done) - count :]
        done.append(of(piece, operands))
    return done.pop()


def replaced(root: Expression, by: Callable[[str], Expression | None]) -> Expression:
    """The expression with names replaced; those that ``by`` has None for stay."""

    def of(piece: Expression, operands: list[Expression]) -> Expression:
        if piece.type is NodeType.NAME:
            return by(piece.word) or piece
        return Expression(piece.type, tuple(operands), piece.word, piece.value, piece.part)

    return fold(root, of)
