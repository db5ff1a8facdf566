"""Who asked, and whether they still wait."""

from __future__ import annotations

from collections.abc import Callable

from flask import request


def still_wanted() -> Callable[[], bool]:
    """Tell, from any thread, whether who sent the request at work still waits for its answer."""
    # Said by the server; where another one serves, everybody waits.
    gone = request.environ.get("waitress.client_disconnected")
    return (lambda: not gone()) if gone else (lambda: True)
