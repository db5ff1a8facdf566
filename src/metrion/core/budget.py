"""The uncertainty budget: what each part contributes, what dominates, and what would help."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.conventions import Combine, Convention, Family
from metrion.core.derived import DerivedResult
from metrion.core.formula.evaluate import one
from metrion.core.formula.values import Value, rational
from metrion.core.measurements import MeasurementResult
from metrion.core.numbers import square_root
from metrion.core.rounding import round_half_away, two_figures
from metrion.core.working.uncertainty import Component, Source, Uncertainty, adds_squares

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
        size: the component as it enters the result, before coverage.
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
    """The components of a measured quantity: reading limit, scatter, zero look, maker's limit."""
    if result.uncertainty is None:
        return Budget()
    convention, unit = result.convention, result.measurement.instrument.unit
    sizes = {each.source: result.working.values[each.key] for each in result.components}
    lost = None
    if convention.family is Family.LIMIT and convention.combine is Combine.LARGER:
        lost = _lost(sizes)
    kept = [(LABELS[source], [size]) for source, size in sizes.items() if source is not lost]
    shares = _shares(kept, convention)
    sentences = [_dominance(shares, convention)]
    if lost and (size := one(sizes[lost])):
        shares.append(Share(LABELS[lost], rational(size), Fraction(0), lost=True))
        sentences.append(_loss(lost, rational(size), unit))
    sentences += _coverage(convention, result.uncertainty, unit)
    return Budget(tuple(shares), tuple(words for words in sentences if words))


def _lost(sizes: Mapping[Source, Value]) -> Source | None:
    """Which of limit and scatter does not count because the other one is larger, or as large."""
    if Source.SCATTER not in sizes:
        return None
    limit, scatter = one(sizes[Source.READING]), one(sizes[Source.SCATTER])
    return Source.READING if scatter > limit else Source.SCATTER


def derived_budget(result: DerivedResult) -> Budget:
    """The contribution of each input of a derived quantity, zeros apart."""
    if result.uncertainty is None:
        return Budget()
    convention = result.derived.convention
    groups: dict[str, list[Value]] = {}
    for component in sorted(result.components, key=_owner):
        groups.setdefault(_owner(component), []).append(result.working.values[component.key])
    shares = _shares(groups.items(), convention)
    sentences = list(_coverage(convention, result.uncertainty, result.derived.unit.text))
    if shares:
        largest = max(shares, key=lambda share: share.percent)
        sentences.insert(0, f"Most of it, {_said(largest)}, comes from {largest.label}.")
    return Budget(tuple(shares), tuple(sentences))


def _owner(component: Component) -> str:
    return f"zero of {component.of}" if component.of_a_zero else component.of


def _shares(groups: Iterable[tuple[str, Sequence[Value]]], convention: Convention) -> list[Share]:
    """Every group of components with what it makes up of the whole, the largest first."""
    squares = adds_squares(convention)
    power = 2 if squares else 1
    weighed = []
    for label, sizes in groups:
        weight = sum((rational(one(size) ** power) for size in sizes), Fraction(0))
        if weight:
            weighed.append((weight, label, square_root(weight) if squares else weight))
    whole = sum((weight for weight, *_ in weighed), Fraction(0))
    shares = [Share(label, size, 100 * weight / whole) for weight, label, size in weighed]
    return sorted(shares, key=lambda share: -share.percent)


def _dominance(shares: Sequence[Share], convention: Convention) -> str:
    if not shares:
        return ""
    first = shares[0]
    source = next(source for source, label in LABELS.items() if label == first.label)
    if first.percent < _DOMINANT:
        return f"No part dominates; the largest, the {first.label}, makes up {_said(first)}."
    help_words = _SCATTER_HELP[convention.family] if source is Source.SCATTER else _HELP[source]
    return f"The {first.label} makes up {_said(first)} of it: {help_words}."


def _loss(lost: Source, size: Fraction, unit: str) -> str:
    other = "reading limit" if lost is Source.SCATTER else "scatter"
    return (
        f"The {LABELS[lost]} of {two_figures(size, unit)} is not larger than the "
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
