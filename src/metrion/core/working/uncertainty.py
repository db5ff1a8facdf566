"""How each convention works an uncertainty out: its components and how they are combined.

This is the one place where components are written down and added up. Results, the budget, advice,
the planner, other conventions, reports and spreadsheets all run these steps.

Source: JCGM 100:2008, 4.2, 4.3, 5.1.2, 6.2 and annex G.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Iterator, Mapping, Sequence
from fractions import Fraction
from functools import lru_cache
from typing import assert_never

from metrion.core.conventions.convention import Combine, Convention, Family, Spread
from metrion.core.facts import fact
from metrion.core.formula.expression import Expression, added, call, name, number
from metrion.core.formula.values import Value
from metrion.core.scales.base import LEAST_COUNT
from metrion.core.working.model import (
    AVERAGE,
    COUNT,
    COVERAGE,
    FREEDOM,
    LIMIT,
    READINGS,
    SPREAD,
    STANDARD,
    UNCERTAINTY,
    ZERO_ERROR,
    ZERO_ERRORS,
    Component,
    Looks,
    Model,
    Source,
    Uncertainty,
)
from metrion.core.working.steps import Rule, Working

MEAN_OF_READINGS = call("sum", name(READINGS)) / call("count", name(READINGS))
_OF_THE_READINGS = (AVERAGE, SPREAD, COUNT)


def divided(whole: Expression, divisors: Sequence[int]) -> Expression:
    """Something divided by items and halves."""
    if not divisors:
        return whole
    below = number(divisors[0])
    for divisor in divisors[1:]:
        below = below * number(divisor)
    return whole / below


def add_uncertainty(
    working: Working, model: Model, expected: Mapping[str, Value] | None = None
) -> tuple[Component, ...]:
    """Add every component, and what they come to together, as steps.

    Args:
        expected: spread and number of the readings, where there are none yet.
    """
    components = add_components(working, model, expected)
    for rule in _combination(model, _finite(working, components)):
        working.follow(rule)
    return components


def add_components(
    working: Working, model: Model, expected: Mapping[str, Value] | None = None
) -> tuple[Component, ...]:
    """Add the limit of one look, the spread of the readings and every component, as steps."""
    for key, value in (expected or {}).items():
        working.given(key, value)
    rules, components = _rules(model)
    for rule in rules:
        if not (expected and rule.key in _OF_THE_READINGS):
            working.follow(rule)
    return components


@lru_cache(maxsize=1024)
def _rules(model: Model) -> tuple[tuple[Rule, ...], tuple[Component, ...]]:
    """The rules for all components, with the components they work out."""
    convention = model.convention
    rules = [Rule(LIMIT, number(convention.reading_limit) * LEAST_COUNT), *_wider(model)]
    spread = Spread.STANDARD_ERROR if _standard(convention) else convention.spread
    if model.several and spread is not Spread.NONE:
        readings = name(READINGS)
        if model.middle == AVERAGE and spread is not Spread.HALF_RANGE:
            rules.append(Rule(AVERAGE, MEAN_OF_READINGS))
        label = fact("step-spread", spread=str(spread))
        rules.append(Rule(SPREAD, _spread(spread, model.middle), label=label))
        if spread is Spread.STANDARD_ERROR:
            rules.append(Rule(COUNT, call("count", readings), "1"))
    components = []
    for component, expression in _components(model, spread):
        rules.append(Rule(component.key, divided(expression, model.divisors)))
        components.append(component)
    return tuple(rules), tuple(components)


def every_rule(model: Model) -> tuple[Rule, ...]:
    """All rules from the limit of one look to the uncertainty, whatever the values may be."""
    rules, components = _rules(model)
    scattered = tuple(one.key for one in components if one.freedom is not None)
    return (*rules, *_combination(model, scattered))


@lru_cache(maxsize=1024)
def _combination(model: Model, finite: tuple[str, ...]) -> tuple[Rule, ...]:
    """How the components of a measurement are combined."""
    _, components = _rules(model)
    terms = [term for _, term in joined(components, model.convention)]
    scattered = [component for component in components if component.key in finite]
    return tuple(combination(terms, scattered, model.convention))


def _finite(working: Working, components: Iterable[Component]) -> tuple[str, ...]:
    """The keys of those that have finite degrees of freedom, and are not nought."""
    return tuple(
        component.key
        for component in components
        if component.freedom is not None and working.values[component.key]
    )


def _standard(convention: Convention) -> bool:
    return convention.family is Family.STANDARD


def _spread(spread: Spread, middle: str) -> Expression:
    """How far the readings lie from each other: half their range, or about their mean."""
    readings = name(READINGS)
    match spread:
        case Spread.HALF_RANGE:
            return _half_range(readings)
        case Spread.MEAN_DEVIATION:
            return call("sum", call("abs", readings - name(middle))) / call("count", readings)
        case Spread.STANDARD_ERROR:
            return _deviation(readings, name(middle))
        case Spread.NONE:
            return number(0)
    assert_never(spread)


def _half_range(values: Expression) -> Expression:
    return (call("max", values) - call("min", values)) / number(2)


def _deviation(values: Expression, middle: Expression) -> Expression:
    """The sample standard deviation; JCGM 100:2008, 4.2.2."""
    return call("sqrt", call("sum", (values - middle) ** 2) / _freedom(call("count", values)))


def _freedom(count: Expression) -> Expression:
    return count - number(1)


def _wider(model: Model) -> Iterator[Rule]:
    """The limits of looks at lines that cannot be told apart: half of them, where that is more."""
    several = {lines for looks, _ in (*model.looks, *model.zero_looks) for lines in looks}
    for lines in sorted(several):
        if _limit_of(lines, model).word != LIMIT:
            half = number(lines) / number(2)
            label = fact("step-limit-of-lines", count=lines)
            yield Rule(f"{LIMIT}_{lines}", half * LEAST_COUNT, label=label)


def _limit_of(lines: int, model: Model) -> Expression:
    """The limit of a look in which so many lines seem to meet."""
    wider = Fraction(lines, 2) > model.convention.reading_limit
    return name(f"{LIMIT}_{lines}" if wider and lines > 1 else LIMIT)


def _mean_of(terms: Sequence[tuple[Expression, int]], count: int) -> Expression:
    """The mean of sizes of which there are several each."""
    sizes = [size if times == 1 else number(times) * size for size, times in terms]
    return added(sizes) if count == 1 else added(sizes) / number(count)


def _mean_limit(looks: Looks, model: Model) -> Expression:
    """The mean, over the readings, of the sum of the limits of their looks."""
    each = Counter[Expression]()
    for one, times in looks:
        for lines in one:
            each[_limit_of(lines, model)] += times
    return _mean_of([*each.items()], sum(times for _, times in looks))


def _mean_root(looks: Looks, model: Model) -> Expression:
    """The mean, over the readings, of the standard uncertainty from the limits of their looks."""
    each = Counter[Expression]()
    for one, times in looks:
        limits = [_limit_of(lines, model) for lines in one]
        root = limits[0] if len(one) == 1 else call("sqrt", added([one**2 for one in limits]))
        each[root / call("sqrt", number(3))] += times
    return _mean_of([*each.items()], sum(times for _, times in looks))


def _components(model: Model, spread: Spread) -> Iterator[tuple[Component, Expression]]:
    """Every component with its size before items and halves are divided by."""
    limit, standard = name(LIMIT), _standard(model.convention)
    root_three = call("sqrt", number(3))
    yield (
        Component("component_reading", Source.READING),
        _reading(limit, model, standard),
    )
    if model.several and spread is not Spread.NONE:
        size, freedom = name(SPREAD), None
        if spread is Spread.STANDARD_ERROR:
            size, freedom = size / call("sqrt", name(COUNT)), _freedom(name(COUNT))
        yield Component("component_scatter", Source.SCATTER, freedom), size
    if model.convention.zero_look and model.zero_indications:
        of_zero = _mean_limit(model.zero_looks, model) if model.zero_looks else limit
        yield from _zero(of_zero, model.zero_indications, standard)
    if model.maximum_permissible_error:
        maker = number(model.maximum_permissible_error)
        size = maker / root_three if standard else maker
        yield Component("component_maker", Source.MAKER), size


def _reading(limit: Expression, model: Model, standard: bool) -> Expression:
    """The limit of all looks that make a value; the mean of two sweeps has that of one sweep."""
    indications = model.indications
    if model.looks:
        mean = (_mean_root if standard else _mean_limit)(model.looks, model)
        return mean if indications <= 2 else mean / number(2)
    if not standard:
        return limit if indications == 1 else number(2) * limit
    if indications == 1:
        return limit / call("sqrt", number(3))
    pair = limit * call("sqrt", number(2) / number(3))
    return pair if indications == 2 else pair / call("sqrt", number(2))


def _zero(
    limit: Expression, indications: int, standard: bool
) -> Iterator[tuple[Component, Expression]]:
    zero, errors = Component("component_zero", Source.ZERO), name(ZERO_ERRORS)
    if not standard:
        yield zero, limit if indications == 1 else call("max", limit, _half_range(errors))
        return
    yield zero, limit / call("sqrt", number(3))
    if indications > 1:
        freedom = _freedom(call("count", errors))
        size = _deviation(errors, name(ZERO_ERROR)) / call("sqrt", call("count", errors))
        yield Component("component_zero_scatter", Source.ZERO_SCATTER, freedom), size


def joined(
    components: Sequence[Component], convention: Convention
) -> list[tuple[Component, Expression]]:
    """The components of one quantity as terms of its uncertainty.

    Where only the larger of limit and scatter counts, or their sum, the two are one term.
    """
    terms = [(component, name(component.key)) for component in components]
    if adds_squares(convention) or Source.SCATTER not in [one.source for one in components]:
        return terms
    (limit, of_limit), (_, of_scatter), *others = terms
    larger = convention.combine is Combine.LARGER
    return [
        (limit, call("max", of_limit, of_scatter) if larger else of_limit + of_scatter),
        *others,
    ]


def adds_squares(convention: Convention) -> bool:
    """Whether components are combined as the root of the sum of their squares."""
    return _standard(convention) or convention.combine is Combine.QUADRATURE


def add_combination(
    working: Working, components: Sequence[Component], convention: Convention
) -> None:
    """Add what components that are all independent come to together, as steps."""
    terms = [name(component.key) for component in components]
    finite = _finite(working, components)
    scattered = [component for component in components if component.key in finite]
    for rule in combination(terms, scattered, convention):
        working.follow(rule)


def combination(
    terms: Sequence[Expression], scattered: Sequence[Component], convention: Convention
) -> Iterator[Rule]:
    """The rules that combine: the sum, or the root of the sum of squares with coverage.

    Args:
        terms: what is combined; without any, nothing is uncertain.
        scattered: the components with finite degrees of freedom.
    """
    squares = adds_squares(convention) and len(terms) > 1
    whole = added([term**2 for term in terms] if squares else terms or [number(0)])
    combined = call("sqrt", whole) if squares else whole
    coverage = convention.coverage
    if not _standard(convention):
        yield Rule(UNCERTAINTY, combined)
        return
    plain = not coverage.percentage and coverage.number == 1
    standard = UNCERTAINTY if plain else STANDARD
    yield Rule(standard, combined)
    if scattered:
        yield Rule(FREEDOM, _effective_freedom(standard, scattered), "1")
    if coverage.percentage:
        probability = number(coverage.number) / number(100)
        factor = call("normal", probability)
        if scattered:
            factor = call("student", probability, name(FREEDOM))
        yield Rule(COVERAGE, factor, "1")
        yield Rule(UNCERTAINTY, name(COVERAGE) * name(STANDARD))
    elif not plain:
        yield Rule(UNCERTAINTY, number(coverage.number) * name(STANDARD))


def _effective_freedom(standard: str, scattered: Sequence[Component]) -> Expression:
    """By Welch and Satterthwaite, cut down to a whole number; G.4.1."""
    terms = [name(one.key) ** 4 / one.freedom for one in scattered if one.freedom is not None]
    return call("floor", name(standard) ** 4 / added(terms))


def stated(working: Working, convention: Convention) -> Uncertainty:
    """The uncertainty that steps have come to."""
    size = working.number(UNCERTAINTY)
    if not _standard(convention):
        return Uncertainty(size)
    freedom = int(working.number(FREEDOM)) if FREEDOM in working.values else None
    coverage = convention.coverage
    factor = working.number(COVERAGE) if coverage.percentage else coverage.number
    return Uncertainty(size, freedom, factor)
