"""A working read from outside: every expression evaluated again from the printed values alone."""

from __future__ import annotations

import ast
import math
import operator
from collections.abc import Callable, Mapping
from decimal import Decimal, localcontext
from typing import Any

from scipy import special

Value = Decimal | list[Decimal]
_OPERATORS: dict[type[ast.AST], Callable[[Decimal, Decimal], Decimal]] = {
    ast.Add: operator.add, ast.Sub: operator.sub, ast.Mult: operator.mul,
    ast.Div: operator.truediv, ast.Pow: operator.pow,
}  # fmt: skip
_REAL = ("sin", "cos", "tan", "asin", "acos", "atan")


def printed(value: str | list[str]) -> Value:
    """A value of the document."""
    return [Decimal(one) for one in value] if isinstance(value, list) else Decimal(value)


def evaluated(expression: str, named: Mapping[str, Value]) -> Value:
    """What an expression gives, to 60 digits."""
    with localcontext() as context:
        context.prec = 60
        return _value(ast.parse(expression, mode="eval").body, named)


def _value(node: ast.expr, named: Mapping[str, Value]) -> Value:
    match node:
        case ast.Constant(value=number):
            return Decimal(ast.unparse(node)) if isinstance(number, float) else Decimal(number)
        case ast.Name(id="pi"):
            return Decimal("3.14159265358979323846264338327950288419716939937510582097")
        case ast.Name(id=word):
            return named[word]
        case ast.List(elts=items):
            return [_one(_value(item, named)) for item in items]
        case ast.UnaryOp(op=ast.USub(), operand=operand):
            return _each(operator.neg, _value(operand, named))
        case ast.BinOp(left=left, op=sign, right=right):
            return _each(_OPERATORS[type(sign)], _value(left, named), _value(right, named))
        case ast.Call(func=ast.Name(id=word), args=arguments):
            return _called(word, [_value(one, named) for one in arguments])
    raise AssertionError(ast.dump(node))


def _called(word: str, of: list[Value]) -> Value:
    if word in ("sum", "count"):
        (values,) = of
        assert isinstance(values, list)
        return sum(values, Decimal(0)) if word == "sum" else Decimal(len(values))
    if word in ("min", "max"):
        best: Any = min if word == "min" else max
        if len(of) == 1:
            return Decimal(best(of[0]))
        return _each(lambda *row: best(row), *of)
    if word in _REAL:
        return Decimal(getattr(math, word)(_one(of[0])))
    if word == "normal":
        return Decimal(-special.ndtri(float(1 - _one(of[0])) / 2))
    if word == "student":
        return Decimal(-special.stdtrit(float(_one(of[1])), float(1 - _one(of[0])) / 2))
    acts: Callable[[Decimal], Decimal] = {
        "abs": abs, "sqrt": Decimal.sqrt, "floor": _floor,
    }[word]  # fmt: skip
    return _each(acts, of[0])


def _floor(value: Decimal) -> Decimal:
    """Cut down; what 12 digits cannot tell from a whole number is that number."""
    nearest = value.to_integral_value()
    near = abs(value - nearest) <= abs(value) * Decimal("1e-12")
    return nearest if near else Decimal(math.floor(value))


def _each(act: Callable[..., Decimal], *of: Value) -> Value:
    lengths = {len(one) for one in of if isinstance(one, list)}
    if not lengths:
        return act(*of)
    (length,) = lengths
    rows = zip(*(one if isinstance(one, list) else [one] * length for one in of), strict=True)
    return [act(*row) for row in rows]


def _one(value: Value) -> Decimal:
    assert isinstance(value, Decimal)
    return value


def check(
    steps: list[dict[str, Any]], others: Mapping[str, Mapping[str, Value]]
) -> dict[str, Value]:
    """Check that every step gives its value from the steps before it; the values by key.

    Args:
        others: the values of each measurement, for the steps of derived quantities.
    """
    known: dict[str, Value] = {}
    for step in steps:
        if step["key"] == "rounded" or step["value"] is None:
            assert step["expression"] is None
            continue
        assert step["key"] not in known, "two steps with one key"
        value = printed(step["value"])
        if step["expression"] is not None:
            assert len(step["expression"]) < 20_000
            names = others[step["of"]] if "of" in step else known
            assert close(evaluated(step["expression"], names), value), step
        known[step["key"]] = value
    return known


def close(found: Value, value: Value) -> bool:
    """Whether two values are the same to a part in 10^9."""
    if isinstance(found, Decimal) and isinstance(value, Decimal):
        return abs(found - value) <= abs(value) * Decimal("1e-9") + Decimal("1e-40")
    assert isinstance(found, list)
    assert isinstance(value, list)
    return len(found) == len(value) and all(map(close, found, value))
