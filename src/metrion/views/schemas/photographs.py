"""Photographs of a reading: what is asked, what they say, and how a drawing lies over them."""

from __future__ import annotations

from typing import Annotated

from marshmallow import validate

from metrion.core.instruments.appearance import Growth
from metrion.core.json import Record
from metrion.core.quantity.photographs import PhotographVerdict
from metrion.views.schemas.view import view

_Pixel = Annotated[float, validate.Range(-100_000, 100_000)]


@view
class EdgeView:
    """Both ends of the edge over the fine scale, in pixels from the upper left."""

    x1: _Pixel
    y1: _Pixel
    x2: _Pixel
    y2: _Pixel


@view
class PhotographAskedView(EdgeView):
    """Where the edge lies in a picture, and which look of a pair it shows."""

    thimble: Growth = Growth.UP
    look: Annotated[str, validate.OneOf(["", "a", "b", "a2", "b2"])] = ""


@view
class LaidMarkView:
    """A place on the edge, and the direction of a line from there."""

    at: float
    x: float
    y: float
    out_x: float
    out_y: float


@view
class LaidView:
    """Where the lines of both scales lie in the picture.

    Where line q meets, fine line k lies at ``start + k step - (q - position) drift`` along the
    rail; q is taken within half of ``modulo`` of the position.
    """

    position: float
    start: float
    step: float
    drift: float
    modulo: float
    first: Annotated[int, "What is added to a line for its number."]
    lines: Annotated[int, "The number of the last fine line; of a thimble the divisions."]
    whole: Annotated[bool, "Whether the fine scale goes all the way round."]
    main: list[LaidMarkView]
    rail: list[LaidMarkView]


@view
class TakeView:
    """What may be read in the place of what was read."""

    line: str
    read: str
    figures: Annotated[Record, "Fields of the reading, as a logbook holds them."]


@view
class PhotographSaysView:
    """What a photograph says to what was read before."""

    verdict: PhotographVerdict
    own: str
    own_line: float
    line: int | None
    position: float | None
    sentences: list[str]
    takes: list[TakeView]
    laid: LaidView | None


@view
class PhotographView:
    """A photograph that was kept with a reading."""

    strip: str
    whole: str
    look: str
    at: str
    edge: list[float]
    verdict: PhotographVerdict | None
    words: str
