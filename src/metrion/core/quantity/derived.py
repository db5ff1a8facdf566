"""Quantities worked out from others by a formula, with the uncertainty carried along."""

from __future__ import annotations

from collections.abc import Callable, Hashable, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.conventions.convention import Convention
from metrion.core.conventions.rounding import Rounded, round_result
from metrion.core.declared import (
    NOTHING,
    PROSE,
    Entry,
    FormulaText,
    Id,
    Inputs,
    OtherUnits,
    Reference,
    Rest,
    Text,
    UnitText,
    declared,
    entry,
    rest,
)
from metrion.core.exact.numbers import Number
from metrion.core.facts import Fact, Name, coded, fact
from metrion.core.formula import Expression, Formula, NoValue, evaluate
from metrion.core.formula.derivative import derivative
from metrion.core.formula.evaluate import exact, one
from metrion.core.formula.expression import added, call, name, number, replaced
from metrion.core.formula.units import Unit, parse_unit
from metrion.core.formula.values import rational
from metrion.core.quantity.comparison_reference import Beside
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.other_units import Also, also
from metrion.core.working.model import MEAN, UNCERTAINTY, Component, Source, Uncertainty
from metrion.core.working.steps import Step, Working, definitions
from metrion.core.working.uncertainty import (
    add_combination,
    add_components,
    divided,
    joined,
    stated,
)


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
        convention: that states its uncertainty; where none is named, that of the logbook.
        inputs: measurement or typed value for each symbol.
        also_in: units that it is given in besides its own.
        compare: what it is to stand beside; like all that follows for the record only.
        note: a remark.
        rest: what else its entry has.
    """

    id: str = declared(Id())
    name: str = declared(Text(), required=False)
    formula: Formula = declared(FormulaText())
    unit: Unit = declared(UnitText())
    convention: Convention = declared(Reference("conventions"), required=False)
    inputs: Mapping[str, Measurement | TypedValue] = declared(Inputs())
    also_in: tuple[Unit, ...] = declared(OtherUnits(), default=())
    compare: Beside | None = declared(Entry(Beside), default=None, for_the_record=True)
    note: str = declared(Text(PROSE), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)


def other_conventions(derived: Derived) -> Fact | None:
    """That some inputs are stated by other conventions on their own; None where none is."""
    others = {
        one.id: one
        for one in derived.inputs.values()
        if isinstance(one, Measurement) and one.convention.id != derived.convention.id
    }
    if not others:
        return None
    names = tuple(Name(one.label) for one in others.values())
    return fact("other-conventions", of=names, how_many=len(names))


def by_itself(given: Measurement | Derived | TypedValue, convention: Convention) -> Derived:
    """Anything as a derived quantity; a measurement or a typed-in value is made of itself."""
    if isinstance(given, Derived):
        return replace(given, convention=convention)
    return Derived("", "", Formula("", name("x")), unit_of(given), convention, {"x": given})


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
    def says(self) -> Fact:
        """What that means."""
        names = tuple(Name(measurement.label) for measurement in self.measurements)
        return fact("shared-zero-enters" if self.share else "shared-zero-cancels", of=names)


@dataclass(frozen=True)
class DerivedResult:
    """What a derived quantity comes to.

    Attributes:
        derived: what it was worked out from.
        working: its steps.
        value: in its unit, exact while it is rational; None where it has none.
        components: those of its uncertainty, by the keys of their steps.
        rounded: value, uncertainty and sentence.
        shared_zeros: the zeros that two or more of its inputs share.
    """

    derived: Derived
    working: Working
    value: Number | None = None
    components: tuple[Component, ...] = ()
    rounded: Rounded | None = None
    shared_zeros: tuple[SharedZero, ...] = ()

    @property
    def uncertainty(self) -> Uncertainty | None:
        """Before it is rounded."""
        return stated(self.working, self.derived.convention) if self.rounded else None

    @property
    def relative_percent(self) -> Fraction | None:
        """100·uncertainty/|value|; None for a value of 0."""
        if not self.value or self.uncertainty is None:
            return None
        return 100 * self.uncertainty.size / abs(Fraction(self.value))

    @property
    def also(self) -> list[Also | None]:
        """In each of the other units it is to be given in; None where there is no result."""
        derived, size = self.derived, self.uncertainty
        if self.value is None or size is None:
            return [None] * len(derived.also_in)
        digits = derived.convention.digits
        return also(Fraction(self.value), size.size, derived.unit, derived.also_in, digits)


def reduce_derived(derived: Derived) -> DerivedResult:
    """Work a derived quantity out, to first order in every input; JCGM 100:2008, 5.1.2."""
    working = Working(derived.unit.text)
    for symbol, given in sorted(derived.inputs.items()):
        _add_input(working, symbol, given)
    inputs_alone = DerivedResult(derived, working)
    if any(input_key(symbol) not in working.values for symbol in derived.formula.names):
        return inputs_alone
    whole = working.copy()
    try:
        value = _add_value(whole, derived)
        components, zeros = _add_components(whole, derived)
        add_combination(whole, components, derived.convention)
        size = whole.number(UNCERTAINTY)
        float(value), float(size)
    except (NoValue, OverflowError):
        return inputs_alone
    rounded = round_result(Fraction(value), size, derived.convention.digits, derived.unit.text)
    return DerivedResult(derived, whole, value, tuple(components), rounded, zeros)


def input_key(symbol: str) -> str:
    """The key of the step that an input is."""
    return f"input_{symbol}"


def sensitivity_key(symbol: str) -> str:
    """The key of the sensitivity coefficient of an input."""
    return f"sensitivity_{symbol}"


def _add_input(working: Working, symbol: str, given: Measurement | TypedValue) -> None:
    unit = unit_of(given)
    source = "" if isinstance(given, TypedValue) else given.id
    value = given.value if isinstance(given, TypedValue) else given.mean
    expression = None if value is None else number(Fraction(value))
    label = fact("step-input-typed", symbol=Name(symbol))
    if isinstance(given, Measurement):
        label = fact("step-input", symbol=Name(symbol), name=Name(given.label))
    step = Step(input_key(symbol), expression, value, unit.text, source=source, label=label)
    working.adopt(step)


def unit_of(given: Measurement | TypedValue) -> Unit:
    """The unit of an input."""
    return given.unit if isinstance(given, TypedValue) else parse_unit(given.instrument.unit)


def _add_value(working: Working, derived: Derived) -> Number:
    """The formula of the inputs in their units, for a value in its own; and its derivatives."""

    def measured(symbol: str) -> Expression | None:
        if symbol not in derived.inputs:
            return None
        worth, of = unit_of(derived.inputs[symbol]).worth, name(input_key(symbol))
        return of * worth if worth else of

    formula = replaced(derived.formula.in_base_units or derived.formula.tree, measured)
    if worth := derived.unit.worth:
        formula = formula / worth
    value = working.add(MEAN, formula, label=fact("step-value"), tame=True)
    for symbol in sorted(derived.formula.names):
        sensitivity = derivative(formula, input_key(symbol)) or number(0)
        unit = derived.unit.per(unit_of(derived.inputs[symbol]))
        label = fact("step-sensitivity", symbol=Name(symbol))
        working.add(sensitivity_key(symbol), sensitivity, unit, label=label, tame=True)
    return value if isinstance(value, float) else rational(one(value))


def _add_components(
    working: Working, derived: Derived
) -> tuple[list[Component], tuple[SharedZero, ...]]:
    """Every independent component with what it makes of the result.

    A measurement that stands for two symbols, and a zero set that several measurements name,
    enter once, so that what they have in common can cancel.
    """
    used = [(symbol, derived.inputs[symbol]) for symbol in sorted(derived.formula.names)]
    found = [
        _typed(working, symbol, given) for symbol, given in used if isinstance(given, TypedValue)
    ]
    measured = [(symbol, one) for symbol, one in used if isinstance(one, Measurement)]
    for symbols, (measurement, *_) in _together(measured, lambda one: one.id):
        found += _own(working, symbols, measurement, derived.convention)
    corrected = [(symbol, one) for symbol, one in measured if one.effective_checks]
    zeros = []
    for symbols, holders in _together(corrected, _zero_set):
        shares = [
            divided(name(sensitivity_key(symbol)), holder.divisors)
            for symbol, holder in zip(symbols, holders, strict=True)
        ]
        found += _of_zero(working, symbols[0], holders, added(shares), derived.convention)
        different = tuple({holder.id: holder for holder in holders}.values())
        if len(different) > 1:
            zeros.append(SharedZero(different, exact(added(shares), **working.values)))
    return found, tuple(zeros)


def _zero_set(measurement: Measurement) -> frozenset[str]:
    return frozenset(check.id for check in measurement.effective_checks)


def _together(
    measured: Sequence[tuple[str, Measurement]], by: Callable[[Measurement], Hashable]
) -> Iterable[tuple[list[str], list[Measurement]]]:
    """Symbols and measurements that have something in common, group by group."""
    groups: dict[Hashable, tuple[list[str], list[Measurement]]] = {}
    for symbol, measurement in measured:
        symbols, holders = groups.setdefault(by(measurement), ([], []))
        symbols.append(symbol)
        holders.append(measurement)
    return groups.values()


def _typed(working: Working, symbol: str, given: TypedValue) -> Component:
    component = Component(f"component_typed_{symbol}", Source.TYPED, of=(symbol,))
    share = call("abs", name(sensitivity_key(symbol)))
    label = fact("step-contribution-typed", of=Name(symbol))
    working.add(component.key, share * number(given.uncertainty), label=label)
    return component


def _own(
    working: Working, symbols: Sequence[str], measurement: Measurement, convention: Convention
) -> Iterator[Component]:
    """The components of the readings of one measurement."""
    own = measurement.base.copy()
    every = add_components(own, measurement.model(convention))
    components = [component for component in every if not component.of_a_zero]
    share = added([name(sensitivity_key(symbol)) for symbol in symbols])
    count = number(len(measurement.counting))
    for component, term in joined(components, convention):
        freedom = component.freedom and count - number(1)
        taken = replace(component, freedom=freedom, of=(measurement.label,))
        yield _taken(working, symbols[0], own, taken, term, share, measurement)


def _of_zero(
    working: Working, symbol: str, holders: Sequence[Measurement], share: Expression,
    convention: Convention,
) -> Iterator[Component]:  # fmt: skip
    """The components of a zero that one measurement has, or several share."""
    first = holders[0]
    names = dict.fromkeys(holder.label for holder in holders)
    own = first.base.copy()
    undivided = replace(first.model(convention), divisors=())
    count = number(len(first.effective_checks))
    for component in add_components(own, undivided):
        if component.of_a_zero:
            freedom = component.freedom and count - number(1)
            taken = replace(component, freedom=freedom, of=tuple(names))
            yield _taken(working, symbol, own, taken, name(component.key), share, first)


def _taken(
    working: Working, symbol: str, own: Working, component: Component, term: Expression,
    share: Expression, measurement: Measurement,
) -> Component:  # fmt: skip
    """A component of a measurement with what it makes of the result, as two steps."""
    kind = "zeros" if component.source is Source.ZERO_SCATTER else component.source
    part, key = f"part_{kind}_{symbol}", f"component_{kind}_{symbol}"
    written_out = replaced(term, definitions(own))
    value = evaluate(term, own.values)
    of = tuple(map(Name, component.of))
    named = "joined" if term.operands else kind
    label = coded("step-part", named, of=of)
    working.adopt(Step(part, written_out, value, own.unit, of=measurement.id, label=label))
    label = coded("step-contribution", named, of=of)
    working.add(key, call("abs", share) * name(part), label=label)
    return replace(component, key=key)
