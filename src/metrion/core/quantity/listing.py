"""Every step of a result, in the order in which a person would write them.

A working keeps lists of looks as one value; here each look is written out, up to `MOST_WRITTEN`.
"""

from __future__ import annotations

from collections.abc import Generator, Iterator, Sequence
from fractions import Fraction

from metrion.core.facts import Fact, coded, fact
from metrion.core.formula.expression import Expression, listed, name, number
from metrion.core.formula.values import ValueSeries
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.derived_result import DerivedResult
from metrion.core.quantity.measurements import Measurement, MeasurementResult
from metrion.core.quantity.observations import INDICATIONS, Observation, Sort, observed
from metrion.core.quantity.zero import zero_errors, zero_look
from metrion.core.scales import Indication, VernierScale
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.scales.vernier import FINE_DIVISION
from metrion.core.working.model import MEAN, READINGS, ROUNDED, UNCERTAINTY, ZERO_ERRORS
from metrion.core.working.steps import Step

MOST_WRITTEN = 200
"""Readings that are written out one by one; more are lists of marks and lines."""
BY_DIFFERENCE = "least_count_by_difference"


def measurement_steps(result: MeasurementResult) -> Iterator[Step]:
    """Every step of a measurement, from the least count to the rounded sentence."""
    measurement = result.measurement
    for step in result.working.steps:
        if step.key == LEAST_COUNT.word:
            yield from least_count_steps(measurement.instrument)
        elif step.key == ZERO_ERRORS:
            yield from _zero_indications(measurement, step)
        elif step.key == READINGS:
            yield from _readings(measurement, step)
        else:
            yield step
    yield from _end(result, fact("step-mean", count=0))


def least_count_steps(instrument: Instrument) -> Iterator[Step]:
    """The least count, by both textbook routes where there are two."""
    unit, scale = instrument.unit, instrument.scale
    yield Step(LEAST_COUNT.word, scale.least_count_by_division(), scale.least_count, unit)
    if isinstance(scale, VernierScale):
        yield Step(FINE_DIVISION.word, scale.fine_division_rule(), scale.fine_division, unit)
        difference = scale.least_count_by_difference()
        yield Step(BY_DIFFERENCE, difference, scale.by_difference, unit)


def derived_steps(result: DerivedResult) -> Iterator[Step]:
    """Every step of a derived quantity, from its inputs to the rounded sentence."""
    yield from result.working.steps
    yield from _end(result, fact("step-value"))


def _end(result: MeasurementResult | DerivedResult, mean: Fact) -> Iterator[Step]:
    """The rounded sentence; without a result, that there is none."""
    unit, rounded = result.working.unit, result.rounded
    if rounded is None:
        yield Step(MEAN, None, None, unit, label=mean)
        yield Step(UNCERTAINTY, None, None, unit)
    yield Step(ROUNDED, None, rounded.text if rounded else None, unit)


def _zero_indications(measurement: Measurement, step: Step) -> Iterator[Step]:
    instrument, checks = measurement.instrument, measurement.effective_checks
    if len(checks) > MOST_WRITTEN:
        indications = [check.indication for check in checks]
        errors = yield from _lists(instrument, indications, "zero_")
        references = [check.reference for check in checks]
        if any(references):
            given = ValueSeries.of(references)
            yield Step("zero_references", None, given, step.unit, label=fact("step-references"))
            errors = errors - name("zero_references")
        yield Step(ZERO_ERRORS, errors, step.value, step.unit)
        return
    yield from zero_steps(measurement)
    names = [name(f"zero_{at}") for at in range(1, len(checks) + 1)]
    yield Step(ZERO_ERRORS, listed(names), step.value, step.unit)


def zero_steps(measurement: Measurement) -> Iterator[Step]:
    """Each look at the zero."""
    instrument, checks = measurement.instrument, measurement.effective_checks
    errors = zero_errors(instrument, checks)
    for at, (check, error) in enumerate(zip(checks, errors, strict=True), start=1):
        label = coded("step-zero", check.phase, at=at)
        yield Step(f"zero_{at}", zero_look(instrument, check), error, instrument.unit, label=label)


def _readings(measurement: Measurement, step: Step) -> Iterator[Step]:
    numbered = [(at, one) for at, one in enumerate(measurement.observations, 1) if one.counts]
    counting = [one for _, one in numbered]
    kind, arc = measurement.instrument.kind, measurement.arc
    names = INDICATIONS[measurement.sort]
    if len(counting) > MOST_WRITTEN:
        whole = []
        for at, tag in enumerate(names):
            indications = [one.indications[at] for one in counting]
            suffix = f"{tag}_" if tag else ""
            whole.append((yield from _lists(measurement.instrument, indications, suffix)))
        yield Step(READINGS, observed(kind, whole, arc), step.value, step.unit)
        return
    for at, (row, one) in enumerate(numbered, start=1):
        yield from observation_steps(measurement, one, measurement.observed[row - 1], at, row)
    keys = [name(f"reading_{at}") for at in range(1, len(counting) + 1)]
    yield Step(READINGS, listed(keys), step.value, step.unit)


def observation_steps(
    measurement: Measurement, observation: Observation, value: Fraction, at: int, row: int
) -> Iterator[Step]:
    """One observation: a single look; or each look of a pair, and what lies between.

    Args:
        value: what it comes to.
        at: its number among those that count; 0 if it does not.
        row: its number among all.
    """
    key = f"reading_{at}" if at else f"aside_{row}"
    instrument, tags = measurement.instrument, INDICATIONS[measurement.sort]
    label = fact("step-reading", at=row)
    if measurement.sort is Sort.SINGLE:
        read = instrument.indication(observation.indications[0])
        yield Step(key, read, value, instrument.unit, label=label)
        return
    positions = []
    for tag, indication in zip(tags, observation.indications, strict=True):
        found, position = instrument.reading(indication), coded("step-reading", tag, at=row)
        formula = instrument.indication(indication)
        yield Step(f"{key}_{tag}", formula, found, instrument.unit, label=position)
        positions.append(name(f"{key}_{tag}"))
    made = observed(instrument.kind, positions, measurement.arc)
    yield Step(key, made, value, instrument.unit, label=label)


def _lists(
    instrument: Instrument, indications: Sequence[Indication], tag: str
) -> Generator[Step, None, Expression]:
    """Marks, lines and second turns as lists; returns what they read as a formula of them."""
    marks, lines, turns = f"{tag}marks", f"{tag}lines", f"{tag}second_turns"
    mains = ValueSeries.of([indication.main for indication in indications])
    yield Step(marks, None, mains, instrument.unit, label=fact("step-marks"))
    if instrument.scale.has_fine_scale:
        fine = ValueSeries.of([Fraction(indication.line) for indication in indications])
        yield Step(lines, None, fine, "1", label=fact("step-lines"))
    turn: Expression = number(0)
    if any(indication.second_turn for indication in indications):
        second = ValueSeries.of([Fraction(indication.second_turn) for indication in indications])
        yield Step(turns, None, second, "1", label=fact("step-second-turns"))
        turn = name(turns)
    return instrument.scale.indication(name(marks), name(lines), turn)
