"""Second looks at what lies apart: the places of a thing, the two windows of a circle."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterator
from fractions import Fraction

from metrion.core.facts import Fact, Name, fact
from metrion.core.quantity.observations import WINDOWS_APART, Sort, off_opposite, sweeps
from metrion.core.review.flags import Flag, Level, Series, Settlement, SettlingChoice
from metrion.core.review.misread import Misread, misread_indication

_PLACE_LEAST_COUNTS = 3


_APART = SettlingChoice("places_apart", Settlement.PLACES_APART, fact("places-report-apart"))


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
            fact(
                "place-effect",
                high=Name(high),
                low=Name(low),
                apart=series.figure(apart * series.quantum),
            ),
            choice=_APART,
        )


def windows_disagree(series: Series) -> Iterator[Flag]:
    """The two windows of a circle give different sweeps."""
    measurement = series.measurement
    if measurement.sort is not Sort.WINDOWS:
        return
    for index in series.counting:
        first, second = sweeps(measurement.instrument, series.observation(index), measurement.arc)
        if abs(first - second) >= WINDOWS_APART:
            misread = misread_indication(series, index)
            instrument = measurement.instrument
            yield Flag(
                "windows-disagree",
                Level.WARNING,
                fact(
                    "windows-disagree",
                    at=index + 1,
                    apart=series.figure(abs(first - second)),
                    wrong=_wrong_window(series, index, misread),
                ),
                index,
                misread.suggestion(instrument) if misread else {},
            )


def _wrong_window(series: Series, index: int, misread: Misread | None) -> Fact:
    """The window that was misread; else at which position, and the usual cause."""
    instrument = series.measurement.instrument
    if misread:
        return fact("wrong-window", indication=misread.which, mark=misread.questioned(instrument))
    a, b, a2, b2 = (
        instrument.reading(indication) for indication in series.observation(index).indications
    )
    offs = {"first": off_opposite(a, a2), "second": off_opposite(b, b2)}
    worst = max(offs, key=lambda position: abs(offs[position]))
    return fact("wrong-position", position=worst, off=series.figure(abs(offs[worst])))


CHECKS = (place_effect, windows_disagree)
