"""``metrion said``: readings as they are said, each one, asked about, or none."""

import json
import subprocess
from pathlib import Path
from typing import Any

import pytest

from metrion.formats.said import judgement_record, parse_said
from tests.server import COMMAND

LINES = (Path(__file__).parent / "said.jsonl").read_text().splitlines()

CALIPER = {
    "id": "t", "name": "Tool", "kind": "vernier", "unit": "mm", "main_division": "1",
    "fine_divisions": 20, "span": 39, "range": ["0", "150"],
}  # fmt: skip
IN_CM = CALIPER | {"fine_divisions": 10, "span": 9, "numerals": "cm"}
SCREW = {
    "id": "t", "kind": "screw", "unit": "mm", "pitch": "0.5", "fine_divisions": 50,
    "main_division": "0.5", "range": ["0", "25"],
}  # fmt: skip
SLEEVE = SCREW | {"main_division": "1"}
CIRCLE = {
    "id": "t", "kind": "angular", "unit": "arcmin", "main_division": "20", "fine_divisions": 40,
    "span": 39,
}  # fmt: skip
RULER = {"id": "t", "kind": "plain", "unit": "mm", "main_division": "1", "range": ["0", "300"]}


def heard(tool: dict[str, Any], said: str, **how: Any) -> dict[str, Any]:
    line = parse_said({"instrument": tool, "said": said, **how})
    return judgement_record(line, line.judged(), "")


def reads(tool: dict[str, Any], said: str, **how: Any) -> tuple[str, list[str]]:
    found = heard(tool, said, **how)
    return found["verdict"], [one["reads"] for one in found["readings"]]


@pytest.mark.parametrize("line", LINES)
def test_what_was_worked_out_elsewhere(line: str) -> None:
    case = json.loads(line)
    asked = dict(case["line"])
    found = heard(asked.pop("instrument"), asked.pop("said"), **asked)
    del found["words"]
    assert found == case["expected"]


@pytest.mark.parametrize(
    ("tool", "said", "verdict", "found"),
    [
        # One spelling for many.
        (CALIPER, "11 × 7", "none", []),
        (CALIPER, "  11,35 ", "one", ["11.35"]),
        (CALIPER, "11 + 7 × 0,05", "one", ["11.35"]),
        (CALIPER, "11.30 - 11.35", "one", ["11.325"]),
        (CALIPER, "11.30-11.60", "none", []),
        (SCREW, "5 1/2 28", "one", ["5.78"]),
        (SCREW, "5.5mm 0.28 mm", "one", ["5.78"]),
        (SCREW, "5 0.5 28", "one", ["5.78"]),
        (SCREW, "7,27", "one", ["7.27"]),
        (SLEEVE, "5 0 28", "one", ["5.28"]),
        (SLEEVE, "7.78", "one", ["7.78"]),
        (CIRCLE, "100°39′", "one", ["6039"]),
        (CIRCLE, "100:39", "one", ["6039"]),
        (CIRCLE, "100 20 9", "one", ["6024.5"]),
        (CIRCLE, "100.20 9", "one", ["6024.5"]),
        (CIRCLE, "100 20", "ask", ["6010"]),
        (IN_CM, "5.13 cm", "one", ["51.3"]),
        (IN_CM, "51 mm 3", "one", ["51.3"]),
        (RULER, "73", "one", ["73"]),
        (RULER, "7.3", "ask", ["73"]),
        (RULER, "7.35", "none", []),
        # Fractions that are none, and what is no figure at all.
        (SCREW, "5 1/0 28", "none", []),
        (SCREW, "5 ⅟ 28", "none", []),
        (SCREW, "5 3/2 28", "none", []),
        (CALIPER, "six three", "none", []),
        (CALIPER, "9" * 60 + " 3", "none", []),
        (CALIPER, "6 3 " * 100, "none", []),
    ],
)  # fmt: skip
def test_as_people_say_it(tool: dict[str, Any], said: str, verdict: str, found: list[str]) -> None:
    assert reads(tool, said) == (verdict, found)


