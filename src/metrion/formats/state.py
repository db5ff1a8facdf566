"""Which sheet a document is, whether two mean the same, and a check sum that says so on paper."""

from __future__ import annotations

import json
from hashlib import sha256

from metrion.core.errors import OutOfBounds
from metrion.core.exact.bounds import check_id
from metrion.core.json import Record, text_in
from metrion.core.logbook import SECTIONS

_GROUP = 4


def sheet_id(document: Record) -> str:
    """Which sheet a logbook says it is; empty where it does not say, or not by the rule of ids.

    >>> sheet_id({"id": "kite-7"}), sheet_id({"id": "a/b"}), sheet_id({"id": 7})
    ('kite-7', '', '')
    """
    found = document.get("id")
    try:
        check_id(found if isinstance(found, str) else "")
    except OutOfBounds:
        return ""
    return text_in(document, "id")


def canonical(document: Record) -> str:
    """A logbook as text that is the same wherever it means the same to us, whatever its id."""
    whole = {"title": "", **{section: [] for section in SECTIONS}, **document}
    whole.pop("id", None)
    # In which order an object names its fields says nothing.
    return json.dumps(whole, ensure_ascii=False, sort_keys=True)


def state_of(document: Record) -> str:
    """Eight digits that tell one state of a sheet from another, in two groups.

    >>> state_of({"title": "Kite"})
    '99b2-4658'
    """
    digits = sha256(canonical(document).encode()).hexdigest()
    return f"{digits[:_GROUP]}-{digits[_GROUP : 2 * _GROUP]}"
