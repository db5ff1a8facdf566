"""The lines of a working about the uncertainty: its parts, how they join, the rounding."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from fractions import Fraction

from metrion.core.budget import LABELS
from metrion.core.conventions import Combine, Convention, Family, Spread
from metrion.core.measurements import Measurement, MeasurementResult
from metrion.core.notation import unit_after
from metrion.core.uncertainty import Part, Source, limit_and_scatter, look_limit, scatter
from metrion.report.lines import (
    Line,
    Span,
    Step,
    Tint,
    joined,
    number,
    over,
    power,
    root,
    true_minus,
)
from metrion.report.working.readings import reading_key
from metrion.report.working.scales import LEAST_COUNT, ZERO

LIMIT = "limit"
SCATTER = "scatter"
UNCERTAINTY = "uncertainty"

_SPREAD_WORDS = {
    Spread.HALF_RANGE: "half the range",
    Spread.MEAN_DEVIATION: "mean deviation",
    Spread.STANDARD_ERROR: "standard error of the mean",
}
_SPREAD_FORMULA: dict[Spread, Line] = {
    Spread.MEAN_DEVIATION: (over((Span("Σ |x − mean|"),), (Span("N"),)),),
    Spread.STANDARD_ERROR: (root((over((Span("Σ (x − mean)²"),), (Span("N (N − 1)"),)),)),),
}


def uncertainty_steps(result: MeasurementResult) -> Iterator[Step]:
    """From the limit of one look to the rounded sentence."""
    measurement, convention = result.measurement, result.measurement.convention
    assert result.uncertainty is not None
    assert result.rounded is not None
    yield from _limit(measurement, convention)
    yield from _scatter(measurement, convention)
    parts = [part for part in result.parts if part.square]
    for part in parts:
        yield from _part(part, result)
    yield _whole(parts, result)
    yield from covered_step(result.uncertainty.coverage_factor, result.uncertainty.size,
                            measurement.instrument.unit)  # fmt: skip
    sentence = Span(true_minus(result.rounded.printed), Tint.RESULT, UNCERTAINTY)
    yield Step("rounded", "rounded to the same place", (sentence,))


def _limit(measurement: Measurement, convention: Convention) -> Iterator[Step]:
    instrument = measurement.instrument
    limit = look_limit(instrument, convention)
    unit = unit_after(instrument.unit)
    share = {Fraction(1): "", Fraction(1, 2): "½ × "}.get(
        convention.reading_limit, f"{number(convention.reading_limit)} × "
    )
    least = Span(number(instrument.least_count), Tint.FINE, LEAST_COUNT)
    how: Line = (Span(share), least, Span(" = ")) if share else ()
    yield Step(LIMIT, "limit of one look", (*how, Span(f"{number(limit)}{unit}")))
    if measurement.looks > 1 and convention.family is Family.LIMIT:
        one = Span(number(limit), source=LIMIT)
        both = (Span("2 × "), one, Span(f" = {number(2 * limit)}{unit}"))
        yield Step("two-looks", "two looks, two limits", both)


def _scatter(measurement: Measurement, convention: Convention) -> Iterator[Step]:
    """The scatter of several readings, however this school takes it."""
    spread = Spread.STANDARD_ERROR if convention.family is Family.STANDARD else convention.spread
    values = measurement.counting
    if len(values) < 2 or spread is Spread.NONE:
        return
    size = scatter(values, spread).size
    how = _SPREAD_FORMULA.get(spread) or _half_range(measurement)
    found = Span(f"{number(size)}{unit_after(measurement.instrument.unit)}")
    yield Step(SCATTER, _SPREAD_WORDS[spread], (*how, Span(" = "), found))


def _half_range(measurement: Measurement) -> Line:
    counting = [
        (measurement.corrected[i], i)
        for i, one in enumerate(measurement.observations)
        if one.counts
    ]
    (low, first), (high, last) = min(counting), max(counting)
    text = measurement.instrument.value_text
    difference = (
        Span(true_minus(text(high)), Tint.RESULT, reading_key(last)),
        Span(" − "),
        Span(true_minus(text(low)), Tint.RESULT, reading_key(first)),
    )
    return (over(difference, (Span("2"),)),)


def part_key(part: Part) -> str:
    """The key of a part's line."""
    return f"part-{part.source}"


