"""What a convention, a scale, a zero and an entry are said to be, sentence by sentence."""

from collections.abc import Sequence
from fractions import Fraction

import pytest

from metrion.core.conventions.convention import (
    BUILT_IN,
    Combine,
    Convention,
    Coverage,
    Family,
    Spread,
)
from metrion.core.conventions.described import described, difference
from metrion.core.desk.desk import consider, zero_says
from metrion.core.desk.said.judging import FigureOptions
from metrion.core.instruments.appearance import FineAs
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.notes import notes, slide
from metrion.core.quantity.zero import ZeroCheck
from metrion.core.scales import Indication, Scale, ScrewScale, VernierScale
from metrion.core.scales.vernier import Numbering
from metrion.core.traits import Kind
from metrion.voice import plainly

say = plainly().say
ONE, HALF = Fraction(1), Fraction(1, 2)
OWN = Convention(
    "own", "Own", Family.LIMIT, Fraction(1, 4), True, "1-or-2",
    Spread.MEAN_DEVIATION, Combine.QUADRATURE, estimate=True,
)  # fmt: skip
DOUBLED = Convention("d", "D", Family.STANDARD, ONE, False, 1, coverage=Coverage(Fraction(2)))
LIMIT = ["keeps limits as they are.", "takes half the range of the readings as their scatter.",
         "lets the larger of limit and scatter count.",
         "gives limits that the value should lie within.",
         "gives the uncertainty with one figure.", "takes whole lines."]  # fmt: skip
STANDARD = ["takes every value within a limit as equally likely: limits are divided by √3.",
            "takes the standard error of the mean as scatter.", "adds the parts as squares.",
            "takes whole lines."]  # fmt: skip
LOOKED, EXACT = "counts what the look at the zero may be off by, too.", "takes the zero as exact."


@pytest.mark.parametrize(
    ("convention", "own", "of_its_family"),
    [
        (BUILT_IN["whole-division"], ["a whole least count", LOOKED], LIMIT),
        (BUILT_IN["half-division"], ["half a least count", EXACT], LIMIT),
        (
            BUILT_IN["standard"],
            ["half a least count", LOOKED, "gives the standard uncertainty as it is.",
             "gives the uncertainty with two figures."],
            STANDARD,
        ),
        (
            BUILT_IN["standard-95"],
            ["half a least count", LOOKED, "widens the result to cover 95 %.",
             "gives the uncertainty with two figures."],
            STANDARD,
        ),
        (
            OWN,
            ["0.25 least counts", LOOKED, "takes the mean deviation of the readings as their scatter.",
             "adds the parts as squares.", "estimates tenths between two lines.",
             "gives the uncertainty with one figure, with two when the first is 1."],
            [LIMIT[0], LIMIT[3]],
        ),
        (
            DOUBLED,
            ["a whole least count", EXACT, "multiplies the standard uncertainty by 2.",
             "gives the uncertainty with one figure."],
            STANDARD,
        ),
    ],
)  # fmt: skip
def test_what_a_convention_does(
    convention: Convention, own: list[str], of_its_family: list[str]
) -> None:
    limit, *others = own
    expected = {f"takes {limit} as the limit of one look.", *others, *of_its_family}
    assert {say(fact) for fact in described(convention)} == expected


def test_why_two_conventions_may_differ() -> None:
    half, whole = BUILT_IN["half-division"], BUILT_IN["whole-division"]
    found = difference(half, whole)
    assert found is not None
    assert say(found) == (
        "It takes a whole least count as the limit of one look and counts what the look at "
        "the zero may be off by, too."
    )
    without = difference(half, whole, zero_looked_at=False)
    assert without is not None
    assert say(without) == "It takes a whole least count as the limit of one look."
    assert difference(half, half) is None


def tool(scale: Scale) -> Instrument:
    kind = Kind.SCREW if isinstance(scale, ScrewScale) else Kind.VERNIER
    return Instrument("i", "I", kind, "mm", scale)


def on(lines: int, marks: int, numbering: Numbering = Numbering.WITH) -> VernierScale:
    return VernierScale(ONE, lines, marks, numbering)


ROUTES = "The two textbook routes disagree: {} mm by difference, 0.1 mm by division. What the lines can really tell apart is {} mm."
DO_NOT_COUNT = "Read what each line is worth, do not count."


@pytest.mark.parametrize(
    ("scale", "told"),
    [
        (on(10, 10), ["10 fine divisions over 10 marks: every line meets a mark at once, wherever the slide stands. It tells nothing. Count again; one mark fewer is usual."]),
        (on(20, 39), ["An extended scale: its lines lie nearly two main divisions apart, which is easier to read. The lines are in order all the same."]),
        (on(10, 11), ["The lines run backwards: line 1 adds 9/10 of a main division, line 2 8/10. Numbered the other way they would be in order."]),
        (on(10, 11, Numbering.AGAINST), ["Numbered against the main scale: its lines are read in order."]),
        (on(10, 8), ["2 lines meet at once, lines 1 and 6 for instance. Only 5 positions can be told apart, so the least count is 0.2 mm and not 0.1 mm.", ROUTES.format("0.2", "0.2")]),
        (on(10, 7), [f"The lines are not in order: line 1 adds 3/10 of a main division, line 2 6/10. {DO_NOT_COUNT}", ROUTES.format("0.3", "0.1")]),
        (on(10, 13), [f"The lines are not in order: line 1 adds 7/10 of a main division, line 2 4/10. {DO_NOT_COUNT}", ROUTES.format("0.3", "0.1")]),
        (on(10, 9), []),
        (ScrewScale(HALF, 50, ONE), ["The sleeve has a mark at every second turn only. Say whether the thimble is in the second turn past the mark; that adds 0.50 mm."]),
        (ScrewScale(ONE, 100, HALF), ["The sleeve has several marks to one turn. Only those 1.00 mm apart count; the others are a check on the thimble."]),
        (ScrewScale(HALF, 50, HALF), ["One turn is one mark. If the thimble’s zero has not come round to the datum line, the next mark has not been passed, though it may show."]),
    ],
)  # fmt: skip
def test_what_to_know_about_a_scale(scale: Scale, told: list[str]) -> None:
    assert [say(note.says) for note in notes(tool(scale))] == told


