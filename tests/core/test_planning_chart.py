"""Plans to be seen: lines, stacks as steps, and the frame around them."""

import itertools
from fractions import Fraction

from hypothesis import given
from hypothesis import strategies as st

from metrion.core.exact.axis import round_marks
from metrion.core.instruments.instrument import Instrument
from metrion.core.planning.chart import PlanChart, Point, plan_chart
from metrion.core.planning.plan import Wish, plans
from tests.core.test_planning import CALIPER, HALF, SCREW, STANDARD, wish


def chart(asked: Wish, *tools: Instrument) -> PlanChart:
    return plan_chart(asked, plans(asked, tools))


def test_a_tool_is_a_line_as_far_as_it_takes_things() -> None:
    found = chart(wish("0.5", "1"), CALIPER, SCREW)
    screw, caliper = found.courses
    assert screw.line == (
        Point(Fraction("0.1"), Fraction(5)), Point(Fraction(25), Fraction("0.02")),
    )  # fmt: skip
    assert caliper.line[-1].size == 150
    assert (found.sizes[0], found.sizes[-1]) == (Fraction("0.1"), 1000)


def test_a_stack_goes_along_its_line_until_it_is_enough() -> None:
    screw, caliper = chart(wish("0.5", "1"), CALIPER, SCREW).courses
    assert screw.path == (Point(Fraction("0.5"), Fraction(1)),)
    assert [point.size for point in caliper.path] == [Fraction(n, 2) for n in range(1, 6)]
    assert {point.size * point.percent for point in caliper.path} == {Fraction("2.5")}
    assert caliper.path[-2].percent > 1 >= caliper.path[-1].percent


def test_a_tall_stack_is_its_first_thing_and_all_of_them() -> None:
    (course,) = chart(wish("0.5", "0.2"), CALIPER).courses
    assert [point.size for point in course.path] == [Fraction("0.5"), Fraction("12.5")]


def test_more_readings_are_one_step_down() -> None:
    asked = wish("20", "0.15", STANDARD, scatter=Fraction("0.1"))
    (course,) = chart(asked, CALIPER).courses
    above, below = course.path
    assert above.size == below.size == 20
    assert above.percent > Fraction("0.15") >= below.percent


def test_what_does_not_fit_has_a_line_and_no_path() -> None:
    (course,) = chart(wish("60", "1"), SCREW).courses
    assert course.line
    assert not course.path


def test_the_unit_of_the_wish_is_that_of_the_chart() -> None:
    (course,) = chart(Wish(Fraction("0.05"), "cm", Fraction(1), HALF), SCREW).courses
    assert course.line[-1] == Point(Fraction("2.5"), Fraction("0.02"))


@given(st.fractions(Fraction(1, 10**9), 10**9), st.fractions(Fraction(1, 10**6), 10**4))
def test_whatever_is_wanted_lies_within_few_decades(size: Fraction, percent: Fraction) -> None:
    asked = Wish(size, "mm", percent, HALF)
    found = chart(asked, CALIPER, SCREW)
    for marks, value in ((found.sizes, size), (found.percents, percent)):
        assert marks[0] < value < marks[-1] <= marks[0] * 10**8
        assert len(marks) <= 10


@given(st.fractions(), st.fractions(Fraction(1, 10**9)))
def test_an_axis_is_marked_at_a_few_equal_steps(low: Fraction, span: Fraction) -> None:
    marks = round_marks(low, low + span)
    assert 2 <= len(marks) <= 7
    assert all(low <= mark <= low + span for mark in marks)
    assert len({after - before for before, after in itertools.pairwise(marks)}) == 1
