"""The database file: opened, brought up to date, and read or written in transactions."""

from __future__ import annotations

import sqlite3
from collections.abc import Iterator
from contextlib import contextmanager
from importlib.resources import as_file, files
from pathlib import Path

from alembic import command
from alembic.config import Config
from sqlalchemy import Connection, Engine, create_engine, event
from sqlalchemy.orm import Session

FILE_NAME = "metrion.sqlite"
_BUSY_MILLISECONDS = 5000


class Store:
    """A data folder.

    Args:
        folder: where the database lies; made if it is not there.
    """

    def __init__(self, folder: Path) -> None:
        folder.mkdir(parents=True, exist_ok=True)
        self.path = folder / FILE_NAME
        self.engine = create_engine(f"sqlite:///{self.path}")
        _listen(self.engine)
        self._writing = self.engine.execution_options(immediate=True)
        migrate(self._writing)

    @contextmanager
    def reading(self) -> Iterator[Session]:
        """A session that only reads."""
        with Session(self.engine) as session:
            yield session

    @contextmanager
    def writing(self) -> Iterator[Session]:
        """A session in one write transaction: all of it is kept, or none."""
        with Session(self._writing) as session, session.begin():
            yield session

    def close(self) -> None:
        """Let go of the file."""
        self.engine.dispose()


def migrate(engine: Engine, revision: str = "head") -> None:
    """Bring the tables to a revision, the newest by default."""
    with as_file(files("metrion.store") / "migrations") as scripts:
        config = Config()
        config.set_main_option("script_location", str(scripts))
        with engine.begin() as connection:
            config.attributes["connection"] = connection
            command.upgrade(config, revision)


def _listen(engine: Engine) -> None:
    @event.listens_for(engine, "connect")
    def _prepare(connection: sqlite3.Connection, _record: object) -> None:
        # SQLAlchemy begins transactions itself (below), not the driver.
        connection.isolation_level = None
        for pragma in (
            "journal_mode=WAL",
            "foreign_keys=ON",
            "synchronous=FULL",
            f"busy_timeout={_BUSY_MILLISECONDS}",
        ):
            connection.execute(f"PRAGMA {pragma}").close()

    @event.listens_for(engine, "begin")
    def _begin(connection: Connection) -> None:
        # A read that turns into a write fails under WAL whatever the timeout: writers say so first.
        immediate = connection.get_execution_options().get("immediate")
        connection.exec_driver_sql("BEGIN IMMEDIATE" if immediate else "BEGIN")
