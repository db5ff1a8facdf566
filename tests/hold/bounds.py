"""What is out of bounds, and what is just within: how long the real command takes, in what memory.

python -m tests.hold.bounds
"""

from __future__ import annotations

import json
import subprocess
import sys
import tempfile
from collections.abc import Callable
from typing import Any

from tests.formats.test_faults import GOOD
from tests.server import COMMAND

_TOOL = GOOD["instruments"][0]
_M = 64 * 1024**2


def _file(**sections: Any) -> bytes:
    return json.dumps({**GOOD, "derived": [], **sections}).encode()


def _filled(item: bytes) -> bytes:
    """A file of the largest size whose unknown field lists one thing over and over."""
    before = _file()[:-1] + b', "of_ours": ['
    return before + item + (b"," + item) * ((_M - len(before) - 99) // (len(item) + 1)) + b"]}"


def _quantities(count: int, each: int) -> bytes:
    looks = [{"main": str(5 + k % 3), "fine": 7 * k % 20} for k in range(each)]
    one = {"instrument": "cal", "convention": "standard", "observations": looks}
    return _file(measurements=[{"id": f"m{i}", **one} for i in range(count)])


def _fractions() -> bytes:
    """Observations whose denominators have nothing in common."""
    tool = {"id": "cal", "kind": "plain", "unit": "mm", "main_division": "1"}
    looks = [{"main": f"{k * 7919 % 1000}/{99999999977 + 2 * k}"} for k in range(10_000)]
    one = {"id": "m", "instrument": "cal", "convention": "ours", "observations": looks}
    return _file(instruments=[tool], zero_checks=[], measurements=[one])


def _checks() -> bytes:
    checks = [
        {"id": f"z{i}", "instrument": "cal", "main": "0", "fine": 3,
         "reference": f"{i + 1}/{999999991 + 37 * i}"}
        for i in range(10_000)
    ]  # fmt: skip
    looks = [{"main": "6", "fine": 3}]
    one = {"instrument": "cal", "convention": "standard", "observations": looks}
    measured = [
        {"id": f"m{i}", "zero": [f"z{100 * i + j}" for j in range(100)], **one} for i in range(100)
    ]
    return _file(zero_checks=checks, measurements=measured)


FILES: tuple[tuple[str, int, Callable[[], bytes]], ...] = (
    ("a field of 22 million empty lists", 2, lambda: _filled(b"[]")),
    ("a field of 22 million empty objects", 2, lambda: _filled(b"{}")),
    ("a field of 33 million zeros", 2, lambda: _filled(b"0")),
    ("a field of 17 million numbers", 2, lambda: _filled(b"1e1")),
    ("a text of 64 MiB", 2, lambda: _filled(b'"' + b"x" * (_M - 4000) + b'"')),
    ("65 MiB of blanks", 2, lambda: b" " * (_M + 2**20)),
    ("100,000 brackets in each other", 2, lambda: b"[" * 100_000),
    ("200 checks of 900-digit fractions", 2, lambda: _file(zero_checks=[
        {"id": f"z{i}", "instrument": "cal", "fine": 3, "main": "1" * 450 + "/" + "7" * 450}
        for i in range(200)
    ], measurements=[])),
    ("1,000 quantities of ten", 0, lambda: _quantities(1_000, 10)),
    ("one quantity of 10,000", 0, lambda: _quantities(1, 10_000)),
    ("20,000 quantities of ten", 0, lambda: _quantities(20_000, 10)),
    ("10,000 checks of fractions", 0, _checks),
    ("10,000 fractions with nothing in common", 0, _fractions),
)  # fmt: skip


_WATCH = """
import resource, subprocess, sys, time
began = time.perf_counter()
quiet = {"stdout": subprocess.DEVNULL, "stderr": subprocess.DEVNULL}
status = subprocess.run(sys.argv[1:], **quiet).returncode
seconds = time.perf_counter() - began
print(status, seconds, resource.getrusage(resource.RUSAGE_CHILDREN).ru_maxrss // 1024)
"""


def measured(content: bytes) -> tuple[int, float, int]:
    """Exit status, seconds and MB of ``metrion reduce``."""
    with tempfile.NamedTemporaryFile() as file:
        file.write(content)
        file.flush()
        # By a small process: one begins with the memory of the one that it is begun by.
        done = subprocess.run(
            [sys.executable, "-c", _WATCH, *COMMAND, "reduce", file.name],
            check=True, capture_output=True, text=True,
        )  # fmt: skip
    status, seconds, memory = done.stdout.split()
    return int(status), float(seconds), int(memory)


def table() -> str:
    """A row for each file."""
    rows = ["| file | status | s | MB |", "|---|---|---|---|"]
    for name, wanted, make in FILES:
        status, seconds, memory = measured(make())
        told = f"{status}" if status == wanted else f"{status}, not {wanted}"
        rows.append(f"| {name} | {told} | {seconds:.1f} | {memory} |")
    return "\n".join(rows)


if __name__ == "__main__":
    print(table())
