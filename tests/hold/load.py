"""Many clients at once: every reading is kept once, none is refused, and none waits unduly.

python -m tests.hold.load 30 10 100
"""

from __future__ import annotations

import http.client
import json
import sys
import tempfile
import threading
import time
from collections import Counter
from dataclasses import dataclass, field
from pathlib import Path
from statistics import quantiles
from urllib.parse import urlsplit

from tests.server import asked, running

_READING = {"quantity": "q", "main": "6", "fine": 3}
_TOOL = {
    "id": "cal", "kind": "vernier", "name": "C", "unit": "mm", "main_division": "1",
    "fine_divisions": 20, "span": 39,
}  # fmt: skip


@dataclass
class Carried:
    """What came of the load; times in seconds."""

    statuses: Counter[int] = field(default_factory=Counter)
    written: set[str] = field(default_factory=set)
    lost: int = 0
    doubled: int = 0
    writes: list[float] = field(default_factory=list)
    empty: list[float] = field(default_factory=list)

    @property
    def ratio(self) -> float:
        """The 99th percentile of a write to that of an empty route."""
        return _percentile(self.writes) / _percentile(self.empty)

    @property
    def row(self) -> str:
        """As a row of the table."""
        refused = sum(count for status, count in self.statuses.items() if status >= 500)
        return (
            f"{len(self.written)} written, {self.lost} lost, {self.doubled} doubled, {refused} x "
            f"5xx, 99th percentile {self.ratio:.1f} times that of an empty route"
        )


def _percentile(times: list[float]) -> float:
    return quantiles(times, n=100)[98]


def carried(clients: int, readings: int, *, one_sheet: bool) -> Carried:
    """Let clients write at once, each to a sheet of its own or all to one."""
    found = Carried()
    with tempfile.TemporaryDirectory() as folder, running(Path(folder), "serve") as address:
        sheets = [f"s{one}" for one in range(1 if one_sheet else clients)]
        for sheet in sheets:
            asked(address, "/sheets", {"id": sheet, "title": sheet})
            asked(address, f"/sheets/{sheet}/instruments", _TOOL)
            quantity = {"id": "q", "name": "Q", "instrument": "cal"}
            asked(address, f"/sheets/{sheet}/quantities", quantity)
        done = threading.Event()
        idle = threading.Thread(target=_ask_for_nothing, args=(address, found, done))
        writers = [
            threading.Thread(
                target=_write, args=(address, sheets[one % len(sheets)], f"{one}", readings, found)
            )
            for one in range(clients)
        ]
        for thread in (idle, *writers):
            thread.start()
        for thread in writers:
            thread.join()
        done.set()
        idle.join()
        there: Counter[str] = Counter()
        for sheet in sheets:
            (quantity_found,) = asked(address, f"/sheets/{sheet}")[1]["quantities"]
            there.update(one["id"] for one in quantity_found["readings"])
        found.lost = len(found.written - there.keys())
        found.doubled = sum(count > 1 for count in there.values()) + len(
            there.keys() - found.written
        )
    return found


def _write(address: str, sheet: str, name: str, readings: int, found: Carried) -> None:
    connection = http.client.HTTPConnection(urlsplit(address).netloc, timeout=120)
    for count in range(readings):
        key = f"r{name}-{count}"
        body = json.dumps({"id": key, **_READING})
        headers = {"Content-Type": "application/json", "Idempotency-Key": key}
        began = time.perf_counter()
        connection.request("POST", f"/api/sheets/{sheet}/readings", body, headers)
        answer = connection.getresponse()
        answer.read()
        found.writes.append(time.perf_counter() - began)
        found.statuses[answer.status] += 1
        if answer.status == 201:
            found.written.add(key)
    connection.close()


def _ask_for_nothing(address: str, found: Carried, done: threading.Event) -> None:
    connection = http.client.HTTPConnection(urlsplit(address).netloc, timeout=120)
    while not done.is_set():
        began = time.perf_counter()
        connection.request("GET", "/api/nothing")
        connection.getresponse().read()
        found.empty.append(time.perf_counter() - began)
        time.sleep(0.01)
    connection.close()


if __name__ == "__main__":
    many, few, each = map(int, sys.argv[1:])
    print(f"{many} clients x {each}:", carried(many, each, one_sheet=False).row)
    print(f"{few} clients x {each} on one sheet:", carried(few, each, one_sheet=True).row)
