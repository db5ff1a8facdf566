"""The conventions: how a course turns limits and scatter into one uncertainty."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from typing import Literal

from metrion.core.declared import (
    NOTHING,
    Boolean,
    Choice,
    CoverageText,
    Exact,
    Figures,
    Id,
    Rest,
    Sign,
    Text,
    declared,
    entry,
    rest,
)


class Family(StrEnum):
    """Limits of error, or standard uncertainties."""

    LIMIT = "limit"
    STANDARD = "standard"


class Spread(StrEnum):
    """How the limit conventions take the scatter of the readings."""

    NONE = "none"
    HALF_RANGE = "half-range"
    MEAN_DEVIATION = "mean-deviation"
    STANDARD_ERROR = "standard-error"


class Combine(StrEnum):
    """How the limit conventions put the parts together."""

    LARGER = "larger"
    SUM = "sum"
    QUADRATURE = "quadrature"


Digits = Literal[1, 2, "1-or-2"]
"""Figures of the uncertainty; ``"1-or-2"`` is two when the first is 1."""


@dataclass(frozen=True)
class Coverage:
    """What a standard uncertainty is multiplied by: a number, or a percentage.

    Attributes:
        number: the factor itself, or the percentage.
        percentage: whether ``number`` is the percentage that a Student factor has to cover.
    """

    number: Fraction
    percentage: bool = False


@entry()
class Convention:
    """One convention.

    Attributes:
        id: its id in the logbook.
        name: what the course calls it; what a built-in one is called, the catalogue says.
        family: limits or standard uncertainties.
        reading_limit: the limit of one look, in least counts.
        zero_look: whether the look at the zero has a limit of its own.
        digits: figures of the uncertainty.
        spread: (limit) how scatter is taken.
        combine: (limit) how limit and scatter are put together.
        coverage: (standard) what the standard uncertainty is multiplied by.
        estimate: whether positions between fine lines are estimated.
        rest: what else its entry has.
    """

    id: str = declared(Id())
    name: str = declared(Text(), required=False)
    family: Family = declared(Choice(Family))
    reading_limit: Fraction = declared(Exact(Sign.POSITIVE))
    zero_look: bool = declared(Boolean())
    digits: Digits = declared(Figures())
    spread: Spread = declared(
        Choice(Spread), default=Spread.NONE, required=True, only=(Family.LIMIT,)
    )
    combine: Combine = declared(
        Choice(Combine), default=Combine.LARGER, required=True, only=(Family.LIMIT,)
    )
    coverage: Coverage = declared(
        CoverageText(), default=Coverage(Fraction(1)), required=True, only=(Family.STANDARD,)
    )
    estimate: bool = declared(Boolean(), default=False)
    rest: Rest = rest(default=NOTHING)


_HALF = Fraction(1, 2)

BUILT_IN: dict[str, Convention] = {
    convention.id: convention
    for convention in (
        Convention(
            "whole-division", "", Family.LIMIT, Fraction(1), True, 1,
            Spread.HALF_RANGE,
        ),
        Convention(
            "half-division", "", Family.LIMIT, _HALF, False, 1, Spread.HALF_RANGE
        ),
        Convention("standard", "", Family.STANDARD, _HALF, True, 2),
        Convention(
            "standard-95", "", Family.STANDARD, _HALF, True, 2,
            coverage=Coverage(Fraction(95), percentage=True),
        ),
    )
}  # fmt: skip
"""The conventions that every logbook may name without defining them."""
