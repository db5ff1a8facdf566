"""What a result was to be compared with, as it is kept for the record, and what came of it."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import Any

from metrion.core.angles import parse_angle
from metrion.core.comparison import Comparand, compare
from metrion.core.derived import Derived, TypedValue
from metrion.core.errors import MetrionError
from metrion.core.logbook import Logbook
from metrion.core.measurements import Measurement
from metrion.core.notation import unit_after
from metrion.core.typed import typed_number
from metrion.core.units import Unit, parse_unit


@dataclass(frozen=True)
class Compared:
    """A result beside something else, in words.

    Attributes:
        beside: what it stands beside; empty where that is gone.
        sentences: how far apart they are, or why that cannot be said.
    """

    beside: str
    sentences: tuple[str, ...]


def compared(own: Measurement | Derived, record: Any, logbook: Logbook) -> Compared | None:
    """A result beside what it was to be compared with; None where nothing was.

    Args:
        record: ``compare`` of its entry. It is kept for the record only and was not checked:
            where it makes no comparison, that is said.
    """
    if not isinstance(record, Mapping):
        return None
    found: Comparand | None = None
    if "quantity" in record or "derived" in record:
        found = next((one for one, key in _others(logbook) if record.get(key) == one.id), None)
        if found is None:
            return Compared("", ("What it was compared with is gone.",))
    beside = _words(found, record)
    try:
        comparison = compare(own, found or _typed(record))
    except MetrionError as error:
        return Compared(beside, (f"{error}.",))
    return Compared(
        beside, comparison.sentences if comparison else ("One of the two has no value yet.",)
    )


def comparable(own: Measurement | Derived, logbook: Logbook) -> Iterator[tuple[str, str, str]]:
    """What else of a sheet a result can stand beside: where it is kept, its id, and its name."""
    for other, key in _others(logbook):
        if other is not own and _unit(other).dimension == _unit(own).dimension:
            yield key, other.id, _words(other, {})


def text_of(record: Mapping[str, Any], name: str) -> str:
    """A figure as it was typed; empty where there is none."""
    value = record.get(name)
    return value if isinstance(value, str) else ""


def _others(logbook: Logbook) -> Iterator[tuple[Measurement | Derived, str]]:
    for measurement in logbook.measurements:
        yield measurement, "quantity"
    for derived in logbook.derived:
        yield derived, "derived"


def _unit(given: Measurement | Derived) -> Unit:
    return parse_unit(given.instrument.unit) if isinstance(given, Measurement) else given.unit


def _words(found: Comparand | None, record: Mapping[str, Any]) -> str:
    if isinstance(found, Measurement):
        return found.label
    if isinstance(found, Derived):
        return found.name or found.id
    value, uncertainty, unit = (text_of(record, name) for name in ("value", "uncertainty", "unit"))
    return f"({value} ± {uncertainty}){unit_after(unit)}"


def _typed(record: Mapping[str, Any]) -> TypedValue:
    value, unit = text_of(record, "value"), parse_unit(text_of(record, "unit"))
    angle = unit.is_angle and ":" in value
    return TypedValue(
        parse_angle(value) / unit.factor if angle else typed_number(value),
        abs(typed_number(text_of(record, "uncertainty"))),
        unit,
    )
