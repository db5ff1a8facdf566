"""Sheets in the database: taken in and given back whole, changed, undone and brought up to date."""

import json
import shutil
import sqlite3
import threading
from collections.abc import Callable, Sequence
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Any

import pytest
from hypothesis import HealthCheck, given, settings
from sqlalchemy import text
from sqlalchemy.orm import Session

from metrion.formats.faults import Refused
from metrion.store import KeyReused, NotHere, NothingToRedo, NothingToUndo, Stale, Store, TakenId
from metrion.store.commands import Change, CommandStep, redoing, stepped, undoable, undoing, write
from metrion.store.database import FILE_NAME
from metrion.store.documents import kept_entries, sheet_document
from metrion.store.idempotency import OnceRequest, came_of, keep, was_done
from metrion.store.models import Sheet
from metrion.store.records import EntryVersion
from metrion.store.sheets import add_sheet, all_sheets, find_sheet, take_in
from tests.said import saying
from tests.store.conftest import DOCUMENT
from tests.strategies import logbooks

SAMPLES = sorted(Path(__file__).parent.glob("samples/*.sqlite"))


def document(store: Store, key: str) -> dict[str, Any]:
    """What a sheet holds; which it is, its document says besides."""
    with store.reading() as session:
        found = sheet_document(session, find_sheet(session, key))
    assert found.pop("id") == key
    return found


def step(session: Session, sheet: Sheet, plan: Callable[[Session, Sheet], CommandStep]) -> None:
    made = plan(session, sheet)
    stepped(kept_entries(session, sheet), made)
    write(session, sheet, made)


def command(session: Session, sheet: Sheet, changes: Sequence[Change]) -> None:
    step(session, sheet, lambda _session, _sheet: CommandStep("a change", changes))


def change(store: Store, key: str, *changes: Change) -> None:
    with store.writing() as session:
        command(session, find_sheet(session, key), changes)


def added(store: Store, key: str, **record: Any) -> Change:
    with store.reading() as session:
        entries = kept_entries(session, find_sheet(session, key))
        entry = entries.new("observations", record, measurement="m")
        return Change("observations", None, entry)


def test_a_logbook_comes_back_as_it_was_taken_in(store: Store, sheet: str) -> None:
    assert document(store, sheet) == DOCUMENT


@settings(suppress_health_check=[HealthCheck.too_slow], max_examples=40)
@given(logbooks())
def test_export_after_import_is_the_identity(given_document: dict[str, Any]) -> None:
    with TemporaryDirectory() as folder:
        opened = Store(Path(folder))
        with opened.writing() as session:
            key = take_in(session, given_document).id
        first = document(opened, key)
        with opened.writing() as session:
            again = take_in(session, {**first, "id": "another's"}).id
        second = document(opened, again)
        opened.close()
    assert json.dumps(first) == json.dumps(second)
    assert first == {"conventions": [], "derived": [], **given_document}


def test_a_broken_logbook_leaves_nothing_behind(store: Store) -> None:
    with pytest.raises(Refused), store.writing() as session:
        take_in(session, {**DOCUMENT, "version": 2})
    with store.reading() as session:
        assert all_sheets(session) == []


def test_the_same_file_can_be_taken_in_twice(store: Store, sheet: str) -> None:
    with store.writing() as session:
        other = take_in(session, DOCUMENT).id
    assert other != sheet
    assert document(store, other) == document(store, sheet)


def test_a_change_is_kept_undone_and_done_again(store: Store, sheet: str) -> None:
    change(store, sheet, added(store, sheet, main="7", fine=1))
    assert len(document(store, sheet)["measurements"][0]["observations"]) == 3
    with store.writing() as session:
        assert undoable(session, find_sheet(session, sheet)) == ("a change", None)
        step(session, find_sheet(session, sheet), undoing)
    assert document(store, sheet) == DOCUMENT
    with store.writing() as session:
        step(session, find_sheet(session, sheet), redoing)
    assert document(store, sheet)["measurements"][0]["observations"][2] == {"main": "7", "fine": 1}


