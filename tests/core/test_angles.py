"""Angles: whatever way they are entered, and the slips that are made with them."""

from dataclasses import replace
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.desk.desk import consider
from metrion.core.exact.angles import FULL_CIRCLE, HALF_CIRCLE
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement, reduce_measurement
from metrion.core.quantity.observations import Arc, Observation, off_opposite
from metrion.core.review import Flag, review, review_pairs
from metrion.core.scales import Indication, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

HALF_DEGREES = Instrument("c", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(30), 30, 29))
STANDARD = BUILT_IN["standard"]
MINUTES = 360 * 60


def indication_at(minutes: int) -> Indication:
    """A whole minute of the circle, wherever it is turned to."""
    return HALF_DEGREES.scale.nearest(Fraction(minutes % MINUTES))


def deflection(*observations: Observation, arc: Arc = Arc.SHORTER) -> Measurement:
    return Measurement("m", "Green", HALF_DEGREES, STANDARD, observations, divide_by=2, arc=arc)


def pair(first: int, second: int, **more: str) -> Observation:
    return Observation((indication_at(first), indication_at(second)), **more)


minutes = st.integers(0, MINUTES - 1)


@given(st.lists(st.tuples(minutes, minutes), min_size=1, max_size=5), minutes, st.randoms())
def test_the_half_sweep_does_not_depend_on_where_the_zero_lies_or_what_came_first(
    pairs: list[tuple[int, int]], turned: int, chance: object
) -> None:
    plain = reduce_measurement(deflection(*(pair(a, b) for a, b in pairs)))
    moved = [(a + turned, b + turned) for a, b in pairs]
    other = [(b, a) if i % 2 else (a, b) for i, (a, b) in enumerate(moved)]
    turned_result = reduce_measurement(deflection(*(pair(a, b) for a, b in other)))
    assert turned_result.mean == plain.mean
    assert turned_result.uncertainty == plain.uncertainty
    assert plain.mean is not None
    assert 0 <= plain.mean <= HALF_CIRCLE / 2


@given(minutes, minutes, minutes)
def test_a_forward_sweep_turned_with_its_circle_is_the_same(a: int, b: int, turned: int) -> None:
    forward = deflection(pair(a, b), arc=Arc.FORWARD).mean
    assert deflection(pair(a + turned, b + turned), arc=Arc.FORWARD).mean == forward
    back = deflection(pair(b, a), arc=Arc.FORWARD).mean
    assert forward is not None
    assert back is not None
    assert (forward + back) * 2 in (0, FULL_CIRCLE)


@given(minutes, minutes, st.integers(-7, 7))
def test_two_windows_are_free_of_a_circle_that_turns_off_its_middle(
    a: int, b: int, off: int
) -> None:
    """Both windows off by as much in opposite ways leave the mean sweep as it is."""
    half = MINUTES // 2
    indications = (
        indication_at(a),
        indication_at(b),
        indication_at(a + half + off),
        indication_at(b + half + off),
    )
    assert deflection(Observation(indications)).mean == deflection(pair(a, b)).mean
    assert off_opposite(Fraction(a), Fraction(a + half + off)) == off


@pytest.mark.parametrize("text", ["57:30", "57 30", "57°30′", "57° 30'", "57:30 "])
def test_an_angle_is_typed_as_people_write_it(text: str) -> None:
    assert consider(HALF_DEGREES, text, "").main == 57 * 60 + 30


def test_the_sum_must_stay_below_the_next_mark() -> None:
    answer = consider(HALF_DEGREES, "57:30", "29")
    assert answer.read == 57 * 60 + 59
    assert "has passed 57°30′ and not yet 58°00′" in " ".join(map(plainly().say, answer.sentences))


def remarks(measurement: Measurement) -> dict[str, Flag]:
    return {flag.code: flag for flag in review_pairs(measurement)}


