"""A picture that is asked about, and what is answered: a line of JSON each."""

from __future__ import annotations

from dataclasses import dataclass
from math import isfinite

import numpy as np
from numpy.typing import NDArray

from metrion.core.facts import fact
from metrion.core.instruments.appearance import Growth
from metrion.core.instruments.instrument import Instrument
from metrion.core.json import Json, Record
from metrion.core.photo.answer import PhotoAnswer
from metrion.formats.faults import Faults, Refused, refusal
from metrion.formats.logbook.fields import Fields
from metrion.formats.logbook.instruments import parse_instrument
from metrion.formats.logbook.known import Known

_LONGEST_NAME = 4_096
_LARGEST_PIXEL = 1e5
_PLACES = 4
"""Decimals of a position and its error: a thimble is read to a thousandth of a line."""


@dataclass(frozen=True)
class PhotographQuestion:
    """A picture that is asked about.

    Attributes:
        image: the name of its file.
        tool: that it shows.
        edge: two points on the edge where both scales meet, in pixels.
        upward: whether a thimble counts upward in it.
    """

    image: str
    tool: Instrument
    edge: NDArray[np.float64]
    upward: bool


def parse_asked(record: Json) -> PhotographQuestion:
    """Read what is asked.

    Raises:
        Refused: with everything that is wrong with it.
    """
    if not isinstance(record, dict):
        raise refusal("photo-no-question")
    faults = Faults()
    fields = Fields(record, "", faults)
    image = fields.text("image", _LONGEST_NAME, required=True)
    told = fields.object("instrument")
    tool = parse_instrument(told, Known()) if told else None
    counts = fields.choice("thimble", Growth) if record.get("thimble") is not None else None
    edge = _edge(record.get("edge"))
    if edge is None:
        fields.note("edge", fact("photo-edge-wanted"))
    if faults or image is None or tool is None or edge is None:
        raise Refused(faults)
    counts = counts or tool.appearance.thimble_numerals
    return PhotographQuestion(image, tool, edge, counts is Growth.UP)


def _edge(given: Json) -> NDArray[np.float64] | None:
    """Two points, or None."""
    if not (isinstance(given, list) and len(given) == 2):
        return None
    for point in given:
        if not (isinstance(point, list) and len(point) == 2 and all(map(_is_pixel, point))):
            return None
    return np.array(given, dtype=np.float64)


def _is_pixel(value: Json) -> bool:
    if isinstance(value, bool) or not isinstance(value, int | float):
        return False
    return isfinite(value) and abs(value) < _LARGEST_PIXEL


def answer_record(answer: PhotoAnswer, words: str) -> Record:
    """What is answered."""
    told = answer.position is not None and answer.error is not None
    # What is rounded up to a whole turn is its beginning.
    position = (
        round(answer.position, _PLACES) % answer.modulo if answer.position is not None else 0.0
    )
    return {
        "verdict": "line" if told else "cannot-tell",
        "why": words,
        "position": f"{position:.{_PLACES}f}" if told else None,
        "standard_error": f"{answer.error:.{_PLACES}f}" if told else None,
        "modulo": answer.modulo if told else None,
        "line": answer.line,
        "candidates": [
            {"line": one.line, "probability": round(one.probability, 4)}
            for one in answer.candidates
        ],
        "zero": [round(one, 1) for one in answer.zero] if answer.zero else None,
    }
