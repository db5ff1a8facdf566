"""Only pages of this very host may talk to the application."""

from __future__ import annotations

from urllib.parse import urlsplit

from flask import Flask, abort, request

_LOOPBACK = {"127.0.0.1", "localhost", "::1"}


def keep_to_this_host(app: Flask) -> None:
    """Refuse requests from another site's page, and host names that were made to point here."""

    @app.before_request
    def _check() -> None:
        origin = request.headers.get("Origin")
        if origin is not None and urlsplit(origin).netloc != request.host:
            abort(403, "this request comes from a page of another site")
        reached = request.environ.get("SERVER_NAME", "")
        if reached in _LOOPBACK and urlsplit(f"//{request.host}").hostname not in _LOOPBACK:
            abort(403, "this server answers on this machine only")
