"""Formulas of derived quantities: parsed, checked for units, evaluated with their slopes.

A formula becomes a list of steps for a stack (postfix order), so that no nesting is too deep.
"""

from __future__ import annotations

import ast
import re
import sys
from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.errors import FormulaError, UnitError
from metrion.core.numbers import parse_exact
from metrion.core.units import ANGLE, NONE, Dimension

FUNCTIONS = ("sqrt", "sin", "cos", "tan", "asin", "acos", "atan")
RESERVED = ("pi", *FUNCTIONS)
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
_LARGEST_EXPONENT = 9


@dataclass(frozen=True)
class Step:
    """One step of a formula for a stack.

    Attributes:
        kind: ``number``, ``name``, ``unary``, ``binary``, ``power`` or ``call``.
        word: the name, the operator, or the function.
        value: of a number, or the exponent of a power.
        of_angle: on sin, cos and tan, whether the argument is an angle and not a bare number.
    """

    kind: str
    word: str = ""
    value: Fraction = Fraction(0)
    of_angle: bool = False


@dataclass(frozen=True)
class Formula:
    """A formula that parses.

    Attributes:
        text: as it was written.
        steps: what to do, in postfix order.
    """

    text: str
    steps: tuple[Step, ...]

    @property
    def names(self) -> set[str]:
        """The input symbols it uses."""
        return {step.word for step in self.steps if step.kind == "name" and step.word != "pi"}


def parse_formula(text: str) -> Formula:
    """Read a formula; precedence as in Python.

    Raises:
        FormulaError: if it does not parse, calls something that is no function, or holds an
            exponent that is no constant whole or half number from -9 to 9.
    """
    if _TOKEN.sub("", text):
        raise FormulaError(
            f"the formula {text!r} holds something other than numbers, names, "
            "+ - * / ** and brackets"
        )
    # Names and numbers travel through Python's parser as marked names: so a symbol may be one of
    # its keywords, and a number keeps every digit.
    marked = _TOKEN.sub(_marked, text)
    try:
        tree = ast.parse(" ".join(marked.split()), mode="eval")
        return Formula(text, tuple(_steps(tree.body)))
    except (SyntaxError, RecursionError, MemoryError):
        raise FormulaError(f"the formula {text!r} cannot be understood") from None


def _marked(token: re.Match[str]) -> str:
    name, number = token.groups()
    if name:
        return f"name_{name}"
    return f"number_{number.replace('.', '_')}" if number else token.group()


def _read(word: str) -> str | Fraction:
    """A marked name as the name or the number it stands for."""
    kind, _, text = word.partition("_")
    return text if kind == "name" else parse_exact(text.replace("_", "."))


def _steps(root: ast.expr) -> Iterator[Step]:
    """Walk without recursion: a node is met once to put its operands before it, then yielded."""
    waiting: list[ast.expr | Step] = [root]
    while waiting:
        node = waiting.pop()
        if isinstance(node, Step):
            yield node
        else:
            waiting.extend(reversed(_operands_first(node)))


def _operands_first(node: ast.expr) -> list[ast.expr | Step]:
    match node:
        case ast.Name(id=word):
            return [_operand(_read(word))]
        case ast.UnaryOp(op=ast.UAdd(), operand=operand):
            return [operand]
        case ast.UnaryOp(op=ast.USub(), operand=operand):
            return [operand, Step("unary", "-")]
        case ast.BinOp(left=base, op=ast.Pow(), right=exponent):
            return [base, Step("power", value=_exponent(exponent))]
        case ast.BinOp(left=left, op=operator, right=right) if type(operator) in _OPERATORS:
            return [left, right, Step("binary", _OPERATORS[type(operator)])]
        case ast.Call(func=ast.Name(id=word), args=[argument], keywords=[]):
            if _read(word) in FUNCTIONS:
                return [argument, Step("call", str(_read(word)))]
            raise FormulaError(f"{_read(word)}(…) is no function; known are {', '.join(FUNCTIONS)}")
    raise FormulaError("the formula holds something other than + - * / ** and functions")


def _operand(word: str | Fraction) -> Step:
    if isinstance(word, Fraction):
        return Step("number", value=word)
    if word in FUNCTIONS:
        raise FormulaError(f"{word} needs its argument in brackets")
    return Step("name", word)


def _exponent(node: ast.expr) -> Fraction:
    try:
        value = _constant_value(node)
    except (ArithmeticError, RecursionError):
        raise FormulaError("an exponent of the formula has no value") from None
    if (2 * value).denominator != 1 or abs(value) > _LARGEST_EXPONENT:
        raise FormulaError(
            f"exponents must be whole or half numbers from -{_LARGEST_EXPONENT} to "
            f"{_LARGEST_EXPONENT}"
        )
    return value


def _constant_value(node: ast.expr) -> Fraction:
    match node:
        case ast.Name(id=word) if isinstance(number := _read(word), Fraction):
            return number
        case ast.UnaryOp(op=ast.UAdd(), operand=operand):
            return _constant_value(operand)
        case ast.UnaryOp(op=ast.USub(), operand=operand):
            return -_constant_value(operand)
        case ast.BinOp(left=base, op=ast.Pow(), right=exponent):
            power = _constant_value(base) ** _exponent(exponent)
            if isinstance(power, complex):
                raise ArithmeticError
            return _bounded(Fraction(power))
        case ast.BinOp(left=left, op=operator, right=right):
            a, b = _constant_value(left), _constant_value(right)
            match operator:
                case ast.Add():
                    return a + b
                case ast.Sub():
                    return a - b
                case ast.Mult():
                    return _bounded(a * b)
                case ast.Div():
                    return _bounded(a / b)
    raise FormulaError("an exponent must be a constant number")


def _bounded(value: Fraction) -> Fraction:
    if abs(value) > sys.float_info.max:
        raise OverflowError
    return value


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
        raise FormulaError(f"the formula names {', '.join(unknown)}, which is no input")
    stack: list[Dimension] = []
    steps: list[Step] = []
    for step in formula.steps:
        if step.kind == "call":
            step = replace(step, of_angle=stack[-1] == ANGLE)
        steps.append(step)
        if step.kind == "binary":
            right = stack.pop()
            stack.append(_combined(step.word, stack.pop(), right))
        elif step.kind == "name":
            stack.append(dimensions.get(step.word, NONE))
        elif step.kind == "number":
            stack.append(NONE)
        elif step.kind == "power":
            stack.append(stack.pop() ** step.value)
        elif step.kind == "call":
            stack.append(_called(step.word, stack.pop()))
    return replace(formula, steps=tuple(steps)), stack.pop()


def _combined(operator: str, left: Dimension, right: Dimension) -> Dimension:
    if operator == "*":
        return left * right
    if operator == "/":
        return left / right
    if left != right:
        raise UnitError(f"the units on the two sides of {operator} in the formula do not match")
    return left


def _called(function: str, argument: Dimension) -> Dimension:
    if function == "sqrt":
        return argument ** Fraction(1, 2)
    if function.startswith("a"):
        if argument != NONE:
            raise UnitError(f"{function} takes a bare number, and is given one with a unit")
        return ANGLE
    if argument not in (ANGLE, NONE):
        raise UnitError(f"{function} takes an angle or a bare number, and is given another unit")
    return NONE
