"""Files that get their name only when they are whole, and are on the disk when they have it."""

from __future__ import annotations

import fcntl
import os
from collections.abc import Iterator
from contextlib import contextmanager, suppress
from pathlib import Path

_UNFINISHED = ".part"


@contextmanager
def unfinished(target: Path) -> Iterator[Path]:
    """A new, empty file for its owner alone that is to become ``target``; gone if it does not."""
    part = target.with_name(f"{target.name}.{os.getpid()}{_UNFINISHED}")
    part.unlink(missing_ok=True)
    part.touch(mode=0o600)
    # Held while it is written to, so that nobody takes it for one that was left.
    with part.open("rb") as held:
        fcntl.flock(held, fcntl.LOCK_EX)
        try:
            yield part
        finally:
            part.unlink(missing_ok=True)


def put(part: Path, target: Path) -> None:
    """Give a finished file its name, on the disk too."""
    synced(part)
    part.replace(target)
    synced(target.parent)


def synced(path: Path) -> None:
    """Wait until a file, or what a folder lists, is on the disk."""
    opened = os.open(path, os.O_RDONLY)
    try:
        os.fsync(opened)
    finally:
        os.close(opened)


def remove_unfinished(folder: Path) -> None:
    """Remove the files of a folder that nobody is at work on any more."""
    for part in folder.glob(f"*{_UNFINISHED}"):
        with suppress(OSError), part.open("rb") as held:
            fcntl.flock(held, fcntl.LOCK_EX | fcntl.LOCK_NB)
            part.unlink()
