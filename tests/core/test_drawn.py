"""The numerals of main scales, and on which side a zero stands: in full."""

from dataclasses import replace
from fractions import Fraction

import pytest

from metrion.core.desk.desk import consider
from metrion.core.desk.said.judging import FigureOptions
from metrion.core.desk.zero_desk import zero_finding
from metrion.core.instruments.appearance import Appearance, FineAs, PrintedUnit
from metrion.core.instruments.drawing import MainNumerals, main_numerals
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.wrapped_zero import likelier, sides, wrapped_zero
from metrion.core.scales import Indication, PlainScale, ScrewScale, VernierScale
from metrion.core.traits import Kind
from metrion.voice import plainly

ONE, HALF, CM = Fraction(1), Fraction(1, 2), Appearance(numerals=PrintedUnit.CM)
USUAL = Appearance()
SCREW = Instrument("s", "S", Kind.SCREW, "mm", ScrewScale(HALF, 50, HALF))
CIRCLE = Instrument("a", "A", Kind.ANGULAR, "arcmin", VernierScale(Fraction(30), 30, 29))
CALIPER = Instrument("c", "C", Kind.VERNIER, "mm", VernierScale(ONE, 20, 39))


def vernier(unit: str, division: str, appearance: Appearance = USUAL) -> Instrument:
    scale = VernierScale(Fraction(division), 10, 9)
    return Instrument("c", "C", Kind.VERNIER, unit, scale, appearance=appearance)


@pytest.mark.parametrize(
    ("tool", "every", "step", "unit"),
    [
        (vernier("mm", "1"), 10, "10", "mm"),
        (vernier("mm", "1/2"), 20, "10", "mm"),
        (vernier("mm", "1", CM), 10, "1", "cm"),
        (vernier("cm", "1/10"), 10, "1", "cm"),
        (vernier("cm", "1/10", CM), 10, "1", "cm"),
        (vernier("in", "1/40"), 4, "1/10", "in"),
        (vernier("in", "1/16"), 8, "1/2", "in"),
        (vernier("mm", "1/11"), 10, "10/11", "mm"),
        (SCREW, 2, "1", "mm"),
        (replace(SCREW, appearance=CM), 2, "1/10", "cm"),
        (CIRCLE, 2, "1", "°"),
    ],
)  # fmt: skip
def test_the_numerals_of_a_main_scale(tool: Instrument, every: int, step: str, unit: str) -> None:
    assert main_numerals(tool) == MainNumerals(every, Fraction(step), unit)


def found(tool: Instrument, main: str, line: int, piece: str = "0") -> list[str]:
    finding = zero_finding(tool, Indication(Fraction(main), line), Fraction(piece))
    return [plainly().say(way) for way in finding.ways]


def test_the_ways_of_counting_a_zero_in_full() -> None:
    assert found(CALIPER, "0", 3) == ["mark passed and line: 0 + 3 × 0.05 = 0.15 mm"]
    assert found(CALIPER, "-1", 17) == [
        "mark below zero and line: −1 + 17 × 0.05 = −0.15 mm",
        "counted back from the end: −(20 − 17) × 0.05 = −3 × 0.05 = −0.15 mm",
    ]
    assert found(SCREW, "-1/2", 43) == [
        "mark below zero and line: −0.5 + 43 × 0.01 = −0.07 mm",
        "counted back from the end: −(50 − 43) × 0.01 = −7 × 0.01 = −0.07 mm",
    ]
    assert found(CALIPER, "24", 19, "25") == [
        "mark passed and line: 24 + 19 × 0.05 = 24.95 mm",
        "reading less reference: 24.95 mm − 25 = −0.05 mm",
    ]


LEFT_OR_RIGHT = ("left of the main zero: −0.15 mm", "right of the main zero: 0.85 mm")
PAST_OR_SHORT = (
    "had run past the datum line: −0.07 mm",
    "was still short of the datum line: 0.43 mm",
)


@pytest.mark.parametrize(
    ("tool", "main", "line", "piece", "told"),
    [
        (CALIPER, "0", 17, "0", LEFT_OR_RIGHT),
        (SCREW, "0", 43, "0", PAST_OR_SHORT),
        (CALIPER, "25", 18, "25", ("left of 25: −0.10 mm", "right of 25: 0.90 mm")),
    ],
)  # fmt: skip
def test_a_wrapped_zero_is_told_by_its_two_sides(
    tool: Instrument, main: str, line: int, piece: str, told: tuple[str, str]
) -> None:
    wrapped = wrapped_zero(tool, Indication(Fraction(main), line), Fraction(piece))
    assert wrapped is not None
    said = [plainly().say(side) for side in sides(tool, wrapped)]
    assert [one.endswith(end) for one, end in zip(said, told, strict=True)] == [True, True]
    where, _, error = told[0].partition(": ")
    likely = plainly().say(likelier(tool, wrapped))
    assert likely.startswith("If the ")
    assert likely.endswith(f"{where}, it is {error}.")


def test_a_line_is_typed_by_its_worth_where_lines_are_not_in_order() -> None:
    scrambled = Instrument("c", "C", Kind.VERNIER, "mm", VernierScale(ONE, 10, 7))

    told = FigureOptions(fine_as=FineAs.WORTH)
    worths = [scrambled.reading(Indication(Fraction(0), at)) for at in range(10)]
    heard = [consider(scrambled, "0", str(float(worth)), told) for worth in worths]
    assert [answer.line for answer in heard] == list(range(10))
    (fault,) = [consider(scrambled, "0", "0.15", told).heard.fine_fault]
    assert fault is not None
    assert plainly().say(fault) == (
        "0.15 is no line of C, and no numeral or worth of one; its lines run from 0 to 10"
    )


def test_a_plain_scale_reads_its_marks() -> None:
    rule = PlainScale(Fraction(1, 10))
    assert (rule.least_count, rule.mark, rule.pattern_name) == (
        Fraction(1, 10),
        Fraction(1, 10),
        "plain",
    )
    assert (rule.has_line(0), rule.has_line(1), rule.estimable()) == (True, False, False)
    assert rule.reading(Indication(Fraction(5), 0)) == 5
    assert rule.one_mark_on(Indication(Fraction(5), 0), -1) == Indication(Fraction(49, 10), 0)
    for position, nearest in (("0.14", "0.1"), ("0.15", "0.1"), ("0.16", "0.2")):
        assert rule.nearest(Fraction(position)) == Indication(Fraction(nearest), 0)
