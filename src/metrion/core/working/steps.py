"""Named steps: what is worked out, one after the other, from what was read."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from fractions import Fraction
from functools import cached_property

from metrion.core.facts import Fact
from metrion.core.formula.evaluate import Program, program, run
from metrion.core.formula.expression import Expression, replaced
from metrion.core.formula.values import Value, ValueSeries, rational


@dataclass(frozen=True, slots=True)
class Step:
    """One step of a working.

    Attributes:
        key: what later steps call it by.
        expression: how it is worked out from earlier ones; None where its value was given.
        value: what it comes to; a text for what is rounded, None where there is no value.
        unit: the unit of its value, as a logbook writes it.
        of: the id of the measurement whose steps the expression names; empty for its own.
        source: the id of the measurement whose mean it takes over; else empty.
        label: what it is; where that is None, its key says it.
    """

    key: str
    expression: Expression | None
    value: Value | str | None
    unit: str
    of: str = ""
    source: str = ""
    label: Fact | None = None


@dataclass(frozen=True)
class Rule:
    """How a step is worked out, whatever its values.

    Attributes:
        key: of the step.
        expression: how.
        unit: the unit of its value; None for that of the working.
        label: what it is; None where its key says it.
    """

    key: str
    expression: Expression
    unit: str | None = None
    label: Fact | None = None

    @cached_property
    def program(self) -> Program:
        """Its expression, made ready to be evaluated often."""
        return program(self.expression)


class Working:
    """Steps in the order in which a person would write them, each worked out as it is added.

    Attributes:
        unit: the unit of what it works out.
        steps: the steps so far.
        values: what each comes to, by key.
    """

    def __init__(self, unit: str) -> None:
        self.unit = unit
        self.steps: list[Step] = []
        self.values: dict[str, Value] = {}

    def copy(self) -> Working:
        """The same steps, to be gone on with."""
        other = Working(self.unit)
        other.steps, other.values = list(self.steps), dict(self.values)
        return other

    def given(self, key: str, value: Value) -> None:
        """A value that is not worked out here."""
        self._added(Step(key, None, value, self.unit))

    def add(
        self,
        key: str,
        expression: Expression,
        unit: str | None = None,
        *,
        label: Fact | None = None,
        tame: bool = False,
    ) -> Value:
        """Work out a step.

        Args:
            tame: whether to refuse what a double cannot hold, and keep numbers from growing.

        Raises:
            NoValue: where it has no value.
        """
        return self.follow(Rule(key, expression, unit, label), tame=tame)

    def follow(self, rule: Rule, *, tame: bool = False) -> Value:
        """Work out a step by a rule; see `add`."""
        value = run(rule.program, self.values, tame=tame)
        unit = self.unit if rule.unit is None else rule.unit
        self._added(Step(rule.key, rule.expression, value, unit, label=rule.label))
        return value

    def adopt(self, step: Step) -> None:
        """A step that was worked out elsewhere, from the steps of another working."""
        self._added(step)

    def _added(self, step: Step) -> None:
        self.steps.append(step)
        if step.value is not None and not isinstance(step.value, str):
            self.values[step.key] = step.value

    def again(self, instead: Mapping[str, Value]) -> Working:
        """The same steps with other values for some of them."""
        other = Working(self.unit)
        for step in self.steps:
            if step.key in instead:
                other.given(step.key, instead[step.key])
            elif step.expression is None or step.of:
                other.adopt(step)
            else:
                other.add(step.key, step.expression, step.unit)
        return other

    def number(self, key: str) -> Fraction:
        """What a step comes to: a rational number, roots to 40 digits."""
        value = self.values[key]
        assert not isinstance(value, ValueSeries)
        return rational(value)


def definitions(working: Working) -> Callable[[str], Expression | None]:
    """What to write for the names of steps that depend on a convention, so that none is left."""
    known: dict[str, Expression] = {}
    for step in working.steps:
        if step.expression is not None and step.key not in _LASTING:
            known[step.key] = replaced(step.expression, known.get)
    return known.get


_LASTING = ("least_count", "zero_error")
"""Keys of steps that are the same by every convention."""
