"""What need not be kept for ever: requests of long ago, and commands that nothing brings back."""

from __future__ import annotations

from datetime import UTC, datetime, timedelta

from sqlalchemy import delete

from metrion.store.database import Store
from metrion.store.models import CommandRow, RequestRow, State

REQUESTS_KEPT = timedelta(days=30)
"""How long a request is known that was carried out once."""


def prune(store: Store, now: datetime | None = None) -> None:
    """Do away with old requests and with commands that were dropped; never with undone ones."""
    old = (now or datetime.now(UTC)) - REQUESTS_KEPT
    with store.writing() as session:
        session.execute(delete(RequestRow).where(RequestRow.at < old))
        session.execute(delete(CommandRow).where(CommandRow.state == State.DROPPED))


def upkeep(store: Store) -> None:
    """What is done at the start and every day: a backup, and then pruning."""
    store.back_up()
    prune(store)
