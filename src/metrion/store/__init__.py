"""Sheets kept in SQLite: what the eye saw, as exact text, and every change ever made to it."""

from metrion.store.database import Store
from metrion.store.errors import (
    Busy,
    Damaged,
    KeyReused,
    NotHere,
    NothingToRedo,
    NothingToUndo,
    Stale,
    StorageTrouble,
    StoreError,
    TakenId,
)

__all__ = [
    "Busy",
    "Damaged",
    "KeyReused",
    "NotHere",
    "NothingToRedo",
    "NothingToUndo",
    "Stale",
    "StorageTrouble",
    "Store",
    "StoreError",
    "TakenId",
]
