"""The last mark passed, and the turn a screw is in."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.desk.desk import consider
from metrion.core.desk.passed import near_mark, turns
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly
from tests.strategies import screws, verniers

say = plainly().say


def said_near(instrument: Instrument, indication: Indication) -> str:
    found = near_mark(instrument, indication)
    assert found is not None
    return say(found)


CALIPER = Instrument("c", "Caliper", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39))
CIRCLE = Instrument("a", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(30), 30, 29))


def gauge(scale: ScrewScale) -> Instrument:
    return Instrument("s", "Screw gauge", Kind.SCREW, "mm", scale)


HALF = gauge(ScrewScale(Fraction(1, 2), 50, Fraction(1, 2)))
TWICE = gauge(ScrewScale(Fraction(1, 2), 50, Fraction(1)))
FINER = gauge(ScrewScale(Fraction(1), 50, Fraction(1, 2)))


@pytest.mark.parametrize(
    ("line", "words"),
    [
        (1, "So the zero line stands just past 6. If yours stands just past 7, "
            "7 is the last mark passed."),
        (19, "So the zero line stands just short of 7. If yours stands just short of 6, "
             "the last mark passed is 5."),
    ],
)  # fmt: skip
def test_a_zero_line_near_a_mark(line: int, words: str) -> None:
    assert said_near(CALIPER, Indication(Fraction(6), line)) == words


@pytest.mark.parametrize("line", [0, 3, 10, 17, 20])
def test_a_zero_line_on_a_mark_or_well_between_two(line: int) -> None:
    assert near_mark(CALIPER, Indication(Fraction(6), line)) is None


def test_a_circle_says_it_in_degrees() -> None:
    words = said_near(CIRCLE, Indication(Fraction(214 * 60), 29))
    assert "just short of 214°30′" in words
    assert "last mark passed is 213°30′" in words


@pytest.mark.parametrize(("line", "said"), [(2, "only just gone past"), (48, "not come round")])
def test_a_thimble_near_its_zero(line: int, said: str) -> None:
    assert said in said_near(HALF, Indication(Fraction("4.5"), line))
    assert any(said in say(one) for one in consider(HALF, "4.5", str(line)).sentences)


@pytest.mark.parametrize("line", [0, 11, 25, 39])
def test_a_thimble_away_from_its_zero(line: int) -> None:
    assert near_mark(HALF, Indication(Fraction("4.5"), line)) is None


@pytest.mark.parametrize(
    ("instrument", "indication", "reads"),
    [
        (HALF, Indication(Fraction(4), 2), ["4.02", "4.52"]),
        (HALF, Indication(Fraction("4.5"), 48), ["4.48", "4.98"]),
        (TWICE, Indication(Fraction(4), 48, second_turn=True), ["4.48", "4.98"]),
        (TWICE, Indication(Fraction(4), 2, second_turn=True), ["4.52", "5.02"]),
        (FINER, Indication(Fraction("4.5"), 40), ["3.8", "4.8"]),
        # Half a turn: the next mark may have been counted too early.
        (HALF, Indication(Fraction(4), 25), ["3.75", "4.25"]),
        (HALF, Indication(Fraction(4), 24), ["4.24", "4.74"]),
    ],
)
def test_the_other_turn(instrument: Instrument, indication: Indication, reads: list[str]) -> None:
    assert [turn.read for turn in turns(instrument, indication)] == [
        Fraction(read) for read in reads
    ]


def test_each_turn_says_how_the_sleeve_looks() -> None:
    words = [say(turn.says) for turn in turns(TWICE, Indication(Fraction(4), 2, second_turn=True))]
    assert words == ["last mark passed 4, second turn past it", "last mark passed 5"]


@given(screws(), st.integers(0, 400), st.integers(0, 99))
def test_two_turns_one_pitch_apart_one_of_them_what_was_read(
    scale: ScrewScale, turned: int, line: int
) -> None:
    indication = scale.indication_at(turned * scale.pitch, line % scale.fine_divisions)
    lower, upper = turns(gauge(scale), indication)
    assert upper.read - lower.read == scale.pitch
    assert scale.reading(indication) in (lower.read, upper.read)
    for turn in (lower, upper):
        assert scale.reading(turn.indication) == turn.read
        assert turn.indication.line == indication.line


@given(verniers(), st.integers(-3, 80), st.integers(0, 60))
def test_only_a_screw_has_turns(scale: VernierScale, mark: int, line: int) -> None:
    instrument = Instrument("c", "Caliper", Kind.VERNIER, "mm", scale)
    assert (
        turns(instrument, Indication(mark * scale.main_division, line % scale.fine_divisions)) == ()
    )
