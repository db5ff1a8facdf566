"""The uncertainty budget: what each part contributes, what dominates, and what would help."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from fractions import Fraction

from metrion.core.codes import MessageCode
from metrion.core.conventions.convention import Combine, Convention, Family
from metrion.core.exact.figures import round_half_away, to_figures
from metrion.core.exact.numbers import square_root
from metrion.core.facts import Amount, Argument, Fact, Figure, Name, coded, fact
from metrion.core.formula.evaluate import one
from metrion.core.formula.values import Value, rational
from metrion.core.quantity.derived_result import DerivedResult
from metrion.core.quantity.measurements import MeasurementResult
from metrion.core.working.model import Source, Uncertainty
from metrion.core.working.uncertainty import adds_squares

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

    label: Fact
    size: Fraction
    percent: Fraction
    lost: bool = False

    @property
    def whole_percent(self) -> Fact:
        """In whole per cent; a small part does not read 0 %, nor does one beside it read 100 %."""
        if _NOTHING < self.percent < _HALF_PERCENT:
            return fact("less-than-one-percent")
        if _NOTHING < 100 - self.percent <= _HALF_PERCENT:
            return fact("more-than-99-percent")
        return fact("percent", percent=round_half_away(self.percent, 0))

    @property
    def said_percent(self) -> Fact:
        """The same within a sentence."""
        found = self.whole_percent
        return fact("said-more-than-99-percent") if found.code == "more-than-99-percent" else found


@dataclass(frozen=True)
class Budget:
    """What an uncertainty is made of; empty without a result.

    Attributes:
        shares: its bars, those that are 0 left out unless they lost.
        sentences: what dominates, what would help, where a factor comes from.
    """

    shares: tuple[Share, ...] = ()
    sentences: tuple[Fact, ...] = ()


def measurement_budget(result: MeasurementResult, *, open_looks: int = 0) -> Budget:
    """The components of a measured quantity: reading limit, scatter, zero look, maker's limit.

    Args:
        open_looks: how many second looks are open: they are settled before more is read.
    """
    if result.uncertainty is None:
        return Budget()
    convention, unit = result.convention, result.measurement.instrument.unit
    sizes = {each.source: result.working.values[each.key] for each in result.components}
    lost = None
    if convention.family is Family.LIMIT and convention.combine is Combine.LARGER:
        lost = _lost(sizes)
    kept = [(_label(source), [size]) for source, size in sizes.items() if source is not lost]
    shares = _shares(kept, convention)
    stacks = result.measurement.instrument.traits.stacks
    sentences = _dominance(shares, convention, stacks=stacks, settled=not open_looks)
    if lost and (size := one(sizes[lost])):
        shares.append(Share(_label(lost), rational(size), Fraction(0), lost=True))
        sentences.append(_loss(lost, rational(size), unit))
    sentences += _coverage(convention, result.uncertainty, unit)
    return Budget(tuple(shares), tuple(sentences))


def _label(source: Source) -> Fact:
    return coded("source", source)


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
    groups: dict[tuple[tuple[str, ...], bool], list[Value]] = {}
    for component in result.components:
        owner = component.of, component.of_a_zero
        groups.setdefault(owner, []).append(result.working.values[component.key])
    shares = _shares(((_owner(*owner), groups[owner]) for owner in sorted(groups)), convention)
    sentences = list(_coverage(convention, result.uncertainty, result.derived.unit.text))
    if shares:
        largest = max(shares, key=lambda share: share.percent)
        code: MessageCode = (
            "most-comes-from" if largest.percent > _DOMINANT else "largest-part-comes-from"
        )
        says = fact(code, percent=largest.said_percent, label=largest.label)
        sentences.insert(0, says)
    return Budget(tuple(shares), tuple(sentences))


def _owner(of: tuple[str, ...], of_a_zero: bool) -> Fact:
    return fact("zero-of" if of_a_zero else "input-of", of=tuple(map(Name, of)))


def _shares(groups: Iterable[tuple[Fact, Sequence[Value]]], convention: Convention) -> list[Share]:
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


def _dominance(
    shares: Sequence[Share], convention: Convention, *, stacks: bool, settled: bool
) -> list[Fact]:
    """What makes up most, and what would make it smaller.

    Args:
        stacks: whether several alike can be measured as one.
        settled: whether no second look is open.
    """
    if not shares:
        return []
    first = shares[0]
    about = {"label": first.label, "percent": first.said_percent}
    if first.percent < _DOMINANT:
        return [fact("none-dominates", **about)]
    help_by = coded("help", first.label.code)
    if first.label == _label(Source.SCATTER):
        help_by = coded("help-source-scatter", convention.family if settled else "open")
    elif not stacks and first.label in (_label(Source.READING), _label(Source.ZERO)):
        help_by = fact("help-source-circle")
    return [fact("one-dominates", **about, help=help_by)]


def _loss(lost: Source, size: Fraction, unit: str) -> Fact:
    other = Source.READING if lost is Source.SCATTER else Source.SCATTER
    return fact("gave-way", lost=_label(lost), size=Amount(size, unit), other=_label(other))


def _coverage(convention: Convention, uncertainty: Uncertainty, unit: str) -> list[Fact]:
    """Where the factor on the standard uncertainty comes from."""
    factor = uncertainty.coverage_factor
    if factor is None or (factor == 1 and not convention.coverage.percentage):
        return []
    about: dict[str, Argument] = {
        "standard": Amount(uncertainty.size / factor, unit),
        "factor": Figure(to_figures(factor, 3)),
    }
    if not convention.coverage.percentage:
        return [fact("coverage-of-the-convention", **about)]
    about["share"] = Figure(f"{float(convention.coverage.number):g}")
    if uncertainty.degrees_of_freedom is None:
        return [fact("coverage-normal", **about)]
    return [fact("coverage-student", **about, freedom=Figure(str(uncertainty.degrees_of_freedom)))]
