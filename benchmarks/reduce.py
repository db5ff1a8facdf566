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

SHAPES = ((1, 0), (1, 12_500), (1, 25_000), (1, 50_000), (1, 100_000), (10_000, 10))
"""Quantities, and observations of each."""
COMMAND = [sys.executable, "-c", "from metrion.cli import main; main()"]


def logbook(quantities: int, count: int) -> str:
    """A caliper with so many quantities of so many observations."""
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
                {"id": f"m{at}", "instrument": "c", "zero": ["z"], "convention": "standard-95",
                 "observations": [
                     {"main": "6", "fine": min(20, max(0, round(chance.gauss(9, 2)))),
                      "place": f"end {i % 5}"}
                     for i in range(count)
                 ]}
                for at in range(quantities)
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
    print(
        "| quantities | observations of each | results | memory above empty | an observation | "
        "table (CSV) |"
    )
    print("|---|---|---|---|---|---|")
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "many.json"
        empty = 0
        for quantities, count in SHAPES:
            path.write_text(logbook(quantities, count))
            size = quantities * count
            seconds, memory = measured(path)
            table_seconds, _ = measured(path, "--csv")
            empty = empty or memory
            above = memory - empty
            each = f"{above / size:.0f} B" if size else ""
            print(
                f"| {quantities} | {count} | {seconds:.2f} s | {above / 1e6:.1f} MB | {each} | "
                f"{table_seconds:.2f} s |"
            )


if __name__ == "__main__":
    main()
