"""The database file: opened, brought up to date, and read or written in transactions."""

from __future__ import annotations

import fcntl
import os
import sqlite3
import time
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from importlib.resources import as_file, files
from pathlib import Path
from secrets import token_hex
from threading import Lock
from typing import IO

from alembic import command
from alembic.config import Config
from alembic.script import ScriptDirectory
from sqlalchemy import Connection, Engine, create_engine, event
from sqlalchemy.exc import DBAPIError
from sqlalchemy.orm import Session

from metrion.core.facts import Name
from metrion.store.atomic_files import remove_unfinished, synced, unfinished
from metrion.store.backups import (
    FOLDER,
    back_up,
    back_up_before_migration,
    connected,
    copied_aside,
    is_whole,
    put_back,
    write_copy,
)
from metrion.store.database_errors import told
from metrion.store.errors import Busy, StorageTrouble
from metrion.store.fair_lock import PATIENCE_SECONDS, FairLock
from metrion.store.models import Base, Sheet

FILE_NAME = "metrion.sqlite"
_LOCK = "in-use"
_BUSY_MILLISECONDS, _GLANCE_MILLISECONDS = 5000, 20
"""How long another program that writes is waited for; and soon after it was in vain."""
_SOON_SECONDS = 2.0


class Store:
    """A data folder, used by this process.

    Args:
        folder: where the database lies; made if it is not there.

    Raises:
        StorageTrouble: if it cannot be used, with what can be done about it.

    Attributes:
        renamed: ids that did not fit, before and after, if opening it has renamed some.
    """

    def __init__(self, folder: Path) -> None:
        self.path = folder / FILE_NAME
        self.renamed: list[tuple[str, str]] = []
        self._turns = FairLock()
        with told(self.path):
            folder.mkdir(mode=0o700, parents=True, exist_ok=True)
            self._lock = in_use(folder)
            for one in (folder, folder / FOLDER):
                remove_unfinished(one)
            _make(self.path)
            revision = _revision(self.path)
            self.path.chmod(0o600)
            self.engine = _engine(self.path)
            self._writing = self.engine.execution_options(immediate=_BUSY_MILLISECONDS)
            self._hasty = self.engine.execution_options(immediate=_GLANCE_MILLISECONDS)
            self._locked_at = float("-inf")
            # What others change is only told to a connection that changes nothing itself.
            self._watch = connected(self.path, any_thread=True)
            self._bring_up_to_date(revision)
        self._watch_id, self._watching = token_hex(4), Lock()

    def _bring_up_to_date(self, revision: str | None) -> None:
        """Bring the tables to the newest revision; of what is there, a copy is taken before."""
        with _scripts() as config:
            scripts = ScriptDirectory.from_config(config)
            if revision not in {one.revision for one in scripts.walk_revisions()}:
                raise StorageTrouble("storage-newer", self.path, revision=Name(str(revision)))
            if revision != scripts.get_current_head():
                back_up_before_migration(self.path)
                self.renamed = migrate(self._writing)
            if not set(Base.metadata.tables) <= _tables(self._watch):
                raise StorageTrouble("storage-other", self.path)

    @contextmanager
    def reading(self) -> Iterator[Session]:
        """A session that only reads. Raises `StorageTrouble`."""
        with told(self.path), Session(self.engine) as session:
            yield session

    @contextmanager
    def writing(self) -> Iterator[Session]:
        """A session in one write transaction: all of it is kept, or none.

        Raises:
            Busy: if others write for too long.
            StorageTrouble: if it cannot be kept.
        """
        with (
            self._turns.mine(PATIENCE_SECONDS),
            self._noticing_others(),
            told(self.path),
            Session(self._patient()) as session,
            session.begin(),
        ):
            yield session

    def _patient(self) -> Engine:
        """What writes, waiting for another program; who comes next does not wait all over again."""
        soon = time.monotonic() - self._locked_at < _SOON_SECONDS
        return self._hasty if soon else self._writing

    @contextmanager
    def _noticing_others(self) -> Iterator[None]:
        """Note when another program keeps the database to itself."""
        try:
            yield
        except Busy:
            self._locked_at = time.monotonic()
            raise

    def state(self) -> str:
        """In which state the database is; another one after each change, whoever makes it."""
        with self._watching, told(self.path):
            row = self._watch.execute("PRAGMA data_version").fetchone()
        return f"{self._watch_id}-{row[0]}"

    def back_up(self, to: Path | None = None) -> Path:
        """Copy the database among its backups, or to a file. Raises `StorageTrouble`."""
        with told(to or self.path):
            return write_copy(self.path, to) if to else back_up(self.path)

    def close(self) -> None:
        """Let go of the file, with all that was written in it."""
        self._watch.close()
        self.engine.dispose()
        # What cannot be folded in now will be, when the file is opened again.
        with suppress(sqlite3.Error), closing(connected(self.path)) as connection:
            connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        self._lock.close()


