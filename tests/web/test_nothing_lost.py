"""What was lost without a word, tried at a real server: a first reading, a head, a title."""

from collections.abc import Iterator
from typing import Any

import pytest

from tests.server import asked, running


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with running(tmp_path_factory.mktemp("kept")) as address:
        yield address


def sheet(server: str, key: str) -> Any:
    return asked(server, f"/sheets/{key}")[1]


def test_a_table_without_headings_keeps_its_first_reading_of_nothing(server: str) -> None:
    table = "/sheets/spare-parts/quantities/spreader/table/take?column=main&column=fine"
    before = len(sheet(server, "spare-parts")["quantities"][0]["readings"])
    status, _ = asked(server, table, b"0,0\n6,3\n")
    readings = sheet(server, "spare-parts")["quantities"][0]["readings"][before:]
    assert status == 201
    assert [(one["main"], one["line"]) for one in readings] == [("0", "0"), ("6", "3")]


def test_a_replacement_brings_the_head_of_its_file_and_undo_all_of_the_old_one(server: str) -> None:
    key = "wing-tip-nocks"
    head = {"title": "Nocks", "aim": "See whether they fit.", "authors": "Ada, Björn"}
    asked(server, f"/sheets/{key}", head, "PATCH")
    document = asked(server, f"/sheets/{key}/logbook")[1]
    document |= {"aim": "See again.", "authors": "Cleo", "of_ours": 1}
    status, taken = asked(server, "/arrivals/take?decision=replace", document)
    assert (status, [one["id"] for one in taken]) == (201, [key])
    replaced = asked(server, f"/sheets/{key}/logbook")[1]
    assert (replaced["aim"], replaced["authors"], replaced["of_ours"]) == ("See again.", "Cleo", 1)
    undone = asked(server, f"/sheets/{key}/undo", {})[1]
    assert {name: undone[name] for name in head} == head


def test_a_zero_counted_from_the_wrong_turn_is_mended_for_all_that_use_it(server: str) -> None:
    check = {"id": "off", "instrument": "screw-b", "main": "0", "fine": 47}
    asked(server, "/sheets/bridle-line/zero_checks", check)
    standoff = next(
        one for one in sheet(server, "bridle-line")["quantities"] if one["id"] == "standoff"
    )
    found = asked(
        server, "/sheets/bridle-line/quantities/standoff", {"zero": ["off"]}, "PATCH",
        standoff["version"],
    )[1]  # fmt: skip
    (flag,) = (
        flag
        for quantity in found["quantities"]
        for flag in quantity["flags"]
        if flag["code"] == "zero-wrapped"
    )
    fields = flag["remedies"][0]["fields"]
    assert (flag["zero_check"], fields) == ("off", {"main": "-0.5"})
    mended = asked(
        server,
        "/sheets/bridle-line/zero_checks/off",
        flag["remedies"][0]["fields"],
        "PATCH",
        version=1,
    )[1]
    codes = [flag["code"] for one in mended["quantities"] for flag in one["flags"]]
    assert "zero-wrapped" not in codes
