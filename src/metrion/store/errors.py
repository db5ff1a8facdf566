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

from metrion.core.errors import MetrionError


class StoreError(MetrionError):
    """What the store cannot do."""


class NotHere(StoreError):
    """Something asked for that is not there."""

    def __init__(self, what: str, key: str) -> None:
        self.what = what
        self.key = key
        super().__init__(f"there is no {what} “{key}” here")


class TakenId(StoreError):
    """A new entry under an id that is in use."""

    def __init__(self, what: str, key: str) -> None:
        self.what = what
        self.key = key
        super().__init__(f"the id “{key}” is already taken by another {what}")


class Stale(StoreError):
    """A change to an entry that has been changed since it was read."""

    def __init__(self, expected: int, found: int) -> None:
        self.expected = expected
        self.found = found
        super().__init__(
            "this has been changed elsewhere since you opened it; look at it again, "
            "then repeat your change"
        )


class Damaged(StoreError):
    """A sheet that cannot be worked out or shown; it can be saved as it is, and thrown away."""

    def __init__(self, reason: str) -> None:
        self.reason = reason
        super().__init__(f"this sheet is damaged and cannot be worked out: {reason}")


class NothingToUndo(StoreError):
    """No change is left to undo."""

    def __init__(self) -> None:
        super().__init__("there is nothing to undo")


class NothingToRedo(StoreError):
    """No undone change is left to redo."""

    def __init__(self) -> None:
        super().__init__("there is nothing to redo")
