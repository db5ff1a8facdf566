"""How well photographs of scales are read: by pattern, by the edge that is proposed, by flaw.

python benchmarks/photo.py 20 prints what docs/measured.md has: so many pictures a row, a
third of them by the edge that is proposed.
"""

from __future__ import annotations

import sys
import time
from collections.abc import Callable
from dataclasses import dataclass, replace
from math import radians

import numpy as np

from metrion.core.camera import Flaws, Shot, photograph_circle, photograph_screw, photograph_vernier
from metrion.core.exact.numbers import parse_exact
from metrion.core.instruments.instrument import Instrument
from metrion.core.photo.answer import PhotoAnswer, read_photo
from metrion.core.photo.edge import proposed_edge
from metrion.core.scales import ScrewScale, VernierScale
from metrion.core.traits import Kind

Maker = Callable[[Flaws, np.random.Generator], tuple[Shot, Instrument, int]]


def vernier(lines: int, span: int, pixels: float) -> Maker:
    """Straight scales, so many pixels to a main division."""
    scale = VernierScale(parse_exact("1"), lines, span)
    tool = Instrument("v", "V", Kind.VERNIER, "mm", scale)

    def make(flaws: Flaws, random: np.random.Generator) -> tuple[Shot, Instrument, int]:
        at = random.uniform(0, lines)
        return photograph_vernier(lines, span / lines, at, pixels, flaws, random), tool, lines

    return make


def circle(lines: int, span: int, minutes: int, pixels: float, height: float = 0.0) -> Maker:
    """Divided circles, one so far below the other in main divisions."""
    scale = VernierScale(parse_exact(str(minutes)), lines, span)
    tool = Instrument("c", "C", Kind.ANGULAR, "arcmin", scale)
    arc = radians(minutes / 60)

    def make(flaws: Flaws, random: np.random.Generator) -> tuple[Shot, Instrument, int]:
        at, flaws = random.uniform(0, lines), replace(flaws, height=height)
        shot = photograph_circle(lines, span / lines, at, pixels, arc, flaws, random)
        return shot, tool, lines

    return make


def screw(lines: int, pixels: float) -> Maker:
    """Thimbles, so many pixels to a line."""
    half = parse_exact("0.5")
    tool = Instrument("s", "S", Kind.SCREW, "mm", ScrewScale(half, lines, half))

    def make(flaws: Flaws, random: np.random.Generator) -> tuple[Shot, Instrument, int]:
        at, up = random.uniform(0, lines), bool(random.integers(0, 2))
        return photograph_screw(lines, at, pixels, flaws, random, upward=up), tool, 5

    return make


PATTERNS: dict[str, Maker] = {
    "10 on 9, 1 px a least count": vernier(10, 9, 10),
    "10 on 9, 4 px": vernier(10, 9, 40),
    "20 on 19, 1 px": vernier(20, 19, 20),
    "20 on 39, 1 px": vernier(20, 39, 20),
    "50 on 49, half a px": vernier(50, 49, 25),
    "25 on 24, 1 px": vernier(25, 24, 25),
    "circle, 30 on 29, 1 px": circle(30, 29, 30, 30),
    "circle, 40 on 39, 1 px": circle(40, 39, 20, 36),
    "circle, 30 on 29, 0.3 divisions lower": circle(30, 29, 30, 30, 0.3),
    "screw of 25, 40 px a line": screw(25, 40),
    "screw of 50, 30 px a line": screw(50, 30),
    "screw of 100, 15 px a line": screw(100, 15),
}


def usual(random: np.random.Generator) -> Flaws:
    """A picture as somebody takes it who takes some care."""
    return Flaws(
        turned=random.uniform(-12, 12),
        tilted=(random.uniform(-20, 20), random.uniform(-20, 20)),
        blur=random.uniform(0.6, 1.6), noise=random.uniform(0.005, 0.03),
        glare=int(random.integers(0, 3)), shadow=random.uniform(0, 0.5),
        dirt=int(random.integers(0, 10)), thumb=3.0,
    )  # fmt: skip


FLAWS: dict[str, Callable[[Flaws], Flaws]] = {
    "as usual": lambda usual: usual,
    "glare over the coincidence": lambda usual: replace(usual, glare=3, over_coincidence=True),
    "one scale 0.3 divisions lower": lambda usual: replace(usual, height=0.3),
    "deep shadow": lambda usual: replace(usual, shadow=0.7),
    "forty scratches": lambda usual: replace(usual, dirt=40),
    "twice the blur": lambda usual: replace(usual, blur=3.0),
    "three times the noise": lambda usual: replace(usual, noise=0.09),
    "a thumb 8 px off": lambda usual: replace(usual, thumb=8.0),
    "no careful person would: blur of 18 px": lambda usual: replace(usual, blur=18.0),
    "no careful person would: glare all over": lambda usual: replace(usual, glare=40),
}


@dataclass
class Row:
    """What came of some pictures."""

    answers: list[tuple[PhotoAnswer, float, int, float]]

    def __str__(self) -> str:
        told = [one for one in self.answers if one[0].position is not None]
        if not told:
            return "| | 100% | | | |"
        off = np.array([_off(answer, truth, modulo) for answer, truth, modulo, _ in told])
        error = np.array([answer.error for answer, *_ in told])
        sure = np.array([answer.candidates[0].probability for answer, *_ in told])
        wrong = np.abs(off) > 0.5
        cells = (
            f"{1 - np.mean(wrong):.0%}", f"{np.mean(np.abs(off) < 1.5):.0%}",
            f"{1 - len(told) / len(self.answers):.0%}",
            f"{np.mean(wrong & (sure > 0.9)):.0%}",
            f"{1.4826 * np.median(np.abs(off) / error):.1f}", f"{np.median(error):.3f}",
            f"{max(seconds for *_, seconds in self.answers):.1f}",
        )  # fmt: skip
        return " | ".join(cells)


def _off(answer: PhotoAnswer, truth: float, modulo: int) -> float:
    assert answer.position is not None
    return (answer.position - truth + modulo / 2) % modulo - modulo / 2


def row(make: Maker, flaw: Callable[[Flaws], Flaws], count: int, *, proposed: bool = False) -> Row:
    """So many pictures, read by the edge that a thumb set, or by the one that is proposed."""
    answers = []
    for seed in range(count):
        random = np.random.default_rng(seed)
        shot, tool, modulo = make(flaw(usual(random)), random)
        begun = time.perf_counter()
        edge = proposed_edge(shot.picture, tool) if proposed else shot.edge
        answer = read_photo(shot.picture, tool, edge, upward=shot.upward)
        answers.append((answer, shot.position, modulo, time.perf_counter() - begun))
    return Row(answers)


def main() -> None:
    """All tables."""
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 20
    head = "right line | within one | cannot tell | sure and wrong | spread | error, lines | s"
    print(f"| pattern | {head} |\n|---{'|---' * 7}|")
    for name, make in PATTERNS.items():
        print(f"| {name} | {row(make, FLAWS['as usual'], count)} |", flush=True)
    print(f"\n| pattern, edge as proposed | {head} |\n|---{'|---' * 7}|")
    for name, make in PATTERNS.items():
        print(
            f"| {name} | {row(make, FLAWS['as usual'], max(count // 3, 1), proposed=True)} |",
            flush=True,
        )
    print(f"\n| flaw (20 on 19, 2 px) | {head} |\n|---{'|---' * 7}|")
    for name, flaw in FLAWS.items():
        print(f"| {name} | {row(vernier(20, 19, 40), flaw, count)} |", flush=True)


if __name__ == "__main__":
    main()
