"""The shelf: common fine scales, described by what can be counted on them."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any


@dataclass(frozen=True)
class CommonPattern:
    """A fine scale that many instruments have.

    Attributes:
        id: its id on the shelf.
        title: what it is.
        description: how to tell it on the tool in one's hand.
        record: the fields of an instrument in a logbook file.
    """

    id: str
    title: str
    description: str
    record: dict[str, Any]


def _caliper(lines: int, span: int, title: str, description: str) -> CommonPattern:
    record = {
        "kind": "vernier", "unit": "mm", "main_division": "1",
        "fine_divisions": lines, "span": span, "range": ["0", "150"],
    }  # fmt: skip
    return CommonPattern(f"caliper-{lines}-{span}", title, description, record)


SHELF = (
    _caliper(
        10, 9, "Caliper, ten divisions",
        "With the jaws closed, the tenth fine line meets the 9 mm mark.",
    ),
    _caliper(
        10, 19, "Caliper, ten wide divisions",
        "With the jaws closed, the tenth fine line meets the 19 mm mark.",
    ),
    _caliper(
        20, 19, "Caliper, twenty divisions",
        "With the jaws closed, the twentieth fine line meets the 19 mm mark.",
    ),
    _caliper(
        20, 39, "Caliper, twenty wide divisions",
        "With the jaws closed, the twentieth fine line meets the 39 mm mark.",
    ),
)  # fmt: skip
"""In the order in which they are shown."""
