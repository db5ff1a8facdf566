"""Who writes for the reader of the request at work: in the language, words and numbers chosen."""

from __future__ import annotations

from collections.abc import Callable
from typing import cast

from flask import g, has_app_context

from metrion.core.facts import Fact
from metrion.voice import Speaker, plainly


def speak_by(find: Callable[[], Speaker]) -> None:
    """Say how to find the speaker of the request at work, when it is first asked for."""
    g.find_speaker = find


def speak_as(speaker: Speaker) -> None:
    """Say who speaks in the request at work."""
    g.speaker = speaker


def speaker() -> Speaker:
    """The speaker of the request at work; the usual one outside of any."""
    if not has_app_context():
        return plainly()
    if "speaker" not in g:
        g.speaker = g.find_speaker() if "find_speaker" in g else plainly()
    return cast(Speaker, g.speaker)


def say(fact: Fact | None) -> str:
    """A fact in words; empty without one."""
    return speaker().say(fact) if fact else ""


def shown(figure: str) -> str:
    """A figure, alone or with its unit, with the signs that the reader has for it."""
    return speaker().numbers.figure(figure)
