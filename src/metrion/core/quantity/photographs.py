"""Photographs of the scales that belong to a reading as evidence, and what they said."""

from __future__ import annotations

from enum import StrEnum

from metrion.core.declared import NOTHING, Choice, Rest, Text, declared, entry, rest
from metrion.core.facts import Fact, Figure, fact


class PhotographVerdict(StrEnum):
    """How a photograph stands to what was read before it spoke."""

    AGREES = "agrees"
    CLOSE = "close"
    DIFFERS = "differs"
    CANNOT_TELL = "cannot-tell"


@entry()
class Photograph:
    """A photograph that was taken of a reading, and what it said.

    The pictures lie beside the logbook, each in a file named after the SHA-256 of its bytes.

    Attributes:
        strip: the neighbourhood of the edge as it was taken, by its SHA-256.
        whole: a small view of all, by its SHA-256.
        edge: in the strip, both ends of the edge over the fine scale: x1 y1 x2 y2 in pixels.
        thimble: which way a thimble counts in it, up or down; empty where there is none.
        look: of a pair, the look that it shows: a, b, a2 or b2; empty for a single one.
        at: when it was kept (ISO 8601, UTC).
        own: the fine line that had been read before it spoke.
        verdict: how it stands to that.
        line: the fine line that it said; empty where it could not tell.
        position: where the lines meet, in fine lines and parts of one.
        standard_error: of that.
        probability: of the line, from 0 to 1.
        rest: what else is noted of it.
    """

    strip: str = declared(Text(), default="", for_the_record=True)
    whole: str = declared(Text(), default="", for_the_record=True)
    edge: str = declared(Text(), default="", for_the_record=True)
    thimble: str = declared(Text(), default="", for_the_record=True)
    look: str = declared(Text(), default="", for_the_record=True)
    at: str = declared(Text(), default="", for_the_record=True)
    own: str = declared(Text(), default="", for_the_record=True)
    verdict: PhotographVerdict | None = declared(
        Choice(PhotographVerdict), default=None, for_the_record=True
    )
    line: str = declared(Text(), default="", for_the_record=True)
    position: str = declared(Text(), default="", for_the_record=True)
    standard_error: str = declared(Text(), default="", for_the_record=True)
    probability: str = declared(Text(), default="", for_the_record=True)
    rest: Rest = rest(default=NOTHING)

    @property
    def ends(self) -> tuple[float, float, float, float] | None:
        """Both ends of the edge, x1 y1 x2 y2; None if they were noted otherwise."""
        try:
            x1, y1, x2, y2 = map(float, self.edge.split())
        except ValueError:
            return None
        return x1, y1, x2, y2

    @property
    def says(self) -> Fact:
        """What it said, beside what had been read before it spoke."""
        if not self.line:
            return fact("photograph-told-nothing", own=Figure(self.own))
        return fact(
            "photograph-told", line=Figure(self.line), position=Figure(self.position),
            error=Figure(self.standard_error), own=Figure(self.own),
            verdict=str(self.verdict or ""),
        )  # fmt: skip
