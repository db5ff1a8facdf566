"""A report as PDF with text that can be selected, a title, and tags; set by Typst.

What the student wrote goes in as quoted strings, never as markup. The same report gives the same
bytes.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from enum import StrEnum
from importlib.resources import files

import typst

from metrion.report.blocks import (
    Bar,
    Bars,
    Block,
    Column,
    Picture,
    Report,
    Result,
    Row,
    Steps,
    Table,
    Text,
)
from metrion.report.lines import Form, Line, Span, Tint

_SIGNS = ("+", "−", "×", "=")
"""Signs that the setting of mathematics puts space around by itself."""


class Paper(StrEnum):
    """Sizes of paper."""

    A4 = "a4"
    LETTER = "us-letter"


def pdf_file(report: Report, paper: Paper = Paper.A4) -> bytes:
    """The whole report, page by page."""
    return pdf_of_many(report.title, [report], paper)


def pdf_of_many(title: str, reports: Iterable[Report], paper: Paper = Paper.A4) -> bytes:
    """Several reports in one file, each on a page of its own."""
    head = (files("metrion.report.render") / "report.typ").read_text("utf-8")
    body = "#pagebreak()\n".join(_report(report) for report in reports)
    return typst.compile(
        (head + body).encode(),
        ignore_system_fonts=True,
        sys_inputs={"title": title, "paper": str(paper)},
        timestamp=0,
    )


def _report(report: Report) -> str:
    pieces = [f"#heading(level: 1, {_quoted(report.title)})\n"]
    facts = ", ".join(
        f"text(fill: quiet, {_quoted(name)}), {_quoted(text)}" for name, text in report.facts
    )
    pieces.append(f"#grid(columns: (auto, 1fr), column-gutter: 6mm, row-gutter: 2mm, {facts})\n")
    for section in report.sections:
        pieces.append(f"#heading(level: {section.level}, {_quoted(section.title)})\n")
        pieces += [_block(block) for block in section.blocks]
    return "".join(pieces)


def _quoted(text: str) -> str:
    """A text as a string of Typst."""
    plain = "".join(c for c in text if c.isprintable() or c == " ")
    escaped = plain.replace("\\", "\\\\").replace('"', '\\"')
    return f'"{escaped}"'


def _block(block: Block) -> str:
    match block:
        case Text(line):
            return f"#par[{_line(line)}]\n"
        case Result(symbol, text):
            before = f"#emph({_quoted(symbol)}) = " if symbol else ""
            return f'#result[{before}#part("result", {_quoted(text)})]\n'
        case Steps(steps):
            rows = ", ".join(
                f"text(fill: quiet, {_quoted(step.label)}), [{_line(step.spans)}]" for step in steps
            )
            return f"#steps({rows})\n"
        case Table(columns, rows):
            return _table(columns, rows)
        case Bars(bars):
            return f"#bars({', '.join(map(_bar, bars))})\n"
        case Picture(svg, caption):
            return f"#picture({_quoted(svg)}, {_quoted(caption)})\n"


def _bar(bar: Bar) -> str:
    drawn = "hollow" if bar.lost else f"bar({bar.percent:.2f}%)"
    return f"{_quoted(bar.label)}, {drawn}, {_quoted(bar.percent_text)}, {_quoted(bar.size)}"


def _table(columns: tuple[Column, ...], rows: tuple[Row, ...]) -> str:
    align = ", ".join("right" if column.figures else "left" for column in columns)
    heads = ", ".join(
        _quoted(c.head) if c.tint is Tint.PLAIN else f'part("{c.tint}", {_quoted(c.head)})'
        for c in columns
    )
    body = ", ".join(_cells(columns, rows))
    return f"#readings({len(columns)}, ({align},), table.header({heads}), {body})\n"


def _cells(columns: tuple[Column, ...], rows: tuple[Row, ...]) -> Iterator[str]:
    for row in rows:
        for cell in row.cells:
            text = _quoted(cell.text)
            text = f"strike(text(fill: quiet, {text}))" if row.struck else text
            yield f"[#strike({_quoted(cell.before)}) #{text}]" if cell.before else text
        for words in row.notes:
            yield f'"", note({len(columns) - 1}, {_quoted(words)})'


def _line(line: Line) -> str:
    return "".join(_piece(span) for span in line)


def _piece(span: Span) -> str:
    if span.form is Form.TEXT:
        quoted = _quoted(span.text)
        return f"#{quoted}" if span.tint is Tint.PLAIN else f'#part("{span.tint}", {quoted})'
    return f"$display({_math(span)})$"


def _math(span: Span) -> str:
    if span.form is Form.OVER:
        return f"frac({_row(span.first)}, {_row(span.second)})"
    if span.form is Form.ROOT:
        return f"sqrt({_row(span.first)})"
    if span.form is Form.POWER:
        return f"attach({_row(span.first)}, t: {_row(span.second)})"
    if span.text.strip() in _SIGNS:
        return span.text.strip()
    quoted = _quoted(span.text)
    return quoted if span.tint is Tint.PLAIN else f'#hue("{span.tint}", {quoted})'


def _row(line: Line) -> str:
    return " ".join(_math(span) for span in line)
