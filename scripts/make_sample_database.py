"""Keep the database of this release as a sample that later releases must be able to open."""

from __future__ import annotations

import sqlite3
import tempfile
from dataclasses import replace
from pathlib import Path

from metrion import __version__
from metrion.demo import prepare
from metrion.store import Store
from metrion.store.commands import Change, carry_out
from metrion.store.database import FILE_NAME
from metrion.store.documents import entries
from metrion.store.sheets import find_sheet

SAMPLES = Path(__file__).parents[1] / "tests" / "store" / "samples"


def main() -> None:
    """Demo sheets, one reading of them set aside, in one file without a journal."""
    with tempfile.TemporaryDirectory() as folder:
        prepare(Path(folder))
        store = Store(Path(folder))
        with store.writing() as session:
            sheet = find_sheet(session, "spare-parts")
            readings = entries(session, sheet, "observations")
            last = [r for r in readings if r.measurement == "spreader"][-1]
            aside = replace(last, record={**last.record, "excluded": "kept as a sample"})
            change = Change("observations", last, aside)
            carry_out(session, sheet, "sample", "set the reading aside", [change])
        store.close()
        source = sqlite3.connect(Path(folder) / FILE_NAME)
        SAMPLES.mkdir(exist_ok=True)
        source.execute("VACUUM INTO ?", [str(SAMPLES / f"{__version__}.sqlite")])
        source.close()


if __name__ == "__main__":
    main()
