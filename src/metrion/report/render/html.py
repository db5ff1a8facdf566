"""A report as one HTML page that prints well on A4 and Letter, in colour and in grey."""

from __future__ import annotations

from collections.abc import Iterator
from html import escape
from importlib.resources import files

from metrion.report.blocks import (
    Bars,
    Block,
    Cell,
    Column,
    Picture,
    Report,
    Result,
    Row,
    Section,
    Steps,
    Table,
    Text,
)
from metrion.report.lines import Form, Line, Span, Tint

_MATHML = {Form.OVER: "mfrac", Form.ROOT: "msqrt", Form.POWER: "msup"}


def html_page(report: Report) -> str:
    """The whole page, with its styles in it: it needs nothing else."""
    styles = (files("metrion.report.render") / "report.css").read_text("utf-8")
    facts = "".join(f"<dt>{escape(n)}</dt><dd>{escape(t)}</dd>" for n, t in report.facts)
    sections = "".join(_section(section) for section in report.sections)
    title = escape(report.title)
    return (
        '<!doctype html><html lang="en"><head><meta charset="utf-8">'
        '<meta name="viewport" content="width=device-width, initial-scale=1">'
        f"<title>{title}</title><style>{styles}</style></head><body><main>"
        f'<h1>{title}</h1><dl class="facts">{facts}</dl>{sections}</main></body></html>\n'
    )


def _section(section: Section) -> str:
    head = f"h{section.level}"
    blocks = "".join(_block(block) for block in section.blocks)
    return f"<section><{head}>{escape(section.title)}</{head}>{blocks}</section>"


def _block(block: Block) -> str:
    match block:
        case Text(line):
            return f"<p>{_line(line)}</p>"
        case Result(symbol, text):
            before = f"<i>{escape(symbol)}</i> = " if symbol else ""
            return f'<p class="result">{before}<span class="result-text">{escape(text)}</span></p>'
        case Steps(steps):
            rows = "".join(
                f"<tr><th>{escape(step.label)}</th><td>{_line(step.spans)}</td></tr>"
                for step in steps
            )
            return f'<table class="steps">{rows}</table>'
        case Table(columns, rows):
            return _table(columns, rows)
        case Bars(bars):
            rows = "".join(
                f'<tr class="{"lost" if bar.lost else "counts"}"><th>{escape(bar.label)}</th>'
                f'<td class="bar"><span style="width:{bar.percent:.2f}%"></span></td>'
                f"<td>{escape(bar.percent_text)}</td><td>{escape(bar.size)}</td></tr>"
                for bar in bars
            )
            return f'<table class="bars">{rows}</table>'
        case Picture(svg, caption):
            return f"<figure>{svg}<figcaption>{escape(caption)}</figcaption></figure>"


def _table(columns: tuple[Column, ...], rows: tuple[Row, ...]) -> str:
    heads = "".join(
        f'<th{_of(column)} scope="col">{_tinted(escape(column.head), column.tint)}</th>'
        for column in columns
    )
    body = "".join(_rows(columns, rows))
    return f'<table class="readings"><thead><tr>{heads}</tr></thead><tbody>{body}</tbody></table>'


def _rows(columns: tuple[Column, ...], rows: tuple[Row, ...]) -> Iterator[str]:
    for row in rows:
        cells = "".join(
            f"<td{_of(column)}>{_cell(cell)}</td>"
            for column, cell in zip(columns, row.cells, strict=True)
        )
        struck = ' class="struck"' if row.struck else ""
        yield f"<tr{struck}>{cells}</tr>"
        for note in row.notes:
            rest = len(columns) - 1
            yield f'<tr class="note"><td></td><td colspan="{rest}">{escape(note)}</td></tr>'


def _of(column: Column) -> str:
    return ' class="figures"' if column.figures else ""


def _cell(cell: Cell) -> str:
    before = f"<s>{escape(cell.before)}</s> " if cell.before else ""
    return before + escape(cell.text)


def _tinted(text: str, tint: Tint) -> str:
    return text if tint is Tint.PLAIN else f'<span class="{tint}">{text}</span>'


def _line(line: Line) -> str:
    return "".join(_piece(span) for span in line)


def _piece(span: Span) -> str:
    if span.form is Form.TEXT:
        return _tinted(escape(span.text), span.tint)
    return f'<math displaystyle="true">{_math(span)}</math>'


def _math(span: Span) -> str:
    if span.form is Form.TEXT:
        text = escape(span.text).replace(" ", "&#160;")
        tint = "" if span.tint is Tint.PLAIN else f' class="{span.tint}"'
        return f"<mtext{tint}>{text}</mtext>"
    parts = [span.first] if span.form is Form.ROOT else [span.first, span.second]
    rows = "".join(f"<mrow>{''.join(map(_math, part))}</mrow>" for part in parts)
    return f"<{_MATHML[span.form]}>{rows}</{_MATHML[span.form]}>"
