"""Plans: which tool, how many readings, how large a stack."""

from dataclasses import replace
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.conventions.convention import BUILT_IN, Convention
from metrion.core.instruments.instrument import Instrument
from metrion.core.planning.plan import (
    USUAL_READINGS,
    Plan,
    PlanVerdict,
    Wish,
    expected_uncertainty,
    plans,
)
from metrion.core.quantity.measurements import Measurement, reduce_measurement
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

LONG, SHORT = (Fraction(0), Fraction(150)), (Fraction(0), Fraction(25))
CALIPER = Instrument("c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39), LONG)
SCREW = Instrument(
    "s", "Screw", Kind.SCREW, "mm", ScrewScale(Fraction("0.5"), 50, Fraction("0.5")), SHORT
)
CIRCLE = Instrument("o", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(30), 30, 29))
WHOLE, HALF, STANDARD, AT_95 = BUILT_IN.values()


def spoken(plan: Plan) -> list[str]:
    return [plainly().say(reason) for reason in plan.reasons]


def wish(size: str, percent: str, convention: Convention = HALF, **more: Fraction) -> Wish:
    return Wish(Fraction(size), "mm", Fraction(percent), convention, **more)


def test_the_coarser_tool_comes_first_where_both_are_enough() -> None:
    found = plans(wish("20", "1"), [SCREW, CALIPER, CIRCLE])
    assert [(plan.instrument.id, plan.verdict) for plan in found] == [
        ("c", PlanVerdict.ENOUGH), ("s", PlanVerdict.ENOUGH),
    ]  # fmt: skip
    assert spoken(found[0]) == ["One thing, 5 readings: ±0.025 mm, 0.13 %.", "That is enough."]


def test_a_thin_thing_wants_the_finer_tool_or_a_stack() -> None:
    screw, caliper = plans(wish("0.5", "1"), [CALIPER, SCREW])
    assert (screw.instrument, screw.verdict) == (SCREW, PlanVerdict.ENOUGH)
    assert (caliper.verdict, caliper.items) == (PlanVerdict.STACK, 5)
    assert "More readings would not make it smaller" in spoken(caliper)[1]
    assert "5 alike in one stack, about 2.5 mm, bring it to ±0.0050 mm each" in spoken(caliper)[2]


def test_a_stack_must_fit_the_tool() -> None:
    (found,) = plans(wish("20", "0.01"), [SCREW])
    assert (found.verdict, found.items) == (PlanVerdict.NOT_ENOUGH, 1)
    assert "It would take 3 alike in one stack, about 60 mm" in spoken(found)[-1]


def test_a_stack_has_an_end_where_the_tool_has_none() -> None:
    (found,) = plans(wish("0.01", "0.1"), [replace(CALIPER, range=None)])
    assert found.verdict is PlanVerdict.NOT_ENOUGH
    assert "too many to hold together" in spoken(found)[-1]


@pytest.mark.parametrize(
    ("size", "range_", "side"),
    [("30", SHORT, "larger"), ("10", (Fraction(25), Fraction(50)), "smaller")],
)
def test_what_does_not_fit_is_said_with_the_range(
    size: str, range_: tuple[Fraction, Fraction], side: str
) -> None:
    (found,) = plans(wish(size, "1"), [replace(SCREW, range=range_)])
    assert found.verdict is PlanVerdict.DOES_NOT_FIT
    assert f"is {side} than what it takes: {range_[0]} to {range_[1]}.00 mm" in spoken(found)[0]


def test_scatter_averages_out_in_the_standard_conventions_only() -> None:
    scattered = {"scatter": Fraction("0.1")}
    (standard,) = plans(wish("20", "0.15", STANDARD, **scattered), [CALIPER])
    assert standard.verdict is PlanVerdict.READINGS
    assert 5 < standard.readings < 100
    (limit,) = plans(wish("20", "0.15", HALF, **scattered), [CALIPER])
    assert limit.verdict is PlanVerdict.STACK
    assert "More readings would not" in spoken(limit)[1]


def test_many_readings_that_are_not_enough_are_said_to_be() -> None:
    (found,) = plans(wish("20", "0.01", STANDARD, scatter=Fraction("0.5")), [CALIPER])
    assert spoken(found)[1].startswith("Even 100 readings leave ±")


def test_other_units_are_converted() -> None:
    inches = replace(CALIPER, unit="in", range=(Fraction(0), Fraction(6)))
    (found,) = plans(Wish(Fraction("5.08"), "cm", Fraction(2), HALF), [inches])
    assert found.percent == Fraction("1.25")


@given(
    st.sampled_from([WHOLE, HALF, STANDARD, AT_95]), st.integers(1, 400),
    st.integers(1, 50).map(lambda tenth: Fraction(tenth, 10)),
)  # fmt: skip
def test_what_is_planned_is_what_the_result_will_state(
    convention: Convention, line: int, percent: Fraction
) -> None:
    """Five equal readings of a stack as planned keep the promise, by the model of results."""
    size = Fraction(line, 20)
    (plan,) = plans(Wish(size, "mm", percent, convention), [CALIPER])
    if plan.verdict not in (PlanVerdict.ENOUGH, PlanVerdict.STACK):
        return
    together = size * plan.items
    indication = Indication(Fraction(together.__floor__()), int((together % 1) * 20))
    measurement = Measurement(
        "m", "M", CALIPER, convention, (Observation((indication,)),) * USUAL_READINGS,
        (ZeroCheck("z", "c", Indication(Fraction(0), 0)),), items=plan.items,
    )  # fmt: skip
    result = reduce_measurement(measurement)
    assert result.relative_percent is not None
    assert result.relative_percent <= percent
    assert (
        expected_uncertainty(CALIPER, convention, Fraction(0), USUAL_READINGS) == plan.uncertainty
    )
