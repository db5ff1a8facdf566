"""Who may come in from beyond this machine: who knows the pass phrase, or scans the code at hand.

On this machine alone there is no gate. Once the server listens to a network, every page and every
request needs a session, which begins with the pass phrase or, for a phone at the bench, with the
code that the terminal, or a page inside, shows.
"""

from __future__ import annotations

import hashlib
import hmac
import secrets
import time
from collections import deque
from collections.abc import Callable
from dataclasses import dataclass, field
from ipaddress import IPv6Address, ip_address
from threading import BoundedSemaphore, Lock

from flask import Blueprint, Flask, current_app, redirect, render_template, request
from werkzeug.wrappers import Response

from metrion.core.codes import MessageCode
from metrion.views.locale import speaker
from metrion.web import device_readings
from metrion.web.problems import refuse
from metrion.web.sessions import (
    begin_session,
    end_session,
    is_here,
    own_session,
    sessions,
)

SHORTEST = 8
"""Characters of a pass phrase."""

PAIRING_MINUTES = 15
_FAILURES, _MINUTE = 5, 60.0
_ADDRESSES = 10_000
"""Of so many addresses the tries are remembered, those of the last ones."""
_MANY, _WAIT_SECONDS, _WAITING = 20, 1.0, 2
"""From so many wrong tries a minute on, the next wait; no more than a few do so at once."""

blueprint = Blueprint("gate", __name__)


@dataclass(frozen=True)
class Code:
    """What a phone comes in with, for a while.

    Attributes:
        text: of it.
        begun: when it was made.
        shown: what was open where somebody asked for it; empty for the first one.
    """

    begun: float
    shown: str = ""
    text: str = field(default_factory=lambda: secrets.token_urlsafe(24))


class Gate:
    """A pass phrase, of which only a keyed hash is kept, and a code for phones.

    Wrong tries are counted for each address. All together only make wrong answers wait: they never
    keep the right phrase, or the right code, out.

    Args:
        phrase: the pass phrase.
        now: tells the time in seconds.
        wait: waits so many seconds.
    """

    def __init__(
        self,
        phrase: str,
        now: Callable[[], float] = time.monotonic,
        wait: Callable[[float], object] = time.sleep,
    ) -> None:
        self._key = secrets.token_bytes(32)
        self._hash = self._hashed(phrase)
        self._now, self._wait = now, wait
        self._tries = _Tries(now)
        self._waiting = BoundedSemaphore(_WAITING)
        self.code = Code(now())

    def opens(self, phrase: str, address: str) -> bool:
        """Whether this is the pass phrase. Raises `Problem` 429 after too many that were not."""
        return self._answer(hmac.compare_digest(self._hashed(phrase), self._hash), address)

    def pairs(self, code: str, address: str) -> Code | None:
        """The code if this is it, and still holds. Raises as `opens` does."""
        now = self.code
        fresh = self._now() - now.begun < PAIRING_MINUTES * _MINUTE
        right = hmac.compare_digest(code.encode(), now.text.encode())
        return now if self._answer(fresh and right, address) else None

    def renew(self, shown: str = "") -> Code:
        """A new code in the place of the old one, which holds no more."""
        self.code = Code(self._now(), shown)
        return self.code

    def _hashed(self, phrase: str) -> bytes:
        return hmac.digest(self._key, phrase.encode("utf-8", "replace"), hashlib.sha256)

    def _answer(self, right: bool, address: str) -> bool:
        if self._tries.too_many(address):
            refuse(429, "too-many-tries", minutes=1)
        if right:
            return True
        self._tries.note(address)
        # So few wait that the others find an answer.
        if self._tries.many and self._waiting.acquire(blocking=False):
            try:
                self._wait(_WAIT_SECONDS)
            finally:
                self._waiting.release()
        return False


class _Tries:
    """Wrong tries of the last minute, for each address and for all together."""

    def __init__(self, now: Callable[[], float]) -> None:
        self._now = now
        self._lock = Lock()
        self._all: deque[float] = deque(maxlen=_MANY)
        self._of: dict[str, deque[float]] = {}

    def too_many(self, address: str) -> bool:
        """Whether an address has to wait."""
        with self._lock:
            return self._recent(self._of.get(_network(address), deque())) >= _FAILURES

    @property
    def many(self) -> bool:
        """Whether there were many from all together."""
        with self._lock:
            return self._recent(self._all) >= _MANY

    def note(self, address: str) -> None:
        """One more."""
        with self._lock:
            # Noted anew, so that what was noted longest ago comes first and goes first.
            own = self._of.pop(_network(address), None) or deque(maxlen=_FAILURES)
            self._of[_network(address)] = own
            if len(self._of) > _ADDRESSES:
                del self._of[next(iter(self._of))]
            own.append(self._now())
            self._all.append(self._now())

    def _recent(self, tries: deque[float]) -> int:
        return sum(self._now() - one < _MINUTE for one in tries)


def _network(address: str) -> str:
    """What one may have many addresses of: of version 6, the first half."""
    try:
        found = ip_address(address.partition("%")[0])
    except ValueError:
        return address
    if isinstance(found, IPv6Address) and not found.ipv4_mapped:
        return found.exploded[:19]
    return str(found)


def shut(app: Flask, gate: Gate) -> None:
    """Let nobody in without a session; a device at this machine may leave readings."""
    app.extensions["gate"] = gate
    app.register_blueprint(blueprint)

    @app.before_request
    def _check() -> Response | None:
        if own_session() or request.blueprint == blueprint.name:
            return None
        if request.blueprint == device_readings.blueprint.name and is_here():
            return None
        if request.path.startswith("/api/"):
            refuse(401, "who-are-you")
        return redirect("/enter")


def gate_of(app: Flask) -> Gate | None:
    """Who keeps an application; None where it is reached from this machine alone."""
    found: Gate | None = app.extensions.get("gate")
    return found


def _gate() -> Gate:
    gate: Gate = current_app.extensions["gate"]
    return gate


def _let_in(shown: str) -> Response:
    begin_session()
    # The phone at the bench goes on where the laptop is.
    return redirect(shown or "/", 303)


@blueprint.route("/enter", methods=["GET", "POST"])
def enter() -> Response | tuple[str, int]:
    """Ask for the pass phrase."""
    if request.method == "GET":
        return _asked(None, 200)
    if _gate().opens(request.form.get("phrase", ""), request.remote_addr or ""):
        return _let_in(sessions().shown(None))
    return _asked("not-the-phrase", 401)


@blueprint.get("/pair/<code>")
def pair(code: str) -> Response | tuple[str, int]:
    """Let a phone in that has the code."""
    found = _gate().pairs(code, request.remote_addr or "")
    if not found:
        return _asked("not-the-code", 401)
    return _let_in(found.shown or sessions().shown(None))


@blueprint.post("/leave")
def leave() -> Response:
    """End the session of who asks."""
    end_session()
    return redirect("/enter", 303)


def _asked(problem: MessageCode | None, status: int) -> tuple[str, int]:
    who = speaker()
    told = who.text(problem) if problem else ""
    return render_template("enter.html", text=who.text, told=told, language=who.language), status
