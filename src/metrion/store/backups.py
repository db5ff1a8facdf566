"""Copies of the database, as plain SQLite files beside it; a handful is kept."""

from __future__ import annotations

import fcntl
import filecmp
import re
import shutil
import sqlite3
import struct
from collections.abc import Callable, Iterator
from contextlib import closing, contextmanager
from dataclasses import dataclass
from datetime import UTC, datetime
from itertools import groupby
from pathlib import Path
from tempfile import TemporaryDirectory
from threading import Event, Thread

from metrion.store.atomic_files import put, synced, unfinished
from metrion.store.errors import StorageTrouble

FOLDER = "backups"
WRITE_AHEAD_LOG = "-wal"
_BESIDE = (WRITE_AHEAD_LOG, "-shm", "-journal")
_NEWEST, _DAYS = 3, 7
_A_DAY = 24 * 60 * 60
_BEFORE_MIGRATION = "-before-migration"
_NAME = re.compile(
    r"(?:([0-9]{6,})-)?([0-9]{4}-[0-9]{2}-[0-9]{2})T[0-9.]+Z(-before-migration)?\.sqlite"
)
_PENDING_BYTE, _LOCK_BYTES = 0x40000000, 512
"""Where SQLite locks a file that is in use (its file format, 1.3 and *os.h*)."""
_TRIES = 5
_TITLES = 3


@dataclass(frozen=True, order=True)
class _Kept:
    """A copy among the backups, in the order in which they were made.

    Attributes:
        sequence: 0 for those from before there were sequences, and for what others put there.
        day: by the clock of then; empty for what others put there.
        stays: whether it is never thinned out.
    """

    sequence: int
    path: Path
    day: str
    stays: bool

    @classmethod
    def of(cls, path: Path) -> _Kept:
        """What its name says of a copy."""
        named = _NAME.fullmatch(path.name)
        if not named:
            return cls(0, path, "", stays=True)
        return cls(int(named[1] or 0), path, named[2], stays=bool(named[3]))


def backups(folder: Path) -> list[Path]:
    """The backups of a data folder, the newest first, whatever the clock said."""
    return [one.path for one in _newest_first(folder)]


def _newest_first(folder: Path) -> list[_Kept]:
    return sorted(map(_Kept.of, (folder / FOLDER).glob("*.sqlite")), reverse=True)


def back_up(database: Path) -> Path:
    """Copy a database among its backups, where older ones go in return; others may use it.

    Returns:
        The copy; the backup before it if nothing has changed since.
    """
    found = _added(database, unless=next(iter(backups(database.parent)), None))
    _thin_out(_newest_first(database.parent))
    return found


def back_up_before_migration(database: Path) -> Path:
    """Copy a database among its backups, for good."""
    return _added(database, _BEFORE_MIGRATION)


def write_copy(database: Path, to: Path) -> Path:
    """Copy a database to a file, while others use it or not.

    Raises:
        StorageTrouble: if that file is a database that somebody is using.
    """
    if _is_used(to, database):
        raise StorageTrouble("storage-target-in-use", to)
    to.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
    with unfinished(to) as part:
        _copy(database, part)
        put(part, to)
    return to


def _added(database: Path, ending: str = "", unless: Path | None = None) -> Path:
    """A further copy among the backups, or the one it would be like."""
    target = _next(database.parent, ending)
    target.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
    with unfinished(target) as part:
        _copy(database, part)
        if unless and filecmp.cmp(part, unless, shallow=False):
            return unless
        put(part, target)
    return target


def _copy(database: Path, part: Path) -> None:
    with closing(connected(database)) as source, closing(sqlite3.connect(part)) as copy:
        source.backup(copy)
        # One file is all there is to a copy.
        copy.execute("PRAGMA journal_mode=DELETE")


def _next(folder: Path, ending: str = "") -> Path:
    """The name of the copy that is made next."""
    made = datetime.now(UTC).strftime("%Y-%m-%dT%H%M%S.%fZ")
    sequence = max((one.sequence for one in _newest_first(folder)), default=0) + 1
    return folder / FOLDER / f"{sequence:06}-{made}{ending}.sqlite"


def _thin_out(newest_first: list[_Kept]) -> None:
    """Keep the newest, the last of each of some days, and what stays."""
    ours = [one for one in newest_first if not one.stays]
    days = groupby(ours, key=lambda one: one.day)
    kept = {*ours[:_NEWEST], *[next(of_day) for _, of_day in days][:_DAYS]}
    for one in ours:
        if one not in kept:
            one.path.unlink()


def _is_used(file: Path, database: Path) -> bool:
    """Whether a file is that database, or another one that somebody has open."""
    if not file.exists():
        return False
    if file.samefile(database) or any(_beside(file, end).exists() for end in _BESIDE):
        return True
    # What holds the file open as a database, holds these bytes of it: another process, since the
    # only one of ours is that database.
    with file.open("rb") as opened:
        return _is_locked(opened.fileno())


