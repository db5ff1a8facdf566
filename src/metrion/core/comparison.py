"""A result beside an expected value or another result: how far apart, and what that means."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from metrion.core.conventions import Convention, Family
from metrion.core.derived import Derived, DerivedResult, TypedValue, reduce_derived
from metrion.core.errors import UnitError
from metrion.core.formula import parse_formula, resolve
from metrion.core.measurements import Measurement
from metrion.core.rounding import two_figures
from metrion.core.uncertainty import Part, Source, combine_parts
from metrion.core.units import Number, Unit, parse_unit

_DIFFERENCE = parse_formula("x - y")
_USUAL, _DOUBTFUL = 2, 3
"""Standard uncertainties up to which a difference is usual, and from which it is hardly chance."""


@dataclass(frozen=True)
class Comparison:
    """Two values side by side.

    Attributes:
        deviation: the first less the second, in the unit of the first.
        percent: that in per cent of the second; None where the second is 0.
        uncertainty: of the difference, what both share counted once; 0 if both are exact.
        apart: the deviation in such uncertainties; None for an uncertainty of 0.
        sentences: all of that in words.
    """

    deviation: Fraction
    percent: Fraction | None
    uncertainty: Fraction
    apart: Fraction | None
    sentences: tuple[str, ...]


def compare_measurements(
    measurement: Measurement, other: Measurement | TypedValue
) -> Comparison | None:
    """A measured quantity beside another one, or a value that was expected.

    A zero that both share cancels. None while one of them has no value.

    Raises:
        UnitError: if the two cannot be expressed in one unit.
    """
    unit = parse_unit(measurement.instrument.unit)
    theirs = _unit(other)
    _check(unit, theirs)
    formula, _ = resolve(_DIFFERENCE, {"x": unit.dimension, "y": theirs.dimension})
    difference = Derived(
        "", "", formula, unit, measurement.convention, {"x": measurement, "y": other}
    )
    found = reduce_derived(difference)
    expected = other.mean if isinstance(other, Measurement) else other.value
    if found.value is None or found.uncertainty is None or expected is None:
        return None
    return _compared(
        Fraction(found.value), Fraction(expected * theirs.factor / unit.factor),
        found.uncertainty.size, unit, measurement.convention,
    )  # fmt: skip


def compare_derived(result: DerivedResult, expected: TypedValue) -> Comparison | None:
    """A derived quantity beside a value that was expected; None while it has no value.

    Raises:
        UnitError: if the two cannot be expressed in one unit.
    """
    unit, convention = result.derived.unit, result.derived.convention
    _check(unit, expected.unit)
    if result.value is None:
        return None
    worth = Fraction(expected.unit.factor) / Fraction(unit.factor)
    typed = Part(Source.TYPED, (expected.uncertainty * worth) ** 2)
    uncertainty = combine_parts([*result.parts, typed], convention)
    value = Fraction(expected.value) * worth
    return _compared(Fraction(result.value) - value, value, uncertainty.size, unit, convention)


def _unit(given: Measurement | TypedValue) -> Unit:
    return parse_unit(given.instrument.unit) if isinstance(given, Measurement) else given.unit


def _check(unit: Unit, other: Unit) -> None:
    if unit.dimension != other.dimension:
        raise UnitError(f"{other.text} cannot be compared with {unit.text}")


def _compared(
    deviation: Fraction, expected: Fraction, uncertainty: Fraction, unit: Unit, by: Convention
) -> Comparison:
    percent = 100 * deviation / abs(expected) if expected else None
    apart = abs(deviation) / uncertainty if uncertainty else None
    size = two_figures(abs(deviation), unit.text)
    side = "more" if deviation > 0 else "less"
    sentence = f"It is {size} {side} than that" if deviation else "It is exactly that"
    if percent:
        sentence += f", {two_figures(abs(percent), '%')}"
    sentences = [f"{sentence}."]
    if apart is not None:
        sentences.append(_verdict(apart, two_figures(uncertainty, unit.text), by))
    return Comparison(deviation, percent, uncertainty, apart, tuple(sentences))


def _verdict(apart: Fraction, uncertainty: str, convention: Convention) -> str:
    """What so many uncertainties mean in this school."""
    times = f"{float(apart):.2g}"
    if convention.family is Family.LIMIT:
        if apart <= 1:
            return f"The limits of both together allow {uncertainty}: the two agree."
        return (
            f"The limits of both together allow {uncertainty}, and this is {times} times as "
            "much: the two do not agree. Something else is at work, or a limit is too narrow."
        )
    if _covers(convention):
        verdict = "agree" if apart <= 1 else "do not agree at this coverage"
        return (
            f"The difference is uncertain by {uncertainty}, and this is {times} times as much: "
            f"the two {verdict}."
        )
    return (
        f"The standard uncertainty of the difference is {uncertainty}, and this is {times} times "
        f"as much: {_standard_verdict(apart)}."
    )


def _covers(convention: Convention) -> bool:
    coverage: Number = convention.coverage.number
    return convention.coverage.percentage or coverage != 1


def _standard_verdict(apart: Fraction) -> str:
    if apart <= _USUAL:
        return "the two agree; two values differ by so much often enough"
    if apart <= _DOUBTFUL:
        return "chance alone seldom makes so much; look at both again"
    return "the two do not agree; chance alone hardly ever makes so much"
