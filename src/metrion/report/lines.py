"""Lines of a working: pieces of text and of mathematics, whatever renders them."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum


class Tint(StrEnum):
    """Which part of a reading a piece of the working belongs to."""

    PLAIN = "plain"
    MAIN = "main"
    FINE = "fine"
    ZERO = "zero"
    RESULT = "result"


class Form(StrEnum):
    """How a piece is set."""

    TEXT = "text"
    SYMBOL = "symbol"
    SIGN = "sign"
    OVER = "over"
    ROOT = "root"
    POWER = "power"
    BRACKETS = "brackets"


class Group(StrEnum):
    """The chapters of a working."""

    SCALE = "scale"
    ZERO = "zero"
    READING = "reading"
    RESULT = "result"


@dataclass(frozen=True)
class Span:
    """A piece of a line.

    Attributes:
        text: what it says; empty where it is made of other pieces.
        tint: the part it belongs to.
        source: the key of the step that its number comes from; empty if from nowhere else.
        form: text, the symbol of a quantity, a sign between two things; or one thing over
            another, the root of one, one to the power of another, one in brackets as high as it.
        first, second: what is over, under the root, the base, or in brackets; and what is below,
            or the power.
    """

    text: str = ""
    tint: Tint = Tint.PLAIN
    source: str = ""
    form: Form = Form.TEXT
    first: tuple[Span, ...] = ()
    second: tuple[Span, ...] = ()

    @property
    def keeps(self) -> bool:
        """Whether what comes next stays on its line: after a sign, and what opens a bracket."""
        return self.form is Form.SIGN or self.text.endswith("(")


WorkingLine = tuple[Span, ...]


@dataclass(frozen=True)
class Written:
    """One written line of a working: what is worked out, and how.

    Attributes:
        key: what other lines call it by.
        label: what it is.
        spans: how it is worked out.
        group: the chapter it stands in.
        reading: of a reading's line, its number in the quantity, from 0; else None.
    """

    key: str
    label: str
    spans: WorkingLine
    group: Group = Group.RESULT
    reading: int | None = None


WIDEST = 40
"""Signs side by side that nothing parts: what is wider than that is written out, and may break."""


_NARROW = frozenset(" .,°′|()")
"""Signs half as wide as the others."""


def over(top: WorkingLine, bottom: WorkingLine) -> WorkingLine:
    """One thing divided by another: one below the other, or side by side where that is too wide."""
    return _fitting(Span(form=Form.OVER, first=top, second=bottom))


def root(of: WorkingLine) -> WorkingLine:
    """The square root."""
    return _fitting(Span(form=Form.ROOT, first=of))


def power(base: WorkingLine, exponent: str) -> WorkingLine:
    """Something to a power."""
    return _fitting(Span(form=Form.POWER, first=base, second=(Span(exponent),)))


def brackets(line: WorkingLine) -> WorkingLine:
    """A line in brackets, as high as what stands in them."""
    whole = Span(form=Form.BRACKETS, first=line)
    return _fitting(whole) if any(map(_tall, line)) else _written_out(whole)


def sign(text: str) -> Span:
    """A sign between two things."""
    return Span(text, form=Form.SIGN)


EQUALS = sign("=")


def joined(pieces: Iterable[Span], between: str) -> WorkingLine:
    """Pieces with a sign between them."""
    line: list[Span] = []
    for piece in pieces:
        line += [sign(between), piece] if line else [piece]
    return tuple(line)


def plain(line: WorkingLine) -> str:
    """A line as text without any setting.

    >>> plain((*over((Span("1"),), (Span("20"),)), Span(" = 0.05 mm")))
    '1 / 20 = 0.05 mm'
    """
    return "".join(map(_plain, line))


def _plain(span: Span) -> str:
    if span.form is Form.SIGN:
        return f" {span.text} "
    if span.form is Form.POWER:
        exponent = plain(span.second)
        raised = "²" if exponent == "2" else f"^{exponent}"
        return f"{plain(_bracketed(span.first, Form.ROOT))}{raised}"
    return span.text or plain(_written_out(span))


def _fitting(span: Span) -> WorkingLine:
    return (span,) if _width((span,)) <= WIDEST else _written_out(span)


def _written_out(span: Span) -> WorkingLine:
    """What is set as mathematics, as pieces side by side."""
    if span.form is Form.OVER:
        above, below = (_bracketed(one, Form.ROOT, Form.POWER) for one in (span.first, span.second))
        return (*above, sign("/"), *below)
    if span.form is Form.ROOT:
        return (Span("√"), *brackets(span.first))
    if span.form is Form.BRACKETS:
        return (Span("("), *span.first, Span(")"))
    if span.form is Form.POWER:
        # The bracket that ends the base bears the exponent.
        *base, last = _bracketed(span.first, Form.ROOT)
        return (*base, Span(form=Form.POWER, first=(last,), second=span.second))
    return (span,)


def _width(line: WorkingLine) -> float:
    """How wide a line is, in signs of its text."""
    return sum(map(_width_of, line))


def _width_of(span: Span) -> float:
    if span.form is Form.OVER:
        return max(_width(span.first), _width(span.second))
    around = {Form.SIGN: 2, Form.ROOT: 1, Form.BRACKETS: 2}.get(span.form, 0)
    signs = len(span.text) - sum(map(_NARROW.__contains__, span.text)) / 2
    return signs + _width(span.first) + _width(span.second) + around


def _tall(span: Span) -> bool:
    return span.form in (Form.OVER, Form.ROOT) or any(map(_tall, span.first))


def _bracketed(line: WorkingLine, *whole: Form) -> WorkingLine:
    """A line in brackets, unless it is one number, one word, one such form, or in them already."""
    if _within_brackets(line):
        return line
    alone = len(line) == 1 and (line[0].form in whole or bool(line[0].text))
    return line if alone and " " not in line[0].text else brackets(line)


def _within_brackets(line: WorkingLine) -> bool:
    """Whether one pair of brackets holds all of it."""
    if len(line) == 1:
        return line[0].form is Form.BRACKETS
    depth = 0
    for at, span in enumerate(line):
        depth += {"(": 1, ")": -1}.get(span.text, 0)
        if not depth:
            return at == len(line) - 1
    return False
