"""Sessions: which browser a request comes from, and what its windows show.

On this machine alone every browser that loads a page has one, so that no page of another site can
say what is open. Beyond it, a session is what the pass phrase or the code gives; see `gate`.
"""

from __future__ import annotations

import secrets
from collections import OrderedDict
from dataclasses import dataclass
from datetime import timedelta
from http.cookies import CookieError, SimpleCookie
from ipaddress import ip_address
from threading import Lock

import ifaddr
from flask import Flask, current_app, request, session
from itsdangerous import BadSignature

_NAME = "metrion"
_KEY = "id"
_DAYS = 30
_MOST = 1_000
"""Of so many sessions the ones that showed something last are remembered."""


@dataclass(frozen=True)
class _Shown:
    """What the window in front of a session shows, and whether it is on this machine."""

    path: str = ""
    here: bool = False


class Sessions:
    """Those that have begun and not ended, the one that showed something last at the end."""

    def __init__(self) -> None:
        self._lock = Lock()
        self._shown: OrderedDict[str, _Shown] = OrderedDict()

    def begin(self) -> str:
        """A new one."""
        key = secrets.token_urlsafe(24)
        with self._lock:
            self._shown[key] = _Shown()
            while len(self._shown) > _MOST:
                self._shown.popitem(last=False)
        return key

    def holds(self, key: object) -> bool:
        """Whether it has begun and not ended."""
        return key in self._shown

    def end(self, key: object) -> None:
        """End one, if it is there."""
        with self._lock:
            self._shown.pop(str(key), None)

    def end_all(self) -> None:
        """End all."""
        with self._lock:
            self._shown.clear()

    def show(self, key: str, path: str, *, here: bool) -> None:
        """Note what the window in front of a session shows."""
        with self._lock:
            if key in self._shown:
                self._shown[key] = _Shown(path, here)
                self._shown.move_to_end(key)

    def shown(self, key: object) -> str:
        """What a session shows; of a device without one, what was shown last on this machine.

        Empty where nothing is, or where windows of others alone are open and more than one.
        """
        with self._lock:
            if key in self._shown:
                return self._shown[str(key)].path
            there = [one for one in self._shown.values() if one.path]
        here = [one.path for one in there if one.here]
        if here:
            return here[-1]
        return there[0].path if len({one.path for one in there}) == 1 else ""


def remember_browsers(app: Flask) -> None:
    """Give an application its sessions, kept by a signed cookie; they end when it stops."""
    app.extensions["sessions"] = Sessions()
    app.secret_key = secrets.token_bytes(32)
    app.config.update(
        SESSION_COOKIE_NAME=_NAME,
        SESSION_COOKIE_HTTPONLY=True,
        # A page that is opened from a scanned code comes from elsewhere.
        SESSION_COOKIE_SAMESITE="Lax",
        PERMANENT_SESSION_LIFETIME=timedelta(days=_DAYS),
    )


def sessions() -> Sessions:
    """The sessions of the application at work."""
    found: Sessions = current_app.extensions["sessions"]
    return found


def own_session() -> str | None:
    """The session of the request at work; None without one that holds."""
    key = session.get(_KEY)
    return str(key) if sessions().holds(key) else None


def begin_session() -> str:
    """Begin one for the browser that asks."""
    session.clear()
    session[_KEY] = key = sessions().begin()
    session.permanent = True
    return key


def end_session() -> None:
    """End that of the browser that asks."""
    sessions().end(session.get(_KEY))
    session.clear()


def has_session(app: Flask, cookies: str) -> bool:
    """Whether a ``Cookie`` header bears a session that holds, before there is a request."""
    serializer = app.session_interface.get_signing_serializer(app)  # type: ignore[attr-defined]
    try:
        found = SimpleCookie(cookies).get(_NAME)
        told = serializer.loads(found.value) if found else {}
    except (BadSignature, CookieError):
        return False
    held: Sessions = app.extensions["sessions"]
    return held.holds(told.get(_KEY))


_FORWARDED = ("Forwarded", "Via", "X-Forwarded-For", "X-Forwarded-Host", "X-Real-IP")


def is_here() -> bool:
    """Whether the request at work was made on this machine itself, handed on by nobody."""
    if any(name in request.headers for name in _FORWARDED):
        return False
    return is_own_address(request.remote_addr or "")


def is_own_address(address: str) -> bool:
    """Whether an address is one of this machine."""
    try:
        peer = ip_address(address.partition("%")[0])
    except ValueError:
        return False
    if peer.is_loopback:
        return True
    own = (ip.ip for adapter in ifaddr.get_adapters() for ip in adapter.ips)
    return str(peer) in {one if isinstance(one, str) else one[0] for one in own}


SAME_ORIGIN = "same-origin"


def marked_as_from() -> str:
    """From where a browser says that a request comes; empty where nobody says so."""
    return request.headers.get("Sec-Fetch-Site", "")
