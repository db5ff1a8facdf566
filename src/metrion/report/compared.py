"""What a result was to be compared with, as it is kept for the record, and what came of it."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from metrion.core.desk.typed import typed_number
from metrion.core.errors import MetrionError
from metrion.core.exact.angles import parse_angle
from metrion.core.formula.notation import unit_after
from metrion.core.formula.units import Unit, parse_unit
from metrion.core.logbook import Logbook
from metrion.core.quantity.bands import Band
from metrion.core.quantity.comparison import Comparand, compare
from metrion.core.quantity.comparison_reference import Beside
from metrion.core.quantity.derived import Derived, TypedValue
from metrion.core.quantity.measurements import Measurement
from metrion.voice import Speaker


@dataclass(frozen=True)
class Compared:
    """A result beside something else, in words.

    Attributes:
        beside: what it stands beside; empty where that is gone.
        sentences: how far apart they are, or why that cannot be said.
        bands: both by their names, in the unit of the first; empty where that cannot be said.
    """

    beside: str
    sentences: tuple[str, ...]
    bands: tuple[tuple[str, Band], ...] = ()


def compared(own: Measurement | Derived, logbook: Logbook, speaker: Speaker) -> Compared | None:
    """A result beside what it was to be compared with; None where nothing was.

    What that is was noted for the record only: where it makes no comparison, that is said.
    """
    beside = own.compare
    if beside is None:
        return None
    found: Comparand | None = None
    if beside.quantity or beside.derived:
        wanted = beside.quantity, beside.derived
        found = next((one for one, key in _others(logbook) if _key(one, key) == wanted), None)
        if found is None:
            return Compared("", (speaker.text("compared-gone"),))
    words = _words(found, beside, speaker)
    try:
        comparison = compare(own, found or _typed(beside))
    except MetrionError as error:
        return Compared(words, (speaker.text("sentence", phrase=error.says),))
    if comparison is None:
        return Compared(words, (speaker.text("compared-without-value"),))
    names = _words(own, beside, speaker), words if found else speaker.text("results-expected-value")
    bands = tuple(zip(names, comparison.bands, strict=True))
    return Compared(words, tuple(map(speaker.say, comparison.sentences)), bands)


def _key(one: Measurement | Derived, kind: str) -> tuple[str, str]:
    return (one.id, "") if kind == "quantity" else ("", one.id)


def _others(logbook: Logbook) -> Iterator[tuple[Measurement | Derived, str]]:
    for measurement in logbook.measurements:
        yield measurement, "quantity"
    for derived in logbook.derived:
        yield derived, "derived"


def unit_of(given: Measurement | Derived) -> Unit:
    """The unit that a result is given in."""
    return parse_unit(given.instrument.unit) if isinstance(given, Measurement) else given.unit


def _words(found: Comparand | None, beside: Beside, speaker: Speaker) -> str:
    if isinstance(found, Measurement):
        return found.label
    if isinstance(found, Derived):
        return found.name or found.id
    given = f"({beside.value} ± {beside.uncertainty}){unit_after(beside.unit)}"
    return speaker.numbers.figure(given)


def _typed(beside: Beside) -> TypedValue:
    unit = parse_unit(beside.unit)
    angle = unit.is_angle and ":" in beside.value
    return TypedValue(
        parse_angle(beside.value) / unit.factor if angle else typed_number(beside.value),
        abs(typed_number(beside.uncertainty)),
        unit,
    )
