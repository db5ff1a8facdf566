"""Quantities worked out from others by a formula, with the uncertainty carried along."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.beside import Beside
from metrion.core.conventions import Convention
from metrion.core.declared import (
    NOTHING,
    PROSE,
    Entry,
    FormulaText,
    Id,
    Inputs,
    Reference,
    Rest,
    Text,
    UnitText,
    declared,
    entry,
    rest,
)
from metrion.core.formula import Formula
from metrion.core.measurements import Measurement, measurement_parts
from metrion.core.rounding import Rounded, round_result
from metrion.core.slopes import NoValue, Sloped, evaluate
from metrion.core.uncertainty import Part, Source, Uncertainty, combine_parts, zero_parts
from metrion.core.units import Number, Unit, parse_unit


@dataclass(frozen=True)
class TypedValue:
    """An input that was typed in, with its uncertainty as it stands.

    Attributes:
        value: in ``unit``.
        uncertainty: in ``unit``, not negative.
        unit: the unit of both.
        written: the value as it was written.
    """

    value: Number
    uncertainty: Fraction
    unit: Unit
    written: str = ""


@entry()
class Derived:
    """A quantity made of others.

    Attributes:
        id: its id in the logbook.
        name: what it is.
        formula: resolved for the dimensions of the inputs.
        unit: the unit the result is given in.
        convention: the school that states its uncertainty.
        inputs: measurement or typed value for each symbol.
        compare: what it is to stand beside; like all that follows for the record only.
        note: a remark.
        rest: what else its entry has.
    """

    id: str = declared(Id())
    name: str = declared(Text(), required=False)
    formula: Formula = declared(FormulaText())
    unit: Unit = declared(UnitText())
    convention: Convention = declared(Reference("conventions"))
    inputs: Mapping[str, Measurement | TypedValue] = declared(Inputs())
    compare: Beside | None = declared(Entry(Beside), default=None, for_the_record=True)
    note: str = declared(Text(PROSE), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)


@dataclass(frozen=True)
class DerivedResult:
    """What a derived quantity comes to; all but ``derived`` empty where it has no value.

    Attributes:
        derived: what it was worked out from.
        value: in its unit, exact while it is rational.
        parts: the parts of its uncertainty, as they enter the value.
        uncertainty: those parts put together.
        rounded: value, uncertainty and sentence.
    """

    derived: Derived
    value: Number | None = None
    parts: tuple[Part, ...] = ()
    uncertainty: Uncertainty | None = None
    rounded: Rounded | None = None


def reduce_derived(derived: Derived) -> DerivedResult:
    """Work a derived quantity out, to first order in every input; JCGM 100:2008, 5.1.2."""
    used = {symbol: derived.inputs[symbol] for symbol in derived.formula.names}
    values = {symbol: _base_value(given) for symbol, given in used.items()}
    known = {symbol: value for symbol, value in values.items() if value is not None}
    if len(known) < len(values):
        return DerivedResult(derived)
    try:
        found = evaluate(derived.formula, known)
        value = found.value / derived.unit.factor
        parts = tuple(_shares(derived, used, found))
        uncertainty = combine_parts(parts, derived.convention)
        float(value), float(uncertainty.size)
    except (NoValue, OverflowError):
        return DerivedResult(derived)
    digits = derived.convention.digits
    rounded = round_result(Fraction(value), uncertainty.size, digits, derived.unit.text)
    return DerivedResult(derived, value, parts, uncertainty, rounded)


def _base_value(given: Measurement | TypedValue) -> Number | None:
    """The value of an input in millimetres, grams and arc minutes."""
    if isinstance(given, TypedValue):
        return given.value * given.unit.factor
    return None if given.mean is None else given.mean * parse_unit(given.instrument.unit).factor


@dataclass(frozen=True)
class SharedZero:
    """A zero that several inputs have in common.

    Attributes:
        measurements: the inputs that were corrected by it.
        share: how much of its error enters the result; 0 where it cancels.
    """

    measurements: tuple[Measurement, ...]
    share: Fraction

    @property
    def words(self) -> str:
        """What that means, in a sentence."""
        names = " and ".join(measurement.label for measurement in self.measurements)
        together = f"{names} were corrected by the same zero"
        if self.share == 0:
            return f"{together}: its error cancels here."
        return f"{together}: its error enters once, not once for each."


def shared_zeros(derived: Derived) -> tuple[SharedZero, ...]:
    """The zeros that two or more inputs of a derived quantity share; none without a value."""
    used = {symbol: derived.inputs[symbol] for symbol in derived.formula.names}
    values = {symbol: _base_value(given) for symbol, given in used.items()}
    known = {symbol: value for symbol, value in values.items() if value is not None}
    try:
        found = evaluate(derived.formula, known) if len(known) == len(values) else None
    except NoValue:
        found = None
    if found is None:
        return ()
    return tuple(
        SharedZero(tuple(holders), share)
        for holders, share in _zero_shares(derived, used, found)
        if len(holders) > 1
    )


def _shares(
    derived: Derived, used: Mapping[str, Measurement | TypedValue], found: Sloped
) -> Iterator[Part]:
    """Every independent part with the slope of the result in it.

    A measurement that stands for two symbols, and a zero set that several measurements name,
    enter once, so that what they have in common can cancel.
    """
    measured: dict[str, tuple[Measurement, Fraction]] = {}
    for symbol, given in sorted(used.items()):
        if isinstance(given, TypedValue):
            per_unit = Fraction(found.slopes.get(symbol, Fraction(0)) / derived.unit.factor)
            share = per_unit * Fraction(given.unit.factor)
            yield Part(Source.TYPED, given.uncertainty**2, of=symbol).scaled(share)
            continue
        before = measured[given.id][1] if given.id in measured else Fraction(0)
        measured[given.id] = (given, before + _share(derived, symbol, given, found))
    for measurement, share in measured.values():
        for part in measurement_parts(measurement, derived.convention):
            yield replace(part, of=measurement.label).scaled(share)
    for holders, share in _zero_shares(derived, used, found):
        first, names = holders[0], " and ".join(holder.label for holder in holders)
        for part in zero_parts(first.instrument, derived.convention, first.effective_checks):
            yield replace(part, of=names).scaled(share)


def _share(derived: Derived, symbol: str, given: Measurement, found: Sloped) -> Fraction:
    """How much the result changes with the sum of an input's readings."""
    per_unit = Fraction(found.slopes.get(symbol, Fraction(0)) / derived.unit.factor)
    return per_unit * Fraction(parse_unit(given.instrument.unit).factor) / given.divisor


def _zero_shares(
    derived: Derived, used: Mapping[str, Measurement | TypedValue], found: Sloped
) -> Iterator[tuple[list[Measurement], Fraction]]:
    """Every zero set with the measurements that name it and its share in the result."""
    sets: dict[frozenset[str], tuple[list[Measurement], Fraction]] = {}
    for symbol, given in sorted(used.items()):
        if isinstance(given, TypedValue) or not given.effective_checks:
            continue
        checks = frozenset(check.id for check in given.effective_checks)
        holders, share = sets.get(checks, ([], Fraction(0)))
        others = [*holders, given] if given not in holders else holders
        sets[checks] = (others, share + _share(derived, symbol, given, found))
    yield from sets.values()
