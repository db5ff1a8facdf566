"""Budgets and comparisons as the API shows them."""

from __future__ import annotations

from typing import Any

from metrion.core.budget import Budget
from metrion.core.derived import Derived
from metrion.core.logbook import Logbook
from metrion.core.measurements import Measurement
from metrion.core.notation import printed_unit
from metrion.core.rounding import two_figures
from metrion.report import comparable, compared, text_of
from metrion.web.present.instruments import shown


def budget_view(budget: Budget, unit: str) -> dict[str, Any]:
    """The bars of a budget and what they mean."""
    return {
        "shares": [
            {
                "label": share.label,
                "size": two_figures(share.size, unit),
                "percent": float(share.percent),
                "percent_words": share.percent_words,
                "lost": share.lost,
            }
            for share in budget.shares
        ],
        "sentences": [shown(words) for words in budget.sentences],
    }


def comparison_view(
    own: Measurement | Derived, record: Any, logbook: Logbook
) -> dict[str, Any] | None:
    """A result beside what it was to be compared with; None where nothing was."""
    found = compared(own, record, logbook)
    if found is None:
        return None
    return {
        "quantity": text_of(record, "quantity") or None,
        "derived": text_of(record, "derived") or None,
        "value": text_of(record, "value"),
        "uncertainty": text_of(record, "uncertainty"),
        "unit": printed_unit(text_of(record, "unit")),
        "with": shown(found.beside),
        "sentences": [shown(words) for words in found.sentences],
    }


def comparable_view(own: Measurement | Derived, logbook: Logbook) -> list[dict[str, str]]:
    """What else of the sheet it can stand beside."""
    return [{"kind": kind, "id": key, "name": name} for kind, key, name in comparable(own, logbook)]
