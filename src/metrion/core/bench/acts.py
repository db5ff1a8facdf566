"""What a hand can do at the bench."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from metrion.core.errors import MetrionError
from metrion.core.facts import Name

_LONGEST_SEED = 20
"""In digits; far longer ones are no numbers any more."""


class Do(StrEnum):
    """The things that can be done."""

    TAKE = "take"
    WIPE = "wipe"
    OPEN = "open"
    PLACE = "place"
    TURN = "turn"
    CLOSE = "close"
    FORCE = "force"
    EASE = "ease"
    MOVE = "move"
    LOCK = "lock"
    UNLOCK = "unlock"
    LIFT = "lift"
    READ = "read"
    ZERO = "zero"


class NoSuchAct(MetrionError):
    """Text that is no act at this bench."""

    def __init__(self, text: str) -> None:
        super().__init__("bench-no-such-act", text=Name(text[:40]))


class NotNow(MetrionError):
    """Something that can be done, but not as the bench stands."""

    def __init__(self, do: Do) -> None:
        super().__init__("bench-not-now", do=do)


@dataclass(frozen=True)
class Act:
    """One of them.

    Attributes:
        do: what is done.
        what: a tool to take, a part and where it is held (``film/middle``), the position
            that a drag asks for.
    """

    do: Do
    what: str = ""

    def __str__(self) -> str:
        return f"{self.do}:{self.what}" if self.what else str(self.do)


@dataclass(frozen=True)
class Simulated:
    """What was done at a simulated bench, as a sheet keeps it: the seed, then the acts.

    Attributes:
        seed: of everything that chance decides.
        acts: in order.
    """

    seed: int
    acts: tuple[Act, ...] = ()

    def __str__(self) -> str:
        return " ".join([str(self.seed), *map(str, self.acts)])


def parse_simulated(text: str) -> Simulated:
    """What was done, from the text that is made of it.

    Raises:
        NoSuchAct: where a seed is missing, or an act is none.
    """
    seed, _, rest = text.partition(" ")
    if not (seed.isascii() and seed.isdecimal() and len(seed) <= _LONGEST_SEED):
        raise NoSuchAct(seed)
    return Simulated(int(seed), tuple(map(_act, rest.split())))


def _act(word: str) -> Act:
    do, _, what = word.partition(":")
    try:
        return Act(Do(do), what)
    except ValueError:
        raise NoSuchAct(word) from None
