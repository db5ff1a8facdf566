"""Worked results as documents: one model of the working, whatever renders it."""

from metrion.report.compared import comparable, compared
from metrion.report.lines import Form, Group, Line, Span, Step, Tint, plain
from metrion.report.working import derived_working, least_count_steps, working

__all__ = [
    "Form", "Group", "Line", "Span", "Step", "Tint", "comparable", "compared", "derived_working",
    "least_count_steps", "plain", "working",
]  # fmt: skip
