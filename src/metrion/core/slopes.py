"""Evaluating a formula together with its slope in every input (forward differentiation)."""

from __future__ import annotations

import math
import sys
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from fractions import Fraction

from metrion.core.formula import Formula, Step
from metrion.core.units import ARC_MINUTES_PER_RADIAN, Number

_LARGEST = Fraction(sys.float_info.max)
_EXACT_BITS = 4096
_VERTICAL = 1e-12
"""Below this |cos| the tangent counts as having no value."""


class NoValue(ArithmeticError):
    """The value or a slope does not exist, or is too large for a double."""


@dataclass(frozen=True)
class Sloped:
    """A value with its slope in each input: exact while it is rational, a float afterwards."""

    value: Number
    slopes: Mapping[str, Number] = field(default_factory=dict)

    def through(self, value: Number, slope: Callable[[], Number]) -> Sloped:
        """What a function makes of it; a constant needs no slope, so none is worked out."""
        if not self.slopes:
            return Sloped(_tame(value))
        chain = slope()
        return Sloped(_tame(value), {k: _tame(chain * v) for k, v in self.slopes.items()})


def evaluate(formula: Formula, inputs: Mapping[str, Number]) -> Sloped:
    """The value of a resolved formula and its slopes in all inputs it uses.

    Args:
        inputs: values in millimetres, grams and arc minutes.

    Raises:
        NoValue: where the value or a slope does not exist or is too large.
    """
    stack: list[Sloped] = []
    try:
        for step in formula.steps:
            if step.kind == "binary":
                right = stack.pop()
                stack.append(_binary(step.word, stack.pop(), right))
            elif step.kind == "number":
                stack.append(Sloped(_tame(step.value)))
            elif step.kind == "name":
                stack.append(_named(step.word, inputs))
            elif step.kind == "power":
                stack.append(_power(stack.pop(), step.value))
            elif step.kind == "call":
                stack.append(_call(step, stack.pop()))
            else:
                stack.append(_negated(stack.pop()))
    except (ArithmeticError, ValueError):
        raise NoValue from None
    return stack.pop()


def _named(word: str, inputs: Mapping[str, Number]) -> Sloped:
    if word == "pi":
        return Sloped(math.pi)
    return Sloped(_tame(inputs[word]), {word: Fraction(1)})


def _negated(of: Sloped) -> Sloped:
    return of.through(-of.value, lambda: Fraction(-1))


def _binary(operator: str, left: Sloped, right: Sloped) -> Sloped:
    a, b = left.value, right.value
    if operator in "+-":
        sign = 1 if operator == "+" else -1
        return _both(a + sign * b, left, Fraction(1), right, Fraction(sign))
    if operator == "*":
        return _both(a * b, left, b, right, a)
    return _both(a / b, left, 1 / b, right, -a / b**2 if right.slopes else Fraction(0))


def _both(value: Number, left: Sloped, by: Number, right: Sloped, and_by: Number) -> Sloped:
    slopes: dict[str, Number] = {name: by * slope for name, slope in left.slopes.items()}
    for name, slope in right.slopes.items():
        slopes[name] = slopes.get(name, Fraction(0)) + and_by * slope
    return Sloped(_tame(value), {name: _tame(slope) for name, slope in slopes.items()})


def _power(base: Sloped, exponent: Fraction) -> Sloped:
    def slope() -> Number:
        return exponent * _raised(base.value, exponent - 1) if exponent else Fraction(0)

    return base.through(_raised(base.value, exponent), slope)


def _raised(base: Number, exponent: Fraction) -> Number:
    if exponent.denominator == 1:
        power: Number = base**exponent.numerator
        return power
    root: float = math.sqrt(base) ** exponent.numerator
    return root


def _call(step: Step, of: Sloped) -> Sloped:
    if step.word == "sqrt":
        return _power(of, Fraction(1, 2))
    if step.word.startswith("a"):
        return _inverse(step.word, of)
    scale = 1 / ARC_MINUTES_PER_RADIAN if step.of_angle else 1.0
    x = float(of.value) * scale
    if step.word == "sin":
        return of.through(math.sin(x), lambda: scale * math.cos(x))
    if step.word == "cos":
        return of.through(math.cos(x), lambda: -scale * math.sin(x))
    if abs(math.cos(x)) < _VERTICAL:
        raise NoValue
    return of.through(math.tan(x), lambda: scale / math.cos(x) ** 2)


def _inverse(function: str, of: Sloped) -> Sloped:
    x, scale = float(of.value), ARC_MINUTES_PER_RADIAN
    if function == "atan":
        return of.through(scale * math.atan(x), lambda: scale / (1 + x * x))
    sign, found = (1, math.asin(x)) if function == "asin" else (-1, math.acos(x))
    return of.through(scale * found, lambda: sign * scale / math.sqrt((1 - x) * (1 + x)))


def _tame(value: Number) -> Number:
    """Refuse what a double cannot hold; keep exact numbers from growing without bound."""
    if isinstance(value, float):
        if not math.isfinite(value):
            raise NoValue
        return value
    if abs(value) > _LARGEST:
        raise NoValue
    long = value.numerator.bit_length() + value.denominator.bit_length() > _EXACT_BITS
    return float(value) if long else value
