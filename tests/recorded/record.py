"""The recorded answers as a file, and how today's answers differ from them.

python -m tests.recorded.record            # what differs from the record, by form and place
python -m tests.recorded.record --keep     # the same, and today's answers are the record
"""

from __future__ import annotations

import json
import lzma
import re
import sys
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any

from tests.recorded.answers import all_answers

RECORD = Path(__file__).with_name("answers.json.xz")
_INDEX = re.compile(r"/[0-9]+(?=/|$)")


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


def recorded() -> dict[str, Any]:
    """The answers that were kept."""
    kept: dict[str, Any] = json.loads(lzma.decompress(RECORD.read_bytes()))
    return kept


def today() -> dict[str, Any]:
    """The answers of the present code."""
    with TemporaryDirectory() as folder:
        return dict(all_answers(Path(folder)))


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


def main(*, keep: bool) -> None:
    """Print the differences, a line for each sort with the first of it."""
    now = today()
    if RECORD.exists():
        sorts: dict[str, list[Difference]] = {}
        for one in differences(recorded(), now):
            sorts.setdefault(one.sort, []).append(one)
        for sort, found in sorts.items():
            print(f"{len(found):6} {sort}\n       {str(found[0])[:400]}")
        print(f"{sum(map(len, sorts.values()))} differences of {len(sorts)} sorts")
    if keep:
        text = json.dumps(now, ensure_ascii=False, sort_keys=True)
        RECORD.write_bytes(lzma.compress(text.encode(), preset=9))


if __name__ == "__main__":
    main(keep="--keep" in sys.argv[1:])
