"""What cannot be done in a notebook."""

from __future__ import annotations

from collections.abc import Sequence

from metrion.core.errors import MetrionError
from metrion.core.facts import Name
from metrion.core.uses import Use


class NotPossible(MetrionError):
    """Something that cannot be done as it was asked for."""


class InUse(NotPossible):
    """An entry that cannot go while others use it.

    Attributes:
        uses: those.
    """

    def __init__(self, uses: Sequence[Use]) -> None:
        self.uses = uses
        super().__init__("in-use", count=len(uses))


class NoOwnConvention(MetrionError):
    """No convention of one's own has this id."""

    def __init__(self, key: str) -> None:
        super().__init__("no-convention-of-your-own", key=Name(key))


class ConventionTaken(MetrionError):
    """A new convention under an id that is in use."""

    def __init__(self, key: str) -> None:
        super().__init__("convention-taken", key=Name(key))
