"""The working of a quantity, line by line, from the marks that were read to the sentence."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction

from metrion.core.conventions import Combine, Convention, Family, Spread
from metrion.core.instruments import Instrument, Kind
from metrion.core.measurements import Measurement, MeasurementResult
from metrion.core.numbers import finite_decimals, to_text
from metrion.core.observations import Sort
from metrion.core.scales import Look, ScrewScale, VernierScale
from metrion.core.uncertainty import Source, look_limit, scatter
from metrion.core.zero import zero_errors

_SPREAD_WORDS = {
    Spread.NONE: "scatter, not counted by this convention",
    Spread.HALF_RANGE: "half the range",
    Spread.MEAN_DEVIATION: "mean deviation",
    Spread.STANDARD_ERROR: "standard error of the mean",
}
_COMBINE_WORDS = {
    Combine.LARGER: "the larger counts",
    Combine.SUM: "both add",
    Combine.QUADRATURE: "the root of the sum of squares counts",
}
_SOURCE_WORDS = {
    Source.READING: "reading",
    Source.SCATTER: "scatter",
    Source.ZERO: "look at the zero",
    Source.ZERO_SCATTER: "scatter of the zero",
    Source.MAKER: "maker’s limit",
    Source.TYPED: "typed in",
}


class Tint(StrEnum):
    """Which part of a reading a piece of the working belongs to."""

    PLAIN = "plain"
    MAIN = "main"
    FINE = "fine"
    ZERO = "zero"
    RESULT = "result"


@dataclass(frozen=True)
class Span:
    """A piece of a line, in the hue of its part."""

    text: str
    tint: Tint = Tint.PLAIN


@dataclass(frozen=True)
class Step:
    """One line of the working: what is worked out, and how."""

    label: str
    spans: tuple[Span, ...]


def working(result: MeasurementResult) -> list[Step]:
    """Every line from the scales to the sentence."""
    measurement = result.measurement
    steps = [*least_count_steps(measurement.instrument), *_zero(measurement)]
    steps += _readings(measurement)
    if result.mean is not None:
        steps += [_mean(measurement, result.mean), *_uncertainty(result)]
    return steps


def least_count_steps(instrument: Instrument) -> Iterator[Step]:
    """The least count, by both textbook routes."""
    unit, scale = _unit(instrument), instrument.scale
    found = Span(f"{_n(instrument.least_count)}{unit}", Tint.FINE)
    if isinstance(scale, VernierScale):
        several = scale.main_divisions_compared
        marks = f"{several} × " if several > 1 else ""
        wider = several * scale.main_division >= scale.fine_division
        whole, fine = f"{marks}{_n(scale.main_division)}", _n(scale.fine_division)
        first, second = (whole, fine) if wider else (fine, whole)
        difference = Span(f"{_n(scale.by_difference)}{unit}", Tint.FINE)
        yield Step("least count, by difference", (Span(f"{first} − {second} = "), difference))
        division = Span(f"{_n(scale.by_division)}{unit}", Tint.FINE)
        quotient = Span(f"{_n(scale.main_division)} / {scale.fine_divisions} = ")
        yield Step("by division", (quotient, division))
    elif isinstance(scale, ScrewScale):
        quotient = Span(f"{_n(scale.pitch)} / {scale.fine_divisions} = ")
        yield Step("least count, pitch over divisions", (quotient, found))


def _look(instrument: Instrument, look: Look) -> tuple[Span, ...]:
    """main + line × least count = reading."""
    scale = instrument.scale
    least, read = _n(instrument.least_count), instrument.value_text(instrument.reading(look))
    main = Span(_minus(instrument.mark_text(look.main)), Tint.MAIN)
    if isinstance(scale, VernierScale) and not scale.estimable():
        worth = scale.reading(Look(Fraction(0), look.line))
        line = Span(f"{_n(worth)} (line {look.line})", Tint.FINE)
    else:
        line = Span(f"{_n(Fraction(look.line))} × {least}", Tint.FINE)
    if isinstance(scale, ScrewScale):
        main = Span(_n(scale.turn_start(look)), Tint.MAIN)
    return (main, Span(" + "), line, Span(f" = {_minus(read)}"))


def _zero(measurement: Measurement) -> Iterator[Step]:
    instrument = measurement.instrument
    if measurement.sort is not Sort.SINGLE:
        yield Step("zero", (Span("cancels in the difference of two positions"),))
        return
    checks = measurement.effective_checks
    if not checks:
        yield Step("zero", (Span("not looked at, taken as exact", Tint.ZERO),))
        return
    for check, error in zip(checks, zero_errors(instrument, checks), strict=True):
        spans = _look(instrument, check.look)
        if check.reference:
            less = f" − {_n(check.reference)} = {_minus(instrument.value_text(error))}"
            spans = (*spans, Span(less, Tint.ZERO))
        yield Step(f"zero {check.phase}", spans)
    error_text = _minus(instrument.value_text(measurement.zero_error))
    correction = _minus(instrument.value_text(-measurement.zero_error))
    unit = _unit(instrument)
    yield Step(
        "zero error, correction",
        (Span(f"{error_text}{unit}, so {correction}{unit}", Tint.ZERO),),
    )


def _readings(measurement: Measurement) -> Iterator[Step]:
    instrument, zero = measurement.instrument, measurement.zero_error
    for index, observation in enumerate(measurement.observations):
        label = f"reading {index + 1}"
        value = instrument.value_text(measurement.corrected[index])
        if observation.sort is not Sort.SINGLE:
            value = instrument.with_unit(measurement.corrected[index])
            yield Step(label, (Span(_minus(value), Tint.RESULT),))
            continue
        spans = _look(instrument, observation.looks[0])
        if zero:
            spans += (Span(" − "), Span(f"({_minus(instrument.value_text(zero))})", Tint.ZERO))
            spans += (Span(" = "), Span(_minus(value), Tint.RESULT))
        if observation.excluded:
            spans += (Span(f"  set aside: {observation.excluded}"),)
        yield Step(label, spans)


def _mean(measurement: Measurement, mean: Fraction) -> Step:
    unit = _unit(measurement.instrument)
    count = len(measurement.counting)
    over = f", divided by {measurement.divisor}" if measurement.divisor > 1 else ""
    noun = "reading" if count == 1 else "readings"
    label = f"mean of {count} {noun}{over}"
    return Step(label, (Span(f"{_n(mean)}{unit}", Tint.RESULT),))


def _uncertainty(result: MeasurementResult) -> Iterator[Step]:
    measurement, convention = result.measurement, result.measurement.convention
    assert result.uncertainty is not None
    assert result.rounded is not None
    unit = _unit(measurement.instrument)
    yield from _one_look(measurement, convention)
    if convention.family is Family.LIMIT:
        yield from _scatter(measurement, convention)
    if convention.family is Family.STANDARD or len([p for p in result.parts if p.square]) > 1:
        for part in result.parts:
            if part.square:
                yield Step(f"part: {_SOURCE_WORDS[part.source]}", (Span(f"{_n(part.size)}{unit}"),))
    size = f"{_n(result.uncertainty.size)}{unit}"
    factor = result.uncertainty.coverage_factor
    times = f", covered {_n(factor)} times" if factor not in (None, 1) and factor else ""
    yield Step("uncertainty before rounding", (Span(f"{size}{times}", Tint.RESULT),))
    yield Step("rounded to the same place", (Span(_minus(result.rounded.text), Tint.RESULT),))


def _one_look(measurement: Measurement, convention: Convention) -> Iterator[Step]:
    instrument = measurement.instrument
    limit = look_limit(instrument, convention)
    share = {Fraction(1): "", Fraction(1, 2): "½ × "}.get(
        convention.reading_limit, f"{convention.reading_limit} × "
    )
    how = f"{share}{_n(instrument.least_count)} = " if share else ""
    unit = _unit(instrument)
    yield Step("limit of one look", (Span(f"{how}{_n(limit)}{unit}"),))
    if measurement.looks > 1 and convention.family is Family.LIMIT:
        both = f"2 × {_n(limit)} = {_n(2 * limit)}{unit}"
        yield Step("two looks, two limits", (Span(both),))


def _scatter(measurement: Measurement, convention: Convention) -> Iterator[Step]:
    if len(measurement.counting) < 2 or convention.spread is Spread.NONE:
        return
    size = scatter(measurement.counting, convention.spread).size
    text = f"{_n(size)}{_unit(measurement.instrument)}; {_COMBINE_WORDS[convention.combine]}"
    yield Step(_SPREAD_WORDS[convention.spread], (Span(text),))


def _unit(instrument: Instrument) -> str:
    """The unit as it follows a number."""
    return "′" if instrument.kind is Kind.ANGULAR else f" {instrument.unit}"


def _n(value: Fraction) -> str:
    """A number for people: in full where that is short, else to six figures."""
    decimals = finite_decimals(value)
    text = to_text(value) if decimals is not None and decimals <= 8 else f"{float(value):.6g}"
    return _minus(text)


def _minus(text: str) -> str:
    return text.replace("-", "−")
