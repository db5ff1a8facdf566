"""The plan of a measurement: where it is to be read, how often, and which looks at the zero."""

from __future__ import annotations

from collections import Counter
from collections.abc import Collection, Iterable
from dataclasses import dataclass

from metrion.core.declared import (
    NOTHING,
    Choices,
    Count,
    Rest,
    Texts,
    declared,
    entry,
    folded,
    rest,
)
from metrion.core.quantity.zero import Phase


@entry()
class ReadingPlan:
    """What was planned before it was read.

    Attributes:
        places: where readings are to be taken; anywhere without one.
        each: how many readings at every place; without places, in all.
        zero: the looks at the zero that are to be made.
        rest: what else is noted of it.
    """

    places: tuple[str, ...] = declared(Texts(50), default=())
    each: int = declared(Count(100), default=1)
    zero: tuple[Phase, ...] = declared(Choices(Phase), default=())
    rest: Rest = rest(default=NOTHING)

    def held_against(self, read_at: Iterable[str], looked: Collection[Phase]) -> PlanProgress:
        """How far the plan is carried out.

        Args:
            read_at: the place of each reading that counts, in whatever spelling; empty for none.
            looked: the phases in which the zero was looked at.
        """
        there = Counter(map(folded, read_at))
        found: list[tuple[str | None, int]] = [
            (place, there[folded(place)]) for place in self.places
        ] or [(None, there.total())]
        made = sum(min(count, self.each) for _, count in found)
        return PlanProgress(
            made=made,
            of=self.each * len(found),
            extra=there.total() - made,
            left=tuple(
                PlaceLeft(place, self.each - count) for place, count in found if count < self.each
            ),
            zero_left=tuple(phase for phase in self.zero if phase not in looked),
        )


@dataclass(frozen=True)
class PlaceLeft:
    """Readings that are missing at a place, or anywhere where no place was planned."""

    place: str | None
    count: int


@dataclass(frozen=True)
class PlanProgress:
    """How far a plan is carried out.

    Attributes:
        made: the planned readings that were taken and count.
        of: how many were planned.
        extra: the other readings that count.
        left: what is missing, in the order of the plan.
        zero_left: the planned looks at the zero that are missing, in the order of the plan.
    """

    made: int
    of: int
    extra: int
    left: tuple[PlaceLeft, ...]
    zero_left: tuple[Phase, ...]

    @property
    def done(self) -> bool:
        """Whether nothing is missing."""
        return not self.left and not self.zero_left
