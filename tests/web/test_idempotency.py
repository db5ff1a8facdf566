"""The same request twice, at a real server: done once; another one under its key: refused."""

from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from metrion.demo import demo_file
from tests.server import asked, running

CONVENTION = {
    "name": "Ours", "family": "limit", "reading_limit": "1/2", "zero_look": True,
    "spread": "half-range", "combine": "sum", "digits": 1,
}  # fmt: skip
CALIPER = {
    "kind": "vernier", "name": "C", "unit": "mm", "main_division": "1", "fine_divisions": 20,
    "span": 39,
}  # fmt: skip
AT = "/sheets/spare-parts"


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with running(tmp_path_factory.mktemp("once")) as address:
        yield address


def everything(server: str) -> Any:
    return [asked(server, path)[1] for path in ("/sheets", "/tools", "/conventions", AT)]


@pytest.mark.parametrize(
    ("path", "body", "other"),
    [
        ("/sheets", {"title": "Twice"}, {"title": "Other"}),
        ("/arrivals/take?decision=new", demo_file("sail-film"), demo_file("bridle-line")),
        ("/tools", CALIPER, {**CALIPER, "name": "D"}),
        ("/conventions", {"id": "ours", **CONVENTION}, {"id": "theirs", **CONVENTION}),
        (f"{AT}/readings", {"quantity": "spreader", "main": "6", "fine": 3},
         {"quantity": "spreader", "main": "6", "fine": 4}),
        (f"{AT}/quantities", {"name": "Q", "instrument": "cal-a"},
         {"name": "R", "instrument": "cal-a"}),
        (f"{AT}/undo", {}, {"again": True}),
    ],
)  # fmt: skip
def test_what_is_sent_twice_is_done_once(server: str, path: str, body: Any, other: Any) -> None:
    first = asked(server, path, body, "POST", Idempotency_Key=path)
    after = everything(server)
    second = asked(server, path, body, "POST", Idempotency_Key=path)
    assert first[0] == second[0] in (200, 201), first
    assert _ids(first[1]) == _ids(second[1])
    assert everything(server) == after
    status, answer = asked(server, path, other, "POST", Idempotency_Key=path)
    assert (status, "was used for another request" in answer["message"]) == (409, True)
    assert everything(server) == after


def _ids(answer: Any) -> Any:
    return [one["id"] for one in answer] if isinstance(answer, list) else answer["id"]


def test_a_key_is_known_after_a_new_start(tmp_path: Path) -> None:
    for _ in range(2):
        with running(tmp_path) as address:
            assert asked(address, "/sheets", {"title": "Once"}, Idempotency_Key="k")[0] == 201
            found = [one["title"] for one in asked(address, "/sheets")[1]["sheets"]]
            assert found.count("Once") == 1


def test_a_sheet_renamed_meanwhile_is_not_renamed_over(server: str) -> None:
    version = asked(server, "/sheets/bridle-line")[1]["version"]
    new = asked(server, "/sheets/bridle-line", {"title": "First"}, "PATCH", version)
    late = asked(server, "/sheets/bridle-line", {"title": "Late"}, "PATCH", version)
    assert (new[0], late[0]) == (200, 412)
    assert asked(server, "/sheets/bridle-line")[1]["title"] == "First"


def test_emptying_the_trash_is_for_good_and_touches_nothing_else(server: str) -> None:
    key = asked(server, "/sheets", {"title": "Gone"})[1]["id"]
    asked(server, f"/sheets/{key}", method="DELETE")
    before = asked(server, "/sheets")[1]
    status, after = asked(server, "/trash", method="DELETE")
    assert (status, after["trash"]) == (200, [])
    assert [one["id"] for one in before["trash"]] == [key]
    assert after["sheets"] == before["sheets"]
    assert asked(server, f"/sheets/{key}/restore", {})[0] == 404
