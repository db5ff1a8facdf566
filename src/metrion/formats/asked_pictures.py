"""Photographs read in processes of their own, see `processes`."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

import numpy as np

from metrion.core.arrays import Array
from metrion.core.instruments.instrument import Instrument
from metrion.core.photo.answer import PhotoAnswer, read_photo
from metrion.core.photo.edge import proposed_edge
from metrion.formats.opened_pictures import read_picture
from metrion.formats.pictures import Evidence, evidence
from metrion.formats.processes import apart

Wanted = Callable[[], bool]


def _always() -> bool:
    return True


@dataclass(frozen=True)
class Shown:
    """A photograph that was asked: what is kept of it, and what that says."""

    evidence: Evidence
    answer: PhotoAnswer


def edge_in(content: bytes, tool: Instrument, wanted: Wanted = _always) -> Array:
    """Where the edge may lie, in pixels of the file. Raises as `processes.apart` does."""
    return apart(_edge_in, wanted)(content, replace(tool))


def answer_of(
    content: bytes, tool: Instrument, edge: Array, *, upward: bool, wanted: Wanted = _always
) -> PhotoAnswer:
    """What a picture says, in pixels of the file. Raises as `processes.apart` does."""
    return apart(_answer_of, wanted)(content, replace(tool), edge, upward=upward)


def shown_in(
    content: bytes, tool: Instrument, edge: Array, *, upward: bool, wanted: Wanted = _always
) -> Shown:
    """What is kept of a picture, and what that says. Raises as `processes.apart` does."""
    return apart(_shown_in, wanted)(content, replace(tool), edge, upward=upward)


def _edge_in(content: bytes, tool: Instrument) -> Array:
    seen = read_picture(content)
    return seen.told(proposed_edge(seen.brightness, tool))


def _answer_of(content: bytes, tool: Instrument, edge: Array, *, upward: bool) -> PhotoAnswer:
    seen = read_picture(content)
    found = read_photo(seen.brightness, tool, seen.seen(edge), upward=upward)
    if seen.scale == 1.0:
        return found
    # Half a pixel is the corner of one, not its middle.
    corner = float(seen.told(np.zeros(1))[0])
    laid = found.laid and found.laid.within((corner, corner), seen.scale)
    if found.zero is None:
        return replace(found, laid=laid)
    x, y = seen.told(np.array(found.zero))
    return replace(found, zero=(float(x), float(y)), laid=laid)


def _shown_in(content: bytes, tool: Instrument, edge: Array, *, upward: bool) -> Shown:
    found = evidence(content, edge)
    return Shown(found, _answer_of(found.strip.content, tool, found.edge, upward=upward))
