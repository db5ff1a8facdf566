"""Fields that many schemas share."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from marshmallow import ValidationError, fields, validate

from metrion.core.errors import OutOfBounds
from metrion.core.exact.bounds import check_id, check_text
from metrion.views.locale import say

NAME = validate.Length(min=1, max=200)


def ID(key: str) -> None:  # noqa: N802 - a validator like NAME
    try:
        check_id(key)
    except OutOfBounds as error:
        raise ValidationError(say(error.says)) from None


def PRINTABLE(text: str) -> None:  # noqa: N802 - a validator like NAME
    """Refuse signs that no output of ours can carry."""
    try:
        check_text(text, len(text))
    except OutOfBounds as error:
        raise ValidationError(say(error.says)) from None


class Typed(fields.String):
    """Text as people type it, taken in as a logbook holds it."""

    def __init__(self, plain: Callable[[str], str], **more: Any) -> None:
        super().__init__(**more)
        self.plain = plain

    def _deserialize(self, *given: Any, **more: Any) -> str:
        return self.plain(str(super()._deserialize(*given, **more)))
