"""Readings told in the unit that their tool is numbered in."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from fractions import Fraction

from metrion.core.formula.units import parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import numbered, numbered_per, spoken_unit
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication


def numbered_measurement(measurement: Measurement) -> Measurement:
    """One quantity in the unit that its tool is numbered in."""
    tool = measurement.instrument
    per = numbered_per(tool)
    if per == 1:
        return measurement
    return replace(
        measurement,
        instrument=numbered(tool),
        observations=tuple(_observation(one, per) for one in measurement.observations),
        checks=numbered_checks(tool, measurement.checks),
        # Who wants it in the unit of the numerals too wants both: the other is that of the logbook.
        also_in=tuple(
            parse_unit(tool.unit) if unit.text == spoken_unit(tool) else unit
            for unit in measurement.also_in
        ),
    )


def numbered_checks(tool: Instrument, checks: Sequence[ZeroCheck]) -> tuple[ZeroCheck, ...]:
    """Looks at its zero, in the unit that it is numbered in."""
    per = numbered_per(tool)
    return tuple(checks if per == 1 else (numbered_check(one, per) for one in checks))


def numbered_look(look: Indication, per: Fraction) -> Indication:
    """What the eye saw, with its mark in another unit."""
    return replace(look, main=look.main * per)


def numbered_check(check: ZeroCheck, per: Fraction) -> ZeroCheck:
    """A look at the zero, in another unit."""
    return replace(
        check,
        indication=numbered_look(check.indication, per),
        reference=check.reference * per,
    )


def _observation(observation: Observation, per: Fraction) -> Observation:
    met = observation.meets
    return replace(
        observation,
        indications=tuple(numbered_look(one, per) for one in observation.indications),
        meets=None if met is None else met * per,
    )
