"""How a bench stands."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from enum import StrEnum

from metrion.core.bench.catalogue import (
    INSTRUMENTS,
    BenchPart,
    BenchPlace,
    Tool,
    ToolTruth,
    tool_truth,
)
from metrion.core.bench.rng import Rng
from metrion.core.facts import Fact
from metrion.core.instruments.instrument import Instrument


class Cause(StrEnum):
    """What a reading takes with it besides the size of the part."""

    ZERO = "zero"
    PLACE = "place"
    BURR = "burr"
    DUST = "dust"
    PLAY = "play"
    FORCE = "force"
    SLACK = "slack"
    ASLANT = "aslant"
    CHANCE = "chance"
    GAP = "gap"


Causes = Mapping[Cause, float]
"""What each of them adds, in the unit of the tool."""

WIDE = 15.0
"""How far faces are opened, in the unit of the tool; a circle is turned as many degrees away."""


@dataclass(frozen=True)
class Held:
    """What is between the faces, or aimed at.

    Attributes:
        part: which; None for the bare faces.
        place: where it is held.
        along: how far from its middle, in parts of its length.
    """

    part: BenchPart | None = None
    place: BenchPlace = BenchPlace.MIDDLE
    along: float = 0.0


BARE = Held()


@dataclass(frozen=True)
class Seen:
    """A look that was written down.

    Attributes:
        held: what was read.
        shown: what stood at the scales, for the eye.
        causes: all that it had in it besides the size.
    """

    held: Held
    shown: float
    causes: Causes


@dataclass(frozen=True)
class Bench:
    """How everything stands.

    Attributes:
        luck: what chance decides here.
        tool: in the hand.
        acts: how many there were; chance decides anew with each.
        closings: of each tool.
        wiped: the tools whose faces are.
        turns: how often a part was turned: each direction has a number.
        held: what is between the faces; None where they stand open with nothing.
        at: what the scales show to an eye straight above them.
        causes: what that has in it, where the faces touch; None where they do not.
        locked, lifted: whether the lock holds; whether the scales are straight before the eye.
        looks: what was written down, in order.
        remark: what is to be said of the last act.
    """

    luck: Rng
    tool: Tool = Tool.CALIPER
    acts: int = 0
    closings: Mapping[Tool, int] = field(default_factory=dict)
    wiped: frozenset[Tool] = frozenset()
    turns: int = 0
    held: Held | None = None
    at: float = WIDE
    causes: Causes | None = None
    locked: bool = False
    lifted: bool = False
    looks: tuple[Seen, ...] = ()
    remark: Fact | None = None

    @property
    def instrument(self) -> Instrument:
        """What is counted on the tool."""
        return INSTRUMENTS[self.tool]

    @property
    def truth(self) -> ToolTruth:
        """What is true of the tool."""
        return tool_truth(self.tool, self.luck)

    @property
    def shown(self) -> float:
        """What the scales show to the eye as it looks now."""
        return self.at if self.lifted else self.at + self.truth.aslant

    @property
    def touching(self) -> bool:
        """Whether the faces touch something, or each other."""
        return self.causes is not None

    @property
    def zero(self) -> float:
        """What the tool shows by now with clean, closed faces."""
        return self.truth.zero + self.truth.drift * self.closings.get(self.tool, 0)
