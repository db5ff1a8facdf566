"""Logbooks of every sort, the same for the same number on every machine."""

from __future__ import annotations

from fractions import Fraction
from random import Random
from typing import Any

from metrion.core.exact.numbers import to_text

Record = dict[str, Any]

_NAMES = (
    "Lower spreader", "Wing-tip nock", "Ferrule, inside", "thimble cap", "Segel <innen> & außen",
    "Standoff 3", "=SUM(A1)", "zero line guide", "Bridle line", "",
)  # fmt: skip
_PLACES = ("left-end", "right-end", "middle", "90°", "")
_NOTES = ("a burr - filed off", "read by lamp", "two\nlines", "1.5 mm or so")
_VERNIERS = ((10, 9), (20, 19), (20, 39), (50, 49), (25, 24), (10, 11), (10, 8), (12, 9), (30, 29))
_SCREWS = (
    ("mm", "0.5", 50, "0.5"), ("mm", "1", 100, "1"), ("mm", "0.5", 50, "1"),
    ("in", "0.025", 25, "0.025"), ("mm", "1", 100, "0.5"), ("cm", "0.05", 50, "0.05"),
)  # fmt: skip
_CIRCLES = (("30", 30, 29), ("20", 40, 39), ("60", 12, 11), ("10", 60, 59))
_BUILT_IN = ("whole-division", "half-division", "standard", "standard-95")


def logbook(number: int) -> Record:
    """Logbook ``number``: one to three tools, their zero checks, quantities, derived quantities."""
    random = Random(f"metrion {number}")
    kinds = [random.choice(("vernier", "vernier", "screw", "angular")) for _ in range(2)]
    instruments = [_instrument(random, f"tool-{i}", kind) for i, kind in enumerate(kinds)]
    checks = [
        _zero_check(random, f"z{i}", random.choice(lengths))
        for i in range(random.randrange(5))
        if (lengths := [tool for tool in instruments if tool["kind"] != "angular"])
    ]
    conventions = [_convention(random, f"own-{i}") for i in range(random.randrange(3))]
    known = [*_BUILT_IN, *(convention["id"] for convention in conventions)]
    quantities = [
        _quantity(random, f"m{i}", random.choice(instruments), checks, conventions, known)
        for i in range(random.randrange(1, 5))
    ]
    units = {tool["id"]: tool["unit"] for tool in instruments}
    derived = [
        _derived(random, f"d{i}", quantities, units, known) for i in range(random.randrange(3))
    ]
    return {
        "format": "metrion-logbook", "version": 1, "title": f"Kite {number} - spare parts",
        "instruments": instruments, "zero_checks": checks, "conventions": conventions,
        "measurements": quantities, "derived": derived, "date": "2026-03-14",
        "aim": "See - once - whether <all> fits.", "authors": "Ada & Björn",
        "of_another_program": {"kept": [number, None]},
    }  # fmt: skip


def _instrument(random: Random, key: str, kind: str) -> Record:
    record: Record = {"id": key, "name": random.choice(("Wide-line caliper", "Tool B")) + key[-2:]}
    if kind == "screw":
        unit, pitch, lines, division = random.choice(_SCREWS)
        record |= {
            "kind": kind, "unit": unit, "pitch": pitch, "fine_divisions": lines,
            "main_division": division,
        }  # fmt: skip
    elif kind == "angular":
        division, lines, span = random.choice(_CIRCLES)
        record |= {
            "kind": kind, "unit": "arcmin", "main_division": division, "fine_divisions": lines,
            "span": span,
        }  # fmt: skip
    else:
        lines, span = random.choice(_VERNIERS)
        unit, division = random.choice((("mm", "1"), ("mm", "0.5"), ("cm", "0.1"), ("in", "1/16")))
        record |= {
            "kind": kind, "unit": unit, "main_division": division, "fine_divisions": lines,
            "span": span, "numbering": random.choice(("with", "with", "against")),
        }  # fmt: skip
    if kind != "angular" and random.random() < 0.5:
        record["range"] = ["0", random.choice(("25", "150"))]
    if random.random() < 0.3:
        record["maker_limit"] = random.choice(("0.02", "1/50", "0.005"))
    if random.random() < 0.3:
        record["appearance"] = {"main_below": True}
    return record


def _main(tool: Record, marks: int) -> str:
    if tool["kind"] == "angular":
        minutes = marks * int(tool["main_division"]) % 21600
        return f"{minutes // 60}:{minutes % 60:02}"
    return to_text(marks * Fraction(tool["main_division"]))


def _indication(random: Random, tool: Record, marks: int, line: int) -> Record:
    """A look a few lines from a place; the slip of a mark now and then."""
    lines = int(tool["fine_divisions"])
    carried, line = divmod(line + random.randrange(-1, 2), lines)
    slip = random.choice((0, 0, 0, 0, 0, 0, 1, -1))
    found: Record = {"main": _main(tool, marks + carried + slip), "fine": line}
    if tool["kind"] == "screw" and Fraction(tool["main_division"]) == 2 * Fraction(tool["pitch"]):
        found["second_turn"] = random.random() < 0.5
    return found


