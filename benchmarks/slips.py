"""How many slips the second looks find, and how often they disturb a clean series.

Simulates series of three, five and ten readings: true length and scatter at random, each read off
to the nearest step. In half of them one reading is taken one mark (or one turn) too high or too
low. Prints, for each length, instrument and scatter (standard deviation in least counts), the share
of slips found and the share of clean series with a slip, unit or outlier flag.

Run ``.venv/bin/python benchmarks/slips.py [SERIES]``; 10,000 series of each sort by default.
"""

from __future__ import annotations

import random
import sys
from fractions import Fraction

from metrion.core.conventions.convention import BUILT_IN
from metrion.core.instruments.instrument import Instrument
from metrion.core.quantity.measurements import Measurement
from metrion.core.quantity.observations import Observation
from metrion.core.review import review
from metrion.core.scales import Indication, Scale, ScrewScale, VernierScale
from metrion.core.traits import Kind

DISTURBING = {"main-mark-slip", "unit-slip", "outlier"}
LENGTHS = (5, 3, 10)
SCATTERS = (0.0, 0.5, 1.0, 1.5, 2.0)
INSTRUMENTS: dict[str, Scale] = {
    "caliper 0.1 mm": VernierScale(Fraction(1), 10, 9),
    "caliper 0.05 mm": VernierScale(Fraction(1), 20, 39),
    "caliper 0.02 mm": VernierScale(Fraction(1), 50, 49),
    "caliper 0.001 in": VernierScale(Fraction(1, 40), 25, 24),
    "screw 0.5/50": ScrewScale(Fraction(1, 2), 50, Fraction(1, 2)),
    "screw 1/100": ScrewScale(Fraction(1), 100, Fraction(1)),
}


def indications(draw: random.Random, scale: Scale, length: int, scatter: float) -> list[Indication]:
    """A clean series: one size read several times, with a scatter in least counts."""
    true = draw.uniform(5, 60) * float(scale.mark)
    step = float(scale.least_count)
    return [
        scale.nearest(Fraction(draw.gauss(true, scatter * step)).limit_denominator(10**6))
        for _ in range(length)
    ]


def codes(scale: Scale, series: list[Indication]) -> list[tuple[str, int | None]]:
    """The flags of a series."""
    kind = Kind.SCREW if isinstance(scale, ScrewScale) else Kind.VERNIER
    instrument = Instrument("i", "I", kind, "mm", scale)
    observations = tuple(Observation((indication,)) for indication in series)
    measured = Measurement("m", "m", instrument, BUILT_IN["half-division"], observations)
    return [(flag.code, flag.observation) for flag in review(measured)]


def shares(scale: Scale, length: int, scatter: float, count: int) -> tuple[float, float]:
    """Share of slips found, share of clean series disturbed."""
    draw = random.Random(f"{scale} {scatter}")
    found = disturbed = 0
    for _ in range(count):
        clean = indications(draw, scale, length, scatter)
        disturbed += any(code in DISTURBING for code, _ in codes(scale, clean))
        slipped = indications(draw, scale, length, scatter)
        at = draw.randrange(length)
        indication = slipped[at]
        slipped[at] = Indication(
            indication.main + draw.choice([-1, 1]) * scale.mark, indication.line
        )
        found += ("main-mark-slip", at) in codes(scale, slipped)
    return found / count, disturbed / count


def main(count: int) -> None:
    """Print a table for each length of the series."""
    for length in LENGTHS:
        print(f"series of {length}, {count} of each sort; slips found / clean disturbed, in %")
        print(f"{'instrument':18}" + "".join(f"{f'sd {s} LC':>16}" for s in SCATTERS))
        for name, scale in INSTRUMENTS.items():
            cells = [shares(scale, length, scatter, count) for scatter in SCATTERS]
            row = "".join(f"{100 * found:9.2f} /{100 * clean:5.2f}" for found, clean in cells)
            print(f"{name:18}{row}", flush=True)


if __name__ == "__main__":
    main(int(sys.argv[1]) if len(sys.argv) > 1 else 10_000)
