"""Copies of the database, as plain SQLite files beside it; a handful is kept."""

from __future__ import annotations

import filecmp
import sqlite3
from collections.abc import Callable
from contextlib import closing
from datetime import UTC, datetime
from itertools import groupby
from pathlib import Path
from threading import Event, Thread

FOLDER = "backups"
_NEWEST, _DAYS = 3, 7
_A_DAY = 24 * 60 * 60


def backups(folder: Path) -> list[Path]:
    """The backups of a data folder, the newest first."""
    return sorted((folder / FOLDER).glob("*.sqlite"), reverse=True)


def back_up(database: Path, to: Path | None = None) -> Path:
    """Copy a database, while others use it or not.

    Args:
        to: the file to write; else one among the backups, where older ones go in return.

    Returns:
        The copy; the backup before it if nothing has changed since.
    """
    target = to or _free(database.parent)
    target.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
    # Only a whole copy gets the name of one.
    part = target.with_name(f"{target.name}.part")
    part.unlink(missing_ok=True)
    part.touch(mode=0o600)
    with closing(connected(database)) as source, closing(sqlite3.connect(part)) as copy:
        source.backup(copy)
        # One file is all there is to a copy.
        copy.execute("PRAGMA journal_mode=DELETE")
    earlier = backups(database.parent)
    if to is None and earlier and filecmp.cmp(part, earlier[0], shallow=False):
        part.unlink()
        return earlier[0]
    part.replace(target)
    if to is None:
        _thin_out(backups(database.parent))
    return target


def _free(folder: Path) -> Path:
    now = datetime.now(UTC).strftime("%Y-%m-%dT%H%M%S.%fZ")
    return folder / FOLDER / f"{now}.sqlite"


def _thin_out(newest_first: list[Path]) -> None:
    """Keep the newest, and the last of each of some days."""
    days = groupby(newest_first, key=lambda path: path.name.partition("T")[0])
    kept = {*newest_first[:_NEWEST], *[next(of_day) for _, of_day in days][:_DAYS]}
    for path in newest_first:
        if path not in kept:
            path.unlink()


def connected(database: Path, *, any_thread: bool = False) -> sqlite3.Connection:
    """A connection to a database that is there; sqlite would make one that is not.

    Args:
        any_thread: whether threads share it, which then take care themselves.
    """
    address = f"{database.absolute().as_uri()}?mode=rw"
    return sqlite3.connect(address, uri=True, check_same_thread=not any_thread)


def is_whole(database: Path) -> bool:
    """Whether a file is a SQLite database without damage."""
    try:
        with closing(connected(database)) as connection:
            found: list[tuple[str]] = connection.execute("PRAGMA integrity_check(1)").fetchall()
    except sqlite3.DatabaseError:
        return False
    return found == [("ok",)]


def put_back(backup: Path, database: Path) -> Path | None:
    """Put a backup in the place of the database, which is kept among the backups.

    Nobody may be using the database.

    Returns:
        Where the database of before is kept; None if there was none.
    """
    kept = None
    if database.exists():
        kept = _free(database.parent)
        kept.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
        if is_whole(database):
            kept = back_up(database)
        else:
            database.replace(kept.with_suffix(".damaged"))
            kept = kept.with_suffix(".damaged")
    part = database.with_name(f"{database.name}.part")
    part.unlink(missing_ok=True)
    part.touch(mode=0o600)
    part.write_bytes(backup.read_bytes())
    for beside in ("-wal", "-shm"):
        database.with_name(f"{database.name}{beside}").unlink(missing_ok=True)
    part.replace(database)
    return kept


class DailyBackups:
    """Backs a database up at once and every day, in the background, until it is stopped.

    Args:
        take: makes the backup.
        failed: is told why one could not be made.
    """

    def __init__(self, take: Callable[[], object], failed: Callable[[Exception], object]) -> None:
        self._take, self._failed = take, failed
        self._stopped = Event()
        self._thread = Thread(target=self._run, name="backups", daemon=True)

    def start(self) -> None:
        """Begin, with a backup."""
        self._thread.start()

    def stop(self) -> None:
        """End, when the backup at work is made."""
        self._stopped.set()
        self._thread.join()

    def _run(self) -> None:
        while True:
            try:
                self._take()
            # Whatever keeps one backup from being made is told, and must not end those to come.
            except Exception as error:
                self._failed(error)
            if self._stopped.wait(_A_DAY):
                return
