"""What else an experienced eye would remark on a series: none of it changes a number or a flag.

These go beyond the flags of the logbook contract: they use how a reading was approached and who
read it, and are shown beside the result only.
"""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from fractions import Fraction
from itertools import pairwise

from metrion.core.exact.statistics import mean
from metrion.core.facts import Fact, Figure, Name, fact
from metrion.core.instruments.drawing import fine_numerals
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.noted import Noted
from metrion.core.quantity.observations import Sort

_GROUP = 2
_APART_LEAST_COUNTS = 2
_TREND_READINGS = 5
_NUMBERED_CHANCE = Fraction(1, 1000)


@dataclass(frozen=True)
class Hint:
    """A remark about a series.

    Attributes:
        code: which kind.
        says: what was seen, in numbers, and what to do.
    """

    code: str
    says: Fact


def hints(measurement: Measurement) -> list[Hint]:
    """All remarks about a series of single readings."""
    if measurement.sort is not Sort.SINGLE:
        return []
    return [
        *_play(measurement),
        *_readers(measurement),
        *_trend(measurement),
        *_numbered_lines(measurement),
    ]


def _play(measurement: Measurement) -> Iterator[Hint]:
    """Readings taken from both directions that differ."""
    found = _apart(measurement, lambda noted: noted.approach or "")
    if found:
        first, second, distance = found
        yield Hint(
            "play",
            fact("hint-play", first=first, second=second, apart=distance),
        )


def _readers(measurement: Measurement) -> Iterator[Hint]:
    """Two people who differ by more than their scatter."""
    found = _apart(measurement, lambda noted: noted.reader)
    if found:
        first, second, distance = found
        yield Hint(
            "readers",
            fact("hint-readers", first=Name(first), second=Name(second), apart=distance),
        )


def _apart(
    measurement: Measurement, group_of: Callable[[Noted], str]
) -> tuple[str, str, Figure] | None:
    """Two groups, each read twice or more, whose means lie apart, with their distance."""
    groups: dict[str, list[Fraction]] = defaultdict(list)
    for observation, value in zip(measurement.observations, measurement.observed, strict=True):
        if observation.counts and (group := group_of(observation.noted)):
            groups[group].append(value)
    groups = {name: values for name, values in groups.items() if len(values) >= _GROUP}
    if len(groups) < 2:
        return None
    low = min(groups, key=lambda name: mean(groups[name]))
    high = max(groups, key=lambda name: mean(groups[name]))
    apart = mean(groups[high]) - mean(groups[low])
    within = max(max(values) - min(values) for values in groups.values())
    least = measurement.instrument.least_count
    if apart <= max(_APART_LEAST_COUNTS * least, within):
        return None
    return low, high, Figure(measurement.instrument.with_unit(apart))


def _trend(measurement: Measurement) -> Iterator[Hint]:
    """A series that only ever grows, or only ever shrinks."""
    values = measurement.counting
    if len(values) < _TREND_READINGS:
        return
    steps = [b - a for a, b in pairwise(values)]
    change = values[-1] - values[0]
    if abs(change) <= _APART_LEAST_COUNTS * measurement.instrument.least_count:
        return
    if all(step >= 0 for step in steps) or all(step <= 0 for step in steps):
        size = Figure(measurement.instrument.with_unit(abs(change)))
        way = "grew" if change > 0 else "shrank"
        yield Hint("trend", fact("hint-trend", way=way, change=size))


def _numbered_lines(measurement: Measurement) -> Iterator[Hint]:
    """Only lines that bear a numeral: the lines between may not have been looked at."""
    every = fine_numerals(measurement.instrument).every
    lines = [o.indications[0].line for o in measurement.observations if o.counts]
    if every < 2 or Fraction(1, every) ** len(lines) > _NUMBERED_CHANCE:
        return
    if len(set(lines)) > 1 and all(line % every == 0 for line in lines):
        yield Hint("numbered-lines", fact("hint-numbered-lines", count=len(lines)))
