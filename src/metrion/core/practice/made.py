"""Exercises made by chance: every common pattern, every question, no two alike for long."""

from __future__ import annotations

from collections import deque
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction
from typing import TypeVar

from metrion.core.exact.angles import FULL_CIRCLE
from metrion.core.instruments.instrument import Instrument
from metrion.core.practice.exercise import Exercise, Question, answer_text, questions_of
from metrion.core.practice.work import right
from metrion.core.quantity.observations import Arc
from metrion.core.scales import Indication, PlainScale, Scale, ScrewScale, VernierScale
from metrion.core.traits import Kind

_T = TypeVar("_T")
Chance = Callable[[int], int]
"""A whole number from 0 to below the one given, each as likely."""

_REMEMBERED = 200
"""So many exercises on end, none is like another."""
_TRIES = 60


def _vernier(
    key: str, name: str, division: str, n: int, span: int, high: str, unit: str
) -> Instrument:
    scale = VernierScale(Fraction(division), n, span)
    return Instrument(key, name, Kind.VERNIER, unit, scale, (Fraction(0), Fraction(high)))


def _screw(
    key: str, name: str, pitch: str, n: int, division: str, high: str, unit: str
) -> Instrument:
    scale = ScrewScale(Fraction(pitch), n, Fraction(division))
    return Instrument(key, name, Kind.SCREW, unit, scale, (Fraction(0), Fraction(high)))


def _circle(key: str, name: str, division: str, n: int, span: int) -> Instrument:
    return Instrument(key, name, Kind.ANGULAR, "arcmin", VernierScale(Fraction(division), n, span))


def _plain(key: str, name: str, division: str, high: str, unit: str) -> Instrument:
    return Instrument(
        key, name, Kind.PLAIN, unit, PlainScale(Fraction(division)), (Fraction(0), Fraction(high))
    )


TOOLS = (
    _vernier("v10", "Caliper, ten lines", "1", 10, 9, "150", "mm"),
    _vernier("v10w", "Caliper, ten wide lines", "1", 10, 19, "150", "mm"),
    _vernier("v20", "Caliper, twenty lines", "1", 20, 19, "150", "mm"),
    _vernier("v20w", "Caliper, twenty wide lines", "1", 20, 39, "200", "mm"),
    _vernier("v50", "Caliper, fifty lines", "1", 50, 49, "200", "mm"),
    _vernier("v50h", "Caliper, half-millimetre marks", "0.5", 25, 24, "150", "mm"),
    _vernier("v10c", "Caliper in centimetres, ten lines", "0.1", 10, 9, "15", "cm"),
    _vernier("v20c", "Caliper in centimetres, twenty lines", "0.1", 20, 39, "15", "cm"),
    _vernier("v50c", "Caliper in centimetres, fifty lines", "0.1", 50, 49, "20", "cm"),
    _vernier("v25i", "Caliper in inches", "0.025", 25, 24, "6", "in"),
    _vernier("v8i", "Caliper in sixteenths", "1/16", 8, 7, "6", "in"),
    _vernier("v10b", "Caliper, lines backwards", "1", 10, 11, "150", "mm"),
    _screw("s50", "Screw gauge, half-millimetre turns", "0.5", 50, "0.5", "25", "mm"),
    _screw("s100", "Screw gauge, millimetre turns", "1", 100, "1", "25", "mm"),
    _screw("s50t", "Screw gauge, two turns to a mark", "0.5", 50, "1", "25", "mm"),
    _screw("s100h", "Screw gauge, half marks besides", "1", 100, "0.5", "50", "mm"),
    _screw("s25i", "Screw gauge in inches", "0.025", 25, "0.025", "1", "in"),
    _circle("c30", "Circle, half degrees", "30", 30, 29),
    _circle("c40", "Circle, thirds of a degree", "20", 40, 39),
    _circle("c20", "Circle, thirds, twenty lines", "20", 20, 19),
    _circle("c60", "Circle, thirds, sixty lines", "20", 60, 59),
    _circle("c30s", "Circle, sixths of a degree", "10", 60, 59),
)
"""The tools of exercises, by what is counted on them; their names are for files only."""

PLAIN_TOOLS = (
    _plain("p1", "Scale in millimetres", "1", "300", "mm"),
    _plain("p05", "Scale in half millimetres", "0.5", "150", "mm"),
    _plain("p01c", "Scale in centimetres", "0.1", "30", "cm"),
    _plain("p16i", "Scale in sixteenths", "1/16", "12", "in"),
)
"""Scales without a fine one; on the page only."""


