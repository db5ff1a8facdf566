"""The desk: what is typed at the bench, and what is answered while it is typed."""

from dataclasses import replace
from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.core.desk.desk import consider, consider_position
from metrion.core.desk.said.hear import NOTHING_HEARD
from metrion.core.desk.said.judging import FigureOptions
from metrion.core.desk.said.meanings import key_of
from metrion.core.desk.typed import typed_number
from metrion.core.errors import NotExact
from metrion.core.instruments.appearance import Appearance, FineAs, PrintedUnit
from metrion.core.instruments.drawing import (
    fine_numerals,
    line_places,
    line_worths,
    main_numerals,
)
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, ScrewScale, VernierScale
from metrion.core.scales.base import Undecided
from metrion.core.scales.numerals import Numerals, usual_numerals
from metrion.core.traits import Kind
from metrion.voice import plainly
from tests.strategies import verniers

say = plainly().say

CALIPER = Instrument(
    "cal", "Caliper A", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 39),
    range=(Fraction(0), Fraction(150)), appearance=Appearance(fine_as=FineAs.LINE),
)  # fmt: skip
SCREW = Instrument(
    "screw", "Screw gauge B", Kind.SCREW, "mm", ScrewScale(Fraction(1, 2), 50, Fraction(1, 2))
)
ZERO = ZeroCheck("z", "cal", Indication(Fraction(-1), 17))


@pytest.mark.parametrize(
    ("text", "value"),
    [
        ("6,5", "13/2"), (" 6.5 ", "13/2"), (".5", "1/2"), ("-,5", "-1/2"), ("6.", "6"),
        ("1½", "3/2"), ("½", "1/2"), ("1 1/2", "3/2"), ("3/4", "3/4"), ("11/2", "11/2"),
        ("−1", "-1"),
    ],
)  # fmt: skip
def test_numbers_as_people_type_them(text: str, value: str) -> None:
    assert typed_number(text) == Fraction(value)


@pytest.mark.parametrize("text", ["6..5", "six", "1/0", "6.5.1", "", "."])
def test_what_is_no_number_is_said_to_be_none(text: str) -> None:
    with pytest.raises(NotExact):
        typed_number(text)


def test_a_complete_entry() -> None:
    answer = consider(CALIPER, "6", "3", checks=[ZERO])
    assert (answer.read, answer.corrected) == (Fraction("6.15"), Fraction("6.30"))
    assert answer.bounds == (6, 7)
    assert answer.meets == 12
    assert [say(neighbour.says) for neighbour in answer.neighbours] == [
        "0.05 right of 10",
        "0.05 left of 14",
    ]
    assert say(answer.sentences[0]) == "Line 3 is printed 1½ and worth 0.15 mm."
    assert "too little, a negative zero error: the correction adds it" in say(answer.sentences[-1])


@pytest.mark.parametrize(
    ("fine", "fine_as"),
    [("3", FineAs.LINE), ("1½", FineAs.NUMERAL), ("1,5", FineAs.NUMERAL), ("0.15", FineAs.WORTH)],
)
def test_three_ways_to_say_the_fine_reading(fine: str, fine_as: FineAs) -> None:
    assert consider(CALIPER, "6", fine, FigureOptions(fine_as)).line == 3


@pytest.mark.parametrize(
    ("fine", "first", "last"), [("12-14", 12, 14), ("12–13", 12, 13), ("0-2", 0, 2)]
)
def test_lines_that_seem_to_meet_are_kept_as_seen_and_read_as_the_middle(
    fine: str, first: int, last: int
) -> None:
    answer = consider(CALIPER, "6", fine)
    assert answer.line == Undecided(first, last)
    assert answer.read == 6 + Fraction(first + last, 2) * CALIPER.least_count
    lines = [neighbour.line for neighbour in answer.neighbours]
    assert lines == [one for one in (first - 1, first, last, last + 1) if one >= 0]
    assert f"Lines {first} to {last} seem to meet" in say(answer.sentences[0])


def test_one_line_from_itself_to_itself_is_no_range() -> None:
    answer = consider(CALIPER, "6", "3 - 3")
    assert (answer.line, answer.heard.fine_fault is None) == (None, False)


@pytest.mark.parametrize(
    ("fine", "says"),
    [
        ("21", "has no line 21; its lines run from 0 to 20"),
        ("-21", "has no line −21"),
        ("12-17", "more than 5 lines"),
        ("14-12", "lower one first"),
        ("3.3", "is no line of Caliper A, and no numeral or worth of one"),
        ("x", "is not a number"),
    ],
)
def test_a_line_that_cannot_be_is_explained(fine: str, says: str) -> None:
    answer = consider(CALIPER, "6", fine)
    assert answer.line is None
    assert answer.heard.fine_fault is not None
    assert says in plainly().say(answer.heard.fine_fault)
    assert answer.main == 6


