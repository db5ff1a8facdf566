"""Worked results as documents: one model of the working, whatever renders it."""

from metrion.report.compared import compared, unit_of
from metrion.report.lines import Form, Group, Span, Tint, WorkingLine, Written, plain
from metrion.report.working import derived_working, least_count_lines, result_lines, working

__all__ = [
    "Form",
    "Group",
    "Span",
    "Tint",
    "WorkingLine",
    "Written",
    "compared",
    "derived_working",
    "least_count_lines",
    "plain",
    "result_lines",
    "unit_of",
    "working",
]  # fmt: skip
