"""Budgets and comparisons as the API shows them."""

from __future__ import annotations

from metrion.core.conventions.rounding import two_figures
from metrion.core.formula.notation import printed_unit
from metrion.core.formula.units import Unit
from metrion.core.logbook import Logbook
from metrion.core.planning.budget import Budget
from metrion.core.quantity.derived import Derived
from metrion.core.quantity.measurements import Measurement
from metrion.report import compared, unit_of
from metrion.views.locale import say, shown, speaker
from metrion.views.present.charts import bands_view
from metrion.views.schemas.results import BudgetView, ComparedView, ShareView


def budget_view(budget: Budget, unit: str) -> BudgetView:
    """The bars of a budget and what they mean."""
    return BudgetView(
        shares=[
            ShareView(
                label=say(share.label),
                size=shown(two_figures(share.size, unit)),
                percent=float(share.percent),
                percent_words=say(share.whole_percent),
                lost=share.lost,
            )
            for share in budget.shares
        ],
        sentences=[say(fact) for fact in budget.sentences],
    )


def comparison_view(own: Measurement | Derived, logbook: Logbook) -> ComparedView | None:
    """A result beside what it was to be compared with; None where nothing was."""
    found = compared(own, logbook, speaker())
    beside = own.compare
    if found is None or beside is None:
        return None
    return ComparedView(
        quantity=beside.quantity or None,
        derived=beside.derived or None,
        value=beside.value,
        uncertainty=beside.uncertainty,
        unit=printed_unit(beside.unit),
        beside=found.beside,
        sentences=list(found.sentences),
        bands=bands_view(found.bands, unit_of(own).text, own.convention),
    )


def dimension_of(own: Measurement | Derived) -> str:
    """What a result can stand beside: all that have the same text here."""
    return dimension_text(unit_of(own))


def dimension_text(unit: Unit) -> str:
    """The dimension of a unit; all that have the same text can stand for each other."""
    dimension = unit.dimension
    return f"{dimension.length} {dimension.mass} {dimension.angle}"
