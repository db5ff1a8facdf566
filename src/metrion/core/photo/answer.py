"""What meets in a photograph of the scales: a line, how surely, or that it cannot be told."""

from __future__ import annotations

import warnings
from collections.abc import Iterable
from dataclasses import dataclass, replace
from math import ceil, gcd, radians
from typing import assert_never

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtr

from metrion.core.arrays import Array
from metrion.core.facts import Fact, fact
from metrion.core.instruments.instrument import Instrument
from metrion.core.photo.long_lines import LONG
from metrion.core.photo.overlay import Laid
from metrion.core.photo.screw import met_at
from metrion.core.photo.strip import Brightness, is_over, turned_over
from metrion.core.photo.vernier import ZeroLine, place_of
from metrion.core.scales import Numbering, PlainScale, ScrewScale, VernierScale

_SHORTEST_EDGE = 40.0
_FAINT = 1.6
"""Lines that stand out less than so many times from what else is in the picture are none."""
_PIXELS, _CROWDED, _ROOMY = 0.003, 0.007, 20.0
"""What no picture tells more finely, in pixels: its lens, and its grid where lines are close."""
_ASTRAY, _FAR = 0.03, 8.0
"""How often an answer is off by more than its error says, and how many times more."""
_ASLANT, _ROUND_THE_THIMBLE = 0.06, 12.0
"""From here on a view is aslant: how much wider lines are at one end of the fine scale; degrees."""
_LEAST_ODDS, _LARGEST_ERROR = 0.5, 0.3
_ASTRAY_LINES = 0.7
"""Where lines are farther from where they should be than so many least counts, they are none."""


@dataclass(frozen=True)
class Candidate:
    """A line that may be the one that meets, and how probable that is."""

    line: int
    probability: float


@dataclass(frozen=True)
class PhotoAnswer:
    """What a picture says.

    Attributes:
        why: what it rests on, or why nothing can be told and what to do about it.
        position: where the lines meet, in fine lines and parts of one; None where it cannot be
            told; known up to ``modulo`` lines.
        error: the standard error of that.
        candidates: the likely lines, the likeliest first.
        zero: where the fine zero lies in the picture; None where it was not found.
        aslant: whether the camera looked so aslant that a height of one scale over the other
            counts.
        laid: where the lines of both scales lie in the picture; None where it cannot be told.
    """

    why: Fact
    position: float | None = None
    error: float | None = None
    modulo: int = 0
    candidates: tuple[Candidate, ...] = ()
    zero: tuple[float, float] | None = None
    aslant: bool = False
    laid: Laid | None = None

    @property
    def error_text(self) -> str:
        """The standard error with two decimals, never less than it is."""
        return f"{ceil(100 * (self.error or 0.0)) / 100:.2f}"

    @property
    def line(self) -> int | None:
        """The nearest line."""
        return self.candidates[0].line if self.candidates else None


def read_photo(
    picture: Brightness, tool: Instrument, edge: Array, *, upward: bool = True
) -> PhotoAnswer:
    """What meets in a picture, whatever somebody read there.

    Args:
        picture: brightness from 0 to 1, row by row.
        edge: two points on the edge where both scales meet, over the fine scale, in pixels; on a
            screw along the edge of the thimble.
        upward: whether a thimble counts upward in the picture.
    """
    if is_over(tool):
        height = len(picture)
        found = _read(picture[::-1], tool, turned_over(edge, height), upward=upward)
        return _turned_back(found, height)
    return _read(picture, tool, edge, upward=upward)


def _read(picture: Brightness, tool: Instrument, edge: Array, *, upward: bool) -> PhotoAnswer:
    """See `read_photo`; the main scale lies above the fine one."""
    scale = tool.scale
    height, width = picture.shape
    within = (edge > -0.02 * width) & (edge < 1.02 * np.array([width, height]))
    if np.linalg.norm(edge[1] - edge[0]) < _SHORTEST_EDGE or not within.all():
        return PhotoAnswer(fact("photo-edge"))
    with warnings.catch_warnings():
        # What is not seen has no mean: the answer says so.
        warnings.simplefilter("ignore", RuntimeWarning)
        try:
            match scale:
                case ScrewScale():
                    return _of_screw(picture, scale, edge, upward=upward)
                case VernierScale():
                    arc = radians(float(scale.main_division) / 60) if tool.traits.circular else 0.0
                    return _of_vernier(picture, scale, edge, arc)
                case PlainScale():
                    return PhotoAnswer(fact("photo-no-fine-scale"))
                case _:
                    assert_never(scale)
        except (np.linalg.LinAlgError, ValueError, IndexError):
            # Of nothing there is no largest, and no range: nothing was made out.
            return PhotoAnswer(fact("photo-no-lines"))


def _turned_back(answer: PhotoAnswer, height: int) -> PhotoAnswer:
    """What was found in a picture of this height that had been turned over."""
    zero = answer.zero and (answer.zero[0], height - 1 - answer.zero[1])
    return replace(answer, zero=zero, laid=answer.laid and answer.laid.turned_over(height))


