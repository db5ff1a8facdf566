"""What the disk or the database file may refuse, told in one sentence each."""

from __future__ import annotations

import sqlite3
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from sqlalchemy.exc import DBAPIError

from metrion.core.codes import MessageCode
from metrion.core.facts import Name
from metrion.store.errors import Busy, StorageTrouble

_CODES: dict[int, MessageCode] = {
    sqlite3.SQLITE_FULL: "storage-full",
    sqlite3.SQLITE_READONLY: "storage-read-only",
    sqlite3.SQLITE_CANTOPEN: "storage-read-only",
    sqlite3.SQLITE_PERM: "storage-read-only",
    sqlite3.SQLITE_IOERR: "storage-failing",
    sqlite3.SQLITE_CORRUPT: "storage-damaged",
    sqlite3.SQLITE_NOTADB: "storage-damaged",
}
_PRIMARY = 0xFF


@contextmanager
def told(path: Path) -> Iterator[None]:
    """Tell what the database cannot do as what can be done about it.

    Args:
        path: of the database.

    Raises:
        Busy: if another program is writing.
        StorageTrouble: with what is wrong.
    """
    try:
        yield
    except DBAPIError as error:
        raise trouble(path, error.orig) or error from error
    except sqlite3.Error as error:
        raise trouble(path, error) or error from error
    except OSError as error:
        reason = Name(error.strerror or str(error))
        raise StorageTrouble("storage-unusable", path, reason=reason) from error


def trouble(path: Path, error: BaseException | None) -> Busy | StorageTrouble | None:
    """What an error of the database means; None for one that is a mistake of ours."""
    code = getattr(error, "sqlite_errorcode", None)
    if code is None:
        # What Python finds no code for is told by the text alone.
        return StorageTrouble("storage-damaged", path) if "malformed" in str(error) else None
    if code & _PRIMARY in (sqlite3.SQLITE_BUSY, sqlite3.SQLITE_LOCKED):
        return Busy()
    known = _CODES.get(code & _PRIMARY)
    return StorageTrouble(known, path) if known else None
