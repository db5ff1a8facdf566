"""Worked results as documents: one model of the working, whatever renders it."""

from metrion.report.working import Span, Step, Tint, working

__all__ = ["Span", "Step", "Tint", "working"]
