"""The uncertainty budget: what each part contributes, what dominates, and what would help."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction
from itertools import groupby

from metrion.core.conventions import Combine, Convention, Family
from metrion.core.derived import DerivedResult
from metrion.core.measurements import MeasurementResult
from metrion.core.rounding import round_half_away, two_figures
from metrion.core.uncertainty import Part, Source, Uncertainty, limit_and_scatter

LABELS = {
    Source.READING: "reading limit",
    Source.SCATTER: "scatter",
    Source.ZERO: "zero look",
    Source.ZERO_SCATTER: "scatter of the zero looks",
    Source.MAKER: "maker’s limit",
    Source.TYPED: "typed-in uncertainty",
}

_HELP = {
    Source.READING: (
        "a finer tool would make it smaller, or several alike things measured as one stack; "
        "more readings would not"
    ),
    Source.ZERO: "a finer tool would make it smaller, or a stack; more readings would not",
    Source.ZERO_SCATTER: "look at the zero more often",
    Source.MAKER: (
        "a better made or a calibrated tool would make it smaller; more readings would not"
    ),
    Source.TYPED: "a better value for it would help most",
}
_SCATTER_HELP = {
    Family.STANDARD: "more readings would make it smaller",
    Family.LIMIT: "look for its cause; in this school more readings do not make it smaller",
}
_HALF_PERCENT, _NOTHING = Fraction(1, 2), Fraction(1, 10**6)
_DOMINANT = 50
"""Per cent from which one part is said to dominate."""


@dataclass(frozen=True)
class Share:
    """One bar of the budget.

    Attributes:
        label: what it is.
        size: the part as it enters the result, before coverage.
        percent: how much of the whole it makes up.
        lost: whether it gave way to a larger part and does not count.
    """

    label: str
    size: Fraction
    percent: Fraction
    lost: bool = False

    @property
    def percent_words(self) -> str:
        """In whole per cent; a small part does not read 0 %, nor does one beside it read 100 %."""
        if _NOTHING < self.percent < _HALF_PERCENT:
            return "< 1 %"
        if _NOTHING < 100 - self.percent <= _HALF_PERCENT:
            return "> 99 %"
        return f"{round_half_away(self.percent, 0)} %"


@dataclass(frozen=True)
class Budget:
    """What an uncertainty is made of; empty without a result.

    Attributes:
        shares: its bars, those that are 0 left out unless they lost.
        sentences: what dominates, what would help, where a factor comes from.
    """

    shares: tuple[Share, ...] = ()
    sentences: tuple[str, ...] = ()


def measurement_budget(result: MeasurementResult) -> Budget:
    """The parts of a measured quantity: reading limit, scatter, zero look, maker's limit."""
    measurement = result.measurement
    if result.uncertainty is None:
        return Budget()
    convention, unit = measurement.convention, measurement.instrument.unit
    parts, lost = list(result.parts), None
    if convention.family is Family.LIMIT and convention.combine is not Combine.QUADRATURE:
        pair = limit_and_scatter(
            measurement.instrument, convention, measurement.counting, measurement.looks
        )
        scaled = [part.scaled(Fraction(1, measurement.divisor)) for part in pair]
        if convention.combine is Combine.LARGER:
            lost = min(reversed(scaled), key=lambda part: part.square)
            scaled.remove(lost)
        parts = [*scaled, *parts[1:]]
    shares = _shares([(LABELS[part.source], [part]) for part in parts], convention)
    sentences = [_dominance([part for part in parts if part.square], shares, convention)]
    if lost and lost.square:
        shares.append(Share(LABELS[lost.source], lost.size, Fraction(0), lost=True))
        sentences.append(_loss(lost, unit))
    sentences += _coverage(convention, result.uncertainty, unit)
    return Budget(tuple(shares), tuple(words for words in sentences if words))


def derived_budget(result: DerivedResult) -> Budget:
    """The contribution of each input of a derived quantity, zeros apart."""
    if result.uncertainty is None:
        return Budget()
    convention = result.derived.convention
    named = [(_owner(part), part) for part in result.parts]
    groups = [
        (name, [part for _, part in members])
        for name, members in groupby(sorted(named, key=lambda one: one[0]), key=lambda one: one[0])
    ]
    shares = _shares(groups, convention)
    sentences = list(_coverage(convention, result.uncertainty, result.derived.unit.text))
    if shares:
        largest = max(shares, key=lambda share: share.percent)
        sentences.insert(0, f"Most of it, {_said(largest)}, comes from {largest.label}.")
    return Budget(tuple(shares), tuple(sentences))


def _owner(part: Part) -> str:
    if part.source in (Source.ZERO, Source.ZERO_SCATTER):
        return f"zero of {part.of}"
    return part.of


def _shares(groups: Iterable[tuple[str, Sequence[Part]]], convention: Convention) -> list[Share]:
    """Every group of parts with what it makes up of the whole, the largest first."""
    squares = convention.family is Family.STANDARD or convention.combine is Combine.QUADRATURE
    weighed = []
    for label, parts in groups:
        together = replace(parts[0], square=_together(parts, squares=squares))
        weight = together.square if squares else together.size
        if weight:
            weighed.append((weight, label, together.size))
    whole = sum((weight for weight, *_ in weighed), Fraction(0))
    shares = [Share(label, size, 100 * weight / whole) for weight, label, size in weighed]
    return sorted(shares, key=lambda share: -share.percent)


def _together(parts: Sequence[Part], *, squares: bool) -> Fraction:
    if squares or len(parts) == 1:
        return sum((part.square for part in parts), Fraction(0))
    return sum((part.size for part in parts), Fraction(0)) ** 2


def _dominance(parts: Sequence[Part], shares: Sequence[Share], convention: Convention) -> str:
    if not shares:
        return ""
    first = shares[0]
    source = next(part.source for part in parts if LABELS[part.source] == first.label)
    if first.percent < _DOMINANT:
        return f"No part dominates; the largest, the {first.label}, makes up {_said(first)}."
    help_words = _SCATTER_HELP[convention.family] if source is Source.SCATTER else _HELP[source]
    return f"The {first.label} makes up {_said(first)} of it: {help_words}."


def _loss(lost: Part, unit: str) -> str:
    other = "reading limit" if lost.source is Source.SCATTER else "scatter"
    return (
        f"The {LABELS[lost.source]} of {two_figures(lost.size, unit)} is not larger than the "
        f"{other}: in this school only the larger of the two counts."
    )


def _said(share: Share) -> str:
    return share.percent_words.replace(">", "more than")


def _coverage(convention: Convention, uncertainty: Uncertainty, unit: str) -> list[str]:
    """Where the factor on the standard uncertainty comes from."""
    factor = uncertainty.coverage_factor
    if factor is None or (factor == 1 and not convention.coverage.percentage):
        return []
    standard = two_figures(uncertainty.size / factor, unit)
    times = f"{float(factor):.3g}"
    multiplied = f"The standard uncertainty of {standard} is multiplied by {times}"
    if not convention.coverage.percentage:
        return [f"{multiplied}, the coverage factor of this convention."]
    share = f"{float(convention.coverage.number):g} %"
    if uncertainty.degrees_of_freedom is None:
        return [f"{multiplied}: so many cover {share} of a normal distribution."]
    return [
        f"{multiplied}. A few readings tell their scatter only roughly, here with effectively "
        f"{uncertainty.degrees_of_freedom} degrees of freedom (by Welch and Satterthwaite), and "
        f"Student’s distribution then takes {times} to cover {share}."
    ]
