"""What a convention does, in words, and what the other schools would say of the same readings."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.conventions import Combine, Convention, Family, Spread
from metrion.core.measurements import Measurement, MeasurementResult, reduce_measurement
from metrion.core.numbers import to_text

_SCATTER = {
    Spread.NONE: "leaves the scatter of the readings out",
    Spread.HALF_RANGE: "takes half the range of the readings as their scatter",
    Spread.MEAN_DEVIATION: "takes the mean deviation of the readings as their scatter",
    Spread.STANDARD_ERROR: "takes the standard error of the mean as scatter",
}
_COMBINE = {
    Combine.LARGER: "lets the larger of limit and scatter count",
    Combine.SUM: "adds limit and scatter",
    Combine.QUADRATURE: "adds the parts as squares",
}
_DIGITS = {
    1: "gives the uncertainty with one figure",
    2: "gives the uncertainty with two figures",
    "1-or-2": "gives the uncertainty with one figure, with two when the first is 1",
}


def phrases(convention: Convention) -> dict[str, str]:
    """What a convention does, by aspect; each phrase goes on from its name.

    >>> from metrion.core.conventions import BUILT_IN
    >>> phrases(BUILT_IN["half-division"])["look"]
    'takes half a least count as the limit of one look'
    """
    standard = convention.family is Family.STANDARD
    return {
        "look": f"takes {_least_counts(convention.reading_limit)} as the limit of one look",
        "limits": (
            "counts every limit as equally likely throughout, divided by √3"
            if standard
            else "keeps limits as limits"
        ),
        "zero": (
            "counts the look at the zero as a look of its own"
            if convention.zero_look
            else "takes the zero as exact"
        ),
        "scatter": _SCATTER[Spread.STANDARD_ERROR if standard else convention.spread],
        "combine": _COMBINE[Combine.QUADRATURE if standard else convention.combine],
        "coverage": _coverage(convention),
        "digits": _DIGITS[convention.digits],
        "estimate": (
            "estimates tenths between two lines" if convention.estimate else "takes whole lines"
        ),
    }


def _least_counts(limit: Fraction) -> str:
    named = {Fraction(1, 2): "half a least count", Fraction(1): "a whole least count"}
    return named.get(limit, f"{to_text(limit)} least counts")


def _coverage(convention: Convention) -> str:
    if convention.family is Family.LIMIT:
        return "gives limits that the value should lie within"
    coverage = convention.coverage
    if coverage.percentage:
        return f"widens the result to cover {to_text(coverage.number)} %"
    if coverage.number == 1:
        return "gives the standard uncertainty as it is"
    return f"multiplies the standard uncertainty by {to_text(coverage.number)}"


def described(convention: Convention) -> tuple[str, ...]:
    """A convention in sentences."""
    return tuple(f"{phrase[0].upper()}{phrase[1:]}." for phrase in phrases(convention).values())


def difference(yours: Convention, theirs: Convention, *, zero_looked_at: bool = True) -> str:
    """Why theirs may say something else than yours, in a sentence; empty for the same rules.

    Args:
        zero_looked_at: whether a look at the zero enters at all; else its rule makes no difference.
    """
    before, after = phrases(yours), phrases(theirs)
    if not zero_looked_at:
        del after["zero"]
    changed = [phrase for aspect, phrase in after.items() if phrase != before[aspect]]
    if not changed:
        return ""
    *most, last = changed
    return f"It {', '.join(most)} and {last}." if most else f"It {last}."


@dataclass(frozen=True)
class Said:
    """What one school says of the same readings.

    Attributes:
        convention: the school.
        result: its result.
        why: why it may differ from the measurement's own; empty for that one.
    """

    convention: Convention
    result: MeasurementResult
    why: str


def said_by(measurement: Measurement, conventions: Iterable[Convention]) -> tuple[Said, ...]:
    """The same readings under each convention; those that allow what was estimated, or not."""
    return tuple(
        Said(
            convention,
            reduce_measurement(replace(measurement, convention=convention)),
            difference(
                measurement.convention,
                convention,
                zero_looked_at=bool(measurement.effective_checks),
            ),
        )
        for convention in conventions
    )
