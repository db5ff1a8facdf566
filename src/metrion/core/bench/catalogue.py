"""The tools at the bench and the parts in its drawer, and what is true of them."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from functools import lru_cache

from metrion.core.bench.rng import Rng, between
from metrion.core.instruments.appearance import Appearance
from metrion.core.instruments.instrument import Instrument
from metrion.core.scales import PlainScale, ScrewScale, VernierScale
from metrion.core.traits import Kind


class Tool(StrEnum):
    """The tools at the bench."""

    CALIPER = "caliper"
    SCREW = "screw"
    CIRCLE = "circle"
    DISPLAY = "display"


class BenchPart(StrEnum):
    """The parts in the drawer; the last is what the circle is turned to."""

    SPREADER = "spreader"
    FERRULE = "ferrule"
    NOCK = "nock"
    STANDOFF = "standoff"
    FILM = "film"
    FOIL = "foil"


class BenchPlace(StrEnum):
    """Where a part is held; on the circle, which of two lines is aimed at."""

    END = "end"
    MIDDLE = "middle"
    FAR_END = "far-end"
    CUT = "cut"
    LEFT = "left"
    RIGHT = "right"


ALONG = (BenchPlace.END, BenchPlace.MIDDLE, BenchPlace.FAR_END, BenchPlace.CUT)
AIMED = (BenchPlace.LEFT, BenchPlace.RIGHT)
_HALF_DEGREE = Fraction(30)
_REMEMBERED = 64

INSTRUMENTS = {
    Tool.CALIPER: Instrument(
        "bench-caliper", "", Kind.VERNIER, "mm", VernierScale(Fraction(1), 20, 19),
        (Fraction(0), Fraction(150)),
    ),
    Tool.SCREW: Instrument(
        "bench-screw", "", Kind.SCREW, "mm", ScrewScale(Fraction(1, 2), 50, Fraction(1, 2)),
        (Fraction(0), Fraction(25)),
    ),
    Tool.CIRCLE: Instrument(
        "bench-circle", "", Kind.ANGULAR, "arcmin", VernierScale(_HALF_DEGREE, 30, 29)
    ),
    Tool.DISPLAY: Instrument(
        "bench-display", "", Kind.PLAIN, "mm", PlainScale(Fraction(1, 100)),
        (Fraction(0), Fraction(150)), appearance=Appearance(display=True),
    ),
}  # fmt: skip
"""What is counted on each tool; their names are said by whoever shows them."""


@dataclass(frozen=True)
class ToolTruth:
    """What is true of a tool, in its unit.

    Attributes:
        zero: what it shows with the faces closed.
        drift: what that grows by with every closing.
        play: what it shows more when it was brought on from inside.
        give: what it shows less when it was forced.
        dust: what it shows more while its faces are not wiped.
        aslant: what it shows more to an eye that looks from aside.
        slack: how far it may move while it is lifted unlocked.
        unsteady: standard deviation of what a closing on the bare faces shows.
    """

    zero: float
    drift: float
    play: float
    give: float
    dust: float
    aslant: float
    slack: float
    unsteady: float


@dataclass(frozen=True)
class PartTruth:
    """What is true of a part, in the unit of the tool.

    Attributes:
        size: on the average over all its places and directions.
        oval: how much more it measures across one way than across the other.
        taper: how much more it measures at one end than at the other.
        burr: what stands up at its cut edge.
        uneven: standard deviation of what one closing on it shows.
        items: how many of its like are measured at once.
    """

    size: float
    oval: float
    taper: float
    burr: float
    uneven: float
    items: int = 1

    @property
    def of_one(self) -> float:
        """The size of one of them."""
        return self.size / self.items


@lru_cache(_REMEMBERED)
def tool_truth(tool: Tool, luck: Rng) -> ToolTruth:
    """What is true of a tool: all in its least counts, as the hand would know it."""
    least = float(INSTRUMENTS[tool].least_count)
    read_by_eye = tool is not Tool.DISPLAY

    def some(name: str, low: float, high: float) -> float:
        return least * between(luck, f"{tool} {name}", low, high)

    zero = some("zero", 2, 7)
    return ToolTruth(
        zero=-zero if luck(f"{tool} zero below") < 1 / 2 else zero,
        drift=some("drift", -0.02, 0.02),
        play=some("play", 1.5, 4) if tool in (Tool.SCREW, Tool.CIRCLE) else some("play", 0.3, 1),
        give=some("give", 2, 5) if tool is not Tool.CIRCLE else 0.0,
        dust=some("dust", 1, 3) if tool is not Tool.CIRCLE else 0.0,
        aslant=some("aslant", 1, 2.5) if read_by_eye else 0.0,
        slack=some("slack", 2, 4),
        unsteady=0.25 * least,
    )


_SIZES = {
    BenchPart.SPREADER: (4.8, 5.6),
    BenchPart.FERRULE: (6.8, 8.4),
    BenchPart.NOCK: (8.6, 10.4),
    BenchPart.STANDOFF: (2.1, 3.4),
    BenchPart.FILM: (16 * 0.038, 16 * 0.055),
}
"""Between which sizes a part lies, in millimetres."""
_FOIL = (36 * 60.0, 41 * 60.0)
_FOLDED = 16


def fits(tool: Tool, part: BenchPart) -> bool:
    """Whether a part is measured with a tool."""
    return (part is BenchPart.FOIL) is (tool is Tool.CIRCLE)


def places(part: BenchPart) -> tuple[BenchPlace, ...]:
    """Where a part can be held."""
    return AIMED if part is BenchPart.FOIL else ALONG


@lru_cache(_REMEMBERED)
def part_truth(part: BenchPart, luck: Rng) -> PartTruth:
    """What is true of a part; its faults are of the size that a screw gauge just tells."""
    if part is BenchPart.FOIL:
        size = between(luck, "foil size", *_FOIL)
        return PartTruth(size, 0.0, 0.0, 0.0, between(luck, "foil uneven", 0.5, 3))

    def some(name: str, low: float, high: float) -> float:
        return between(luck, f"{part} {name}", low, high)

    return PartTruth(
        size=some("size", *_SIZES[part]),
        oval=some("oval", 0.0, 0.03),
        taper=some("taper", -0.02, 0.02),
        burr=some("burr", 0.08, 0.2),
        uneven=some("uneven", 0.005, 0.04),
        items=_FOLDED if part is BenchPart.FILM else 1,
    )
