"""Which windows show which sheet, as they tell when they ask what has changed."""

from __future__ import annotations

import time
from collections import OrderedDict
from dataclasses import dataclass
from threading import Lock

from flask import current_app

_SECONDS, _HIDDEN_SECONDS = 5.0, 90.0
"""That a window is taken to be open after it asked; one that nobody sees asks seldom."""
_MOST = 1_000


@dataclass(frozen=True)
class _Shown:
    sheet: str
    until: float


class OpenWindows:
    """Those that asked last."""

    def __init__(self) -> None:
        self._lock = Lock()
        self._shown: OrderedDict[str, _Shown] = OrderedDict()

    def note(self, window: str, sheet: str, *, hidden: bool) -> None:
        """Note what a window shows; nothing for one without an id."""
        if not window:
            return
        until = time.monotonic() + (_HIDDEN_SECONDS if hidden else _SECONDS)
        with self._lock:
            self._shown[window] = _Shown(sheet, until)
            self._shown.move_to_end(window)
            while len(self._shown) > _MOST:
                self._shown.popitem(last=False)

    def others_show(self, sheet: str, window: str) -> bool:
        """Whether another window shows a sheet."""
        now = time.monotonic()
        with self._lock:
            return any(
                one.sheet == sheet and one.until > now and key != window
                for key, one in self._shown.items()
            )


def windows() -> OpenWindows:
    """The windows of the application at work."""
    found: OpenWindows = current_app.extensions["windows"]
    return found
