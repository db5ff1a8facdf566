"""What is wrong with a file: every fault, each with the place it is at."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from metrion.core.codes import MessageCode
from metrion.core.errors import MetrionError
from metrion.core.facts import Argument, Fact, fact


@dataclass(frozen=True)
class Fault:
    """One fault.

    Attributes:
        pointer: JSON Pointer (RFC 6901) to where it is; empty for the whole file.
        says: what is wrong and what would be right.
    """

    pointer: str
    says: Fact


@dataclass(frozen=True)
class BoundFault(Fault):
    """Text that is out of bounds: a fault also where it is kept for the record only."""


class Faults(list[Fault]):
    """The faults found so far.

    Attributes:
        kept: whether what is read was kept before there were bounds, so that they do not hold.
    """

    def __init__(self, *, kept: bool = False) -> None:
        super().__init__()
        self.kept = kept


class Refused(MetrionError):
    """A file that was refused whole, with all its faults."""

    def __init__(self, faults: Iterable[Fault]) -> None:
        self.faults = tuple(faults)
        super().__init__("things-are-wrong", count=len(self.faults))
        if len(self.faults) == 1:
            self.says = self.faults[0].says


def refusal(code: MessageCode, pointer: str = "", **about: Argument) -> Refused:
    """A file refused for one thing."""
    return Refused([Fault(pointer, fact(code, **about))])


def child(pointer: str, name: str | int) -> str:
    """The pointer to a member of what ``pointer`` points to."""
    return f"{pointer}/{str(name).replace('~', '~0').replace('/', '~1')}"
