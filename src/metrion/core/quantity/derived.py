"""Quantities worked out from others by a formula: what they are made of, their value and slopes."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property

from metrion.core.conventions.convention import Convention
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
from metrion.core.facts import Fact, Name, fact
from metrion.core.formula import Expression, Formula, NoValue
from metrion.core.formula.derivative import derivative
from metrion.core.formula.evaluate import one
from metrion.core.formula.expression import name, number, replaced
from metrion.core.formula.units import Unit, parse_unit
from metrion.core.formula.values import rational
from metrion.core.quantity.comparison_reference import Beside
from metrion.core.quantity.measurements import Measurement
from metrion.core.working.model import MEAN
from metrion.core.working.steps import Step, Working


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


def input_key(tag: str) -> str:
    """The key of the step that an input is."""
    return f"input_{tag}"


def sensitivity_key(tag: str) -> str:
    """The key of the sensitivity coefficient of an input."""
    return f"sensitivity_{tag}"


def add_input(working: Working, tag: str, given: InputSource) -> None:
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
        add_input(working, tag, entering.given)
    if any(input_key(symbol) not in working.values for symbol in derived.formula.names):
        return None
    try:
        value = add_value(working, derived)
        float(value)
    except (NoValue, OverflowError):
        return None
    return value


def unit_of(given: InputSource) -> Unit:
    """The unit of an input."""
    if isinstance(given, Measurement):
        return parse_unit(given.instrument.unit)
    return given.unit


def add_value(working: Working, derived: Derived) -> Number:
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
