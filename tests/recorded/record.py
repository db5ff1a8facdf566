"""The recorded answers as text, and how today's answers differ from them.

python -m tests.recorded.record                 # what differs from the record, by form and place
python -m tests.recorded.record --keep          # the same, and today's answers are the record
python -m tests.recorded.record --beside SRC    # every difference from the code of another checkout
"""

from __future__ import annotations

import argparse
import json
import os
import re
import subprocess
import sys
from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from hashlib import sha256
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any

from tests.recorded.answers import all_answers

LOGBOOKS, SOON, WHOLE = 200, 40, 6
"""Logbooks that are recorded; those that every run of the tests looks at; those kept as text."""

ANSWERS = Path(__file__).with_name("answers")
DIGESTS = ANSWERS / "digests.txt"
_INDEX = re.compile(r"/[0-9]+(?=/|$)")
_BY_DIGEST = re.compile(r"logbook-([0-9]+)")


@dataclass(frozen=True)
class Difference:
    """Where an answer is another one than recorded.

    Attributes:
        where: the logbook, the form, and the place in it.
        was, now: the two answers; None where there is none.
    """

    where: str
    was: Any
    now: Any

    @property
    def sort(self) -> str:
        """Its form and place, whichever logbook and entry it is in."""
        return _INDEX.sub("/*", self.where.partition("/")[2])

    def __str__(self) -> str:
        return f"{self.where}: {self.was!r} is now {self.now!r}"


def is_whole(name: str) -> bool:
    """Whether the answers about a logbook are kept as text; of others there are digests."""
    number = _BY_DIGEST.fullmatch(name)
    return number is None or int(number[1]) < WHOLE


def digested(name: str, found: dict[str, Any]) -> dict[str, Any]:
    """Answers as they are compared: themselves, or the digest of each form."""
    if is_whole(name):
        return found
    return {
        form: sha256(json.dumps(one, sort_keys=True).encode()).hexdigest()[:16]
        for form, one in found.items()
    }


def recorded(logbooks: int) -> dict[str, Any]:
    """The answers that were kept, of the demo and so many logbooks."""
    found: dict[str, Any] = {
        path.stem: json.loads(path.read_text(encoding="utf-8")) for path in ANSWERS.glob("*.json")
    }
    for line in DIGESTS.read_text(encoding="utf-8").splitlines():
        name, form, digest = line.split(" ")
        if int(name.rpartition("-")[2]) < logbooks:
            found.setdefault(name, {})[form] = digest
    return found


def today(logbooks: int) -> dict[str, Any]:
    """The answers of the present code."""
    with TemporaryDirectory() as folder:
        return dict(all_answers(Path(folder), logbooks))


def compared(logbooks: int) -> Iterator[Difference]:
    """Every difference of today's answers from the record."""
    now = {name: digested(name, found) for name, found in today(logbooks).items()}
    yield from differences(recorded(logbooks), now)


def differences(was: Any, now: Any, where: str = "") -> Iterator[Difference]:
    """Every place at which two answers differ; texts are compared line by line."""
    if isinstance(was, dict) and isinstance(now, dict):
        for name in {**was, **now}:
            place = f"{where}/{name}" if where else name
            yield from differences(was.get(name), now.get(name), place)
    elif isinstance(was, list) and isinstance(now, list) and len(was) == len(now):
        for index, (one, other) in enumerate(zip(was, now, strict=True)):
            yield from differences(one, other, f"{where}/{index}")
    elif isinstance(was, str) and isinstance(now, str) and ("\n" in was or "\n" in now):
        yield from differences(was.splitlines(), now.splitlines(), where)
    elif was != now:
        yield Difference(where, was, now)


def keep(now: dict[str, Any]) -> None:
    """Make answers the record; files of what stays the same stay as they are."""
    ANSWERS.mkdir(exist_ok=True)
    lines = []
    for name, found in now.items():
        if is_whole(name):
            text = json.dumps(found, ensure_ascii=False, sort_keys=True, indent=1)
            (ANSWERS / f"{name}.json").write_text(text + "\n", encoding="utf-8")
        else:
            lines += [f"{name} {form} {one}" for form, one in digested(name, found).items()]
    DIGESTS.write_text("\n".join(lines) + "\n", encoding="utf-8")


def show(found: Iterable[Difference]) -> None:
    """Print a line for each sort of difference, with the first of it."""
    sorts: dict[str, list[Difference]] = {}
    for one in found:
        sorts.setdefault(one.sort, []).append(one)
    for sort, alike in sorts.items():
        print(f"{len(alike):6} {sort}\n       {str(alike[0])[:400]}")
    print(f"{sum(map(len, sorts.values()))} differences of {len(sorts)} sorts")


def _of_other(source: str) -> dict[str, Any]:
    """What the code of another checkout answers."""
    command = [sys.executable, "-m", "tests.recorded.record", "--print"]
    environment = {**os.environ, "PYTHONPATH": source}
    done = subprocess.run(command, env=environment, stdout=subprocess.PIPE, check=True)
    found: dict[str, Any] = json.loads(done.stdout)
    return found


def main() -> None:
    """What the command line asks for."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--keep", action="store_true")
    parser.add_argument("--print", action="store_true")
    parser.add_argument("--beside", default="")
    asked = parser.parse_args()
    now = today(LOGBOOKS)
    if asked.print:
        json.dump(now, sys.stdout)
    elif asked.beside:
        show(differences(_of_other(asked.beside), now))
    else:
        if DIGESTS.exists():
            show(differences(recorded(LOGBOOKS), {n: digested(n, one) for n, one in now.items()}))
        if asked.keep:
            keep(now)


if __name__ == "__main__":
    main()
