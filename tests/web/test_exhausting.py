"""What would exhaust a machine, sent to a real server: refused in words, in little memory."""

import http.client
import json
import re
from collections.abc import Iterator
from io import BytesIO
from pathlib import Path
from typing import Any
from urllib.parse import urlsplit
from zipfile import ZIP_DEFLATED, ZipFile

import pytest

from tests.formats.test_faults import GOOD
from tests.server import COMMAND, asked, running

MOST_MEMORY = 500_000
"""What the server may ever have taken, in kB."""
FRACTION = "1" * 450 + "/" + "7" * 450
TABLE = "/sheets/spare-parts/quantities/spreader/table/preview?column=main&column=fine"


@pytest.fixture(scope="module")
def server(tmp_path_factory: pytest.TempPathFactory) -> Iterator[str]:
    with running(tmp_path_factory.mktemp("strict")) as address:
        yield address


@pytest.fixture
def watched(tmp_path: Path) -> Iterator[str]:
    """A server that may never take more than so much memory."""
    started = running(tmp_path, command=COMMAND)
    with started as address:
        yield address
        status = Path(f"/proc/{started.process.pid}/status").read_text()
    found = re.search(r"VmHWM:\s+(\d+) kB", status)
    assert found
    assert int(found[1]) < MOST_MEMORY


def archive(times: int, member: bytes) -> bytes:
    """A ZIP of so many files alike."""
    names = [f"a{number}" for number in range(times)]
    logbooks = [{"file": name} for name in names]
    manifest = {"format": "metrion-manifest", "version": 1, "logbooks": logbooks}
    packed = BytesIO()
    with ZipFile(packed, "w", ZIP_DEFLATED) as written:
        written.writestr("manifest.json", json.dumps(manifest))
        for name in names:
            written.writestr(name, member)
    return packed.getvalue()


def logbook(**sections: Any) -> bytes:
    return json.dumps({**GOOD, **sections}).encode()


def crowded() -> bytes:
    check = {"instrument": "cal", "main": FRACTION, "fine": 3}
    return logbook(zero_checks=[{"id": f"z{i}", **check} for i in range(200)])


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (archive(30, b" " * 20_000_000), "too large once it is unpacked"),
        (archive(10_001, b"{}"), "more than 10000 files"),
        (archive(1, b" " * 65_000_000 + b"x" * 3_000_000), "larger than 64 MiB"),
        (crowded(), "has 901 characters"),
        (logbook(of_ours=[[]] * 10_000_000), "more values than any logbook"),
        (logbook(of_ours="0" * 60_000_000), "more values than any logbook"),
        (logbook(of_ours=["😀" + "0" * 60_000] * 900), "more than the 65536 bytes"),
        (b"[" * 300_000, "more than 32 deep"),
    ],
    ids=["bomb", "listed", "member", "fractions", "lists", "text", "wide", "deep"],
)
def test_a_file_that_would_exhaust_the_machine_is_refused_in_words(
    watched: str, content: bytes, says: str
) -> None:
    status, answer = asked(watched, "/arrivals?name=x", content, "POST")
    whole = answer["message"] if status == 422 else " ".join(
        fault["message"] for one in answer for fault in one["faults"]
    )  # fmt: skip
    assert status in (200, 422)
    assert says in whole


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (",".join("1" * 201).encode(), "more than 200 columns"),
        (b"0," * 30_000_000, "longer than"),
        (b"0" * 60_000_000, "longer than"),
        (b'"\n",' * 10_000_000, "more than 200000 rows"),
        (b"1,2\n" * 200_001, "more than 200000 rows"),
        (b"1,2\n1," + b"3" * 4_001 + b"\n", "more than 4000 characters"),
        (b"\0" * 60_000_000, "no text"),
    ],
    ids=["columns", "commas", "zeros", "quoted", "rows", "cell", "nothing"],
)
def test_so_is_a_table(watched: str, content: bytes, says: str) -> None:
    status, answer = asked(watched, TABLE, content, "POST")
    assert (status, says in answer["message"]) == (422, True), answer["message"]


def test_a_table_within_the_bounds_is_taken_apart(watched: str) -> None:
    rows = b"main,fine\n" + b"6,13\n" * 9_998 + b"6," + b"3" * 4_000 + b"\n"
    status, answer = asked(watched, TABLE, rows, "POST")
    assert (status, answer["count"], len(answer["faults"])) == (200, 9_999, 1)


def test_a_body_is_read_as_strictly_as_a_file(server: str) -> None:
    def said(body: bytes) -> tuple[int, str]:
        status, answer = asked(server, "/sheets", body, "POST")
        return status, answer["message"]

    assert said(b'{"title": "a", "title": "b"}')[0] == 400
    assert said(b'{"title": "\\ud800"}')[0] == 400
    assert "32 deep" in said(b'{"title": ' + b"[" * 50_000)[1]
    assert said(b'{"title": "' + b"x" * 2_000_000 + b'"}')[0] == 413
    assert said(b'{"title": 1e400}')[0] == 422


@pytest.mark.parametrize("version", ["9" * 5_000, "²", "-1", "1.0", ""])
def test_a_version_that_is_none_is_refused(server: str, version: str) -> None:
    connection = http.client.HTTPConnection(urlsplit(server).netloc, timeout=30)
    path = "/api/sheets/spare-parts/quantities/spreader"
    headers: dict[str, str | bytes] = {
        "If-Match": f'"{version}"'.encode(),
        "Content-Type": "application/json",
    }
    connection.request("PATCH", path, b'{"name": "x"}', headers)
    assert connection.getresponse().status == 428
    connection.close()
