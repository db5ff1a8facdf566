"""The ``metrion-working`` document: how everything of a logbook was worked out, step by step."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import replace
from fractions import Fraction

from metrion.core.exact.numbers import to_text
from metrion.core.formula.values import Root, Value, ValueSeries, rational
from metrion.core.formula.written import written
from metrion.core.logbook import Logbook
from metrion.core.quantity.derived_result import reduce_derived
from metrion.core.quantity.listing import derived_steps, measurement_steps
from metrion.core.quantity.measurements import reduce_measurement
from metrion.core.working.steps import Step
from metrion.formats.results import Document
from metrion.formats.strict_json import json_parts
from metrion.voice import Speaker
from metrion.voice.steps import step_label

_DIGITS = 30
"""Digits of numbers without a finite expansion: so many that differences of them survive."""


def working_text(logbook: Logbook, speaker: Speaker) -> Iterator[str]:
    """The document as text, worked out one quantity after the other."""
    alone = (replace(measurement) for measurement in logbook.measurements)
    measured = ((one.id, measurement_steps(reduce_measurement(one))) for one in alone)
    derived = ((one.id, derived_steps(reduce_derived(one))) for one in logbook.derived)
    lists = {"measurements": measured, "derived": derived}
    documents = {
        name: ({"id": key, "steps": list(_documents(steps, speaker))} for key, steps in entries)
        for name, entries in lists.items()
    }
    return json_parts({"format": "metrion-working", "version": 1}, documents)


def _documents(steps: Iterable[Step], speaker: Speaker) -> Iterator[Document]:
    for step in steps:
        value = _value(step.value)
        document: Document = {
            "key": step.key,
            "label": speaker.say(step_label(step)),
            # A mean that is taken over is the very number that is printed there.
            "expression": value if step.source else step.expression and written(step.expression),
            "value": value,
            "unit": step.unit,
        }
        if step.of:
            document["of"] = step.of
        if step.source:
            document["from"] = step.source
        yield document


def _value(value: Value | str | None) -> str | list[str] | None:
    if isinstance(value, ValueSeries):
        texts: dict[Fraction, str] = {}
        return [texts.get(one) or texts.setdefault(one, _number(one)) for one in value]
    return value if value is None or isinstance(value, str) else _number(value)


def _number(value: Fraction | float | Root) -> str:
    return to_text(rational(value), _DIGITS)
