"""Sizes of paper."""

from __future__ import annotations

from enum import StrEnum


class Paper(StrEnum):
    """What a report is printed on."""

    A4 = "a4"
    LETTER = "us-letter"
