"""A pair of positions while it is entered."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.angles import FULL_CIRCLE
from metrion.core.desk import consider
from metrion.core.instruments import Instrument, Kind
from metrion.core.observations import Arc
from metrion.core.pairing import ZERO_CANCELS, pairing
from metrion.core.scales import Look, VernierScale

STAGE = Instrument("t", "Travelling stage", Kind.VERNIER, "mm", VernierScale(Fraction(1), 50, 49))
CIRCLE = Instrument("c", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(20), 40, 39))


@pytest.mark.parametrize(("first", "second"), [((12, 5), (48, 20)), ((48, 20), (12, 5))])
def test_a_length_is_the_distance_whichever_came_first(
    first: tuple[int, int], second: tuple[int, int]
) -> None:
    found = pairing(
        STAGE, Look(Fraction(first[0]), first[1]), Look(Fraction(second[0]), second[1]),
        Arc.SHORTER,
    )  # fmt: skip
    assert found.value == Fraction("36.3")
    assert found.first == first[0] + first[1] * Fraction("0.02")
    assert found.sentences == ()


def test_the_same_position_twice_is_remarked_on() -> None:
    look = Look(Fraction(3), 4)
    assert "nothing lies between them" in pairing(STAGE, look, look, Arc.SHORTER).sentences[0]


def test_an_arc_through_the_zero_of_the_circle_names_both_arcs() -> None:
    found = pairing(
        CIRCLE, Look(Fraction(341 * 60 + 20), 11), Look(Fraction(18 * 60 + 40), 30), Arc.SHORTER
    )
    assert found.value == 37 * 60 + 20 + Fraction(19, 2)
    assert found.sentences == (
        "The arc runs through the zero of the circle: 37°29.5′. "
        "The other way round it would be 322°30.5′.",
    )


def test_an_arc_that_is_the_plain_difference_needs_no_words() -> None:
    looks = Look(Fraction(10 * 60), 0), Look(Fraction(40 * 60), 0)
    assert pairing(CIRCLE, *looks, Arc.SHORTER).sentences == ()


@given(
    st.integers(0, 1079), st.integers(0, 39), st.integers(0, 1079), st.integers(0, 39),
    st.integers(0, 1079),
)  # fmt: skip
def test_the_arc_does_not_depend_on_where_the_circle_begins(
    mark: int, line: int, other_mark: int, other_line: int, turned: int
) -> None:
    def swept(by: int) -> Fraction:
        looks = (
            Look(Fraction((mark + by) % 1080 * 20), line),
            Look(Fraction((other_mark + by) % 1080 * 20), other_line),
        )
        return pairing(CIRCLE, *looks, Arc.SHORTER).value

    assert swept(turned) == swept(0)
    assert 0 <= swept(turned) <= FULL_CIRCLE / 2


def test_no_zero_is_asked_for_in_a_pair() -> None:
    answer = consider(STAGE, "12", "5", checks=None)
    assert answer.sentences[-1] == ZERO_CANCELS
    assert answer.corrected == answer.read == Fraction("12.1")
