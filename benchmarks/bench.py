"""Whether what is stated at the simulated bench holds the truth as often as it says.

    python benchmarks/bench.py [ROUNDS]

Rounds with good habits, six readings in three places, the zero looked at before and after, stated
with 95 %; beside each, the same model drawn directly, without acts, marks and logbooks.
"""

from __future__ import annotations

import sys
import time
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

import numpy as np
from scipy.special import stdtrit

sys.path.insert(0, str(Path(__file__).parents[1]))

from metrion.core.bench.catalogue import INSTRUMENTS, BenchPart, Tool
from tests.bench_rounds import gone_through, luck_of

ROUNDS = 1_000
DIRECT = 40_000
READINGS = 6


@dataclass(frozen=True)
class Case:
    """A tool and a part; ``scatter`` in least counts, None for whatever the drawer holds."""

    tool: Tool
    part: BenchPart
    scatter: float | None = None


SCREW_LEAST = 0.01
CASES = [
    *(Case(Tool.SCREW, BenchPart.STANDOFF, scatter) for scatter in (2.0, 2.5, 3.0, 3.5, 4.0)),
    Case(Tool.SCREW, BenchPart.SPREADER), Case(Tool.SCREW, BenchPart.FERRULE),
    Case(Tool.SCREW, BenchPart.NOCK),
    Case(Tool.SCREW, BenchPart.FILM), Case(Tool.CALIPER, BenchPart.FERRULE),
    Case(Tool.CALIPER, BenchPart.NOCK),
    Case(Tool.DISPLAY, BenchPart.SPREADER), Case(Tool.CIRCLE, BenchPart.FOIL),
]  # fmt: skip


def uneven(case: Case) -> float | None:
    """The luck that makes a part as uneven as is asked for."""
    if case.scatter is None:
        return None
    return (case.scatter * SCREW_LEAST - 0.005) / 0.035


def held(case: Case, rounds: int) -> float:
    """The share of rounds whose result holds the truth."""
    share = uneven(case)
    fixed = {} if share is None else {f"{case.part}_uneven": share}
    found = (gone_through(case.tool, case.part, luck_of(seed, **fixed)) for seed in range(rounds))
    return sum(abs(one.revealed.in_uncertainties) <= 1 for one in found) / rounds


def directly(case: Case, rounds: int = DIRECT) -> float:
    """The same share from the model itself, in floats."""
    draw = np.random.default_rng(1)
    least = float(INSTRUMENTS[case.tool].least_count)
    circle = case.tool is Tool.CIRCLE
    off = _off_circle(draw, least, rounds) if circle else _off(draw, case, least, rounds)
    return float(np.mean(off))


def _stated(values: np.ndarray, zeros: np.ndarray | None, least: float, looks: int) -> np.ndarray:
    """Half the width of the interval that is stated with 95 %."""
    n = values.shape[1]
    parts = [(values.std(axis=1, ddof=1) / np.sqrt(n), n - 1)]
    variance = looks * least**2 / 12
    if zeros is not None:
        parts.append((zeros.std(axis=1, ddof=1) / np.sqrt(2), 1))
        variance += least**2 / 12
    whole = np.sqrt(variance + sum(size**2 for size, _ in parts))
    weight = sum(size**4 / freedom for size, freedom in parts)
    with np.errstate(divide="ignore"):
        freedom = np.floor(whole**4 / weight * (1 + 1e-12))
    return stdtrit(np.minimum(freedom, 1e9), 0.975) * whole


def _rounded(values: np.ndarray, least: float) -> np.ndarray:
    return np.round(values / least) * least


def _off(draw: np.random.Generator, case: Case, least: float, rounds: int) -> np.ndarray:
    """Whether the truth is held, with a part between faces."""
    shape = (rounds, READINGS)
    scatter = (
        draw.uniform(0.005, 0.04, (rounds, 1))
        if case.scatter is None
        else np.full((rounds, 1), case.scatter * SCREW_LEAST)
    )
    oval = draw.uniform(0, 0.03, (rounds, 1))
    taper = draw.uniform(-0.02, 0.02, (rounds, 1))
    along = np.tile([-0.5, 0.0, 0.5], READINGS // 3) + draw.uniform(-0.1, 0.1, shape)
    zero = draw.uniform(2, 7, (rounds, 1)) * draw.choice([-1, 1], (rounds, 1)) * least
    drift = draw.uniform(-0.02, 0.02, (rounds, 1)) * least
    size = draw.uniform(2, 10, (rounds, 1))
    placed = oval / 2 * np.cos(2 * np.pi * draw.uniform(size=shape)) + taper * along
    stood = zero + drift * np.arange(2, READINGS + 2) + scatter * draw.standard_normal(shape)
    values = _rounded(size + placed + stood, least)
    closed = zero + drift * np.array([1, READINGS + 2])
    zeros = _rounded(closed + 0.25 * least * draw.standard_normal((rounds, 2)), least)
    mean = values.mean(axis=1) - zeros.mean(axis=1)
    return np.abs(mean - size[:, 0]) <= _shown(_stated(values, zeros, least, 1))


def _off_circle(draw: np.random.Generator, least: float, rounds: int) -> np.ndarray:
    """Whether the truth is held, between two lines that are aimed at."""
    shape = (rounds, READINGS, 2)
    scatter = draw.uniform(0.5, 3, (rounds, 1, 1))
    size = draw.uniform(36 * 60, 41 * 60, (rounds, 1))
    zero = draw.uniform(-7, 7, (rounds, 1, 1))
    lines = np.stack([-size / 2, size / 2], axis=2)
    looks = _rounded(lines + zero + scatter * draw.standard_normal(shape), least)
    values = looks[:, :, 1] - looks[:, :, 0]
    return np.abs(values.mean(axis=1) - size[:, 0]) <= _shown(_stated(values, None, least, 2))


def _shown(half: np.ndarray) -> np.ndarray:
    """Rounded to two figures, as it is written."""
    place = 10.0 ** (np.floor(np.log10(half)) - 1)
    return np.round(half / place) * place


def table(rounds: int) -> Iterator[str]:
    """A line for each case."""
    yield f"{rounds} rounds each; direct: {DIRECT}"
    for case in CASES:
        begun = time.perf_counter()
        found, direct = held(case, rounds), directly(case)
        scatter = "" if case.scatter is None else f"{case.scatter:.1f} least counts"
        each = (time.perf_counter() - begun) / rounds * 1e3
        yield (
            f"{case.tool:8} {case.part:9} {scatter:17} holds the truth {found:6.1%}"
            f"   direct {direct:6.1%}   {each:.0f} ms a round"
        )


if __name__ == "__main__":
    for line in table(int(sys.argv[1]) if len(sys.argv) > 1 else ROUNDS):
        print(line, flush=True)
