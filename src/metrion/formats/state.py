"""Whether two documents mean the same, and a short check sum that says so on paper."""

from __future__ import annotations

import json
from hashlib import sha256

from metrion.core.json import Record
from metrion.core.logbook import SECTIONS

_GROUP = 4


def canonical(document: Record) -> str:
    """A logbook as text that is the same wherever it means the same to us."""
    whole = {"title": "", **{section: [] for section in SECTIONS}, **document}
    # In which order an object names its fields says nothing.
    return json.dumps(whole, ensure_ascii=False, sort_keys=True)


def state_of(document: Record) -> str:
    """Eight digits that tell one state of a sheet from another, in two groups.

    >>> state_of({"title": "Kite"})
    '99b2-4658'
    """
    digits = sha256(canonical(document).encode()).hexdigest()
    return f"{digits[:_GROUP]}-{digits[_GROUP : 2 * _GROUP]}"
