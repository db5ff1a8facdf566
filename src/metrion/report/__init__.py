"""Worked results as documents: one model of the working, whatever renders it."""

from metrion.report.compared import compared, unit_of
from metrion.report.lines import Form, Group, Line, Span, Step, Tint, plain
from metrion.report.working import derived_working, least_count_steps, result_steps, working

__all__ = [
    "Form", "Group", "Line", "Span", "Step", "Tint", "compared", "derived_working",
    "least_count_steps", "plain", "result_steps", "unit_of", "working",
]  # fmt: skip
