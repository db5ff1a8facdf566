"""The working, line by line."""

from __future__ import annotations

from typing import Annotated

from metrion.report import Form, Group, Tint
from metrion.views.schemas.view import view


@view
class SpanView:
    """A piece of a line of working."""

    form: Form
    text: str
    tint: Tint
    source: str
    keeps: bool
    first: list[SpanView]
    second: list[SpanView]


@view
class StepView:
    """One line of working; its numbers name the key of the line they come from."""

    key: str
    group: Group
    label: str
    reading: Annotated[int | None, "Of a reading, its number in the quantity, from 0."]
    spans: list[SpanView]
