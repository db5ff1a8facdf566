"""A logbook: instruments, zero checks, measurements and what is derived, all fitting together."""

from __future__ import annotations

from dataclasses import dataclass, replace

from metrion.core.conventions.convention import Convention
from metrion.core.declared import (
    NOTHING,
    PROSE,
    Entries,
    Reference,
    Rest,
    Text,
    declared,
    entry,
    fields_of,
    rest,
)
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.numbered import numbered, numbered_per
from metrion.core.quantity.derived import Derived
from metrion.core.quantity.derived_result import DerivedResult, reduce_derived
from metrion.core.quantity.measurements import Measurement, MeasurementResult, reduce_measurement
from metrion.core.quantity.numbered import numbered_check, numbered_measurement
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.review import Flag, Level, review, review_pairs, settled


@entry()
class Logbook:
    """One investigation, checked: every reference leads somewhere, every reading fits its scale.

    Attributes:
        title: of the sheet.
        instruments, zero_checks, conventions, measurements, derived: its entries, in order.
        convention: for every measurement and derived quantity that names none, if there is one.
        simulated: the seed of the simulated bench that it was measured at; empty at a real one.
        authors, date, aim: what stands at the head of its report; for the record only.
        rest: what else the file has.
    """

    title: str = declared(Text(), default="")
    instruments: tuple[Instrument, ...] = declared(
        Entries(Instrument, 1_000), default=(), required=True
    )
    zero_checks: tuple[ZeroCheck, ...] = declared(Entries(ZeroCheck, 10_000), default=())
    conventions: tuple[Convention, ...] = declared(Entries(Convention, 100), default=())
    measurements: tuple[Measurement, ...] = declared(Entries(Measurement, 20_000), default=())
    derived: tuple[Derived, ...] = declared(Entries(Derived, 5_000), default=())
    convention: Convention | None = declared(Reference("conventions"), default=None)
    authors: str = declared(Text(PROSE), default="", for_the_record=True)
    date: str = declared(Text(), default="", for_the_record=True)
    aim: str = declared(Text(PROSE), default="", for_the_record=True)
    simulated: str = declared(Text(), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)


SECTIONS = tuple(one.name for one in fields_of(Logbook) if isinstance(one.holds, Entries))
"""The lists of entries that a logbook has, in its order; each refers to earlier ones only."""


@dataclass(frozen=True)
class Reviewed:
    """A measurement worked out, with what deserves a second look.

    Attributes:
        result: what it comes to.
        flags: as the logbook contract has them.
        beyond: what else deserves a second look.
    """

    result: MeasurementResult
    flags: tuple[Flag, ...]
    beyond: tuple[Flag, ...] = ()

    @property
    def second_looks(self) -> tuple[Flag, ...]:
        """Everything that deserves a second look."""
        return self.flags + self.beyond

    @property
    def open_looks(self) -> int:
        """How many warnings are neither settled nor about something set aside."""
        return sum(
            flag.level is Level.WARNING and settled(flag, self.result.measurement) is None
            for flag in self.second_looks
        )


@dataclass(frozen=True)
class Results:
    """A logbook worked out."""

    logbook: Logbook
    measurements: tuple[Reviewed, ...]
    derived: tuple[DerivedResult, ...]


def reviewed(measurement: Measurement) -> Reviewed:
    """Work a measurement out, and look at it as a demonstrator would."""
    return Reviewed(reduce_measurement(measurement), review(measurement), review_pairs(measurement))


def reduce_logbook(logbook: Logbook) -> Results:
    """Work out everything in a logbook."""
    return Results(
        logbook,
        tuple(map(reviewed, logbook.measurements)),
        tuple(reduce_derived(derived) for derived in logbook.derived),
    )


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
    derived: dict[int, Derived] = {}
    for each in logbook.derived:
        inputs = {
            symbol: measured.get(id(of)) or derived.get(id(of)) or of
            for symbol, of in each.inputs.items()
        }
        changed = any(of is not each.inputs[symbol] for symbol, of in inputs.items())
        derived[id(each)] = replace(each, inputs=inputs) if changed else each
    return replace(
        logbook,
        instruments=tuple(map(numbered, logbook.instruments)),
        zero_checks=tuple(
            numbered_check(one, numbered_per(tools[one.instrument]))
            if one.instrument in tools
            else one
            for one in logbook.zero_checks
        ),
        measurements=tuple(measured.values()),
        derived=tuple(derived.values()),
    )
