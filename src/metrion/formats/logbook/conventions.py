"""Conventions of one's own in a logbook file."""

from __future__ import annotations

from metrion.core.conventions.convention import BUILT_IN, Convention, Family
from metrion.core.facts import Name
from metrion.formats.logbook.declared import read_fields
from metrion.formats.logbook.fields import Fields

_NEEDED = {"id", "family", "reading_limit", "zero_look", "digits"}
_NEEDED_BY = {Family.LIMIT: {"spread", "combine"}, Family.STANDARD: {"coverage"}}


def parse_convention(fields: Fields) -> Convention | None:
    """A convention, or None with its faults noted."""
    key = fields.key
    if key in BUILT_IN:
        fields.fault("id", "convention-built-in", key=Name(key or ""))
    family = fields.record.get("family")
    known = family if isinstance(family, str) and family in set(Family) else ""
    given = read_fields(Convention, fields, str(known))
    if not given.keys() >= _NEEDED or not _NEEDED_BY[given["family"]] <= given.keys():
        return None
    given["name"] = given.get("name") or given["id"]
    return Convention(**given)
