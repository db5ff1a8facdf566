"""Doing what is asked for only once: each request that changes something has a key of its own.

What came of it is kept in the transaction that did it. The same key again is answered alike; with
another request behind it, it is refused.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import UTC, datetime

from sqlalchemy.dialects.sqlite import insert
from sqlalchemy.orm import Session

from metrion.core.json import Json
from metrion.store.errors import KeyReused
from metrion.store.models import RequestRow


@dataclass(frozen=True)
class OnceRequest:
    """A request that changes something.

    Attributes:
        key: that its client made for it; empty for one that may be carried out again.
        fingerprint: of all that it says.
        window: that it comes from; empty for one that does not say.
    """

    key: str
    fingerprint: str
    window: str = ""


def was_done(session: Session, asked: OnceRequest) -> bool:
    """Whether a request was carried out before. Raises `KeyReused` if its key was another's."""
    row = session.get(RequestRow, asked.key) if asked.key else None
    # Of what was done before there were fingerprints, only the key is known.
    if row is not None and row.fingerprint not in ("", asked.fingerprint):
        raise KeyReused(asked.key)
    return row is not None


def came_of(session: Session, asked: OnceRequest) -> Json:
    """What a request came to that was carried out before."""
    row = session.get(RequestRow, asked.key)
    return row.answer if row else None


def keep(session: Session, asked: OnceRequest, answer: Json = None) -> bool:
    """Note that a request was carried out, and what came of it; False if that is noted already."""
    if not asked.key:
        return True
    row = insert(RequestRow).values(
        key=asked.key, fingerprint=asked.fingerprint, answer=answer, at=datetime.now(UTC)
    )
    kept = session.execute(row.on_conflict_do_nothing().returning(RequestRow.key))
    return kept.first() is not None


def once(session: Session, asked: OnceRequest | None, do: Callable[[], Json]) -> Json:
    """What an act comes to, or came to when it was asked for before; without a key it is done.

    Raises:
        KeyReused: if another request had the same key.
    """
    if asked is None or not asked.key:
        return do()
    if was_done(session, asked):
        return came_of(session, asked)
    answer = do()
    keep(session, asked, answer)
    return answer
