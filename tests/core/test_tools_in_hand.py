"""Tools told in another unit, least counts ten times off, other routes, and advice that fits."""

from fractions import Fraction
from typing import Any

import pytest

from metrion.core.exact.figures import to_figures
from metrion.core.instruments.in_unit import in_unit
from metrion.core.instruments.instrument import Instrument
from metrion.core.instruments.notes import notes
from metrion.core.logbook import reviewed
from metrion.core.planning.budget import measurement_budget
from metrion.core.scales import PlainScale, ScrewScale, VernierScale
from metrion.core.traits import Kind, LengthUnit
from metrion.formats.logbook import parse_logbook
from metrion.report import plain, working
from metrion.voice import plainly

say = plainly().say
ONE = Fraction(1)


@pytest.mark.parametrize(
    ("given", "unit", "told"),
    [
        ({"unit": "mm", "range": ["0", "150"]}, "cm", {"unit": "cm", "range": ["0", "15"]}),
        ({"unit": "mm", "range": ["0", "127"]}, "in", {"unit": "in", "range": ["0", "5"]}),
        ({"unit": "mm", "pitch": "1"}, "in", {"unit": "in", "pitch": "5/127"}),
        ({"unit": "in", "main_division": "0.025"}, "mm", {"unit": "mm", "main_division": "0.635"}),
        ({"unit": "mm", "main_division": "x"}, "cm", {"unit": "cm", "main_division": "x"}),
        ({"kind": "screw", "fine_divisions": 50}, "cm",
         {"kind": "screw", "fine_divisions": 50, "unit": "cm"}),
    ],
)  # fmt: skip
def test_a_description_is_told_in_another_unit(
    given: dict[str, Any], unit: str, told: dict[str, Any]
) -> None:
    assert in_unit(given, LengthUnit(unit)) == told


def tool(kind: Kind, unit: str, scale: Any) -> list[str]:
    return [say(note.says) for note in notes(Instrument("i", "I", kind, unit, scale))]


def test_a_least_count_ten_times_off_is_asked_about() -> None:
    off = tool(Kind.VERNIER, "cm", VernierScale(ONE, 10, 9))
    assert any("0.1 cm is ten times" in text and "0.01 cm" in text for text in off)
    assert any("is a tenth of" in text for text in tool(
        Kind.SCREW, "cm", ScrewScale(Fraction("0.005"), 50, Fraction("0.005"))))  # fmt: skip
    usual = [
        (Kind.VERNIER, "cm", VernierScale(Fraction("0.1"), 10, 9)),
        (Kind.VERNIER, "mm", VernierScale(ONE, 5, 4)),
        (Kind.VERNIER, "in", VernierScale(Fraction("0.025"), 25, 24)),
        (Kind.SCREW, "mm", ScrewScale(Fraction("0.5"), 50, Fraction("0.5"))),
        (Kind.PLAIN, "mm", PlainScale(Fraction(10))),
    ]
    for kind, unit, scale in usual:
        assert not any("what such tools" in text for text in tool(kind, unit, scale))


def measured(instrument: dict[str, Any], **more: Any) -> Any:
    document = {
        "format": "metrion-logbook", "version": 1, "instruments": [{"id": "i", **instrument}],
        "measurements": [{"id": "m", "instrument": "i", "convention": "standard", **more}],
    }  # fmt: skip
    return reviewed(parse_logbook(document).measurements[0])


CALIPER = {"kind": "vernier", "unit": "mm", "main_division": "1", "fine_divisions": 20, "span": 39}
CIRCLE = {
    "kind": "angular", "unit": "arcmin", "main_division": "20", "fine_divisions": 40, "span": 39,
}  # fmt: skip


@pytest.mark.parametrize(
    ("numbering", "meets", "told"),
    [
        ("with", "12", "12 − 3 × 1.95 = 6.15 mm, the same by the other route"),
        ("with", "13", "13 − 3 × 1.95 = 7.15 mm, not the same by the other route"),
    ],
)
def test_the_mark_that_the_line_meets_is_a_route_of_its_own(
    numbering: str, meets: str, told: str
) -> None:
    look = {"main": "6", "fine": 3, "meets": meets}
    found = measured({**CALIPER, "numbering": numbering}, observations=[look])
    lines = {line.key: plain(line.spans) for line in working(found.result, plainly())}
    assert lines["other_route_1"] == told


def test_the_other_route_needs_a_whole_line_and_a_mark_that_was_noted() -> None:
    looks = [{"main": "6", "fine": 3}, {"main": "6", "fine": "3-4", "meets": "12"}]
    found = measured(CALIPER, observations=looks)
    assert not any("route" in line.key for line in working(found.result, plainly()))


def test_no_stack_is_advised_for_angles() -> None:
    look = {"a": {"main": "341:20", "fine": 11}, "b": {"main": "18:40", "fine": 30}}
    found = measured(CIRCLE, observations=[look])
    (sentence,) = (say(one) for one in measurement_budget(found.result).sentences)
    assert "stack" not in sentence
    assert "a finer circle" in sentence


def test_more_readings_are_not_called_for_while_a_look_is_open() -> None:
    looks = [{"main": main, "fine": 3} for main in ("6", "6", "7")]
    found = measured(CALIPER, observations=looks)
    assert found.open_looks > 0
    budget = measurement_budget(found.result, open_looks=found.open_looks)
    assert "settle the second look that is open first" in say(budget.sentences[0])


@pytest.mark.parametrize(
    ("value", "told"),
    [("3416", "3400"), ("0.03449", "0.034"), ("0", "0"), ("-2.46", "-2.5"), ("99.6", "100")],
)
def test_no_number_in_a_sentence_has_an_exponent(value: str, told: str) -> None:
    assert to_figures(Fraction(value), 2) == told
