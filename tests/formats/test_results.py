import json
from fractions import Fraction
from typing import Any

from hypothesis import given

from metrion.formats.logbook import parse_logbook
from metrion.formats.results import results_document
from tests.strategies import logbooks

# The example of the contract.
EXAMPLE: dict[str, Any] = {
    "format": "metrion-logbook", "version": 1,
    "instruments": [
        {"id": "cal-a", "name": "Caliper A", "kind": "vernier", "unit": "mm", "main_division": "1",
         "fine_divisions": 20, "span": 39, "maker_limit": "0.03"},
    ],
    "zero_checks": [{"id": "z1", "instrument": "cal-a", "main": "-1", "fine": 17}],
    "measurements": [
        {"id": "m1", "instrument": "cal-a", "zero": ["z1"], "convention": "half-division",
         "observations": [
             {"main": "6", "fine": 3}, {"main": "6", "fine": 4},
             {"main": "7", "fine": 3, "excluded": "read the wrong mark"}]},
    ],
    "derived": [
        {"id": "wall", "formula": "(D - d)/2", "unit": "mm", "convention": "half-division",
         "inputs": {"D": "m1", "d": {"value": "4.1", "uncertainty": "0.1", "unit": "mm"}}},
    ],
}  # fmt: skip


def test_the_example_of_the_contract() -> None:
    found = results_document(parse_logbook(EXAMPLE))
    assert found["instruments"] == [
        {
            "id": "cal-a", "least_count": "0.05", "unit": "mm", "pattern": "direct",
            "fine_division": "1.95", "by_difference": "0.05", "by_division": "0.05",
        }
    ]  # fmt: skip
    (measured,) = found["measurements"]
    flags = measured.pop("flags")
    percent = measured.pop("relative_percent")
    assert measured == {
        "id": "m1", "unit": "mm", "count": 2, "observed": ["6.15", "6.2", "7.15"],
        "zero_error": "-0.15", "zero_correction": "0.15", "corrected": ["6.3", "6.35", "7.3"],
        "mean": "6.325", "uncertainty_unrounded": "0.055", "degrees_of_freedom": None,
        "coverage_factor": None, "value": "6.33", "uncertainty": "0.06",
        "text": "(6.33 ± 0.06) mm",
    }  # fmt: skip
    assert abs(Fraction(percent) - Fraction("0.869565217391")) < Fraction(1, 10**12)
    assert [(flag["code"], flag["level"]) for flag in flags] == [("few-readings", "info")]
    assert found["derived"] == [
        {
            "id": "wall", "unit": "mm", "mean": "1.1125", "uncertainty_unrounded": "0.0775",
            "degrees_of_freedom": None, "coverage_factor": None, "value": "1.11",
            "uncertainty": "0.08", "text": "(1.11 ± 0.08) mm",
        }
    ]  # fmt: skip


def test_where_a_derived_quantity_has_no_value_all_is_null() -> None:
    document = json.loads(json.dumps(EXAMPLE))
    document["derived"][0]["formula"] = "D*d/(D - D)"
    (found,) = results_document(parse_logbook(document))["derived"]
    assert found["mean"] is None
    assert found["text"] is None


@given(logbooks())
def test_any_logbook_gives_results_that_are_json(document: dict[str, Any]) -> None:
    found = results_document(parse_logbook(document))
    assert json.loads(json.dumps(found)) == found
    counts = [measured["count"] for measured in found["measurements"]]
    counting = [
        sum(not o.get("excluded") for o in m["observations"]) for m in document["measurements"]
    ]
    assert counts == counting
