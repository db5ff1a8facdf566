"""A result beside an expected value or another result: how far apart, and what that means."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from fractions import Fraction

from metrion.core.conventions.convention import Convention, Family
from metrion.core.errors import UnitError
from metrion.core.exact.figures import to_figures
from metrion.core.exact.numbers import Number
from metrion.core.facts import Amount, Argument, Fact, Figure, Name, coded, fact
from metrion.core.formula import Formula
from metrion.core.formula.expression import name
from metrion.core.formula.units import Unit
from metrion.core.quantity.bands import Band, band_of
from metrion.core.quantity.derived import Derived, TypedValue, by_itself
from metrion.core.quantity.derived_result import reduce_derived
from metrion.core.quantity.measurements import Measurement

_USUAL, _DOUBTFUL = 2, 3
"""Standard uncertainties up to which a difference is usual, and from which it is hardly chance."""
_FINER = 2
"""How many times smaller an uncertainty must be to be called so."""


@dataclass(frozen=True)
class Comparison:
    """Two values side by side.

    Attributes:
        deviation: the first less the second, in the unit of the first.
        percent: that in per cent of the second; None where the second is 0.
        uncertainty: of the difference, what both share counted once; 0 if both are exact.
        normalised_error: the deviation's size in such uncertainties; None without one.
        sentences: what that means.
        bands: both values with their uncertainties, in the unit of the first.
    """

    deviation: Fraction
    percent: Fraction | None
    uncertainty: Fraction
    normalised_error: Fraction | None
    sentences: tuple[Fact, ...]
    bands: tuple[Band, ...]


Comparand = Measurement | Derived | TypedValue
"""What can stand beside a result."""


def compare(own: Measurement | Derived, other: Comparand) -> Comparison | None:
    """A result beside another one, or beside a value that was expected.

    The difference is worked out as a quantity derived from the readings of both, by the convention
    of the first, so that what they share (a zero, a whole measurement) cancels. None while one
    of them has no value.

    Raises:
        UnitError: if the two cannot be expressed in one unit.
    """
    mine, theirs = (by_itself(one, own.convention) for one in (own, other))
    if mine.unit.dimension != theirs.unit.dimension:
        raise UnitError(
            "units-not-comparable", theirs=Name(theirs.unit.text), own=Name(mine.unit.text)
        )
    formula = Formula("", name("a") - name("b"))
    difference = reduce_derived(replace(mine, formula=formula, inputs={"a": own, "b": other}))
    here, there = (
        band_of(reduce_derived(mine)),
        band_of(reduce_derived(replace(theirs, unit=mine.unit))),
    )
    if here is None or there is None or not (apart := band_of(difference)):
        return None
    found = _compared(apart, (here, there), mine.unit, own.convention)
    if isinstance(other, TypedValue):
        return found
    finer = _finer(here.uncertainty, there.uncertainty, mine.unit.text)
    return replace(found, sentences=(*found.sentences, *finer))


def _finer(mine: Fraction, theirs: Fraction, unit: str) -> Iterator[Fact]:
    """How much smaller one uncertainty is than the other, where it is so by much."""
    small, large = sorted((mine, theirs))
    if small and large >= _FINER * small:
        yield fact(
            "uncertainty-smaller" if mine < theirs else "uncertainty-larger",
            own=Amount(mine, unit),
            other=Amount(theirs, unit),
            times=Figure(to_figures(large / small, 2)),
        )


def _compared(apart: Band, bands: tuple[Band, Band], unit: Unit, by: Convention) -> Comparison:
    deviation, uncertainty, expected = apart.value, apart.uncertainty, bands[1].value
    percent = 100 * deviation / abs(expected) if expected else None
    normalised_error = abs(deviation) / uncertainty if uncertainty else None
    about: dict[str, Argument] = {"size": Amount(abs(deviation), unit.text)}
    if percent:
        about["percent"] = Amount(abs(percent), "%")
    side = "more" if deviation > 0 else "less"
    than = "than-that-percent" if percent else "than-that"
    sentences = [coded(side, than, **about) if deviation else fact("exactly-that", **about)]
    if normalised_error is not None:
        sentences.append(_verdict(normalised_error, Amount(uncertainty, unit.text), by))
    return Comparison(deviation, percent, uncertainty, normalised_error, tuple(sentences), bands)


def _verdict(normalised_error: Fraction, uncertainty: Amount, convention: Convention) -> Fact:
    """What so many uncertainties mean by this convention."""
    about: dict[str, Argument] = {
        "uncertainty": uncertainty,
        "times": Figure(to_figures(normalised_error, 2)),
    }
    agree = "agree" if normalised_error <= 1 else "disagree"
    if convention.family is Family.LIMIT:
        return coded("limits", agree, **about)
    if _covers(convention):
        return fact("difference-covered", **about, verdict=agree)
    verdict = (
        "agree"
        if normalised_error <= _USUAL
        else "doubtful"
        if normalised_error <= _DOUBTFUL
        else "disagree"
    )
    return fact("difference-standard", **about, verdict=verdict)


def _covers(convention: Convention) -> bool:
    coverage: Number = convention.coverage.number
    return convention.coverage.percentage or coverage != 1
