"""Days and times as people write them, in their language and where they are."""

from __future__ import annotations

from contextlib import suppress
from datetime import date, datetime

_ENGLISH = "en_GB"
"""In English the day comes first, and the month is in letters: nobody takes one for the other."""


def written_date(text: str, language: str) -> str:
    """A day or a moment (ISO 8601) in words, a moment in local time; any other text as it is.

    >>> written_date("2026-05-02", "en"), written_date("2 May", "en")
    ('2 May 2026', '2 May')
    """
    from babel import Locale, UnknownLocaleError
    from babel.dates import format_date, format_time

    locale = Locale.parse(_ENGLISH)
    with suppress(UnknownLocaleError, ValueError):
        locale = locale if language == "en" else Locale.parse(language, sep="-")
    with suppress(ValueError, OverflowError):
        return format_date(date.fromisoformat(text), "long", locale)
    with suppress(ValueError, OverflowError):
        at = datetime.fromisoformat(text).astimezone()
        return (
            f"{format_date(at, 'long', locale)}, {format_time(at.time(), 'short', locale=locale)}"
        )
    return text
