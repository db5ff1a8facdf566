"""Pictures from outside (PNG or JPEG): as arrays of brightness, and as evidence that is kept."""

from __future__ import annotations

import warnings
from base64 import b64encode
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from hashlib import sha256
from io import BytesIO

import numpy as np
from numpy.typing import NDArray
from PIL import Image, ImageOps

from metrion.core.facts import Name
from metrion.formats.faults import refusal

LARGEST_EVIDENCE = 3 * 1024 * 1024
"""Of both pictures that are kept of a photograph together, in bytes."""
_MOST_PIXELS = 50_000_000
_BEYOND, _BESIDE = 0.6, 660
"""How far the strip goes past both ends of the edge, in parts of it, and beside it in pixels."""
_SMALL, _SMALL_QUALITY = 960, 80
_QUALITIES = (92, 86, 78, 68)
_SHRUNK = 0.8

Array = NDArray[np.float64]


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


def read_picture(content: bytes) -> Array:
    """Brightness from 0 to 1, row by row, upright as it was taken.

    Raises:
        Refused: if it is no picture that can be read, or too large a one.
    """
    with _opened(content) as picture:
        return _brightness(picture)


def evidence(content: bytes, edge: Array) -> Evidence:
    """What is kept of a photograph: nothing is in it of who took it, with what, where and when.

    Args:
        edge: both ends, in pixels of the upright picture.

    Raises:
        Refused: if it is no picture that can be read, too large a one, or the edge is not in it.
    """
    with _opened(content) as picture:
        plain = picture.convert("RGB")
    box = _beside(edge, plain.size)
    if box is None:
        raise refusal("photo-edge")
    whole = plain.copy()
    whole.thumbnail((_SMALL, _SMALL))
    view = _written(whole, _SMALL_QUALITY)
    strip, scale = _within(plain.crop(box), LARGEST_EVIDENCE - len(view.content))
    corner = np.array(box[:2], dtype=np.float64)
    kept = np.round((edge - corner) * scale, 1)
    return Evidence(strip, view, kept, (float(box[0]), float(box[1])), scale)


def is_evidence(content: bytes) -> bool:
    """Whether a file is a picture as it is kept: JPEG that can be read, with nothing beside it."""
    if len(content) > LARGEST_EVIDENCE or not content.startswith(b"\xff\xd8"):
        return False
    with _opened(content) as picture:
        return not picture.getexif() and not {"exif", "xmp", "comment"} & set(picture.info)


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
    with _opened(content) as picture:
        small = picture.convert("RGB")
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


def _brightness(picture: Image.Image) -> Array:
    found: Array = np.asarray(picture.convert("L"), dtype=np.float64) / 255
    return found


@contextmanager
def _opened(content: bytes) -> Iterator[Image.Image]:
    """A picture, upright. Raises `Refused`."""
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            picture = Image.open(BytesIO(content), formats=("PNG", "JPEG"))
            if picture.width * picture.height > _MOST_PIXELS:
                raise refusal("picture-too-large", most=_MOST_PIXELS // 1_000_000)
            upright = ImageOps.exif_transpose(picture)
            upright.load()
    except (
        OSError,
        ValueError,
        SyntaxError,
        Image.DecompressionBombError,
        Image.DecompressionBombWarning,
    ):
        raise refusal("no-picture") from None
    yield upright
