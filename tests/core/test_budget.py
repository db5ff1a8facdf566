"""Uncertainty budgets: what each part makes up, what dominates, what would help."""

from dataclasses import replace
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.conventions.convention import (
    BUILT_IN,
    Combine,
    Convention,
    Coverage,
    Family,
    Spread,
)
from metrion.core.facts import fact
from metrion.core.formula import parse_formula
from metrion.core.formula.dimensions import resolve
from metrion.core.formula.units import LENGTH, parse_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.planning.budget import Budget, Share, derived_budget, measurement_budget
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.derived_result import reduce_derived
from metrion.core.quantity.measurements import Measurement, reduce_measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

say = plainly().say

CALIPER = Instrument(
    "c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39),
    maximum_permissible_error=Fraction("0.03"),
)  # fmt: skip
WHOLE, HALF, STANDARD, AT_95 = BUILT_IN.values()
SUM = Convention(
    "s", "Sum", Family.LIMIT, Fraction(1, 2), True, 1, Spread.MEAN_DEVIATION, Combine.SUM
)
SQUARES = replace(SUM, combine=Combine.QUADRATURE)
TWICE = replace(STANDARD, coverage=Coverage(Fraction(2)))
CHECK = ZeroCheck("z", "c", Indication(Fraction(0), 2))


def measured(*lines: int, convention: Convention, items: int = 1) -> Measurement:
    observations = tuple(Observation((Indication(Fraction(6), line),)) for line in lines)
    return Measurement("m", "Spreader", CALIPER, convention, observations, (CHECK,), items=items)


def budget(*lines: int, convention: Convention, items: int = 1) -> Budget:
    return measurement_budget(
        reduce_measurement(measured(*lines, convention=convention, items=items))
    )


def bars(found: Budget) -> dict[str, int]:
    return {say(share.label): round(share.percent) for share in found.shares}


def test_limits_that_add_make_up_what_they_are() -> None:
    found = budget(4, 4, 4, convention=WHOLE)
    assert bars(found) == {"reading limit": 38, "zero look": 38, "maker’s limit": 23}
    assert sum(share.percent for share in found.shares) == 100
    assert say(found.sentences[0]).startswith("No part dominates; the largest, the reading limit")


def test_a_part_that_lost_to_a_larger_one_is_kept_with_nothing() -> None:
    found = budget(4, 5, 4, convention=WHOLE)
    lost = next(share for share in found.shares if share.lost)
    assert (say(lost.label), lost.percent, lost.size) == ("scatter", 0, Fraction("0.025"))
    assert "only the larger of the two counts" in say(found.sentences[1])


def test_the_reading_limit_can_lose_as_well() -> None:
    found = budget(2, 12, 4, convention=HALF)
    assert [say(share.label) for share in found.shares if share.lost] == ["reading limit"]
    assert "look for its cause" in say(found.sentences[0])
    assert "more readings do not make it smaller" in say(found.sentences[0])


def test_limit_and_scatter_that_add_are_two_bars() -> None:
    found = budget(3, 5, convention=SUM)
    assert {say(share.label): share.size for share in found.shares} == {
        "reading limit": Fraction("0.025"), "scatter": Fraction("0.05"),
        "zero look": Fraction("0.025"), "maker’s limit": Fraction("0.03"),
    }  # fmt: skip


def test_parts_that_add_as_squares_are_weighed_as_squares() -> None:
    found = budget(3, 5, convention=SQUARES)
    squares = {"reading limit": 625, "scatter": 2500, "zero look": 625, "maker’s limit": 900}
    assert bars(found) == {label: round(100 * one / 4650) for label, one in squares.items()}


def test_more_readings_help_where_the_scatter_is_averaged() -> None:
    first, *_ = map(say, budget(0, 19, convention=STANDARD).sentences)
    assert (
        first == "The scatter makes up more than 99 % of it: more readings would make it smaller."
    )


@pytest.mark.parametrize(
    ("convention", "said"),
    [
        # (2 · 2.083 + 3 + 8.333)² · 2 / 8.333² is 6.9, cut down.
        (AT_95, "effectively 6 degrees of freedom"),
        (TWICE, "multiplied by 2, the coverage factor of this convention"),
    ],
)
def test_the_coverage_factor_is_explained(convention: Convention, said: str) -> None:
    assert said in say(budget(4, 6, 5, convention=convention).sentences[-1])


def test_infinite_freedom_takes_the_normal_distribution() -> None:
    words = say(budget(4, 4, 4, convention=AT_95).sentences[-1])
    assert "multiplied by 1.96: so many cover 95 % of a normal distribution" in words


def test_no_readings_no_budget() -> None:
    assert budget(convention=WHOLE) == Budget()


@given(
    st.lists(st.integers(0, 19), min_size=1, max_size=6),
    st.sampled_from([WHOLE, HALF, STANDARD, AT_95, SUM, SQUARES]),
    st.integers(1, 5),
)
def test_the_bars_make_up_the_whole(lines: list[int], convention: Convention, items: int) -> None:
    result = reduce_measurement(measured(*lines, convention=convention, items=items))
    found = measurement_budget(result)
    assert sum(share.percent for share in found.shares) == 100
    assert result.uncertainty is not None
    size = result.uncertainty.size / (result.uncertainty.coverage_factor or 1)
    counting = [share.size for share in found.shares if not share.lost]
    linear = convention.family is Family.LIMIT and convention.combine is not Combine.QUADRATURE
    together = sum(counting) if linear else sum(one**2 for one in counting) ** 0.5
    assert float(together) == pytest.approx(float(size))


def test_each_input_of_a_derived_quantity_has_its_bar_and_the_zero_its_own() -> None:
    formula, _ = resolve(parse_formula("D + 3*d"), {"D": LENGTH, "d": LENGTH})
    inputs = {
        "D": measured(4, convention=WHOLE),
        "d": TypedValue(Fraction(4), Fraction("0.1"), parse_unit("mm")),
    }
    derived = Derived("d", "sum", formula, parse_unit("mm"), WHOLE, inputs)
    found = derived_budget(reduce_derived(derived))
    assert {say(share.label): share.size for share in found.shares} == {
        "d": Fraction("0.3"), "Spreader": Fraction("0.08"), "zero of Spreader": Fraction("0.05"),
    }  # fmt: skip
    assert [say(fact) for fact in found.sentences] == ["Most of it, 70 %, comes from d."]
    nothing = replace(derived, inputs={**inputs, "D": measured(convention=WHOLE)})
    assert derived_budget(reduce_derived(nothing)) == Budget()


@pytest.mark.parametrize(
    ("percent", "words"),
    [
        ("0", "0 %"), ("0.02", "< 1 %"), ("0.5", "1 %"), ("49.5", "50 %"), ("99.4", "99 %"),
        ("99.5", "> 99 %"), ("99.98", "> 99 %"), ("99.99999999", "100 %"), ("100", "100 %"),
    ],
)  # fmt: skip
def test_a_small_part_does_not_read_as_none(percent: str, words: str) -> None:
    share = Share(fact("source-scatter"), Fraction(1), Fraction(percent))
    assert say(share.whole_percent) == words


def test_of_two_that_are_equal_the_scatter_is_the_one_that_gives_way() -> None:
    found = budget(3, 4, 3, convention=HALF)
    (lost,) = (share for share in found.shares if share.lost)
    assert (say(lost.label), lost.size) == ("scatter", Fraction("0.025"))
