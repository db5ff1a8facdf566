"""Figures as people see and say them: with the unit, the numeral, the worth, back from a mark."""

from dataclasses import replace
from fractions import Fraction

import pytest

from metrion.core.desk.desk import Answer, consider
from metrion.core.desk.example import example
from metrion.core.desk.said.hear import NOTHING_HEARD
from metrion.core.desk.said.judging import NOTHING_TOLD, FigureOptions, settled_by
from metrion.core.desk.said.reach import Reach
from metrion.core.desk.said.words import asked_says
from metrion.core.instruments.appearance import Appearance, FineAs, MainAs, PrintedUnit
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, PlainScale, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

say = plainly().say
ONE = Fraction(1)


def caliper(
    lines: int, span: int, unit: str = "mm", division: Fraction = ONE, **more
) -> Instrument:  # type: ignore[no-untyped-def]
    scale = VernierScale(division, lines, span)
    return Instrument("c", "Caliper", Kind.VERNIER, unit, scale, appearance=Appearance(**more))


IN_CM = caliper(50, 49, numerals=PrintedUnit.CM)
PLAIN_MM = caliper(50, 49)
INCHES = caliper(25, 24, "in", Fraction(1, 40))
SCREW = Instrument("s", "Gauge", Kind.SCREW, "mm", ScrewScale(ONE / 2, 50, ONE / 2))
ROUND = Instrument("a", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(30), 30, 29))
TWENTY = Instrument("b", "Circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(20), 40, 39))
TENTH = Instrument("d", "Fine circle", Kind.ANGULAR, "arcmin", VernierScale(Fraction(6), 6, 5))
RULER = Instrument("r", "Ruler", Kind.PLAIN, "mm", PlainScale(ONE))


LINE = FigureOptions(fine_as=FineAs.LINE)


def sentences(answer: Answer) -> str:
    return " ".join(map(say, answer.sentences))


@pytest.mark.parametrize(
    ("tool", "typed", "value", "said"),
    [
        # What is engraved is spoken, whatever the logbook keeps.
        (IN_CM, "5.2", "5.2", "The zero line has passed 5.2 and not yet 5.3"),
        (IN_CM, "5,2", "5.2", "The zero line has passed 5.2 and not yet 5.3"),
        (IN_CM, "5 mm", "1/2", "5 mm is 0.5 cm."),
        (IN_CM, "5.2cm", "5.2", "The zero line has passed 5.2 and not yet 5.3"),
        (PLAIN_MM, "52", "52", ""),
        (PLAIN_MM, "5.2cm", "52", "5.2cm is 52 mm."),
        (PLAIN_MM, "-1 mm", "-1", ""),
        (INCHES, "0.5in", "1/2", ""),
        (INCHES, '0.5"', "1/2", ""),
        (INCHES, "12.7 mm", "1/2", "12.7 mm is 0.5 in."),
        (RULER, "12 cm", "120", "12 cm is 120 mm."),
    ],
)
def test_a_mark_has_the_unit_that_is_engraved_or_typed(
    tool: Instrument, typed: str, value: str, said: str
) -> None:
    answer = consider(tool, typed, "")
    assert answer.main == Fraction(value)
    assert sentences(answer).startswith(said)


def test_a_mark_that_cannot_be_is_answered_with_the_possible_ones() -> None:
    heard = consider(IN_CM, "5.253", "").heard
    assert heard.main is None
    offers = [(one.text, say(one.says)) for one in heard.main_offers]
    assert offers == [("5.2", "5.2 cm"), ("5.3", "5.3 cm")]
    for offer in heard.main_offers:
        assert consider(IN_CM, offer.text, "").main is not None


@pytest.mark.parametrize(
    ("tool", "typed", "line", "said"),
    [
        (PLAIN_MM, "16", 16, "Line 16 is printed 3.2"),
        (PLAIN_MM, "3.2", 16, "Taken as the numeral that is printed. Line 16"),
        (PLAIN_MM, "0.32", 16, "Taken as what the line is worth. Line 16"),
        (PLAIN_MM, "0.32mm", 16, "Taken as what the line is worth. Line 16"),
        (PLAIN_MM, "0.032 cm", 16, "Taken as what the line is worth. Line 16"),
        (PLAIN_MM, "32", 32, "Line 32 is printed 6.4"),
        (SCREW, "38", 38, "Line 38"),
        (SCREW, "0.38", 38, "Taken as what the line is worth. Line 38"),
        (ROUND, "11", 11, "Line 11"),
        (ROUND, "12′", 12, "Taken as what the line is worth. Line 12"),
        (TWENTY, "6′30″", 13, "Taken as what the line is worth. Line 13"),
        (TWENTY, "6,5'", 13, "Taken as what the line is worth. Line 13"),
    ],
)
def test_a_fine_reading_is_understood_by_what_fits(
    tool: Instrument, typed: str, line: int, said: str
) -> None:
    answer = consider(tool, "0", typed, LINE)
    assert answer.line == line
    assert said in sentences(answer)


def test_where_two_lines_fit_it_asks_and_what_is_told_is_asked_no_more() -> None:
    tool = caliper(20, 39)
    reach = Reach(tool, at_zero=False, estimates=False)
    answer = consider(tool, "6", "5")
    assert (answer.main, answer.line, answer.read) == (6, None, None)
    told = [settled_by(reach, "6 5", NOTHING_TOLD, one) for one in answer.heard.asked]
    assert told == [FigureOptions(FineAs.LINE), FigureOptions(FineAs.NUMERAL)]
    assert [say(asked_says(tool, one)) for one in answer.heard.asked] == [
        "line number 5 past 6 mm", "the line printed 5 past 6 mm",
    ]  # fmt: skip
    assert [consider(tool, "6", "5", one).line for one in told] == [5, 10]
    keys = [one.key for one in answer.heard.asked]
    assert [consider(tool, "6", "5", FigureOptions(meant=one)).line for one in keys] == [5, 10]


def test_a_place_between_two_lines_may_be_a_numeral_too() -> None:
    tool = caliper(20, 39)
    asked = consider(tool, "6", "3.5", estimates=True).heard.asked
    assert [one.fine_way for one in asked] == ["numeral", "estimated"]
    assert consider(tool, "6", "3.5", LINE, estimates=True).line == Fraction("3.5")
    assert consider(tool, "6", "3.5").line == 7
    assert consider(SCREW, "6", "26.4", estimates=True).line == Fraction("26.4")


def test_who_types_a_numeral_hears_nothing_of_estimates() -> None:
    answer = consider(PLAIN_MM, "6", "3.25")
    assert "estimate" not in say(answer.heard.fine_fault)  # type: ignore[arg-type]
    fault = consider(SCREW, "6", "26.4").heard.fine_fault
    assert "estimate" in say(fault)  # type: ignore[arg-type]


@pytest.mark.parametrize(
    ("tool", "typed", "offered"),
    [
        (SCREW, "28.5", ["28", "29"]),
        (PLAIN_MM, "0.27", ["13", "14"]),
        (PLAIN_MM, "65", []),
        (PLAIN_MM, "15/16", ["15-16"]),
        (PLAIN_MM, "15/17", ["44", "45"]),
        (PLAIN_MM, "0.27 mm", ["13", "14"]),
        (SCREW, "0.7", []),
        (TWENTY, "6′20″", ["12", "13"]),
    ],
)
def test_what_is_no_line_is_answered_with_what_may_have_been_meant(
    tool: Instrument, typed: str, offered: list[str]
) -> None:
    heard = consider(tool, "0", typed, LINE).heard
    assert heard.line is None
    assert [one.text for one in heard.fine_offers] == offered
    for text in offered:
        assert consider(tool, "0", text, LINE).line is not None


def test_a_mark_beyond_the_beam_is_asked_about() -> None:
    short = replace(IN_CM, range=(Fraction(0), Fraction(150)))
    assert consider(short, "52", "3", LINE).read == Fraction("5.206")
    assert consider(short, "52 mm", "3", LINE).read == Fraction("5.206")
    beyond = consider(short, "199", "3", LINE)
    assert (beyond.read, [one.reads for one in beyond.heard.asked]) == (
        None, [Fraction("1990.06"), Fraction("199.06")],
    )  # fmt: skip
    # Whole figures that can be both are asked about, until the tool says which they are.
    both = consider(short, "6", "3", LINE)
    assert [one.main_way for one in both.heard.asked] == ["engraved", "unit"]
    assert consider(short, "6", "3", replace(LINE, main_as=MainAs.UNIT)).read == Fraction("0.606")
    # A tool that is read in millimetres is spoken of in millimetres.
    told = replace(short, appearance=replace(short.appearance, main_as=MainAs.UNIT))
    assert consider(told, "6", "3", LINE).read == Fraction("6.06")


def test_degrees_and_minutes_that_are_no_mark_are_told_as_such() -> None:
    fault = consider(TWENTY, "100", "30 9").heard.fine_fault
    assert fault
    assert say(fault).startswith("100°30′ is not a mark of")


def test_inches_are_typed_with_a_stroke_between() -> None:
    assert consider(caliper(8, 7, "in", ONE / 16), "1 3/16", "").main == Fraction(19, 16)


@pytest.mark.parametrize(
    ("tool", "main", "fine", "read"),
    [
        (caliper(20, 39), "0", "-3", "-0.15"),
        (caliper(20, 39), "-1", "-3", "-0.15"),
        (caliper(20, 39), "6", "−3", "5.85"),
        (SCREW, "0", "-3", "-0.03"),
        (SCREW, "-0.5", "-3", "-0.03"),
        (caliper(20, 39), "0", "-0", "0"),
    ],
)
def test_lines_are_counted_back(tool: Instrument, main: str, fine: str, read: str) -> None:
    assert consider(tool, main, fine, LINE, at_zero=True).read == Fraction(read)


def test_lines_counted_back_wait_for_a_mark_and_need_an_order() -> None:
    assert consider(SCREW, "", "-3").heard == NOTHING_HEARD
    assert consider(caliper(10, 7), "6", "-3").heard.fine_fault is not None


@pytest.mark.parametrize(
    ("tool", "typed", "minutes"),
    [
        (ROUND, "100.5", 100 * 60 + 30),
        (ROUND, "100,5°", 100 * 60 + 30),
        (ROUND, "57.30", 57 * 60 + 30),
        (TWENTY, "341.20", 341 * 60 + 20),
        (TWENTY, "-0.20", -20),
        (TENTH, "12.2", 12 * 60 + 12),
        (ROUND, "57:30", 57 * 60 + 30),
        (ROUND, "57.0", 57 * 60),
    ],
)
def test_degrees_with_a_point_are_what_is_a_mark(
    tool: Instrument, typed: str, minutes: int
) -> None:
    assert consider(tool, typed, "").main == minutes


def test_degrees_with_a_point_that_could_be_both_or_neither_are_asked_for() -> None:
    both = consider(TENTH, "12.30", "2")
    assert [one.way for one in both.heard.asked] == ["engraved+line", "degrees+line"]
    neither = consider(ROUND, "100.251", "")
    assert neither.main is None
    assert [one.text for one in neither.heard.main_offers] == ["100:00", "100:30"]


def test_half_a_mark_shows_within_a_fifth_of_a_turn() -> None:
    half = Instrument("h", "Gauge", Kind.SCREW, "mm", ScrewScale(ONE, 100, ONE / 2))
    assert "just passed 6.5" in sentences(consider(half, "6.5", "55"))
    assert "not come to 6.5 yet" in sentences(consider(half, "6", "41"))
    assert "not come to" not in sentences(consider(half, "6", "29"))
    assert "only just gone past" in sentences(consider(SCREW, "6", "10"))
    assert "only just gone past" not in sentences(consider(SCREW, "6", "11"))


def test_undecided_lines_print_as_they_were_seen() -> None:
    answer = consider(caliper(20, 39), "6", "15-16")
    assert answer.indication == Indication.seen(Fraction(6), answer.line)  # type: ignore[arg-type]
    assert (answer.read, answer.meets) == (Fraction("6.775"), None)


@pytest.mark.parametrize(
    "tool", [IN_CM, PLAIN_MM, INCHES, SCREW, ROUND, TWENTY, RULER, caliper(10, 11), caliper(10, 7)]
)
@pytest.mark.parametrize("fine_as", [None, *FineAs])
def test_the_example_of_a_hint_is_accepted_by_its_tool(
    tool: Instrument, fine_as: FineAs | None
) -> None:
    told = replace(tool, appearance=replace(tool.appearance, fine_as=fine_as))
    main, fine = example(told)
    answer = consider(told, main, fine)
    # What can be two readings is asked about once, and the hint is one of them.
    assert answer.read is not None or fine_as is None
    assert answer.read is not None or len(answer.heard.asked) > 1
