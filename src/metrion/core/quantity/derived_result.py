"""What a derived quantity comes to: its value, and what each independent part makes of it."""

from __future__ import annotations

from collections.abc import Callable, Hashable, Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction
from typing import TypeVar

from metrion.core.conventions.convention import Convention
from metrion.core.conventions.rounding import Rounded, round_result
from metrion.core.exact.numbers import Number
from metrion.core.facts import Fact, Name, coded, fact
from metrion.core.formula import Expression, NoValue, evaluate
from metrion.core.formula.evaluate import exact
from metrion.core.formula.expression import added, call, name, number, replaced
from metrion.core.quantity.derived import (
    Derived,
    Entering,
    TypedValue,
    add_input,
    add_value,
    input_key,
    sensitivity_key,
)
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.other_units import Also, also
from metrion.core.working.model import UNCERTAINTY, Component, Source, Uncertainty
from metrion.core.working.steps import Step, Working, definitions
from metrion.core.working.uncertainty import (
    add_combination,
    add_components,
    divided,
    joined,
    stated,
)


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
        add_input(working, tag, entering.given)
    inputs_alone = DerivedResult(derived, working)
    if any(input_key(symbol) not in working.values for symbol in derived.formula.names):
        return inputs_alone
    whole = working.copy()
    try:
        value = add_value(whole, derived)
        components, zeros = _add_components(whole, derived)
        add_combination(whole, components, derived.convention)
        size = whole.number(UNCERTAINTY)
        float(value), float(size)
    except (NoValue, OverflowError):
        return inputs_alone
    rounded = round_result(Fraction(value), size, derived.convention.digits, derived.unit.text)
    return DerivedResult(derived, whole, value, tuple(components), rounded, zeros)


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
