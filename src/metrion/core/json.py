"""JSON as Python has it: what a file holds before it is read, and what is kept as written."""

from __future__ import annotations

from typing import TYPE_CHECKING, TypeAlias

if TYPE_CHECKING:
    Json: TypeAlias = str | int | float | bool | list["Json"] | dict[str, "Json"] | None
else:
    # A name of its own would not be found where hints are looked up while a program runs.
    Json = object
Record: TypeAlias = dict[str, Json]
