"""How large what is taken in may be: files and API alike; what was kept before stays readable."""

import json
from typing import Any

import pytest

from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_logbook, read_logbook
from tests.formats.edited import pointers
from tests.formats.test_faults import GOOD, changed
from tests.said import saying

NINES = "9" * 400
BEYOND = [
    ("/instruments/0/maker_limit", NINES),
    ("/instruments/0/maker_limit", "1" * 41),
    ("/instruments/0/maker_limit", "0." + "1" * 39),
    ("/instruments/0/maker_limit", "1000000000000"),
    ("/instruments/0/maker_limit", "0.0000000000001"),
    ("/instruments/0/maker_limit", "1/1000000000000"),
    ("/instruments/0/maker_limit", "0000000000001/2"),
    ("/instruments/0/main_division", "1/10000000000000"),
    ("/instruments/0/fine_divisions", 1_001),
    ("/instruments/0/fine_divisions", 10**4000),
    ("/instruments/0/span", 2_001),
    ("/instruments/1/pitch", "1" * 13),
    ("/instruments/1/fine_divisions", 1_001),
    ("/instruments/2/fine_divisions", 1_001),
    ("/instruments/0/range", ["0", "1000000000000"]),
    ("/instruments/0/id", "a/b"),
    ("/zero_checks/0/main", "-1000000000000"),
    ("/zero_checks/0/reference", "1/9999999999999"),
    ("/zero_checks/1/fine", "2." + "4" * 40),
    ("/zero_checks/0/id", ".."),
    ("/conventions/0/reading_limit", "0.0000000000001"),
    ("/conventions/1/coverage", "0.0000000000001%"),
    ("/conventions/1/coverage", NINES),
    ("/conventions/0/id", "our course"),
    ("/measurements/0/items", 1_000_001),
    ("/measurements/1/divide_by", 1_000_001),
    ("/measurements/0/id", "m" * 65),
    ("/measurements/0/observations/0/main", NINES),
    ("/measurements/0/observations/0/meets", "1" * 13),
    ("/measurements/1/observations/0/a/main", "16666666667:00"),
    ("/measurements/2/observations/0/fine", "0.0000000000001"),
    ("/derived/0/unit", "mm**10"),
    ("/derived/0/unit", "mm**10/mm**-9"),
    ("/derived/0/inputs/d/value", NINES),
    ("/derived/0/inputs/d/uncertainty", "1" * 13),
    ("/derived/0/formula", "D" + " + d" * 125),
    ("/derived/0/formula", "(" * 33 + "D" + ")" * 33),
]  # fmt: skip
NEVER_KEPT = [("/conventions/1/coverage", NINES), *(c for c in BEYOND if c[0] == "/derived/0/unit")]
"""What no earlier Metrion took either."""


@pytest.mark.parametrize(("where", "value"), BEYOND)
def test_each_value_beyond_its_bound_is_one_fault_at_its_place(where: str, value: Any) -> None:
    document = changed((where, value))
    _follow(document, where, value)
    assert pointers(document) == [where]


def _follow(document: dict[str, Any], where: str, value: Any) -> None:
    """Let references follow an id that was changed, so that the id alone is at fault."""
    section, key = where.split("/")[1], where.rpartition("/")[2]
    if key != "id":
        return
    index = int(where.split("/")[2])
    before = GOOD[section][index]["id"]
    for one in [*document["zero_checks"], *document["measurements"], *document["derived"]]:
        for name in ("instrument", "convention"):
            if one.get(name) == before:
                one[name] = value
        one.get("zero", [])[:] = [value if key == before else key for key in one.get("zero", [])]
        inputs = one.get("inputs", {})
        inputs.update({symbol: value for symbol, key in inputs.items() if key == before})


@pytest.mark.parametrize(
    ("where", "value"),
    [
        ("/instruments/0/maker_limit", "999999999999.99999"),
        ("/instruments/0/maker_limit", "0.000000000001"),
        ("/instruments/0/maker_limit", "0." + "1" * 38),
        ("/instruments/0/maker_limit", "1/999999999999"),
        ("/instruments/0/maker_limit", "0.00000000000000000000"),
        ("/instruments/0/range", ["-999999999999", "999999999999"]),
        ("/instruments/1/fine_divisions", 1_000),
        ("/conventions/1/coverage", "0.000000000001%"),
        ("/measurements/0/items", 1_000_000),
        ("/measurements/0/id", "é" * 64),
        ("/measurements/0/id", "..."),
        ("/measurements/1/observations/0/a/main", "16666666666:20"),
        ("/derived/0/unit", "mm**9/mm**8"),
        ("/derived/0/formula", "D + d" + " " * 495),
        ("/derived/0/formula", "(" * 32 + "D" + ")" * 32),
    ],
)
def test_the_bound_itself_is_allowed(where: str, value: Any) -> None:
    document = changed((where, value))
    _follow(document, where, value)
    assert parse_logbook(document).title == "Two-line kite"


