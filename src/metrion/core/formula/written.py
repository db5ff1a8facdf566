"""An expression as text: a formula by the contract, which anybody can evaluate again."""

from __future__ import annotations

from fractions import Fraction

from metrion.core.exact.numbers import finite_decimals, to_text
from metrion.core.formula.expression import Expression, NodeType, fold

_SUM, _PRODUCT, _SIGNED, _POWER, _ATOM = range(5)
"""How strongly a text holds together."""

_Text = tuple[str, int]


def written(expression: Expression) -> str:
    """An expression as a formula.

    >>> from metrion.core.formula.expression import call, name, number
    >>> written((number(Fraction(1, 2)) - name("a")) / call("sqrt", name("b")))
    '(0.5 - a)/sqrt(b)'
    """
    return fold(expression, _text)[0]


def _text(piece: Expression, operands: list[_Text]) -> _Text:
    match piece.type:
        case NodeType.NUMBER:
            return _number(piece.value)
        case NodeType.ANGLE:
            return _angle(piece.value)
        case NodeType.NAME:
            return piece.word, _ATOM
        case NodeType.LIST:
            return f"[{', '.join(text for text, _ in operands)}]", _ATOM
        case NodeType.NEGATIVE:
            return f"-{_held(operands[0], _POWER)}", _SIGNED
        case NodeType.PLUS | NodeType.MINUS:
            tight = _PRODUCT if piece.type is NodeType.MINUS else _SUM
            signed = operands[1][0].startswith("-")
            second = _held(operands[1], _POWER if signed else tight)
            return f"{operands[0][0]} {piece.type} {second}", _SUM
        case NodeType.TIMES | NodeType.OVER:
            first = _held(operands[0], _PRODUCT)
            return f"{first}{piece.type}{_held(operands[1], _POWER)}", _PRODUCT
        case NodeType.POWER:
            exponent, strength = _number(piece.value)
            shown = exponent if strength == _ATOM else f"({exponent})"
            return f"{_held(operands[0], _ATOM)}**{shown}", _POWER
    return _called(piece, operands)


def _called(piece: Expression, operands: list[_Text]) -> _Text:
    if piece.word != "modulo":
        return f"{piece.word}({', '.join(text for text, _ in operands)})", _ATOM
    of, by = operands
    whole = of[0] if by[0] == "1" else f"{_held(of, _PRODUCT)}/{_held(by, _POWER)}"
    times = "" if by[0] == "1" else f"{_held(by, _PRODUCT)}*"
    return f"{of[0]} - {times}floor({whole})", _SUM


def _held(text: _Text, strength: int) -> str:
    return text[0] if text[1] >= strength else f"({text[0]})"


def _number(value: Fraction) -> _Text:
    """A decimal where one writes it in full, else a fraction."""
    if finite_decimals(value) is None:
        return f"{value.numerator}/{value.denominator}", _PRODUCT
    return to_text(value), _SIGNED if value < 0 else _ATOM


def _angle(arc_minutes: Fraction) -> _Text:
    """Degrees times sixty, and minutes.

    >>> _angle(Fraction(20480))[0], _angle(Fraction(-90))[0], _angle(Fraction(21600))[0]
    ('341*60 + 20', '-(1*60 + 30)', '360*60')
    """
    degrees, minutes = divmod(abs(arc_minutes), 60)
    parts = [f"{degrees}*60"] if degrees or not minutes else []
    if minutes:
        parts.append(_number(minutes)[0])
    text, strength = " + ".join(parts), _SUM if len(parts) == 2 else _PRODUCT
    return (f"-({text})", _SIGNED) if arc_minutes < 0 else (text, strength)