@dataclass(frozen=True)
class WantedExercise:
    """What exercises are to be of; None for everything.

    Attributes:
        kind: of tool.
        question: that is asked.
    """

    kind: Kind | None = None
    question: Question | None = None

    def pairs(self) -> list[tuple[Instrument, Question]]:
        """Every tool with every question that can be asked of it and is wanted."""
        return [
            (tool, question)
            for tool in (PLAIN_TOOLS if self.kind and not self.kind.traits.fine_scale else TOOLS)
            for question in questions_of(tool.kind)
            if self.kind in (None, tool.kind) and self.question in (None, question)
        ]


EVERYTHING = WantedExercise()


def exercises(seed: int, chance: Chance, wanted: WantedExercise = EVERYTHING) -> Iterator[Exercise]:
    """Exercises without end; every pair of tool and question once before any comes again.

    Args:
        seed: names them, ``SEED-i`` from 1.
        chance: decides on everything; the same chance makes the same exercises.
        wanted: what they are to be of; nothing comes where that cannot be.
    """
    recent: deque[object] = deque(maxlen=_REMEMBERED)
    made = 0
    pairs = wanted.pairs()
    while pairs:
        for tool, question in _shuffled(pairs, chance):
            tries = (_asked(tool, question, chance) for _ in range(_TRIES))
            # A tool of which everything was asked lately waits.
            found = next((one for one in tries if one.situation not in recent), None)
            if found:
                made += 1
                recent.append(found.situation)
                answer, tolerance = answer_text(found, right(found))
                yield replace(found, id=f"{seed}-{made}", answer=answer, tolerance=tolerance)


def _shuffled(items: Sequence[_T], chance: Chance) -> list[_T]:
    left = list(items)
    return [left.pop(chance(len(left))) for _ in items]


def _asked(tool: Instrument, question: Question, chance: Chance) -> Exercise:
    return _ASKED[question](Exercise("", tool, question), chance)


def _least_count(exercise: Exercise, chance: Chance) -> Exercise:
    return replace(exercise, looks=(_look(exercise.instrument, chance),))


def _zero_error(exercise: Exercise, chance: Chance) -> Exercise:
    return replace(exercise, zero_check=_zero(exercise.instrument.scale, chance))


def _reading(exercise: Exercise, chance: Chance) -> Exercise:
    return replace(exercise, looks=(_look(exercise.instrument, chance),))


def _corrected(exercise: Exercise, chance: Chance) -> Exercise:
    return _zero_error(_reading(exercise, chance), chance)


def _mean(exercise: Exercise, chance: Chance) -> Exercise:
    tool = exercise.instrument
    middle = tool.reading(_look(tool, chance))
    offs = [chance(7) - 3 for _ in range(3 + chance(3))]
    looks = tuple(tool.scale.nearest(abs(middle + off * tool.least_count)) for off in offs)
    return _zero_error(replace(exercise, looks=looks), chance)


def _sweep(exercise: Exercise, chance: Chance) -> Exercise:
    scale = exercise.instrument.scale
    steps = int(FULL_CIRCLE / scale.least_count)
    start = chance(steps)
    if chance(2):
        # Through the zero of the circle.
        start = steps - 1 - chance(steps // 8)
    size = steps // 60 + chance(steps // 3)
    ends = [start, (start + size) % steps]
    if chance(2):
        ends.reverse()
    first, second = (_on_circle(scale, step) for step in ends)
    arc = Arc.FORWARD if chance(4) == 0 else Arc.SHORTER
    return replace(exercise, looks=(first, second), arc=arc, divide_by=1 + chance(2))


def _on_circle(scale: Scale, step: int) -> Indication:
    return scale.nearest(step * scale.least_count)


_ASKED: dict[Question, Callable[[Exercise, Chance], Exercise]] = {
    Question.LEAST_COUNT: _least_count,
    Question.ZERO_ERROR: _zero_error,
    Question.READING: _reading,
    Question.CORRECTED: _corrected,
    Question.SWEEP: _sweep,
    Question.MEAN: _mean,
}


def _look(tool: Instrument, chance: Chance) -> Indication:
    """Anywhere within the range; now and then with the zero just at or beside a mark."""
    scale = tool.scale
    highest = tool.range[1] if tool.range else FULL_CIRCLE
    marks = int(highest / scale.mark) - 2
    mark, steps = chance(marks), int(scale.mark / scale.least_count)
    step = chance(steps) if chance(4) else (0, 1, steps - 1)[chance(3)]
    return scale.nearest(mark * scale.mark + step * scale.least_count)


def _zero(scale: Scale, chance: Chance) -> Indication:
    """A few least counts off, to either side; now and then many."""
    steps = int(scale.mark / scale.least_count)
    most = min(9, steps // 3) if chance(10) else steps - 1
    size = (1 + chance(most)) * scale.least_count
    return scale.nearest(-size if chance(2) else size)
