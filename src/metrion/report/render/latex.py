"""A report for LaTeX: a document that compiles as it stands, and its tables alone."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from importlib.resources import files

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
from metrion.report.render.siunitx import si_amount
from metrion.voice import DecimalSign

_ESCAPES = {
    "\\": r"\textbackslash{}", "{": r"\{", "}": r"\}", "$": r"\$", "&": r"\&", "#": r"\#",
    "_": r"\_", "%": r"\%", "~": r"\textasciitilde{}", "^": r"\textasciicircum{}",
    "<": r"\textless{}", ">": r"\textgreater{}", "|": r"\textbar{}", '"': r"\textquotedbl{}",
    "−": r"\ensuremath{-}", "×": r"\ensuremath{\times}", "±": r"\ensuremath{\pm}",
    "°": r"\textdegree{}", "′": r"\ensuremath{'}", "½": r"\textonehalf{}",
    "Σ": r"\ensuremath{\Sigma}", "π": r"\ensuremath{\pi}", "√": r"\ensuremath{\surd}",
    "·": r"\ensuremath{\cdot}", "θ": r"\ensuremath{\theta}", "µ": r"\textmu{}", "μ": r"\textmu{}",
    "…": r"\ldots{}", "“": "``", "”": "''", "’": "'", "‘": "`", "–": "--", "—": "---",
    "\u00a0": "~", "∞": r"\ensuremath{\infty}", "∂": r"\ensuremath{\partial}",
    "²": r"\ensuremath{^2}", "³": r"\ensuremath{^3}", "¹": r"\ensuremath{^1}",
}  # fmt: skip
_ESCAPES |= {
    high: rf"\ensuremath{{^{low}}}" for high, low in zip("⁻⁰⁴⁵⁶⁷⁸⁹", "-0456789", strict=True)
}
_LETTERS = frozenset(map(chr, (*range(0x20, 0x7F), *range(0xBF, 0x100)))) | frozenset(
    "ĂăĄąĆćČčĎďĐđĘęĚěĞğİıĹĺĽľŁłŃńŇňŐőŒœŔŕŘřŚśŞşŠšŢţŤťŮůŰűŸŹźŻżŽž"
)
"""What the encoding of the document's font holds."""
_LONGEST_WORD = 30
_WIDEST = 88
"""Signs that a table may have side by side before its texts are set in lines of their own."""
_DEFINED = r"""\DeclareSIUnit{\inch}{in}
\sisetup{retain-zero-uncertainty}
% A sign that the font has not, by its number.
\providecommand{\other}[2]{\ifdefined\Umathcode #2\else [U+#1]\fi}"""


def latex_text(text: str) -> str:
    """A text with everything that LaTeX would take for a command made plain.

    What the font of the document has not is set where the engine can, and named where it cannot.

    >>> latex_text("50 % of A_1"), latex_text("凧")
    ('50 \\\\% of A\\\\_1', '\\\\other{51E7}{凧}')
    """
    return " ".join(map(_word, text.split()))


def _word(word: str) -> str:
    """A word; one that no line would hold may break."""
    cuts = range(0, len(word), _LONGEST_WORD)
    pieces = ("".join(map(_escaped, word[at : at + _LONGEST_WORD])) for at in cuts)
    return r"\allowbreak{}".join(pieces)


def _escaped(sign: str) -> str:
    if sign in _ESCAPES:
        return _ESCAPES[sign]
    return sign if sign in _LETTERS else rf"\other{{{ord(sign):X}}}{{{sign}}}"


def latex_line(line: WorkingLine) -> str:
    """A line of a working, its mathematics between dollar signs."""
    return "".join(
        rf"$\displaystyle {mathematics(spans, latex_text, si_amount)}$"
        if is_mathematics
        else _spaced("".join(span.text for span in spans))
        for is_mathematics, spans in parted(line, si_amount)
    )


def _spaced(text: str) -> str:
    """A text with the blanks at its ends, which part it from the mathematics beside it."""
    begin, end = " " * text.startswith(" "), " " * text.endswith(" ")
    return f"{begin}{latex_text(text)}{end}"


def latex_document(report: Report) -> str:
    """A whole document, for pdfLaTeX, XeLaTeX or LuaLaTeX."""
    comma = report.decimal_sign is DecimalSign.COMMA
    preamble = (files("metrion.report.render") / "report.tex").read_text("utf-8")
    parts = [
        preamble,
        _DEFINED,
        r"\sisetup{output-decimal-marker={,}}" if comma else "",
        r"\begin{document}",
        rf"\begin{{flushleft}}\LARGE\bfseries {latex_text(report.title)}\end{{flushleft}}",
        "\n".join(_facts(report.facts)),
    ]
    for section in report.sections:
        parts.append(rf"\{'sub' * (section.level - 2)}section{{{latex_text(section.title)}}}")
        parts += map(_block, section.blocks)
    parts.append(r"\end{document}")
    return "\n\n".join(part.strip() for part in parts if part) + "\n"


