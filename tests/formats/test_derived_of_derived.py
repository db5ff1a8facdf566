"""What is derived of what is derived: as if the inner formula stood there in brackets."""

import json
from typing import Any

import pytest

from metrion.core.logbook import reduce_logbook
from metrion.core.quantity.derived import DEEPEST, MOST_WAYS
from metrion.core.uses import uses
from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_logbook
from metrion.formats.results import results_document
from metrion.formats.workbook import workbook
from metrion.formats.working import working_text
from metrion.report.build import build_report
from metrion.report.render.markdown import markdown_text
from metrion.voice import plainly

MASS = {"value": "27.5", "uncertainty": "0.1", "unit": "g"}
TYPED = {"value": "2", "uncertainty": "0.5", "unit": "mm"}
CONVENTIONS = ("whole-division", "half-division", "standard", "standard-95")


def sheet(derived: list[dict[str, Any]], convention: str = "standard") -> dict[str, Any]:
    look = [{"main": "30", "fine": line} for line in (3, 9, 4)]
    return {
        "format": "metrion-logbook", "version": 1, "convention": convention,
        "instruments": [
            {"id": "cal", "kind": "vernier", "unit": "mm", "main_division": "1",
             "fine_divisions": 20, "span": 39, "limit": "0.05"},
        ],
        "zero_checks": [{"id": "z", "instrument": "cal", "main": "0", "fine": 1}],
        "measurements": [
            {"id": "D", "instrument": "cal", "zero": ["z"],
             "observations": [{"main": "12", "fine": line} for line in (3, 5, 4)]},
            {"id": "d", "instrument": "cal", "zero": ["z"],
             "observations": [{"main": "8", "fine": line} for line in (7, 9)]},
            {"id": "h", "instrument": "cal", "observations": look},
            {"id": "e", "instrument": "cal", "observations": []},
        ],
        "derived": derived,
    }  # fmt: skip


def entry(key: str, formula: str, unit: str, **inputs: Any) -> dict[str, Any]:
    return {"id": key, "formula": formula, "unit": unit, "inputs": inputs}


def results(derived: list[dict[str, Any]], convention: str = "standard") -> list[dict[str, Any]]:
    found: Any = results_document(parse_logbook(sheet(derived, convention)))["derived"]
    listed: list[dict[str, Any]] = found
    return listed


VOLUME = entry("V", "pi*(D**2 - d**2)*h/4", "cm**3", D="D", d="d", h="h")
NESTED_AND_FLAT = [
    (
        [VOLUME, entry("x", "m/V", "g/cm**3", m=MASS, V="V")],
        entry("y", "m/(pi*(D**2 - d**2)*h/4)", "g/cm**3", m=MASS, D="D", d="d", h="h"),
    ),
    (
        # The same bore on two ways, and by itself; the zero of both jaws cancels in the wall.
        [
            entry("w", "(D - d)/2", "um", D="D", d="d"),
            entry("x", "w*d + w**2", "mm**2", w="w", d="d"),
        ],
        entry("y", "(D - d)/2*d + ((D - d)/2)**2", "mm**2", D="D", d="d"),
    ),
    (
        # Three deep, a symbol of the outer one called like one of the inner.
        [
            entry("r", "a/2", "cm", a="D"),
            entry("A", "pi*r**2", "mm**2", r="r"),
            entry("x", "A*r*a", "mm**4", A="A", r="h", a=TYPED),
        ],
        entry("y", "pi*(a/2)**2*h*t", "mm**4", a="D", h="h", t=TYPED),
    ),
    (
        [entry("s", "D/h", "1", D="D", h="h"), entry("x", "asin(s)", "deg", s="s")],
        entry("y", "asin(D/h)", "deg", D="D", h="h"),
    ),
]


@pytest.mark.parametrize("convention", CONVENTIONS)
@pytest.mark.parametrize(("nested", "flat"), NESTED_AND_FLAT)
def test_as_if_its_formula_stood_there(
    nested: list[dict[str, Any]], flat: dict[str, Any], convention: str
) -> None:
    *_, one, other = results([*nested, flat], convention)
    for field in ("mean", "uncertainty_unrounded"):
        assert float(one[field]) == pytest.approx(float(other[field]), rel=1e-12)
    for field in ("degrees_of_freedom", "text", "value", "uncertainty", "unit"):
        assert one[field] == other[field]


def test_its_own_convention_has_no_part_in_it() -> None:
    inner = {**VOLUME, "convention": "whole-division"}
    outer = entry("x", "m/V", "g/cm**3", m=MASS, V="V")
    assert results([inner, outer])[1] == results([VOLUME, outer])[1]


def test_what_comes_on_two_ways_enters_once() -> None:
    inner = entry("p", "D*t", "mm**2", D="D", t=TYPED)
    found = results([inner, entry("x", "a - b", "mm**2", a="p", b="p")])[1]
    assert (found["mean"], found["uncertainty_unrounded"]) == ("0", "0")
    twice = results([inner, entry("x", "a + b", "mm**2", a="p", b="p")])
    assert float(twice[1]["uncertainty_unrounded"]) == pytest.approx(
        2 * float(twice[0]["uncertainty_unrounded"]), rel=1e-12
    )


