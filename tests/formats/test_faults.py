"""Broken logbooks: every fault is found, at its place, and nothing but the faults comes back."""

import copy
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from metrion.formats.faults import Fault, Refused
from metrion.formats.logbook import parse_logbook, read_logbook
from metrion.formats.strict_json import read_json
from tests.formats.edited import GONE, edited, pointers
from tests.said import said, saying

GOOD: dict[str, Any] = {
    "format": "metrion-logbook",
    "version": 1,
    "title": "Two-line kite",
    "instruments": [
        {"id": "cal", "name": "Caliper A", "kind": "vernier", "unit": "mm", "main_division": "1",
         "fine_divisions": 20, "span": 39, "range": ["0", "150"], "maker_limit": "0.03"},
        {"id": "screw", "kind": "screw", "unit": "mm", "pitch": "0.5", "fine_divisions": 50,
         "main_division": "0.5"},
        {"id": "circle", "kind": "angular", "unit": "arcmin", "main_division": "20",
         "fine_divisions": 40, "span": 39},
    ],
    "zero_checks": [
        {"id": "z1", "instrument": "cal", "main": "-1", "fine": 17},
        {"id": "z2", "instrument": "screw", "main": "0", "fine": "2.4"},
    ],
    "conventions": [
        {"id": "ours", "family": "limit", "reading_limit": "1/2", "zero_look": True,
         "spread": "half-range", "combine": "sum", "digits": "1-or-2", "estimate": True},
        {"id": "theirs", "family": "standard", "reading_limit": "1", "zero_look": False,
         "coverage": "95%", "digits": 2},
    ],
    "measurements": [
        {"id": "m1", "instrument": "cal", "zero": ["z1"], "convention": "half-division",
         "observations": [{"main": "6", "fine": 3}, {"main": "6", "fine": 4, "excluded": None}]},
        {"id": "m2", "instrument": "circle", "convention": "standard", "divide_by": 2,
         "observations": [
             {"a": {"main": "341:20", "fine": 11}, "b": {"main": "18:40", "fine": 3}}]},
        {"id": "m3", "instrument": "screw", "convention": "ours",
         "observations": [{"main": "4.5", "fine": "26.4"}]},
    ],
    "derived": [
        {"id": "wall", "formula": "(D - d)/2", "unit": "mm", "convention": "theirs",
         "inputs": {"D": "m1", "d": {"value": "4.1", "uncertainty": "0.1", "unit": "mm"}}},
    ],
}  # fmt: skip


def changed(*edits: tuple[str, Any]) -> dict[str, Any]:
    return edited(GOOD, *edits)


def test_the_good_one_is_good() -> None:
    assert len(parse_logbook(GOOD).measurements) == 3


