"""Documents with something changed, and what is wrong with them."""

import copy
from typing import Any

import pytest

from metrion.formats.faults import Refused
from metrion.formats.logbook import parse_logbook

GONE = object()
"""In the place of a value: its field is taken away."""


def edited(document: dict[str, Any], *edits: tuple[str, Any]) -> dict[str, Any]:
    """A copy of a document with other values at these pointers."""
    document = copy.deepcopy(document)
    for pointer, value in edits:
        *path, last = [int(p) if p.isdigit() else p for p in pointer.strip("/").split("/")]
        place: Any = document
        for part in path:
            place = place[part]
        if value is GONE:
            del place[last]
        else:
            place[last] = value
    return document


def pointers(document: Any) -> list[str]:
    """Where the faults of a document are that is refused."""
    with pytest.raises(Refused) as refused:
        parse_logbook(document)
    return [fault.pointer for fault in refused.value.faults]
