"""Renderings of one report: a page, plain text with marks, a page to print, a table to paste."""

from collections.abc import Callable

from metrion.report.blocks import Report
from metrion.report.render.html import html_page
from metrion.report.render.latex import latex_document, latex_tables
from metrion.report.render.markdown import markdown_text
from metrion.report.render.pdf import pdf_file, pdf_of_many

_FORMS: dict[str, Callable[[Report], bytes]] = {
    "pdf": pdf_file,
    "html": lambda report: html_page(report).encode(),
    "md": lambda report: markdown_text(report).encode(),
    "tex": lambda report: latex_document(report).encode(),
    "tables": lambda report: latex_tables(report).encode(),
}


def written_as(report: Report, form: str) -> bytes:
    """A report as a file: ``pdf``, ``html``, ``md``, ``tex`` or ``tables`` (for LaTeX)."""
    return _FORMS[form](report)


__all__ = [
    "html_page",
    "latex_document",
    "latex_tables",
    "markdown_text",
    "pdf_file",
    "pdf_of_many",
    "written_as",
]
