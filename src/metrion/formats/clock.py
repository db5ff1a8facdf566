"""A bound on how long something may take, where what comes in decides on it."""

from __future__ import annotations

import time

from metrion.formats.faults import refusal


class Clock:
    """Runs from when it is made.

    Args:
        seconds: until it has run down.
    """

    def __init__(self, seconds: float) -> None:
        self._until = time.monotonic() + seconds

    def check(self) -> None:
        """Raise `Refused` if it has run down."""
        if time.monotonic() > self._until:
            raise refusal("takes-too-long")