def _of_vernier(picture: Brightness, scale: VernierScale, edge: Array, arc: float) -> PhotoAnswer:
    lines = scale.fine_divisions
    step = scale.span / lines * (-1 if scale.numbering is Numbering.AGAINST else 1)
    ends = np.array(sorted(edge, key=lambda end: float(end[0])))
    place = place_of(picture, ends, lines, step, arc)
    if place is None or min(place.clear) < _FAINT:
        return PhotoAnswer(fact("photo-no-lines"))
    together = gcd(lines, scale.span)
    modulo, best = lines // together, place.zeros[0]
    pixels = _at_best(float(np.linalg.norm(ends[1] - ends[0])) / (lines * abs(step)))
    # Where neighbouring lines do not meet one after the other there is nothing between them.
    in_order = abs(abs(step - round(step)) - together / lines) < 1e-9
    chances = np.zeros(lines)
    for zero in place.zeros:
        chances += zero.odds * (_by_place if in_order else _by_line)(zero, lines, modulo, pixels)
    found = _likely(enumerate(chances))
    met = best.meets(lines) if in_order else float(found[0].line if found else 0)
    worth = abs(best.step - round(best.step)) if in_order else together / lines
    error = float(np.hypot(best.error(met), pixels)) / worth
    if error > _LARGEST_ERROR or best.plane.spread > _ASTRAY_LINES * worth:
        return PhotoAnswer(fact("photo-too-coarse"))
    if best.odds < _LEAST_ODDS or not found:
        return PhotoAnswer(fact("photo-no-ends"))
    return PhotoAnswer(
        fact("photo-by-lines", count=lines), position=met % modulo,
        error=error, modulo=modulo, candidates=found,
        zero=(float(place.zero[0]), float(place.zero[1])), aslant=place.aslant > _ASLANT,
        laid=Laid(
            met, best.start, best.step, best.step - round(best.step), place.main, place.rail
        ),
    )  # fmt: skip


def _by_place(zero: ZeroLine, lines: int, modulo: int, least: float) -> Array:
    """The chance of each line to be the nearest to where lines meet.

    Args:
        least: what no picture tells more finely, in main divisions.
    """
    met, beat = zero.meets(lines), abs(zero.step - round(zero.step))
    off = (met - np.arange(lines) + modulo / 2) % modulo - modulo / 2
    return _within(off, 0.5, float(np.hypot(zero.error(met), least)) / beat)


def _by_line(zero: ZeroLine, lines: int, modulo: int, least: float) -> Array:
    """The chance of each line to meet, where they do not do so one after the other."""
    off = (zero.start + np.arange(lines) * zero.step + 0.5) % 1.0 - 0.5
    return _within(off, 0.5 / modulo, float(np.hypot(zero.error(lines / 2), least)))


def _at_best(pitch: float) -> float:
    """How finely lines so many pixels apart can be told at best, as a part of that."""
    return (_PIXELS + _CROWDED * (_ROOMY / pitch) ** 2) / pitch


def _of_screw(picture: Brightness, scale: ScrewScale, edge: Array, *, upward: bool) -> PhotoAnswer:
    met = met_at(picture, edge, scale.fine_divisions)
    if met is None or met.clear[0] < _FAINT or met.clear[1] < 1.0:
        return PhotoAnswer(fact("photo-no-lines"))
    error = float(np.hypot(met.error, _at_best(met.pitch)))
    if error > _LARGEST_ERROR:
        return PhotoAnswer(fact("photo-too-coarse"))
    if max(met.longs) < _LEAST_ODDS:
        return PhotoAnswer(fact("photo-no-long-lines"))
    sign = -1.0 if upward else 1.0
    chances = np.zeros(LONG)
    for long, odds in enumerate(met.longs):
        position = sign * (met.count - long) % LONG
        off = (position - np.arange(LONG) + LONG / 2) % LONG - LONG / 2
        chances += odds * _within(off, 0.5, error)
    best = int(np.argmax(met.longs))
    position = float(sign * (met.count - best) % LONG)
    return PhotoAnswer(
        fact("photo-by-lines", count=LONG), position=position,
        error=error, modulo=LONG, candidates=_likely(enumerate(chances)),
        aslant=met.aslant > _ROUND_THE_THIMBLE,
        laid=Laid(position, -sign * position, sign, sign, (met.datum,), met.rail),
    )  # fmt: skip


def _within(off: NDArray[np.floating], half: float, error: float) -> Array:
    """How probable it is that what was found so far off lies within half a line."""
    found = np.zeros(len(off))
    for part, spread in ((1 - _ASTRAY, error), (_ASTRAY, _FAR * error + half)):
        found += part * (ndtr((off + half) / spread) - ndtr((off - half) / spread))
    return found


def _likely(chances: Iterable[tuple[int, float]]) -> tuple[Candidate, ...]:
    ordered = sorted(chances, key=lambda one: -one[1])[:4]
    return tuple(Candidate(line, float(chance)) for line, chance in ordered if chance > 0.005)
