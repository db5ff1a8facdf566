"""The first lines of a working: the least count by both routes, one look, and the zero."""

from __future__ import annotations

from collections.abc import Iterator
from fractions import Fraction

from metrion.core.instruments import Instrument
from metrion.core.measurements import Measurement
from metrion.core.notation import unit_after
from metrion.core.observations import Sort
from metrion.core.scales import Look, ScrewScale, VernierScale
from metrion.core.zero import ZeroCheck, zero_errors
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

LEAST_COUNT = "least-count"
ZERO = "zero"


def least_count_steps(instrument: Instrument) -> Iterator[Step]:
    """The least count, by both textbook routes."""
    unit, scale = unit_after(instrument.unit), instrument.scale
    if isinstance(scale, VernierScale):
        several = scale.main_divisions_compared
        marks = f"{several} × " if several > 1 else ""
        wider = several * scale.main_division >= scale.fine_division
        whole, fine = f"{marks}{number(scale.main_division)}", number(scale.fine_division)
        first, second = (whole, fine) if wider else (fine, whole)
        difference = Span(f"{number(scale.by_difference)}{unit}", Tint.FINE)
        spans: Line = (Span(f"{first} − {second} = "), difference)
        yield Step(LEAST_COUNT, "least count, by difference", spans, Group.SCALE)
        quotient = over((Span(number(scale.main_division)),), (Span(str(scale.fine_divisions)),))
        division = Span(f"{number(scale.by_division)}{unit}", Tint.FINE)
        yield Step("by-division", "by division", (quotient, Span(" = "), division), Group.SCALE)
    elif isinstance(scale, ScrewScale):
        quotient = over((Span(number(scale.pitch)),), (Span(str(scale.fine_divisions)),))
        found = Span(f"{number(instrument.least_count)}{unit}", Tint.FINE)
        spans = (quotient, Span(" = "), found)
        yield Step(LEAST_COUNT, "least count, pitch over divisions", spans, Group.SCALE)


def look_line(instrument: Instrument, look: Look) -> Line:
    """main + line × least count = reading."""
    scale = instrument.scale
    read = instrument.value_text(instrument.reading(look))
    main = Span(true_minus(instrument.mark_text(look.main)), Tint.MAIN)
    if isinstance(scale, VernierScale) and not scale.estimable():
        worth = scale.reading(Look(Fraction(0), look.line))
        line = Span(f"{number(worth)} (line {look.line})", Tint.FINE, LEAST_COUNT)
    else:
        least = number(instrument.least_count)
        line = Span(f"{number(Fraction(look.line))} × {least}", Tint.FINE, LEAST_COUNT)
    if isinstance(scale, ScrewScale):
        main = Span(number(scale.turn_start(look)), Tint.MAIN)
    return (main, Span(" + "), line, Span(f" = {true_minus(read)}"))


def zero_steps(measurement: Measurement) -> Iterator[Step]:
    """Every look at the zero, the error they show and the correction."""
    instrument, checks = measurement.instrument, measurement.effective_checks
    if measurement.sort is not Sort.SINGLE:
        cancels = (Span("cancels in the difference of two positions"),)
        yield Step(ZERO, "zero", cancels, Group.ZERO)
        return
    if not checks:
        exact = (Span("not looked at, taken as exact", Tint.ZERO),)
        yield Step(ZERO, "zero", exact, Group.ZERO)
        return
    errors = zero_errors(instrument, checks)
    for index, (check, error) in enumerate(zip(checks, errors, strict=True), start=1):
        yield _zero_look(instrument, check, error, index)
    yield _zero_error(measurement, errors)


def _zero_look(instrument: Instrument, check: ZeroCheck, error: Fraction, index: int) -> Step:
    spans = look_line(instrument, check.look)
    if check.reference:
        size = true_minus(instrument.value_text(error))
        spans = (*spans, Span(f" − {number(check.reference)} = {size}", Tint.ZERO))
    return Step(f"zero-{index}", f"zero {check.phase}", spans, Group.ZERO)


def _zero_error(measurement: Measurement, errors: list[Fraction]) -> Step:
    instrument = measurement.instrument
    error = true_minus(instrument.value_text(measurement.zero_error))
    correction = true_minus(instrument.value_text(-measurement.zero_error))
    unit = unit_after(instrument.unit)
    found: Line = (Span(f"{error}{unit}", Tint.ZERO, "zero-1" if len(errors) == 1 else ""),)
    if len(errors) > 1:
        each = joined(
            (
                Span(f"({true_minus(instrument.value_text(one))})", Tint.ZERO, f"zero-{index}")
                for index, one in enumerate(errors, start=1)
            ),
            "+",
        )
        found = (over(each, (Span(str(len(errors))),)), Span(" = "), *found)
    spans = (*found, Span(f", so {correction}{unit}", Tint.ZERO))
    return Step(ZERO, "zero error, correction", spans, Group.ZERO)
