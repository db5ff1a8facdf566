"""Column types: exact numbers as the text that was written, JSON as it came, times in UTC."""

from __future__ import annotations

import json
from datetime import UTC, datetime
from typing import Any

from sqlalchemy import Text
from sqlalchemy.engine import Dialect
from sqlalchemy.types import TypeDecorator

from metrion.core.angles import parse_angle
from metrion.core.errors import MetrionError
from metrion.core.numbers import parse_exact


def is_exact(text: object) -> bool:
    """Whether a value is the text of an exact number or an angle."""
    if not isinstance(text, str):
        return False
    try:
        parse_angle(text) if ":" in text else parse_exact(text)
    except MetrionError:
        return False
    return True


class ExactText(TypeDecorator[str]):
    """A number of a scale, kept as the text that was read; never a binary float."""

    impl = Text
    cache_ok = True

    def process_bind_param(self, value: str | None, dialect: Dialect) -> str | None:
        """Refuse what is no exact number (a `ValueError`: the caller should have checked)."""
        if value is not None and not is_exact(value):
            raise ValueError(f"{value!r} is no exact number")
        return value


class JsonText(TypeDecorator[Any]):
    """A JSON value as text, names in the order they came; None is no value."""

    impl = Text
    cache_ok = True

    def process_bind_param(self, value: Any, dialect: Dialect) -> str | None:
        """To text."""
        return None if value is None else json.dumps(value, ensure_ascii=False)

    def process_result_value(self, value: str | None, dialect: Dialect) -> Any:
        """From text."""
        return None if value is None else json.loads(value)


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
