"""The shelf: common fine scales, described by what can be counted on them."""

from __future__ import annotations

from dataclasses import dataclass

from metrion.core.json import Json, Record


@dataclass(frozen=True)
class CommonPattern:
    """A fine scale that many instruments have.

    Attributes:
        id: its id on the shelf.
        record: the fields of an instrument in a logbook file.
    """

    id: str
    record: Record


def _caliper(lines: int, span: int, **more: Json) -> CommonPattern:
    record: Record = {
        "kind": "vernier", "unit": "mm", "main_division": "1",
        "fine_divisions": lines, "span": span, "range": ["0", "150"], **more,
    }  # fmt: skip
    return CommonPattern(f"caliper-{lines}-{span}", record)


def _numbered_in_cm(lines: int, span: int) -> CommonPattern:
    pattern = _caliper(lines, span, numerals="cm")
    return CommonPattern(f"{pattern.id}-cm", pattern.record)


def _screw(key: str, **more: Json) -> CommonPattern:
    record: Record = {"kind": "screw", "unit": "mm", "range": ["0", "25"], **more}
    return CommonPattern(key, record)


def _circle(lines: int, division: str) -> CommonPattern:
    record: Record = {
        "kind": "angular", "unit": "arcmin", "main_division": division,
        "fine_divisions": lines, "span": lines - 1,
    }  # fmt: skip
    return CommonPattern(f"circle-{lines}", record)


def _plain(key: str, **more: Json) -> CommonPattern:
    record: Record = {"kind": "plain", "unit": "mm", **more}
    return CommonPattern(key, record)


SHELF = (
    _caliper(10, 9),
    _numbered_in_cm(10, 9),
    _caliper(10, 19),
    _caliper(20, 19),
    _numbered_in_cm(20, 19),
    _caliper(20, 39),
    _caliper(50, 49),
    _numbered_in_cm(50, 49),
    _caliper(25, 24, unit="in", main_division="0.025", range=["0", "6"]),
    _caliper(10, 11),
    _screw("screw-half", pitch="0.5", fine_divisions=50, main_division="0.5"),
    _screw("screw-one", pitch="1", fine_divisions=100, main_division="1"),
    _screw("screw-two-turns", pitch="0.5", fine_divisions=50, main_division="1"),
    _circle(30, "30"),
    _circle(40, "20"),
    _plain("ruler", main_division="1", range=["0", "300"], numerals="cm"),
    _plain("display", main_division="0.01", range=["0", "150"], display=True),
)
"""In the order in which they are shown; what they are called, the catalogue says."""
