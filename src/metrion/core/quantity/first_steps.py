"""The first steps of a measurement: least count, zero error, readings, and their mean."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from metrion.core.facts import fact
from metrion.core.formula.expression import Expression, name
from metrion.core.formula.values import ValueSeries
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.zero import MEAN_OF_ERRORS, ZeroCheck, zero_errors, zero_look
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.working.model import MEAN, READINGS, ZERO_ERROR, ZERO_ERRORS
from metrion.core.working.steps import Working
from metrion.core.working.uncertainty import MEAN_OF_READINGS, divided


def base_working(
    instrument: Instrument,
    checks: Sequence[ZeroCheck],
    counting: Sequence[Fraction],
    divisors: Sequence[int],
) -> Working:
    """What is the same by every convention: everything up to the mean.

    Args:
        checks: the looks at the zero that correct it.
        counting: the observed values that count; without any there is no mean.
        divisors: what the mean is divided by.
    """
    working = Working(instrument.unit)
    working.add(LEAST_COUNT.word, instrument.scale.least_count_by_division())
    if len(checks) == 1:
        working.add(ZERO_ERROR, zero_look(instrument, checks[0]))
    elif checks:
        working.given(ZERO_ERRORS, ValueSeries.of(zero_errors(instrument, checks)))
        working.add(ZERO_ERROR, MEAN_OF_ERRORS)
    working.given(READINGS, ValueSeries.of(counting))
    if counting:
        label = fact("step-mean", count=len(counting))
        working.add(MEAN, mean_rule(checks, divisors), label=label)
    return working


def mean_rule(checks: Sequence[ZeroCheck], divisors: Sequence[int]) -> Expression:
    """The mean of the readings, less the zero error where checks show one, of one item."""
    whole = MEAN_OF_READINGS - name(ZERO_ERROR) if checks else MEAN_OF_READINGS
    return divided(whole, divisors)