CASES: list[tuple[str, Any, str]] = [
    ("/format", "logbook", "/format"),
    ("/version", 2, "/version"),
    ("/version", 1.0, "/version"),
    ("/version", True, "/version"),
    ("/title", None, "/title"),
    ("/instruments", GONE, "/instruments"),
    ("/instruments", {}, "/instruments"),
    ("/instruments/0/id", "", "/instruments/0/id"),
    ("/instruments/1/id", "cal", "/instruments/1/id"),
    ("/instruments/0/name", 5, "/instruments/0/name"),
    ("/instruments/0/kind", "ruler", "/instruments/0/kind"),
    ("/instruments/0/unit", "arcmin", "/instruments/0/unit"),
    ("/instruments/2/unit", "mm", "/instruments/2/unit"),
    ("/instruments/0/main_division", 1, "/instruments/0/main_division"),
    ("/instruments/0/main_division", "0", "/instruments/0/main_division"),
    ("/instruments/0/main_division", "1e0", "/instruments/0/main_division"),
    ("/instruments/0/fine_divisions", "20", "/instruments/0/fine_divisions"),
    ("/instruments/0/fine_divisions", 20.0, "/instruments/0/fine_divisions"),
    ("/instruments/0/fine_divisions", 0, "/instruments/0/fine_divisions"),
    ("/instruments/0/span", 40, "/instruments/0/span"),
    ("/instruments/0/span", GONE, "/instruments/0/span"),
    ("/instruments/0/numbering", "backwards", "/instruments/0/numbering"),
    ("/instruments/0/range", ["150", "0"], "/instruments/0/range"),
    ("/instruments/0/range", ["0"], "/instruments/0/range"),
    ("/instruments/0/range", ["0", 150], "/instruments/0/range"),
    ("/instruments/0/maker_limit", "-0.1", "/instruments/0/maker_limit"),
    ("/instruments/1/main_division", "0.3", "/instruments/1/main_division"),
    ("/instruments/1/pitch", GONE, "/instruments/1/pitch"),
    ("/zero_checks/0/instrument", "nothing", "/zero_checks/0/instrument"),
    ("/zero_checks/0/main", "-0.5", "/zero_checks/0/main"),
    ("/zero_checks/0/main", -1, "/zero_checks/0/main"),
    ("/zero_checks/0/fine", 21, "/zero_checks/0/fine"),
    ("/zero_checks/0/fine", True, "/zero_checks/0/fine"),
    ("/zero_checks/0/phase", "during", "/zero_checks/0/phase"),
    ("/zero_checks/0/reference", "-1", "/zero_checks/0/reference"),
    ("/zero_checks/1/fine", "50", "/zero_checks/1/fine"),
    ("/conventions/0/id", "standard", "/conventions/0/id"),
    ("/conventions/0/reading_limit", "0", "/conventions/0/reading_limit"),
    ("/conventions/0/zero_look", 1, "/conventions/0/zero_look"),
    ("/conventions/0/spread", GONE, "/conventions/0/spread"),
    ("/conventions/0/digits", 3, "/conventions/0/digits"),
    ("/conventions/0/digits", True, "/conventions/0/digits"),
    ("/conventions/0/digits", GONE, "/conventions/0/digits"),
    ("/conventions/1/coverage", "100%", "/conventions/1/coverage"),
    ("/conventions/1/coverage", "0", "/conventions/1/coverage"),
    ("/conventions/1/coverage", GONE, "/conventions/1/coverage"),
    ("/measurements/0/instrument", "nothing", "/measurements/0/instrument"),
    ("/measurements/0/convention", "nothing", "/measurements/0/convention"),
    ("/measurements/0/items", 0, "/measurements/0/items"),
    ("/measurements/0/items", None, "/measurements/0/items"),
    ("/measurements/0/zero", ["z1", "z1"], "/measurements/0/zero/1"),
    ("/measurements/0/zero", ["z2"], "/measurements/0/zero/0"),
    ("/measurements/0/zero", ["z9"], "/measurements/0/zero/0"),
    ("/measurements/0/zero", [1], "/measurements/0/zero/0"),
    ("/measurements/0/divide_by", 2, "/measurements/0/divide_by"),
    ("/measurements/0/divide_by", "x", "/measurements/0/divide_by"),
    ("/measurements/1/divide_by", 0, "/measurements/1/divide_by"),
    ("/measurements/1/arc", "longer", "/measurements/1/arc"),
    ("/measurements/0/observations", GONE, "/measurements/0/observations"),
    ("/measurements/0/observations/1", 5, "/measurements/0/observations/1"),
    ("/measurements/0/observations/1/main", "6.4", "/measurements/0/observations/1/main"),
    ("/measurements/0/observations/1/main", GONE, "/measurements/0/observations/1/main"),
    ("/measurements/0/observations/1/fine", 21, "/measurements/0/observations/1/fine"),
    ("/measurements/0/observations/1/fine", "3", "/measurements/0/observations/1/fine"),
    ("/measurements/0/observations/1/fine", 3.0, "/measurements/0/observations/1/fine"),
    ("/measurements/0/observations/1/fine", None, "/measurements/0/observations/1/fine"),
    ("/measurements/0/observations/1/place", None, "/measurements/0/observations/1/place"),
    ("/measurements/0/observations/1/excluded", 5, "/measurements/0/observations/1/excluded"),
    ("/measurements/0/observations/1/meets", 12, "/measurements/0/observations/1/meets"),
    ("/measurements/0/observations/1",
     {"a": {"main": "6", "fine": 3}, "b": {"main": "7", "fine": 3}},
     "/measurements/0/observations/1"),
    ("/measurements/1/observations/0", {"main": "341:20", "fine": 1},
     "/measurements/1/observations/0"),
    ("/measurements/1/observations/0/b", GONE, "/measurements/1/observations/0/b"),
    ("/measurements/1/observations/0/a/main", "341:10", "/measurements/1/observations/0/a/main"),
    ("/measurements/1/observations/0/a/main", "341.5", "/measurements/1/observations/0/a/main"),
    ("/measurements/1/observations/0/a2", {"main": "1:00", "fine": 1},
     "/measurements/1/observations/0/b2"),
    ("/measurements/2/observations/0/fine", "1/2", "/measurements/2/observations/0/fine"),
    ("/measurements/2/observations/0/fine", "-1", "/measurements/2/observations/0/fine"),
    ("/measurements/2/observations/0/second_turn", 1,
     "/measurements/2/observations/0/second_turn"),
    ("/derived/0/formula", "(D - d", "/derived/0/formula"),
    ("/derived/0/formula", "D - x", "/derived/0/formula"),
    ("/derived/0/formula", "D + d*d", "/derived/0/formula"),
    ("/derived/0/formula", "D**0.3", "/derived/0/formula"),
    ("/derived/0/unit", "g", "/derived/0/unit"),
    ("/derived/0/unit", "furlong", "/derived/0/unit"),
    ("/derived/0/inputs", GONE, "/derived/0/inputs"),
    ("/derived/0/inputs/D", "m9", "/derived/0/inputs/D"),
    ("/derived/0/inputs/D", 5, "/derived/0/inputs/D"),
    ("/derived/0/inputs/d/uncertainty", "-1", "/derived/0/inputs/d/uncertainty"),
    ("/derived/0/inputs/d/unit", GONE, "/derived/0/inputs/d/unit"),
    ("/derived/0/inputs/pi", "m1", "/derived/0/inputs/pi"),
]  # fmt: skip


