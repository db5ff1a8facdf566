"""Time and memory of ``metrion reduce`` over the number of observations.

Each size runs in a process of its own; memory is its peak resident set above that of an empty run.
Prints a table for docs/measured.md.
"""

from __future__ import annotations

import json
import os
import random
import subprocess
import sys
import tempfile
import time
from pathlib import Path

SIZES = (0, 12_500, 25_000, 50_000, 100_000)
COMMAND = [sys.executable, "-c", "from metrion.cli import main; main()"]


def logbook(count: int) -> str:
    """A caliper with so many observations in one quantity."""
    chance = random.Random(7)
    return json.dumps(
        {
            "format": "metrion-logbook", "version": 1, "title": "Many",
            "instruments": [
                {"id": "c", "kind": "vernier", "unit": "mm", "main_division": "1",
                 "fine_divisions": 20, "span": 39, "range": ["0", "150"]},
            ],
            "zero_checks": [{"id": "z", "instrument": "c", "main": "-1", "fine": 17}],
            "measurements": [
                {"id": "m", "instrument": "c", "zero": ["z"], "convention": "standard-95",
                 "observations": [
                     {"main": "6", "fine": min(20, max(0, round(chance.gauss(9, 2)))),
                      "place": f"end {i % 5}"}
                     for i in range(count)
                 ]},
            ],
        }
    )  # fmt: skip


def measured(path: Path, *options: str) -> tuple[float, int]:
    """Seconds and peak memory in bytes of one run."""
    begun = time.perf_counter()
    process = subprocess.Popen([*COMMAND, "reduce", str(path), *options], stdout=subprocess.DEVNULL)
    _, status, usage = os.wait4(process.pid, 0)
    process.returncode = os.waitstatus_to_exitcode(status)
    if process.returncode:
        raise SystemExit(f"metrion reduce ended with {process.returncode}")
    return time.perf_counter() - begun, usage.ru_maxrss * 1024


def main() -> None:
    """Measure every size, as results and as a table."""
    print("| observations | results | memory above empty | an observation | table (CSV) |")
    print("|---|---|---|---|---|")
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "many.json"
        empty = 0
        for size in SIZES:
            path.write_text(logbook(size))
            seconds, memory = measured(path)
            table_seconds, _ = measured(path, "--csv")
            empty = empty or memory
            above = memory - empty
            each = f"{above / size:.0f} B" if size else ""
            print(
                f"| {size} | {seconds:.2f} s | {above / 1e6:.1f} MB | {each} | "
                f"{table_seconds:.2f} s |"
            )


if __name__ == "__main__":
    main()
