"""How fast an expression changes with one of its names, as an expression."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property

from metrion.core.exact.bounds import LARGEST_EXPONENT
from metrion.core.formula.expression import (
    Expression,
    NodeType,
    added,
    call,
    fold,
    multiplied,
    number,
)

_ONE, _HALF = number(1), Fraction(1, 2)


@dataclass(frozen=True)
class _Factor:
    """A base to a power, with the derivative of the base; None where it does not change."""

    base: Expression
    exponent: Fraction
    change: Expression | None


@dataclass(frozen=True)
class _Piece:
    """A piece of an expression as a product, so that chains of products stay short when derived."""

    factors: tuple[_Factor, ...]
    negative: bool = False

    @cached_property
    def whole(self) -> Expression:
        """The piece itself."""
        return _signed(_product(self.factors), self.negative)

    @cached_property
    def change(self) -> Expression | None:
        """Its derivative, by the rules for products and powers."""
        terms = [self._term(at) for at, one in enumerate(self.factors) if one.change]
        if not terms:
            return None
        return _signed(added(terms), self.negative)

    def _term(self, at: int) -> Expression:
        factor, others = self.factors[at], self.factors[:at] + self.factors[at + 1 :]
        assert factor.change is not None
        if not factor.exponent:
            return number(0)
        one = Fraction(1)
        lower = _Factor(factor.base, factor.exponent - 1, None)
        return _product(
            (
                _Factor(number(factor.exponent), one, None),
                *others,
                lower,
                _Factor(factor.change, one, None),
            )
        )


def derivative(of: Expression, by: str) -> Expression | None:
    """The derivative of a formula by one of its names; None where it does not depend on it."""

    def piece(node: Expression, operands: list[_Piece]) -> _Piece:
        if node.type is NodeType.NEGATIVE:
            return _Piece(operands[0].factors, not operands[0].negative)
        if node.type in (NodeType.TIMES, NodeType.OVER):
            return _multiplied(operands[0], operands[1], inverse=node.type is NodeType.OVER)
        if node.type is NodeType.POWER or (node.type is NodeType.CALL and node.word == "sqrt"):
            exponent = node.value if node.type is NodeType.POWER else _HALF
            return _Piece((_Factor(operands[0].whole, exponent, operands[0].change),))
        if node.type is NodeType.NAME:
            return _alone(node, _ONE if node.word == by else None)
        if not operands:
            return _alone(node, None)
        again = Expression(node.type, tuple(one.whole for one in operands), node.word)
        change = _of_call if node.type is NodeType.CALL else _of_sum
        return _alone(again, change(again, [one.change for one in operands]))

    return fold(of, piece).change


def _alone(node: Expression, change: Expression | None) -> _Piece:
    return _Piece((_Factor(node, Fraction(1), change),))


def _signed(of: Expression, negative: bool) -> Expression:
    return -of if negative else of


def _multiplied(left: _Piece, right: _Piece, *, inverse: bool) -> _Piece:
    """Both together; whole powers of one name are one factor."""
    factors = list(left.factors)
    for factor in right.factors:
        exponent = -factor.exponent if inverse else factor.exponent
        for at, known in enumerate(factors):
            if _alike(known, factor):
                factors[at] = _Factor(known.base, known.exponent + exponent, known.change)
                break
        else:
            factors.append(_Factor(factor.base, exponent, factor.change))
    return _Piece(tuple(factors), left.negative != right.negative)


def _alike(one: _Factor, other: _Factor) -> bool:
    same = one.base.type is other.base.type is NodeType.NAME and one.base.word == other.base.word
    return same and one.exponent.denominator == other.exponent.denominator == 1


def _of_sum(node: Expression, derivatives: Sequence[Expression | None]) -> Expression | None:
    left, right = derivatives
    if right is None:
        return left
    minus = node.type is NodeType.MINUS
    if left is None:
        return _signed(right, minus)
    return left - right if minus else left + right


def _of_call(node: Expression, derivatives: Sequence[Expression | None]) -> Expression | None:
    (argument,), (change,) = node.operands, derivatives
    if change is None:
        return None
    if node.word == "sin":
        return _times(call("cos", argument), change)
    if node.word == "cos":
        return -_times(call("sin", argument), change)
    if node.word == "tan":
        return change / call("cos", argument) ** 2
    if node.word == "atan":
        return change / (_ONE + argument**2)
    found = change / call("sqrt", (_ONE - argument) * (_ONE + argument))
    return found if node.word == "asin" else -found


def _times(one: Expression, other: Expression) -> Expression:
    return one if other == _ONE else one * other


def _product(factors: Sequence[_Factor]) -> Expression:
    """Factors multiplied; those to negative powers below the line, ones left out."""
    above = [raised for one in factors if one.exponent > 0 for raised in _raised(one)]
    below = [raised for one in factors if one.exponent < 0 for raised in _raised(one)]
    top = _chain(above)
    return top / _chain(below) if below else top


def _chain(factors: Sequence[Expression]) -> Expression:
    counted = [one for one in factors if not (one.type is NodeType.NUMBER and one.value == 1)]
    return multiplied(counted or [_ONE])


def _raised(factor: _Factor) -> Iterator[Expression]:
    """A base to the size of its exponent, in powers that a formula may hold."""
    left = abs(factor.exponent)
    while left > 0:
        step = min(left, Fraction(LARGEST_EXPONENT))
        if step == 1:
            yield factor.base
        elif step == _HALF:
            yield call("sqrt", factor.base)
        else:
            yield factor.base**step
        left -= step
