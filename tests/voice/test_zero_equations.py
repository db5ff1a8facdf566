"""What the zero desk writes as arithmetic is true, at every line of every usual tool."""

import re
from fractions import Fraction

import pytest

from metrion.core.desk.zero_desk import zero_finding
from metrion.core.instruments.instrument import Instrument
from metrion.core.practice.made import TOOLS
from metrion.core.scales import Indication, VernierScale
from metrion.voice import plainly

LENGTHS = [tool for tool in TOOLS if tool.kind != "angular"]


def worth(text: str) -> Fraction:
    """What one side of an equation comes to, by a calculator of its own."""
    text = re.sub(r" ?(mm|cm|in)$", "", text.strip()).replace("−", "-").replace("×", "*")
    assert re.fullmatch(r"[-+*() 0-9./]+", text), text
    return Fraction(eval(re.sub(r"[0-9.]+", r"Fraction('\g<0>')", text)))


def equations(tool: Instrument, indication: Indication) -> list[list[str]]:
    found = zero_finding(tool, indication, Fraction(0))
    told = [plainly().say(way) for way in found.ways]
    return [text.rpartition(": ")[2].split(" = ") for text in told if " = " in text]


@pytest.mark.parametrize("tool", LENGTHS, ids=lambda tool: tool.id)
def test_every_side_of_an_equation_comes_to_the_same(tool: Instrument) -> None:
    division, last = tool.scale.mark, tool.scale.last_line
    told = 0
    for main in (-division, Fraction(0), division):
        for line in range(last + 1):
            indication = Indication(main, line)
            for sides in equations(tool, indication):
                assert {worth(side) for side in sides} == {tool.reading(indication)}
                told += 1
    assert told > last or tool.id == "v10b"


def test_the_last_line_is_said_to_count_as_the_first() -> None:
    tool = next(one for one in LENGTHS if one.id == "v50")
    assert isinstance(tool.scale, VernierScale)
    found = zero_finding(tool, Indication(Fraction(-1), 50), Fraction(0))
    first, *ways = [plainly().say(way) for way in found.ways]
    assert first == "line 50 meets a mark when line 0 does, one mark on: it counts as line 0"
    assert ways == [
        "mark below zero and line: −1 + 0 × 0.02 = −1.00 mm",
        "counted back from the end: −(50 − 0) × 0.02 = −50 × 0.02 = −1.00 mm",
    ]
