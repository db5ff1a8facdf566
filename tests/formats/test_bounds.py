"""How large what is taken in may be: files and API alike; what was kept before stays readable."""

from typing import Any

import pytest

from metrion.formats.logbook import parse_logbook
from tests.formats.test_faults import GOOD, changed, pointers

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


@pytest.mark.parametrize(("where", "value"), [c for c in BEYOND if c not in NEVER_KEPT])
def test_what_was_kept_beyond_the_bounds_can_still_be_read(where: str, value: Any) -> None:
    document = changed((where, value))
    _follow(document, where, value)
    assert parse_logbook(document, kept=True).title == "Two-line kite"
