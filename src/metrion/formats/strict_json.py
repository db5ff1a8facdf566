"""JSON as the contract wants it: UTF-8 without BOM, no name twice, no half surrogate pairs.

What would take more memory than any logbook within its bounds is refused before it is taken apart.
"""

from __future__ import annotations

import json
import math
import re
from collections import Counter
from collections.abc import Iterable, Iterator, Mapping
from functools import partial
from typing import NoReturn

from metrion.core.exact.bounds import DEEPEST_NESTING, LARGEST_FILE, LARGEST_UNKNOWN
from metrion.core.facts import Figure, Name, fact
from metrion.core.json import Json, Record
from metrion.formats.faults import Fault, Refused, child, refusal

_BOM = b"\xef\xbb\xbf"
_SURROGATE = re.compile("[\ud800-\udfff]")
_LONGEST_WHOLE = 400
_BEGIN_OF_FOUR = [bytes([begin]) for begin in range(0xF0, 0xF5)]
_HEAVIEST = 416 * 1024 * 1024
_LONGEST_TEXT = 6 * LARGEST_UNKNOWN
"""In bytes: the largest text that a file may hold, were all of it written as escapes."""
_WEIGHTS = {b"{": 200, b"[": 64, b",": 32, b'"': 28, b'":': -56}
"""The bytes that objects, lists, values and texts take here; names are kept once."""


_COMPACT = json.JSONEncoder(ensure_ascii=False, separators=(",", ":"))


class _Repeating(Record):
    """An object in which names stood twice."""

    repeated: tuple[str, ...] = ()


def read_json(content: bytes) -> Json:
    """Read one JSON document.

    Raises:
        Refused: if it is no such JSON; repeated names and half surrogate pairs are all told.
    """
    check_size(content)
    if content.startswith(_BOM):
        raise refusal("file-with-bom")
    repeating: list[_Repeating] = []
    try:
        text = content.decode("utf-8")
        document: Json = json.loads(
            text,
            object_pairs_hook=partial(_object, repeating),
            parse_int=_whole,
            parse_constant=_no_constant,
        )
    except UnicodeDecodeError as error:
        raise refusal("file-not-utf8", at=error.start) from None
    except json.JSONDecodeError as error:
        where = {"line": Figure(str(error.lineno)), "column": Figure(str(error.colno))}
        raise Refused(
            [Fault("", fact("file-not-json-at", reason=Name(error.msg), **where))]
        ) from None
    except RecursionError:
        raise refusal("file-nested-too-deeply", most=DEEPEST_NESTING) from None
    except ValueError as error:
        raise refusal("file-not-json", reason=Name(str(error))) from None
    _check_nesting(document)
    # The walk is only needed where an escape could hide a surrogate, or a name stood twice.
    if (b"\\u" in content or repeating) and (faults := list(_odd_places(document))):
        raise Refused(faults)
    return document


def check_size(content: bytes) -> None:
    """Refuse a file that is too large, or whose values would be. Raises `Refused`."""
    if len(content) > LARGEST_FILE:
        raise refusal("file-too-large", most=LARGEST_FILE // 1024**2)
    values = sum(weight * content.count(sign) for sign, weight in _WEIGHTS.items())
    # Its text is there twice: as a whole, and in the values.
    if values + 2 * _width(content) * len(content) > _HEAVIEST:
        raise refusal("file-of-too-much")
    if any(_is_too_long(piece) for piece in content.split(b'"') if len(piece) > _LONGEST_TEXT):
        raise refusal("file-of-too-much")


def _width(content: bytes) -> int:
    """The bytes that each sign of a text takes here: as many as the widest one needs."""
    if content.isascii():
        return 1
    return 4 if any(begin in content for begin in _BEGIN_OF_FOUR) else 2


def _is_too_long(piece: bytes) -> bool:
    return len(piece) - sum(map(piece.count, (b" ", b"\t", b"\r", b"\n"))) > _LONGEST_TEXT


def _check_nesting(document: Json) -> None:
    """Level by level, so that no nesting is too deep to be told."""
    level = [document]
    for _ in range(DEEPEST_NESTING):
        level = [inner for one in level for inner in _within(one) if isinstance(inner, dict | list)]
        if not level:
            return
    raise refusal("file-nested-too-deeply", most=DEEPEST_NESTING)


def _within(value: Json) -> Iterable[Json]:
    if isinstance(value, dict):
        return value.values()
    return value if isinstance(value, list) else ()


def _whole(digits: str) -> float:
    """A whole number; one that is beyond any double is taken apart no further."""
    return int(digits) if len(digits) < _LONGEST_WHOLE else math.inf


def write_json(document: object, *, indent: int | None = 2) -> str:
    """``document`` as text in the form that every file of ours has."""
    return json.dumps(document, ensure_ascii=False, indent=indent)


def takes_more(value: Json, most: int) -> bool:
    """Whether a value takes more bytes as JSON without blanks, in UTF-8."""
    if isinstance(value, str) and len(value) > most:
        return True
    size = 0
    # Piece by piece, so that what is far too large is not written out.
    for piece in _COMPACT.iterencode(value):
        size += len(piece.encode("utf-8", "surrogatepass"))
        if size > most:
            return True
    return False


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


def _object(repeating: list[_Repeating], pairs: list[tuple[str, Json]]) -> Record:
    found = dict(pairs)
    if len(found) == len(pairs):
        return found
    counts = Counter(name for name, _ in pairs)
    repeating.append(_Repeating(found))
    repeating[-1].repeated = tuple(name for name, count in counts.items() if count > 1)
    return repeating[-1]


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
