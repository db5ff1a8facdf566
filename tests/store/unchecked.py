"""Sheets as an older or another program may have left them in the database: nothing is checked."""

from pathlib import Path
from typing import Any

from metrion.store import Store
from metrion.store.records import add_rows
from metrion.store.sheets import add_sheet, entries_of


def keep_unchecked(folder: Path, key: str, document: dict[str, Any]) -> None:
    """Put a logbook into the database of a folder as it is."""
    store = Store(folder)
    with store.writing() as session:
        sheet = add_sheet(session, document["title"], key)
        add_rows(session, sheet.id, entries_of(document))
    store.close()
