"""Pictures opened: looked at before they are decoded, and decoded no larger than is needed."""

from __future__ import annotations

import re
import struct
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from io import BytesIO

import numpy as np
from numpy.typing import NDArray
from PIL import Image, ImageOps

from metrion.formats.faults import refusal

MOST_MEASURED = 12_000_000
"""Pixels of a picture as it is measured: of a larger JPEG every second, fourth or eighth is."""
_MOST_OF_A_JPEG, _MOST_OF_OTHERS = 120_000_000, 24_000_000
_LONGEST_SIDE = 16_384
_MOST_SCANS = 40
"""In which a progressive JPEG is stored: cameras and programs take a dozen or so."""
_REDUCTIONS = (1, 2, 4, 8)

# Looked at here, for JPEG and others apart.
Image.MAX_IMAGE_PIXELS = _MOST_OF_A_JPEG

_START, END, _SCAN = 0xD8, 0xD9, 0xDA
_NEXT = re.compile(rb"\xff+[^\x00\xff\xd0-\xd7]", re.DOTALL)
"""What ends the data of a scan: anything but a stuffed byte or a restart."""


@dataclass(frozen=True)
class Opened:
    """A picture, upright.

    Attributes:
        image: as it was decoded.
        scale: pixels of it to a pixel of the file; 1 but for very large ones.
    """

    image: Image.Image
    scale: float


@dataclass(frozen=True)
class OpenedPicture:
    """What a picture shows.

    Attributes:
        brightness: from 0 to 1, row by row, upright as it was taken.
        scale: pixels of it to a pixel of the file; 1 but for very large ones.
    """

    brightness: NDArray[np.float32]
    scale: float

    def seen(self, places: NDArray[np.float64]) -> NDArray[np.float64]:
        """Where pixels of the file lie in it."""
        found: NDArray[np.float64] = (places + 0.5) * self.scale - 0.5
        return found

    def told(self, places: NDArray[np.float64]) -> NDArray[np.float64]:
        """Where its pixels lie in the file."""
        found: NDArray[np.float64] = (places + 0.5) / self.scale - 0.5
        return found


@dataclass(frozen=True)
class Segment:
    """A part of a JPEG, by the number behind its sign, and what stands in it."""

    marker: int
    content: bytes


def segments_of(content: bytes) -> Iterator[Segment]:
    """The parts of a JPEG, in order, what is between them passed over; what follows its end last.

    Raises:
        ValueError: where it breaks off.
    """
    place = 0
    while found := _NEXT.search(content, place):
        marker, place = content[found.end() - 1], found.end()
        if marker == END:
            yield Segment(END, content[place:])
            return
        if marker == _START:
            yield Segment(_START, b"")
            continue
        if place + 2 > len(content):
            break
        (length,) = struct.unpack_from(">H", content, place)
        yield Segment(marker, content[place + 2 : place + length])
        place += max(length, 2)
    raise ValueError("no end")


@contextmanager
def opened(content: bytes, mode: str, most: int = MOST_MEASURED) -> Iterator[Opened]:
    """A picture, decoded no larger than so many pixels as far as its decoder can do that.

    Args:
        mode: L for its brightness, RGB for its colours.

    Raises:
        Refused: if it is no picture that can be read, or more than is taken in.
    """
    try:
        image = Image.open(BytesIO(content), formats=("PNG", "JPEG"))
        width, height = image.size
        is_jpeg = image.format != "PNG"
        _check_size(width, height, is_jpeg=is_jpeg)
        if is_jpeg:
            _check_scans(content)
            reduced = next(
                (one for one in _REDUCTIONS if width * height <= most * one**2), _REDUCTIONS[-1]
            )
            if reduced > 1:
                image.draft(mode, (width // reduced, height // reduced))
        scale = image.size[0] / width
        upright = ImageOps.exif_transpose(image)
        upright = upright if upright.mode == mode else upright.convert(mode)
        upright.load()
    except (OSError, ValueError, SyntaxError, Image.DecompressionBombError):
        raise refusal("no-picture") from None
    yield Opened(upright, scale)


def read_picture(content: bytes) -> OpenedPicture:
    """What a picture shows. Raises as `opened` does."""
    with opened(content, "L") as found:
        brightness = np.asarray(found.image, dtype=np.float32)
    brightness /= 255
    return OpenedPicture(brightness, found.scale)


def _check_size(width: int, height: int, *, is_jpeg: bool) -> None:
    if max(width, height) > _LONGEST_SIDE:
        raise refusal("picture-too-long", most=_LONGEST_SIDE)
    most = _MOST_OF_A_JPEG if is_jpeg else _MOST_OF_OTHERS
    if width * height > most:
        kind = "jpeg" if is_jpeg else "other"
        raise refusal("picture-too-large", most=most // 1_000_000, kind=kind)


def _check_scans(content: bytes) -> None:
    scans = 0
    try:
        for segment in segments_of(content):
            scans += segment.marker == _SCAN
            if scans > _MOST_SCANS:
                raise refusal("picture-of-many-scans", most=_MOST_SCANS)
    except ValueError:
        # Where it breaks off is the decoder's to say.
        return
