"""Named steps: what is worked out, one after the other, from what was read."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.formula.evaluate import evaluated
from metrion.core.formula.expression import Expression, pieces, replaced
from metrion.core.formula.values import Series, Value, rational


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
    """

    key: str
    expression: Expression | None
    value: Value | str | None
    unit: str
    of: str = ""
    source: str = ""


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
        self, key: str, expression: Expression, unit: str | None = None, *, tame: bool = False
    ) -> Value:
        """Work out a step.

        Args:
            tame: whether to refuse what a double cannot hold, and keep numbers from growing.

        Raises:
            NoValue: where it has no value.
        """
        value = evaluated(pieces(expression), self.values, tame=tame)
        self._added(Step(key, expression, value, self.unit if unit is None else unit))
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
        assert not isinstance(value, Series)
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
