"""Steps of a working set as mathematics, with their numbers.

Whoever follows a line with a pocket calculator, from the numbers that are printed, must get what is
printed as its result. So the printed numbers are kept beside the exact ones: a result is printed
with as many figures as the numbers before it bear out.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.exact.angles import degrees_and_minutes
from metrion.core.exact.figures import first_place, round_half_away
from metrion.core.exact.numbers import finite_decimals, to_text
from metrion.core.formula.evaluate import PI, NoValue, evaluate, value_of
from metrion.core.formula.expression import Expression, NodeType, Part, call, fold
from metrion.core.formula.expression import number as literal
from metrion.core.formula.values import Scalar, Value, ValueSeries, rational
from metrion.report.lines import (
    Form,
    Span,
    Tint,
    WorkingLine,
    brackets,
    joined,
    over,
    power,
    root,
    sign,
)
from metrion.voice import Numbers, Speaker

_LISTED = 6
"""Readings that a sum lists one by one; of more it lists the first and the last."""
_FIGURES = 6
_MOST_DECIMALS = 8

_SUM, _PRODUCT, _SIGNED, _ATOM = range(4)
"""How strongly a piece holds together."""
_SIGN = Span("−")

_Bound = tuple[WorkingLine, int]
"""A line, and how strongly it holds together."""


@dataclass(frozen=True)
class Set:
    """A piece of a line: how it is set, how strongly it holds together, and what it is worth."""

    line: WorkingLine
    strength: int
    value: Value

    def held(self, strength: int) -> WorkingLine:
        """In brackets, unless it holds together well enough."""
        if self.strength >= strength:
            return self.line
        return brackets(self.line)

    @property
    def negative(self) -> bool:
        """Whether a sign stands before it that is no part of a number."""
        return self.strength == _SIGNED and self.line[0] == _SIGN

    def without_sign(self) -> Set:
        """The same without a sign before it."""
        return Set(self.line[1:], _PRODUCT, self.value) if self.negative else self


@dataclass(frozen=True)
class Printed:
    """A number as it stands on the page.

    Attributes:
        text: what is printed, without a unit.
        value: what that is worth.
        key: the key of the line whose result it is.
        tint: the part of a reading that it belongs to.
    """

    text: str
    value: Fraction
    key: str
    tint: Tint = Tint.PLAIN

    def under(self, key: str) -> Printed:
        """The same number as the result of another line."""
        return Printed(self.text, self.value, key, self.tint)


class Page:
    """What has been printed so far, and how numbers are set from it.

    Attributes:
        numbers: the results that were printed, by key of their step.
        lists: those that later lines use as a list.
        exact: what every step is worth.
        speaker: by whose numbers and words it is written.
    """

    def __init__(self, exact: Mapping[str, Value], speaker: Speaker) -> None:
        self.exact = dict(exact)
        self.speaker = speaker
        self.numbers: dict[str, Printed] = {}
        self.lists: dict[str, Sequence[Printed]] = {}

    def recomputed(self, expression: Expression) -> Fraction | None:
        """What somebody gets who follows a line from the printed numbers; None for a list."""
        try:
            found = evaluate(
                expression, {one: self._printed(one) for one in expression.names - {PI}}
            )
        except NoValue:
            return None
        return None if isinstance(found, ValueSeries) else rational(found)

    def _printed(self, name: str) -> Value:
        if name in self.lists:
            return ValueSeries.of([printed.value for printed in self.lists[name]])
        return self.numbers[name].value if name in self.numbers else self.exact[name]

    def result(self, value: Fraction, expression: Expression | None) -> tuple[str, Fraction]:
        """A result with as many figures as following its line from the printed numbers bears out.

        Returns:
            What is printed, and what that is worth.
        """
        found = None if expression is None else self.recomputed(expression)
        for printed, half in _candidates(value):
            if found is None or abs(found - printed) <= half:
                break
        return self.speaker.numbers.number(printed), printed

    def set(self, expression: Expression) -> WorkingLine:
        """An expression as mathematics, with numbers for its names."""
        return fold(expression, self._piece).line

    def _piece(self, piece: Expression, operands: list[Set]) -> Set:
        values = [operand.value for operand in operands]
        if piece.type is NodeType.NAME:
            return self._named(piece.word)
        value = value_of(piece, values, self.exact)
        if piece.type in _SETTERS:
            line, strength = _SETTERS[piece.type](piece, operands, self.speaker)
            return Set(line, strength, value)
        if piece.word in ("sum", "count", "max", "min") and len(operands) == 1:
            return Set(*self._of_list(piece, operands[0], value), value)
        return Set(*_called(piece, operands, self.speaker), value)

    def _named(self, word: str) -> Set:
        if word == PI:
            return Set((Span("π"),), _ATOM, value_of(Expression(NodeType.NAME, word=PI), (), {}))
        value = self.exact[word]
        if isinstance(value, ValueSeries):
            # Within a sum: one of the list.
            return Set((Span("x"),), _ATOM, value)
        printed = self.numbers[word]
        line = (Span(printed.text, printed.tint, printed.key),)
        return Set(line, _SIGNED if printed.text.startswith("−") else _ATOM, value)

    def _of_list(self, piece: Expression, of: Set, value: Value) -> _Bound:
        (operand,) = piece.operands
        if piece.word == "count":
            return (Span(number(rational(_scalar(value)), self.speaker.numbers)),), _ATOM
        if piece.word == "sum":
            if operand.type is NodeType.NAME:
                return _signed_sum(self.lists[operand.word]), _SUM
            return (Span("Σ "), *of.held(_ATOM)), _PRODUCT
        best, exact = max if piece.word == "max" else min, of.value
        assert isinstance(exact, ValueSeries)
        at = best(range(len(exact)), key=exact.numerators.__getitem__)
        found = self.lists[operand.word][at]
        strength = _SIGNED if found.text.startswith("−") else _ATOM
        return (Span(found.text, found.tint, found.key),), strength


def symbolic(
    expression: Expression, named: Callable[[str], WorkingLine], speaker: Speaker
) -> WorkingLine:
    """A formula as mathematics, with ``named`` for its names."""

    def piece(node: Expression, operands: list[Set]) -> Set:
        if node.type is NodeType.NAME:
            line = (Span("π"),) if node.word == PI else named(node.word)
            return Set(line, _ATOM, Fraction(1))
        setter = _SETTERS.get(node.type, _called)
        return Set(*setter(node, operands, speaker), Fraction(1))

    return fold(expression, piece).line


def _scalar(value: Value) -> Scalar:
    assert not isinstance(value, ValueSeries)
    return value


def _signed_sum(terms: Sequence[Printed]) -> WorkingLine:
    """Values with signs between them; of many, the first two and the last."""
    many = len(terms) > _LISTED
    shown = [terms[0], terms[1], terms[-1]] if many else terms
    spans = [
        Span(f"({one.text})" if at and one.text.startswith("−") else one.text, one.tint, one.key)
        for at, one in enumerate(shown)
    ]
    if many:
        spans.insert(2, Span("…"))
    return joined(spans, "+")


def number(value: Fraction, numbers: Numbers) -> str:
    """A number for people: in full where that is short, else to six figures."""
    printed, _ = next(_candidates(value))
    return numbers.number(printed)


def _candidates(value: Fraction) -> Iterator[tuple[Fraction, Fraction]]:
    """A number with ever fewer figures: what that is worth, and half a unit of its last."""
    decimals = finite_decimals(value)
    if decimals is not None and decimals <= _MOST_DECIMALS:
        yield value, _half(-decimals)
    if value:
        first = first_place(abs(value))
        for figures in range(_FIGURES, 0, -1):
            place = first - figures + 1
            yield round_half_away(value, place), _half(place)


def _half(place: int) -> Fraction:
    return Fraction(10) ** place / 2


_MINUS_ONE = literal(-1)


def _literal(piece: Expression, _: Sequence[Set], speaker: Speaker) -> _Bound:
    """A number that was read, counted or given: always in full."""
    tint = {Part.MAIN: Tint.MAIN, Part.FINE: Tint.FINE}.get(piece.part, Tint.PLAIN)
    strength = _SIGNED if piece.value < 0 else _ATOM
    if finite_decimals(piece.value) is None:
        top, bottom = piece.value.numerator, piece.value.denominator
        return (
            *over((Span(speaker.numbers.figure(str(top)), tint),), (Span(str(bottom), tint),)),
        ), _ATOM
    return (Span(speaker.numbers.number(piece.value), tint),), strength


def _angle(piece: Expression, _: Sequence[Set], speaker: Speaker) -> _Bound:
    whole_degrees = not piece.value % 60 and piece.part is Part.NONE
    decimals = finite_decimals(piece.value)
    rounded = piece.value if decimals is not None else round_half_away(piece.value, -6)
    text = degrees_and_minutes(rounded, 6 if decimals is None else decimals)
    if whole_degrees:
        text = f"{to_text(piece.value / 60)}°"
    tint = Tint.MAIN if piece.part is Part.MAIN else Tint.PLAIN
    return (Span(speaker.numbers.figure(text), tint),), _SIGNED if piece.value < 0 else _ATOM


def _negative(_: Expression, operands: Sequence[Set], speaker: Speaker) -> _Bound:
    of = operands[0].without_sign()
    within = of.held(_ATOM if of.strength == _SIGNED else _PRODUCT)
    return _signed(within, _PRODUCT, minus=not operands[0].negative)


def _sum(piece: Expression, operands: Sequence[Set], speaker: Speaker) -> _Bound:
    left, right = operands
    minus = piece.type is NodeType.MINUS
    for kept, dropped, at in ((left, right, 1), (right, left, 0)):
        # What is nought need not be written, but for a reading or a line that is.
        if _nought(piece.operands[at], dropped.value) and not (minus and at == 0):
            return kept.line, kept.strength
    minus, right = minus != right.negative, right.without_sign()
    second = right.line
    if right.strength == _SIGNED or (minus and right.strength == _SUM):
        second = right.held(_ATOM)
    return (*left.line, sign("−" if minus else "+"), *second), _SUM


def _nought(piece: Expression, value: Value) -> bool:
    named = piece.operands[0] if piece.type is NodeType.POWER else piece
    return named.type is NodeType.NAME and named.word.startswith("component_") and value == 0


def _product(piece: Expression, operands: Sequence[Set], speaker: Speaker) -> _Bound:
    left, right = (each.without_sign() for each in operands)
    minus = operands[0].negative != operands[1].negative
    second = right.held(_ATOM if right.strength == _SIGNED else _PRODUCT)
    if piece.operands[0] == _MINUS_ONE:
        return _signed(second, _PRODUCT, minus=not minus)
    strength = _SIGNED if left.strength == _SIGNED else _PRODUCT
    return _signed((*left.held(_PRODUCT), sign("×"), *second), strength, minus=minus)


def _quotient(piece: Expression, operands: Sequence[Set], speaker: Speaker) -> _Bound:
    if piece.operands[1].word == "count" and operands[1].value == 1:
        return operands[0].line, operands[0].strength
    top, bottom = (each.without_sign() for each in operands)
    above, below = top.line, bottom.line
    if len(above) == 1 and above[0].form is Form.OVER:
        # What is divided twice is divided by the product.
        above, below = above[0].first, (*above[0].second, sign("×"), *bottom.held(_PRODUCT))
    found = over(above, below)
    strength = _ATOM if len(found) == 1 else _PRODUCT
    return _signed(found, strength, minus=operands[0].negative != operands[1].negative)


def _signed(line: WorkingLine, strength: int, *, minus: bool) -> _Bound:
    """With a sign before it, or as it is."""
    return ((_SIGN, *line), _SIGNED) if minus else (line, strength)


def _power(piece: Expression, operands: Sequence[Set], speaker: Speaker) -> _Bound:
    return power(operands[0].held(_ATOM), speaker.numbers.number(piece.value)), _ATOM


_SETTERS: dict[NodeType, Callable[[Expression, Sequence[Set], Speaker], _Bound]] = {
    NodeType.NUMBER: _literal,
    NodeType.ANGLE: _angle,
    NodeType.NEGATIVE: _negative,
    NodeType.PLUS: _sum,
    NodeType.MINUS: _sum,
    NodeType.TIMES: _product,
    NodeType.OVER: _quotient,
    NodeType.POWER: _power,
}


def _called(piece: Expression, operands: Sequence[Set], speaker: Speaker) -> _Bound:
    first = operands[0]
    if piece.word == "sqrt":
        return root(first.line), _ATOM
    if piece.word == "abs":
        plain = first.strength == _ATOM and not isinstance(first.value, ValueSeries)
        if plain and _scalar(first.value) > 0:
            return first.line, first.strength
        return (Span("|"), *first.line, Span("|")), _ATOM
    between = "; " if piece.word in ("student", "normal") else ", "
    inside: list[Span] = []
    for operand in operands:
        inside += [*([Span(between)] if inside else []), *operand.line]
    word = {"student": "t", "normal": "t", "floor": f"{speaker.text('unit-whole-part')} "}.get(
        piece.word, piece.word
    )
    if piece.word == "normal":
        inside.append(Span("; ∞"))
    return (Span(word), *brackets(tuple(inside))), _ATOM


def as_taken(expression: Expression, exact: Mapping[str, Value]) -> Expression:
    """An expression as a person writes it who knows its numbers.

    A remainder becomes whole turns, or whole marks, added or taken off; of the two ways round a
    circle the one that was taken stays.
    """

    def taken(piece: Expression, operands: list[Expression]) -> Expression:
        whole = replace(piece, operands=tuple(operands))
        if piece.type is NodeType.CALL and piece.word == "modulo":
            return _added_turns(operands[0], operands[1], exact)
        if piece.type is NodeType.CALL and piece.word == "min" and len(operands) == 2:
            return _way_round(operands[0], operands[1], exact)
        return whole

    return fold(expression, taken)


def _worth(expression: Expression, exact: Mapping[str, Value]) -> Fraction | None:
    """What an expression of numbers is worth; None for a list."""
    value = evaluate(expression, exact)
    return None if isinstance(value, ValueSeries) else rational(value)


def _added_turns(of: Expression, by: Expression, exact: Mapping[str, Value]) -> Expression:
    value, step = _worth(of, exact), _worth(by, exact)
    if value is None or step is None:
        return call("modulo", of, by)
    times = value // step
    turns = replace(by, value=abs(times) * step)
    if times < 0:
        return turns - of.operands[0] if of.type is NodeType.NEGATIVE else of + turns
    return of - turns if times else of


def _way_round(forward: Expression, back: Expression, exact: Mapping[str, Value]) -> Expression:
    one, other = _worth(forward, exact), _worth(back, exact)
    if one is None or other is None:
        return call("min", forward, back)
    if one <= other:
        return forward
    through_zero = forward.type is NodeType.PLUS and forward.operands[0].type is NodeType.MINUS
    if through_zero:
        end, start = forward.operands[0].operands
        return start - end
    return back
