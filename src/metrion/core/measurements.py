"""One quantity: from the marks that were read to the sentence that states it."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property

from metrion.core.conventions import Convention
from metrion.core.instruments import Instrument, Kind
from metrion.core.observations import Arc, Observation, Sort, observed_value
from metrion.core.rounding import Rounded, round_result
from metrion.core.scales import Look
from metrion.core.statistics import mean
from metrion.core.uncertainty import (
    Part,
    Uncertainty,
    combine_parts,
    reading_parts,
    zero_parts,
)
from metrion.core.zero import ZeroCheck, zero_error


@dataclass(frozen=True)
class Measurement:
    """A quantity measured directly: its tool, its readings and the zero checks it uses.

    Attributes:
        id: its id in the logbook.
        name: what was measured; may be empty.
        instrument: the tool.
        convention: the school that states its uncertainty.
        observations: what was observed, in order.
        checks: the zero checks that correct it; without effect on pairs.
        symbol: the letter for it, may be empty.
        face: the faces it was taken with, may be empty.
        items: how many alike lay in the stack.
        divide_by: what a pair's value is divided by besides (2 for half a sweep).
        arc: which way round sweeps are taken.
    """

    id: str
    name: str
    instrument: Instrument
    convention: Convention
    observations: tuple[Observation, ...] = ()
    checks: tuple[ZeroCheck, ...] = ()
    symbol: str = ""
    face: str = ""
    items: int = 1
    divide_by: int = 1
    arc: Arc = Arc.SHORTER

    @property
    def sort(self) -> Sort:
        """The sort of all its observations; with none, the one its instrument makes."""
        if self.observations:
            return self.observations[0].sort
        return Sort.PAIR if self.instrument.kind is Kind.ANGULAR else Sort.SINGLE

    @property
    def label(self) -> str:
        """Its name, or its id where it has none."""
        return self.name or self.id

    @property
    def divisor(self) -> int:
        """What the mean is divided by: items times divide_by."""
        return self.items * self.divide_by

    @property
    def looks(self) -> int:
        """Looks that make one value."""
        return {Sort.SINGLE: 1, Sort.PAIR: 2, Sort.WINDOWS: 4}[self.sort]

    @property
    def effective_checks(self) -> tuple[ZeroCheck, ...]:
        """The zero checks that have an effect: none on pairs, where the zero cancels."""
        return self.checks if self.sort is Sort.SINGLE else ()

    @cached_property
    def observed(self) -> tuple[Fraction, ...]:
        """Every observed value, excluded ones too, in the instrument's unit."""
        # A long series reads the same few places again and again: each is worked out once.
        known: dict[tuple[Look, ...], Fraction] = {}
        for one in self.observations:
            if one.looks not in known:
                known[one.looks] = observed_value(self.instrument, one, self.arc)
        return tuple(known[one.looks] for one in self.observations)

    @cached_property
    def counting(self) -> tuple[Fraction, ...]:
        """The observed values that count."""
        pairs = zip(self.observed, self.observations, strict=True)
        return tuple(value for value, observation in pairs if observation.counts)

    @cached_property
    def zero_error(self) -> Fraction:
        """The mean zero error of its checks; 0 for pairs and without checks."""
        return zero_error(self.instrument, self.effective_checks)

    @cached_property
    def corrected(self) -> tuple[Fraction, ...]:
        """Every observed value less the zero error."""
        less = {value: value - self.zero_error for value in set(self.observed)}
        return tuple(less[value] for value in self.observed)

    @cached_property
    def mean(self) -> Fraction | None:
        """The mean corrected value of one item, exact; None if no observation counts."""
        if not self.counting:
            return None
        return (mean(self.counting) - self.zero_error) / self.divisor


@dataclass(frozen=True)
class MeasurementResult:
    """What a measurement comes to; all but ``measurement`` None if no observation counts.

    Attributes:
        measurement: what it was worked out from.
        mean: the exact mean of one item.
        parts: the parts of its uncertainty, as they enter the mean.
        uncertainty: those parts put together.
        rounded: value, uncertainty and sentence.
        relative_percent: 100·uncertainty/|mean|; None for a mean of 0.
    """

    measurement: Measurement
    mean: Fraction | None = None
    parts: tuple[Part, ...] = ()
    uncertainty: Uncertainty | None = None
    rounded: Rounded | None = None
    relative_percent: Fraction | None = None


def measurement_parts(measurement: Measurement, convention: Convention) -> list[Part]:
    """The parts of the mean reading that are its own (all but the zero), in its unit."""
    return reading_parts(
        measurement.instrument, convention, measurement.counting, measurement.looks
    )


def reduce_measurement(
    measurement: Measurement, convention: Convention | None = None
) -> MeasurementResult:
    """Work a measurement out, under its own convention or another one."""
    convention = convention or measurement.convention
    middle = measurement.mean
    if middle is None:
        return MeasurementResult(measurement)
    own = measurement_parts(measurement, convention)
    zero = zero_parts(measurement.instrument, convention, measurement.effective_checks)
    parts = tuple(part.scaled(Fraction(1, measurement.divisor)) for part in [*own, *zero])
    uncertainty = combine_parts(parts, convention)
    return MeasurementResult(
        measurement,
        middle,
        parts,
        uncertainty,
        round_result(middle, uncertainty.size, convention.digits, measurement.instrument.unit),
        100 * uncertainty.size / abs(middle) if middle else None,
    )
