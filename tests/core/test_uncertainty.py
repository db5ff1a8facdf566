"""The parts of an uncertainty in every convention, on series small enough to do by hand."""

import math
from fractions import Fraction
from typing import Any

import pytest
from scipy import stats

from metrion.core.conventions.convention import (
    BUILT_IN,
    Combine,
    Convention,
    Family,
    Spread,
)
from metrion.core.formula.evaluate import exact, normal, student
from metrion.core.formula.expression import number
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement, reduce_measurement
from metrion.core.quantity.observations import Arc, Observation, swept
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind

CALIPER = Instrument(
    "cal", "Caliper A", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39),
    maximum_permissible_error=Fraction("0.03"),
)  # fmt: skip
PLAIN = Instrument("cal", "Caliper A", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
ZERO = ZeroCheck("z", "cal", Indication(Fraction(-1), 17))


def series(*lines: int, instrument: Instrument = PLAIN, **more: Any) -> Measurement:
    observations = tuple(Observation((Indication(Fraction(6), line),)) for line in lines)
    convention = more.pop("convention", BUILT_IN["half-division"])
    assert isinstance(convention, Convention)
    return Measurement("m", "D", instrument, convention, observations, **more)


def limit(spread: Spread, combine: Combine, *, zero_look: bool = False) -> Convention:
    return Convention(
        "c", "c", Family.LIMIT, Fraction(1, 2), zero_look, "1-or-2", spread, combine
    )  # fmt: skip


@pytest.mark.parametrize(
    ("lines", "sentence"),
    [
        ((3, 4, 3), "(6.17 ± 0.03) mm"),  # half the range is no larger than half a least count
        ((3, 7, 3), "(6.2 ± 0.1) mm"),
        ((3,), "(6.15 ± 0.03) mm"),
    ],
)
def test_half_division(lines: tuple[int, ...], sentence: str) -> None:
    rounded = reduce_measurement(series(*lines)).rounded
    assert rounded is not None
    assert rounded.text == sentence


@pytest.mark.parametrize(
    ("spread", "combine", "zero_look", "size"),
    [
        # readings 6.15 6.20 6.15 6.30: limit 0.025, half range 0.075, mean deviation 0.05
        (Spread.HALF_RANGE, Combine.LARGER, False, "0.075"),
        (Spread.HALF_RANGE, Combine.LARGER, True, "0.1"),
        (Spread.MEAN_DEVIATION, Combine.SUM, False, "0.075"),
        (Spread.MEAN_DEVIATION, Combine.SUM, True, "0.1"),
        (Spread.NONE, Combine.SUM, False, "0.025"),
    ],
)
def test_limit_conventions(spread: Spread, combine: Combine, zero_look: bool, size: str) -> None:
    convention = limit(spread, combine, zero_look=zero_look)
    found = reduce_measurement(series(3, 4, 3, 6, convention=convention, checks=(ZERO,)))
    assert found.uncertainty is not None
    assert found.uncertainty.size == Fraction(size)


def test_quadrature_is_the_root_of_the_sum_of_squares() -> None:
    convention = limit(Spread.MEAN_DEVIATION, Combine.QUADRATURE, zero_look=True)
    found = reduce_measurement(
        series(3, 4, 3, 6, instrument=CALIPER, convention=convention, checks=(ZERO,))
    )
    assert found.uncertainty is not None
    expected = math.sqrt(0.025**2 + 0.05**2 + 0.025**2 + 0.03**2)
    assert math.isclose(found.uncertainty.size, expected, rel_tol=1e-14)


def test_standard_uncertainty_with_degrees_of_freedom() -> None:
    measurement = series(
        3, 4, 3, 6, instrument=CALIPER, convention=BUILT_IN["standard-95"], checks=(ZERO,)
    )
    found = reduce_measurement(measurement).uncertainty
    assert found is not None
    indication = 0.025 / math.sqrt(3)
    scatter = stats.sem([6.15, 6.20, 6.15, 6.30])
    combined = math.sqrt(2 * indication**2 + scatter**2 + 0.03**2 / 3)
    freedom = math.floor(combined**4 / (scatter**4 / 3))
    assert found.degrees_of_freedom == freedom
    assert found.coverage_factor is not None
    assert math.isclose(found.coverage_factor, stats.t.ppf(0.975, freedom), rel_tol=1e-9)
    assert math.isclose(found.size, combined * stats.t.ppf(0.975, freedom), rel_tol=1e-9)


def test_a_stack_is_divided_with_its_uncertainty() -> None:
    one, stack = (reduce_measurement(series(3, 7, items=n)) for n in (1, 10))
    assert one.mean is not None
    assert one.uncertainty is not None
    assert stack.uncertainty is not None
    assert stack.mean == one.mean / 10
    assert stack.uncertainty.size == one.uncertainty.size / 10


def test_the_zero_error_is_taken_off() -> None:
    assert reduce_measurement(series(3, checks=(ZERO,))).mean == Fraction("6.30")


def test_without_a_counting_reading_there_is_no_result() -> None:
    excluded = Observation((Indication(Fraction(6), 3),), excluded="slipped")
    measurement = Measurement("m", "D", PLAIN, BUILT_IN["half-division"], (excluded,))
    found = reduce_measurement(measurement)
    assert (found.mean, found.uncertainty, found.rounded) == (None, None, None)
    assert measurement.observed == (Fraction("6.15"),)


@pytest.mark.parametrize("freedom", [1, 2, 7, 30, 1000])
def test_student_factors(freedom: int) -> None:
    found = student(Fraction(99, 100), Fraction(freedom))
    assert math.isclose(found, stats.t.ppf(0.995, freedom), rel_tol=1e-9)


def test_the_normal_factor() -> None:
    assert math.isclose(normal(Fraction(99, 100)), stats.norm.ppf(0.995), rel_tol=1e-9)


def test_equal_readings_leave_the_degrees_of_freedom_infinite() -> None:
    found = reduce_measurement(series(3, 3, 3, convention=BUILT_IN["standard-95"])).uncertainty
    assert found is not None
    assert found.degrees_of_freedom is None
    assert found.coverage_factor == normal(Fraction(95, 100))


@pytest.mark.parametrize(
    ("start", "end", "arc", "degrees"),
    [
        (341, 18, Arc.SHORTER, 37),
        (18, 341, Arc.SHORTER, 37),
        (18, 341, Arc.FORWARD, 323),
        (10, 190, Arc.SHORTER, 180),
        (359, 1, Arc.FORWARD, 2),
    ],
)
def test_sweeps_go_through_the_zero_of_the_circle(
    start: int, end: int, arc: Arc, degrees: int
) -> None:
    found = swept(number(start * 60), number(end * 60), arc)
    assert exact(found) == degrees * 60
