"""Instruments: how their readings are written, and which looks they refuse."""

from fractions import Fraction

import pytest

from metrion.core.conventions.convention import BUILT_IN, Combine, Family, Spread
from metrion.core.errors import (
    MetrionError,
    NoSuchLine,
    NotAMark,
    NotEstimable,
    NotExact,
    UnreadableSleeve,
    UselessScale,
)
from metrion.core.facts import Figure, Name, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.zero import ZeroCheck, zero_error, zero_errors
from metrion.core.scales import Indication, Scale, ScrewScale, VernierScale
from metrion.core.traits import Kind
from tests.said import said, saying

ONE, HALF = Fraction(1), Fraction(1, 2)


def tool(scale: Scale, kind: Kind = Kind.VERNIER, unit: str = "mm") -> Instrument:
    return Instrument("i", "Caliper A", kind, unit, scale)


CALIPER = tool(VernierScale(ONE, 20, 39))
FIFTY = tool(VernierScale(ONE, 50, 49))
INCH = tool(VernierScale(Fraction(1, 40), 25, 24), unit="in")
NINTHS = tool(VernierScale(ONE, 9, 8))
SCREW = tool(ScrewScale(HALF, 50, HALF), Kind.SCREW)
CIRCLE = tool(VernierScale(Fraction(20), 40, 39), Kind.ANGULAR, "arcmin")


@pytest.mark.parametrize(
    ("instrument", "value", "text"),
    [
        (CALIPER, "6.3", "6.30"),
        (CALIPER, "6", "6.00"),
        (CALIPER, "6.325", "6.325"),  # a mean may have more decimals than the scale
        (CALIPER, "-0.15", "-0.15"),
        (CALIPER, "0", "0.00"),
        (FIFTY, "7.3", "7.30"),
        (INCH, "0.307", "0.307"),
        (INCH, "1", "1.000"),
        (NINTHS, "1/9", "0.111111"),
        (SCREW, "4.88", "4.88"),
        (CIRCLE, "7", "0°7.0′"),
        (CIRCLE, "1158.5", "19°18.5′"),
    ],
)
def test_a_reading_has_the_decimals_that_the_least_count_allows(
    instrument: Instrument, value: str, text: str
) -> None:
    assert instrument.value_text(Fraction(value)) == text


@pytest.mark.parametrize(
    ("instrument", "value", "text"),
    [
        (CALIPER, "0.05", "0.05 mm"),
        (INCH, "0.001", "0.001 in"),
        (CIRCLE, "0.5", "0.5′"),
        (CIRCLE, "59", "59′"),
        (CIRCLE, "61", "1°1.0′"),
    ],
)
def test_with_its_unit(instrument: Instrument, value: str, text: str) -> None:
    assert instrument.with_unit(Fraction(value)) == text


@pytest.mark.parametrize(
    ("instrument", "main"),
    [(CALIPER, "6"), (CALIPER, "-1"), (SCREW, "4.5"), (SCREW, "-0.5"), (CIRCLE, "20480")],
)
def test_marks_are_taken(instrument: Instrument, main: str) -> None:
    value = Fraction(main)
    instrument.check_main(value)
    assert instrument.main_text(value)


@pytest.mark.parametrize(
    ("instrument", "main", "says"),
    [
        (CALIPER, "6.4", "6.4 is not a mark of Caliper A, whose marks are 1 mm apart"),
        (SCREW, "4.25", "marks are 0.5 mm apart"),
        (INCH, "0.31", "marks are 0.025 in apart"),
        (CIRCLE, "20490", "341:30 is not a mark of Caliper A, whose marks are 20′ apart"),
    ],
)
def test_between_marks_is_refused_with_the_distance(
    instrument: Instrument, main: str, says: str
) -> None:
    with pytest.raises(NotAMark, check=saying(says)):
        instrument.check_main(Fraction(main))


