"""What more readings would buy, from the same model as the result."""

from __future__ import annotations

from fractions import Fraction

from metrion.core.conventions import Family
from metrion.core.measurements import Measurement, MeasurementResult
from metrion.core.rounding import two_figures
from metrion.core.uncertainty import Part, Source, combine_parts, look_limit, scatter

_WORTH_IT = Fraction(1, 20)


def advice(result: MeasurementResult) -> str:
    """One sentence on whether to go on reading; empty while too few readings tell.

    In the limit schools more readings do not shrink the result, and nothing hints that they would.
    """
    measurement = result.measurement
    if result.uncertainty is None or len(measurement.counting) < 3:
        return ""
    if measurement.convention.family is Family.LIMIT:
        return _limit_advice(measurement)
    return _standard_advice(result)


def _limit_advice(measurement: Measurement) -> str:
    convention = measurement.convention
    limit = look_limit(measurement.instrument, convention) * min(measurement.looks, 2)
    if scatter(measurement.counting, convention.spread).size <= limit:
        return "The scale decides now: more readings will not help, a finer tool would."
    return (
        "The scatter decides: it is larger than what one look may be off. More readings show it "
        "better, they do not make it smaller; look for its cause."
    )


def _standard_advice(result: MeasurementResult) -> str:
    measurement, now = result.measurement, result.uncertainty
    assert now is not None
    count = len(measurement.counting)
    again = combine_parts(
        (_with_more_readings(part, count, count + 1) for part in result.parts),
        measurement.convention,
    )
    if now.size - again.size < _WORTH_IT * now.size:
        best = combine_parts(
            (part for part in result.parts if part.source is not Source.SCATTER),
            measurement.convention,
        )
        if now.size - best.size < _WORTH_IT * now.size:
            return "The scale decides now: more readings will not help, a finer tool would."
        return (
            "One more reading would hardly tell. Many more could bring "
            f"±{_short(result, now.size)} down to ±{_short(result, best.size)} at the best."
        )
    return (
        f"One more reading like these would bring ±{_short(result, now.size)} "
        f"to about ±{_short(result, again.size)}."
    )


def _with_more_readings(part: Part, count: int, more: int) -> Part:
    """The same scatter, averaged over more readings."""
    if part.source is not Source.SCATTER:
        return part
    return Part(part.source, part.square * count / more, more - 1)


def _short(result: MeasurementResult, size: Fraction) -> str:
    return two_figures(size, result.measurement.instrument.unit)
