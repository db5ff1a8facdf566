"""Write a thousand random instruments and positions, with the line that the core says meets.

The front end's tests check that the line it draws nearest to a main mark is that line.
"""

from __future__ import annotations

import json
import random
import sys
from dataclasses import asdict
from fractions import Fraction
from pathlib import Path
from typing import Any

from metrion.core.scales import ScrewScale, VernierScale
from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_logbook
from metrion.store.records import EntryVersion
from metrion.views.present import instrument_view
from metrion.voice import plainly

COUNT = 1000


def _record(draw: random.Random) -> dict[str, Any]:
    kind = draw.choice(["vernier", "vernier", "angular", "screw"])
    if kind == "screw":
        pitch = draw.choice([Fraction(1), Fraction(1, 2), Fraction(1, 40)])
        return {
            "kind": kind, "unit": "mm", "pitch": str(pitch),
            "main_division": str(pitch * Fraction(draw.choice(["2", "1", "1/2", "1/5"]))),
            "fine_divisions": draw.choice([20, 25, 50, 100]),
            "thimble_numerals": draw.choice(["up", "down"]),
        }  # fmt: skip
    angular = kind == "angular"
    divisions = ["10", "20", "30"] if angular else ["1", "0.5", "1/16", "1/40"]
    return {
        "kind": kind, "unit": "arcmin" if angular else draw.choice(["mm", "cm", "in"]),
        "main_division": draw.choice(divisions),
        "fine_divisions": draw.randint(2, 60), "span": draw.randint(1, 119),
        "numbering": draw.choice(["with", "against"]),
    }  # fmt: skip


def _drawing(draw: random.Random) -> dict[str, Any] | None:
    record = {"id": "i", **_record(draw)}
    head: dict[str, Any] = {"format": "metrion-logbook", "version": 1}
    try:
        instrument = parse_logbook({**head, "instruments": [record]}).instruments[0]
    except Refused:
        return None
    scale = instrument.scale
    position = draw.randint(0, 4000) * scale.least_count
    indication = scale.nearest(position)
    lines = [int(indication.line)]
    if isinstance(scale, VernierScale):
        lines = scale.lines_that_meet(indication)
    assert isinstance(scale, VernierScale | ScrewScale)
    view = instrument_view(instrument, EntryVersion("i", record, 0, 0))
    return {"instrument": view, "position": float(position), "lines": lines}


def main(target: Path) -> None:
    """Write the drawings to ``target``, the usual words beside them; the same every time."""
    draw = random.Random(1862)
    drawings: list[dict[str, Any]] = []
    while len(drawings) < COUNT:
        if found := _drawing(draw):
            drawings.append(found)
    target.parent.mkdir(parents=True, exist_ok=True)
    target.write_text(json.dumps(drawings, default=asdict))
    target.with_name("words.json").write_text(json.dumps(plainly().words))


if __name__ == "__main__":
    main(Path(sys.argv[1]))
