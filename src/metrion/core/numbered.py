"""A logbook told in the units that its tools are numbered in: what people see of it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from fractions import Fraction

from metrion.core.exact.units import parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import numbered, numbered_per, spoken_unit
from metrion.core.logbook import Logbook
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication


def numbered_logbook(logbook: Logbook) -> Logbook:
    """The same logbook, every reading in the unit that its tool is numbered in.

    Tools, checks and measurements that are so already stay the same objects.
    """
    tools = {tool.id: tool for tool in logbook.instruments if numbered(tool) is not tool}
    if not tools:
        return logbook
    measured = {
        id(one): numbered_measurement(one) if one.instrument.id in tools else one
        for one in logbook.measurements
    }
    return replace(
        logbook,
        instruments=tuple(map(numbered, logbook.instruments)),
        zero_checks=tuple(
            _check(one, numbered_per(tools[one.instrument])) if one.instrument in tools else one
            for one in logbook.zero_checks
        ),
        measurements=tuple(measured.values()),
        derived=tuple(
            replace(one, inputs={name: measured.get(id(of), of) for name, of in one.inputs.items()})
            if any(id(of) in measured for of in one.inputs.values())
            else one
            for one in logbook.derived
        ),
    )


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
    return tuple(checks if per == 1 else (_check(one, per) for one in checks))


def numbered_look(look: Indication, per: Fraction) -> Indication:
    """What the eye saw, with its mark in another unit."""
    return replace(look, main=look.main * per)


def _check(check: ZeroCheck, per: Fraction) -> ZeroCheck:
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