def test_a_new_change_drops_what_was_undone(store: Store, sheet: str) -> None:
    change(store, sheet, added(store, sheet, main="7", fine=1))
    with store.writing() as session:
        step(session, find_sheet(session, sheet), undoing)
    change(store, sheet, added(store, sheet, main="8", fine=1))
    with store.reading() as session:
        assert undoable(session, find_sheet(session, sheet)) == ("a change", None)
    with pytest.raises(NothingToRedo), store.writing() as session:
        step(session, find_sheet(session, sheet), redoing)


def test_there_is_nothing_to_undo_on_a_fresh_sheet(store: Store, sheet: str) -> None:
    with pytest.raises(NothingToUndo), store.writing() as session:
        step(session, find_sheet(session, sheet), undoing)


def test_a_change_that_would_break_the_logbook_is_not_kept(store: Store, sheet: str) -> None:
    with pytest.raises(Refused) as refused:
        change(store, sheet, added(store, sheet, main="6.4", fine=1))
    assert refused.value.faults[0].pointer == "/measurements/0/observations/2/main"
    assert document(store, sheet) == DOCUMENT


def test_what_is_referred_to_cannot_be_taken_away(store: Store, sheet: str) -> None:
    with store.reading() as session:
        check = kept_entries(session, find_sheet(session, sheet)).find("zero_checks", "z")
    with pytest.raises(Refused, check=saying("no zero check")):
        change(store, sheet, Change("zero_checks", check, None))
    assert document(store, sheet) == DOCUMENT


def test_a_request_is_known_by_its_key_and_by_what_it_says(store: Store) -> None:
    asked = OnceRequest("k1", "one thing")
    with store.writing() as session:
        assert not was_done(session, asked)
        keep(session, asked, {"id": "s"})
    with store.reading() as session:
        assert was_done(session, asked)
        assert came_of(session, asked) == {"id": "s"}
        assert not was_done(session, OnceRequest("k2", "one thing"))
        with pytest.raises(KeyReused):
            was_done(session, OnceRequest("k1", "another thing"))


def test_every_step_is_a_new_version(store: Store, sheet: str) -> None:
    with store.reading() as session:
        before = kept_entries(session, find_sheet(session, sheet))["observations"][0]
    after = EntryVersion(before.id, {"main": "7", "fine": 3}, 0, 1, "m")
    change(store, sheet, Change("observations", before, after))
    with store.writing() as session:
        step(session, find_sheet(session, sheet), undoing)
    with store.reading() as session:
        found = find_sheet(session, sheet)
        entries = kept_entries(session, found)
        entry = entries.find("observations", before.id)
        assert (entry.version, entry.record) == (3, before.record)
        assert found.version == 3
        with pytest.raises(Stale):
            entries.find("observations", before.id, version=2)


def test_what_is_not_there(store: Store, sheet: str) -> None:
    with store.reading() as session:
        with pytest.raises(NotHere, check=saying("sheet")):
            find_sheet(session, "nothing")
        with pytest.raises(NotHere, check=saying("reading")):
            kept_entries(session, find_sheet(session, sheet)).find("observations", "nothing")


def test_an_id_is_given_once(store: Store, sheet: str) -> None:
    with pytest.raises(TakenId), store.writing() as session:
        add_sheet(session, "another", sheet)
    with store.reading() as session, pytest.raises(TakenId):
        kept_entries(session, find_sheet(session, sheet)).new("instruments", {}, key="cal")


