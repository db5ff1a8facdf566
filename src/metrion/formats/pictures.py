"""Pictures from outside (PNG or JPEG) as arrays of brightness."""

from __future__ import annotations

import warnings
from io import BytesIO

import numpy as np
from numpy.typing import NDArray
from PIL import Image, ImageOps

from metrion.formats.faults import refusal

_MOST_PIXELS = 50_000_000
_BOMBS = (Image.DecompressionBombError, Image.DecompressionBombWarning)


def read_picture(content: bytes) -> NDArray[np.float64]:
    """Brightness from 0 to 1, row by row, upright as it was taken.

    Raises:
        Refused: if it is no picture that can be read, or too large a one.
    """
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            picture = Image.open(BytesIO(content), formats=("PNG", "JPEG"))
            if picture.width * picture.height > _MOST_PIXELS:
                raise refusal("picture-too-large", most=_MOST_PIXELS // 1_000_000)
            upright = ImageOps.exif_transpose(picture).convert("L")
    except (
        OSError,
        ValueError,
        SyntaxError,
        Image.DecompressionBombError,
        Image.DecompressionBombWarning,
    ):
        raise refusal("no-picture") from None
    found: NDArray[np.float64] = np.asarray(upright, dtype=np.float64) / 255
    return found
