"""The long checks, one after the other; prints the tables of docs/reliability.md."""

from __future__ import annotations

from collections.abc import Callable

from tests.hold import exhausting
from tests.hold.bounds import table
from tests.hold.fuzzed import fuzzed
from tests.hold.kills import killed_while_starting, killed_while_writing
from tests.hold.load import carried
from tests.hold.mutated import tried_by_all
from tests.hold.papers import all_papers
from tests.hold.recorded import differing

CHECKS: tuple[tuple[str, str, Callable[[], str]], ...] = (
    ("killed while it is written to", "kills 200 50", lambda: killed_while_writing(200).row),
    ("killed while it starts", "kills 200 50", lambda: killed_while_starting(50).row),
    ("30 clients x 100 readings", "load 30 10 100", lambda: carried(30, 100, one_sheet=False).row),
    ("10 x 100 on one sheet", "load 30 10 100", lambda: carried(10, 100, one_sheet=True).row),
    ("the API from its description", "fuzzed 100", lambda: fuzzed(100, "coverage", "fuzzing").row),
    ("every form of a report", "papers 50", lambda: all_papers(50).row),
    ("200 recorded logbooks", "recorded", differing),
    ("10,000 mutated files", "mutated 10000", lambda: tried_by_all(10_000).row),
)


def main() -> None:
    """Print each row as soon as it is there."""
    print("| check | what came of it | command |\n|---|---|---|")
    for name, command, check in CHECKS:
        print(f"| {name} | {check()} | `python -m tests.hold.{command}` |", flush=True)
    print("\nWhat is out of bounds, and just within (`python -m tests.hold.bounds`):\n")
    print(table())
    print("\nWhat would exhaust a server (`python -m tests.hold.exhausting`):\n")
    print(exhausting.table())


if __name__ == "__main__":
    main()