def _is_locked(opened: int) -> bool:
    """Whether another process has locked what SQLite locks of a file."""
    asked = struct.pack("hhqqi", fcntl.F_WRLCK, 0, _PENDING_BYTE, _LOCK_BYTES, 0)
    found = fcntl.fcntl(opened, fcntl.F_GETLK, asked)
    return bool(struct.unpack("hhqqi", found)[0] != fcntl.F_UNLCK)


def _beside(database: Path, ending: str) -> Path:
    return database.with_name(f"{database.name}{ending}")


def connected(database: Path, *, any_thread: bool = False) -> sqlite3.Connection:
    """A connection to a database that is there; sqlite would make one that is not.

    Args:
        any_thread: whether threads share it, which then take care themselves.
    """
    address = f"{database.absolute().as_uri()}?mode=rw"
    return sqlite3.connect(address, uri=True, check_same_thread=not any_thread)


def is_whole(database: Path) -> bool:
    """Whether a file is a SQLite database without damage; an empty one is none."""
    try:
        with closing(connected(database)) as connection:
            found: list[tuple[str]] = connection.execute("PRAGMA integrity_check(1)").fetchall()
    except sqlite3.DatabaseError:
        return False
    return found == [("ok",)] and database.stat().st_size > 0


@dataclass(frozen=True)
class BackupContents:
    """What a copy holds.

    Attributes:
        sheets: how many there are, without those in the trash.
        titles: of some, the one changed last first.
        changed: when that was, as text in UTC.
    """

    sheets: int
    titles: tuple[str, ...]
    changed: str


def contents(backup: Path) -> BackupContents | None:
    """Look into a backup; None if it is none that can be read."""
    found = "SELECT title, changed_at FROM sheets WHERE deleted_at IS NULL ORDER BY changed_at DESC"
    try:
        with closing(connected(backup)) as connection:
            rows: list[tuple[str, str]] = connection.execute(found).fetchall()
    except sqlite3.DatabaseError:
        return None
    titles = tuple(title for title, _ in rows[:_TITLES])
    return BackupContents(len(rows), titles, rows[0][1] if rows else "")


@contextmanager
def copied_aside(database: Path) -> Iterator[Path]:
    """A folder of its own with a copy of a database, taken without writing beside that one.

    What stands in its write-ahead log only, comes along.

    Raises:
        StorageTrouble: if others do not leave it alone for long enough.
    """
    with TemporaryDirectory(prefix="metrion-") as folder:
        copy = Path(folder) / database.name
        for _ in range(_TRIES):
            before = _state(database)
            for end in ("", WRITE_AHEAD_LOG):
                _beside(copy, end).unlink(missing_ok=True)
                if _beside(database, end).exists():
                    shutil.copyfile(_beside(database, end), _beside(copy, end))
            if _state(database) == before:
                copy.chmod(0o600)
                yield Path(folder)
                return
        raise StorageTrouble("storage-in-use", database)


def _state(database: Path) -> list[tuple[int, int] | None]:
    found = (_beside(database, end) for end in ("", WRITE_AHEAD_LOG))
    return [(one.stat().st_mtime_ns, one.stat().st_size) if one.exists() else None for one in found]


def put_back(backup: Path, database: Path, check: Callable[[Path], object]) -> Path | None:
    """Put a backup in the place of the database, which is kept among the backups.

    Nobody may be using the database. The backup is read before anything is changed, and no other
    goes.

    Args:
        check: raises if the copy in a folder of its own, given by its path, must not be put back.

    Returns:
        Where the database of before is kept; None if there was none.
    """
    with unfinished(database) as part:
        with copied_aside(backup) as folder:
            copy = (folder / backup.name).rename(folder / database.name)
            log = _beside(folder / backup.name, WRITE_AHEAD_LOG)
            if log.exists():
                log.rename(_beside(copy, WRITE_AHEAD_LOG))
            check(copy)
            _copy(copy, part)
        kept = _set_aside(database) if database.exists() else None
        for end in _BESIDE:
            _beside(database, end).unlink(missing_ok=True)
        put(part, database)
    return kept


def _set_aside(database: Path) -> Path:
    """Keep the database as it is among the backups; a damaged one with all that lies beside it."""
    if is_whole(database):
        return _added(database, unless=next(iter(backups(database.parent)), None))
    kept = _next(database.parent).with_suffix(".damaged")
    kept.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
    for end in (WRITE_AHEAD_LOG, ""):
        if _beside(database, end).exists():
            shutil.copyfile(_beside(database, end), _beside(kept, end))
            _beside(kept, end).chmod(0o600)
            synced(_beside(kept, end))
    synced(kept.parent)
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
