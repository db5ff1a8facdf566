"""Who changes a sheet waits for who changes the same one, and for nobody's working out."""

import threading
import time
from collections.abc import Callable
from pathlib import Path

import pytest
from flask import Flask

from metrion.notebook.notebook import CurrentSheet, Notebook
from metrion.notebook.settings import Settings
from metrion.store import Busy, Store
from metrion.store.commands import Change, CommandStep, write
from metrion.store.documents import kept_entries
from metrion.store.fair_lock import FairLock
from metrion.store.sheets import find_sheet

_Plan = Callable[[CurrentSheet], CommandStep]
FIRST, SECOND = ("bridle-line", "standoff"), ("old-standoffs", "standoff")


def reading(quantity: str, before: Callable[[], object] = lambda: None) -> _Plan:
    """A plan to add a reading to a quantity of the demo, and what happens while it is made."""

    def plan(found: CurrentSheet) -> CommandStep:
        before()
        [entry] = found.entries.new_observations([{"main": "5", "fine": 3}], quantity)
        return CommandStep("add", [Change("observations", None, entry)])

    return plan


def count(notebook: Notebook, sheet: str, quantity: str) -> int:
    return len(notebook.sheet(sheet).quantity(quantity).observations)


def apply(app: Flask, sheet: str, plan: _Plan) -> None:
    with app.test_request_context():
        app.extensions["notebook"].apply(sheet, plan)


def test_working_out_one_sheet_keeps_no_other_from_being_written(app: Flask) -> None:
    working, go_on = threading.Event(), threading.Event()

    def worked_out_slowly() -> None:
        working.set()
        assert go_on.wait(30)

    slow = threading.Thread(
        target=apply, args=(app, FIRST[0], reading(FIRST[1], worked_out_slowly))
    )
    slow.start()
    assert working.wait(30)
    notebook = app.extensions["notebook"]
    before = count(notebook, *FIRST), count(notebook, *SECOND)
    apply(app, SECOND[0], reading(SECOND[1]))
    between = count(notebook, *FIRST), count(notebook, *SECOND)
    go_on.set()
    slow.join()
    assert between == (before[0], before[1] + 1)
    assert count(notebook, *FIRST) == before[0] + 1


def test_what_another_process_writes_meanwhile_is_not_lost(app: Flask, tmp_path: Path) -> None:
    notebook, other = app.extensions["notebook"], Store(tmp_path)
    overtaken = []

    def overtake() -> None:
        if not overtaken:
            overtaken.append(write_elsewhere(other))

    before = count(notebook, *FIRST)
    apply(app, FIRST[0], reading(FIRST[1], overtake))
    other.close()
    assert len(overtaken) == 1
    assert count(notebook, *FIRST) == before + 2


def write_elsewhere(store: Store) -> None:
    with store.writing() as session:
        sheet = find_sheet(session, FIRST[0])
        found = CurrentSheet(session, sheet, kept_entries(session, sheet), None, Settings({}))
        write(session, sheet, reading(FIRST[1])(found))


def test_who_is_always_overtaken_is_told_to_come_again(app: Flask, tmp_path: Path) -> None:
    notebook, other = app.extensions["notebook"], Store(tmp_path)
    before, overtaken = count(notebook, *FIRST), []
    with pytest.raises(Busy):
        apply(app, FIRST[0], reading(FIRST[1], lambda: overtaken.append(write_elsewhere(other))))
    other.close()
    assert count(notebook, *FIRST) == before + len(overtaken)


def test_who_comes_first_is_served_first() -> None:
    lock, served, waiting = FairLock(), [], []

    def wait(name: int) -> None:
        with lock.mine(30):
            served.append(name)

    with lock.mine(30):
        for name in range(8):
            thread = threading.Thread(target=wait, args=(name,))
            thread.start()
            waiting.append(thread)
            # The next one comes when this one stands in line.
            while len(lock._waiting) <= name:
                time.sleep(0.001)
    for thread in waiting:
        thread.join(30)
    assert served == list(range(8))


def test_who_is_not_served_in_time_leaves_the_line() -> None:
    lock = FairLock()
    with lock.mine(30):
        with pytest.raises(Busy), lock.mine(0.01):
            pass
        assert not lock._waiting
    with lock.mine(0.01):
        pass
