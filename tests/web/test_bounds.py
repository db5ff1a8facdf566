"""Bounds at the real door: what is too large is refused at once, what was kept stays in use."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from tests.formats.test_faults import changed
from tests.server import asked, running
from tests.store.unchecked import keep_unchecked

NINE_NINTHS = "(" * 9 + "1/9" + ")**9" * 9
NINES = "9" * 30


def kept_beyond(folder: Path) -> None:
    """A sheet as it was kept before there were bounds."""
    document = changed(("/instruments/0/maker_limit", NINES), ("/zero_checks/0/id", "a/b"))
    document["measurements"][0]["zero"] = ["a/b"]
    keep_unchecked(folder, "before", document)


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    folder = tmp_path_factory.mktemp("bounded")
    kept_beyond(folder)
    with running(folder, "serve") as address:
        yield address


def wall(formula: str, **more: Any) -> dict[str, Any]:
    inputs = {"D": "m1"}
    more = {"unit": "mm", "convention": "standard", **more}
    return {"name": "Wall", "formula": formula, "inputs": inputs, **more}


CALIPER = {
    "kind": "vernier", "name": "C", "unit": "mm", "main_division": "1", "fine_divisions": 20,
    "span": 39,
}  # fmt: skip


@pytest.mark.parametrize(
    ("path", "body", "pointer"),
    [
        ("/derived", wall(f"D*{NINE_NINTHS}"), "formula"),
        ("/derived", wall(f"D**{NINE_NINTHS}"), "formula"),
        ("/derived", wall("D" + " + D" * 200), "formula"),
        ("/derived", wall("D", unit="mm**10"), "unit"),
        ("/derived", wall("D", id="a/b"), "id"),
        ("/instruments", {**CALIPER, "fine_divisions": 10**7, "span": 9}, "fine_divisions"),
        ("/instruments", {**CALIPER, "maker_limit": "9" * 400}, "maker_limit"),
        ("/instruments", {**CALIPER, "id": ".."}, "id"),
        ("/quantities", {"name": "Q", "instrument": "cal", "items": 1_000_001}, "items"),
        ("/quantities", {"name": "x\x07", "instrument": "cal"}, "name"),
        ("/readings", {"quantity": "m1", "main": "9" * 41, "fine": 3}, "main"),
        ("/readings", {"quantity": "m1", "main": "6", "fine": 3, "id": "x y"}, "id"),
    ],
)
def test_what_is_too_large_is_refused_at_its_place(
    server: str, path: str, body: dict[str, Any], pointer: str
) -> None:
    status, answer = asked(server, f"/sheets/before{path}", body)
    assert status == 422
    assert [fault["pointer"].rpartition("/")[2] for fault in answer["faults"]] == [pointer]


@pytest.mark.parametrize(
    ("path", "body"),
    [
        ("/instruments/describe", {**CALIPER, "fine_divisions": 10**7, "span": 3}),
        ("/instruments/describe", {**CALIPER, "main_division": "9" * 400}),
        ("/tools", {**CALIPER, "span": 2_001}),
        ("/tools", {**CALIPER, "id": "a b"}),
        ("/sheets", {"title": "x", "id": ".."}),
        ("/planner", {"size": "9" * 400, "unit": "mm", "percent": "1", "scatter": "",
                      "convention": "standard"}),
        ("/planner", {"size": "1", "unit": "mm", "percent": "0.0000000000001", "scatter": "",
                      "convention": "standard"}),
    ],
)  # fmt: skip
def test_what_is_only_tried_keeps_to_the_bounds_too(
    server: str, path: str, body: dict[str, Any]
) -> None:
    status, answer = asked(server, path, body)
    assert (status, bool(answer["message"])) == (422, True)


def test_a_figure_at_the_desk_is_too_long_in_words(server: str) -> None:
    indication = {"seq": 1, "instrument": "cal", "main": "9" * 400, "fine": "9" * 400}
    status, answer = asked(server, "/sheets/before/look", indication)
    assert status == 200
    assert "has 400 characters" in answer["main"]["fault"]
    assert "has 400 characters" in answer["fine"]["fault"]


def test_a_sheet_kept_beyond_the_bounds_goes_on_being_used(server: str) -> None:
    status, sheet = asked(server, "/sheets/before")
    assert (status, sheet["title"]) == (200, "Two-line kite")
    status, exported = asked(server, "/sheets/before/logbook")
    assert exported["instruments"][0]["maker_limit"] == NINES
    status, _ = asked(server, "/sheets/before/readings", {"quantity": "m1", "main": "6", "fine": 3})
    assert status == 201
    status, _ = asked(server, "/sheets/before/undo", {})
    assert status == 200
    tool = "/sheets/before/instruments/cal"
    status, renamed = asked(server, tool, {"name": "Renamed"}, "PATCH", version=1)
    assert (status, renamed["instruments"][0]["name"]) == (200, "Renamed")
    status, answer = asked(server, tool, {"maker_limit": f"1{NINES}"}, "PATCH", version=2)
    assert (status, answer["faults"][0]["pointer"]) == (422, "/instruments/0/maker_limit")


@pytest.mark.parametrize("head", [{"title": "\x07bell"}, {"aim": "\ufffe"}])
def test_a_head_that_no_file_may_have_is_refused(server: str, head: dict[str, str]) -> None:
    status, answer = asked(server, "/sheets/before", head, "PATCH")
    assert status == 422
    assert answer["faults"][0]["pointer"] == f"/{next(iter(head))}"
