"""Budgets and comparisons as the API shows them."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from metrion.core.angles import parse_angle
from metrion.core.budget import Budget
from metrion.core.comparison import Comparison, compare_derived, compare_measurements
from metrion.core.derived import DerivedResult, TypedValue
from metrion.core.errors import MetrionError
from metrion.core.measurements import Measurement
from metrion.core.rounding import two_figures
from metrion.core.typed import typed_number
from metrion.core.units import parse_unit
from metrion.web.present.instruments import shown


def budget_view(budget: Budget, unit: str) -> dict[str, Any]:
    """The bars of a budget and what they mean."""
    return {
        "shares": [
            {
                "label": share.label,
                "size": two_figures(share.size, unit),
                "percent": float(share.percent),
                "lost": share.lost,
            }
            for share in budget.shares
        ],
        "sentences": [shown(words) for words in budget.sentences],
    }


def comparison_view(
    own: Measurement | DerivedResult, given: Any, measurements: Mapping[str, Measurement]
) -> dict[str, Any] | None:
    """A result beside what it was to be compared with; None where nothing was.

    What is given is kept for the record only: where it makes no comparison, that is said.
    """
    if not isinstance(given, dict):
        return None
    other = measurements.get(str(given.get("quantity", "")))
    view = {
        "quantity": other.id if other else None,
        "value": _text(given, "value"),
        "uncertainty": _text(given, "uncertainty"),
        "unit": _text(given, "unit"),
    }
    if "quantity" in given and other is None:
        return {**view, "with": "", "sentences": ["What it was compared with is gone."]}
    with_words = other.label if other else "({value} ± {uncertainty}) {unit}".format(**view)
    try:
        found = _compared(own, other or _typed(view))
    except MetrionError as error:
        return {**view, "with": shown(with_words), "sentences": [f"{error}."]}
    sentences = found.sentences if found else ("One of the two has no value yet.",)
    return {**view, "with": shown(with_words), "sentences": [shown(one) for one in sentences]}


def _compared(
    own: Measurement | DerivedResult, other: Measurement | TypedValue
) -> Comparison | None:
    if isinstance(own, Measurement):
        return compare_measurements(own, other)
    return compare_derived(own, other) if isinstance(other, TypedValue) else None


def _typed(view: Mapping[str, Any]) -> TypedValue:
    unit = parse_unit(view["unit"])
    angle = unit.is_angle and ":" in view["value"]
    value = parse_angle(view["value"]) / unit.factor if angle else typed_number(view["value"])
    uncertainty = typed_number(view["uncertainty"])
    return TypedValue(value, abs(uncertainty), unit)


def _text(given: Mapping[str, Any], name: str) -> str:
    value = given.get(name)
    return value if isinstance(value, str) else ""
