"""Pictures as evidence that is kept, and as they come back."""

from __future__ import annotations

from base64 import b64encode
from dataclasses import dataclass
from hashlib import sha256
from io import BytesIO

import numpy as np
from PIL import Image

from metrion.core.arrays import Array
from metrion.core.facts import Name
from metrion.formats.faults import refusal
from metrion.formats.opened_pictures import END, Segment, opened, segments_of

LARGEST_EVIDENCE = 3 * 1024 * 1024
"""Of both pictures that are kept of a photograph together, in bytes."""
_BEYOND, _BESIDE = 0.6, 660
"""How far the strip goes past both ends of the edge, in parts of it, and beside it in pixels."""
_SMALL, _SMALL_QUALITY = 960, 80
_QUALITIES = (92, 86, 78, 68)
_SHRUNK = 0.8


@dataclass(frozen=True)
class Picture:
    """A picture that is kept: JPEG without anything beside its pixels."""

    content: bytes

    @property
    def name(self) -> str:
        """The SHA-256 of its bytes, by which it is referred to."""
        return sha256(self.content).hexdigest()


@dataclass(frozen=True)
class Evidence:
    """What is kept of a photograph.

    Attributes:
        strip: the neighbourhood of the edge at full resolution.
        whole: a small view of all.
        edge: both ends of the edge in the strip, in pixels and tenths of one, as it is noted.
        corner: of the strip in the photograph, in pixels.
        scale: pixels of the strip to a pixel of the photograph; 1 but for very large ones.
    """

    strip: Picture
    whole: Picture
    edge: Array
    corner: tuple[float, float]
    scale: float


def evidence(content: bytes, edge: Array) -> Evidence:
    """What is kept of a photograph: nothing is in it of who took it, with what, where and when.

    Args:
        edge: both ends, in pixels of the upright picture.

    Raises:
        Refused: if it is no picture that can be read, too large a one, or the edge is not in it.
    """
    with opened(content, "RGB") as found:
        plain, reduced = found.image, found.scale
    edge = (edge + 0.5) * reduced - 0.5
    box = _beside(edge, plain.size)
    if box is None:
        raise refusal("photo-edge")
    whole = plain.copy()
    whole.thumbnail((_SMALL, _SMALL))
    view = _written(whole, _SMALL_QUALITY)
    strip, scale = _within(plain.crop(box), LARGEST_EVIDENCE - len(view.content))
    corner = np.array(box[:2], dtype=np.float64)
    kept = np.round((edge - corner) * scale, 1)
    left, top = (corner + 0.5) / reduced - 0.5
    return Evidence(strip, view, kept, (float(left), float(top)), scale * reduced)


_KEPT = {
    0xD8: "its beginning", 0xD9: "its end", 0xDA: "a scan", 0xDB: "how it is quantised",
    0xC0: "its size", 0xC1: "its size", 0xC2: "its size", 0xC4: "its codes",
    0xDD: "how often it begins anew", 0xE0: "JFIF", 0xEE: "its colours",
}  # fmt: skip
"""The segments that a picture needs to be seen, by their markers: all else could tell of others."""
_BEGINNINGS = {0xE0: (b"JFIF\0", 14), 0xEE: (b"Adobe", 12)}
"""Of segments that programs may use for anything: how the right ones begin, and their length."""


def is_evidence(content: bytes) -> bool:
    """Whether a file is a picture as it is kept: JPEG that can be read, with nothing beside it."""
    if len(content) > LARGEST_EVIDENCE or not content.startswith(b"\xff\xd8"):
        return False
    try:
        if not all(map(_is_needed, segments_of(content))):
            return False
    except ValueError:
        return False
    with opened(content, "RGB"):
        return True


def _is_needed(segment: Segment) -> bool:
    """Whether a picture needs a part of it to be seen; what follows its end it does not."""
    if segment.marker == END:
        return not segment.content
    beginning, length = _BEGINNINGS.get(segment.marker, (b"", len(segment.content)))
    return (
        segment.marker in _KEPT
        and segment.content.startswith(beginning)
        and len(segment.content) == length
    )


def checked_picture(content: bytes, name: str, pointer: str = "") -> bytes:
    """A picture that came beside a logbook.

    Raises:
        Refused: if it is not the one of that name, or none as they are kept.
    """
    if Picture(content).name != name or not is_evidence(content):
        raise refusal("picture-is-another", pointer, name=Name(name))
    return content


def drawn_in(content: bytes) -> str:
    """A picture as SVG, small enough for a report."""
    with opened(content, "RGB", most=_SMALL * _SMALL * 2) as found:
        small = found.image
    small.thumbnail((_SMALL, _SMALL))
    data = b64encode(_written(small, _SMALL_QUALITY).content).decode()
    width, height = small.size
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width} {height}" '
        f'width="{width}" height="{height}"><image width="{width}" height="{height}" '
        f'href="data:image/jpeg;base64,{data}"/></svg>'
    )


def _beside(edge: Array, size: tuple[int, int]) -> tuple[int, int, int, int] | None:
    """The box about the neighbourhood of an edge; None where it lies outside of the picture."""
    length = float(np.linalg.norm(edge[1] - edge[0]))
    if not length:
        return None
    along = (edge[1] - edge[0]) / length
    across = np.array([along[1], -along[0]])
    corners = [
        end + sign * _BEYOND * length * along + side * _BESIDE * across
        for end, sign in ((edge[0], -1), (edge[1], 1))
        for side in (-1, 1)
    ]
    low = np.clip(np.floor(np.min(corners, axis=0)), 0, size)
    high = np.clip(np.ceil(np.max(corners, axis=0)), 0, size)
    if (high - low < 1).any():
        return None
    return int(low[0]), int(low[1]), int(high[0]), int(high[1])


def _within(picture: Image.Image, most: int) -> tuple[Picture, float]:
    """A picture of at most so many bytes: less sharp before it is smaller; and its scale."""
    scale = 1.0
    while True:
        for quality in _QUALITIES:
            found = _written(picture, quality)
            if len(found.content) <= most:
                return found, scale
        scale *= _SHRUNK
        picture = picture.resize([max(1, round(side * _SHRUNK)) for side in picture.size])


def _written(picture: Image.Image, quality: int) -> Picture:
    into = BytesIO()
    # A new picture has nothing of what stood beside the pixels of the old one.
    bare = Image.new("RGB", picture.size)
    bare.paste(picture)
    bare.save(into, "JPEG", quality=quality, subsampling=0)
    return Picture(into.getvalue())


def written_picture(brightness: Array) -> Picture:
    """Brightness from 0 to 1 as a picture."""
    return _written(Image.fromarray(np.round(brightness * 255).astype(np.uint8)), _QUALITIES[0])
