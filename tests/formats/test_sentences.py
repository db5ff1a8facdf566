"""What a refused file is told: the value that is wrong, and what would be right."""

from typing import Any

import pytest

from metrion.formats.faults import Refused, child
from metrion.formats.logbook import parse_logbook, read_drawn_instrument
from tests.formats.edited import GONE
from tests.formats.test_faults import changed
from tests.said import said


def told(where: str, value: Any) -> str:
    with pytest.raises(Refused) as refused:
        parse_logbook(changed((where, value)))
    return said(refused.value)


@pytest.mark.parametrize(
    ("where", "value", "sentence"),
    [
        ("/format", "x", 'format is "x", but must be "metrion-logbook"'),
        ("/version", 3, "version is 3, but only version 1 is known here"),
        ("/version", "1", 'version is "1", but must be a whole number, not quoted'),
        ("/instruments", GONE, "instruments is missing; it must be a list"),
        ("/instruments/0/kind", "x", 'kind is "x", but must be "vernier" or "screw" or "angular"'),
        ("/instruments/0/unit", "ft", 'unit is "ft", but must be "mm" or "cm" or "in"'),
        ("/instruments/0/main_division", 1, 'must be a number in quotes, like "12.35"'),
        ("/instruments/0/main_division", "-1", "main_division is -1, but must be above 0"),
        ("/instruments/0/maker_limit", "-1", "maker_limit is -1, but must not be negative"),
        ("/instruments/0/range", ["9", "1"], "two numbers, the lower first"),
        ("/instruments/1/id", "cal", 'the id "cal" is used twice'),
        ("/zero_checks/0/instrument", "x", 'there is no instrument "x"; there are "cal", "screw"'),
        ("/zero_checks/0/phase", "x", '"before" or "after"'),
        ("/conventions/0/id", "standard", '"standard" is built in'),
        ("/conventions/0/digits", 3, 'must be 1, 2 or "1-or-2"'),
        ("/conventions/1/coverage", "120%", "a percentage below 100"),
        ("/measurements/0/convention", "x", 'there is no convention "x"'),
        ("/measurements/0/zero", ["z2"], 'was made on "screw", not on "cal"'),
        ("/measurements/0/zero", ["z1", "z1"], "is named twice; each counts once"),
        ("/measurements/0/divide_by", 2, "divide_by goes with pairs only; a stack has items"),
        ("/measurements/0/items", 0, "items is 0, but must be 1 or more"),
        ("/measurements/0/observations/0/fine", 21, "its lines run from 0 to 20"),
        ("/measurements/0/observations/0/fine", "3.5", "does not estimate between lines"),
        ("/measurements/0/observations/0", [], "a list must be an object"),
        ("/measurements/1/observations/0/a/main", "341:61", "minutes and seconds below 60"),
        ("/measurements/1/observations/0", {"main": "1:00", "fine": 1}, "takes pairs"),
        ("/derived/0/formula", "D + x", "the formula names x, which is no input"),
        ("/derived/0/formula", "sin(D)", "sin takes an angle or a bare number"),
        ("/derived/0/formula", "D**12", "whole or half numbers from -9 to 9"),
        ("/derived/0/unit", "g", "what the formula gives cannot be expressed in g"),
        ("/derived/0/unit", "ell", "ell is no unit known here; known are mm"),
        ("/derived/0/inputs/D", "m9", 'there is no measurement or earlier derived quantity "m9"'),
        ("/derived/0/inputs/sin", "m1", '"sin" cannot be a symbol'),
    ],
)
def test_sentence(where: str, value: Any, sentence: str) -> None:
    assert sentence in told(where, value)


def test_a_very_long_value_is_shortened() -> None:
    assert len(told("/instruments/0/kind", "x" * 3000)) < 300


def test_pointers_are_escaped() -> None:
    assert child("/a", "b/c~d") == "/a/b~1c~0d"


def test_a_faulty_instrument_does_not_hide_the_faults_of_what_uses_it() -> None:
    lines = told("/instruments/0/span", 40).splitlines()
    assert len(lines) == 1  # its zero check and readings are not blamed for it
    both = changed(("/instruments/0/span", 40), ("/measurements/0/observations/0/fine", GONE))
    with pytest.raises(Refused) as refused:
        parse_logbook(both)
    assert [fault.pointer for fault in refused.value.faults] == [
        "/instruments/0/span",
        "/measurements/0/observations/0/fine",
    ]


def test_a_useless_scale_can_be_drawn_but_not_filed() -> None:
    record = {
        "id": "i", "kind": "vernier", "unit": "mm", "main_division": "1",
        "fine_divisions": 10, "span": 20,
    }  # fmt: skip
    assert read_drawn_instrument(record).least_count == 1
    with pytest.raises(Refused):
        parse_logbook({"format": "metrion-logbook", "version": 1, "instruments": [record]})


@pytest.mark.parametrize(
    ("where", "value"),
    [("/instruments/0/span", 40), ("/instruments/0/main_division", "0"),
     ("/instruments/0/unit", "ft"), ("/instruments/0/maker_limit", "-1"),
     ("/measurements/0/convention", "x")],
)  # fmt: skip
def test_no_fault_hides_those_of_what_hangs_on_it(where: str, value: Any) -> None:
    document = changed(
        (where, value),
        ("/zero_checks/0/main", "six"),
        ("/measurements/0/zero", ["z2"]),
        ("/measurements/0/observations/0/main", "6:00"),
        ("/measurements/0/observations/1/fine", GONE),
        ("/measurements/0/divide_by", 2),
        ("/derived/0/unit", "g"),
    )
    with pytest.raises(Refused) as refused:
        parse_logbook(document)
    assert sorted(fault.pointer for fault in refused.value.faults) == sorted([
        where, "/zero_checks/0/main", "/measurements/0/zero/0",
        "/measurements/0/observations/0/main", "/measurements/0/observations/1/fine",
        "/measurements/0/divide_by", "/derived/0/unit",
    ])  # fmt: skip
