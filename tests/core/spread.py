"""The spread of a series, worked out by the very rules that results follow."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from fractions import Fraction

from metrion.core.conventions.convention import BUILT_IN, Spread
from metrion.core.formula.values import ValueSeries
from metrion.core.working.model import MEAN, READINGS, SPREAD, Model
from metrion.core.working.steps import Working
from metrion.core.working.uncertainty import MEAN_OF_READINGS, add_components


def worked(values: Sequence[Fraction], spread: Spread) -> tuple[Fraction, Fraction]:
    """Mean and spread of two values or more."""
    working = Working("mm")
    working.given("least_count", Fraction(1))
    working.given(READINGS, ValueSeries.of(values))
    working.add(MEAN, MEAN_OF_READINGS)
    convention = replace(BUILT_IN["half-division"], spread=spread)
    add_components(working, Model(convention, Fraction(0), 1, True, 0))
    return working.number(MEAN), working.number(SPREAD)
