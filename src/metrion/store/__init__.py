"""Sheets kept in SQLite: what the eye saw, as exact text, and every change ever made to it."""

from metrion.store.database import Store
from metrion.store.errors import (
    Damaged,
    NotHere,
    NothingToRedo,
    NothingToUndo,
    Stale,
    StoreError,
    TakenId,
)

__all__ = [
    "Damaged",
    "NotHere",
    "NothingToRedo",
    "NothingToUndo",
    "Stale",
    "Store",
    "StoreError",
    "TakenId",
]
