"""What a reading costs to record: in a large sheet, in a long series; how a notebook lists and a
large sheet opens.

A real server, asked over HTTP, one request at a time. Prints ratios within this one run: the
milliseconds belong to the machine and the hour. With the ``src`` of another checkout as argument,
the processor time of a reading is measured there as well, in turn.
"""

from __future__ import annotations

import json
import os
import random
import sys
import time
import urllib.request
from collections.abc import Callable
from pathlib import Path
from statistics import median
from tempfile import TemporaryDirectory
from typing import Any

sys.path.insert(0, str(Path(__file__).parents[1]))

from tests.hold.bounds import FILES
from tests.server import COMMAND, running

TIMES = 15
SIZES = (10, 100, 1000)
LARGEST = (
    "one quantity of 10,000", "10,000 checks of fractions",
    "10,000 fractions with nothing in common",
)  # fmt: skip
CHANCE = random.Random(3)


def logbook(title: str, quantities: int, readings: int) -> dict[str, Any]:
    """A caliper, its zero, and so many quantities of so many readings."""
    return {
        "format": "metrion-logbook", "version": 1, "title": title,
        "instruments": [
            {"id": "c", "kind": "vernier", "unit": "mm", "main_division": "1",
             "fine_divisions": 20, "span": 39, "range": ["0", "150"]}],
        "zero_checks": [{"id": "z", "instrument": "c", "main": "-1", "fine": 17}],
        "measurements": [
            {"id": f"m{i}", "name": f"Spar {i}", "instrument": "c", "zero": ["z"],
             "convention": "half-division",
             "observations": [
                 {"main": "6", "fine": CHANCE.randrange(1, 8), "place": "end A"}
                 for _ in range(readings)]}
            for i in range(quantities)],
    }  # fmt: skip


class Asked:
    """A server, and how long and how large its answers are."""

    def __init__(self, address: str) -> None:
        self.api = f"{address}/api"

    def __call__(self, path: str, body: Any = None) -> tuple[Any, float, int]:
        given = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(
            f"{self.api}{path}", given, {"Content-Type": "application/json"}
        )
        begun = time.perf_counter()
        with urllib.request.urlopen(request, timeout=120) as answer:
            content = answer.read()
        took = 1000 * (time.perf_counter() - begun)
        return json.loads(content), took, len(content)

    def sheet(self, *shape: Any) -> str:
        """The id of a new sheet."""
        found: str = self("/arrivals/take?decision=new", logbook(*shape))[0][0]["id"]
        return found

    def opened(self, content: Any) -> tuple[float, float, float, float]:
        """Milliseconds of taking in a sheet, of opening it, again, and its last quantity alone."""
        taken, took, _ = self("/arrivals/take?decision=new", content)
        at = f"/sheets/{taken[0]['id']}"
        sheet, first, _ = self(at)
        again, last = middle(lambda: self(at)[1]), sheet["quantities"][-1]["id"]
        return took, first, again, self(f"{at}/quantities/{last}")[1]

    def recorded(self, sheet: str) -> tuple[float, int]:
        """Milliseconds and bytes of recording one reading, the middle of several."""
        body = {"quantity": "m0", "typed": {"main": "6", "fine": "3", "fine_as": "line"}}
        answers = [self(f"/sheets/{sheet}/readings", body) for _ in range(TIMES)]
        return median(took for _, took, _ in answers), answers[0][2]


def middle(act: Callable[[], float]) -> float:
    """The middle of several times."""
    return median(act() for _ in range(5))


def seconds_at_work(process: int) -> float:
    """The processor time that a process has had."""
    fields = Path(f"/proc/{process}/stat").read_text().rpartition(")")[2].split()
    return (int(fields[11]) + int(fields[12])) / os.sysconf("SC_CLK_TCK")


def processor_time(source: str) -> float:
    """Milliseconds of processor time of a reading in a hundred quantities of a hundred."""
    with TemporaryDirectory() as folder:
        server = running(Path(folder), "serve", command=COMMAND, environment={"PYTHONPATH": source})
        with server as address:
            asked = Asked(address)
            sheet = asked.sheet("Hundred", 100, 100)
            asked.recorded(sheet)
            begun = seconds_at_work(server.process.pid)
            asked.recorded(sheet)
            asked.recorded(sheet)
            return 1000 * (seconds_at_work(server.process.pid) - begun) / (2 * TIMES)


def compare(other: str) -> None:
    """Print what a reading takes here and in another checkout."""
    own = str(Path(__file__).parents[1] / "src")
    pairs = [(processor_time(own), processor_time(other)) for _ in range(3)]
    here, there = (median(one) for one in zip(*pairs, strict=True))
    print(f"\nProcessor time of a reading: {here:.0f} ms, in the other checkout {there:.0f} ms: "
          f"{here / there:.2f} of it.")  # fmt: skip


def main() -> None:
    """Print the table."""
    if len(sys.argv) > 1:
        compare(sys.argv[1])
        return
    with TemporaryDirectory() as folder, running(Path(folder), "serve") as address:
        asked = Asked(address)
        one, one_size = asked.recorded(asked.sheet("One", 1, 10))
        hundred, hundred_size = asked.recorded(asked.sheet("Hundred", 100, 10))
        long, long_size = asked.recorded(asked.sheet("Long", 1, 1000))
        print("| a reading recorded in | ms | ratio | answer |\n|---|---|---|---|")
        for name, took, size in (
            ("a sheet of one quantity of ten readings", one, one_size),
            ("a sheet of a hundred such quantities", hundred, hundred_size),
            ("a quantity of a thousand readings", long, long_size),
        ):
            print(f"| {name} | {took:.0f} | {took / one:.1f} | {size / 1024:.0f} kB |")
        print("\n| a sheet of | taken in, s | opened, s | again, s | its last quantity, ms |")
        print("|---|---|---|---|---|")
        large = {f"{count} quantities of ten": logbook("Opened", count, 10) for count in SIZES}
        large |= {name: json.loads(make()) for name, _, make in FILES if name in LARGEST}
        for name, content in large.items():
            *times, alone = asked.opened(content)
            seconds = " | ".join(f"{took / 1000:.2f}" for took in times)
            print(f"| {name} | {seconds} | {alone:.0f} |")
        listed = {}
        for count in (60, 600):
            for _ in range(count - len(asked("/sheets")[0]["sheets"])):
                asked.sheet("Listed", 2, 5)
            asked("/sheets")
            listed[count] = middle(lambda: asked("/sheets")[1])
        print(f"\nA notebook of 600 sheets lists in {listed[600]:.0f} ms, one of 60 in "
              f"{listed[60]:.0f} ms: {listed[600] / listed[60]:.1f} times.")  # fmt: skip


if __name__ == "__main__":
    main()
