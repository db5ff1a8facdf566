"""What is done away with every day, and what never is."""

import sqlite3
import time
from datetime import UTC, datetime, timedelta
from pathlib import Path

from sqlalchemy import select

from metrion.store import Store
from metrion.store.commands import State, redoing, undoable, undoing, write
from metrion.store.database import FILE_NAME
from metrion.store.idempotency import OnceRequest, keep
from metrion.store.models import CommandRow, RequestRow
from metrion.store.pruning import REQUESTS_KEPT, prune
from metrion.store.sheets import find_sheet
from tests.server import asked, running
from tests.store.test_store import added, change


def known(store: Store) -> set[str]:
    with store.reading() as session:
        return {*session.scalars(select(RequestRow.key))}


def test_requests_are_known_for_thirty_days(store: Store) -> None:
    with store.writing() as session:
        keep(session, OnceRequest("one", "it"))
    now = datetime.now(UTC)
    prune(store, now + REQUESTS_KEPT - timedelta(minutes=1))
    assert known(store) == {"one"}
    prune(store, now + REQUESTS_KEPT + timedelta(minutes=1))
    assert known(store) == set()


def test_what_was_undone_can_still_be_done_again(store: Store, sheet: str) -> None:
    change(store, sheet, added(store, sheet, main="7", fine=1))
    change(store, sheet, added(store, sheet, main="8", fine=1))
    with store.writing() as session:
        found = find_sheet(session, sheet)
        write(session, found, undoing(session, found))
        dropped = CommandRow(
            sheet_id=sheet, key="k", title="t", at=datetime.now(UTC), state=State.DROPPED
        )
        session.add(dropped)
    prune(store)
    with store.writing() as session:
        found = find_sheet(session, sheet)
        assert {*session.scalars(select(CommandRow.state))} == {State.DONE, State.UNDONE}
        write(session, found, redoing(session, found))
        assert undoable(session, found) == ("a change", None)


def test_the_server_prunes_when_it_starts(tmp_path: Path) -> None:
    with running(tmp_path, "serve") as server:
        body = {"title": "Old", "id": "old"}
        assert asked(server, "/sheets", body, Idempotency_Key="long-ago")[0] == 201
    with sqlite3.connect(tmp_path / FILE_NAME) as database:
        database.execute("UPDATE requests SET at = '2020-01-01 00:00:00'")
    database.close()
    with running(tmp_path, "serve"):
        for _ in range(100):
            with sqlite3.connect(tmp_path / FILE_NAME) as database:
                found = database.execute("SELECT count(*) FROM requests").fetchone()
            database.close()
            if found == (0,):
                break
            time.sleep(0.1)
        assert found == (0,)
