"""A request with an ``Idempotency-Key`` is carried out once, however often it is sent."""

from __future__ import annotations

import re
from hashlib import sha256

from flask import request

from metrion.store.idempotency import OnceRequest
from metrion.web.problems import refuse

_LONGEST = 200
_WINDOW = re.compile(r"[A-Za-z0-9-]{1,64}")


def asking_window() -> str:
    """The window that asks, by the id that it made for itself; empty for one that has none."""
    given = request.headers.get("Metrion-Window", "")
    return given if _WINDOW.fullmatch(given) else ""


def asked() -> OnceRequest:
    """The request at work."""
    window, key = asking_window(), request.headers.get("Idempotency-Key")
    if key is None:
        return OnceRequest("", "", window)
    if not 1 <= len(key) <= _LONGEST:
        refuse(400, "key-too-long", most=_LONGEST)
    said = f"{request.method} {request.full_path}\n".encode()
    return OnceRequest(key, sha256(said + request.get_data()).hexdigest(), window)
