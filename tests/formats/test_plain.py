"""Plain scales: a ruler that is read at its marks, or between them where one estimates."""

import json
from typing import Any

import pytest

from metrion.core.logbook import reduce_logbook
from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_logbook
from metrion.formats.results import results_document
from metrion.formats.table import observation_table
from metrion.formats.working import working_text
from metrion.report.drawing import drawn_reading
from metrion.voice import plainly
from tests.formats.steps import check
from tests.said import said

ESTIMATING = {
    "id": "tenths", "family": "standard", "reading_limit": "1/2", "zero_look": True, "digits": 2,
    "coverage": "1", "estimate": True,
}  # fmt: skip


def ruled(*mains: str, convention: str = "half-division", **more: Any) -> dict[str, Any]:
    """A logbook of one quantity measured with a rule; a fine reading has no meaning there."""
    return {
        "format": "metrion-logbook", "version": 1, "conventions": [ESTIMATING],
        "instruments": [
            {"id": "r", "name": "Rule", "kind": "plain", "unit": "cm", "main_division": "0.1",
             "range": ["0", "30"], "pitch": "none"}],
        "zero_checks": [{"id": "z", "instrument": "r", "main": "0.03"}],
        "measurements": [
            {"id": "m", "instrument": "r", "convention": convention,
             "observations": [{"main": main, "fine": "ignored"} for main in mains], **more}],
    }  # fmt: skip


def measured(document: dict[str, Any]) -> dict[str, Any]:
    found: dict[str, Any] = results_document(parse_logbook(document))["measurements"][0]
    return found


def test_a_reading_is_its_main_mark_and_the_least_count_a_division() -> None:
    document = ruled("12.3", "12.4", "12.3", zero=["z"])
    (tool,) = results_document(parse_logbook(document))["instruments"]
    assert tool == {"id": "r", "least_count": "0.1", "unit": "cm", "pattern": "plain"}
    found = measured(document)
    assert (found["observed"], found["zero_error"]) == (["12.3", "12.4", "12.3"], "0.03")
    assert (found["text"], found["flags"]) == ("(12.30 ± 0.05) cm", [])


def test_one_that_stands_a_mark_off_is_no_slip_of_the_fine_scale() -> None:
    found = measured(ruled("12.3", "12.3", "12.4", zero=["z"]))
    assert [flag["code"] for flag in found["flags"]] == []
    tenfold = measured(ruled("1.2", "12.3", "12.4", "12.3", zero=["z"]))
    assert [flag["code"] for flag in tenfold["flags"]] == ["unit-slip"]


def test_both_ends_of_a_rule_make_a_pair() -> None:
    document = ruled()
    ends = {"a": {"main": "1.23"}, "b": {"main": "13.1"}}
    document["measurements"][0] |= {"observations": [ends], "convention": "tenths"}
    assert measured(document)["observed"] == ["11.87"]
    table = observation_table(parse_logbook(document).measurements).splitlines()[1]
    assert table.split(",")[5:8] == ["1.23 / 13.1", "", "11.87"]


def test_between_the_marks_one_reads_only_where_one_estimates() -> None:
    assert measured(ruled("12.34", convention="tenths"))["observed"] == ["12.34"]
    with pytest.raises(Refused) as refused:
        parse_logbook(ruled("12.34"))
    (fault,) = refused.value.faults
    assert fault.pointer == "/measurements/0/observations/0/main"
    assert said(fault) == "12.34 is not a mark of Rule, whose marks are 0.1 cm apart"


@pytest.mark.parametrize("count", [3, 250])
def test_its_working_holds(count: int) -> None:
    document = ruled(*["12.3", "12.5", "12.4"][: min(count, 3)] * (count // 3), zero=["z"])
    worked = json.loads("".join(working_text(parse_logbook(document), plainly())))
    values = check(worked["measurements"][0]["steps"], {})
    assert values["least_count"] * 10 == 1
    assert len(values["readings"]) == count // 3 * 3
    assert "lines" not in values


def test_it_is_drawn_with_the_place_where_it_is_read() -> None:
    (measurement,) = parse_logbook(ruled("12.3")).measurements
    drawn = drawn_reading(measurement.instrument, measurement.observations[0].indications[0])
    assert drawn.count("<line") > 10
    assert reduce_logbook(parse_logbook(ruled())).measurements[0].result.rounded is None