def test_where_to_see_it_and_what_is_a_warning() -> None:
    for marks in (7, 8):
        first, second = notes(tool(on(10, marks)))
        assert (first.warning, first.indication) == (True, Indication(Fraction(0), 1))
        assert (second.warning, second.indication) == (True, None)
    assert [note.warning for note in notes(tool(on(20, 39)))] == [False]


def test_the_slow_motion_slide() -> None:
    steps = list(slide(tool(on(10, 8))))
    assert [(step.position, step.lines) for step in steps[:2]] == [
        (0, (0, 5, 10)), (Fraction(1, 5), (1, 6)),
    ]  # fmt: skip
    assert say(steps[0].says) == "lines 0, 5 and 10 meet: the gap is 0 × 0.2 = 0.0 mm"
    turned = list(slide(tool(ScrewScale(HALF, 50, HALF))))
    assert turned[1].position == Fraction(1, 100)
    assert say(turned[1].says) == "line 1 at the datum line: the gap is 1 × 0.01 = 0.01 mm"


CALIPER, SCREW = tool(on(20, 39)), tool(ScrewScale(HALF, 50, HALF))


@pytest.mark.parametrize(
    ("instrument", "look", "told"),
    [
        (CALIPER, None, "The zero has not been looked at yet, so nothing is corrected."),
        (CALIPER, ("0", 0), "This tool reads zero where it should: nothing to correct."),
        (SCREW, ("0", 0), "This gauge reads zero where it should: nothing to correct."),
        (
            CALIPER,
            ("0", 3),
            "This tool reads 0.15 mm too much, a positive zero error: the correction takes it off.",
        ),
        (
            CALIPER,
            ("-1", 17),
            "This tool reads 0.15 mm too little, a negative zero error: the correction adds it.",
        ),
        (
            SCREW,
            ("-1/2", 43),
            "This gauge reads 0.07 mm too little, a negative zero error: the correction adds it.",
        ),
    ],
)
def test_what_a_zero_does(instrument: Instrument, look: tuple[str, int] | None, told: str) -> None:
    checks: Sequence[ZeroCheck] = ()
    if look:
        seen = Indication(Fraction(look[0]), look[1])
        checks = [ZeroCheck(id="z", instrument="i", indication=seen)]
    assert say(zero_says(instrument, checks)) == told


BETWEEN = "The zero line has passed 6 and not yet 7, so the reading lies between them."
TURNED = "The edge of the thimble has passed 6.5 and not yet 7, so the reading lies between them."


@pytest.mark.parametrize(
    ("instrument", "main", "line", "told", "beside"),
    [
        (CALIPER, "6", "3", ["Line 3 is printed 1½ and worth 0.15 mm.", BETWEEN],
         ["0.05 right of 10", "0.05 left of 14"]),
        (CALIPER, "6", "0",
         ["Line 0 adds nothing: when the zero line meets a mark, so does the last line.", BETWEEN],
         ["0.05 left of 8"]),
        (CALIPER, "6", "20",
         ["Line 20 is printed 10 and adds nothing: when the zero line meets a mark, so does the "
          "last line.", BETWEEN], ["0.05 right of 43"]),
        (CALIPER, "6", "19",
         ["Line 19 is printed 9½ and worth 0.95 mm.", BETWEEN,
          "So the zero line stands just short of 7. If yours stands just short of 6, the last mark "
          "passed is 5."], ["0.05 right of 42", "0.05 left of 46"]),
        (SCREW, "6.5", "38", ["Line 38 is worth 0.38 mm.", TURNED], []),
        (SCREW, "6.5", "0", ["Line 0 adds nothing.", TURNED], []),
        (SCREW, "6.5", "49",
         ["Line 49 is worth 0.49 mm.", TURNED,
          "At 49 the thimble’s zero has not come round to the datum line yet: a mark that is just "
          "showing has not been passed."], []),
    ],
)  # fmt: skip
def test_what_is_said_of_an_entry(
    instrument: Instrument, main: str, line: str, told: list[str], beside: list[str]
) -> None:
    answer = consider(instrument, main, line, FigureOptions(FineAs.LINE), checks=None)
    cancels = "In the difference of two positions the zero cancels: it need not be looked at."
    assert [say(fact) for fact in answer.sentences] == [*told, cancels]
    assert [say(neighbour.says) for neighbour in answer.neighbours] == beside
