"""One quantity: from the marks that were read to the sentence that states it."""

from __future__ import annotations

from dataclasses import dataclass, replace
from fractions import Fraction
from functools import cached_property

from metrion.core.conventions.convention import Convention
from metrion.core.conventions.rounding import Rounded, round_result
from metrion.core.declared import (
    NOTHING,
    PROSE,
    Boolean,
    Choice,
    Codes,
    Count,
    Entries,
    Entry,
    Id,
    OtherUnits,
    Reference,
    References,
    Rest,
    Text,
    declared,
    entry,
    rest,
)
from metrion.core.exact.bounds import MOST_ALIKE, MOST_NAMED_CHECKS
from metrion.core.formula.units import Unit, parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.comparison_reference import Beside
from metrion.core.quantity.first_steps import base_working
from metrion.core.quantity.observations import INDICATIONS, Arc, Observation, Sort, observed_value
from metrion.core.quantity.other_units import Also, also
from metrion.core.quantity.reading_plan import PlanProgress, ReadingPlan
from metrion.core.quantity.zero import Phase, ZeroCheck
from metrion.core.scales import Indication
from metrion.core.traits import kinds
from metrion.core.working.model import (
    AVERAGE,
    MEAN,
    UNCERTAINTY,
    ZERO_ERROR,
    Component,
    Model,
    Uncertainty,
    looks_of,
)
from metrion.core.working.steps import Working
from metrion.core.working.uncertainty import add_uncertainty, stated


@entry()
class Measurement:
    """A quantity measured directly: its tool, its readings and the zero checks it uses.

    Attributes:
        id: its id in the logbook.
        name: what was measured; may be empty.
        instrument: the tool.
        convention: that states its uncertainty; where none is named, that of the logbook.
        observations: what was observed, in order.
        checks: the zero checks that correct it; without effect on pairs.
        symbol: the letter for it, may be empty.
        face: the faces it was taken with, may be empty.
        items: how many alike lay in the stack.
        divide_by: what a pair's value is divided by besides (2 for half a sweep).
        arc: which way round sweeps are taken.
        plan: where and how often it is to be read, and which looks at the zero are to be made.
        also_in: units that its result is given in besides that of the instrument.
        thing: what it was measured on; quantities of one text belong together. Like all that
            follows for the record only.
        zero_exact: whether the zero is taken as exact.
        zero_taken_over: whether the zero of other faces on the same slide is taken over.
        places_apart: whether its places are reported apart.
        pairs, windows: what its readings are to be, said before there is one.
        compare: what it is to stand beside.
        note: a remark.
        looked_again: codes of flags about all of it that were settled.
        simulated: which part of a simulated bench it is of; empty at a real one.
        rest: what else its entry has.
    """

    id: str = declared(Id())
    name: str = declared(Text(), required=False)
    instrument: Instrument = declared(Reference("instruments"))
    convention: Convention = declared(Reference("conventions"), required=False)
    observations: tuple[Observation, ...] = declared(
        Entries(Observation), default=(), required=True
    )
    checks: tuple[ZeroCheck, ...] = declared(
        References("zero_checks", MOST_NAMED_CHECKS), default=(), name="zero"
    )
    symbol: str = declared(Text(), default="")
    face: str = declared(Text(), default="")
    items: int = declared(Count(MOST_ALIKE), default=1)
    divide_by: int = declared(Count(MOST_ALIKE), default=1)
    arc: Arc = declared(Choice(Arc), default=Arc.SHORTER, only=kinds(lambda one: one.circular))
    plan: ReadingPlan | None = declared(Entry(ReadingPlan), default=None)
    also_in: tuple[Unit, ...] = declared(OtherUnits(), default=())
    thing: str = declared(Text(), default="", for_the_record=True)
    zero_exact: bool = declared(Boolean(), default=False, for_the_record=True)
    zero_taken_over: bool = declared(Boolean(), default=False, for_the_record=True)
    places_apart: bool = declared(Boolean(), default=False, for_the_record=True)
    pairs: bool = declared(Boolean(), default=False, for_the_record=True)
    windows: bool = declared(Boolean(), default=False, for_the_record=True)
    compare: Beside | None = declared(Entry(Beside), default=None, for_the_record=True)
    note: str = declared(Text(PROSE), default="", for_the_record=True)
    looked_again: tuple[str, ...] = declared(Codes(), default=(), for_the_record=True)
    simulated: str = declared(Text(), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)

    @property
    def sort(self) -> Sort:
        """The sort of all its observations; with none, the one its instrument makes."""
        if self.observations:
            return self.observations[0].sort
        return Sort.PAIR if self.instrument.traits.circular else Sort.SINGLE

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
    def indications(self) -> int:
        """Looks that make one value."""
        return len(INDICATIONS[self.sort])

    @property
    def effective_checks(self) -> tuple[ZeroCheck, ...]:
        """The zero checks that have an effect: none on pairs, where the zero cancels."""
        return self.checks if self.sort is Sort.SINGLE else ()

    @property
    def progress(self) -> PlanProgress | None:
        """How far its plan is carried out; None without one. Pairs need no look at the zero."""
        if self.plan is None:
            return None
        read_at = [one.place for one in self.observations if one.counts]
        single = self.sort is Sort.SINGLE
        looked = {check.phase for check in self.checks} if single else set(Phase)
        return self.plan.held_against(read_at, looked)

    @cached_property
    def observed(self) -> tuple[Fraction, ...]:
        """Every observed value, excluded ones too, in the instrument's unit."""
        # A long series reads the same few places again and again: each is worked out once.
        known: dict[tuple[Indication, ...], Fraction] = {}
        found = []
        for one in self.observations:
            value = known.get(one.indications)
            if value is None:
                value = observed_value(self.instrument, one, self.arc)
                known[one.indications] = value
            found.append(value)
        return tuple(found)

    def without(self, index: int) -> Measurement:
        """The same, as if an observation had been set aside."""
        observations = list(self.observations)
        observations[index] = replace(observations[index], excluded="on trial")
        left = replace(self, observations=tuple(observations))
        # What was read is not worked out again: it does not hang on what counts.
        left.__dict__["observed"] = self.observed
        return left

    @cached_property
    def counting(self) -> tuple[Fraction, ...]:
        """The observed values that count."""
        pairs = zip(self.observed, self.observations, strict=True)
        return tuple(value for value, observation in pairs if observation.counts)

    @property
    def divisors(self) -> tuple[int, ...]:
        """Items and halves, those that are more than one."""
        return tuple(divisor for divisor in (self.items, self.divide_by) if divisor > 1)

    @cached_property
    def base(self) -> Working:
        """The steps from the least count to the mean, the same by every convention."""
        return base_working(self.instrument, self.effective_checks, self.counting, self.divisors)

    @property
    def zero_error(self) -> Fraction:
        """The mean zero error of its checks; 0 for pairs and without checks."""
        return self.base.number(ZERO_ERROR) if self.effective_checks else Fraction(0)

    @cached_property
    def corrected(self) -> tuple[Fraction, ...]:
        """Every observed value less the zero error."""
        zero = self.zero_error
        less = {value: value - zero for value in set(self.observed)}
        return tuple(less[value] for value in self.observed)

    @property
    def mean(self) -> Fraction | None:
        """The mean corrected value of one item, exact; None if no observation counts."""
        return self.base.number(MEAN) if self.counting else None

    def model(self, convention: Convention) -> Model:
        """What a convention has to know of it to work its uncertainty out."""
        middle = AVERAGE if self.effective_checks or self.divisors else MEAN
        counting = (one.indications for one in self.observations if one.counts)
        return Model(
            convention, self.instrument.maximum_permissible_error, self.indications,
            len(self.counting) > 1, len(self.effective_checks), self.divisors, middle,
            looks_of(counting), looks_of((one.indication,) for one in self.effective_checks),
        )  # fmt: skip