def test_what_the_tool_says_is_asked_no_more() -> None:
    assert reads(CALIPER, "6 9") == ("ask", ["6.45", "6.9"])
    assert reads(CALIPER | {"fine_as": "numeral"}, "6 9") == ("one", ["6.9"])
    assert reads(CALIPER | {"fine_as": "line"}, "6 9") == ("one", ["6.45"])
    # What is said with a line overrides the tool; null is nothing said.
    assert reads(CALIPER | {"fine_as": "line"}, "6 9", fine_as="numeral") == ("one", ["6.9"])
    assert reads(CALIPER | {"fine_as": "line"}, "6 9", fine_as=None) == ("ask", ["6.45", "6.9"])
    assert reads(IN_CM, "6 3") == ("ask", ["60.3", "6.3"])
    assert reads(IN_CM | {"main_as": "unit"}, "6 3") == ("one", ["6.3"])
    assert reads(IN_CM | {"main_as": "engraved"}, "6 3") == ("one", ["60.3"])


def test_every_line_of_a_tool_that_says_so_is_itself() -> None:
    for tool, main in ((CALIPER, "3"), (SCREW, "3"), (CIRCLE, "3:00"), (IN_CM, "3")):
        told = tool | {"fine_as": "line", "main_as": "engraved"}
        for line in range(int(tool["fine_divisions"])):
            found = heard(told, f"{main} {line}")
            assert [found["verdict"], *(one["fine"] for one in found["readings"])] == ["one", line]


def test_zero_is_asked_about_where_its_sign_can_mean_three_things() -> None:
    minus = reads(CALIPER | {"fine_as": "line"}, "-0 3", at="zero")
    assert minus == ("ask", ["-0.15", "-0.85", "0.15"])
    assert reads(SCREW, "-0.03", at="zero") == ("one", ["-0.03"])
    assert reads(SCREW, "0 -3", at="zero") == ("one", ["-0.03"])
    assert reads(SCREW, "-0.5 47", at="zero") == ("one", ["-0.03"])
    assert reads(SCREW, "0.025", at="zero") == ("one", ["0.025"])
    assert reads(SCREW, "0.025") == ("ask", ["0.25"])  # in centimetres


def test_the_command_answers_every_line_and_tells_faults() -> None:
    asked = [
        {"instrument": CALIPER, "said": "6 3"},
        {"instrument": CALIPER},
        {"instrument": CALIPER, "said": "6 1½", "at": "noon"},
        {"instrument": CALIPER, "said": "6 1½", "main_as": None},
        ["6 3"],
        {"instrument": IN_CM, "said": "5.2 2"},
    ]
    done = subprocess.run(
        [*COMMAND, "said"], input="\n".join(map(json.dumps, asked)), capture_output=True,
        text=True, check=False,
    )  # fmt: skip
    assert (done.returncode, done.stderr) == (2, "")
    first, nothing, noon, half, no_object, in_cm = map(json.loads, done.stdout.splitlines())
    assert first["verdict"] == "ask"
    assert first["words"] == (
        "“6 3” can be 6.15 mm: 6 mm and line 3 (printed 1½) or 6.30 mm: 6 mm and line 6 (printed 3)"
    )
    assert [fault["pointer"] for fault in nothing["faults"]] == ["/said"]
    assert [fault["pointer"] for fault in noon["faults"]] == ["/at"]
    assert half["words"] == "That is 6.15 mm: 6 mm and line 3 (printed 1½)"
    assert [fault["pointer"] for fault in no_object["faults"]] == [""]
    # Words are in the unit that is engraved, what is read in that of the tool.
    assert in_cm["words"] == "That is 5.22 cm: 5.2 cm and line 2"
    assert in_cm["readings"][0]["reads"] == "52.2"
