"""Words that were not said from the catalogue, in what was written in the pseudo language."""

import json
import re
from collections.abc import Iterable, Iterator
from typing import Any

from metrion.demo import demo_file

_WORD = re.compile(r"[^\W\d_]{3,}")
_STATE = re.compile(r"\b[0-9a-f]{4}-[0-9a-f]{4}\b")
"""The check sum of a sheet, which may look like a word."""
DEMO = ("spare-parts", "bridle-line", "foil-colours", "sail-film", "old-standoffs")
OUR_SIGNS = {
    # Units, functions, and what is typed or written as it stands in every language.
    "arcmin", "deg", "rad", "sin", "cos", "tan", "sqrt", "max", "min", "theta",
    "pdf", "csv", "svg",
    # What languages call themselves, and months as the browser writes them.
    "english", "pseudo", "accents", "jan", "feb", "mar", "apr", "jun", "jul", "aug", "sep", "oct",
    "nov", "dec",
}  # fmt: skip


def _texts(value: Any) -> Iterator[str]:
    if isinstance(value, dict):
        for one in value.values():
            yield from _texts(one)
    elif isinstance(value, list):
        for one in value:
            yield from _texts(one)
    elif isinstance(value, str):
        yield value


def words_of_users() -> set[str]:
    """All words that stand in the demo sheets, by whoever wrote them."""
    documents = [json.loads(demo_file(name)) for name in (*DEMO, "wing-tip-nocks")]
    found = {word.lower() for text in _texts(documents) for word in _WORD.findall(text)}
    return found | {word.lower() for word in _WORD.findall(demo_file("tools").decode())}


def unsaid(texts: Iterable[str]) -> list[str]:
    """Every text with a word of plain letters that no user wrote and that is no sign of ours."""
    allowed = words_of_users() | OUR_SIGNS
    return [
        text
        for text in dict.fromkeys(texts)
        if any(word.isascii() and word.lower() not in allowed for word in _words_in(text))
    ]


def _words_in(text: str) -> list[str]:
    return _WORD.findall(_STATE.sub("", text))
