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
    OVER = "over"
    ROOT = "root"
    POWER = "power"


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
        text: what it says; empty unless its form is text.
        tint: the part it belongs to.
        source: the key of the step that its number comes from; empty if from nowhere else.
        form: text; or one thing over another, the root of one, one to the power of another.
        first, second: what is over, under the root, or the base; and what is below, or the power.
    """

    text: str = ""
    tint: Tint = Tint.PLAIN
    source: str = ""
    form: Form = Form.TEXT
    first: tuple[Span, ...] = ()
    second: tuple[Span, ...] = ()


Line = tuple[Span, ...]


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
    spans: Line
    group: Group = Group.RESULT
    reading: int | None = None


def over(top: Line, bottom: Line) -> Span:
    """One thing divided by another."""
    return Span(form=Form.OVER, first=top, second=bottom)


def root(of: Line) -> Span:
    """The square root."""
    return Span(form=Form.ROOT, first=of)


def power(base: Line, exponent: str) -> Span:
    """Something to a power."""
    return Span(form=Form.POWER, first=base, second=(Span(exponent),))


def joined(pieces: Iterable[Span], sign: str) -> Line:
    """Pieces with a sign between them."""
    line: list[Span] = []
    for piece in pieces:
        line += [Span(f" {sign} "), piece] if line else [piece]
    return tuple(line)


def plain(line: Line) -> str:
    """A line as text without any setting.

    >>> plain((over((Span("1"),), (Span("20"),)), Span(" = 0.05 mm")))
    '1 / 20 = 0.05 mm'
    """
    return "".join(_plain(span) for span in line)


def _plain(span: Span) -> str:
    if span.form is Form.OVER:
        return f"{_bracketed(span.first)} / {_bracketed(span.second)}"
    if span.form is Form.ROOT:
        return f"√({plain(span.first)})"
    if span.form is Form.POWER:
        exponent = plain(span.second)
        raised = "²" if exponent == "2" else f"^{exponent}"
        return f"{_bracketed(span.first)}{raised}"
    return span.text


def _bracketed(line: Line) -> str:
    text = plain(line)
    if _within_brackets(line):
        return text
    alone = len(line) == 1 and line[0].form in (Form.TEXT, Form.ROOT)
    return text if alone and (" " not in text or line[0].form is Form.ROOT) else f"({text})"


def _within_brackets(line: Line) -> bool:
    """Whether one pair of brackets holds all of it."""
    depth = 0
    for at, span in enumerate(line):
        depth += {"(": 1, ")": -1}.get(span.text, 0)
        if not depth:
            return at == len(line) - 1 > 0
    return False
