"""JSON as the contract wants it: UTF-8 without BOM, no name twice, no half surrogate pairs."""

from __future__ import annotations

import json
import re
from collections.abc import Iterable, Iterator, Mapping
from typing import NoReturn

from metrion.core.facts import Figure, Name, fact
from metrion.core.json import Json, Record
from metrion.formats.faults import Fault, Refused, child, refusal

_BOM = b"\xef\xbb\xbf"
_SURROGATE = re.compile("[\ud800-\udfff]")


class _Repeating(Record):
    """An object in which names stood twice."""

    repeated: tuple[str, ...] = ()


def read_json(content: bytes) -> Json:
    """Read one JSON document.

    Raises:
        Refused: if it is no such JSON; repeated names and half surrogate pairs are all told.
    """
    if content.startswith(_BOM):
        raise refusal("file-with-bom")
    try:
        text = content.decode("utf-8")
        document: Json = json.loads(text, object_pairs_hook=_object, parse_constant=_no_constant)
    except UnicodeDecodeError as error:
        raise refusal("file-not-utf8", at=error.start) from None
    except json.JSONDecodeError as error:
        where = {"line": Figure(str(error.lineno)), "column": Figure(str(error.colno))}
        raise Refused(
            [Fault("", fact("file-not-json-at", reason=Name(error.msg), **where))]
        ) from None
    except RecursionError:
        raise refusal("file-nested-too-deeply") from None
    except ValueError as error:
        raise refusal("file-not-json", reason=Name(str(error))) from None
    # The walk is only needed where an escape could hide a surrogate, or a name stood twice.
    if faults := list(_odd_places(document)):
        raise Refused(faults)
    return document


def write_json(document: object, *, indent: int | None = 2) -> str:
    """``document`` as text in the form that every file of ours has."""
    return json.dumps(document, ensure_ascii=False, indent=indent)


def json_parts(head: Mapping[str, object], lists: Mapping[str, Iterable[object]]) -> Iterator[str]:
    """The same text piece by piece: an object with some fields, then lists entry by entry."""
    yield write_json(head).removesuffix("\n}")
    for name, entries in lists.items():
        yield f",\n  {write_json(name)}: ["
        before = "\n    "
        for entry in entries:
            # A line break within a text is written as an escape: these are all between lines.
            yield before + write_json(entry).replace("\n", "\n    ")
            before = ",\n    "
        yield "]" if before == "\n    " else "\n  ]"
    yield "\n}\n"


def _no_constant(name: str) -> NoReturn:
    raise ValueError(f"{name} is no JSON number")


def _object(pairs: list[tuple[str, Json]]) -> Record:
    found = dict(pairs)
    if len(found) == len(pairs):
        return found
    names = [name for name, _ in pairs]
    repeating = _Repeating(found)
    repeating.repeated = tuple(name for name in found if names.count(name) > 1)
    return repeating


def _odd_places(document: object) -> Iterator[Fault]:
    waiting: list[tuple[str, object]] = [("", document)]
    while waiting:
        pointer, node = waiting.pop()
        if isinstance(node, str) and _SURROGATE.search(node):
            yield Fault(pointer, fact("half-surrogate"))
        elif isinstance(node, dict):
            for name in getattr(node, "repeated", ()):
                yield Fault(child(pointer, _shown(name)), fact("name-twice"))
            for name, value in node.items():
                if _SURROGATE.search(name):
                    yield Fault(pointer, fact("half-surrogate-in-name"))
                waiting.append((child(pointer, _shown(name)), value))
        elif isinstance(node, list):
            waiting.extend((child(pointer, i), value) for i, value in enumerate(node))


def _shown(name: str) -> str:
    return _SURROGATE.sub("\ufffd", name)
