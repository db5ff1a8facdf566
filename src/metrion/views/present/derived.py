"""Derived quantities as the API shows them."""

from __future__ import annotations

from metrion.core.exact.figures import to_figures
from metrion.core.exact.numbers import to_text
from metrion.core.formula.notation import printed_formula, printed_unit, unit_after
from metrion.core.logbook import Logbook
from metrion.core.planning.budget import derived_budget
from metrion.core.quantity.bands import subtracted
from metrion.core.quantity.derived import Derived, InputSource, TypedValue, other_conventions
from metrion.core.quantity.derived_result import DerivedResult
from metrion.report import derived_working
from metrion.store.records import EntryVersion
from metrion.views.locale import say, shown, speaker
from metrion.views.present.budget import budget_view, comparison_view, dimension_of
from metrion.views.present.charts import bands_view
from metrion.views.present.instruments import steps_view
from metrion.views.present.other_units import also_views
from metrion.views.schemas.charts import BandsView
from metrion.views.schemas.derived import DerivedInputView, DerivedView
from metrion.voice.conventions import convention_name


def derived_view(found: DerivedResult, entry: EntryVersion, logbook: Logbook) -> DerivedView:
    """A derived quantity: formula, inputs, result, and what its inputs have in common."""
    derived = found.derived
    percent = found.relative_percent
    return DerivedView(
        id=derived.id,
        version=entry.version,
        name=derived.name,
        formula=shown(printed_formula(derived.formula.text)),
        unit=printed_unit(derived.unit.text),
        convention=derived.convention.id,
        convention_name=convention_name(derived.convention, speaker()),
        inputs=[_input_view(symbol, given) for symbol, given in derived.inputs.items()],
        convention_note=say(other_conventions(derived)),
        also=also_views(derived.unit, derived.also_in, found.also),
        sentence=shown(found.rounded.printed) if found.rounded else None,
        relative_percent=None if percent is None else shown(to_figures(percent, 2)),
        working=steps_view(derived_working(found, speaker())),
        budget=budget_view(derived_budget(found), derived.unit.text),
        compared=comparison_view(derived, logbook),
        subtracted=_subtracted(derived),
        dimension=dimension_of(derived),
        shared_zeros=[say(shared.says) for shared in found.shared_zeros],
    )


def _subtracted(derived: Derived) -> BandsView | None:
    """The two inputs of a difference on one axis."""
    named = [
        (_input_view(symbol, derived.inputs[symbol]).words, band)
        for symbol, band in subtracted(derived).items()
    ]
    return bands_view(named, derived.unit.text, derived.convention)


def _input_view(symbol: str, given: InputSource) -> DerivedInputView:
    if not isinstance(given, TypedValue):
        return DerivedInputView(symbol, given.id, None, None, None, given.label)
    unit, uncertainty = given.unit.text, to_text(given.uncertainty)
    return DerivedInputView(
        symbol=symbol,
        quantity=None,
        value=given.written,
        uncertainty=uncertainty,
        unit=printed_unit(unit),
        words=shown(f"({given.written} ± {uncertainty}){unit_after(unit)}"),
    )
