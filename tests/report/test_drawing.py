"""The drawing of a reading in the report follows how the tool looks."""

from dataclasses import replace
from fractions import Fraction
from typing import Any
from xml.etree import ElementTree

from metrion.core.instruments.appearance import Appearance, Growth, PrintedUnit, Side
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import Indication, ScrewScale
from metrion.core.traits import Kind
from metrion.report.drawing import drawn_reading

HALF = Fraction(1, 2)
SCREW = Instrument("b", "Screw gauge B", Kind.SCREW, "mm", ScrewScale(HALF, 50, HALF))
MAIN, FINE = "#24419A", "#8A4B00"
_SVG = "{http://www.w3.org/2000/svg}"


def printed(instrument: Instrument, indication: Indication, fill: str) -> list[tuple[str, float]]:
    """The numerals in one colour, each with its height, from left to right or as they are drawn."""
    svg = ElementTree.fromstring(drawn_reading(instrument, indication))
    texts = [one for one in svg.iter(f"{_SVG}text") if one.get("fill") == fill]
    return [(one.text or "", float(one.get("y", "0"))) for one in texts]


def looking(**how: Any) -> Instrument:
    return replace(SCREW, appearance=Appearance(**how))


def numerals(instrument: Instrument, indication: Indication, fill: str = MAIN) -> list[str]:
    return [text for text, _ in printed(instrument, indication, fill)]


def test_whole_millimetres_are_numbered() -> None:
    assert numerals(SCREW, Indication(Fraction(9, 2), 38)) == ["2", "3", "4"]


def test_a_sleeve_printed_in_centimetres_has_its_numerals() -> None:
    assert numerals(looking(numerals=PrintedUnit.CM), Indication(Fraction(2), 0)) == [
        "0", "0.1", "0.2"
    ]  # fmt: skip


def test_an_inch_screw_has_numerals_at_tenths() -> None:
    scale = ScrewScale(Fraction(1, 40), 25, Fraction(1, 40))
    inch = Instrument("i", "Inch screw", Kind.SCREW, "in", scale)
    assert numerals(inch, Indication(Fraction(9, 40), 3)) == ["0.1", "0.2"]


def test_half_marks_lie_on_the_side_where_they_lie_on_the_tool() -> None:
    indication = Indication(Fraction(9, 2), 38)
    (_, above), *_ = printed(SCREW, indication, MAIN)
    (_, below), *_ = printed(looking(half_marks=Side.ABOVE), indication, MAIN)
    assert above < 74 < below  # the datum line lies at 74


def test_the_thimble_is_numbered_the_way_it_is_on_the_tool() -> None:
    indication = Indication(Fraction(9, 2), 25)
    up = dict(printed(SCREW, indication, FINE))
    down = dict(printed(looking(thimble_numerals=Growth.DOWN), indication, FINE))
    assert up["30"] < up["25"] < up["20"]
    assert down["30"] > down["25"] > down["20"]


def test_numerals_stand_where_the_tool_has_them() -> None:
    indication = Indication(Fraction(9, 2), 25)
    assert "25" in numerals(SCREW, indication, FINE)
    every = numerals(looking(numbered_every=10), indication, FINE)
    assert {"20", "30"} <= set(every)
    assert "25" not in every