def test_a_main_reading_between_marks_names_the_mark_passed() -> None:
    answer = consider(CALIPER, "6.45", "3")
    assert answer.heard.main_fault is not None
    assert plainly().say(answer.heard.main_fault) == (
        "6.45 is not a mark of Caliper A, whose marks are 1 mm apart"
    )
    assert [(one.text, say(one.says)) for one in answer.heard.main_offers] == [
        ("6", "6 mm"),
        ("7", "7 mm"),
    ]
    assert answer.read is None


def test_an_entry_outside_the_range_is_asked_about_and_not_refused() -> None:
    asked = consider(CALIPER, "151", "0")
    assert (asked.read, [one.reads for one in asked.heard.asked]) == (None, [151])
    answer = consider(CALIPER, "151", "0", FigureOptions(meant=asked.heard.asked[0].key))
    assert answer.read == 151
    assert any("outside the range" in say(sentence) for sentence in answer.sentences)


def test_line_zero_says_that_the_last_line_meets_too() -> None:
    assert "so does the last line" in say(consider(CALIPER, "6", "0").sentences[0])


def test_nothing_typed_is_no_fault() -> None:
    answer = consider(CALIPER, "", " ")
    assert (answer.heard, answer.read) == (NOTHING_HEARD, None)
    assert answer.sentences == ()


def test_a_screw_has_no_neighbours_that_meet_marks() -> None:
    answer = consider(SCREW, "4.5", "38")
    assert (answer.read, answer.neighbours) == (Fraction("4.88"), ())


@given(verniers(), st.fractions(-1, 60, max_denominator=999))
def test_a_dragged_position_and_its_figures_say_the_same(
    scale: VernierScale, position: Fraction
) -> None:
    instrument = Instrument("i", "I", Kind.VERNIER, "mm", scale)
    dragged = consider_position(instrument, position)
    assert dragged.main is not None
    assert dragged.indication is not None
    told = FigureOptions(meant=key_of(dragged.indication))
    typed = consider(instrument, str(dragged.main), str(dragged.line), told)
    assert replace(typed, heard=dragged.heard) == dragged


@given(verniers())
def test_neighbours_of_an_ordered_scale_miss_by_one_least_count(scale: VernierScale) -> None:
    if not scale.estimable() or scale.fine_divisions < 3:
        return
    told = FigureOptions(FineAs.LINE)
    answer = consider(Instrument("i", "I", Kind.VERNIER, "mm", scale), "0", "1", told)
    assert {abs(neighbour.miss) for neighbour in answer.neighbours} == {scale.least_count}


@pytest.mark.parametrize(
    ("lines", "tenths", "line", "text"),
    [
        (20, True, 3, "1½"), (10, True, 7, "7"), (50, True, 12, "2.4"), (50, False, 12, "12"),
        (25, True, 5, "5"), (8, True, 3, "3"), (20, True, 0, "0"), (20, True, 1, "½"),
    ],
)  # fmt: skip
def test_numerals_at_the_fine_lines(lines: int, tenths: bool, line: int, text: str) -> None:
    assert usual_numerals(lines, tenths=tenths).text(line) == text


@given(st.integers(1, 10), st.integers(1, 5), st.integers(0, 100))
def test_a_numeral_leads_back_to_its_line(every: int, step: int, line: int) -> None:
    numerals = Numerals(every, Fraction(step))
    assert numerals.line(numerals.at(line)) == line


@pytest.mark.parametrize(
    ("unit", "division", "numerals", "every", "step"),
    [
        ("mm", "1", PrintedUnit.MM, 10, "10"),
        ("mm", "1", PrintedUnit.CM, 10, "1"),
        ("mm", "0.5", PrintedUnit.MM, 20, "10"),
        ("cm", "0.1", PrintedUnit.CM, 10, "1"),
        ("in", "1/40", PrintedUnit.MM, 4, "1/10"),
        ("in", "1/16", PrintedUnit.MM, 8, "1/2"),
    ],
)
def test_numerals_of_the_main_scale(
    unit: str, division: str, numerals: PrintedUnit, every: int, step: str
) -> None:
    scale = VernierScale(Fraction(division), 10, 9)
    indications = Appearance(numerals)
    found = main_numerals(Instrument("i", "I", Kind.VERNIER, unit, scale, appearance=indications))
    assert (found.every, found.step) == (every, Fraction(step))


def test_the_lines_of_an_instrument() -> None:
    assert line_places(CALIPER)[:3] == [0, Fraction("1.95"), Fraction("3.9")]
    assert line_worths(CALIPER)[:3] == [0, Fraction("0.05"), Fraction("0.1")]
    assert len(line_worths(SCREW)) == 50
    assert line_places(SCREW) == []
    assert fine_numerals(CALIPER).printed(20)[20] == "10"