def latex_tables(report: Report) -> str:
    """Every table of a report, to be put into a document of one's own."""
    pieces = [
        "% Needs amsmath, array, booktabs, longtable, siunitx, and ulem with the option normalem.",
        _DEFINED,
    ]
    for section in report.sections:
        for block in section.blocks:
            if isinstance(block, Table):
                pieces.append(f"% {' '.join(section.title.split())}\n{_table(block)}")
    return "\n\n".join(pieces) + "\n"


def _facts(facts: Sequence[tuple[str, str]]) -> Iterator[str]:
    yield r"\begin{tabular}{@{}lp{0.75\linewidth}@{}}"
    for name, text in facts:
        yield rf"{latex_text(name)} & {latex_text(text)} \\"
    yield r"\end{tabular}"


def _block(block: Block) -> str:
    match block:
        case Contents():
            return r"\chapters"
        case TextBlock(line):
            return latex_line(line)
        case Result(symbol, text):
            named = rf"\textit{{{latex_text(symbol)}}} $=$ " if symbol else ""
            return rf"{{\large\bfseries {named}{_figure(text)}\par}}"
        case Steps(steps):
            return "\n".join(
                rf"\step{{{latex_text(step.label)}}}{{{latex_line(step.spans)}}}" for step in steps
            )
        case Table():
            return _table(block)
        case Bars(bars):
            rows = (
                rf"{latex_text(bar.label)} & {_bar(bar.percent, bar.lost)} & "
                rf"{_figure(bar.percent_text)} & {_figure(bar.size)} \\"
                for bar in bars
            )
            return "\n".join(
                [
                    r"\begin{longtable}[l]{@{}p{0.33\linewidth}lrr@{}}",
                    *rows,
                    r"\end{longtable}",
                ]
            )
        case PictureBlock(_, caption):
            return f"% A drawing that the PDF and the page have: {' '.join(caption.split())}"


def _bar(percent: float, lost: str) -> str:
    if lost:
        return rf"\textit{{{latex_text(lost)}}}"
    return rf"\rule{{{percent / 100 * 0.3:.4f}\linewidth}}{{7pt}}"


def _figure(text: str) -> str:
    """A figure with its unit; any other text as it is."""
    found = si_amount(text)
    return rf"\ensuremath{{{found}}}" if found else latex_text(text)


def _table(table: Table) -> str:
    return "\n".join(_rows(table))


def _rows(table: Table) -> Iterator[str]:
    columns, rows = table.columns, table.rows
    yield rf"\begin{{longtable}}[l]{{@{{}}{_shape(table)}@{{}}}}"
    yield r"\toprule"
    yield " & ".join(latex_text(column.head) for column in columns) + r" \\"
    yield r"\midrule \endhead"
    for row in rows:
        yield " & ".join(_cells(row)) + r" \\"
        for note in row.notes:
            span = rf"\multicolumn{{{len(columns) - 1}}}{{p{{0.8\linewidth}}}}"
            yield rf" & {span}{{\footnotesize {latex_text(note)}}} \\"
    yield r"\bottomrule"
    yield r"\end{longtable}"


def _cells(row: Row) -> Iterator[str]:
    for cell in row.cells:
        text = _figure(cell.text)
        text = rf"\sout{{{text}}}" if row.struck and cell.text else text
        yield rf"\sout{{{_figure(cell.before)}}} {text}" if cell.before else text


def _shape(table: Table) -> str:
    """The columns: as wide as what is in them, or where that is too wide in parts of the line."""
    texts = [
        [column.head, *(row.cells[at].text for row in table.rows)]
        for at, column in enumerate(table.columns)
    ]
    widths = [max(map(len, column)) for column in texts]
    if sum(widths) + 2 * len(widths) <= _WIDEST:
        return "".join("r" if column.figures else "l" for column in table.columns)
    return "".join(
        rf">{{\ragged{'left' if column.figures else 'right'}\arraybackslash}}"
        rf"p{{{share:.3f}\linewidth}}"
        for column, share in zip(table.columns, _shares(texts, widths, table), strict=True)
    )


def _shares(texts: Sequence[Sequence[str]], widths: Sequence[int], table: Table) -> list[float]:
    """What part of the line each column has: what cannot break, and a share of the rest."""
    least = [
        max(len(word) for text in column for word in _unbroken(text, figures=own.figures))
        for column, own in zip(texts, table.columns, strict=True)
    ]
    rest = max(0, _WIDEST - 2 * len(widths) - sum(least))
    wanted = [min(width, _WIDEST // 2) - word for width, word in zip(widths, least, strict=True)]
    more = [max(0, one) / (sum(max(0, each) for each in wanted) or 1) * rest for one in wanted]
    given = [word + one for word, one in zip(least, more, strict=True)]
    scale = (1 - 0.025 * len(widths)) / sum(given)
    return [one * scale for one in given]


def _unbroken(text: str, *, figures: bool) -> Sequence[str]:
    return [text] if figures and si_amount(text) else text.split() or [""]
