"""The table of observations as CSV."""

import csv
import json
from fractions import Fraction
from io import StringIO
from typing import Any

import pytest
from hypothesis import given

from metrion.core.logbook import Logbook
from metrion.demo import demo_file
from metrion.formats.logbook import parse_logbook
from metrion.formats.table import COLUMNS, harmless, observation_table, table_to_read
from metrion.voice import DecimalSign, Numbers, Speaker
from tests.strategies import logbooks


def rows(logbook: Logbook) -> list[dict[str, str]]:
    text = observation_table(logbook.measurements)
    return list(csv.DictReader(StringIO(text, newline="")))


def changed(**observation: Any) -> Logbook:
    document = json.loads(demo_file("spare-parts"))
    document["measurements"][0]["observations"][0] |= observation
    # Texts that new files may not hold can have been kept before.
    return parse_logbook(document, kept=True)


def test_every_observation_is_a_row_set_aside_or_not() -> None:
    text = observation_table(changed(excluded="a, burr").measurements)
    lines = text.split("\r\n")
    assert lines[0] == ",".join(COLUMNS)
    assert lines[1] == (
        'spreader,"Lower spreader, outside",cal-a,mm,end A,6,3,6.15,-0.15,6.3,"a, burr"'
    )
    assert lines[-1] == ""
    assert "\n" not in text.replace("\r\n", "")


@pytest.mark.parametrize("sign", [*"=+-@\uff1d\uff0b\uff0d\uff20\t\r\n\u2028\u2029"])
def test_text_that_a_spreadsheet_would_run_is_made_harmless(sign: str) -> None:
    assert harmless(f"{sign}1+1") == f"'{sign}1+1"
    if sign not in "\r":
        (first, *_) = rows(changed(place=f"{sign}1+1"))
        assert first["place"] == f"'{sign}1+1"


@pytest.mark.parametrize("sign", [*"=@\uff1d"])
def test_so_are_headings_made_of_the_words_of_a_course(sign: str) -> None:
    speaker = Speaker.of(Numbers(), {"zero_error": f"{sign}cmd"})
    heading = table_to_read(
        parse_logbook(json.loads(demo_file("spare-parts"))).measurements, speaker
    )
    assert f"'{sign}cmd" in heading.splitlines()[0].split(",")


def test_numbers_are_never_quoted() -> None:
    (first, *_) = rows(changed(main="-1"))
    assert (first["main"], first["zero_error"]) == ("-1", "-0.15")
    assert harmless("end A") == "end A"


def test_pairs_give_both_positions_as_text_and_no_windows() -> None:
    document = {
        "format": "metrion-logbook", "version": 1,
        "instruments": [
            {"id": "c", "kind": "angular", "unit": "arcmin", "main_division": "20",
             "fine_divisions": 40, "span": 39},
            {"id": "t", "kind": "vernier", "unit": "mm", "main_division": "1",
             "fine_divisions": 10, "span": 9},
        ],
        "measurements": [
            {"id": "m", "instrument": "c", "convention": "standard", "observations": [
                {"a": {"main": "341:20", "fine": 11}, "b": {"main": "18:40", "fine": 30},
                 "a2": {"main": "161:20", "fine": 11}, "b2": {"main": "198:40", "fine": 30}}]},
            {"id": "n", "instrument": "t", "convention": "standard", "observations": [
                {"a": {"main": "-2", "fine": 1}, "b": {"main": "3", "fine": 0}}]},
        ],
    }  # fmt: skip
    circle, length = rows(parse_logbook(document))
    assert (circle["main"], circle["fine"]) == ("341:20 / 18:40", "11 / 30")
    assert (circle["observed"], circle["zero_error"], circle["name"]) == ("2249.5", "0", "")
    assert (length["main"], length["observed"]) == ("'-2 / 3", "4.9")


@given(logbooks())
def test_read_less_zero_is_corrected_in_every_row(document: dict[str, Any]) -> None:
    logbook = parse_logbook(document)
    found = rows(logbook)
    assert len(found) == sum(len(m.observations) for m in logbook.measurements)
    for row in found:
        observed, zero, corrected = (
            Fraction(row[name]) for name in ("observed", "zero_error", "corrected")
        )
        assert abs(observed - zero - corrected) <= abs(observed) * Fraction(1, 10**12)


def test_people_read_names_and_decimals_as_the_tool_allows() -> None:
    comma = Speaker.of(Numbers(DecimalSign.COMMA))
    text = table_to_read(changed(main="-1", fine=0, excluded="=slip").measurements, comma)
    head, first, *_ = csv.reader(StringIO(text, newline=""), delimiter=";")
    assert head == [
        "quantity", "tool", "unit", "place", "main", "line", "reads", "zero error", "corrected",
        "set aside because",
    ]  # fmt: skip
    assert first == [
        "Lower spreader, outside", "Caliper A", "mm", "end A", "−1", "0", "−1,00", "−0,15",
        "−0,85", "'=slip",
    ]  # fmt: skip
