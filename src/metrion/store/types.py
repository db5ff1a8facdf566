"""Column types: JSON as it came, times in UTC."""

from __future__ import annotations

import json
from datetime import UTC, datetime
from typing import Any

from sqlalchemy import Text
from sqlalchemy.engine import Dialect
from sqlalchemy.types import TypeDecorator

from metrion.core.json import Json


class Spoilt(dict[str, Json]):
    """What stands where a text is no JSON any more: nothing, and the text.

    Attributes:
        text: as it is kept.
    """

    def __init__(self, text: str) -> None:
        super().__init__()
        self.text = text


class JsonText(TypeDecorator[Any]):
    """A JSON value as text, names in the order they came; None is no value.

    A text that is no JSON any more is told as `Spoilt`: it must not keep others from being read.
    """

    impl = Text
    cache_ok = True

    def process_bind_param(self, value: Any, dialect: Dialect) -> str | None:
        """To text."""
        return None if value is None else json.dumps(value, ensure_ascii=False)

    def process_result_value(self, value: str | None, dialect: Dialect) -> Json:
        """From text."""
        try:
            return None if value is None else json.loads(value)
        except (ValueError, RecursionError):
            return Spoilt(str(value))


class UtcTime(TypeDecorator[datetime]):
    """A moment, kept as ISO 8601 text in UTC."""

    impl = Text
    cache_ok = True

    def process_bind_param(self, value: datetime | None, dialect: Dialect) -> str | None:
        """To text."""
        return None if value is None else value.astimezone(UTC).isoformat()

    def process_result_value(self, value: str | None, dialect: Dialect) -> datetime | None:
        """From text."""
        return None if value is None else datetime.fromisoformat(value)
