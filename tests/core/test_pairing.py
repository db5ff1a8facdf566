"""A pair of positions while it is entered."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.desk.desk import consider
from metrion.core.desk.pairing import ZERO_CANCELS, Pairing, off_opposite, pairing
from metrion.core.desk.said.judging import FigureOptions
from metrion.core.exact.angles import FULL_CIRCLE
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.observations import Arc, Sort
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

STAGE = Instrument("t", "Travelling stage", Kind.VERNIER, "mm", VernierScale(Fraction(1), 50, 49))
CIRCLE = Instrument("c", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(20), 40, 39))


def spoken(found: Pairing) -> tuple[str, ...]:
    return tuple(plainly().say(said) for said in found.sentences)


def paired(instrument: Instrument, *indications: Indication) -> Pairing:
    return pairing(instrument, indications, Sort.PAIR, Arc.SHORTER)


def windowed(*positions: tuple[int, int, int]) -> Pairing:
    """Looks in the order of entering, as degrees, minutes of the mark, and line."""
    indications = [
        Indication(Fraction(degrees * 60 + minutes), k) for degrees, minutes, k in positions
    ]
    return pairing(CIRCLE, indications, Sort.WINDOWS, Arc.SHORTER)


@pytest.mark.parametrize(("first", "second"), [((12, 5), (48, 20)), ((48, 20), (12, 5))])
def test_a_length_is_the_distance_whichever_came_first(
    first: tuple[int, int], second: tuple[int, int]
) -> None:
    found = paired(
        STAGE, Indication(Fraction(first[0]), first[1]), Indication(Fraction(second[0]), second[1])
    )
    assert found.value == Fraction("36.3")
    assert spoken(found) == ()


def test_the_same_position_twice_is_remarked_on() -> None:
    indication = Indication(Fraction(3), 4)
    assert "nothing lies between them" in spoken(paired(STAGE, indication, indication))[0]


def test_an_arc_through_the_zero_of_the_circle_names_both_arcs() -> None:
    found = paired(
        CIRCLE, Indication(Fraction(341 * 60 + 20), 11), Indication(Fraction(18 * 60 + 40), 30)
    )
    assert found.value == 37 * 60 + 20 + Fraction(19, 2)
    assert spoken(found) == (
        "The arc runs through the zero of the circle: 37°29.5′. "
        "The other way round it would be 322°30.5′ (that one is over 180°).",
    )


def test_an_arc_that_is_the_plain_difference_needs_no_words() -> None:
    indications = Indication(Fraction(10 * 60), 0), Indication(Fraction(40 * 60), 0)
    assert paired(CIRCLE, *indications).sentences == ()


def test_just_half_of_the_circle_needs_no_words_and_more_does() -> None:
    half = Indication(Fraction(10 * 60), 0), Indication(Fraction(190 * 60), 0)
    assert paired(CIRCLE, *half).sentences == ()
    assert paired_forward(10, 190) == ()
    assert paired_forward(10, 191) != ()


@given(
    st.integers(0, 1079), st.integers(0, 39), st.integers(0, 1079), st.integers(0, 39),
    st.integers(0, 1079),
)  # fmt: skip
def test_the_arc_does_not_depend_on_where_the_circle_begins(
    mark: int, line: int, other_mark: int, other_line: int, turned: int
) -> None:
    def swept(by: int) -> Fraction:
        indications = (
            Indication(Fraction((mark + by) % 1080 * 20), line),
            Indication(Fraction((other_mark + by) % 1080 * 20), other_line),
        )
        return paired(CIRCLE, *indications).value

    assert swept(turned) == swept(0)
    assert 0 <= swept(turned) <= FULL_CIRCLE / 2


def test_no_zero_is_asked_for_in_a_pair() -> None:
    answer = consider(STAGE, "12", "5", FigureOptions(FineAs.LINE), checks=None)
    assert answer.sentences[-1] == ZERO_CANCELS
    assert answer.corrected == answer.read == Fraction("12.1")


def test_the_first_of_a_pair_alone_comes_to_nothing_yet() -> None:
    assert paired(STAGE, Indication(Fraction(3), 4)) == Pairing(None, ())


def test_windows_that_stand_opposite_are_confirmed_before_the_next_position() -> None:
    found = windowed((30, 20, 6), (210, 20, 12))
    assert found.value is None
    assert spoken(found) == ("The windows are 180°3.0′ apart, as they should.",)


@pytest.mark.parametrize(
    ("second", "said"),
    [
        ((210, 40, 12), "That is about one main mark"),
        ((210, 0, 6), "That is about one main mark"),
        ((211, 0, 6), "That is about 2 main marks"),
        ((220, 20, 6), "That is about 30 main marks"),
        ((210, 20, 39), "within a few minutes"),
    ],
)
def test_a_window_read_wrongly_is_named_at_once(second: tuple[int, int, int], said: str) -> None:
    (sentence,) = spoken(windowed((30, 20, 6), second))
    assert said in sentence
    assert sentence.endswith("Look at both again.")


def test_the_mean_of_both_windows_is_swept() -> None:
    found = windowed((341, 20, 11), (161, 20, 15), (18, 40, 30), (198, 40, 32))
    assert found.value == 37 * 60 + 29
    assert "through the zero of the circle" in spoken(found)[0]
    assert "180°1.0′" in spoken(found)[1]


@given(st.integers(0, 21599), st.integers(-10799, 10799))
def test_off_opposite_is_what_the_circle_is_off(first: int, off: int) -> None:
    second = (first + 180 * 60 + off) % FULL_CIRCLE
    assert off_opposite(Fraction(first), Fraction(second)) == off


def halved(first: int, second: int, arc: Arc) -> tuple[str, ...]:
    """A deflection between two whole degrees."""
    indications = [Indication(Fraction(degrees * 60), 0) for degrees in (first, second)]
    return spoken(pairing(CIRCLE, indications, Sort.PAIR, arc, halved=True))


def test_half_of_a_sweep_is_told_where_it_is_wanted() -> None:
    assert halved(10, 47, Arc.SHORTER) == ("Half of it is 18°30.0′.",)


def test_half_a_sweep_over_90_degrees_is_no_deflection() -> None:
    first, second = halved(20, 343, Arc.FORWARD)
    assert first == (
        "Half of it would be 161°30.0′, and a deflection is never over 90°: the wrong arc was "
        "taken. The other one gives 18°30.0′."
    )
    assert second == (
        "The arc is taken: 323°0.0′. The other way round it would be 37°0.0′, the shorter one."
    )


def test_a_forward_arc_can_run_through_the_zero_and_be_the_longer_one() -> None:
    (words,) = paired_forward(200, 100)
    assert words == (
        "The arc runs through the zero of the circle: 260°0.0′. "
        "The other way round it would be 100°0.0′, the shorter one."
    )


def paired_forward(first: int, second: int) -> tuple[str, ...]:
    indications = [Indication(Fraction(degrees * 60), 0) for degrees in (first, second)]
    return spoken(pairing(CIRCLE, indications, Sort.PAIR, Arc.FORWARD))
