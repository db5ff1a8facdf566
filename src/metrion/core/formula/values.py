"""What an expression is worth: exact numbers, roots that stay exact, lists, and floats.

A `Root` keeps the square it is the root of, so that squares of roots add exactly; a `ValueSeries`
keeps a list as whole numbers over one denominator, which is quick and small however long it is.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from fractions import Fraction
from typing import TypeAlias

from metrion.core.exact.numbers import over_one_denominator, square_root


@dataclass(frozen=True, slots=True)
class Root:
    """The square root of a rational number that has no rational root, or its negative.

    Attributes:
        square: what it is the root of, positive.
        negative: whether it is below nothing.
    """

    square: Fraction
    negative: bool = False

    def rational(self) -> Fraction:
        """To 40 digits."""
        size = square_root(self.square)
        return -size if self.negative else size

    def __float__(self) -> float:
        return float(self.rational())

    def __neg__(self) -> Root:
        return Root(self.square, not self.negative)

    def __abs__(self) -> Root:
        return Root(self.square)

    def __add__(self, other: Scalar) -> Scalar:
        if isinstance(other, float):
            return float(self) + other
        if isinstance(other, Root):
            times = root(other.square / self.square)
            if isinstance(times, Fraction):
                sign = 1 if self.negative == other.negative else -1
                return self * (1 + sign * times)
        return self.rational() + rational(other)

    def __radd__(self, other: Fraction | float | int) -> Scalar:
        return self + (other if isinstance(other, float) else Fraction(other))

    def __sub__(self, other: Scalar) -> Scalar:
        return self + -other

    def __rsub__(self, other: Fraction | float | int) -> Scalar:
        return -self + (other if isinstance(other, float) else Fraction(other))

    def __mul__(self, other: Scalar | int) -> Scalar:
        if isinstance(other, float):
            return float(self) * other
        if isinstance(other, Root):
            return root(self.square * other.square, negative=self.negative != other.negative)
        if not other:
            return Fraction(0)
        return Root(self.square * Fraction(other) ** 2, self.negative != (other < 0))

    __rmul__ = __mul__

    def __truediv__(self, other: Scalar | int) -> Scalar:
        if isinstance(other, Root):
            return self * Root(1 / other.square, other.negative)
        return self * (1 / other if isinstance(other, float) else 1 / Fraction(other))

    def __rtruediv__(self, other: Fraction | float | int) -> Scalar:
        return Root(1 / self.square, self.negative) * other

    def __pow__(self, exponent: int) -> Scalar:
        even = self.square ** (exponent // 2)
        return self * even if exponent % 2 else even

    def __lt__(self, other: Scalar | int) -> bool:
        return _signed_square(self) < _signed_square(other)

    def __gt__(self, other: Scalar | int) -> bool:
        return _signed_square(self) > _signed_square(other)


def _signed_square(value: Scalar | int) -> Fraction:
    """The square with the sign of what was squared: in the same order, and exact."""
    if isinstance(value, Root):
        return -value.square if value.negative else value.square
    exact = Fraction(value)
    return exact * abs(exact)


def root(square: Fraction, *, negative: bool = False) -> Fraction | Root:
    """The square root of a number that is not negative; a `Root` where it is not rational."""
    if square < 0:
        raise ValueError("there is no root of a negative number")
    top, bottom = math.isqrt(square.numerator), math.isqrt(square.denominator)
    if top * top == square.numerator and bottom * bottom == square.denominator:
        return Fraction(-top if negative else top, bottom)
    return Root(square, negative)


def rational(value: Scalar | int) -> Fraction:
    """A value as a rational number: itself, what a float is, or a root to 40 digits."""
    if isinstance(value, Fraction):
        return value
    return value.rational() if isinstance(value, Root) else Fraction(value)


@dataclass(frozen=True, slots=True)
class ValueSeries:
    """A list of rational numbers over one denominator; arithmetic acts element by element.

    Attributes:
        numerators: whole numbers.
        denominator: what each is divided by, positive.
    """

    numerators: tuple[int, ...]
    denominator: int = 1

    @classmethod
    def of(cls, values: Sequence[Fraction]) -> ValueSeries:
        """A list of numbers."""
        return cls(*over_one_denominator(values))

    def __iter__(self) -> Iterator[Fraction]:
        return (Fraction(numerator, self.denominator) for numerator in self.numerators)

    def __len__(self) -> int:
        return len(self.numerators)

    def _beside(self, other: Operand) -> tuple[Sequence[int], Sequence[int], int]:
        """Both over one denominator; a number stands beside every element."""
        if not isinstance(other, ValueSeries):
            exact = rational(other)
            other = ValueSeries((exact.numerator,) * len(self), exact.denominator)
        if len(other) != len(self):
            raise ValueError("two lists of different lengths cannot be combined")
        common = math.lcm(self.denominator, other.denominator)
        mine, theirs = common // self.denominator, common // other.denominator
        return (
            self.numerators if mine == 1 else [n * mine for n in self.numerators],
            other.numerators if theirs == 1 else [n * theirs for n in other.numerators],
            common,
        )

    def __add__(self, other: Operand) -> ValueSeries:
        mine, theirs, common = self._beside(other)
        return ValueSeries(tuple(a + b for a, b in zip(mine, theirs, strict=True)), common)

    def __radd__(self, other: Scalar | int) -> ValueSeries:
        return self + Fraction(rational(other))

    def __neg__(self) -> ValueSeries:
        return ValueSeries(tuple(-n for n in self.numerators), self.denominator)

    def __abs__(self) -> ValueSeries:
        return ValueSeries(tuple(abs(n) for n in self.numerators), self.denominator)

    def __sub__(self, other: Operand) -> ValueSeries:
        mine, theirs, common = self._beside(other)
        return ValueSeries(tuple(a - b for a, b in zip(mine, theirs, strict=True)), common)

    def __rsub__(self, other: Scalar | int) -> ValueSeries:
        return -self + Fraction(rational(other))

    def __mul__(self, other: Operand) -> ValueSeries:
        if isinstance(other, ValueSeries):
            mine, theirs, common = self._beside(other)
            products = tuple(a * b for a, b in zip(mine, theirs, strict=True))
            return ValueSeries(products, common**2)
        exact = rational(other)
        return ValueSeries(
            tuple(n * exact.numerator for n in self.numerators),
            self.denominator * exact.denominator,
        )

    def __rmul__(self, other: Scalar | int) -> ValueSeries:
        return self * Fraction(rational(other))

    def __truediv__(self, other: Scalar | int) -> ValueSeries:
        return self * (1 / rational(other))

    def __pow__(self, exponent: int) -> ValueSeries:
        return ValueSeries(tuple(n**exponent for n in self.numerators), self.denominator**exponent)

    def floor(self) -> ValueSeries:
        """Each element cut down to a whole number."""
        return ValueSeries(tuple(n // self.denominator for n in self.numerators))

    def modulo(self, by: Fraction) -> ValueSeries:
        """What is left of each element when ``by`` is taken from it as often as it goes."""
        mine, theirs, common = self._beside(by)
        return ValueSeries(tuple(a % b for a, b in zip(mine, theirs, strict=True)), common)

    def sum(self) -> Fraction:
        """The sum of all."""
        return Fraction(sum(self.numerators), self.denominator)

    def least(self) -> Fraction:
        """The least of one or more."""
        return Fraction(min(self.numerators), self.denominator)

    def greatest(self) -> Fraction:
        """The greatest of one or more."""
        return Fraction(max(self.numerators), self.denominator)


Scalar: TypeAlias = Fraction | float | Root
"""One number."""

Value: TypeAlias = Fraction | float | Root | ValueSeries
"""What an expression is worth."""

Operand: TypeAlias = Fraction | float | Root | ValueSeries | int
