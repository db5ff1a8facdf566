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


def _caliper(lines: int, span: int, title: str, description: str, **more: Any) -> CommonPattern:
    record = {
        "kind": "vernier", "unit": "mm", "main_division": "1",
        "fine_divisions": lines, "span": span, "range": ["0", "150"], **more,
    }  # fmt: skip
    return CommonPattern(f"caliper-{lines}-{span}", title, description, record)


def _screw(key: str, title: str, description: str, **more: Any) -> CommonPattern:
    record = {"kind": "screw", "unit": "mm", "range": ["0", "25"], **more}
    return CommonPattern(key, title, description, record)


def _circle(lines: int, division: str, title: str, description: str) -> CommonPattern:
    record = {
        "kind": "angular", "unit": "arcmin", "main_division": division,
        "fine_divisions": lines, "span": lines - 1,
    }  # fmt: skip
    return CommonPattern(f"circle-{lines}", title, description, record)


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
    _caliper(
        50, 49, "Caliper, fifty divisions",
        "With the jaws closed, the fiftieth fine line meets the 49 mm mark.",
    ),
    _caliper(
        25, 24, "Caliper in inches",
        "Forty marks to the inch; the twenty-fifth fine line meets the twenty-fourth mark.",
        unit="in", main_division="0.025", range=["0", "6"],
    ),
    _caliper(
        10, 11, "Caliper, lines backwards",
        "With the jaws closed, the tenth fine line meets the 11 mm mark.",
    ),
    _screw(
        "screw-half", "Screw gauge, half-millimetre turns",
        "Marks every half millimetre, above and below the datum line; fifty lines round the "
        "thimble.",
        pitch="0.5", fine_divisions=50, main_division="0.5",
    ),
    _screw(
        "screw-one", "Screw gauge, millimetre turns",
        "Marks every millimetre; a hundred lines round the thimble.",
        pitch="1", fine_divisions=100, main_division="1",
    ),
    _screw(
        "screw-two-turns", "Screw gauge, two turns to a mark",
        "Marks every millimetre, and the thimble goes round twice from one to the next.",
        pitch="0.5", fine_divisions=50, main_division="1",
    ),
    _circle(
        30, "30", "Divided circle, half degrees",
        "Marks every half degree; thirty fine lines on twenty-nine of them.",
    ),
    _circle(
        40, "20", "Divided circle, thirds of a degree",
        "Marks every twenty minutes; forty fine lines on thirty-nine of them.",
    ),
)  # fmt: skip
"""In the order in which they are shown."""