def told(document: dict[str, Any]) -> list[str]:
    """Where a document has faults; nowhere if it has none."""
    try:
        parse_logbook(document)
    except Refused as refused:
        return [fault.pointer for fault in refused.faults]
    return []


LISTS = {
    "instruments": 1_000, "conventions": 100, "zero_checks": 10_000, "measurements": 20_000,
    "derived": 5_000,
}  # fmt: skip


@pytest.mark.parametrize(("section", "most"), LISTS.items())
def test_a_list_of_too_many_entries_is_one_fault_at_the_list(section: str, most: int) -> None:
    entry = GOOD[section][0]
    for count, wrong in ((most, []), (most + 1, [f"/{section}"])):
        more = [{**entry, "id": f"{entry['id']}.{i}"} for i in range(count - len(GOOD[section]))]
        assert told({**GOOD, section: [*GOOD[section], *more]}) == wrong


@pytest.mark.parametrize(("count", "wrong"), [(199_996, []), (199_997, ["/measurements"])])
def test_too_many_observations_in_all_are_told_at_the_measurements(
    count: int, wrong: list[str]
) -> None:
    # Four stand in the logbook already.
    document = changed()
    document["measurements"][0]["observations"] += [{"main": "6", "fine": 3}] * count
    assert told(document) == wrong


@pytest.mark.parametrize(("count", "wrong"), [(100, []), (101, ["/measurements/0/zero"])])
def test_a_measurement_names_so_many_zero_checks(count: int, wrong: list[str]) -> None:
    keys = [f"z.{i}" for i in range(count)]
    checks = [{**GOOD["zero_checks"][0], "id": key} for key in keys]
    document = changed(("/zero_checks", checks), ("/measurements/0/zero", keys))
    assert told(document) == wrong


def nested(levels: int) -> Any:
    return [nested(levels - 1)] if levels > 1 else []


LARGEST = "x" * (64 * 1024 - 2)
HOLDERS = [
    "", "/instruments/0", "/zero_checks/1", "/conventions/0", "/measurements/0",
    "/measurements/0/observations/0", "/measurements/1/observations/0/a", "/derived/0",
    "/derived/0/inputs/d",
]  # fmt: skip


@pytest.mark.parametrize("holder", HOLDERS)
@pytest.mark.parametrize(
    ("value", "within", "allowed"),
    [
        (LARGEST, "", True),
        (LARGEST + "x", "", False),
        ("é" * (32 * 1024 - 1), "", True),
        ("é" * (32 * 1024), "", False),
        (["x" * 1000] * 66, "", False),
        ({"a": [1.5, 10**308, None, True]}, "", True),
        ({"a": [0, 10**309]}, "/a/1", False),
        (float("inf"), "", False),
    ],
)
def test_an_unknown_field_is_bounded_in_size_and_in_its_numbers(
    holder: str, value: Any, within: str, allowed: bool
) -> None:
    document = changed((f"{holder}/unknown", value))
    assert told(document) == ([] if allowed else [f"{holder}/unknown{within}"])


@pytest.mark.parametrize("value", ["abc", None, [], 10**50, "1" * 50])
def test_a_line_of_a_tool_that_is_unknown_is_not_checked(value: Any) -> None:
    own = "/measurements/0/observations/0/fine"
    edits = [("/measurements/0/instrument", "nothing"), ("/measurements/0/zero", [])]
    assert told(changed((own, value), *edits)) == ["/measurements/0/instrument"]


@pytest.mark.parametrize("field", ["second_turn", "pitch"])
def test_so_is_a_field_without_meaning_for_the_kind(field: str) -> None:
    place = "/instruments/0/pitch" if field == "pitch" else "/zero_checks/0/second_turn"
    assert pointers(changed((place, LARGEST + "x"))) == [place]


@pytest.mark.parametrize(("where", "outside"), [("/of_ours", 1), ("/measurements/0/of_ours", 3)])
def test_a_file_is_nested_so_deeply(where: str, outside: int) -> None:
    within = json.dumps(changed((where, nested(32 - outside)))).encode()
    beyond = json.dumps(changed((where, nested(33 - outside)))).encode()
    assert read_logbook(within).title == GOOD["title"]
    with pytest.raises(Refused, check=saying("more than 32 deep")):
        read_logbook(beyond)


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (b" " * (64 * 1024**2 + 1), "larger than 64 MiB"),
        (b"[" + b"{}," * 2_000_000 + b"{}]", "more values than any logbook"),
        (b'{"x": "' + b"x" * 500_000 + b'"}', "more values than any logbook"),
    ],
    ids=["bytes", "values", "text"],
)
def test_what_is_larger_than_any_logbook_is_not_taken_apart(content: bytes, says: str) -> None:
    with pytest.raises(Refused, check=saying(says)):
        read_logbook(content)


@pytest.mark.parametrize(("where", "value"), [c for c in BEYOND if c not in NEVER_KEPT])
def test_what_was_kept_beyond_the_bounds_can_still_be_read(where: str, value: Any) -> None:
    document = changed((where, value))
    _follow(document, where, value)
    assert parse_logbook(document, kept=True).title == "Two-line kite"
