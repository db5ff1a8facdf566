"""The workshop: patterns explained, line after line, the pitch, and the zero by both rules."""

from fractions import Fraction
from itertools import pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.desk.zero_desk import indication_below_zero, zero_finding
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.notes import notes, slide
from metrion.core.instruments.pitch import PitchTrial, find_pitch, nearest_usual_pitch
from metrion.core.scales import Indication, Numbering, Scale, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.core.words import CONCEPTS
from metrion.voice import plainly
from tests.strategies import screws, verniers

ONE, HALF = Fraction(1), Fraction(1, 2)


def tool(scale: Scale, kind: Kind = Kind.VERNIER, unit: str = "mm") -> Instrument:
    return Instrument("i", "this tool", kind, unit, scale)


def screw(pitch: str = "0.5", lines: int = 50, division: str = "0.5") -> Instrument:
    return tool(ScrewScale(Fraction(pitch), lines, Fraction(division)), Kind.SCREW)


@pytest.mark.parametrize(
    ("lines", "span", "says", "warns"),
    [
        (20, 39, "extended", False),
        (10, 11, "run backwards", False),
        (10, 8, "2 lines meet at once, lines 1 and 6", True),
        (10, 7, "not in order: line 1 adds 3/10", True),
        (10, 20, "tells nothing", True),
    ],
)
def test_a_pattern_is_explained(lines: int, span: int, says: str, warns: bool) -> None:
    first = notes(tool(VernierScale(ONE, lines, span)))[0]
    assert says in plainly().say(first.says)
    assert first.warning is warns


def test_an_ordinary_scale_needs_no_remark() -> None:
    assert notes(tool(VernierScale(ONE, 20, 19))) == []


def test_routes_that_disagree_are_told_with_what_holds() -> None:
    texts = [plainly().say(note.says) for note in notes(tool(VernierScale(ONE, 10, 8)))]
    assert any(
        "0.2 mm by difference, 0.1 mm by division" in text and "is 0.2 mm" in text for text in texts
    )


def test_the_classical_retrograde_is_in_order() -> None:
    scale = VernierScale(ONE, 10, 11, Numbering.AGAINST)
    assert "read in order" in plainly().say(notes(tool(scale))[0].says)


@pytest.mark.parametrize(
    ("division", "says"), [("0.5", "One turn is one mark"), ("1", "second turn"), ("0.25", "check")]
)
def test_a_sleeve_is_explained(division: str, says: str) -> None:
    assert says in plainly().say(notes(screw(division=division))[0].says)


@given(verniers())
def test_the_slide_goes_in_steps_of_one_least_count_through_one_division(
    scale: VernierScale,
) -> None:
    steps = slide(tool(scale))
    gaps = [b.position - a.position for a, b in pairwise(steps)]
    assert set(gaps) == {scale.least_count}
    assert steps[0].lines == steps[-1].lines
    for step in steps:
        for line in step.lines:
            met = (step.position + scale.line_position(line)) / scale.main_division
            assert met.denominator == 1


def test_a_useless_scale_has_no_slide() -> None:
    assert slide(tool(VernierScale(ONE, 10, 20))) == []


def test_angles_are_told_in_degrees_and_minutes() -> None:
    circle = tool(VernierScale(Fraction(30), 30, 29), Kind.ANGULAR, "arcmin")
    assert circle.with_unit(Fraction(7)) == "7′"
    assert circle.with_unit(Fraction(91)) == "1°31′"
    assert plainly().say(slide(circle)[3].says) == "line 3 meets: the gap is 3 × 1 = 3′"


TRIALS = [PitchTrial(10, Fraction(2), Fraction(7)), PitchTrial(8, Fraction(9), Fraction(5))]


def test_the_pitch_of_trials_that_agree() -> None:
    found = find_pitch(TRIALS, "mm")
    assert (found.mean, found.spread, found.usual, found.warnings) == (HALF, 0, HALF, ())


