"""Rounds at the simulated bench, by a hand with habits that always reads the nearest line."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from random import Random

from metrion.core.bench.acts import Act, Do, Simulated
from metrion.core.bench.bench import Bench
from metrion.core.bench.catalogue import BenchPart, BenchPlace, Tool, part_truth
from metrion.core.bench.reveal import Revealed, reveal
from metrion.core.bench.rng import Rng
from metrion.core.bench.transitions import after
from metrion.core.conventions.convention import BUILT_IN
from metrion.core.quantity.measurements import Measurement, MeasurementResult, reduce_measurement
from metrion.core.quantity.noted import Noted
from metrion.core.quantity.observations import Observation
from metrion.core.quantity.zero import Phase, ZeroCheck
from metrion.core.scales import Indication

PAIR = (BenchPlace.LEFT, BenchPlace.RIGHT)


def luck_of(seed: object, **fixed: float) -> Rng:
    """Chance from a seed; what is named (with ``_`` for blanks) is not left to it."""
    known = {name.replace("_", " "): value for name, value in fixed.items()}
    return lambda name: known.get(name, Random(f"{seed} {name}").random())


@dataclass(frozen=True)
class Habits:
    """What a hand does; as they stand, all of them are good."""

    places: Sequence[BenchPlace] = (BenchPlace.END, BenchPlace.MIDDLE, BenchPlace.FAR_END)
    readings: int = 6
    wipes: bool = True
    looks_at_zero: bool = True
    closes: Sequence[Do] = (Do.CLOSE,)
    locks: bool = True
    lifts: bool = True
    turns: bool = True


GOOD = Habits()


@dataclass(frozen=True)
class Round:
    """A round that was gone through."""

    bench: Bench
    result: MeasurementResult
    revealed: Revealed


def gone_through(tool: Tool, part: BenchPart, luck: Rng, habits: Habits = GOOD) -> Round:
    """Zero, readings in several places, zero again; stated with 95 %."""
    hand = _Hand(luck, habits)
    hand.does(Do.TAKE, tool)
    looks_at_zero = habits.looks_at_zero and tool is not Tool.CIRCLE
    if habits.wipes and tool is not Tool.CIRCLE:
        hand.does(Do.WIPE)
    checks = [hand.zero(Phase.BEFORE)] if looks_at_zero else []
    read = [hand.observation(part, at) for at in range(habits.readings)]
    checks += [hand.zero(Phase.AFTER)] if looks_at_zero else []
    measurement = Measurement(
        "m", "", hand.bench.instrument, BUILT_IN["standard-95"], tuple(read), tuple(checks),
        items=part_truth(part, luck).items,
    )  # fmt: skip
    result = reduce_measurement(measurement)
    revealed = reveal(lambda _: luck, result)
    assert revealed is not None
    return Round(hand.bench, result, revealed)


class _Hand:
    def __init__(self, luck: Rng, habits: Habits) -> None:
        self.bench = Bench(luck)
        self.done: list[Act] = []
        self.habits = habits

    def does(self, do: Do, what: str = "") -> None:
        self.done.append(Act(do, what))
        self.bench = after(self.bench, self.done[-1])

    @property
    def noted(self) -> Noted:
        return Noted(simulated=str(Simulated(0, tuple(self.done))))

    def observation(self, part: BenchPart, at: int) -> Observation:
        places = (
            PAIR if part is BenchPart.FOIL else (self.habits.places[at % len(self.habits.places)],)
        )
        looks = []
        for place in places:
            self.does(Do.OPEN)
            self.does(Do.PLACE, f"{part}/{place}")
            if self.habits.turns and part is not BenchPart.FOIL:
                self.does(Do.TURN)
            self.does(Do.CLOSE)
            if (closing := self.habits.closes[at % len(self.habits.closes)]) is not Do.CLOSE:
                self.does(closing)
            looks.append(self.written_down(Do.READ))
            noted = self.noted
            if self.bench.locked:
                self.does(Do.UNLOCK)
        return Observation(tuple(looks), noted=noted)

    def zero(self, phase: Phase) -> ZeroCheck:
        self.does(Do.OPEN)
        self.does(Do.CLOSE)
        look = self.written_down(Do.ZERO)
        noted = self.noted
        if self.bench.locked:
            self.does(Do.UNLOCK)
        return ZeroCheck(str(phase), self.bench.instrument.id, look, phase=phase, noted=noted)

    def written_down(self, do: Do) -> Indication:
        """The scales brought before the eye, and the nearest line."""
        if self.habits.locks:
            self.does(Do.LOCK)
        if self.habits.lifts and self.bench.tool is not Tool.DISPLAY:
            self.does(Do.LIFT)
        self.does(do)
        tool = self.bench.instrument
        least = tool.least_count
        return tool.scale.nearest(round(self.bench.shown / float(least)) * least)
