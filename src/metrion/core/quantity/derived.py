"""Quantities worked out from others by a formula, with the uncertainty carried along."""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Hashable, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction
from functools import cached_property
from typing import TypeVar

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


MOST_WAYS, DEEPEST = 1_000, 30
"""Ways that lead from a derived quantity to what was measured, and derived ones on one way."""


@entry()
class Derived:
    """A quantity made of others.

    Attributes:
        id: its id in the logbook.
        name: what it is.
        formula: resolved for the dimensions of the inputs.
        unit: the unit the result is given in.
        convention: that states its uncertainty; where none is named, that of the logbook.
        inputs: measurement, earlier derived quantity or typed value for each symbol.
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
    inputs: Mapping[str, InputSource] = declared(Inputs())
    also_in: tuple[Unit, ...] = declared(OtherUnits(), default=())
    compare: Beside | None = declared(Entry(Beside), default=None, for_the_record=True)
    note: str = declared(Text(PROSE), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)

    @property
    def label(self) -> str:
        """Its name, or its id where it has none."""
        return self.name or self.id

    @cached_property
    def ways(self) -> int:
        """How many ways lead through its formula to what was measured or typed in."""
        used = map(self.inputs.__getitem__, self.formula.names)
        return sum(given.ways if isinstance(given, Derived) else 1 for given in used)

    @cached_property
    def depth(self) -> int:
        """How many derived quantities stand one in the other, with itself."""
        inner = (given.depth for given in self.inputs.values() if isinstance(given, Derived))
        return 1 + max(inner, default=0)

    @cached_property
    def value(self) -> Number | None:
        """What its formula gives, before any convention; None where it has no value or slope."""
        return _value_of_formula(self)

    @cached_property
    def every_input(self) -> Mapping[str, Entering]:
        """Its inputs, each derived one after those that it is made of, by their tags."""
        tags = Counter[str]()
        found: dict[str, Entering] = {}
        # What stands in its own formula keeps its symbol, whatever an inner one is called.
        for entering in sorted(_entering(self, ()), key=lambda one: len(one.path)):
            symbols = "_".join(entering.path)
            tags[symbols] += 1
            tag = symbols if tags[symbols] == 1 else f"{symbols}_{tags[symbols]}"
            while tag in found:
                tag += "_"
            found[tag] = entering
        by_path = {entering.path: tag for tag, entering in found.items()}
        return {by_path[one.path]: one for one in _entering(self, ())}

    @cached_property
    def tags(self) -> Mapping[tuple[str, ...], str]:
        """The tag of each input by its path."""
        return {entering.path: tag for tag, entering in self.every_input.items()}


@dataclass(frozen=True)
class Entering:
    """Where something enters a derived quantity.

    Attributes:
        path: the symbols that lead to it, the outermost first.
        given: what stands there.
        of: the derived quantity whose formula has the last symbol.
    """

    path: tuple[str, ...]
    given: InputSource
    of: Derived


InputSource = Measurement | TypedValue | Derived
"""What can stand for a symbol."""


def _entering(derived: Derived, path: tuple[str, ...]) -> Iterator[Entering]:
    symbols = derived.formula.names if path else derived.inputs.keys()
    for symbol in sorted(symbols):
        given, here = derived.inputs[symbol], (*path, symbol)
        if isinstance(given, Derived) and symbol in derived.formula.names:
            yield from _entering(given, here)
        yield Entering(here, given, derived)


def other_conventions(derived: Derived) -> Fact | None:
    """That some inputs are stated by other conventions on their own; None where none is."""
    others = {
        one.id: one
        for one in derived.inputs.values()
        if not isinstance(one, TypedValue) and one.convention.id != derived.convention.id
    }
    if not others:
        return None
    names = tuple(Name(one.label) for one in others.values())
    return fact("other-conventions", of=names, how_many=len(names))


def by_itself(given: InputSource, convention: Convention) -> Derived:
    """Anything as a derived quantity that is made of it alone."""
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
    """Work a derived quantity out, to first order in every input; JCGM 100:2008, 5.1.2.

    A derived input is as if its formula stood there in brackets: its convention and its rounding
    have no part in it, and what it shares with other inputs enters once.
    """
    working = Working(derived.unit.text)
    for tag, entering in derived.every_input.items():
        _add_input(working, tag, entering.given)
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


def input_key(tag: str) -> str:
    """The key of the step that an input is."""
    return f"input_{tag}"


def sensitivity_key(tag: str) -> str:
    """The key of the sensitivity coefficient of an input."""
    return f"sensitivity_{tag}"


def _add_input(working: Working, tag: str, given: InputSource) -> None:
    unit = unit_of(given)
    source = "" if isinstance(given, TypedValue) else given.id
    value = _value_of(given)
    expression = None if value is None else number(Fraction(value))
    label = fact("step-input-typed", symbol=Name(tag))
    if not isinstance(given, TypedValue):
        label = fact("step-input", symbol=Name(tag), name=Name(given.label))
    step = Step(input_key(tag), expression, value, unit.text, source=source, label=label)
    working.adopt(step)


def _value_of(given: InputSource) -> Number | None:
    """What stands for a symbol, in its unit."""
    return given.mean if isinstance(given, Measurement) else given.value


def _value_of_formula(derived: Derived) -> Number | None:
    working = Working(derived.unit.text)
    for tag, entering in derived.every_input.items():
        _add_input(working, tag, entering.given)
    if any(input_key(symbol) not in working.values for symbol in derived.formula.names):
        return None
    try:
        value = _add_value(working, derived)
        float(value)
    except (NoValue, OverflowError):
        return None
    return value


def unit_of(given: InputSource) -> Unit:
    """The unit of an input."""
    if isinstance(given, Measurement):
        return parse_unit(given.instrument.unit)
    return given.unit


def _add_value(working: Working, derived: Derived) -> Number:
    """The formula of the inputs in their units, for a value in its own; and its derivatives."""
    formula = _formula(derived, derived, ())
    value = working.add(MEAN, formula, label=fact("step-value"), tame=True)
    for entering, slope in _slopes(derived):
        tag = derived.tags[entering.path]
        unit = derived.unit.per(unit_of(entering.given))
        label = fact("step-sensitivity", symbol=Name(tag))
        working.add(sensitivity_key(tag), slope, unit, label=label, tame=True)
    return value if isinstance(value, float) else rational(one(value))


def _formula(whole: Derived, derived: Derived, path: tuple[str, ...]) -> Expression:
    """A formula in the keys of its inputs; those stand in their units, and its value in its own.

    Args:
        whole: what is worked out.
        derived: that, or what stands in it.
        path: where.
    """

    def measured(symbol: str) -> Expression | None:
        if symbol not in derived.inputs:
            return None
        worth = unit_of(derived.inputs[symbol]).worth
        of = name(input_key(whole.tags[*path, symbol]))
        return of * worth if worth else of

    formula = replaced(derived.formula.in_base_units or derived.formula.tree, measured)
    worth = derived.unit.worth
    return formula / worth if worth else formula


def _slopes(derived: Derived) -> Iterator[tuple[Entering, Expression]]:
    """How fast the value changes with all that was measured or typed in, by the chain rule."""

    def inside(
        inner: Derived, path: tuple[str, ...], outer: Expression | None
    ) -> Iterator[tuple[Entering, Expression]]:
        formula = _formula(derived, inner, path)
        for symbol in sorted(inner.formula.names):
            given, here = inner.inputs[symbol], (*path, symbol)
            own = derivative(formula, input_key(derived.tags[here])) or number(0)
            slope = own if outer is None else outer * own
            if isinstance(given, Derived):
                yield from inside(given, here, slope)
            else:
                yield Entering(here, given, inner), slope

    return inside(derived, (), None)


def _add_components(
    working: Working, derived: Derived
) -> tuple[list[Component], tuple[SharedZero, ...]]:
    """Every independent component with what it makes of the result.

    A measurement that stands for two symbols, a value that was typed in once, and a zero set that
    several measurements name, enter once, so that what they have in common can cancel.
    """
    used = [
        (derived.tags[one.path], one)
        for one in derived.every_input.values()
        if not isinstance(one.given, Derived) and one.path[-1] in one.of.formula.names
    ]
    found: list[Component] = []
    entered = [(tag, one) for tag, one in used if isinstance(one.given, TypedValue)]
    for tags, (first, *_) in _together(entered, lambda one: (id(one.of), one.path[-1])):
        found.append(_typed(working, tags, first))
    measured = [(tag, one.given) for tag, one in used if isinstance(one.given, Measurement)]
    for tags, (measurement, *_) in _together(measured, lambda one: one.id):
        found += _own(working, tags, measurement, derived.convention)
    corrected = [(tag, one) for tag, one in measured if one.effective_checks]
    zeros = []
    for tags, holders in _together(corrected, _zero_set):
        # What enters on several ways is added first, so that what cancels leaves nothing.
        slopes: dict[str, list[Expression]] = {}
        for tag, holder in zip(tags, holders, strict=True):
            slopes.setdefault(holder.id, []).append(name(sensitivity_key(tag)))
        different = {holder.id: holder for holder in holders}
        share = added([divided(added(slopes[key]), one.divisors) for key, one in different.items()])
        found += _of_zero(working, tags[0], holders, share, derived.convention)
        if len(different) > 1:
            zeros.append(SharedZero(tuple(different.values()), exact(share, **working.values)))
    return found, tuple(zeros)


def _zero_set(measurement: Measurement) -> frozenset[str]:
    return frozenset(check.id for check in measurement.effective_checks)


_Held = TypeVar("_Held")


def _together(
    tagged: Sequence[tuple[str, _Held]], by: Callable[[_Held], Hashable]
) -> Iterable[tuple[list[str], list[_Held]]]:
    """Tags and what they stand for, those together that have something in common."""
    groups: dict[Hashable, tuple[list[str], list[_Held]]] = {}
    for tag, held in tagged:
        tags, holders = groups.setdefault(by(held), ([], []))
        tags.append(tag)
        holders.append(held)
    return groups.values()


def _typed(working: Working, tags: Sequence[str], entering: Entering) -> Component:
    """The component of a value that was typed in, by all ways on which it enters."""
    assert isinstance(entering.given, TypedValue)
    symbol, inner = entering.path[-1], len(entering.path) > 1
    of = f"{symbol} ({entering.of.label})" if inner else symbol
    component = Component(f"component_typed_{tags[0]}", Source.TYPED, of=(of,))
    share = call("abs", added([name(sensitivity_key(tag)) for tag in tags]))
    label = fact("step-contribution-typed", of=Name(of))
    working.add(component.key, share * number(entering.given.uncertainty), label=label)
    return component


def _own(
    working: Working, tags: Sequence[str], measurement: Measurement, convention: Convention
) -> Iterator[Component]:
    """The components of the readings of one measurement."""
    own = measurement.base.copy()
    every = add_components(own, measurement.model(convention))
    components = [component for component in every if not component.of_a_zero]
    share = added([name(sensitivity_key(tag)) for tag in tags])
    count = number(len(measurement.counting))
    for component, term in joined(components, convention):
        freedom = component.freedom and count - number(1)
        taken = replace(component, freedom=freedom, of=(measurement.label,))
        yield _taken(working, tags[0], own, taken, term, share, measurement)


def _of_zero(
    working: Working, tag: str, holders: Sequence[Measurement], share: Expression,
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
            yield _taken(working, tag, own, taken, name(component.key), share, first)


def _taken(
    working: Working, tag: str, own: Working, component: Component, term: Expression,
    share: Expression, measurement: Measurement,
) -> Component:  # fmt: skip
    """A component of a measurement with what it makes of the result, as two steps."""
    kind = "zeros" if component.source is Source.ZERO_SCATTER else component.source
    part, key = f"part_{kind}_{tag}", f"component_{kind}_{tag}"
    written_out = replaced(term, definitions(own))
    value = evaluate(term, own.values)
    of = tuple(map(Name, component.of))
    named = "joined" if term.operands else kind
    label = coded("step-part", named, of=of)
    working.adopt(Step(part, written_out, value, own.unit, of=measurement.id, label=label))
    label = coded("step-contribution", named, of=of)
    working.add(key, call("abs", share) * name(part), label=label)
    return replace(component, key=key)
