"""A request with an ``Idempotency-Key`` is carried out once, however often it is sent."""

from __future__ import annotations

from collections.abc import Callable
from hashlib import sha256

from flask import request
from sqlalchemy.orm import Session

from metrion.core.json import Json
from metrion.store.once import Asked, came_of, keep, was_done
from metrion.web.speaking import refuse

_LONGEST = 200


def asked() -> Asked | None:
    """The request at work; None if it has no key."""
    key = request.headers.get("Idempotency-Key")
    if key is None:
        return None
    if not 1 <= len(key) <= _LONGEST:
        refuse(400, "key-too-long", most=_LONGEST)
    said = f"{request.method} {request.full_path}\n".encode()
    return Asked(key, sha256(said + request.get_data()).hexdigest())


def once(session: Session, do: Callable[[], Json]) -> Json:
    """What an act comes to, or came to when it was asked for before.

    Raises:
        KeyReused: if another request had the same key.
    """
    found = asked()
    if found is None:
        return do()
    if was_done(session, found):
        return came_of(session, found)
    answer = do()
    keep(session, found, answer)
    return answer