def _zero_check(random: Random, key: str, tool: Record) -> Record:
    marks = random.choice((0, -1, 0, -1, 3))
    reference = to_text(3 * Fraction(tool["main_division"])) if marks == 3 else "0"
    line = random.choice((1, 2, int(tool["fine_divisions"]) - 3))
    return {
        "id": key, "instrument": tool["id"], **_indication(random, tool, marks, line),
        "face": random.choice(("outside", "inside", "")), "reference": reference,
        "phase": random.choice(("before", "before", "after")), "at": "2026-03-14T08:00:00+00:00",
    }  # fmt: skip


def _convention(random: Random, key: str) -> Record:
    record: Record = {
        "id": key, "name": f"Course-wide rule {key[-1]}",
        "reading_limit": random.choice(("1/2", "1", "0.4")),
        "zero_look": random.random() < 0.5, "digits": random.choice((1, 2, "1-or-2")),
        "estimate": random.random() < 0.5,
    }  # fmt: skip
    if random.random() < 0.5:
        return record | {
            "family": "limit",
            "spread": random.choice(("none", "half-range", "mean-deviation", "standard-error")),
            "combine": random.choice(("larger", "sum", "quadrature")),
        }
    return record | {"family": "standard", "coverage": random.choice(("1", "2", "95%", "68.3%"))}


def _quantity(
    random: Random,
    key: str,
    tool: Record,
    checks: list[Record],
    conventions: list[Record],
    known: list[str],
) -> Record:
    chosen = random.choice(known)
    record: Record = {
        "id": key, "name": random.choice(_NAMES), "symbol": random.choice(("D", "theta", "")),
        "instrument": tool["id"], "face": random.choice(("outside", "inside", "")),
        "convention": chosen,
    }  # fmt: skip
    angular = tool["kind"] == "angular"
    sort = random.choice((2, 4)) if angular else random.choice((1, 1, 1, 2))
    if not angular:
        own = [check["id"] for check in checks if check["instrument"] == tool["id"]]
        record["zero"] = own[: random.randrange(4)]
    if random.random() < 0.2:
        record["items"] = random.randrange(2, 13)
    if angular:
        record["arc"] = random.choice(("shorter", "forward"))
    estimates = any(one["id"] == chosen and one["estimate"] for one in conventions)
    place = random.randrange(4, 60), random.randrange(int(tool["fine_divisions"]))
    record["observations"] = [
        _observation(random, tool, sort, place, estimates) for _ in range(random.randrange(7))
    ]
    if sort > 1 and record["observations"] and random.random() < 0.5:
        record["divide_by"] = 2
    if random.random() < 0.3:
        record["looked_again"] = ["zero-unchecked"]
    return record


def _observation(
    random: Random, tool: Record, sort: int, place: tuple[int, int], estimates: bool
) -> Record:
    marks, line = place
    if sort == 1:
        record = _indication(random, tool, marks, line)
        if estimates and tool["kind"] == "screw":
            record["fine"] = f"{record['fine']}.4"
        elif tool["kind"] == "vernier" and random.random() < 0.2:
            record["meets"] = _main(tool, marks + line)
    else:
        opposite = 10800 // int(tool["main_division"]) if tool["kind"] == "angular" else 0
        steps = {"a": 0, "b": 7, "a2": opposite, "b2": opposite + 7}
        record = {
            name: _indication(random, tool, marks + step, line)
            for name, step in list(steps.items())[:sort]
        }
    record["place"] = random.choice(_PLACES)
    if random.random() < 0.1:
        record["excluded"] = random.choice(("read the wrong mark", None, ""))
    if random.random() < 0.2:
        record |= {"note": random.choice(_NOTES), "reader": "Ada", "approach": "closing"}
    if random.random() < 0.15:
        earlier = {name: record[name] for name in ("main", "fine", "a", "b") if name in record}
        record["history"] = [{**earlier, "at": "2026-03-14T09:00:00+00:00", "why": "misread"}]
    return record


def _derived(
    random: Random, key: str, quantities: list[Record], units: dict[str, str], known: list[str]
) -> Record:
    one, other = (random.choice(quantities) for _ in range(2))
    angles = [units[quantity["instrument"]] == "arcmin" for quantity in (one, other)]
    typed = {"value": "4.1", "uncertainty": "0.1", "unit": "mm"}
    record: Record = {
        "id": key, "name": f"made of two-{key}", "convention": random.choice(known),
        "inputs": {"A": one["id"], "B": other["id"], "h": typed},
    }  # fmt: skip
    if not any(angles):
        formula, unit = random.choice((
            ("(A - B)/2", "mm"), ("A + h", "cm"), ("pi*A**2*B/4", "cm**3"), ("A/B", "1"),
            ("sqrt(A**2 + h**2)", "mm"), ("atan(A/B)", "deg"),
        ))  # fmt: skip
    elif all(angles):
        formula, unit = random.choice((("A - B", "arcmin"), ("h*sin(A)/cos(B)", "mm")))
    else:
        formula, unit = ("h*sin(A)", "mm") if angles[0] else ("h*tan(B)", "mm")
    return record | {"formula": formula, "unit": unit}