@contextmanager
def to_be_read(folder: Path) -> Iterator[Store]:
    """The store of a data folder to be read only, also of one that cannot be written.

    Raises:
        StorageTrouble: if it cannot be used.
    """
    database = folder / FILE_NAME
    if not database.is_file() or all(os.access(one, os.W_OK) for one in (folder, database)):
        with closing(Store(folder)) as store:
            yield store
        return
    with told(database), copied_aside(database) as aside:
        try:
            store = Store(aside)
        except StorageTrouble as trouble:
            raise trouble.about_file(database) from None
        with closing(store):
            yield store


def restored(folder: Path, backup: Path) -> Path | None:
    """Put a backup in the place of the database of a data folder.

    Returns:
        Where the database of before is kept; None if there was none.

    Raises:
        StorageTrouble: if somebody is using it, or the backup is no whole database of ours, of a
            revision that is known.
    """
    with told(folder / FILE_NAME):
        if not backup.is_file() or backup.stat().st_size == 0:
            raise StorageTrouble("storage-no-backup", backup)
        with in_use(folder, alone=True):
            return put_back(backup, folder / FILE_NAME, lambda copy: _check(copy, backup))


def _check(copy: Path, backup: Path) -> None:
    """Open a copy of a backup as a notebook is opened. Raises `StorageTrouble` about the backup."""
    try:
        Store(copy.parent).close()
    except StorageTrouble as trouble:
        if trouble.says.code in ("storage-damaged", "storage-other"):
            raise StorageTrouble("storage-no-backup", backup) from None
        raise trouble.about_file(backup) from None
    except DBAPIError:
        # Tables of another program under the names of ours.
        raise StorageTrouble("storage-no-backup", backup) from None


def in_use(folder: Path, *, alone: bool = False) -> IO[bytes]:
    """Say that a data folder is in use, until what is returned is closed.

    Args:
        alone: whether nobody else may be using it.

    Raises:
        StorageTrouble: if somebody is, who may not.
    """
    lock = open(os.open(folder / _LOCK, os.O_RDWR | os.O_CREAT, 0o600), "r+b")  # noqa: SIM115
    try:
        fcntl.flock(lock, (fcntl.LOCK_EX if alone else fcntl.LOCK_SH) | fcntl.LOCK_NB)
    except BlockingIOError:
        lock.close()
        raise StorageTrouble("storage-in-use", folder) from None
    return lock


def _revision(path: Path) -> str | None:
    """The revision of a database; nothing of it is changed.

    Raises:
        StorageTrouble: if it is damaged, or none of ours.
    """
    if not is_whole(path):
        raise StorageTrouble("storage-damaged", path)
    with closing(connected(path)) as connection:
        # Other programs keep their revisions under the same name.
        if not {"alembic_version", Sheet.__tablename__} <= _tables(connection):
            raise StorageTrouble("storage-other", path)
        row = connection.execute("SELECT version_num FROM alembic_version").fetchone()
        return str(row[0]) if row else None


def _tables(connection: sqlite3.Connection) -> set[str]:
    found = connection.execute("SELECT name FROM sqlite_master WHERE type = 'table'")
    return {name for (name,) in found}


def _make(path: Path) -> None:
    """Make a database that is not there, whole before it gets its name."""
    if path.exists():
        if path.stat().st_size == 0:
            raise StorageTrouble("storage-empty", path)
        return
    with unfinished(path) as part:
        engine = _engine(part, journal="DELETE")
        migrate(engine.execution_options(immediate=_BUSY_MILLISECONDS))
        engine.dispose()
        synced(part)
        # Another process may have been quicker.
        with suppress(FileExistsError):
            os.link(part, path)
    synced(path.parent)


@contextmanager
def _scripts() -> Iterator[Config]:
    with as_file(files("metrion.store") / "migrations") as scripts:
        config = Config()
        config.set_main_option("script_location", str(scripts))
        yield config


def migrate(engine: Engine, revision: str = "head") -> list[tuple[str, str]]:
    """Bring the tables to a revision, the newest by default.

    Returns:
        The ids that were renamed for it, before and after.
    """
    renamed: list[tuple[str, str]] = []
    with _scripts() as config, engine.begin() as connection:
        config.attributes |= {"connection": connection, "renamed": renamed}
        command.upgrade(config, revision)
    return renamed


def _engine(path: Path, journal: str = "WAL") -> Engine:
    engine = create_engine(f"sqlite:///{path}")

    @event.listens_for(engine, "connect")
    def _prepare(connection: sqlite3.Connection, _record: object) -> None:
        # SQLAlchemy begins transactions itself (below), not the driver.
        connection.isolation_level = None
        for pragma in (
            f"busy_timeout={_BUSY_MILLISECONDS}",
            f"journal_mode={journal}",
            "foreign_keys=ON",
            "synchronous=FULL",
        ):
            connection.execute(f"PRAGMA {pragma}").close()

    @event.listens_for(engine, "begin")
    def _begin(connection: Connection) -> None:
        # A read that turns into a write fails under WAL whatever the timeout: writers say so first.
        patience = connection.get_execution_options().get("immediate")
        if patience:
            connection.exec_driver_sql(f"PRAGMA busy_timeout={patience:d}")
        connection.exec_driver_sql("BEGIN IMMEDIATE" if patience else "BEGIN")

    return engine
