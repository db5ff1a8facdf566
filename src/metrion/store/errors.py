"""Errors of the store.

MetrionError
└── StoreError
    ├── NotHere         no such sheet, or no such entry in it
    ├── TakenId         a new entry under an id that is in use
    ├── KeyReused       another request under the key of an earlier one
    ├── Stale           a change to something that has been changed meanwhile
    ├── Damaged         a sheet that cannot be worked out or shown
    ├── Busy            others write for too long
    ├── StorageTrouble  the disk or the database file cannot be used
    ├── NothingToUndo
    └── NothingToRedo
"""

from __future__ import annotations

from pathlib import Path

from metrion.core.codes import MessageCode
from metrion.core.errors import MetrionError, shortened
from metrion.core.facts import Argument, Fact, Name


class StoreError(MetrionError):
    """What the store cannot do."""


class NotHere(StoreError):
    """Something asked for that is not there."""

    def __init__(self, what: str, key: str) -> None:
        super().__init__("not-here", what=what, key=shortened(key))


class TakenId(StoreError):
    """A new entry under an id that is in use."""

    def __init__(self, what: str, key: str) -> None:
        super().__init__("taken-id", what=what, key=shortened(key))


class KeyReused(StoreError):
    """Another request under the key of an earlier one."""

    def __init__(self, key: str) -> None:
        super().__init__("key-reused", key=shortened(key))


class Stale(StoreError):
    """A change to an entry that has been changed since it was read."""

    def __init__(self) -> None:
        super().__init__("stale")


class Damaged(StoreError):
    """A sheet that cannot be worked out or shown; it can be saved as it is, and thrown away."""

    def __init__(self, reason: Fact) -> None:
        self.reason = reason
        super().__init__("damaged", reason=reason)


class Busy(StoreError):
    """Others write for too long; asking again may help."""

    def __init__(self) -> None:
        super().__init__("busy")


class StorageTrouble(StoreError):
    """The disk or the database file cannot be used."""

    def __init__(self, code: MessageCode, path: Path, **about: Argument) -> None:
        super().__init__(code, path=Name(str(path)), **about)

    def about_file(self, path: Path) -> StorageTrouble:
        """The same of another file, of which the one it was told about is a copy."""
        about = {name: value for name, value in self.says.about.items() if name != "path"}
        return StorageTrouble(self.says.code, path, **about)


class NothingToUndo(StoreError):
    """No change is left to undo."""

    def __init__(self) -> None:
        super().__init__("nothing-to-undo")


class NothingToRedo(StoreError):
    """No undone change is left to redo."""

    def __init__(self) -> None:
        super().__init__("nothing-to-redo")
