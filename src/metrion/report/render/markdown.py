"""A report as Markdown, with formulas in LaTeX between dollar signs."""

from __future__ import annotations

import re
from collections.abc import Iterator

from metrion.report.blocks import Bars, Block, Picture, Report, Result, Row, Steps, Table, Text
from metrion.report.lines import Line
from metrion.report.render.latex import latex_line

_MARKS = re.compile(r"([\\`*_{}\[\]<>#|~$])")


def markdown_text(report: Report) -> str:
    """The whole report as text."""
    parts = [f"# {_safe(report.title)}"]
    parts.append("\n".join(f"- **{name}:** {_safe(text)}" for name, text in report.facts))
    for section in report.sections:
        parts.append(f"{'#' * section.level} {_safe(section.title)}")
        parts += [_block(block) for block in section.blocks]
    return "\n\n".join(part for part in parts if part) + "\n"


def _safe(text: str) -> str:
    return _MARKS.sub(r"\\\1", " ".join(text.split()))


def _block(block: Block) -> str:
    match block:
        case Text(line):
            return _line(line)
        case Result(symbol, text):
            return f"**{_safe(f'{symbol} = {text}' if symbol else text)}**"
        case Steps(steps):
            return "\n".join(f"- {_safe(step.label)}: {_line(step.spans)}" for step in steps)
        case Table(columns, rows):
            heads = _cells([column.head for column in columns])
            rule = _row(["--:" if column.figures else ":--" for column in columns])
            return "\n".join([heads, rule, *_rows(rows)])
        case Bars(bars):
            return "\n".join(
                f"- {_safe(bar.label)}: {_safe(bar.percent_text)}, {_safe(bar.size)}"
                + (f" ({_safe(bar.lost)})" if bar.lost else "")
                for bar in bars
            )
        case Picture(_, caption):
            return f"*{_safe(caption)}*"


def _row(cells: list[str]) -> str:
    return f"| {' | '.join(cells)} |"


def _cells(texts: list[str]) -> str:
    return _row([_safe(text) for text in texts])


def _rows(rows: tuple[Row, ...]) -> Iterator[str]:
    for row in rows:
        cells = []
        for cell in row.cells:
            text = _safe(cell.text)
            text = f"~~{text}~~" if row.struck and text else text
            cells.append(f"~~{_safe(cell.before)}~~ {text}" if cell.before else text)
        if row.notes:
            cells[1] = "; ".join(part for part in (cells[1], *map(_safe, row.notes)) if part)
        yield _row(cells)


def _line(line: Line) -> str:
    if all(span.text for span in line):
        return _safe("".join(span.text for span in line))
    return f"${latex_line(line)}$"
