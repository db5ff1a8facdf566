"""What would exhaust a server: seconds, peak memory, and how long typing waits beside it.

python -m tests.hold.exhausting [SRC of another state, measured beside this one in the same run]
"""

from __future__ import annotations

import json
import os
import socket
import sqlite3
import sys
import tempfile
import threading
import time
import urllib.error
import urllib.request
from collections.abc import Callable, Iterator
from contextlib import ExitStack, closing, suppress
from dataclasses import dataclass, field
from io import BytesIO
from pathlib import Path
from urllib.parse import urlsplit

import numpy as np
from PIL import Image

from metrion.store.database import FILE_NAME
from tests.server import COMMAND, asked, running
from tests.web.test_exhausting_more import (
    LOOK,
    PICTURE,
    inflating,
    jpeg,
    of_many_scans,
    png,
    protected,
    reading,
    with_picture,
)

_PATIENCE = 30
_TICK = 0.05
FITS, ARRIVALS = "/tables/fits", "/arrivals?name=x"


def _noise() -> bytes:
    into, random = BytesIO(), np.random.default_rng(1)
    picture = Image.fromarray(random.integers(0, 255, (3_000, 4_000), dtype=np.uint8))
    picture.save(into, "JPEG", quality=60)
    return into.getvalue()


BODIES: tuple[tuple[str, str, Callable[[], bytes]], ...] = (
    ("a JPEG of 4,000 scans", "", lambda: of_many_scans(4_000)),
    ("the same in a ZIP", ARRIVALS, lambda: with_picture(of_many_scans(4_000))),
    ("a PNG of 65,000 x 700", "", lambda: png((65_000, 700))),
    ("a JPEG of 50 million pixels", "", lambda: jpeg((8_192, 6_144))),
    ("one picture listed 300,000 times", ARRIVALS, lambda: with_picture(jpeg((90, 60)), 300_000)),
    ("a PDF with a password", ARRIVALS, protected),
    ("a PDF of 40 million z", ARRIVALS, lambda: inflating("/ASCII85Decode", b"z" * 40_000_000)),
    ("a table of 150,000 x 200", FITS, lambda: (b"1," * 199 + b"1\n") * 150_000),
)


@dataclass
class Watched:
    """A server while something is asked of it.

    Attributes:
        wait: the longest for an answer to typing, in seconds.
        most: memory that it and its processes had, in MB.
    """

    address: str
    process: int
    wait: float = 0.0
    most: int = 0
    _ended: threading.Event = field(default_factory=threading.Event)

    def __enter__(self) -> Watched:
        self._threads = [threading.Thread(target=one) for one in (self._type, self._look)]
        for thread in self._threads:
            thread.start()
        return self

    def __exit__(self, *_: object) -> None:
        self._ended.set()
        for thread in self._threads:
            thread.join()

    def _type(self) -> None:
        while not self._ended.wait(_TICK):
            begun = time.monotonic()
            with suppress(OSError, ValueError):
                asked(self.address, "/sheets/spare-parts/look", LOOK)
            self.wait = max(self.wait, time.monotonic() - begun)

    def _look(self) -> None:
        while not self._ended.wait(_TICK):
            self.most = max(self.most, sum(map(_megabytes, _with_children(self.process))))


def _with_children(process: int) -> Iterator[int]:
    yield process
    for path in Path("/proc").glob("[0-9]*/stat"):
        with suppress(OSError):
            if int(path.read_text().rpartition(")")[2].split()[1]) == process:
                yield int(path.parent.name)


def _megabytes(process: int) -> int:
    with suppress(OSError):
        for line in Path(f"/proc/{process}/status").read_text().splitlines():
            if line.startswith("VmRSS"):
                return int(line.split()[1]) // 1024
    return 0


def _posted(address: str, path: str, body: bytes) -> str:
    """The status; how long was waited in vain where there is none."""
    request = urllib.request.Request(f"{address}/api{path}", body, {"Content-Type": "x/y"})
    try:
        with urllib.request.urlopen(request, timeout=_PATIENCE) as answer:
            return str(answer.status)
    except urllib.error.HTTPError as error:
        return str(error.code)
    except OSError:
        return "none"


def _body(path: str, content: bytes) -> Callable[[str, Path], str]:
    def ask(address: str, _: Path) -> str:
        return _posted(address, path or PICTURE.format(reading(address)), content)

    return ask


def _eight_photographs(address: str, _: Path) -> str:
    path, content, found = PICTURE.format(reading(address)), _noise(), []
    threads = [
        threading.Thread(target=lambda: found.append(_posted(address, path, content)))
        for _ in range(8)
    ]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    return " ".join(sorted(set(found)))


def _locked(address: str, folder: Path) -> str:
    """Ten writes while another program keeps the database; the longest of them."""
    waits: list[tuple[str, float]] = []

    def write() -> None:
        begun = time.monotonic()
        try:
            status = str(asked(address, "/sheets", {"title": "Later"})[0])
        except OSError:
            status = "none"
        waits.append((status, time.monotonic() - begun))

    with closing(sqlite3.connect(next(folder.rglob(FILE_NAME)), isolation_level=None)) as other:
        other.execute("BEGIN IMMEDIATE")
        threads = [threading.Thread(target=write) for _ in range(10)]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
        other.execute("ROLLBACK")
    return f"{max(waits, key=lambda one: one[1])[0]} after {max(one for _, one in waits):.1f} s"


def _idle(address: str, _folder: Path) -> str:
    host, port = urlsplit(address).netloc.split(":")
    with ExitStack() as idle:
        for _ in range(110):
            idle.enter_context(socket.create_connection((host, int(port)), timeout=5))
        request = urllib.request.Request(f"{address}/api/sheets")
        try:
            with urllib.request.urlopen(request, timeout=10) as answer:
                return str(answer.status)
        except OSError:
            return "none in 10 s"


CASES: tuple[tuple[str, Callable[[str, Path], str]], ...] = (
    *((name, _body(path, make())) for name, path, make in BODIES),
    ("eight photographs of 12 million pixels", _eight_photographs),
    ("ten writes to a locked database", _locked),
    ("110 idle connections", _idle),
)


def measured(case: Callable[[str, Path], str], source: str) -> str:
    """What is answered, seconds, memory and wait, of the state at a path; of this one without."""
    with tempfile.TemporaryDirectory() as name:
        environment = {"PYTHONPATH": source} if source else {}
        started = running(Path(name), command=COMMAND, environment={**os.environ, **environment})
        with started as address:
            asked(address, "/sheets/spare-parts/look", LOOK)
            begun = time.monotonic()
            with Watched(address, started.process.pid) as watched:
                answered = case(address, Path(name))
                seconds = time.monotonic() - begun
            started.process.kill()
    return f"{answered} | {seconds:.1f} | {watched.most} | {watched.wait:.2f}"


def table(other: str = "") -> str:
    """A row for each; with another state, what that did first."""
    head = "answer | s | MB | typing waits, s"
    heads = [head, head] if other else [head]
    rows = [f"| what | {' | '.join(heads)} |", "|---" * (1 + 4 * len(heads)) + "|"]
    for name, case in CASES:
        cells = [measured(case, source) for source in ([other, ""] if other else [""])]
        rows.append(f"| {name} | {' | '.join(cells)} |")
        print(json.dumps(rows[-1], ensure_ascii=False), file=sys.stderr, flush=True)
    return "\n".join(rows)


if __name__ == "__main__":
    print(table(*sys.argv[1:2]))
