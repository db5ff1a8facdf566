"""JSON as Python has it: what a file holds before it is read, and what is kept as written."""

from __future__ import annotations

from collections.abc import Mapping
from typing import TYPE_CHECKING, TypeAlias

if TYPE_CHECKING:
    Json: TypeAlias = str | int | float | bool | list["Json"] | dict[str, "Json"] | None
else:
    # A name of its own would not be found where hints are looked up while a program runs.
    Json = object
Record: TypeAlias = dict[str, Json]


def records_in(record: Mapping[str, Json], name: str) -> list[Record]:
    """The records that a field lists; none where it lists anything else."""
    listed = record.get(name)
    return [one for one in listed if isinstance(one, dict)] if isinstance(listed, list) else []


def text_in(record: Mapping[str, Json], name: str) -> str:
    """The text of a field; empty where it is none."""
    found = record.get(name)
    return found if isinstance(found, str) else ""
