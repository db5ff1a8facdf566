"""Sheets, instruments and quantities as the API shows them: texts ready to read, floats to draw."""

from metrion.views.present.answers import answer_view
from metrion.views.present.instruments import instrument_view, slide_view
from metrion.views.present.sheets import change_view, sheet_summary, sheet_view, whole_quantity

__all__ = [
    "answer_view",
    "change_view",
    "instrument_view",
    "sheet_summary",
    "sheet_view",
    "slide_view",
    "whole_quantity",
]
