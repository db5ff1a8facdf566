"""Files with something wrong in them: refused in words, or taken in whole and printed.

python -m tests.hold.mutated 10000
"""

from __future__ import annotations

import copy
import json
import random
import resource
import sys
import tempfile
import time
from collections.abc import Callable
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass, field
from io import BytesIO
from multiprocessing import get_context
from pathlib import Path
from typing import Any
from zipfile import ZIP_DEFLATED, ZipFile

from metrion.core.logbook import reduce_logbook
from metrion.demo import demo_file
from metrion.formats.archive import Filed, is_archive, write_archive
from metrion.formats.collected import Collection
from metrion.formats.csv_table import read_table
from metrion.formats.faults import Refused
from metrion.formats.forms import FORMS, HandedOn
from metrion.formats.logbook import read_logbook
from metrion.formats.results import results_text
from metrion.formats.table import observation_table
from metrion.notebook.imports import Decision, Standing, arrival, take
from metrion.report.build import build_report
from metrion.store import Store
from metrion.store.documents import logbook_file
from metrion.voice.speaker import plainly

_REFERENCE = Path(__file__).parents[1] / "reference"
_DEMO = ("spare-parts", "sail-film", "bridle-line", "foil-colours", "wing-tip-nocks")
_FORMS = ("html", "md", "tex", "pdf")
ODD: tuple[Any, ...] = (
    None, True, 0, 1, -1, 1.5, 10**30, 1e300, float("inf"), "", " ", "0", "6", "-1", "1/3", "1e5",
    "6,5", "9" * 50, "12-14", "341:20", "\u202eabc", "\ufffe", "\x07", "\ud800", "😀", "=1+1",
    "<b>&amp;</b>", "$x_1$ \\input{x}", "{ $title }", [], {}, [[]], {"a": []}, "mm", "in",
    "x" * 300, "../..", "a/b", "é́", "±", "\n", "\t\n", "#let x = 1", "`x`", "|", "half-division",
    "screw",
)  # fmt: skip


@dataclass
class Tried:
    """What came of mutated files.

    Attributes:
        kinds: of each kind of file, how many were tried and how many taken.
        troubles: what went wrong, in a line each.
        longest, slowest: seconds for one of them, and for which.
        memory: the most that a process took, in MB.
    """

    kinds: dict[str, list[int]] = field(default_factory=dict)
    troubles: list[str] = field(default_factory=list)
    longest: float = 0.0
    slowest: str = ""
    memory: int = 0

    def add(self, other: Tried) -> None:
        """Put the others of another process to these."""
        for kind, (tried, taken) in other.kinds.items():
            mine = self.kinds.setdefault(kind, [0, 0])
            mine[0] += tried
            mine[1] += taken
        self.troubles += other.troubles
        if other.longest > self.longest:
            self.longest, self.slowest = other.longest, other.slowest
        self.memory = max(self.memory, other.memory)

    @property
    def accepted(self) -> float:
        """The share that was taken, in per cent."""
        tried = sum(tried for tried, _ in self.kinds.values())
        return 100 * sum(taken for _, taken in self.kinds.values()) / tried

    @property
    def row(self) -> str:
        """As a row of the table."""
        each = ", ".join(
            f"{kind} {taken} of {tried}" for kind, (tried, taken) in self.kinds.items()
        )
        return (
            f"{each} accepted ({self.accepted:.0f} %), {len(self.troubles)} tracebacks or "
            f"differences, longest {self.longest:.1f} s ({self.slowest}), at most {self.memory} MB"
        )


def tried(count: int, seed: int) -> Tried:
    """Try so many files."""
    found, luck = Tried(), random.Random(seed)
    bases = [path.read_bytes() for path in sorted(_REFERENCE.glob("case-???.json"))]
    bases += [demo_file(name) for name in _DEMO]
    with tempfile.TemporaryDirectory() as folder:
        store = Store(Path(folder))
        # What is loaded at the first of all is no matter of the file.
        _use_logbook(store, bases[0])
        for number in range(count):
            kind, make, use = luck.choice(_KINDS)
            content = make(luck, luck.choice(bases))
            began = time.perf_counter()
            accepted = False
            try:
                use(store, content)
                accepted = True
            except Refused:
                pass
            except Exception as error:
                found.troubles.append(f"{seed}/{number} {kind}: {error!r}"[:300])
            if (took := time.perf_counter() - began) > found.longest:
                found.longest, found.slowest = took, f"{seed}/{number} {kind}"
            counts = found.kinds.setdefault(kind, [0, 0])
            counts[0] += 1
            counts[1] += accepted
        store.close()
    found.memory = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss // 1024
    return found


def _logbook(luck: random.Random, base: bytes) -> bytes:
    document = json.loads(base)
    for _ in range(luck.choice((1, 1, 1, 2, 3))):
        _mutate(luck, document)
    try:
        content = json.dumps(document, ensure_ascii=luck.random() < 0.5).encode()
    except UnicodeEncodeError:
        content = json.dumps(document).encode()
    return _harmed(luck, content) if luck.random() < 0.2 else content


