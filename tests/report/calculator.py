"""A pocket calculator: what a printed line gives, worked out from its printed digits alone."""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Sequence
from typing import Any

from scipy import special

_ANGLE = re.compile(r"(\d+)°(?:([\d.]+)′)?")
_RESULT = re.compile(r"(−?)(?:(\d+)°)?([\d.]+)(?:/(\d+))?")


class Each(list[float]):
    """The readings, within a sum."""

    def __sub__(self, other: float) -> Each:
        return Each(one - other for one in self)

    def __pow__(self, exponent: int) -> Each:
        return Each(one**exponent for one in self)

    def __abs__(self) -> Each:
        return Each(map(abs, self))


def followed(line: str, readings: Sequence[float]) -> tuple[float, float, float] | None:
    """What the left side of a line gives, what stands on its right, and half its last digit.

    None for a line that works nothing out, or lists more readings than it shows.
    """
    left, equals, right = line.rpartition(" = ")
    if not equals or "…" in left:
        return None
    found = _RESULT.match(right)
    assert found, right
    sign, degrees, digits, below = found.groups()
    size = int(degrees or 0) * 60 + float(digits) / int(below or 1)
    decimals = len(digits.partition(".")[2])
    whole = len(digits) - len(digits.rstrip("0")) if not decimals else 0
    half = 10.0 ** (whole - decimals) / 2
    return _value(left, Each(readings)), -size if sign else size, half


def _value(text: str, readings: Each) -> float:
    angles = _ANGLE.sub(lambda at: f"({at[1]}*60+{at[2] or 0})", text)
    for printed, typed in {
        "×": "*", "−": "-", "√(": "sqrt(", "²": "**2", "^": "**", "Σ (": "total(", "Σ |": "off(|",
        "′": "", "; ∞)": ")", "whole part of (": "floor(",
        ";": ",", "π": "pi",
    }.items():  # fmt: skip
        angles = angles.replace(printed, typed)
    angles = re.sub(r"total\((x (?:[^()]|\([^()]*\))*)\)\*\*2", r"total((\1)**2)", angles)
    angles = re.sub(r"off\(\|([^|]*)\|", r"total(abs(\1))", angles)
    angles = re.sub(r"\|([^|]*)\|", r"abs(\1)", angles)
    circular = ("sin", "cos", "tan", "asin", "acos", "atan")
    known: dict[str, Callable[..., Any] | float | Each] = {
        **{word: getattr(math, word) for word in circular},
        "sqrt": math.sqrt, "total": lambda of: sum(of), "abs": abs, "max": max, "x": readings,
        "t": _quantile, "floor": _floor, "pi": math.pi,
    }  # fmt: skip
    return float(eval(angles, {"__builtins__": {}}, known))


def _quantile(probability: float, freedom: float = math.inf) -> float:
    return float(-special.stdtrit(freedom, (1 - probability) / 2))


def _floor(value: float) -> int:
    """Cut down; what the printed figures cannot tell from a whole number is that number."""
    return round(value) if abs(value - round(value)) < 1e-4 * value else math.floor(value)
