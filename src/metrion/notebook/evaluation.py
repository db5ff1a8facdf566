"""What quantities come to, remembered by a hash of everything they were worked out from.

Nothing here is ever stored: a record that changes has another hash, and is worked out anew.
"""

from __future__ import annotations

from collections import OrderedDict
from collections.abc import Callable
from dataclasses import dataclass, field
from functools import lru_cache
from hashlib import sha256
from threading import Lock
from typing import Generic, TypeVar

from metrion.core.json import Record, records_in, text_in
from metrion.core.logbook import Logbook, Results, Reviewed, numbered_logbook, reviewed
from metrion.core.quantity.derived_result import reduce_derived
from metrion.core.quantity.measurements import Measurement
from metrion.formats.strict_json import write_json

_MOST = 4096
_Key = TypeVar("_Key")
_Value = TypeVar("_Value")


class Memo(Generic[_Key, _Value]):
    """What was asked for last, up to a number of things; for threads that share it.

    Args:
        most: how many are remembered.
    """

    def __init__(self, most: int) -> None:
        self._most = most
        self._lock = Lock()
        self._kept: OrderedDict[_Key, _Value] = OrderedDict()

    def get(self, key: _Key, make: Callable[[], _Value]) -> _Value:
        """What was kept under a key; made and kept if there is nothing."""
        with self._lock:
            if key in self._kept:
                self._kept.move_to_end(key)
                return self._kept[key]
        made = make()
        self.keep(key, made)
        return made

    def keep(self, key: _Key, value: _Value) -> None:
        """Keep something in place of what was asked for longest ago."""
        with self._lock:
            self._kept[key] = value
            while len(self._kept) > self._most:
                self._kept.popitem(last=False)


@dataclass(frozen=True)
class Hashed(Generic[_Value]):
    """A value that is told from others by the hash of what it was made from alone."""

    hash: str
    value: _Value = field(compare=False)


@dataclass(frozen=True)
class WorkedOut:
    """A logbook with its results, and for each measurement the hash of what it hangs on."""

    results: Results
    hashes: tuple[str, ...]


def worked_out(logbook: Logbook, document: Record, before: WorkedOut | None = None) -> WorkedOut:
    """Everything in a logbook worked out, in the units that its tools are numbered in.

    Args:
        document: what the logbook was read from.
        before: what an earlier state of it came to: values that are the same objects stand.
    """
    logbook = numbered_logbook(logbook)
    known = _by_identity(before) if before else {}
    records = _Records(document)
    hashes, measured = [], []
    for measurement, record in zip(
        logbook.measurements, records_in(document, "measurements"), strict=True
    ):
        key, found = known.get(id(measurement)) or (records.hash(record), None)
        hashes.append(key)
        measured.append(found or _reviewed(Hashed(key, measurement)))
    derived = {id(one.derived): one for one in before.results.derived} if before else {}
    found_derived = tuple(derived.get(id(one)) or reduce_derived(one) for one in logbook.derived)
    return WorkedOut(Results(logbook, tuple(measured), found_derived), tuple(hashes))


def _by_identity(before: WorkedOut) -> dict[int, tuple[str, Reviewed | None]]:
    logbook = before.results.logbook
    found = zip(logbook.measurements, before.hashes, before.results.measurements, strict=True)
    return {id(measurement): (key, reviewed) for measurement, key, reviewed in found}


@lru_cache(maxsize=_MOST)
def _reviewed(measurement: Hashed[Measurement]) -> Reviewed:
    return reviewed(measurement.value)


class _Records:
    """The records of a document by section and id."""

    def __init__(self, document: Record) -> None:
        self._by_id = {
            section: {text_in(one, "id"): one for one in records_in(document, section)}
            for section in ("instruments", "zero_checks", "conventions")
        }
        self._usual = text_in(document, "convention")

    def hash(self, measurement: Record) -> str:
        """A hash of a measurement and all that it hangs on."""
        named = measurement.get("zero")
        convention = text_in(measurement, "convention") or self._usual
        zero = [str(key) for key in named] if isinstance(named, list) else []
        hangs_on = [
            measurement,
            self._by_id["instruments"][text_in(measurement, "instrument")],
            [self._by_id["zero_checks"][key] for key in zero],
            # A built-in convention is none of the logbook's.
            self._by_id["conventions"].get(convention),
            convention,
        ]
        return sha256(write_json(hangs_on, indent=None).encode()).hexdigest()
