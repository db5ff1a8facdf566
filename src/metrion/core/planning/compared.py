"""The same readings under other conventions."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace

from metrion.core.conventions.convention import Convention
from metrion.core.conventions.described import difference
from metrion.core.facts import Fact
from metrion.core.quantity.measurements import Measurement, MeasurementResult, reduce_measurement


@dataclass(frozen=True)
class ConventionResult:
    """What one convention says of the same readings.

    Attributes:
        convention: the convention.
        result: its result.
        why: why it may differ from the measurement's own; None for that one.
    """

    convention: Convention
    result: MeasurementResult
    why: Fact | None


def said_by(
    measurement: Measurement, conventions: Iterable[Convention]
) -> tuple[ConventionResult, ...]:
    """The same readings under each convention; those that allow what was estimated, or not."""
    return tuple(
        ConventionResult(
            convention,
            reduce_measurement(replace(measurement, convention=convention)),
            difference(
                measurement.convention,
                convention,
                zero_looked_at=bool(measurement.effective_checks),
            ),
        )
        for convention in conventions
    )
