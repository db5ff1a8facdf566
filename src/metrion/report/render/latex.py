"""LaTeX for those who write their own: lines of mathematics, and the tables of readings."""

from __future__ import annotations

from collections.abc import Iterator

from metrion.report.blocks import Column, Report, Row, Table
from metrion.report.lines import Form, Line, Span

_ESCAPES = {
    "\\": r"\textbackslash{}", "{": r"\{", "}": r"\}", "$": r"\$", "&": r"\&", "#": r"\#",
    "_": r"\_", "%": r"\%", "~": r"\textasciitilde{}", "^": r"\textasciicircum{}",
    "−": r"\ensuremath{-}", "×": r"\ensuremath{\times}", "±": r"\ensuremath{\pm}",
    "°": r"\ensuremath{^{\circ}}", "′": r"\ensuremath{'}", "½": r"\ensuremath{\tfrac12}",
    "Σ": r"\ensuremath{\Sigma}", "π": r"\ensuremath{\pi}", "√": r"\ensuremath{\surd}",
    "·": r"\ensuremath{\cdot}", "θ": r"\ensuremath{\theta}", "µ": r"\ensuremath{\mu}",
    "…": r"\ldots{}", "“": "``", "”": "''", "’": "'",
}  # fmt: skip
_ESCAPES |= {
    high: rf"\ensuremath{{^{low}}}" for high, low in zip("⁻⁰¹²³⁴⁵⁶⁷⁸⁹", "-0123456789", strict=True)
}

_SIGNS = {"−": "-", "×": r"\times", "±": r"\pm"}


def latex_text(text: str) -> str:
    """A text with everything that LaTeX would take for a command made plain.

    >>> latex_text("50 % of A_1")
    '50 \\\\% of A\\\\_1'
    """
    return "".join(_ESCAPES.get(character, character) for character in " ".join(text.split(" ")))


def latex_line(line: Line) -> str:
    """A line of a working as mathematics, without the dollar signs."""
    return "".join(_piece(span) for span in line)


def _piece(span: Span) -> str:
    if span.form is Form.OVER:
        return rf"\frac{{{latex_line(span.first)}}}{{{latex_line(span.second)}}}"
    if span.form is Form.ROOT:
        return rf"\sqrt{{{latex_line(span.first)}}}"
    if span.form is Form.POWER:
        return rf"{{{latex_line(span.first)}}}^{{{latex_line(span.second)}}}"
    if span.form is Form.BRACKETS:
        return rf"\left({latex_line(span.first)}\right)"
    if span.form is Form.SIGN:
        return f" {_SIGNS.get(span.text, span.text)} "
    if span.form is Form.SYMBOL and len(span.text) == 1:
        return latex_text(span.text)
    return rf"\text{{{latex_text(span.text)}}}"


def latex_tables(report: Report) -> str:
    """Every table of a report, each a ``tabular``; needs ``amsmath`` and ``booktabs``."""
    pieces = ["% Needs \\usepackage{amsmath,booktabs} and \\usepackage[normalem]{ulem}."]
    for section in report.sections:
        for block in section.blocks:
            if isinstance(block, Table):
                pieces.append(f"% {' '.join(section.title.split())}")
                pieces.append("\n".join(_tabular(block.columns, block.rows)))
    return "\n\n".join(pieces) + "\n"


def _tabular(columns: tuple[Column, ...], rows: tuple[Row, ...]) -> Iterator[str]:
    shape = "".join("r" if column.figures else "l" for column in columns)
    yield rf"\begin{{tabular}}{{{shape}}}"
    yield r"\toprule"
    yield " & ".join(latex_text(column.head) for column in columns) + r" \\"
    yield r"\midrule"
    for row in rows:
        cells = []
        for cell in row.cells:
            text = latex_text(cell.text)
            text = rf"\sout{{{text}}}" if row.struck and text else text
            cells.append(rf"\sout{{{latex_text(cell.before)}}} {text}" if cell.before else text)
        yield " & ".join(cells) + r" \\"
        for note in row.notes:
            span = rf"\multicolumn{{{len(columns) - 1}}}{{l}}{{\footnotesize {latex_text(note)}}}"
            yield rf" & {span} \\"
    yield r"\bottomrule"
    yield r"\end{tabular}"