def test_a_half_degree_missed_in_one_of_several_pairs_is_named() -> None:
    found = remarks(deflection(pair(100, 2500), pair(101, 2500), pair(130, 2501), pair(100, 2501)))
    slip = found["sweep-slip"]
    assert (
        plainly().say(slip.says).startswith("Reading 3 is one main mark (30′) less than the others")
    )
    assert "its first position stands one mark" in plainly().say(slip.says)
    assert "passed 2°00′?" in plainly().say(slip.says)
    assert (slip.observation, slip.suggestion) == (2, {"a": {"main": "1:30", "fine": 10}})
    excluded = pair(130, 2501, excluded="misread")
    assert remarks(deflection(pair(100, 2500), pair(101, 2500), excluded, pair(100, 2501))) == {}


@pytest.mark.parametrize("third", [2500, 2510, 2560])
def test_a_pair_that_belongs_or_is_off_otherwise_is_no_slip(third: int) -> None:
    pairs = (pair(100, 2500), pair(101, 2500), pair(100, third))
    assert "sweep-slip" not in remarks(deflection(*pairs))


def test_the_position_a_mark_off_is_found_across_the_zero_of_the_circle() -> None:
    pairs = (pair(MINUTES - 5, 2500), pair(3, 2500), pair(2, 2500 - 30), pair(MINUTES - 1, 2501))
    (slip,) = review_pairs(deflection(*pairs))
    assert slip.suggestion == {"b": {"main": "41:30", "fine": 10}}


def test_where_the_positions_were_taken_anew_none_of_them_is_named() -> None:
    pairs = (pair(100, 2500), pair(700, 3100), pair(1300, 3670), pair(1900, 4301))
    (slip,) = review_pairs(deflection(*pairs))
    assert slip.suggestion == {}
    assert "at one of its positions a mark was missed" in plainly().say(slip.says)


def test_half_over_90_names_the_other_arc_among_recorded_readings() -> None:
    found = remarks(deflection(pair(20 * 60, 343 * 60), arc=Arc.FORWARD))
    assert "Reading 1: Half of it would be 161°30′" in plainly().say(found["half-over-90"].says)
    whole = replace(deflection(pair(20 * 60, 343 * 60), arc=Arc.FORWARD), divide_by=1)
    assert remarks(whole) == {}


def test_the_window_that_was_misread_is_named_with_its_position() -> None:
    half = MINUTES // 2
    indications = (
        indication_at(600),
        indication_at(2000),
        indication_at(600 + half),
        indication_at(2030 + half),
    )
    (flag,) = [
        f for f in review(deflection(Observation(indications))) if f.code == "windows-disagree"
    ]
    assert "differ by 30′" in plainly().say(flag.says)
    assert "At the second position the two windows are 30′ away from 180°" in plainly().say(
        flag.says
    )


def test_among_three_readings_the_misread_window_is_named_with_what_it_was() -> None:
    half = MINUTES // 2

    def reading(slip: int) -> Observation:
        a, b = MINUTES - 5, 2000
        indications = (
            indication_at(a),
            indication_at(b),
            indication_at(a + half),
            indication_at(b + half + slip),
        )
        return Observation(indications)

    found = review(deflection(reading(0), reading(-30), reading(1)))
    (flag,) = [one for one in found if one.code == "windows-disagree"]
    assert "Its second position in window 2 stands one mark from those of the others" in (
        plainly().say(flag.says)
    )
    assert (flag.observation, flag.suggestion) == (1, {"b2": {"main": "213:00", "fine": 20}})
    unsure = review(deflection(reading(0), reading(-30)))
    (flag,) = [one for one in unsure if one.code == "windows-disagree"]
    assert (flag.suggestion, "one of them was misread" in plainly().say(flag.says)) == ({}, True)


@pytest.mark.parametrize(("apart", "told"), [(14, False), (15, True), (16, True), (-15, True)])
def test_windows_disagree_from_fifteen_minutes_on(apart: int, told: bool) -> None:
    half = MINUTES // 2
    indications = (
        indication_at(600),
        indication_at(2000),
        indication_at(600 + half),
        indication_at(2000 + half + apart),
    )
    found = [flag.code for flag in review(deflection(Observation(indications)))]
    assert ("windows-disagree" in found) is told