def test_a_turn_miscounted_is_named() -> None:
    found = find_pitch([*TRIALS, PitchTrial(11, Fraction(0), Fraction(5))], "mm")
    assert found.usual == HALF
    (warning,) = found.warnings
    assert plainly().say(warning) == (
        "Trial 3: 5 mm is 10 turns of 0.5 mm, not 11. Was a turn miscounted?"
    )


def test_trials_that_disagree_otherwise() -> None:
    trials = [PitchTrial(2, Fraction(0), ONE), PitchTrial(2, Fraction(0), Fraction("1.2"))]
    (warning,) = find_pitch([*trials, trials[0]], "mm").warnings
    assert "disagree" in plainly().say(warning)


def test_a_pitch_that_is_not_usual() -> None:
    (warning,) = find_pitch([PitchTrial(10, Fraction(0), Fraction("3.8"))], "mm").warnings
    assert "No usual pitch" in plainly().say(warning)


@pytest.mark.parametrize(
    ("pitch", "unit", "usual"),
    [("0.49", "mm", "1/2"), ("0.05", "cm", "1/20"), ("0.0251", "in", "1/40"), ("0.6", "mm", None)],
)
def test_usual_pitches(pitch: str, unit: str, usual: str | None) -> None:
    assert nearest_usual_pitch(Fraction(pitch), unit) == (Fraction(usual) if usual else None)


@given(st.integers(1, 19))
def test_both_rules_of_counting_a_negative_zero_give_one_number(line: int) -> None:
    found = zero_finding(tool(VernierScale(ONE, 20, 39)), Indication(-ONE, line), Fraction(0))
    ends = {way.rpartition("= ")[2] for way in map(plainly().say, found.ways)}
    assert len(found.ways) == 2
    assert len(ends) == 1
    assert found.error == (line - 20) * Fraction(1, 20)


def test_the_error_in_words() -> None:
    gauge = screw()
    negative = zero_finding(gauge, Indication(-HALF, 43), Fraction(0))
    assert plainly().say(negative.says) == (
        "Zero error −0.07 mm: it reads too little, a negative zero error. The correction is "
        "+0.07 mm, the error with its sign turned round."
    )
    assert negative.advice is not None
    assert "competent" in plainly().say(negative.advice)
    positive = zero_finding(gauge, Indication(Fraction(0), 3), Fraction(0))
    assert "a positive zero error. The correction is −0.03 mm" in plainly().say(positive.says)
    assert (len(positive.ways), positive.advice) == (1, None)
    exact = zero_finding(gauge, Indication(Fraction(0), 0), Fraction(0))
    assert "nothing to correct" in plainly().say(exact.says)


def test_a_reference_takes_the_place_of_closed_faces() -> None:
    found = zero_finding(screw(), Indication(Fraction(25), 2), Fraction(25))
    assert found.error == Fraction("0.02")
    assert plainly().say(found.ways[-1]) == "reading less reference: 25.02 mm − 25 = 0.02 mm"


@given(screws())
def test_the_look_below_zero_lies_one_turn_below_it(scale: ScrewScale) -> None:
    indication = indication_below_zero(tool(scale, Kind.SCREW))
    assert scale.reading(indication) == -scale.pitch
    assert (indication.main / scale.main_division).denominator == 1


def test_every_concept_has_one_usual_word_and_no_word_means_two_things() -> None:
    words = [word for concept in CONCEPTS for word in plainly().alternatives(concept)]
    assert len(words) == len(set(words))
    assert plainly().words["least_count"] == "least count"


def test_every_kind_has_parts_with_purposes() -> None:
    for kind in Kind:
        assert len(kind.traits.parts) == len(set(kind.traits.parts))
        assert all(plainly().text(f"part-{kind}-{part}.purpose") for part in kind.traits.parts)
    assert [face.closes for face in Kind.VERNIER.traits.faces] == [True, False, True]
