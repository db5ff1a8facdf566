"""Requests that cannot be answered, each with the status of its answer."""

from __future__ import annotations

from typing import NoReturn

from metrion.core.codes import MessageCode
from metrion.core.errors import MetrionError
from metrion.core.facts import Argument


class Problem(MetrionError):
    """A request that cannot be answered.

    Attributes:
        status: of the answer.
    """

    def __init__(self, status: int, code: MessageCode, **about: Argument) -> None:
        self.status = status
        super().__init__(code, **about)


def refuse(status: int, code: MessageCode, **about: Argument) -> NoReturn:
    """Answer with a status and what the catalogue says under a code."""
    raise Problem(status, code, **about)