@pytest.mark.parametrize(
    "inner",
    [
        entry("n", "e + D", "mm", e="e", D="D"),
        entry("n", "h*(D - D)/(d - d)", "mm", D="D", d="d", h="h"),
    ],
)  # fmt: skip
def test_nothing_makes_nothing(inner: dict[str, Any]) -> None:
    found = results([inner, entry("x", "2*n", "mm", n="n"), entry("y", "2*D", "mm", D="D", n="n")])
    assert [one["value"] is None for one in found] == [True, True, False]


def test_a_measurement_of_that_id_comes_first() -> None:
    shadowed = entry("D", "2*h", "mm", h="h")
    assert results([shadowed, entry("x", "D", "mm", D="D")])[1]["mean"] == "12.15"


def test_the_working_follows_the_way() -> None:
    logbook = parse_logbook(sheet(NESTED_AND_FLAT[0][0]))
    document = json.loads("".join(working_text(logbook, plainly())))
    volume, density = ({s["key"]: s for s in one["steps"]} for one in document["derived"])
    assert density["input_V"]["from"] == "V"
    assert density["input_V"]["value"] == density["input_V"]["expression"]
    assert density["input_V"]["value"] == volume["mean"]["value"]
    assert [key for key in density if key.startswith("sensitivity")] == [
        "sensitivity_V_D", "sensitivity_V_d", "sensitivity_V_h", "sensitivity_m",
    ]  # fmt: skip
    assert density["sensitivity_V_h"]["unit"] == "g*cm**-3*mm**-1"
    assert density["input_V_d"]["from"] == "d"


def test_symbols_that_meet_on_their_ways_are_told_apart() -> None:
    inner = entry("q", "a_b + c", "mm", a_b="D", c="d")
    middle = entry("p", "b*b_c/b", "mm", b="q", b_c="h")
    outer = entry("x", "a*a_b_a_b*a_b", "mm**3", a="p", a_b="h", a_b_a_b="d")
    flat = entry("y", "h*d*h", "mm**3", h="h", d="d")
    *_, one, other = results([inner, middle, outer, flat])
    assert float(one["mean"]) == pytest.approx(float(other["mean"]), rel=1e-12)
    keys = [
        step["key"]
        for step in json.loads(
            "".join(working_text(parse_logbook(sheet([inner, middle, outer])), plainly()))
        )["derived"][2]["steps"]
    ]
    assert len(keys) == len(set(keys))
    assert {"input_a", "input_a_b", "input_a_b_a_b"} <= set(keys)


def refused(derived: list[dict[str, Any]]) -> list[str]:
    with pytest.raises(Refused) as found:
        parse_logbook(sheet(derived))
    return [fault.pointer for fault in found.value.faults]


def test_only_earlier_ones_can_stand_there() -> None:
    later = [entry("x", "V", "cm**3", V="V"), VOLUME]
    assert refused(later) == ["/derived/0/inputs/V"]
    assert refused([entry("x", "x", "mm", x="x")]) == ["/derived/0/inputs/x"]
    # A fault of the inner one hides none of the outer one, and makes none.
    broken = {**VOLUME, "formula": "pi*"}
    outer = entry("x", "V + h", "mm", V="V", h="h")
    assert refused([broken, outer]) == ["/derived/0/formula", "/derived/1/formula"]
    assert refused([broken, entry("x", "2*V", "cm**3", V="V")]) == ["/derived/0/formula"]
    assert refused([VOLUME, entry("x", "V", "mm", V="V")]) == ["/derived/1/unit"]


def test_no_file_exhausts_a_machine() -> None:
    chain = [entry("n0", "D", "mm", D="D")]
    chain += [entry(f"n{at}", "n", "mm", n=f"n{at - 1}") for at in range(1, DEEPEST)]
    assert results(chain)[-1]["mean"] == "12.15"
    beyond = entry("more", "n", "mm", n=f"n{DEEPEST - 1}")
    assert refused([*chain, beyond]) == [f"/derived/{DEEPEST}/inputs/n"]
    doubled = [entry("n0", "a + b", "mm", a="D", b="h")]
    doubled += [
        entry(f"n{at}", "a + b", "mm", a=f"n{at - 1}", b=f"n{at - 1}") for at in range(1, 10)
    ]
    assert 2**10 > MOST_WAYS >= 2**9
    assert refused(doubled) == ["/derived/9/inputs"]
    once, *_, many = results(doubled[:5])
    assert float(many["mean"]) == pytest.approx(16 * float(once["mean"]), rel=1e-12)


def test_it_is_used_and_written_out() -> None:
    logbook = parse_logbook(sheet(NESTED_AND_FLAT[0][0]))
    assert [use.id for use in uses(logbook, "derived", "V")] == ["x"]
    assert [use.id for use in uses(logbook, "measurements", "h")] == ["V"]
    found = reduce_logbook(logbook)
    assert "V: V" in markdown_text(build_report(found))
    density = workbook(found)["x"]
    formulas = [cell.value for row in density.iter_rows() for cell in row]
    assert any(str(one).startswith("='V'!") for one in formulas)