@dataclass(frozen=True)
class MeasurementResult:
    """What a measurement comes to; without a value if no observation counts.

    Attributes:
        measurement: what it was worked out from.
        convention: by which.
        working: its steps.
        components: those of its uncertainty, by the keys of their steps.
        rounded: value, uncertainty and sentence.
    """

    measurement: Measurement
    convention: Convention
    working: Working
    components: tuple[Component, ...] = ()
    rounded: Rounded | None = None

    @property
    def mean(self) -> Fraction | None:
        """The exact mean of one item."""
        return self.measurement.mean

    @property
    def uncertainty(self) -> Uncertainty | None:
        """Before it is rounded."""
        return stated(self.working, self.convention) if self.rounded else None

    @property
    def also(self) -> list[Also | None]:
        """In each of the other units it is to be given in; None where there is no result."""
        measurement, size = self.measurement, self.uncertainty
        if self.mean is None or size is None:
            return [None] * len(measurement.also_in)
        own, digits = parse_unit(measurement.instrument.unit), self.convention.digits
        return also(self.mean, size.size, own, measurement.also_in, digits)

    @property
    def relative_percent(self) -> Fraction | None:
        """100·uncertainty/|mean|; None for a mean of 0."""
        if not self.mean or not self.rounded:
            return None
        return 100 * self.working.number(UNCERTAINTY) / abs(self.mean)


def reduce_measurement(
    measurement: Measurement, convention: Convention | None = None
) -> MeasurementResult:
    """Work a measurement out, under its own convention or another one."""
    convention = convention or measurement.convention
    working = measurement.base.copy()
    if measurement.mean is None:
        return MeasurementResult(measurement, convention, working)
    components = add_uncertainty(working, measurement.model(convention))
    size, unit = working.number(UNCERTAINTY), measurement.instrument.unit
    rounded = round_result(measurement.mean, size, convention.digits, unit)
    return MeasurementResult(measurement, convention, working, components, rounded)