def _part(part: Part, result: MeasurementResult) -> Iterator[Step]:
    """One part of the uncertainty of the mean of one item."""
    measurement, convention = result.measurement, result.measurement.convention
    unit = unit_after(measurement.instrument.unit)
    before = part.scaled(Fraction(measurement.divisor))
    how = _standard(before, measurement) if convention.family is Family.STANDARD else None
    how = how or _limit_part(before, measurement)
    found = Span(f"{number(part.size)}{unit}")
    if measurement.divisor > 1:
        how = (over(how, (Span(str(measurement.divisor)),)), Span(" = "), found)
    elif len(how) == 1 and how[0].text:
        # The number itself: it only leads on to where it comes from.
        how = (replace(found, source=how[0].source),)
    else:
        how = (*how, Span(" = "), found)
    yield Step(part_key(part), f"part: {LABELS[part.source]}", how)


def _standard(part: Part, measurement: Measurement) -> Line | None:
    """A standard uncertainty: a limit over the root of three, or a standard error."""
    convention, instrument = measurement.convention, measurement.instrument
    limit = Span(number(look_limit(instrument, convention)), source=LIMIT)
    three = (root((Span("3"),)),)
    if part.source is Source.READING and measurement.looks == 2:
        return (limit, Span(" × "), root((over((Span("2"),), (Span("3"),)),)))
    if part.source in (Source.READING, Source.ZERO):
        return (over((limit,), three),)
    if part.source is Source.MAKER:
        return (over((Span(number(instrument.maker_limit)),), three),)
    if part.source is Source.SCATTER:
        return (Span(number(part.size), source=SCATTER),)
    return None


def _limit_part(part: Part, measurement: Measurement) -> Line:
    """A limit as it stands, with where it comes from."""
    convention = measurement.convention
    if part.source is Source.ZERO_SCATTER:
        return (Span(number(part.size), source=ZERO),)
    if part.source is Source.READING and convention.combine is Combine.SUM:
        limit, spread = limit_and_scatter(
            measurement.instrument, convention, measurement.counting, measurement.looks
        )
        both = [Span(number(limit.size), source=LIMIT)]
        if spread.square:
            both.append(Span(number(spread.size), source=SCATTER))
        return joined(both, "+")
    source = {Source.READING: LIMIT, Source.SCATTER: SCATTER, Source.ZERO: LIMIT}
    return (Span(number(part.size), source=source.get(part.source, "")),)


def _whole(parts: list[Part], result: MeasurementResult) -> Step:
    assert result.uncertainty is not None
    convention, unit = result.measurement.convention, result.measurement.instrument.unit
    size = result.uncertainty.size / (result.uncertainty.coverage_factor or 1)
    return whole_step(
        [Span(number(part.size), source=part_key(part)) for part in parts],
        size, convention, unit,
    )  # fmt: skip


def whole_step(terms: list[Span], size: Fraction, convention: Convention, unit: str) -> Step:
    """The parts put together as the convention says, before coverage and rounding."""
    standard = convention.family is Family.STANDARD
    squares = standard or convention.combine is Combine.QUADRATURE
    found = Span(f"{number(size)}{unit_after(unit)}", Tint.RESULT)
    how: Line = ()
    if len(terms) > 1 and squares:
        how = (root(joined([power((term,), "2") for term in terms], "+")), Span(" = "))
    elif len(terms) > 1:
        how = (*joined(terms, "+"), Span(" = "))
    elif terms:
        found = Span(found.text, Tint.RESULT, terms[0].source)
    label = "standard uncertainty" if standard else "uncertainty before rounding"
    return Step(UNCERTAINTY, label, (*how, found))


def covered_step(factor: Fraction | None, size: Fraction, unit: str) -> Iterator[Step]:
    """The standard uncertainty times its coverage factor, where there is one."""
    if factor is None or factor == 1:
        return
    standard = Span(number(size / factor), source=UNCERTAINTY)
    found = Span(f"{number(size)}{unit_after(unit)}", Tint.RESULT)
    spans = (Span(f"{number(factor)} × "), standard, Span(" = "), found)
    yield Step("expanded", "times the coverage factor", spans)
