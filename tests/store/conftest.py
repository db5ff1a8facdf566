from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest

from metrion.store import Store
from metrion.store.sheets import take_in


@pytest.fixture
def store(tmp_path: Path) -> Iterator[Store]:
    opened = Store(tmp_path)
    yield opened
    opened.close()


DOCUMENT: dict[str, Any] = {
    "format": "metrion-logbook", "version": 1, "title": "Kites",
    "instruments": [
        {"id": "cal", "kind": "vernier", "unit": "mm", "main_division": "1",
         "fine_divisions": 20, "span": 39, "pitch": ["not", "a", "number"], "of_ours": None},
    ],
    "zero_checks": [{"id": "z", "instrument": "cal", "main": "-1", "fine": 17}],
    "conventions": [],
    "measurements": [
        {"id": "m", "instrument": "cal", "zero": ["z"], "convention": "half-division",
         "observations": [
             {"main": "6.0", "fine": 3, "excluded": None, "id": "theirs"},
             {"main": "6", "fine": 4, "excluded": "a burr", "history": [{"main": "7"}]}]},
    ],
    "derived": [],
    "written_by": {"name": "somebody else"},
}  # fmt: skip


@pytest.fixture
def sheet(store: Store) -> str:
    with store.writing() as session:
        return take_in(session, DOCUMENT).id
