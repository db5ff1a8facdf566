"""What more readings would buy, from the same model as the result."""

from __future__ import annotations

from dataclasses import replace
from fractions import Fraction

from metrion.core.conventions import Family
from metrion.core.formula.evaluate import one
from metrion.core.measurements import MeasurementResult
from metrion.core.rounding import two_figures
from metrion.core.working.steps import Working
from metrion.core.working.uncertainty import (
    COUNT,
    UNCERTAINTY,
    Source,
    add_uncertainty,
)

_WORTH_IT = Fraction(1, 20)


def advice(result: MeasurementResult) -> str:
    """One sentence on whether to go on reading; empty while too few readings tell.

    In the limit schools more readings do not shrink the result, and nothing hints that they would.
    """
    measurement = result.measurement
    if result.uncertainty is None or len(measurement.counting) < 3:
        return ""
    if measurement.convention.family is Family.LIMIT:
        return _limit_advice(result)
    return _standard_advice(result)


def _limit_advice(result: MeasurementResult) -> str:
    sizes = {each.source: one(result.working.values[each.key]) for each in result.components}
    if not sizes.get(Source.SCATTER, Fraction(0)) > sizes[Source.READING]:
        return "The scale decides now: more readings will not help, a finer tool would."
    return (
        "The scatter decides: it is larger than what one look may be off. More readings show it "
        "better, they do not make it smaller; look for its cause."
    )


def _standard_advice(result: MeasurementResult) -> str:
    count = Fraction(len(result.measurement.counting))
    now = result.working.number(UNCERTAINTY)
    again = result.working.again({COUNT: count + 1}).number(UNCERTAINTY)
    if now - again < _WORTH_IT * now:
        best = _without_scatter(result).number(UNCERTAINTY)
        if now - best < _WORTH_IT * now:
            return "The scale decides now: more readings will not help, a finer tool would."
        return (
            "One more reading would hardly tell. Many more could bring "
            f"±{_short(result, now)} down to ±{_short(result, best)} at the best."
        )
    return (
        f"One more reading like these would bring ±{_short(result, now)} "
        f"to about ±{_short(result, again)}."
    )


def _without_scatter(result: MeasurementResult) -> Working:
    """What would be left if ever more readings averaged their scatter out."""
    working = result.measurement.base.copy()
    several = result.measurement.model(result.convention)
    add_uncertainty(working, replace(several, several=False))
    return working


def _short(result: MeasurementResult, size: Fraction) -> str:
    return two_figures(size, result.measurement.instrument.unit)