def test_two_writers_wait_for_each_other(store: Store, sheet: str) -> None:
    other = Store(store.path.parent)
    first_is_in, order = threading.Event(), []
    late = added(other, sheet, main="8", fine=1)

    def second() -> None:
        first_is_in.wait()
        with other.writing() as session:
            found = find_sheet(session, sheet)
            order.append("second in")
            command(session, found, [late])

    waiting = threading.Thread(target=second)
    waiting.start()
    soon = added(store, sheet, main="7", fine=1)
    with store.writing() as session:
        found = find_sheet(session, sheet)
        first_is_in.set()
        waiting.join(timeout=0.5)
        command(session, found, [soon])
        order.append("first out")
    waiting.join()
    other.close()
    assert order == ["first out", "second in"]
    assert len(document(store, sheet)["measurements"][0]["observations"]) == 4


def test_a_database_is_made_from_nothing_and_opened_again(tmp_path: Path) -> None:
    Store(tmp_path / "new" / "folder").close()
    path = tmp_path / "new" / "folder" / FILE_NAME
    with sqlite3.connect(path) as connection:
        tables = {row[0] for row in connection.execute("SELECT name FROM sqlite_master")}
    connection.close()
    assert {"sheets", "entries", "commands", "changes", "settings", "tools"} <= tables
    Store(tmp_path / "new" / "folder").close()


def test_the_migrations_make_just_the_tables_of_the_models(store: Store) -> None:
    from alembic.autogenerate import compare_metadata
    from alembic.migration import MigrationContext

    from metrion.store.models import Base

    with store.engine.connect() as connection:
        context = MigrationContext.configure(connection, opts={"compare_type": False})
        assert compare_metadata(context, Base.metadata) == []


def test_there_is_a_sample_of_every_release() -> None:
    assert [path.stem for path in SAMPLES] == ["0.1.0", "0.2.0", "before-0.3.0"]


@pytest.mark.parametrize("sample", SAMPLES, ids=lambda path: path.stem)
def test_a_database_of_an_earlier_release_opens_with_all_its_sheets(
    sample: Path, tmp_path: Path
) -> None:
    shutil.copy(sample, tmp_path / FILE_NAME)
    opened = Store(tmp_path)
    with opened.writing() as session:
        titles = {sheet.title for sheet in all_sheets(session)}
        spare = find_sheet(session, "spare-parts")
        readings = sheet_document(session, spare)["measurements"][0]["observations"]
        step(session, spare, undoing)
    opened.close()
    assert {"Two-line kite, spare parts", "Sail film, folded in sixteen"} <= titles
    assert readings[-1]["excluded"] == "kept as a sample"


def test_what_was_done_to_the_sheets_of_an_earlier_database_is_all_there(tmp_path: Path) -> None:
    shutil.copy(SAMPLES[-1], tmp_path / FILE_NAME)
    opened = Store(tmp_path)
    with opened.writing() as session:
        thrown_away = {sheet.id for sheet in all_sheets(session, deleted=True)}
        film = sheet_document(session, find_sheet(session, "sail-film"))
        nocks = find_sheet(session, "wing-tip-nocks")
        before = len(sheet_document(session, nocks)["measurements"][0]["observations"])
        redone = undoable(session, nocks)[1]
        step(session, nocks, redoing)
        after = len(sheet_document(session, nocks)["measurements"][0]["observations"])
        (other,) = (one for one in all_sheets(session) if one.title == "By another program")
        kept = sheet_document(session, other)
    opened.close()
    assert thrown_away == {"bridle-line"}
    assert (film["aim"], film["authors"]) == ("See whether the film is even.", "Ada, Björn")
    assert (redone, after) == ("record the reading", before + 1)
    assert kept["written_by"] == {"name": "another"}
    assert kept["instruments"][0]["colour"] == "blue"
    assert kept["measurements"][0]["shelf"] == 4
    assert kept["measurements"][0]["observations"][0]["lamp"] == {"on": True}


def test_what_is_acknowledged_is_on_the_disk(store: Store) -> None:
    """SQLite waits for the disk at each commit: its number for FULL is 2."""
    with store.writing() as session:
        assert session.scalar(text("PRAGMA synchronous")) == 2
        assert session.scalar(text("PRAGMA foreign_keys")) == 1
