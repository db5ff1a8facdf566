"""The words of one's course, as a file has them: a JSON object of words by concept."""

from __future__ import annotations

from metrion.core.declared import NAME
from metrion.core.facts import Name, fact
from metrion.core.json import text_in
from metrion.core.words import CONCEPTS
from metrion.formats.faults import Fault, Refused, child, refusal
from metrion.formats.strict_json import read_json


def read_words(content: bytes) -> dict[str, str]:
    """Read a file like ``{"thimble": "drum"}``.

    Raises:
        Refused: with every concept that is not known, and every word that is none.
    """
    given = read_json(content)
    if not isinstance(given, dict):
        raise refusal("words-no-object")
    faults = []
    for concept, word in given.items():
        if concept not in CONCEPTS:
            known = Name(", ".join(CONCEPTS))
            faults.append(Fault(child("", concept), fact("no-such-concept", known=known)))
        elif not isinstance(word, str) or not word.strip() or len(word) > NAME:
            faults.append(Fault(child("", concept), fact("word-too-long", most=NAME)))
    if faults:
        raise Refused(faults)
    return {concept: text_in(given, concept).strip() for concept in given}
