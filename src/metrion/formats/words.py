"""The words of one's course, as a file has them: a JSON object of words by concept."""

from __future__ import annotations

from metrion.core.declared import NAME
from metrion.core.words import USUAL
from metrion.formats.faults import Fault, Refused
from metrion.formats.strict_json import read_json


def read_words(content: bytes) -> dict[str, str]:
    """Read a file like ``{"thimble": "drum"}``.

    Raises:
        Refused: with every concept that is not known, and every word that is none.
    """
    given = read_json(content)
    if not isinstance(given, dict):
        raise Refused([Fault("", "words are a JSON object: a word for each concept")])
    faults = []
    for concept, word in given.items():
        if concept not in USUAL:
            known = ", ".join(USUAL)
            faults.append(Fault(f"/{concept}", f"there is no such concept; known are {known}"))
        elif not isinstance(word, str) or not word.strip() or len(word) > NAME:
            faults.append(Fault(f"/{concept}", f"a word is a text of at most {NAME} characters"))
    if faults:
        raise Refused(faults)
    return {concept: word.strip() for concept, word in given.items()}
