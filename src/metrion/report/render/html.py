"""A report as one HTML page that prints well on A4 and Letter, in colour and in grey."""

from __future__ import annotations

from functools import cache
from importlib.resources import files
from typing import TYPE_CHECKING

from metrion.report.blocks import Block, Report

if TYPE_CHECKING:
    from jinja2 import Template

_HERE = files("metrion.report.render")


@cache
def _template() -> Template:
    # Much is worked out without a page being written.
    from jinja2 import Environment, StrictUndefined

    environment = Environment(
        autoescape=True, undefined=StrictUndefined, keep_trailing_newline=True
    )
    environment.globals["sort_of"] = _sort_of
    return environment.from_string((_HERE / "page.html.j2").read_text("utf-8"))


def _sort_of(block: Block) -> str:
    return type(block).__name__


def html_page(report: Report) -> str:
    """The whole page, with its styles in it: it needs nothing else."""
    styles = (_HERE / "report.css").read_text("utf-8")
    return _template().render(report=report, styles=styles)