@pytest.mark.parametrize(
    ("instrument", "line", "estimates", "error"),
    [
        (CALIPER, 20, False, None),
        (CALIPER, 21, False, NoSuchLine),
        (CALIPER, -1, False, NoSuchLine),
        (CALIPER, Fraction("3.5"), True, None),
        (CALIPER, Fraction("3.5"), False, NotEstimable),
        (CALIPER, Fraction(3), False, NotEstimable),  # a whole one, but estimated
        (CALIPER, Fraction("20.1"), True, NoSuchLine),
        (SCREW, 49, False, None),
        (SCREW, 50, False, NoSuchLine),
        (SCREW, Fraction("49.9"), True, None),
        (SCREW, Fraction(50), True, NoSuchLine),
        (tool(VernierScale(ONE, 10, 7)), Fraction("3.5"), True, NotEstimable),
    ],
)
def test_lines_that_are_there_and_lines_that_are_not(
    instrument: Instrument,
    line: int | Fraction,
    estimates: bool,
    error: type[MetrionError] | None,
) -> None:
    if error is None:
        instrument.check_line(line, estimates=estimates)
        assert instrument.scale.has_line(line)
    else:
        with pytest.raises(error):
            instrument.check_line(line, estimates=estimates)


def test_errors_carry_their_facts() -> None:
    with pytest.raises(NotAMark) as mark:
        CALIPER.check_main(Fraction("6.4"))
    about = {"value": Figure("6.4"), "tool": Name("Caliper A"), "division": Figure("1 mm")}
    assert mark.value.says.about == about
    with pytest.raises(NoSuchLine) as line:
        CALIPER.check_line(33, estimates=False)
    about = {"line": Figure("33"), "tool": Name("Caliper A"), "last": Figure("20")}
    assert line.value.says.about == about


@pytest.mark.parametrize(
    ("error", "says"),
    [
        (NotExact("1,5"), "1,5 is not a number as it is written here"),
        (UselessScale(10, 20), "10 fine divisions over 20 main divisions all coincide at once"),
        (UselessScale(1, 3), "one fine division tells nothing"),
        (UnreadableSleeve("0.3", "0.5"), "sleeve marks 0.3 apart do not fit a pitch of 0.5"),
        (NotEstimable("3.5", fact("convention-without-estimates")), "give a whole line as integer"),
    ],
)
def test_every_error_says_what_is_wrong(error: MetrionError, says: str) -> None:
    assert says in said(error)


def test_a_very_long_text_is_shortened_in_its_sentence() -> None:
    assert len(str(NotExact("9" * 5000))) < 200


def test_several_looks_at_the_zero_are_averaged() -> None:
    checks = [
        ZeroCheck("a", "i", Indication(-ONE, 17)),
        ZeroCheck("b", "i", Indication(-ONE, 18)),
        ZeroCheck("c", "i", Indication(Fraction(25), 0), reference=Fraction("25.1")),
    ]
    assert zero_errors(CALIPER, checks) == [Fraction("-0.15"), Fraction("-0.1"), Fraction("-0.1")]
    assert zero_error(CALIPER, checks) == Fraction("-0.35") / 3
    assert zero_error(CALIPER, []) == 0


@pytest.mark.parametrize(
    ("key", "family", "limit", "zero_look", "digits", "spread", "combine"),
    [
        ("whole-division", Family.LIMIT, "1", True, 1, Spread.HALF_RANGE, Combine.LARGER),
        ("half-division", Family.LIMIT, "1/2", False, 1, Spread.HALF_RANGE, Combine.LARGER),
        ("standard", Family.STANDARD, "1/2", True, 2, None, None),
        ("standard-95", Family.STANDARD, "1/2", True, 2, None, None),
    ],
)
def test_the_conventions_that_are_built_in(
    key: str,
    family: Family,
    limit: str,
    zero_look: bool,
    digits: int,
    spread: Spread | None,
    combine: Combine | None,
) -> None:
    found = BUILT_IN[key]
    assert (found.family, found.reading_limit) == (family, Fraction(limit))
    assert (found.zero_look, found.digits, found.estimate) == (zero_look, digits, False)
    if spread:
        assert (found.spread, found.combine) == (spread, combine)
    else:
        assert found.coverage.percentage is (key == "standard-95")
