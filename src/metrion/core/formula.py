"""Formulas of derived quantities: parsed, checked for units, evaluated with their slopes.

A formula becomes a list of steps for a stack (postfix order), so that no nesting is too deep.
"""

from __future__ import annotations

import ast
import math
import re
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.bounds import DEEPEST_BRACKETS, LARGEST_EXPONENT, LONGEST_FORMULA
from metrion.core.errors import FormulaError, UnitError
from metrion.core.numbers import parse_exact
from metrion.core.units import ANGLE, NONE, Dimension, Number

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
_DECADES = 300
_LARGEST = Fraction(10**_DECADES)
_EXACT_BITS = 4096
"""Beyond so many bits a part made of numbers is worked out as a float."""


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
        value = Fraction(_constant_value(node))
    except (ArithmeticError, RecursionError, ValueError):
        raise FormulaError("an exponent of the formula has no value") from None
    if (2 * value).denominator != 1 or abs(value) > LARGEST_EXPONENT:
        raise FormulaError(
            f"exponents must be whole or half numbers from -{LARGEST_EXPONENT} to "
            f"{LARGEST_EXPONENT}"
        )
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
    raise FormulaError("an exponent must be a constant number")


def check_bounds(formula: Formula) -> None:
    """Refuse a formula that is too long or too deep, or holds too large or too small a number.

    Parts made of numbers alone count as numbers. New formulas are checked; those that were kept
    before there were bounds are worked out as far as a double goes.

    Raises:
        FormulaError: with what is allowed.
    """
    if len(formula.text) > LONGEST_FORMULA:
        raise FormulaError(
            f"the formula has {len(formula.text)} characters, but may have {LONGEST_FORMULA}"
        )
    depth = deepest = 0
    for sign in formula.text:
        depth += {"(": 1, ")": -1}.get(sign, 0)
        deepest = max(deepest, depth)
    if deepest > DEEPEST_BRACKETS:
        raise FormulaError(
            f"the formula has brackets {deepest} deep, but may have them {DEEPEST_BRACKETS} deep"
        )
    try:
        _work_out_constants(formula.steps)
    except OverflowError:
        raise FormulaError(
            f"a number of the formula, or a part made of numbers, is beyond 10^{_DECADES} "
            f"or closer to nothing than 10^-{_DECADES}"
        ) from None


def _work_out_constants(steps: Iterable[Step]) -> None:
    """Work out every part made of numbers alone; raises `OverflowError` for one out of bounds."""
    stack: list[Number | None] = []
    for step in steps:
        operands = [stack.pop() for _ in range(_OPERANDS[step.kind])][::-1]
        stack.append(_constant(step, operands))


_OPERANDS = {"number": 0, "name": 0, "unary": 1, "power": 1, "call": 1, "binary": 2}


def _constant(step: Step, operands: Sequence[Number | None]) -> Number | None:
    """What a step makes of numbers; None where it has no value, or not numbers alone."""
    if step.kind == "number":
        return _bounded(step.value)
    if step.kind in ("name", "call") or None in operands:
        return None
    numbers = [number for number in operands if number is not None]
    try:
        if step.kind == "unary":
            return -numbers[0]
        if step.kind == "power":
            return _powered(numbers[0], step.value)
        return _calculated(step.word, *numbers)
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