def _mutate(luck: random.Random, document: Any) -> None:
    holders = list(_holders(document))
    holder = luck.choice(holders)
    if isinstance(holder, dict) and holder:
        name = luck.choice(list(holder))
        act = luck.random()
        if act < 0.35:
            holder[luck.choice(("of_ours", "note", "reader", "name", "place"))] = luck.choice(ODD)
        elif act < 0.75:
            holder[name] = luck.choice(ODD)
        elif act < 0.85:
            del holder[name]
        else:
            holder[name] = copy.deepcopy(holder[luck.choice(list(holder))])
    elif isinstance(holder, list) and holder:
        at = luck.randrange(len(holder))
        act = luck.random()
        if act < 0.4:
            holder.insert(at, copy.deepcopy(luck.choice(holder)))
        elif act < 0.7:
            del holder[at]
        elif act < 0.85:
            luck.shuffle(holder)
        else:
            holder[at] = luck.choice(ODD)


def _holders(value: Any) -> Any:
    if isinstance(value, dict | list):
        yield value
        for inner in value.values() if isinstance(value, dict) else value:
            yield from _holders(inner)


def _harmed(luck: random.Random, content: bytes) -> bytes:
    harmed = bytearray(content)
    for _ in range(luck.choice((1, 1, 2, 9))):
        at = luck.randrange(len(harmed))
        act = luck.random()
        if act < 0.5:
            harmed[at] = luck.randrange(256)
        elif act < 0.7:
            harmed[at:at] = luck.choice(
                (b"\x00", b"[" * 40, b"\xff", b"\xf0\x9f", b'"', b"9" * 500)
            )
        elif act < 0.9:
            del harmed[at : at + luck.choice((1, 2, 50))]
        else:
            del harmed[at:]
        if not harmed:
            return b""
    return bytes(harmed)


def _table(luck: random.Random, base: bytes) -> bytes:
    text = observation_table(read_logbook(base).measurements)
    lines = [line.split(",") for line in text.splitlines()]
    for _ in range(luck.choice((0, 1, 2))):
        row = luck.choice(lines)
        row[luck.randrange(len(row))] = str(luck.choice(ODD))
    sign = luck.choice(",;\t|")
    try:
        content = "\n".join(sign.join(row) for row in lines).encode(
            luck.choice(("utf-8", "cp1252"))
        )
    except UnicodeEncodeError:
        content = text.encode()
    return _harmed(luck, content) if luck.random() < 0.4 else content


def _archive(luck: random.Random, base: bytes) -> bytes:
    other = _logbook(luck, base) if luck.random() < 0.5 else base
    content = write_archive([Filed("a", "A", base), Filed("b", "B", other)])
    act = luck.random()
    if act < 0.3:
        return _harmed(luck, content)
    if act < 0.6:
        manifest = {"format": "metrion-manifest", "version": 1, "logbooks": [{"file": "a"}]}
        _mutate(luck, manifest)
        packed = BytesIO()
        with ZipFile(packed, "w", ZIP_DEFLATED) as written:
            written.writestr("manifest.json", json.dumps(manifest))
            written.writestr("a", base)
        return packed.getvalue()
    return content


def _use_logbook(store: Store, content: bytes) -> None:
    logbook = read_logbook(content)
    again = read_logbook(_kept(store, Filed("", "", content)))
    first, second = (b"".join(p.encode() for p in results_text(one)) for one in (logbook, again))
    if first != second:
        raise AssertionError("it comes back as another one")
    results = reduce_logbook(logbook)
    handed_on = HandedOn(lambda: build_report(results), results, logbook, plainly())
    for key in _FORMS:
        if not FORMS[key].write(handed_on):
            raise AssertionError(f"{key} is empty")


def _kept(store: Store, filed: Filed) -> bytes:
    """What the notebook gives back of a file; nothing is left in it."""
    with store.writing() as session:
        found = arrival(session, filed)
        if found.faults:
            raise Refused(found.faults)
        sheet = take(session, found, Decision.NEW)
        assert sheet is not None
        session.flush()
        content = logbook_file(session, sheet)
        if arrival(session, Filed(sheet.id, "", filed.content)).standing is not Standing.SAME:
            raise AssertionError("it differs from itself")
        session.delete(sheet)
    return content


def _use_archive(store: Store, content: bytes) -> None:
    if not is_archive(content):
        raise Refused([])
    for one in Collection([Filed("", "", content, "x.zip")]).logbooks():
        _kept(store, one)


def _use_table(_: Store, content: bytes) -> None:
    read_table(content)


_KINDS: tuple[
    tuple[str, Callable[[random.Random, bytes], bytes], Callable[[Store, bytes], None]], ...
] = (
    ("logbooks", _logbook, _use_logbook),
    ("logbooks", _logbook, _use_logbook),
    ("tables", _table, _use_table),
    ("archives", _archive, _use_archive),
)


def tried_by_all(count: int, processes: int = 2) -> Tried:
    """Try so many files in some processes."""
    each, found = 250, Tried()
    # A process that is forked would wait for threads of the typesetter that it has not.
    with ProcessPoolExecutor(processes, get_context("spawn")) as pool:
        for one in pool.map(tried, [each] * (count // each), range(count // each)):
            found.add(one)
    return found


if __name__ == "__main__":
    outcome = tried_by_all(int(sys.argv[1]))
    print(outcome.row)
    print("\n".join(outcome.troubles[:20]))
