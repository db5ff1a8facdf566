"""A request with an ``Idempotency-Key`` is carried out once, however often it is sent."""

from __future__ import annotations

from hashlib import sha256

from flask import request

from metrion.store.idempotency import OnceRequest
from metrion.web.problems import refuse

_LONGEST = 200


def asked() -> OnceRequest | None:
    """The request at work; None if it has no key."""
    key = request.headers.get("Idempotency-Key")
    if key is None:
        return None
    if not 1 <= len(key) <= _LONGEST:
        refuse(400, "key-too-long", most=_LONGEST)
    said = f"{request.method} {request.full_path}\n".encode()
    return OnceRequest(key, sha256(said + request.get_data()).hexdigest())
