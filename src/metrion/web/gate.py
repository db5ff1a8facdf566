"""Who may come in from beyond this machine: who knows the pass phrase, or scans the code at hand.

On this machine alone there is no gate. Once the server listens to a network, every page and every
request needs a session, which begins with the pass phrase or, for a phone at the bench, with the
code that the terminal shows.
"""

from __future__ import annotations

import hmac
import secrets
import time
from collections import deque
from collections.abc import Callable
from datetime import timedelta
from threading import Lock

from argon2 import PasswordHasher
from argon2.exceptions import VerifyMismatchError
from flask import Blueprint, Flask, current_app, redirect, render_template, request, session
from werkzeug.wrappers import Response

from metrion.web.notebook import notebook
from metrion.web.speaking import refuse, speaker

SHORTEST = 8
"""Characters of a pass phrase."""

PAIRING_MINUTES = 15
_FAILURES, _MINUTE = 5, 60.0
_DAYS = 30
_INSIDE = "inside"

blueprint = Blueprint("gate", __name__)


class Gate:
    """A pass phrase, of which only the hash is kept, and a code for phones.

    Args:
        phrase: the pass phrase.
        now: tells the time in seconds.
    """

    def __init__(self, phrase: str, now: Callable[[], float] = time.monotonic) -> None:
        self._hasher = PasswordHasher()
        self._hash = self._hasher.hash(phrase)
        self.code = secrets.token_urlsafe(24)
        self._now = now
        self._begun = now()
        self._failures: deque[float] = deque(maxlen=_FAILURES)
        self._lock = Lock()

    def opens(self, phrase: str) -> bool:
        """Whether this is the pass phrase. Raises `Problem` 429 after too many that were not."""
        # One at a time: checking takes work and memory by intention.
        with self._lock:
            self._patience()
            try:
                return self._hasher.verify(self._hash, phrase)
            except VerifyMismatchError:
                self._failures.append(self._now())
                return False

    def pairs(self, code: str) -> bool:
        """Whether this is the code, and still holds. Raises as `opens` does."""
        with self._lock:
            self._patience()
            fresh = self._now() - self._begun < PAIRING_MINUTES * _MINUTE
            if fresh and hmac.compare_digest(code.encode(), self.code.encode()):
                return True
            self._failures.append(self._now())
            return False

    def _patience(self) -> None:
        recent = [one for one in self._failures if self._now() - one < _MINUTE]
        if len(recent) == _FAILURES:
            refuse(429, "too-many-tries", minutes=1)


def shut(app: Flask, gate: Gate) -> None:
    """Let nobody in without a session."""
    app.extensions["gate"] = gate
    app.secret_key = secrets.token_bytes(32)
    app.config.update(
        SESSION_COOKIE_NAME="metrion",
        SESSION_COOKIE_HTTPONLY=True,
        # A page that is opened from a scanned code comes from elsewhere.
        SESSION_COOKIE_SAMESITE="Lax",
        PERMANENT_SESSION_LIFETIME=timedelta(days=_DAYS),
    )
    app.register_blueprint(blueprint)

    @app.before_request
    def _check() -> Response | None:
        if session.get(_INSIDE) or request.blueprint == blueprint.name:
            return None
        if request.path.startswith("/api/"):
            refuse(401, "who-are-you")
        return redirect("/enter")


def _gate() -> Gate:
    gate: Gate = current_app.extensions["gate"]
    return gate


def _let_in() -> Response:
    session.clear()
    session[_INSIDE] = session.permanent = True
    # The phone at the bench goes on where the laptop is.
    return redirect(notebook().open_at or "/", 303)


@blueprint.route("/enter", methods=["GET", "POST"])
def enter() -> Response | tuple[str, int]:
    """Ask for the pass phrase."""
    if request.method == "GET":
        return _asked("", 200)
    if _gate().opens(request.form.get("phrase", "")):
        return _let_in()
    return _asked("not-the-phrase", 401)


@blueprint.get("/pair/<code>")
def pair(code: str) -> Response | tuple[str, int]:
    """Let a phone in that has the code."""
    return _let_in() if _gate().pairs(code) else _asked("not-the-code", 401)


def _asked(problem: str, status: int) -> tuple[str, int]:
    who = speaker()
    told = who.text(problem) if problem else ""
    return render_template("enter.html", text=who.text, told=told, language=who.language), status
