"""Second looks at a series as a whole."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterator
from fractions import Fraction

from metrion.core.observations import WINDOWS_APART, Sort, off_opposite, sweeps
from metrion.core.review.flags import Flag, Level, Series
from metrion.core.review.misread import Misread, misread_look

_ENOUGH = 3
_PLACE_LEAST_COUNTS = 3


def few_readings(series: Series) -> Iterator[Flag]:
    """Fewer than three observations count."""
    count = len(series.values)
    if count < _ENOUGH:
        noun = "reading counts" if count == 1 else "readings count"
        yield Flag(
            "few-readings",
            Level.INFO,
            f"{count or 'No'} {noun} so far. Three or more show whether they scatter.",
        )


def identical_readings(series: Series) -> Iterator[Flag]:
    """Three or more, all equal."""
    if len(series.values) >= _ENOUGH and len(set(series.values)) == 1:
        yield Flag(
            "identical-readings",
            Level.INFO,
            "All readings are equal. Open the tool and set it afresh for each; "
            "if they stay equal, the scale decides the uncertainty.",
        )


def place_effect(series: Series) -> Iterator[Flag]:
    """The places differ by more than the readings within one of them."""
    if not series.single:
        return
    by_place: dict[str, list[int]] = defaultdict(list)
    for index, value in zip(series.counting, series.values, strict=True):
        if place := series.observation(index).place:
            by_place[place].append(value)
    repeated = {place: values for place, values in by_place.items() if len(values) > 1}
    if len(repeated) < 2:
        return
    means = {place: Fraction(sum(v), len(v)) for place, v in repeated.items()}
    low, high = min(means, key=means.__getitem__), max(means, key=means.__getitem__)
    apart = means[high] - means[low]
    within = max(max(values) - min(values) for values in repeated.values())
    if apart > _PLACE_LEAST_COUNTS * series.least_count and apart > 2 * within:
        yield Flag(
            "place-effect",
            Level.WARNING,
            f"{high} and {low} differ by {series.text(apart * series.quantum)}, more than the "
            "readings at one place. Is the thing oval or tapered? Report the places apart.",
        )


def windows_disagree(series: Series) -> Iterator[Flag]:
    """The two windows of a circle give different sweeps."""
    measurement = series.measurement
    if measurement.sort is not Sort.WINDOWS:
        return
    for index in series.counting:
        first, second = sweeps(measurement.instrument, series.observation(index), measurement.arc)
        if abs(first - second) >= WINDOWS_APART:
            misread = misread_look(series, index)
            instrument = measurement.instrument
            yield Flag(
                "windows-disagree",
                Level.WARNING,
                f"Reading {index + 1}: the sweeps through the two windows differ by "
                f"{series.text(abs(first - second))}. {_wrong_window(series, index, misread)}",
                index,
                misread.suggestion(instrument) if misread else {},
            )


def _wrong_window(series: Series, index: int, misread: Misread | None) -> str:
    """The window that was misread; else at which position, and the usual cause."""
    instrument = series.measurement.instrument
    if misread:
        return (
            f"Its {misread.words} stands one mark from those of the others. "
            f"{misread.question(instrument)}"
        )
    a, b, a2, b2 = (instrument.reading(look) for look in series.observation(index).looks)
    offs = {"first": off_opposite(a, a2), "second": off_opposite(b, b2)}
    worst = max(offs, key=lambda position: abs(offs[position]))
    return (
        f"At the {worst} position they are {series.text(abs(offs[worst]))} off from standing "
        "opposite: one of the two was misread there, by a mark most often (a half degree missed)."
    )
