"""A server killed while it is written to, and while it starts: what was acknowledged is there.

python -m tests.hold.kills 200 50
"""

from __future__ import annotations

import random
import sys
import tempfile
import threading
import time
from collections import Counter
from dataclasses import dataclass, field
from http.client import HTTPException
from pathlib import Path
from urllib.error import URLError

from metrion.store.backups import is_whole
from metrion.store.database import FILE_NAME
from tests.server import COMMAND, asked, running

_WRITERS = 4


@dataclass
class Held:
    """What came of the kills."""

    kills: int = 0
    acknowledged: set[str] = field(default_factory=set)
    lost: set[str] = field(default_factory=set)
    doubled: set[str] = field(default_factory=set)
    damaged: int = 0

    @property
    def row(self) -> str:
        """As a row of the table."""
        return (
            f"{self.kills} kills: {len(self.acknowledged)} acknowledged, {len(self.lost)} lost, "
            f"{len(self.doubled)} doubled, {self.damaged} damaged"
        )


def killed_while_writing(kills: int, seed: int = 1) -> Held:
    """Kill a server again and again while several clients write to it."""
    held, luck = Held(), random.Random(seed)
    with tempfile.TemporaryDirectory() as name:
        folder = Path(name)
        for count in range(kills):
            started = running(folder, "serve", command=COMMAND)
            address = started.__enter__()
            _check(held, address)
            stop = threading.Event()
            writers = [
                threading.Thread(target=_write, args=(address, held, stop, f"{count}-{one}"))
                for one in range(_WRITERS)
            ]
            for writer in writers:
                writer.start()
            time.sleep(luck.uniform(0.05, 0.6))
            _kill(started)
            stop.set()
            for writer in writers:
                writer.join()
            held.kills += 1
            held.damaged += not is_whole(folder / FILE_NAME)
        with running(folder, "serve") as address:
            _check(held, address)
    return held


def killed_while_starting(kills: int, seed: int = 2) -> Held:
    """Kill a server again and again before, or just after, it has begun to answer."""
    held, luck = Held(), random.Random(seed)
    with tempfile.TemporaryDirectory() as name:
        folder = Path(name) / "new"
        for count in range(kills):
            # Every other time a notebook is made anew.
            at = folder / str(count // 2)
            started = running(at, "serve", command=COMMAND)
            time.sleep(luck.uniform(0.0, 1.5))
            _kill(started)
            held.kills += 1
            with running(at, "serve") as address:
                _check(held, address, titled=str(at))
                key = f"{count}"
                if asked(address, "/sheets", {"title": str(at), "id": key})[0] == 201:
                    held.acknowledged.add(key)
            held.damaged += not is_whole(at / FILE_NAME)
    return held


def _write(address: str, held: Held, stop: threading.Event, name: str) -> None:
    count = 0
    while not stop.is_set():
        count += 1
        key = f"{name}-{count}"
        try:
            status, _ = asked(address, "/sheets", {"title": "Kept", "id": key}, Idempotency_Key=key)
        except (URLError, HTTPException, OSError, ValueError):
            return
        if status == 201:
            held.acknowledged.add(key)


def _check(held: Held, address: str, titled: str = "Kept") -> None:
    sheets = asked(address, "/sheets")[1]["sheets"]
    counts = Counter(one["id"] for one in sheets)
    wanted = held.acknowledged if titled == "Kept" else set()
    held.lost |= wanted - counts.keys()
    held.doubled |= {key for key, times in counts.items() if times > 1}


def _kill(started: running) -> None:
    started.process.kill()
    started.process.wait()
    assert started.process.stdout is not None
    started.process.stdout.close()


if __name__ == "__main__":
    writing, starting = int(sys.argv[1]), int(sys.argv[2])
    print("while writing:", killed_while_writing(writing).row)
    print("while starting:", killed_while_starting(starting).row)
