"""Pairs and windows: what they read, what cancels, and what two looks are worth."""

import math
from fractions import Fraction
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.exact.angles import FULL_CIRCLE
from metrion.core.formula.evaluate import exact
from metrion.core.formula.expression import number
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement, reduce_measurement
from metrion.core.quantity.observations import Arc, Observation, Sort, sweeps, swept
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.review import review
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind

CIRCLE = Instrument(
    "c", "Divided circle C", Kind.ANGULAR, "arcmin", VernierScale(Fraction(20), 40, 39)
)
CALIPER = Instrument("cal", "Caliper A", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))


def at(degrees: int, minutes: int = 0, line: int = 0) -> Indication:
    return Indication(Fraction(degrees * 60 + minutes), line)


def measured(*indications: Indication, convention: str = "standard", **more: Any) -> Measurement:
    observation = Observation(indications)
    return Measurement("m", "m", CIRCLE, BUILT_IN[convention], (observation,), **more)


def test_a_sweep_through_the_zero_of_the_circle() -> None:
    pair = measured(at(341, 20, 11), at(18, 40, 30), divide_by=2)
    # 341°25.5′ to 18°55′ is 37°29.5′, half of it 18°44.75′.
    assert pair.observed == (Fraction("2249.5"),)
    result = reduce_measurement(pair)
    assert result.mean == Fraction("1124.75")
    assert result.rounded is not None
    assert result.rounded.text.startswith("18°44.")


def test_forward_goes_the_long_way_round() -> None:
    pair = measured(at(10), at(350), arc=Arc.FORWARD)
    assert pair.observed == (Fraction(340 * 60),)
    assert measured(at(10), at(350)).observed == (Fraction(20 * 60),)


def sweep(start: Fraction, end: Fraction, arc: Arc) -> Fraction:
    return exact(swept(number(start), number(end), arc))


angles = st.integers(0, int(FULL_CIRCLE) - 1).map(Fraction)


@given(angles, angles, angles)
def test_a_sweep_never_depends_on_where_the_zero_of_the_circle_lies(
    start: Fraction, end: Fraction, turn: Fraction
) -> None:
    for arc in Arc:
        turned = sweep((start + turn) % FULL_CIRCLE, (end + turn) % FULL_CIRCLE, arc)
        assert turned == sweep(start, end, arc)


@given(angles, angles)
def test_the_shorter_arc_does_not_depend_on_the_order_of_entry(
    start: Fraction, end: Fraction
) -> None:
    shorter = sweep(start, end, Arc.SHORTER)
    assert shorter == sweep(end, start, Arc.SHORTER)
    assert 0 <= shorter <= FULL_CIRCLE / 2


@given(angles, angles, st.integers(-9, 9))
def test_an_arm_off_centre_cancels_in_the_mean_of_two_windows(
    start: Fraction, end: Fraction, off: int
) -> None:
    half = FULL_CIRCLE / 2
    first = (start + off, end - off)
    second = (start + half - off, end + half + off)
    both = [sweep(a % FULL_CIRCLE, b % FULL_CIRCLE, Arc.FORWARD) for a, b in (first, second)]
    true = sweep(start, end, Arc.FORWARD)
    assert (sum(both) / 2 - true) % half == 0


def test_two_looks_have_two_limits_and_two_windows_halve_the_variance() -> None:
    limit = reduce_measurement(measured(at(10), at(20), convention="whole-division")).uncertainty
    assert limit is not None
    assert limit.size == 1  # two least counts of half a minute
    windows = measured(at(10), at(20), at(190), at(200), convention="whole-division")
    same = reduce_measurement(windows).uncertainty
    assert same is not None
    assert same.size == 1  # the limit of one sweep
    pair = reduce_measurement(measured(at(10), at(20))).uncertainty
    both = reduce_measurement(measured(at(10), at(20), at(190), at(200))).uncertainty
    assert pair is not None
    assert both is not None
    assert math.isclose(pair.size / both.size, math.sqrt(2), rel_tol=1e-12)


def test_windows_that_differ_by_a_quarter_degree_are_asked_about() -> None:
    agreeing = measured(at(10), at(20), at(190), at(200, 0, 28))
    differing = measured(at(10), at(20), at(190), at(200, 0, 30))
    assert agreeing.sort is Sort.WINDOWS
    assert len(sweeps(CIRCLE, agreeing.observations[0], Arc.SHORTER)) == 2
    assert [flag.code for flag in review(agreeing)] == ["few-readings"]
    assert [flag.code for flag in review(differing)] == ["few-readings", "windows-disagree"]


def test_the_zero_cancels_in_a_difference_of_two_positions() -> None:
    pair = Observation((Indication(Fraction(30), 4), Indication(Fraction(12), 10)))
    check = ZeroCheck("z", "cal", Indication(Fraction(-1), 17))
    travel = Measurement("m", "m", CALIPER, BUILT_IN["whole-division"], (pair,), (check,))
    assert travel.observed == (Fraction("17.7"),)
    assert (travel.zero_error, travel.mean) == (0, Fraction("17.7"))
    assert "zero-unchecked" not in [flag.code for flag in review(travel)]


@pytest.mark.parametrize(
    ("indications", "sort"), [(1, Sort.SINGLE), (2, Sort.PAIR), (4, Sort.WINDOWS)]
)
def test_the_sort_is_told_by_the_looks(indications: int, sort: Sort) -> None:
    assert Observation((at(1),) * indications).sort is sort
