"""Lines of a working as mathematics in the notation of LaTeX: for documents, and for Markdown."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from itertools import groupby

from metrion.report.lines import Form, Span, WorkingLine

_SIGNS = {
    "−": "{-}", "×": r"\times ", "±": r"\pm ", "·": r"\cdot ", "π": r"\pi ", "Σ": r"\sum ",
    "∂": r"\partial ", "∞": r"\infty ", "√": r"\surd ", "°": r"{}^{\circ}", "′": r"{}^{\prime}",
    "…": r"\ldots ", "|": "|", "%": r"\%", "½": r"\tfrac{1}{2}", "θ": r"\theta ", "µ": r"\mu ",
}  # fmt: skip
"""Signs of the working in mathematics, a minus as that of a number; others stand as text."""
_PLAIN_SIGNS = "()[]+=/;:.'"
_RAISED = dict(zip("⁻⁰¹²³⁴⁵⁶⁷⁸⁹", "-0123456789", strict=True))
_TOKEN = re.compile(
    r"(?P<number>\d+(?:[.,]\d+)*)|(?P<raised>[⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+)|(?P<blank>\s+)|(?P<word>[^\W\d_⁰¹²³⁴⁵⁶⁷⁸⁹]+)|."
)
_WORDS = re.compile(r"[^\W\d_]{2,}.*\s|\s.*[^\W\d_]{2,}")

Writing = Callable[[str], str]


def nothing_more(text: str) -> str:
    """No other way of writing a number with its unit than as numbers and letters."""
    return ""


def parted(line: WorkingLine, amount: Writing = nothing_more) -> Iterator[tuple[bool, WorkingLine]]:
    """A line in stretches of mathematics (true) and of prose (false), which may break anywhere.

    Args:
        amount: how a number with its unit is written; empty for what is none.
    """
    for is_prose, spans in groupby(line, lambda span: _is_prose(span, amount)):
        yield not is_prose, tuple(spans)


def _is_prose(span: Span, amount: Writing) -> bool:
    numbered = re.fullmatch(r"\(?−?\d[^ ]*( ± \d[^ ]*)?( \S+)?", span.text)
    if span.form is not Form.TEXT or amount(span.text) or numbered:
        return False
    return bool(_WORDS.search(span.text))


def mathematics(line: WorkingLine, text: Writing, amount: Writing = nothing_more) -> str:
    """A line in LaTeX's notation, without the signs that begin and end mathematics.

    Args:
        text: how a text is written within ``\\text``.
        amount: how a number with its unit is written; empty for what is none.
    """

    def set_line(spans: WorkingLine) -> str:
        return "".join(map(set_piece, spans))

    def set_piece(span: Span) -> str:
        first, second = set_line(span.first), set_line(span.second)
        match span.form:
            case Form.OVER:
                return rf"\dfrac{{{first}}}{{{second}}}"
            case Form.ROOT:
                return rf"\sqrt{{{first}}}"
            case Form.POWER:
                return rf"{{{first}}}^{{{second}}}"
            case Form.BRACKETS:
                return rf"\left({first}\right)"
            case Form.SIGN:
                between = "-" if span.text == "−" else _SIGNS.get(span.text, span.text)
                return f" {between.strip()} "
            case Form.SYMBOL:
                return span.text if len(span.text) == 1 else rf"\mathit{{{text(span.text)}}}"
        return amount(span.text) or _text(span.text, text)

    return set_line(line)


def _text(whole: str, text: Writing) -> str:
    """A text piece: a lone letter slanted, a lone word upright, else one sign after the other."""
    if whole.isascii() and whole.strip().isalpha():
        alone = whole.strip()
        return alone if len(alone) == 1 else rf"\operatorname{{{alone}}}"
    return "".join(_token(found, text) for found in _TOKEN.finditer(whole))


def _token(found: re.Match[str], text: Writing) -> str:
    token = found[0]
    if found["number"]:
        return token.replace(",", "{,}")
    if found["raised"]:
        return f"{{}}^{{{''.join(_RAISED[sign] for sign in token)}}}"
    if found["blank"]:
        return r"\ "
    if token in _SIGNS or token in _PLAIN_SIGNS:
        return _SIGNS.get(token, token)
    return rf"\text{{{text(token)}}}"
