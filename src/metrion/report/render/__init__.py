"""Renderings of one report: a page, plain text with marks, a page to print, a table to paste."""

from metrion.report.render.html import html_page
from metrion.report.render.latex import latex_document, latex_tables
from metrion.report.render.markdown import markdown_text
from metrion.report.render.pdf import pdf_file, pdf_of_many

__all__ = [
    "html_page",
    "latex_document",
    "latex_tables",
    "markdown_text",
    "pdf_file",
    "pdf_of_many",
]
