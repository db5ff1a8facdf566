"""Ids of before there were bounds, which no address can hold, get others: with all that refers."""

import json
import sqlite3
from contextlib import closing
from pathlib import Path
from typing import Any

import metrion
from metrion.formats.logbook import parse_logbook
from metrion.store import Store
from metrion.store.backups import backups, is_whole
from metrion.store.commands import redoing, undoing, write
from metrion.store.database import _engine, migrate
from metrion.store.documents import sheet_document
from metrion.store.sheets import all_sheets, find_sheet
from tests.formats.test_faults import GOOD, changed

ODD = {"cal": "a/b", "z1": "..", "ours": "our course", "m1": "m?1", "wall": "", "m2": "m%2"}
FIT = {"a/b": "a-b", "..": "-", "our course": "our-course", "m?1": "m-1", "": "-", "m%2": "m-2-2"}


def odd() -> dict[str, Any]:
    """A logbook with ids that do not fit, and one that the new name of another would be."""
    document = changed(("/measurements/2/id", "m-2"), ("/instruments/1/of_ours", ["a/b"]))
    text = json.dumps(document)
    for fit, key in ODD.items():
        text = text.replace(f'"{fit}"', json.dumps(key))
    document = json.loads(text)
    document["measurements"][0]["observations"][0]["x"] = float("inf")
    return dict(document)


def at_0003(folder: Path) -> None:
    """A database as it was before, with a sheet of that logbook, a change and its undo."""
    path = folder / "metrion.sqlite"
    engine = _engine(path)
    migrate(engine.execution_options(immediate=True), "0003")
    engine.dispose()
    document = odd()
    now = "2026-11-01T10:00:00+00:00"
    with closing(sqlite3.connect(path)) as connection:
        put = connection.execute
        put("INSERT INTO sheets VALUES ('s/1', 'Kite', 1, ?, ?, NULL, '{}')", (now, now))
        for section in ("instruments", "zero_checks", "conventions", "measurements", "derived"):
            for place, entry in enumerate(document[section]):
                of = entry.pop("observations", [])
                put("INSERT INTO entries VALUES ('s/1', ?, ?, ?, 1, NULL, ?)",
                    (section, entry["id"], place, json.dumps(entry)))  # fmt: skip
                for at, one in enumerate(of):
                    put("INSERT INTO entries VALUES ('s/1', 'observations', ?, ?, 1, ?, ?)",
                        (f"o{place}{at}", at, entry["id"], json.dumps(one)))  # fmt: skip
        put("INSERT INTO commands VALUES (1, 's/1', 'k', 'change', ?, 'undone')", (now,))
        before = {"id": "m?1", "record": document["measurements"][0], "position": 0, "version": 1,
                  "measurement": None}  # fmt: skip
        after = {**before, "record": {**before["record"], "name": "Changed"}}
        put("INSERT INTO changes VALUES (1, 1, 'measurements', 'm?1', ?, ?)",
            (json.dumps(before), json.dumps(after)))  # fmt: skip
        connection.commit()


def test_ids_that_do_not_fit_are_renamed_with_all_that_refers_to_them(tmp_path: Path) -> None:
    at_0003(tmp_path)
    store = Store(tmp_path)
    assert dict(store.renamed) == {**FIT, "s/1": "s-1"}
    (copy,) = backups(tmp_path)
    assert is_whole(copy)
    with store.reading() as session:
        (sheet,) = all_sheets(session)
        document = sheet_document(session, sheet)
    logbook = parse_logbook(document, kept=True)
    assert [one.id for one in logbook.measurements] == ["m-1", "m-2-2", "m-2"]
    assert [one.instrument.id for one in logbook.measurements] == ["a-b", "circle", "screw"]
    assert [check.id for check in logbook.measurements[0].checks] == ["-"]
    assert logbook.measurements[2].convention.id == "our-course"
    assert [len(one.observations) for one in logbook.measurements] == [
        len(one["observations"]) for one in GOOD["measurements"]
    ]
    # What is not ours to read is left as it is; a number that is none becomes a word.
    assert document["instruments"][1]["of_ours"] == ["a/b"]
    assert document["measurements"][0]["observations"][0]["x"] == "Infinity"
    with store.writing() as session:
        sheet = find_sheet(session, "s-1")
        for plan in (redoing, undoing):
            write(session, sheet, plan(session, sheet))
    store.close()
    again = Store(tmp_path)
    assert again.renamed == []
    again.close()


def test_a_migration_hangs_on_nothing_that_may_change() -> None:
    versions = Path(metrion.__file__).parent / "store" / "migrations" / "versions"
    scripts = [*versions.glob("[0-9]*.py")]
    assert len(scripts) >= 6
    for script in scripts:
        assert "metrion" not in script.read_text(encoding="utf-8"), script.name
