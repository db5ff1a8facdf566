from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.errors import UnreadableSleeve
from metrion.core.scales import Indication, ScrewScale
from tests.said import saying
from tests.strategies import screws

HALF = Fraction(1, 2)


@pytest.mark.parametrize(
    ("pitch", "lines", "division", "indication", "reading"),
    [
        ("0.5", 50, "0.5", Indication(Fraction("4.5"), 38), "4.88"),
        ("0.5", 50, "0.5", Indication(Fraction("-0.5"), 47), "-0.03"),
        ("1", 100, "1", Indication(Fraction(7), 4), "7.04"),
        ("0.5", 50, "1", Indication(Fraction(4), 38), "4.38"),
        ("0.5", 50, "1", Indication(Fraction(4), 38, second_turn=True), "4.88"),
        ("0.5", 50, "1", Indication(Fraction(-1), 47, second_turn=True), "-0.03"),
        ("1", 50, "0.5", Indication(Fraction("4.5"), 38), "4.76"),  # only whole pitches count
        ("1", 50, "0.5", Indication(Fraction(4), 12), "4.24"),
        ("0.5", 50, "0.5", Indication(Fraction(3), Fraction("26.4")), "3.264"),
    ],
)
def test_readings(
    pitch: str, lines: int, division: str, indication: Indication, reading: str
) -> None:
    scale = ScrewScale(Fraction(pitch), lines, Fraction(division))
    assert scale.reading(indication) == Fraction(reading)


@pytest.mark.parametrize("division", ["0.3", "1.5", "2", "0.75"])
def test_sleeve_marks_that_do_not_fit_the_pitch_are_refused(division: str) -> None:
    with pytest.raises(UnreadableSleeve, check=saying("do not fit a pitch of")):
        ScrewScale(HALF, 50, Fraction(division))


@given(screws(), st.integers(-100, 5000))
def test_the_nearest_look_reads_what_it_was_asked_for(scale: ScrewScale, steps: int) -> None:
    position = steps * scale.least_count
    indication = scale.nearest(position)
    assert scale.reading(indication) == position
    assert (indication.main / scale.main_division).denominator == 1
    assert scale.last_mark(indication) == indication.main


@given(screws())
def test_the_last_line_is_one_below_the_divisions(scale: ScrewScale) -> None:
    assert scale.has_line(scale.last_line)
    assert not scale.has_line(scale.fine_divisions)
    assert scale.has_line(Fraction(scale.fine_divisions) - Fraction(1, 10))


def test_of_two_looks_equally_near_the_lower_is_taken() -> None:
    scale = ScrewScale(Fraction(1, 2), 50, Fraction(1, 2))
    for position, reads in (("0.005", "0"), ("-0.005", "-0.01"), ("0.5051", "0.51")):
        assert scale.reading(scale.nearest(Fraction(position))) == Fraction(reads)
