"""What an expression is worth when its names are worth something."""

from __future__ import annotations

import math
import operator
import sys
from collections.abc import Callable, Iterable, Mapping, Sequence
from fractions import Fraction
from functools import partial

from scipy.special import ndtri, stdtrit

from metrion.core.formula.expression import Expression, NodeType, pieces
from metrion.core.formula.values import Root, Scalar, Value, ValueSeries, rational, root

PI = "pi"
_LARGEST = Fraction(sys.float_info.max)
_EXACT_BITS = 4096
_VERTICAL = 1e-12
"""Below this |cos| the tangent counts as having no value."""


class NoValue(ArithmeticError):
    """The value does not exist, or is too large for a double."""


def evaluate(expression: Expression, named: Mapping[str, Value], *, tame: bool = False) -> Value:
    """The value of an expression.

    Args:
        named: what its names are worth.
        tame: whether to refuse what a double cannot hold, and to keep exact numbers from growing
            without bound: for formulas that people wrote.

    Raises:
        NoValue: where it has none.
        KeyError: for a name that is worth nothing.
    """
    return run(program(expression), named, tame=tame)


def exact(expression: Expression, **named: Value) -> Fraction:
    """The value of an expression that is a rational number."""
    return rational(one(evaluate(expression, named)))


_Act = tuple[Callable[..., Value] | None, int, Value | str]
"""One act on a stack: a function of so many values; without one, a value or a name to push."""

Program = tuple[_Act, ...]
"""An expression made ready to be evaluated often."""


def program(expression: Expression) -> Program:
    """An expression as acts on a stack."""
    return tuple(_act(piece) for piece in pieces(expression))


def _act(piece: Expression) -> _Act:
    type_, count = piece.type, len(piece.operands)
    if type_ is NodeType.NUMBER or type_ is NodeType.ANGLE:
        return None, 0, piece.value
    if type_ is NodeType.NAME:
        return None, 0, math.pi if piece.word == PI else piece.word
    if type_ is NodeType.POWER:
        return partial(_powered, piece.value), count, ""
    if type_ is NodeType.LIST:
        return _list, count, ""
    return _OPERATORS.get(type_) or _FUNCTIONS[piece.word], count, ""


def value_of(piece: Expression, operands: Sequence[Value], named: Mapping[str, Value]) -> Value:
    """What a piece is worth, when its operands are worth so much.

    Raises:
        NoValue: where it has none.
    """
    act, _, given = _act(piece)
    if act is None:
        return named[given] if isinstance(given, str) else given
    try:
        return act(*operands)
    except (ArithmeticError, ValueError):
        raise NoValue from None


def run(acts: Program, named: Mapping[str, Value], *, tame: bool = False) -> Value:
    """The value of an expression that was made ready; see `evaluate`."""
    done: list[Value] = []
    try:
        for act, count, given in acts:
            if act is None:
                value = named[given] if isinstance(given, str) else given
            else:
                value = act(*done[-count:])
                del done[-count:]
            done.append(_tame(value) if tame else value)
    except (ArithmeticError, ValueError):
        raise NoValue from None
    return done.pop()


def _list(*items: Value) -> ValueSeries:
    return ValueSeries.of([rational(one(item)) for item in items])


def _powered(exponent: Fraction, base: Value) -> Value:
    if exponent.denominator == 1:
        whole: Value = base**exponent.numerator
        return whole
    half: Value = _square_root(base) ** exponent.numerator
    return half


def _square_root(of: Value) -> Scalar:
    of = one(of)
    return math.sqrt(of) if isinstance(of, float) else root(rational(of))


def one(value: Value) -> Scalar:
    """A value that is no list.

    Raises:
        ValueError: if it is one.
    """
    if isinstance(value, ValueSeries):
        raise ValueError("one number was expected, not a list")
    return value


def _sum(of: Value) -> Value:
    return of.sum() if isinstance(of, ValueSeries) else of


def _count(of: Value) -> Value:
    return Fraction(len(of)) if isinstance(of, ValueSeries) else Fraction(1)


def _extreme(
    of_list: Callable[[ValueSeries], Fraction], of_several: Callable[..., Scalar]
) -> Callable[..., Value]:
    """Of one list as a whole; of two or more things element by element."""

    def function(*of: Value) -> Value:
        if len(of) == 1:
            return of_list(of[0]) if isinstance(of[0], ValueSeries) else of[0]
        length = max((len(item) for item in of if isinstance(item, ValueSeries)), default=0)
        if not length:
            return of_several(one(item) for item in of)
        rows = zip(*(_repeated(item, length) for item in of), strict=True)
        return ValueSeries.of([rational(of_several(row)) for row in rows])

    return function


def _repeated(value: Value, length: int) -> Iterable[Scalar]:
    return value if isinstance(value, ValueSeries) else [value] * length


def _floor(of: Value) -> Value:
    return of.floor() if isinstance(of, ValueSeries) else Fraction(math.floor(rational(of)))


def _modulo(of: Value, by: Value) -> Value:
    step = rational(one(by))
    return of.modulo(step) if isinstance(of, ValueSeries) else rational(of) % step


def _tangent(of: float) -> float:
    if abs(math.cos(of)) < _VERTICAL:
        raise NoValue
    return math.tan(of)


def _real(function: Callable[[float], float]) -> Callable[[Value], float]:
    return lambda of: function(float(one(of)))


def normal(probability: Value) -> Fraction:
    """How many standard deviations hold a value with this probability, on both sides."""
    return Fraction(-float(ndtri(float((1 - rational(one(probability))) / 2))))


def student(probability: Value, degrees_of_freedom: Value) -> Fraction:
    """The same by Student's distribution; JCGM 100:2008, G.3."""
    tail = float((1 - rational(one(probability))) / 2)
    return Fraction(-float(stdtrit(float(one(degrees_of_freedom)), tail)))


_OPERATORS: dict[NodeType, Callable[..., Value]] = {
    NodeType.PLUS: operator.add,
    NodeType.MINUS: operator.sub,
    NodeType.TIMES: operator.mul,
    NodeType.OVER: operator.truediv,
    NodeType.NEGATIVE: operator.neg,
}
_FUNCTIONS: dict[str, Callable[..., Value]] = {
    "sqrt": _square_root,
    "sin": _real(math.sin),
    "cos": _real(math.cos),
    "tan": _real(_tangent),
    "asin": _real(math.asin),
    "acos": _real(math.acos),
    "atan": _real(math.atan),
    "abs": abs,
    "floor": _floor,
    "modulo": _modulo,
    "min": _extreme(ValueSeries.least, min),
    "max": _extreme(ValueSeries.greatest, max),
    "sum": _sum,
    "count": _count,
    "normal": normal,
    "student": student,
}


def _tame(value: Value) -> Value:
    if isinstance(value, float):
        if not math.isfinite(value):
            raise NoValue
        return value
    if isinstance(value, ValueSeries):
        return value
    exact = value.square if isinstance(value, Root) else value
    if abs(exact) > (_LARGEST**2 if isinstance(value, Root) else _LARGEST):
        raise NoValue
    long = exact.numerator.bit_length() + exact.denominator.bit_length() > _EXACT_BITS
    return float(value) if long else value
