"""Who writes for the reader of the notebook: in the language, words and numbers chosen there."""

from __future__ import annotations

from collections.abc import Sequence
from typing import NoReturn, cast

from flask import current_app, g, has_app_context

from metrion.core.errors import MetrionError
from metrion.core.facts import Argument, Fact
from metrion.core.uses import Use
from metrion.voice import Speaker, plainly


class Problem(MetrionError):
    """A request that cannot be answered.

    Attributes:
        status: of the answer.
    """

    def __init__(self, status: int, code: str, **about: Argument) -> None:
        self.status = status
        super().__init__(code, **about)


class InUse(Problem):
    """An entry that cannot go while others use it.

    Attributes:
        uses: those.
    """

    def __init__(self, uses: Sequence[Use]) -> None:
        self.uses = uses
        super().__init__(422, "in-use", count=len(uses))


def refuse(status: int, code: str, **about: Argument) -> NoReturn:
    """Answer with a status and what the catalogue says under a code."""
    raise Problem(status, code, **about)


def speaker() -> Speaker:
    """The speaker of the request at work; the usual one outside of any."""
    if not has_app_context():
        return plainly()
    if "speaker" not in g:
        g.speaker = current_app.extensions["notebook"].speaker()
    return cast(Speaker, g.speaker)


def say(fact: Fact | None) -> str:
    """A fact in words; empty without one."""
    return speaker().say(fact) if fact else ""


def shown(figure: str) -> str:
    """A figure, alone or with its unit, with the signs that the reader has for it."""
    return speaker().numbers.figure(figure)
