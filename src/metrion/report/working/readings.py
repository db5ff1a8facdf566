"""The lines of a working about the readings: each one, and their mean."""

from __future__ import annotations

from collections.abc import Iterator
from fractions import Fraction

from metrion.core.angles import FULL_CIRCLE, HALF_CIRCLE
from metrion.core.instruments import Kind
from metrion.core.measurements import Measurement
from metrion.core.notation import unit_after
from metrion.core.observations import Observation, Sort, off_opposite, sweeps
from metrion.report.lines import (
    Group,
    Line,
    Span,
    Step,
    Tint,
    joined,
    number,
    over,
    true_minus,
)
from metrion.report.working.scales import ZERO, look_line

MEAN = "mean"
_LISTED = 6
"""Readings that a mean lists one by one; of more it lists the first and the last."""
_LOOK_NAMES = ("first position", "second position", "first, window 2", "second, window 2")


def reading_key(index: int) -> str:
    """The key of a reading's line, counted from 0."""
    return f"reading-{index + 1}"


def reading_steps(measurement: Measurement) -> Iterator[Step]:
    """Every reading, those set aside with their reasons; of pairs each position as well."""
    for index, observation in enumerate(measurement.observations):
        if observation.sort is Sort.SINGLE:
            spans = _single(measurement, index)
        else:
            yield from _positions(measurement, index)
            if observation.sort is Sort.WINDOWS:
                yield _apart(measurement, index)
            spans = _between(measurement, index)
        if observation.excluded:
            spans += (Span(f"  set aside: {observation.excluded}"),)
        yield Step(reading_key(index), f"reading {index + 1}", spans, Group.READING)


def _single(measurement: Measurement, index: int) -> Line:
    instrument, zero = measurement.instrument, measurement.zero_error
    spans = look_line(instrument, measurement.observations[index].looks[0])
    if zero:
        value = true_minus(instrument.value_text(measurement.corrected[index]))
        taken = Span(f"({true_minus(instrument.value_text(zero))})", Tint.ZERO, ZERO)
        spans += (Span(" − "), taken, Span(" = "), Span(value, Tint.RESULT))
    return spans


def _position_key(index: int, place: int) -> str:
    return f"{reading_key(index)}-{'abcd'[place]}"


def _positions(measurement: Measurement, index: int) -> Iterator[Step]:
    for place, look in enumerate(measurement.observations[index].looks):
        yield Step(
            _position_key(index, place),
            f"reading {index + 1}, {_LOOK_NAMES[place]}",
            look_line(measurement.instrument, look),
            Group.READING,
        )


def _apart(measurement: Measurement, index: int) -> Step:
    """How far the two windows are from each other at either position: 180° but for little."""
    instrument, observation = measurement.instrument, measurement.observations[index]
    a, b, a2, b2 = (instrument.reading(look) for look in observation.looks)
    found = [
        instrument.with_unit(HALF_CIRCLE + off_opposite(one, other))
        for one, other in ((a, a2), (b, b2))
    ]
    words = f"{found[0]} and {found[1]}; the mean of both windows is free of what is not 180°"
    label = f"reading {index + 1}, windows apart"
    return Step(f"{reading_key(index)}-apart", label, (Span(words),), Group.READING)


def _between(measurement: Measurement, index: int) -> Line:
    """What lies between the positions; through two windows, the mean of both sweeps."""
    instrument, observation = measurement.instrument, measurement.observations[index]
    found = sweeps(instrument, observation, measurement.arc)
    value = Span(true_minus(instrument.with_unit(measurement.observed[index])), Tint.RESULT)
    if len(found) == 1:
        return (*_difference(measurement, index, 0, found[0]), Span(" = "), value)
    both: list[Span] = []
    for window, swept in enumerate(found):
        both += _difference(measurement, index, 2 * window, swept)
        both.append(Span(f" = {instrument.with_unit(swept)}; "))
    return (*both, Span("mean "), value)


def _difference(measurement: Measurement, index: int, place: int, swept: Fraction) -> Line:
    """Second less first, or the other way round, or through the zero of the circle."""
    instrument, observation = measurement.instrument, measurement.observations[index]
    start, end = _read(measurement, observation, place), _read(measurement, observation, place + 1)
    first = Span(instrument.value_text(start), source=_position_key(index, place))
    second = Span(instrument.value_text(end), source=_position_key(index, place + 1))
    if end - start == swept:
        return (second, Span(" − "), first)
    if start - end == swept:
        return (first, Span(" − "), second)
    turn = Span("360° − ") if instrument.kind is Kind.ANGULAR else Span()
    through = end - start + FULL_CIRCLE == swept
    if through:
        return (turn, first, Span(" + "), second)
    return (turn, second, Span(" + "), first)


def _read(measurement: Measurement, observation: Observation, place: int) -> Fraction:
    return measurement.instrument.reading(observation.looks[place])


def mean_step(measurement: Measurement, mean: Fraction) -> Step:
    """The mean of the readings that count, divided by items and halves."""
    instrument = measurement.instrument
    count = len(measurement.counting)
    divided = f", divided by {measurement.divisor}" if measurement.divisor > 1 else ""
    label = f"mean of {count} {'reading' if count == 1 else 'readings'}{divided}"
    below = " × ".join(str(n) for n in (count, measurement.divisor) if n > 1)
    value = Span(_value(measurement, mean), Tint.RESULT)
    top = _sum(measurement)
    spans: Line = (over(top, (Span(below),)), Span(" = "), value) if below else (value,)
    if instrument.kind is not Kind.ANGULAR:
        spans = (*spans, Span(unit_after(instrument.unit)))
    return Step(MEAN, label, spans)


def _sum(measurement: Measurement) -> Line:
    """The counting values with signs between them; of many, the first and the last."""
    values = enumerate(measurement.corrected)
    counting = [(i, value) for i, value in values if measurement.observations[i].counts]
    terms = [
        Span(true_minus(measurement.instrument.value_text(value)), Tint.RESULT, reading_key(i))
        for i, value in counting
    ]
    if len(terms) > _LISTED:
        terms = [terms[0], terms[1], Span("…"), terms[-1]]
    return joined(terms, "+")


def _value(measurement: Measurement, value: Fraction) -> str:
    if measurement.instrument.kind is Kind.ANGULAR:
        # Past a ten-thousandth of a minute nothing is read.
        return true_minus(measurement.instrument.value_text(round(value, 4)))
    return number(value)
