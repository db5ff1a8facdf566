"""Quantities worked out from others by a formula, with the uncertainty carried along."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from fractions import Fraction
from typing import TypeVar

from metrion.core.conventions import Convention
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
    """

    value: Number
    uncertainty: Fraction
    unit: Unit


@dataclass(frozen=True)
class Derived:
    """A quantity made of others.

    Attributes:
        id: its id in the logbook.
        name: what it is.
        formula: resolved for the dimensions of the inputs.
        unit: the unit the result is given in.
        convention: the school that states its uncertainty.
        inputs: measurement or typed value for each symbol.
    """

    id: str
    name: str
    formula: Formula
    unit: Unit
    convention: Convention
    inputs: Mapping[str, Measurement | TypedValue]


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


def _shares(
    derived: Derived, used: Mapping[str, Measurement | TypedValue], found: Sloped
) -> Iterator[Part]:
    """Every independent part with the slope of the result in it.

    A measurement that stands for two symbols, and a zero set that several measurements name,
    enter once, so that what they have in common can cancel.
    """
    measured: dict[str, tuple[Measurement, Fraction]] = {}
    zero_sets: dict[frozenset[str], tuple[Measurement, Fraction]] = {}
    for symbol in sorted(used):
        given, slope = used[symbol], found.slopes.get(symbol, Fraction(0))
        per_unit = Fraction(slope / derived.unit.factor)
        if isinstance(given, TypedValue):
            share = per_unit * Fraction(given.unit.factor)
            yield Part(Source.TYPED, given.uncertainty**2).scaled(share)
            continue
        share = per_unit * Fraction(parse_unit(given.instrument.unit).factor) / given.divisor
        _add(measured, given.id, given, share)
        if given.effective_checks:
            checks = frozenset(check.id for check in given.effective_checks)
            _add(zero_sets, checks, given, share)
    for measurement, share in measured.values():
        for part in measurement_parts(measurement, derived.convention):
            yield part.scaled(share)
    for measurement, share in zero_sets.values():
        checks_used = measurement.effective_checks
        for part in zero_parts(measurement.instrument, derived.convention, checks_used):
            yield part.scaled(share)


_Key = TypeVar("_Key")


def _add(
    shares: dict[_Key, tuple[Measurement, Fraction]],
    key: _Key,
    measurement: Measurement,
    share: Fraction,
) -> None:
    before = shares[key][1] if key in shares else Fraction(0)
    shares[key] = (measurement, before + share)
