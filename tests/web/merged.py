"""What a client does that knows a sheet and is told what changed of it."""

from __future__ import annotations

from typing import Any

IN_BRIEF: dict[str, Any] = {
    "readings": [], "working": [], "budget": {"shares": [], "sentences": []}, "compared": None,
    "places": [], "hints": [], "advice": "",
}  # fmt: skip
"""What a quantity in brief has instead of all that is told of it by itself."""

PARTS = ("instruments", "zero_checks", "quantities", "derived")


def merged(known: dict[str, Any], change: dict[str, Any]) -> dict[str, Any]:
    """The sheet after a change, from the state that the client knew and the answer."""
    since, order = change["since"], change["order"]
    whole = {name: value for name, value in change.items() if name not in ("since", "order")}
    if since is None:
        return whole
    assert since == known["version"]
    for part in PARTS:
        before = {entry["id"]: entry for entry in known[part]}
        now = {entry["id"]: _filled(before.get(entry["id"]), entry) for entry in change[part]}
        whole[part] = [now.get(key) or before[key] for key in order[part]]
    return whole


def _filled(before: dict[str, Any] | None, entry: dict[str, Any]) -> dict[str, Any]:
    """A quantity with the readings that have not changed; in brief where they are not known."""
    if before is None or "whole" not in entry:
        return entry
    if not (entry["whole"] and before["whole"]):
        return {**entry, "whole": False, **IN_BRIEF}
    rows = {row["index"]: row for row in (*before["readings"], *entry["readings"])}
    return {**entry, "readings": [rows[at] for at in range(entry["reading_count"])]}
