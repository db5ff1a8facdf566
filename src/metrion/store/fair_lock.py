"""Taking turns: who asks first goes first."""

from __future__ import annotations

from collections import deque
from collections.abc import Iterator
from contextlib import contextmanager
from threading import Lock
from weakref import WeakValueDictionary

from metrion.store.errors import Busy

PATIENCE_SECONDS = 30.0
"""How long one waits for one's turn."""


class FairLock:
    """A lock that threads get in the order in which they asked for it."""

    def __init__(self) -> None:
        self._guard = Lock()
        self._taken = False
        self._waiting: deque[Lock] = deque()

    @contextmanager
    def mine(self, patience: float) -> Iterator[None]:
        """One's turn.

        Args:
            patience: how many seconds to wait for it.

        Raises:
            Busy: if it has not come by then.
        """
        self._take(patience)
        try:
            yield
        finally:
            self._hand_on()

    def _take(self, patience: float) -> None:
        with self._guard:
            if not self._taken:
                self._taken = True
                return
            ticket = Lock()
            ticket.acquire()
            self._waiting.append(ticket)
        if ticket.acquire(timeout=patience):
            return
        with self._guard:
            if ticket in self._waiting:
                self._waiting.remove(ticket)
                raise Busy
        # It was handed on in this very moment.

    def _hand_on(self) -> None:
        with self._guard:
            if self._waiting:
                self._waiting.popleft().release()
            else:
                self._taken = False


class FairLocks:
    """Turns at many things, each with a name of its own."""

    def __init__(self) -> None:
        self._guard = Lock()
        self._turns: WeakValueDictionary[str, FairLock] = WeakValueDictionary()

    @contextmanager
    def mine(self, name: str, patience: float) -> Iterator[None]:
        """One's turn at one of them; see `FairLock.mine`. Raises `Busy`."""
        with self._guard:
            turns = self._turns.setdefault(name, FairLock())
        with turns.mine(patience):
            yield
