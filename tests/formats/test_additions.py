"""What was added to version 1: undecided lines, one convention for all, other units."""

from typing import Any

import pytest

from metrion.formats.logbook import parse_logbook
from metrion.formats.results import results_document
from tests.formats.edited import GONE, edited, pointers

BASE: dict[str, Any] = {
    "format": "metrion-logbook", "version": 1, "convention": "half-division",
    "instruments": [
        {"id": "cal", "kind": "vernier", "unit": "mm", "main_division": "1",
         "fine_divisions": 20, "span": 39},
        {"id": "back", "kind": "vernier", "unit": "mm", "main_division": "1",
         "fine_divisions": 10, "span": 11},
        {"id": "odd", "kind": "vernier", "unit": "mm", "main_division": "1",
         "fine_divisions": 10, "span": 7},
        {"id": "screw", "kind": "screw", "unit": "mm", "pitch": "0.5", "fine_divisions": 50,
         "main_division": "0.5"},
        {"id": "circle", "kind": "angular", "unit": "arcmin", "main_division": "20",
         "fine_divisions": 40, "span": 39},
        {"id": "rule", "kind": "plain", "unit": "cm", "main_division": "0.1"},
    ],
    "measurements": [
        {"id": "m", "instrument": "cal", "observations": [{"main": "6", "fine": "15-16"}]},
    ],
    "derived": [{"id": "d", "formula": "2*m", "unit": "mm", "inputs": {"m": "m"}}],
}  # fmt: skip


def changed(*edits: tuple[str, Any]) -> dict[str, Any]:
    return edited(BASE, *edits)


def faults(*edits: tuple[str, Any]) -> list[str]:
    return pointers(changed(*edits))


FINE = "/measurements/0/observations/0/fine"
TOOL = "/measurements/0/instrument"
ALSO = "/measurements/0/also_in"
THING = "/measurements/0/thing"


def test_what_is_right_is_read_and_worked_out() -> None:
    results = results_document(parse_logbook(changed((ALSO, ["um", "in"]))))
    found: Any = results["measurements"]
    assert found[0]["observed"] == ["6.775"]
    assert [one["text"] for one in found[0]["also"]] == ["(6780 ± 50) um", "(0.267 ± 0.002) in"]


@pytest.mark.parametrize(
    ("tool", "main", "fine"),
    [
        ("cal", "6", "0-1"), ("cal", "6", "16-20"), ("back", "6", "1-2"), ("back", "6", "9-10"),
        ("screw", "6", "49-50"), ("screw", "6", "0-4"), ("rule", "6", "7-3"),
    ],
)  # fmt: skip
def test_lines_that_can_be_taken_for_each_other(tool: str, main: str, fine: str) -> None:
    look = {"main": main, "fine": fine}
    edits = [(TOOL, tool), ("/measurements/0/observations", [look])]
    assert parse_logbook(changed(*edits)).measurements[0].observed


@pytest.mark.parametrize(
    ("tool", "fine"),
    [
        ("cal", "16-16"), ("cal", "16-15"), ("cal", "10-15"), ("cal", "19-21"), ("cal", "15-"),
        ("cal", "15 - 16"), ("cal", "1.5-2"), ("back", "0-1"), ("odd", "3-4"), ("screw", "49-51"),
        ("cal", "1234567890123-1234567890124"),
    ],
)  # fmt: skip
def test_lines_that_cannot(tool: str, fine: str) -> None:
    assert faults((TOOL, tool), (FINE, fine)) == [FINE]


@pytest.mark.parametrize(
    ("units", "wrong"),
    [
        (["cm", "cm"], ["1"]), (["mm"], ["0"]), (["nm", "deg"], ["0", "1"]), (["furlong"], ["0"]),
        ([1, "cm"], ["0"]),
    ],
)  # fmt: skip
def test_units_that_a_result_cannot_be_given_in(units: list[Any], wrong: list[str]) -> None:
    assert faults((ALSO, units)) == [f"{ALSO}/{at}" for at in wrong]
    assert faults(("/derived/0/also_in", ["mm**2", "m", "mm", "m", "mm**99"])) == [
        f"/derived/0/also_in/{at}" for at in (0, 2, 3, 4)
    ]


def test_angles_are_given_in_degrees_alone() -> None:
    look = {"a": {"main": "341:20", "fine": "11-12"}, "b": {"main": "18:40", "fine": 30}}
    edits = [(TOOL, "circle"), ("/measurements/0/observations", [look]), ("/derived", [])]
    found: Any = results_document(parse_logbook(changed(*edits, (ALSO, ["deg"]))))
    assert found["measurements"][0]["also"][0]["text"].endswith("°")
    assert faults(*edits, (ALSO, ["rad"])) == [f"{ALSO}/0"]


def test_a_result_that_is_none_is_none_in_every_unit() -> None:
    edits = [("/measurements/0/observations", []), (ALSO, ["cm"])]
    found: Any = results_document(parse_logbook(changed(*edits)))
    nothing = {"unit": "cm", "value": None, "uncertainty": None, "text": None}
    assert found["measurements"][0]["also"] == [nothing]


@pytest.mark.parametrize(
    ("edits", "where"),
    [
        ([("/convention", "theirs")], ["/convention"]),
        ([("/convention", 5)], ["/convention"]),
        ([("/convention", "")], ["/convention"]),
        ([("/convention", GONE)], ["/measurements/0/convention", "/derived/0/convention"]),
        ([("/measurements/0/convention", "theirs")], ["/measurements/0/convention"]),
    ],
)  # fmt: skip
def test_a_convention_that_is_none_is_told_once(
    edits: list[tuple[str, Any]], where: list[str]
) -> None:
    assert faults(*edits) == where


def test_a_thing_is_for_the_record() -> None:
    plain, named = (parse_logbook(one) for one in (BASE, changed((THING, "Ferrule"))))
    assert [one.thing for one in (*plain.measurements, *named.measurements)] == ["", "Ferrule"]
    assert results_document(plain) == results_document(named)
    assert parse_logbook(changed((THING, "f" * 200))).measurements[0].thing == "f" * 200
    assert faults((THING, "f" * 201)) == [THING]
    odd = parse_logbook(changed((THING, 5))).measurements[0]
    assert (odd.thing, odd.rest) == ("", {"thing": 5})
