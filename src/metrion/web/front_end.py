"""The built front end: its files, and its page for every address of its own."""

from __future__ import annotations

from pathlib import Path

from flask import Blueprint, Response, send_from_directory

from metrion.web.problems import refuse
from metrion.web.sessions import begin_session, own_session

blueprint = Blueprint("front_end", __name__)

_BUILT = Path(__file__).parent / "static"
_YEAR = 365 * 24 * 3600


@blueprint.get("/", defaults={"path": ""})
@blueprint.get("/<path:path>")
def page(path: str) -> Response:
    """A file of the front end, or its page. 404 below ``api/``; 503 while it is not built."""
    if path.startswith("api/"):
        refuse(404, "no-such-address")
    if not (_BUILT / "index.html").is_file():
        refuse(503, "not-built")
    if path and (_BUILT / path).is_file():
        # Built files bear a hash of their content in their name.
        lasting = _YEAR if path.startswith("assets/") else None
        return send_from_directory(_BUILT, path, max_age=lasting)
    if path.startswith("assets/"):
        refuse(404, "no-such-file")
    if own_session() is None:
        begin_session()
    return send_from_directory(_BUILT, "index.html", max_age=0)
