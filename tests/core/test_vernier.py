"""The fine scale, checked against lines that are really laid out side by side."""

from fractions import Fraction
from math import floor

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.errors import UselessScale
from metrion.core.scales import Indication, Numbering, Pattern, VernierScale
from tests.strategies import verniers

ONE = Fraction(1)
WITH, AGAINST = Numbering.WITH, Numbering.AGAINST


@pytest.mark.parametrize(
    ("lines", "span", "numbering", "pattern", "least_count"),
    [
        (10, 9, WITH, Pattern.DIRECT, "1/10"),
        (20, 19, WITH, Pattern.DIRECT, "1/20"),
        (50, 49, WITH, Pattern.DIRECT, "1/50"),
        (10, 19, WITH, Pattern.DIRECT, "1/10"),  # extended
        (20, 39, WITH, Pattern.DIRECT, "1/20"),  # extended
        (10, 11, WITH, Pattern.RETROGRADE, "1/10"),
        (10, 11, AGAINST, Pattern.DIRECT, "1/10"),  # the classical retrograde, read in order
        (10, 9, AGAINST, Pattern.RETROGRADE, "1/10"),
        (10, 8, WITH, Pattern.REPEATING, "1/5"),
        (10, 7, WITH, Pattern.SCRAMBLED, "1/10"),
        (2, 1, WITH, Pattern.DIRECT, "1/2"),
        (20, 18, WITH, Pattern.REPEATING, "1/10"),
    ],
)
def test_pattern_and_least_count(
    lines: int, span: int, numbering: Numbering, pattern: Pattern, least_count: str
) -> None:
    scale = VernierScale(ONE, lines, span, numbering)
    assert (scale.pattern, scale.least_count) == (pattern, Fraction(least_count))


@pytest.mark.parametrize(("lines", "span"), [(10, 10), (10, 20), (1, 1), (1, 7)])
def test_a_scale_whose_lines_all_coincide_is_refused(lines: int, span: int) -> None:
    scale = VernierScale(ONE, lines, span)
    assert scale.pattern is Pattern.USELESS
    with pytest.raises(UselessScale) as refused:
        scale.refuse_useless()
    told = refused.value.says
    assert told.code == ("useless-scale" if lines > 1 else "useless-scale-of-one")
    assert lines == 1 or (told.about["lines"], told.about["marks"]) == (lines, span)


@pytest.mark.parametrize(
    ("lines", "span", "by_difference", "by_division"),
    [
        (20, 39, "1/20", "1/20"),
        (10, 7, "3/10", "1/10"),  # the two textbook routes disagree
        (10, 15, "1/2", "1/10"),  # 1.5: the smaller of two equally near
        (10, 3, "7/10", "1/10"),  # at least one main division is compared
        (10, 25, "1/2", "1/10"),
    ],
)
def test_the_two_textbook_routes(
    lines: int, span: int, by_difference: str, by_division: str
) -> None:
    scale = VernierScale(ONE, lines, span)
    routes = (scale.by_difference, scale.by_division)
    assert routes == (Fraction(by_difference), Fraction(by_division))


@pytest.mark.parametrize(
    ("scale", "main", "line", "reading"),
    [
        (VernierScale(ONE, 20, 39), "6", 3, "6.15"),
        (VernierScale(ONE, 20, 39), "-1", 17, "-0.15"),
        (VernierScale(ONE, 10, 9), "11", 6, "11.6"),
        (VernierScale(ONE, 10, 11), "3", 2, "3.8"),
        (VernierScale(ONE, 10, 11, AGAINST), "3", 2, "3.2"),
        (VernierScale(ONE, 20, 19), "7", 20, "7"),  # line n says 0 again
        (VernierScale(Fraction(1, 40), 25, 24), "0.3", 7, "0.307"),
        (VernierScale(Fraction(20), 40, 39), "20480", 11, "20485.5"),  # arc minutes
    ],
)
def test_readings(scale: VernierScale, main: str, line: int, reading: str) -> None:
    assert scale.reading(Indication(Fraction(main), line)) == Fraction(reading)


def test_between_two_lines_tenths_can_be_estimated_where_the_lines_are_in_order() -> None:
    scale = VernierScale(ONE, 20, 19)
    assert scale.reading(Indication(Fraction(4), Fraction("6.5"))) == Fraction("4.325")
    assert scale.reading(Indication(Fraction(4), Fraction(20))) == 4
    assert scale.estimable()
    assert not VernierScale(ONE, 10, 7).estimable()


def misfit(place: Fraction, division: Fraction) -> Fraction:
    """How far a line lies from the nearest main mark."""
    return abs(place - floor(place / division + Fraction(1, 2)) * division)


@given(verniers(), st.fractions(-2, 90, max_denominator=10**4))
def test_a_position_read_off_over_the_drawn_lines_comes_back(
    scale: VernierScale, position: Fraction
) -> None:
    """Lay the lines out at a random position, look for the best coincidence, read it."""
    s = scale.main_division
    places = [position + scale.line_position(k) for k in range(scale.fine_divisions)]
    line = min(range(len(places)), key=lambda k: misfit(places[k], s))
    read_near = scale.reading(Indication(Fraction(0), line))
    # The main mark: the one that puts the reading nearest to where the zero line really is.
    marks = floor((position - read_near) / s + Fraction(1, 2))
    read = scale.reading(Indication(marks * s, line))
    assert abs(read - position) <= scale.least_count / 2


@given(verniers(), st.integers(-50, 5000))
def test_the_line_that_the_core_names_really_meets_a_mark(scale: VernierScale, steps: int) -> None:
    position = steps * scale.least_count
    indication = scale.nearest(position)
    assert scale.reading(indication) == position
    met = position + scale.line_position(int(indication.line))
    assert misfit(met, scale.main_division) == 0
    assert scale.meets(indication) == met


@given(verniers(), st.fractions(-2, 90, max_denominator=10**4))
def test_the_nearest_look_is_at_most_half_a_least_count_away(
    scale: VernierScale, position: Fraction
) -> None:
    indication = scale.nearest(position)
    assert abs(scale.reading(indication) - position) <= scale.least_count / 2
    assert (indication.main / scale.main_division).denominator == 1


@given(verniers())
def test_every_step_of_the_least_count_is_shown_by_some_line(scale: VernierScale) -> None:
    shown = {scale.reading(Indication(Fraction(0), line)) for line in range(scale.fine_divisions)}
    count = scale.main_division / scale.least_count
    assert shown == {step * scale.least_count for step in range(int(count))}


@pytest.mark.parametrize(
    ("lines", "span", "line", "meeting"),
    [(10, 8, 1, [1, 6]), (20, 39, 3, [3]), (20, 39, 0, [0, 20]), (4, 2, 0, [0, 2, 4])],
)
def test_lines_that_meet_at_once(lines: int, span: int, line: int, meeting: list[int]) -> None:
    scale = VernierScale(ONE, lines, span)
    assert scale.lines_that_meet(Indication(Fraction(3), line)) == meeting


@pytest.mark.parametrize(
    ("position", "reads"),
    [("0.025", "0"), ("0.0251", "0.05"), ("-0.025", "-0.05"), ("6.125", "6.1"), ("0.975", "0.95")],
)
def test_of_two_looks_equally_near_the_lower_is_taken(position: str, reads: str) -> None:
    scale = VernierScale(Fraction(1), 20, 39)
    assert scale.reading(scale.nearest(Fraction(position))) == Fraction(reads)
