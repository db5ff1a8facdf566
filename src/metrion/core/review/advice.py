"""What more readings would buy, from the same model as the result."""

from __future__ import annotations

from dataclasses import replace
from fractions import Fraction

from metrion.core.conventions.convention import Family
from metrion.core.facts import Amount, Fact, fact
from metrion.core.formula.evaluate import one
from metrion.core.quantity.measurements import MeasurementResult
from metrion.core.working.model import COUNT, UNCERTAINTY, Source
from metrion.core.working.steps import Working
from metrion.core.working.uncertainty import add_uncertainty

_WORTH_IT = Fraction(1, 20)


def advice(result: MeasurementResult) -> Fact | None:
    """Whether to go on reading; None while too few readings tell.

    Where limits stay limits, more readings do not shrink the result, and nothing hints that they
    would.
    """
    measurement = result.measurement
    if result.uncertainty is None or len(measurement.counting) < 3:
        return None
    if measurement.convention.family is Family.LIMIT:
        return _limit_advice(result)
    return _standard_advice(result)


def _limit_advice(result: MeasurementResult) -> Fact:
    sizes = {each.source: one(result.working.values[each.key]) for each in result.components}
    if not sizes.get(Source.SCATTER, Fraction(0)) > sizes[Source.READING]:
        return fact("advice-scale")
    return fact("advice-scatter")


def _standard_advice(result: MeasurementResult) -> Fact:
    count = Fraction(len(result.measurement.counting))
    now = result.working.number(UNCERTAINTY)
    again = result.working.again({COUNT: count + 1}).number(UNCERTAINTY)
    if now - again < _WORTH_IT * now:
        best = _without_scatter(result).number(UNCERTAINTY)
        if now - best < _WORTH_IT * now:
            return fact("advice-scale")
        return fact("advice-many-more", now=_size(result, now), best=_size(result, best))
    return fact("advice-one-more", now=_size(result, now), again=_size(result, again))


def _without_scatter(result: MeasurementResult) -> Working:
    """What would be left if ever more readings averaged their scatter out."""
    working = result.measurement.base.copy()
    several = result.measurement.model(result.convention)
    add_uncertainty(working, replace(several, several=False))
    return working


def _size(result: MeasurementResult, size: Fraction) -> Amount:
    return Amount(size, result.measurement.instrument.unit)