@pytest.mark.parametrize(("where", "value", "pointer"), CASES)
def test_a_fault_is_told_where_it_is(where: str, value: Any, pointer: str) -> None:
    assert pointer in pointers(changed((where, value)))


def test_all_faults_of_a_file_are_told_together() -> None:
    document = changed(
        ("/version", 3),
        ("/zero_checks/0/fine", 99),
        ("/measurements/0/observations/0/main", "6.4"),
        ("/measurements/0/observations/1/fine", 21),
        ("/derived/0/unit", "g"),
    )
    found = pointers(document)
    assert {
        "/version",
        "/zero_checks/0/fine",
        "/measurements/0/observations/0/main",
        "/measurements/0/observations/1/fine",
        "/derived/0/unit",
    } <= set(found)


def test_the_sentence_says_what_would_be_right() -> None:
    with pytest.raises(Refused) as refused:
        parse_logbook(changed(("/measurements/0/observations/1/main", "6.4")))
    assert said(refused.value) == (
        "/measurements/0/observations/1/main: "
        "6.4 is not a mark of Caliper A, whose marks are 1 mm apart"
    )


@pytest.mark.parametrize(
    ("where", "value"),
    [
        ("/measurements/0/observations/1/second_turn", "yes"),
        ("/measurements/0/arc", 5),
        ("/measurements/0/observations/1/history", None),
        ("/measurements/0/observations/1/looked_again", 7),
        ("/measurements/2/observations/0/meets", []),
        ("/conventions/1/spread", 5),
        ("/conventions/0/coverage", None),
        ("/instruments/2/range", "nothing"),
        ("/instruments/0/pitch", 0),
        ("/instruments/0/of_ours", None),
    ],
)
def test_fields_without_meaning_are_not_checked(where: str, value: Any) -> None:
    assert parse_logbook(changed((where, value))).title == "Two-line kite"


def places(value: Any, pointer: str = "") -> list[str]:
    """The pointers to everything in a document."""
    found = [pointer] if pointer else []
    if not isinstance(value, dict | list):
        return found
    inner = value.items() if isinstance(value, dict) else enumerate(value)
    return found + [one for name, v in inner for one in places(v, f"{pointer}/{name}")]


@pytest.mark.parametrize("value", [{}, [], None, True, 7, 1.5, "odd", [{}], {"a": {}}])
def test_whatever_stands_anywhere_is_read_or_told(value: Any) -> None:
    for pointer in places(GOOD):
        document = changed((pointer, copy.deepcopy(value)))
        faults: tuple[Fault, ...] = ()
        try:
            parse_logbook(document)
        except Refused as refused:
            faults = refused.faults
        assert all(said(fault) for fault in faults)


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (b"", "not JSON"),
        (b"{", "not JSON"),
        (b"[1, NaN]", "NaN"),
        (b"\xef\xbb\xbf{}", "byte order mark"),
        (b"\xff\xfe", "not UTF-8"),
        (b'{"a": 1, "a": 2}', "stands twice"),
        (b'{"a": "\\ud800"}', "surrogate"),
        (b'{"\\udc00": 1}', "surrogate"),
        (b"[" * 100_000, "more than 32 deep"),
        (b"5", "a logbook is a JSON object"),
    ],
)
def test_what_is_no_such_json_is_refused(content: bytes, says: str) -> None:
    with pytest.raises(Refused, check=saying(says)):
        read_logbook(content)


def test_a_name_that_stands_twice_is_pointed_to() -> None:
    with pytest.raises(Refused) as refused:
        read_json(b'{"a": [{"b": 1, "c/d": 2, "c/d": 3}], "e": 1, "e": 1}')
    assert {fault.pointer for fault in refused.value.faults} == {"/a/0/c~1d", "/e"}


JUNK = st.recursive(
    st.none() | st.booleans() | st.integers(-5, 60) | st.floats() | st.text(max_size=4),
    lambda inner: (
        st.lists(inner, max_size=3) | st.dictionaries(st.text(max_size=4), inner, max_size=3)
    ),
    max_leaves=5,
)
EVERYWHERE = st.sampled_from(
    sorted({where for where, _, _ in CASES} | {"/measurements", "/derived/0", "/zero_checks/1"})
)


@given(EVERYWHERE, JUNK)
def test_whatever_stands_anywhere_is_taken_or_refused_and_never_a_crash(
    where: str, junk: Any
) -> None:
    document = changed((where, junk))
    try:
        faults = ["none"] if parse_logbook(document).instruments else []
    except Refused as refused:
        faults = [said(fault) for fault in refused.faults]
    assert all(faults)
    assert faults


def test_the_sentence_shows_what_stood_there() -> None:
    with pytest.raises(Refused, check=saying(r"zero_look is 1, but must be true or false")):
        parse_logbook(changed(("/conventions/0/zero_look", 1)))
