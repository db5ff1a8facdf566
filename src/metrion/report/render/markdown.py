"""A report as Markdown, with formulas in LaTeX between dollar signs."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence

from metrion.report.blocks import (
    Bars,
    Block,
    Contents,
    PictureBlock,
    Report,
    Result,
    Row,
    Steps,
    Table,
    TextBlock,
)
from metrion.report.lines import WorkingLine
from metrion.report.render.mathematics import mathematics, parted

_MARKS = re.compile(r"([\\`*_{}\[\]<>#|~$])")


def markdown_text(report: Report) -> str:
    """The whole report as text."""
    parts = [f"# {_safe(report.title)}"]
    parts.append("\n".join(f"- **{name}:** {_safe(text)}" for name, text in report.facts))
    for at, section in enumerate(report.sections):
        parts.append(f"{'#' * section.level} {_safe(section.title)}")
        following = [one.title for one in report.sections[at:] if one.level == 2]
        parts += [_block(block, following) for block in section.blocks]
    return "\n\n".join(part for part in parts if part) + "\n"


def _safe(text: str) -> str:
    return _MARKS.sub(r"\\\1", " ".join(text.split()))


def _block(block: Block, following: Sequence[str]) -> str:
    match block:
        case Contents():
            return "\n".join(f"- {_safe(title)}" for title in following)
        case TextBlock(line):
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
        case PictureBlock(_, caption):
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


def _line(line: WorkingLine) -> str:
    return "".join(
        f"${mathematics(spans, _safe)}$" if is_mathematics else _spaced(spans)
        for is_mathematics, spans in parted(line)
    )


def _spaced(spans: WorkingLine) -> str:
    """Prose with the blanks at its ends, which part it from the mathematics beside it."""
    text = "".join(span.text for span in spans)
    return f"{' ' * text.startswith(' ')}{_safe(text)}{' ' * text.endswith(' ')}"
