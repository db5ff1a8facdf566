"""Many files at once: what each brings, what became of it, and all out again in one step."""

import json
import urllib.request
from collections import Counter
from pathlib import Path
from typing import Any
from uuid import uuid4

import pytest
from flask.testing import FlaskClient
from sqlalchemy import text

from tests.hand_ins import handed, logbook_of, pdf_of, zip_of
from tests.server import running

HAND_INS = [handed(number) for number in range(30)]
TITLE = "Spare parts"


class Sender:
    """Sends files to a server as a browser does."""

    def __init__(self, address: str) -> None:
        self.address = address

    def send(self, path: str, files: dict[str, bytes], **headers: str) -> Any:
        """What is answered."""
        mark = uuid4().hex
        parts = [
            f'--{mark}\r\nContent-Disposition: form-data; name="file"; filename="{name}"\r\n'
            "Content-Type: application/octet-stream\r\n\r\n".encode()
            + content
            + b"\r\n"
            for name, content in files.items()
        ]
        body = b"".join(parts) + f"--{mark}--\r\n".encode()
        kind = f"multipart/form-data; boundary={mark}"
        return self.ask(path, body, **{"Content-Type": kind}, **headers)

    def ask(self, path: str, body: bytes | None = None, **headers: str) -> Any:
        """The JSON that is answered."""
        sent = urllib.request.Request(f"{self.address}/api{path}", body, headers)
        with urllib.request.urlopen(sent, timeout=60) as answer:
            return json.load(answer)

    def sheets(self) -> list[Any]:
        """The sheets of the class that are there."""
        found: list[Any] = self.ask("/sheets")["sheets"]
        return [one for one in found if one["title"] == TITLE]


@pytest.fixture
def sender(tmp_path: Path) -> Any:
    with running(tmp_path) as address:
        yield Sender(address)


def packed() -> dict[str, bytes]:
    """Thirty hand-ins of equal titles in every way in which files come."""
    single = {f"{number}.json": logbook_of(HAND_INS[number]) for number in range(8)}
    papers = {f"Week 3/{number}.pdf": pdf_of(HAND_INS[number]) for number in range(8, 20)}
    zips = {f"{number}.json": logbook_of(HAND_INS[number]) for number in range(20, 29)}
    inner = {"late.zip": zip_of({"a/29.pdf": pdf_of(HAND_INS[29])})}
    return {**single, **papers, "rest.zip": zip_of(zips | inner), "readme.txt": b"hello"}


def test_thirty_hand_ins_of_one_title_come_in_each_as_its_own(sender: Sender) -> None:
    files = packed()
    found = sender.send("/arrivals", files)
    assert Counter(one["standing"] for one in found) == {"new": 30, "other": 1}
    assert (found[-1]["file"], found[-1]["possible"]) == ("readme.txt", ["skip"])
    taken = sender.send("/arrivals/take", files)
    assert Counter(one["decision"] for one in taken) == {"new": 30, "skip": 1}
    here = sender.sheets()
    assert sorted(one["authors"] for one in here) == sorted(one["authors"] for one in HAND_INS)
    assert sorted(one["id"] for one in here) == sorted(one["id"] for one in HAND_INS)
    for one in HAND_INS:
        assert sender.ask(f"/sheets/{one['id']}/logbook")["measurements"] == one["measurements"]
    again = sender.send("/arrivals", files)
    assert Counter(one["standing"] for one in again) == {"same": 30, "other": 1}


def test_a_request_that_is_sent_twice_takes_them_in_once(sender: Sender) -> None:
    files = {"a.json": logbook_of({**HAND_INS[0], "id": None}), "b.json": logbook_of(HAND_INS[1])}
    mark = {"Idempotency-Key": "once"}
    assert [one["decision"] for one in sender.send("/arrivals/take", files)] == ["new", "new"]
    body = b'--x\r\nContent-Disposition: form-data; name="file"; filename="c.json"\r\n\r\n'
    body += logbook_of({**HAND_INS[2], "id": None}) + b"\r\n--x--\r\n"
    kind = {"Content-Type": "multipart/form-data; boundary=x"}
    twice = [sender.ask("/arrivals/take", body, **kind, **mark) for _ in range(2)]
    assert twice[0] == twice[1]
    assert len(sender.sheets()) == 3


def test_what_was_taken_in_goes_out_again_in_one_step(client: FlaskClient) -> None:
    before = client.get("/api/sheets/spare-parts/logbook").json
    changed = json.dumps({**before, "title": "Theirs"}).encode()
    content = zip_of(
        {"1.json": changed, "2.json": logbook_of(HAND_INS[2]), "3.json": logbook_of(HAND_INS[3])}
    )
    decisions = "decision=replace&decision=new&decision=new"
    taken = client.post(f"/api/arrivals/take?{decisions}", data=content).json
    assert titles(client).count(TITLE) == 2
    assert "Theirs" in titles(client)
    client.patch("/api/sheets/sheet-3", json={"title": "Mine now"})
    back = [{key: one[key] for key in ("id", "version", "decision")} for one in taken]
    assert client.post("/api/arrivals/undo", json={"taken": back}).json == {"left": ["sheet-3"]}
    assert client.get("/api/sheets/spare-parts/logbook").json == before
    assert {"Mine now"} <= {*titles(client)}
    assert [one["id"] for one in client.get("/api/sheets").json["trash"]] == ["sheet-2"]
    # Once: what is out is out.
    again = client.post("/api/arrivals/undo", json={"taken": back}).json["left"]
    assert sorted(again) == ["sheet-2", "sheet-3", "spare-parts"]


def titles(client: FlaskClient) -> list[str]:
    return sorted(sheet["title"] for sheet in client.get("/api/sheets").json["sheets"])


def test_two_states_of_one_sheet_are_not_taken_for_two(client: FlaskClient) -> None:
    first, later = logbook_of(HAND_INS[1]), logbook_of({**HAND_INS[1], "aim": "to know"})
    content = zip_of({"a.json": first, "b.json": first, "c.json": later})
    found = client.post("/api/arrivals", data=content).json
    assert [(one["standing"], one["earlier"], one["usual"]) for one in found] == [
        ("new", "", "new"), ("same", "a.json", "skip"), ("differs", "a.json", "skip"),
    ]  # fmt: skip
    assert found[2]["possible"] == ["skip", "new"]
    choice = "decision=new&decision=skip&decision=new"
    taken = client.post(f"/api/arrivals/take?{choice}", data=content).json
    ids = [one["id"] for one in taken]
    assert (ids[0], ids[1]) == ("sheet-1", None)
    assert ids[2] not in ("sheet-1", None)
    both = "decision=skip&decision=replace&decision=replace"
    content = zip_of({"a.json": first, "b.json": later, "c.json": later})
    refused = client.post(f"/api/arrivals/take?{both}", data=content)
    assert (refused.status_code, refused.json["message"]) == (
        422, "two of the files are the same sheet: only one of them can replace it",
    )  # fmt: skip


def test_one_that_is_damaged_here_keeps_no_file_out(client: FlaskClient, app: Any) -> None:
    client.post("/api/arrivals/take", data=logbook_of(HAND_INS[1]))
    with app.extensions["notebook"].store.writing() as session:
        session.execute(text("UPDATE entries SET record = '{' WHERE sheet_id = 'sheet-1'"))
    [found] = client.post("/api/arrivals", data=logbook_of(HAND_INS[1])).json
    assert (found["standing"], found["here"]) == ("new", None)
    [taken] = client.post("/api/arrivals/take", data=logbook_of(HAND_INS[1])).json
    assert taken["id"] not in ("sheet-1", None)
