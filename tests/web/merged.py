"""What a client does that knows a sheet and is told what changed of it."""

from __future__ import annotations

from typing import Any

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
    """A quantity with the readings that have not changed."""
    if before is None or "readings" not in entry:
        return entry
    rows = {row["index"]: row for row in (*before["readings"], *entry["readings"])}
    return {**entry, "readings": [rows[at] for at in range(entry["reading_count"])]}
