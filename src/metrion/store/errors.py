"""Errors of the store.

MetrionError
└── StoreError
    ├── NotHere         no such sheet, or no such entry in it
    ├── TakenId         a new entry under an id that is in use
    ├── Stale           a change to something that has been changed meanwhile
    ├── Damaged         a sheet that cannot be worked out or shown
    ├── NothingToUndo
    └── NothingToRedo
"""

from __future__ import annotations

from metrion.core.errors import MetrionError, shortened
from metrion.core.facts import Fact


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


class Stale(StoreError):
    """A change to an entry that has been changed since it was read."""

    def __init__(self) -> None:
        super().__init__("stale")


class Damaged(StoreError):
    """A sheet that cannot be worked out or shown; it can be saved as it is, and thrown away."""

    def __init__(self, reason: Fact) -> None:
        self.reason = reason
        super().__init__("damaged", reason=reason)


class NothingToUndo(StoreError):
    """No change is left to undo."""

    def __init__(self) -> None:
        super().__init__("nothing-to-undo")


class NothingToRedo(StoreError):
    """No undone change is left to redo."""

    def __init__(self) -> None:
        super().__init__("nothing-to-redo")
