"""One quantity: from the marks that were read to the sentence that states it."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property

from metrion.core.beside import Beside
from metrion.core.bounds import MOST_ALIKE
from metrion.core.conventions import Convention
from metrion.core.declared import (
    NOTHING,
    PROSE,
    Choice,
    Codes,
    Count,
    Entries,
    Entry,
    Flag,
    Id,
    Reference,
    References,
    Rest,
    Text,
    declared,
    entry,
    rest,
)
from metrion.core.instruments import Instrument, Kind
from metrion.core.observations import LOOKS, Arc, Observation, Sort, observed_value
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


@entry()
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
        zero_exact: whether the zero is taken as exact; like all that follows for the record only.
        places_apart: whether its places are reported apart.
        pairs, windows: what its readings are to be, said before there is one.
        compare: what it is to stand beside.
        note: a remark.
        looked_again: codes of flags about all of it that were settled.
        rest: what else its entry has.
    """

    id: str = declared(Id())
    name: str = declared(Text(), required=False)
    instrument: Instrument = declared(Reference("instruments"))
    convention: Convention = declared(Reference("conventions"))
    observations: tuple[Observation, ...] = declared(
        Entries(Observation), default=(), required=True
    )
    checks: tuple[ZeroCheck, ...] = declared(References("zero_checks"), default=(), name="zero")
    symbol: str = declared(Text(), default="")
    face: str = declared(Text(), default="")
    items: int = declared(Count(MOST_ALIKE), default=1)
    divide_by: int = declared(Count(MOST_ALIKE), default=1)
    arc: Arc = declared(Choice(Arc), default=Arc.SHORTER, only=(Kind.ANGULAR,))
    zero_exact: bool = declared(Flag(), default=False, for_the_record=True)
    places_apart: bool = declared(Flag(), default=False, for_the_record=True)
    pairs: bool = declared(Flag(), default=False, for_the_record=True)
    windows: bool = declared(Flag(), default=False, for_the_record=True)
    compare: Beside | None = declared(Entry(Beside), default=None, for_the_record=True)
    note: str = declared(Text(PROSE), default="", for_the_record=True)
    looked_again: tuple[str, ...] = declared(Codes(), default=(), for_the_record=True)
    rest: Rest = rest(default=NOTHING)

    @property
    def sort(self) -> Sort:
        """The sort of all its observations; with none, the one its instrument makes."""
        if self.observations:
            return self.observations[0].sort
        return Sort.PAIR if self.instrument.kind is Kind.ANGULAR else Sort.SINGLE

    @property
    def intended(self) -> Sort:
        """The sort of its readings; before the first, the one that was chosen."""
        if self.observations:
            return self.sort
        if self.windows:
            return Sort.WINDOWS
        return Sort.PAIR if self.pairs else self.sort

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
        return len(LOOKS[self.sort])

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
