"""How quickly exercises are made and answers judged, and how many slips are named.

Prints the time for 1,000 exercises, the median and the longest time of a diagnosis, the share of
answers given by one slip and by two that are named, and the share of arbitrary wrong answers that
are not.

Run ``.venv/bin/python benchmarks/practice.py``.
"""

from __future__ import annotations

import random
import statistics
import time
from fractions import Fraction
from itertools import islice

from metrion.core.exact.angles import angle_text
from metrion.core.exact.figures import round_half_away
from metrion.core.exact.numbers import finite_decimals, fixed, to_text
from metrion.core.practice.diagnosis import AnswerVerdict, diagnose
from metrion.core.practice.exercise import Exercise, least_decimals
from metrion.core.practice.slips import SLIPS, Slip
from metrion.core.practice.work import Departure, Work
from metrion.formats.exercise import exercises_of

_MADE, _JUDGED, _FROM = 1000, 400, 11


def written(exercise: Exercise, value: Fraction) -> str | None:
    """An answer as it would be typed: a mean to one decimal more than the tool reads."""
    if exercise.angular:
        return angle_text(value) if (value * 60).denominator == 1 else None
    if finite_decimals(value) is None:
        decimals = least_decimals(exercise.instrument) + 1
        return fixed(round_half_away(value, -decimals), decimals)
    return to_text(value)


def ways_of(work: Work, chance: random.Random) -> list[tuple[Slip, Departure]]:
    """One way of every slip that can be made."""
    found = [(slip, list(slip.ways(work))) for slip in SLIPS]
    return [(slip, chance.choice(ways)) for slip, ways in found if ways]


class Counted:
    """Answers of one sort: how many were judged wrong, and how many named as they should be."""

    def __init__(self) -> None:
        self.times: list[float] = []
        self.judged = self.named = 0

    def take(self, exercise: Exercise, value: Fraction, code: str) -> None:
        """Judge one; an empty code is to get no name."""
        if (given := written(exercise, value)) is None:
            return
        began = time.perf_counter()
        found = diagnose(exercise, given)
        self.times.append(time.perf_counter() - began)
        if found.verdict is AnswerVerdict.WRONG:
            self.judged += 1
            # What one slip gives is named for it, where two were made.
            alone = any("+" not in one for one in found.slips)
            self.named += (code in found.slips or alone) if code else not found.slips

    def line(self, name: str) -> str:
        """What came of them."""
        median, longest = (1000 * of(self.times) for of in (statistics.median, max))
        share = 100 * self.named / self.judged
        return f"{name:<24} {share:6.1f} % of {self.judged:5}   {median:5.2f} ms, {longest:5.2f} ms"


def main() -> None:
    """Print the table."""
    began = time.perf_counter()
    made = list(islice(exercises_of(_FROM), _MADE))
    print(f"{_MADE} exercises in {time.perf_counter() - began:.2f} s")
    chance = random.Random(_FROM)
    alone, two, none = Counted(), Counted(), Counted()
    for exercise in made[:_JUDGED]:
        work = Work(exercise)
        ways = ways_of(work, chance)
        for slip, way in ways:
            alone.take(exercise, Fraction(work.outcome(way)), slip.code)
        (first, one), (second, other) = chance.sample(ways, 2) if len(ways) > 1 else ways * 2
        if first.step is not second.step:
            codes = sorted((first, second), key=SLIPS.index)
            both = Fraction(work.outcome(one.joined(other)))
            two.take(exercise, both, "+".join(slip.code for slip in codes))
        least = exercise.instrument.least_count
        none.take(exercise, chance.randint(1, 9000) * least + least / 4, "")
    for name, found in (("one slip", alone), ("two slips", two), ("no slip", none)):
        print(found.line(name))


if __name__ == "__main__":
    main()
