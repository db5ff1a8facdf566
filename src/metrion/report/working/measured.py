"""The working of a measurement, line by line."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from metrion.core.exact.angles import HALF_CIRCLE
from metrion.core.facts import Figure, Name, fact
from metrion.core.formula.expression import NodeType, Part, number
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.listing import (
    least_count_steps,
    observation_steps,
    zero_steps,
)
from metrion.core.quantity.measurements import Measurement, MeasurementResult
from metrion.core.quantity.observations import Observation, Sort, off_opposite
from metrion.core.scales import Numbering, VernierScale
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.working.model import (
    COUNT,
    MEAN,
    READINGS,
    ROUNDED,
    UNCERTAINTY,
    ZERO_ERROR,
    ZERO_ERRORS,
)
from metrion.core.working.steps import Step
from metrion.report.lines import Group, Span, Tint, Written
from metrion.report.working.writing import Writer
from metrion.voice import Speaker


def least_count_lines(instrument: Instrument, speaker: Speaker) -> list[Written]:
    """The least count, by both textbook routes."""
    writer = Writer({}, speaker, instrument)
    return [writer.line(step, Group.SCALE, Tint.FINE) for step in least_count_steps(instrument)]


def working(result: MeasurementResult, speaker: Speaker) -> list[Written]:
    """Every line from the scales to the sentence."""
    return written_out(result, speaker)[0]


def result_lines(result: MeasurementResult, speaker: Speaker) -> list[Written]:
    """The lines from the mean of the readings to the sentence; none while no reading counts."""
    if result.mean is None:
        return []
    writer = Writer(result.working.values, speaker, result.measurement.instrument)
    return list(_lines(result, writer, whole=False))


def written_out(result: MeasurementResult, speaker: Speaker) -> tuple[list[Written], Writer]:
    """Every line, and the writer that knows what was printed."""
    writer = Writer(result.working.values, speaker, result.measurement.instrument)
    return list(_lines(result, writer)), writer


def _lines(result: MeasurementResult, writer: Writer, *, whole: bool = True) -> Iterator[Written]:
    """The lines of a working; but for ``whole``, those from the mean on."""
    measurement, steps = result.measurement, list(result.working.steps)
    if not whole:
        first = next(at for at, step in enumerate(steps) if step.key == MEAN)
        for step in steps[:first]:
            writer.taken_over(step)
        steps = steps[first:]
    for step in steps:
        if step.key == LEAST_COUNT.word:
            for route in least_count_steps(measurement.instrument):
                yield writer.line(route, Group.SCALE, Tint.FINE)
            if not measurement.effective_checks:
                yield _no_zero(measurement, writer.speaker)
        elif step.key == ZERO_ERRORS:
            indications = list(zero_steps(measurement))
            yield from (
                writer.line(indication, Group.ZERO, Tint.ZERO) for indication in indications
            )
            writer.listed(ZERO_ERRORS, (indication.key for indication in indications))
        elif step.key == ZERO_ERROR:
            line = writer.line(step, Group.ZERO, Tint.ZERO)
            yield _zero_error(line, measurement, writer.speaker)
        elif step.key == READINGS:
            yield from _observations(measurement, writer)
        elif step.key == COUNT:
            writer.count(step)
        elif step.expression and step.expression.type is NodeType.NAME:
            writer.same(step, step.expression.word)
        else:
            tint = Tint.RESULT if step.key in (MEAN, UNCERTAINTY) else Tint.PLAIN
            yield writer.line(step, Group.RESULT, tint)
    if result.rounded:
        yield writer.sentence(Step(ROUNDED, None, result.rounded.printed, ""), UNCERTAINTY)


def _no_zero(measurement: Measurement, speaker: Speaker) -> Written:
    label = speaker.text("step-zero")
    if measurement.sort is not Sort.SINGLE:
        return Written(ZERO_ERROR, label, (Span(speaker.text("zero-cancels")),), Group.ZERO)
    exact = (Span(speaker.text("zero-taken-as-exact"), Tint.ZERO),)
    return Written(ZERO_ERROR, label, exact, Group.ZERO)


def _zero_error(line: Written, measurement: Measurement, speaker: Speaker) -> Written:
    error = measurement.zero_error
    correction = Figure(measurement.instrument.with_unit(-error))
    side = "much" if error > 0 else "little" if error else "none"
    told = speaker.text("with-correction", correction=correction, side=side)
    return replace(line, spans=(*line.spans, Span(f", {told}", Tint.ZERO)))


def _observations(measurement: Measurement, writer: Writer) -> Iterator[Written]:
    """Every reading, those set aside with their reasons; of pairs each position as well."""
    counted = 0
    for row, observation in enumerate(measurement.observations, start=1):
        counted += observation.counts
        at, value = counted if observation.counts else 0, measurement.observed[row - 1]
        lines = [
            writer.line(step, Group.READING, Tint.RESULT)
            for step in observation_steps(measurement, observation, value, at, row)
        ]
        lines[-1] = replace(lines[-1], reading=row - 1)
        if observation.sort is Sort.WINDOWS:
            apart = _apart(measurement.instrument, observation, row, lines[-1], writer.speaker)
            lines.insert(-1, apart)
        if observation.excluded:
            why = Name(observation.excluded)
            aside = Span(f"  {writer.speaker.text('set-aside', why=why)}")
            lines[-1] = replace(lines[-1], spans=(*lines[-1].spans, aside))
        yield from lines
        if other := _other_route(measurement.instrument, observation, row, writer):
            yield other
    writer.listed(READINGS, (f"reading_{at}" for at in range(1, counted + 1)))


def _other_route(
    instrument: Instrument, observation: Observation, row: int, writer: Writer
) -> Written | None:
    """The mark that the line meets, less the fine divisions up to that line, where it was noted."""
    scale, indication = instrument.scale, observation.indications[0]
    meets, line = observation.meets, indication.line
    if meets is None or not isinstance(scale, VernierScale) or not isinstance(line, int):
        return None
    divisions = number(line, Part.FINE) * number(scale.fine_division)
    mark = number(meets, Part.MAIN)
    against = scale.numbering is Numbering.AGAINST
    value = meets - scale.line_position(line)
    label = fact("step-other-route", at=row)
    formula = mark + divisions if against else mark - divisions
    step = Step(f"other_route_{row}", formula, value, instrument.unit, label=label)
    found = writer.line(step, Group.READING)
    agrees = value == instrument.reading(indication)
    told = writer.speaker.text_of("other-route", "agrees" if agrees else "disagrees")
    return replace(found, spans=(*found.spans, Span(f", {told}")))


def _apart(
    instrument: Instrument, observation: Observation, row: int, whole: Written, speaker: Speaker
) -> Written:
    """How far the two windows are from each other at either position: 180° but for little."""
    a, b, a2, b2 = (instrument.reading(indication) for indication in observation.indications)
    first, second = (
        Figure(instrument.with_unit(HALF_CIRCLE + off_opposite(one, other)))
        for one, other in ((a, a2), (b, b2))
    )
    words = speaker.text("windows-apart", first=first, second=second)
    label = speaker.text("step-windows-apart", at=row)
    return Written(f"{whole.key}_apart", label, (Span(words),), Group.READING)
