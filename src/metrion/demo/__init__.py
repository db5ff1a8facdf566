"""The demo: a club that builds two-line kites measures its spare parts."""

from __future__ import annotations

from importlib.resources import files
from pathlib import Path

from metrion.core.json import records_in, text_in
from metrion.formats.strict_json import read_json
from metrion.store import Store
from metrion.store.database import FILE_NAME
from metrion.store.sheets import take_in
from metrion.store.tools import add_tool

_SHEETS = (
    "foil-colours", "old-standoffs", "sail-film", "wing-tip-nocks", "bridle-line", "spare-parts",
)  # fmt: skip
"""Files of the demo, the one to be found on top last; their names are the ids of the sheets."""


EXAMPLE = "wing-tip-nocks"
"""Of these the one that is finished: readings, one set aside with its reason, and a result."""


def demo_file(name: str) -> bytes:
    """A file of the demo: a sheet as a logbook, or the tools of the club."""
    return (files("metrion.demo") / f"{name}.json").read_bytes()


def prepare(folder: Path, *, fresh: bool = False) -> None:
    """See that a folder holds the demo.

    Args:
        folder: the folder of the demo, of its own.
        fresh: put everything back as it was at first.
    """
    database = folder / FILE_NAME
    if fresh:
        for leftover in folder.glob(f"{FILE_NAME}*"):
            leftover.unlink()
    if database.exists():
        return
    store = Store(folder)
    with store.writing() as session:
        for name in _SHEETS:
            take_in(session, read_json(demo_file(name)), key=name)
        for tool in records_in({"tools": read_json(demo_file("tools"))}, "tools"):
            add_tool(session, {k: v for k, v in tool.items() if k != "id"}, text_in(tool, "id"))
    store.close()
