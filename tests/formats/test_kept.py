"""What is for the record only: understood where it can be, kept as it is where not."""

from typing import Any

import pytest

from metrion.core.instruments.appearance import Appearance, FineAs, PrintedUnit
from metrion.core.logbook import Logbook
from metrion.core.quantity.comparison_reference import Beside
from metrion.core.quantity.noted import Approach, Earlier, Noted
from metrion.formats.logbook import parse_logbook
from tests.formats.edited import pointers
from tests.formats.test_faults import changed


def read(*edits: tuple[str, Any]) -> Logbook:
    return parse_logbook(changed(*edits))


READING = "/measurements/0/observations/0"


def noted(name: str, value: Any) -> tuple[Noted, Any]:
    """What is understood of a field beside a reading, and what is kept as it is."""
    reading = read((f"{READING}/{name}", value)).measurements[0].observations[0]
    return reading.noted, reading.rest


@pytest.mark.parametrize(
    ("name", "value", "understood"),
    [
        ("note", "a burr", Noted(note="a burr")),
        ("reader", "Ada", Noted(reader="Ada")),
        ("approach", "opening", Noted(approach=Approach.OPENING)),
        ("at", "2026-10-12T08:05:00+00:00", Noted(at="2026-10-12T08:05:00+00:00")),
        ("looked_again", ["outlier"], Noted(looked_again=("outlier",))),
        ("history", [{"main": "7", "fine": 3, "why": "misread", "at": "then", "lamp": 1}],
         Noted(history=(Earlier((("7", "3"),), "then", "misread", {"lamp": 1}),))),
        ("history", [{"a": {"main": "1:00", "fine": 2}, "b": {"main": "2:00", "fine": "3"}}],
         Noted(history=(Earlier((("1:00", "2"), ("2:00", "3"))),))),
    ],
)  # fmt: skip
def test_what_is_noted_beside_a_reading_is_understood(
    name: str, value: Any, understood: Noted
) -> None:
    assert noted(name, value) == (understood, {})


@pytest.mark.parametrize(
    ("name", "value"),
    [("note", 5), ("reader", None), ("approach", "sideways"), ("looked_again", "outlier"),
     ("looked_again", [5]), ("history", {}), ("history", [5]), ("of_ours", {"kept": [1, None]}),
     ("second_turn", "no screw")],
)  # fmt: skip
def test_what_is_not_understood_is_kept_as_it_is(name: str, value: Any) -> None:
    assert noted(name, value) == (Noted(), {name: value})


def test_entries_say_what_else_was_noted_of_them() -> None:
    found = read(
        ("/aim", "See."), ("/date", 5), ("/instruments/0/numerals", "cm"),
        ("/instruments/0/fine_as", "worth"), ("/instruments/0/pitch", 0),
        ("/instruments/0/second_edge", "yes"), ("/measurements/0/zero_exact", True),
        ("/measurements/0/compare", {"value": "6.3", "unit": "mm", "of": "the drawing"}),
        ("/zero_checks/0/note", "wiped"), ("/conventions/0/coverage", 2),
        ("/derived/0/compare", {"quantity": "m1"}),
    )  # fmt: skip
    assert (found.aim, found.date, found.rest) == ("See.", "", {"date": 5})
    tool, quantity = found.instruments[0], found.measurements[0]
    assert tool.appearance == Appearance(PrintedUnit.CM, FineAs.WORTH)
    assert tool.rest == {"pitch": 0, "second_edge": "yes"}
    assert quantity.zero_exact
    assert quantity.compare == Beside(value="6.3", unit="mm", rest={"of": "the drawing"})
    assert found.zero_checks[0].noted == Noted(note="wiped")
    assert found.conventions[0].rest == {"coverage": 2}
    assert found.derived[0].compare == Beside(quantity="m1")


@pytest.mark.parametrize(
    ("where", "longest"),
    [
        ("/title", 200), ("/aim", 4000), ("/instruments/0/name", 200),
        ("/measurements/0/symbol", 200),
        (f"{READING}/place", 200), (f"{READING}/excluded", 4000), (f"{READING}/note", 4000),
        (f"{READING}/reader", 200), (f"{READING}/history/0/why", 4000),
        (f"{READING}/looked_again/0", 200), ("/measurements/0/compare/value", 200),
    ],
)  # fmt: skip
def test_text_keeps_to_its_bounds_also_where_it_is_for_the_record_only(
    where: str, longest: int
) -> None:
    holders = (
        (f"{READING}/history", [{"main": "7"}]), (f"{READING}/looked_again", [""]),
        ("/measurements/0/compare", {}),
    )  # fmt: skip
    assert read(*holders, (where, "ä\t\n" + "x" * (longest - 3)))
    for beyond in ("x" * (longest + 1), "a\x00", "a\r", "\x85", "\ufffe", "\x7f"):
        document = changed(*holders, (where, beyond))
        assert pointers(document) == [where]
        assert parse_logbook(document, kept=True)
